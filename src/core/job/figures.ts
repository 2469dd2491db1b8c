import { type CheckContext, isOfCase, isOfTable, type TableContext } from '../check/check';
import { seatsOf } from '../check/people';
import { pieceWeight } from '../check/stability';
import { edgePerPerson } from '../decision/room-for-people';
import type { Glue } from '../glueup/glue';
import { type LaidStrip, MATCH_WEIGHTS, panelMatch } from '../glueup/lay-panel';
import type { GlueUp } from '../glueup/plan-glue-ups';
import type { Layout } from '../layout/layout';
import type { Figure } from '../measure/figure';
import { count, kilogram, minutes, mm, movement, percent, type Quantity } from '../measure/quantity';
import { cornerFigures } from '../piece/table/bases/leg-apron/corner-figures';
import type { Schedule } from '../plan/schedule';
import { topForBrief } from '../start/table-for-brief';
import { caseFigures } from './case-figures';
import type { WorkedPanel } from './panels';

type Input = Figure['inputs'][number];
const input = (label: string, quantity: Quantity | string): Input => ({ label, quantity });
const figure = (
  id: string,
  label: string,
  quantity: Quantity,
  formula: string,
  inputs: readonly Input[],
  source: string,
  limits?: string,
): Figure => ({ id, label, quantity, formula, inputs, source, ...(limits ? { limits } : {}) });

/** Every figure of one instance of a piece, each with its formula, inputs and source. */
export const figuresOfPiece = (given: {
  context: CheckContext;
  glueUps: readonly GlueUp[];
  glue: Glue;
  panels: readonly WorkedPanel[];
}): Figure[] => [
  weightFigure(given.context),
  ...(isOfTable(given.context)
    ? [...tableFigures(given.context), ...cornerFigures(given.context.piece, given.context.document.joints)]
    : []),
  ...(isOfCase(given.context) ? caseFigures(given.context) : []),
  ...given.context.season.figures,
  ...given.panels.flatMap(({ laid }, i) => panelFigures(laid, i === 0 ? '' : `-${i + 1}`)),
  ...glueFigures(given.glueUps, given.glue),
  ...given.glueUps.flatMap((glueUp) => glueUp.figures),
];

/** How wide the strips of a panel are whose strips are decided. */
const stripFigures = ({ piece, document }: TableContext): Figure[] =>
  piece.parts.flatMap((part) => {
    const own = part.strips?.filter(({ of }) => of !== 'block') ?? [];
    const [first] = own;
    if (!first || part.id !== piece.top.leading || !('stripes' in document.form.top)) return [];
    return [
      figure(
        'strip-width',
        'Each strip, wide',
        mm(first.width),
        'width ÷ strips',
        [input('Width', mm(part.size.width)), input('Strips', count(own.length))],
        'geometry',
      ),
    ];
  });

const weightFigure = (context: CheckContext): Figure => {
  const { piece, season } = context;
  return figure(
    'weight',
    'Weight',
    kilogram(pieceWeight(context)),
    'Σ volume · 1000 · G₁₂ · (1 + M/100)',
    [
      input('Parts', count(piece.parts.length)),
      ...context.woods.map(({ commonName, specificGravity }) =>
        input(context.woods.length === 1 ? 'Specific gravity at 12 %' : `Specific gravity at 12 %, ${commonName}`, {
          amount: specificGravity,
          unit: 'ratio',
        }),
      ),
      input('Moisture', { amount: season.glued.moisture, unit: 'percent-moisture' }),
    ],
    'Wood Handbook ch. 4; volumes of the solids: tenons with them, mortises, tapers and notches taken out',
  );
};

function tableFigures(context: TableContext): Figure[] {
  const { piece, document } = context;
  const { brief, form } = document;
  const each = edgePerPerson(brief.seating);
  const proposed = topForBrief(brief);
  const cut = 'geometry; where a part is cut, from its real size';
  return [
    ...stripFigures(context),
    figure(
      'top-length',
      'Top, long',
      mm(piece.overall.length),
      'as decided, or as cut',
      [input('Decided', mm(form.top.length))],
      cut,
    ),
    figure(
      'top-width',
      'Top, wide',
      mm(piece.overall.width),
      'as decided, or as cut',
      [input('Decided', mm(form.top.width))],
      cut,
    ),
    figure(
      'knee-height',
      `Free under ${piece.knees.words}`,
      mm(piece.knees.height),
      'height − top − what stands under it on a sitter’s side',
      [input('Height', mm(piece.overall.height)), input('Top, thick', mm(piece.top.size.thickness))],
      cut,
    ),
    figure(
      'base-length',
      'Base on the floor, long',
      mm(piece.base.length),
      'top as decided − 2 · overhang; from the long aprons where they are cut',
      [input('Top', mm(form.top.length)), input('Overhang as decided', mm(form.top.endOverhang))],
      cut,
    ),
    figure(
      'base-width',
      'Base on the floor, wide',
      mm(piece.base.width),
      'top as decided − 2 · overhang; from the short aprons where they are cut',
      [input('Top', mm(form.top.width)), input('Overhang as decided', mm(form.top.sideOverhang))],
      cut,
    ),
    figure(
      'overhang-side',
      'Overhang, sides',
      movement(piece.overhang.side),
      '(top − base) ÷ 2',
      [input('Top, wide', movement(piece.top.size.width)), input('Base, wide', movement(piece.base.width))],
      cut,
    ),
    figure(
      'overhang-end',
      'Overhang, ends',
      movement(piece.overhang.end),
      '(top − base) ÷ 2',
      [input('Top, long', movement(piece.top.size.length)), input('Base, long', movement(piece.base.length))],
      cut,
    ),
    figure(
      'seats-at-ease',
      'Seats at ease',
      count(seatsOf(context)),
      '2 · whole(length ÷ edge per person) + 2 when the width takes a chair; round: whole(edge all round ÷ edge per person)',
      [
        input('Length', mm(piece.overall.length)),
        input('Width', mm(piece.overall.width)),
        input('Edge per person', mm(each)),
      ],
      'common practice',
    ),
    figure(
      'proposed-length',
      'Length for this brief',
      mm(proposed.length),
      'seats along the sides · edge per person, no longer than the room lets people round it',
      [
        input('Seats', count(brief.seats)),
        input('Edge per person', mm(each)),
        input('Room', mm(Math.max(brief.room.length, brief.room.width))),
      ],
      'common practice',
    ),
  ];
}

/** Figures of a layout, current or stale. */
export function figuresOfLayout(layout: Layout, currency: string): Figure[] {
  const volume = (label: string, amount: number) => input(label, { amount, unit: 'cubic-metre' });
  const feet = layout.shortfall.reduce((sum, s) => sum + s.boardFeet, 0);
  const money = (amount: number) => `${amount.toFixed(2)} ${currency}`;
  const { cost, bound: least } = layout;
  const source = 'Bound: straight cuts, bars round defects, whole boards and pieces, see Methods';
  const bound =
    layout.gap === null || least === null
      ? []
      : [
          figure(
            'layout-gap',
            'From the best possible, at most',
            percent(layout.gap * 100),
            'cost ÷ least possible cost − 1',
            [
              input('Cost', money(cost.total)),
              input('Least possible', money(least)),
              input('Changes tried', count(layout.tried)),
            ],
            source,
            'Round defects and tapers the bound allows more than can be sawn, so the true distance is smaller.',
          ),
          figure(
            'layout-over',
            'Over the least it can cost, at most',
            { amount: cost.total - least, unit: 'ratio' },
            'cost − least possible cost',
            [input('In', currency), input('Cost', money(cost.total)), input('Least possible', money(least))],
            source,
          ),
          figure(
            'cost-bound',
            'No layout can cost less than',
            { amount: least, unit: 'ratio' },
            'a programme with whole boards and pieces, and inequalities no way of sawing can break',
            [input('In', currency), input('Parts and strips placed', count(layout.placements.length))],
            source,
          ),
        ];
  const counted = figure(
    'layout-cost',
    'Cost, weighted',
    { amount: cost.total, unit: 'ratio' },
    'boards − offcuts · their worth + fetching, cuts, joint lines and mismatch at the prices of the aim',
    [
      input('In', currency),
      input('Boards', money(cost.wood)),
      input('Worth of what goes back', money(-cost.offcuts)),
      input('Fetching and flattening', money(cost.boards)),
      input(`${layout.cuts} cuts`, money(cost.cuts)),
      input('Joint lines', money(cost.joints)),
      input('Lots and rings', money(cost.match)),
    ],
    'prices of the boards, else of the shop; minutes of the aim at the shop’s hour',
  );
  return [
    ...bound,
    counted,
    figure(
      'yield',
      'Becomes the piece',
      percent(layout.yield * 100),
      'finished volume ÷ (boards used − offcuts back to the rack)',
      [volume('Finished', layout.finished), volume('Consumed', layout.consumed)],
      'the layout; allowances, kerf, end trim, defects and planing count as lost',
    ),
    figure(
      'offcuts',
      'Back to the rack',
      count(layout.offcuts.length),
      'clear rectangles at least as large as the shop calls useful',
      layout.offcuts
        .slice(0, 6)
        .map((o, i) => input(`Offcut ${i + 1}, long`, mm(o.length)))
        .concat(layout.offcuts.length === 0 ? [input('Offcuts', 'none')] : []),
      'the layout',
    ),
    figure(
      'to-buy',
      'To buy',
      { amount: feet, unit: 'board-foot' },
      'Σ length · width · rough thickness; a board foot is 144 in³',
      layout.shortfall.length > 0
        ? layout.shortfall.slice(0, 6).map((s) => input(s.name, { amount: s.boardFeet, unit: 'board-foot' } as const))
        : [input('Missing', 'nothing')],
      'NHLA, board foot; thickness from the table of rough quarters',
    ),
  ];
}

function panelFigures(laid: readonly LaidStrip[], place: string): Figure[] {
  if (laid.length < 2) return [];
  const { score, joints } = panelMatch(laid);
  const worst = joints.map((joint, i) => ({ joint, at: `${laid[i]?.label}–${laid[i + 1]?.label}` }));
  worst.sort((a, b) => b.joint.total - a.joint.total);
  const w = MATCH_WEIGHTS;
  return [
    figure(
      `panel-match${place}`,
      'How the strips run into one another',
      percent(score),
      `100 · (1 − mean of ${w.tone} · tone + ${w.rings} · rings + ${w.lot} · lot + ${w.planes} · planing at each joint)`,
      [
        input('Joint lines', count(joints.length)),
        ...worst
          .slice(0, 3)
          .map(({ joint, at }) => input(`Joint ${at}`, `${Math.round(100 * (1 - joint.total))} of 100`)),
      ],
      'Taller’s own weighing of what sets two neighbours off: tones apart out of four, ring angles apart out of 90°, another log, planing against one another',
      'What nobody has looked at is taken to be alike; the eye decides.',
    ),
  ];
}

function glueFigures(glueUps: readonly GlueUp[], glue: Glue): Figure[] {
  const stages = glueUps.flatMap((glueUp) => glueUp.stages);
  const guidance = 'Adhesive makers’ general guidance, from memory; the maker’s own instructions come first';
  return [
    figure(
      'glue-total',
      'Glue, all stages',
      { amount: stages.reduce((sum, s) => sum + s.glue, 0), unit: 'gram' },
      'Σ joints · length · thickness · spread',
      [
        ...stages.map((s) => input(s.name, { amount: s.glue, unit: 'gram' } as const)),
        input('Spread, g/m²', `${glue.spread}`),
      ],
      guidance,
    ),
    ...stages.flatMap((s) => [
      figure(
        `clamps-${s.id}`,
        `Clamps for ${s.name.toLowerCase()}`,
        count(s.clamps.count),
        'length ÷ (2 · outer piece + pad), rounded up, + 1; more where the shop has them and the glue asks for more pressure',
        [
          input('Length', mm(s.length)),
          input('Outer pieces', mm(Math.min(s.widths[0] ?? 0, s.widths.at(-1) ?? 0))),
          input('Opening wanted', mm(s.clamps.leastLength)),
        ],
        'Pressure spreads at about 45° from each pad, common practice',
      ),
      figure(
        `pressure-${s.id}`,
        `Pressure on every joint, ${s.name.toLowerCase()}`,
        { amount: s.clamps.pressure, unit: 'megapascal' },
        'Σ force of the clamps that reach ÷ (length · thickness), no more than the glue asks for',
        [
          input('Clamps', count(s.clamps.count)),
          input('All of them press with, tight', { amount: s.clamps.force, unit: 'newton' }),
          input('Length', mm(s.length)),
          input('Thickness', mm(s.thickness)),
          input('The glue’s maker asks for', { amount: s.clamps.asked, unit: 'megapascal' }),
        ],
        guidance,
        'Joints in one clamp-up share the force in series. Only until a thin even line is squeezed out; more bows the panel.',
      ),
      figure(
        `minutes-${s.id}`,
        `Minutes to spread and close, ${s.name.toLowerCase()}`,
        minutes(s.minutes),
        '1 + 0.8 · metres of joint + 0.25 · clamps',
        [
          input('Joints', count(s.joints)),
          input('Length', mm(s.length)),
          input('Clamps', count(s.clamps.count)),
          input('Closed by', minutes(s.closedBy)),
        ],
        'common practice, one person',
      ),
    ]),
  ];
}

/** Figures of the calendar. */
export function figuresOfPlan(dates: Schedule, hoursPerDay: number): Figure[] {
  const groups = [...new Set(dates.dated.map((d) => d.operation.group))];
  const hours = (group: string) =>
    dates.dated.filter((d) => d.operation.group === group).reduce((sum, d) => sum + d.operation.work, 0);
  return [
    figure(
      'work-hours',
      'Work at the bench',
      { amount: dates.workHours, unit: 'hours' },
      'Σ hours of the operations',
      groups.map((group) => input(group, { amount: hours(group), unit: 'hours' } as const)),
      'common practice, one person',
    ),
    figure(
      'idle-days',
      'Days only waiting',
      count(dates.idleDays),
      'workdays from start to finish on which no hand is on the piece',
      [input('Done on', dates.finishedOn), input('Hours a day', `${hoursPerDay}`)],
      'the calendar; waiting runs by the clock',
    ),
  ];
}
