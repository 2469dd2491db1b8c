import { mm, newton, say } from '../measure/quantity';
import type { PinRow } from '../piece/case/case-plan';
import { type Cell, divideCell } from '../piece/case/inside/cells';
import { PINS } from '../piece/case/inside/plan-inside';
import { woodOf } from '../piece/part';
import { findPart } from '../piece/piece';
import { GRAVITY, weightOf } from '../piece/weight';
import type { Bounds } from '../solid/convex';
import { type CaseContext, type Check, judge } from './check';

/** What a pin in solid wood carries, N: 150 to 300 by common practice. */
const CARRIES = { always: 150, most: 300 };
/** Between two bores that come from both faces of a board, mm; common practice. */
const LEAST_BETWEEN = 2;

/** What the pins of loose shelves bear, and whether their bores meet those of the space beside, or what is let into the board from there. */
export const pinsOfCase = (context: CaseContext): Check[] => [
  ...borne(context),
  ...boresMeet(context),
  ...boresInJoints(context),
];

function borne({ piece, species, season, document }: CaseContext): Check[] {
  const [worst] = piece.spans
    .filter(({ onPins }) => onPins)
    .map((span) => {
      const part = findPart(piece, span.part);
      const own = part ? weightOf([part], woodOf(part, species), season.glued.moisture) * GRAVITY : 0;
      return { span, each: ((span.load * span.span) / 1000 + own) / PINS };
    })
    .sort((a, b) => b.each - a.each);
  if (!worst) return [];
  const { span, each } = worst;
  const bearable = Math.floor((span.load * CARRIES.most) / each / 50) * 50;
  return [
    {
      id: 'strength.pins',
      step: 'form',
      level: judge(each, CARRIES.most, { sense: 'at-most', watchFrom: CARRIES.always }),
      sentence: say`Each pin under ${span.words.split(',')[0]?.toLowerCase() ?? ''} bears ${newton(each)}; a pin in solid wood bears ${newton(CARRIES.always)} to ${newton(CARRIES.most)}.`,
      value: newton(each),
      limit: newton(CARRIES.most),
      where: [span.part],
      why: 'A pin that crushes its bore leans, and the shelf slides off it with all that stands on it.',
      school: 'Pins of loose shelves, common practice',
      figure: {
        id: 'strength.pins',
        label: 'On each pin',
        quantity: newton(each),
        formula: '(load · span + own weight) ÷ 4',
        inputs: [
          { label: 'On a metre of shelf', quantity: newton(span.load) },
          { label: 'Between its ends', quantity: mm(span.span) },
        ],
        source: 'statics; what a pin bears is common practice',
      },
      wayOut: {
        say: say`Divide the space by an upright`,
        changes: [{ path: 'form.inside.cells', value: halved(document.form.inside.cells, span.part) }],
      },
      otherWaysOut: [
        {
          say: say`Load the shelves with ${newton(bearable)} on a metre`,
          changes: [{ path: 'form.loads.shelf', value: bearable }],
        },
      ],
    },
  ];
}

/** The space that a loose shelf lies in, divided in two, with as many shelves in each. */
function halved(cells: readonly Cell[], shelf: string): Cell[] {
  const own = cells.find(({ id, loose }) => shelf === `loose-${id}-${shelf.split('-').at(-1)}` && loose > 0);
  if (!own) return [...cells];
  const divided = divideCell(cells, own.id, 'uprights', 2);
  return divided.map((cell) => (cell.of === own.id ? { ...cell, loose: own.loose } : cell));
}

/** Rows of two spaces in one board, from its two faces. */
function boresMeet({ piece, document }: CaseContext): Check[] {
  const { pins, thickness } = document.form.inside;
  const rows = piece.pinRows;
  const [worst] = rows
    .flatMap((a, i) =>
      rows.slice(i + 1).flatMap((b) => {
        const beside = a.wall === b.wall && a.into !== b.into && Math.abs(a.y - b.y) < pins.diameter;
        const over = a.from < b.from + (b.count - 1) * b.apart && b.from < a.from + (a.count - 1) * a.apart;
        const left = Math.abs(a.x - b.x) - a.deep - b.deep;
        return beside && over ? [{ wall: a.wall, left }] : [];
      }),
    )
    .sort((a, b) => a.left - b.left);
  if (!worst) return [];
  const shallower = Math.max(5, Math.floor((thickness - LEAST_BETWEEN) / 2));
  return [
    {
      id: 'joints.pins-meet',
      step: 'form',
      level: judge(worst.left, 0, { sense: 'at-least', watchFrom: LEAST_BETWEEN }),
      sentence:
        worst.left < 0
          ? say`In ${findPart(piece, worst.wall)?.name.toLowerCase() ?? ''} the bores for shelf pins from both sides run ${mm(-worst.left)} into one another.`
          : say`Between the bores for shelf pins from both sides ${mm(worst.left)} are left in ${findPart(piece, worst.wall)?.name.toLowerCase() ?? ''}.`,
      value: mm(worst.left),
      limit: mm(LEAST_BETWEEN),
      where: [worst.wall],
      why: 'Bores that meet let a pin be pushed through, out at the other side.',
      school: 'Wood left between two cuts, common practice',
      wayOut: {
        say: say`Bore ${mm(shallower)} deep`,
        changes: [{ path: 'form.inside.pins.deep', value: shallower }],
      },
      otherWaysOut: [
        {
          say: say`Make the uprights ${mm(2 * pins.deep + LEAST_BETWEEN)} thick`,
          changes: [{ path: 'form.inside.thickness', value: 2 * pins.deep + LEAST_BETWEEN }],
        },
      ],
    },
  ];
}

/** Bores against every mortise, housing and hole in the same board. */
function boresInJoints({ piece, document }: CaseContext): Check[] {
  const { pins, thickness } = document.form.inside;
  const cuts = piece.joints.flatMap(({ name, removed }) => removed.map((cut) => ({ name, cut })));
  const [worst] = piece.pinRows
    .flatMap((row) =>
      cuts.flatMap(({ name, cut }) => {
        const left = cut.part === row.wall ? leftBeside(row, cut.solid.bounds) : null;
        return left === null ? [] : [{ wall: row.wall, name, left }];
      }),
    )
    .sort((a, b) => a.left - b.left);
  if (!worst) return [];
  const board = findPart(piece, worst.wall)?.name.toLowerCase() ?? '';
  const shallower = Math.floor(pins.deep + worst.left - LEAST_BETWEEN);
  const thicker = Math.ceil(thickness + LEAST_BETWEEN - worst.left);
  const deeper = { path: 'form.inside.pins.deep', value: shallower };
  return [
    {
      id: 'joints.pins-in-joints',
      step: 'form',
      level: judge(worst.left, 0, { sense: 'at-least', watchFrom: LEAST_BETWEEN }),
      sentence:
        worst.left < 0
          ? say`In ${board} the bores for shelf pins run ${mm(-worst.left)} into ${worst.name.toLowerCase()}.`
          : say`Between the bores for shelf pins and ${worst.name.toLowerCase()} ${mm(worst.left)} are left in ${board}.`,
      value: mm(worst.left),
      limit: mm(LEAST_BETWEEN),
      where: [worst.wall],
      why: 'A bore that comes into a housing or a mortise from behind leaves the pin nothing to press on, and the joint no glue.',
      school: 'Wood left between two cuts, common practice',
      wayOut:
        shallower >= SHALLOWEST
          ? { say: say`Bore ${mm(shallower)} deep`, changes: [deeper] }
          : {
              say: say`Make the uprights ${mm(thicker)} thick`,
              changes: [{ path: 'form.inside.thickness', value: thicker }],
            },
    },
  ];
}

/** No pin holds in less, mm; common practice. */
const SHALLOWEST = 5;

/** What is left between the nearest bore of a row and something cut into the same board, through its thickness; null where no bore lies before it. mm */
function leftBeside(row: PinRow, { from, to }: Bounds): number | null {
  const half = row.diameter / 2;
  if (row.y + half <= from[1] || row.y - half >= to[1]) return null;
  const first = Math.max(0, Math.ceil((from[2] - half - row.from) / row.apart + 1e-9));
  const last = Math.min(row.count - 1, Math.floor((to[2] + half - row.from) / row.apart - 1e-9));
  if (first > last) return null;
  const [a, b] = [row.x, row.x + row.into * row.deep].sort((p, q) => p - q) as [number, number];
  return Math.max(from[0] - b, a - to[0]);
}
