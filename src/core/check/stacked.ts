import { count, kilogram, mm, movement, newton, say } from '../measure/quantity';
import { SHELL } from '../piece/case/shell';
import { findPart, type Piece } from '../piece/piece';
import { GRAVITY, weightOf } from '../piece/weight';
import { seenFromAbove } from '../room/standing';
import { sizeAt } from '../season/size-at';
import { boundsOfFlat } from '../solid/outline';
import { loadInCase } from './case-load';
import { FIX, momentsOf, pushThatTips, SLOPE } from './case-tipping';
import { type CaseContext, type Check, judge, type Neighbour, softestOf } from './check';
import { CREEP, SAG_PER_SPAN, WATCHED } from './stiffness';

/** Screws stand so far inside both, front and back, mm; a fifth more than is computed is left. Common practice. */
const INSIDE = 50;
const SPARE = 1.2;

type OnCase = Extract<CaseContext['document']['form']['stand'], { kind: 'on-case' }>;

/** A case on another: its seat, the top it bears on, the slots between them, and the tipping of both. */
export function stackedOnCase(context: CaseContext): Check[] {
  const { stand } = context.document.form;
  if (stand.kind !== 'on-case') return [];
  const { below } = context;
  if (!below || 'problem' in below)
    return [nothingBelow(below?.problem ?? 'It is to stand on another case, and none is chosen.')];
  return [
    seated(context, stand, below),
    ...bent(context, below),
    ...slots(context, stand, below),
    ...tips(context, stand, below),
  ];
}

const nothingBelow = (problem: string): Check => ({
  id: 'stack.below',
  step: 'form',
  level: 'stop',
  sentence: say`${problem}`,
  value: count(0),
  limit: count(1),
  where: [],
  why: 'What it stands on says how high it comes to stand and how both tip.',
  school: 'common practice',
  wayOut: {
    say: say`Choose a case of this job that opens to the front, or stand it on its own sides`,
    changes: [{ path: 'form.stand', value: { kind: 'sides', lift: 0 } }],
  },
});

/** Where its front and its back stand over the case below, in the axes of that. mm */
function place({ document: { form } }: CaseContext, { setBack }: OnCase, below: Neighbour) {
  const front = -below.piece.overall.width / 2 + setBack;
  return { front, back: front + form.depth };
}

function seated(context: CaseContext, stand: OnCase, below: Neighbour): Check {
  const { form } = context.document;
  const over = boundsOfFlat(seenFromAbove(below.piece));
  const { front, back } = place(context, stand, below);
  const wide = form.width / 2 - Math.min(over.right, -over.left);
  const out = Math.max(wide, back - over.high, over.low - front);
  const room = over.high + below.piece.overall.width / 2;
  const moved = Math.max(0, Math.floor(room - form.depth));
  const narrower = Math.floor(2 * Math.min(over.right, -over.left));
  const changes = [
    ...(wide > 0.5 ? [{ path: 'form.width', value: narrower }] : []),
    ...(back - over.high > 0.5 ? [{ path: 'form.stand.setBack', value: moved }] : []),
    ...(room < form.depth ? [{ path: 'form.depth', value: Math.floor(room) }] : []),
  ];
  return {
    id: 'stack.seat',
    step: 'form',
    level: out > 0.5 ? 'stop' : 'good',
    sentence:
      out > 0.5
        ? say`It stands ${mm(out)} out over ${below.title}.`
        : say`It stands on ${below.title}, ${mm(-out)} inside its edges, and is ${mm(below.piece.overall.height + form.height)} high with it.`,
    value: mm(Math.max(0, out)),
    limit: mm(0),
    where: [],
    why: 'What stands over an edge is held by screws alone.',
    school: 'common practice',
    figure: {
      id: 'stack.seat',
      label: 'Beyond the case below',
      quantity: mm(Math.max(0, out)),
      formula: 'the farthest of its edges from the outline of the top below',
      inputs: [
        { label: 'Its front behind that below', quantity: mm(stand.setBack) },
        { label: 'Height of both', quantity: mm(below.piece.overall.height + form.height) },
      ],
      source: 'geometry',
    },
    wayOut: { say: say`Make it as small as what it stands on`, changes },
  };
}

/** Upper face of the case below: the boards that bend there, N·mm², and where they rest, from the left. mm */
function topOf({ piece, ...below }: Neighbour) {
  const boards = ['cover', SHELL.top].flatMap((id) => findPart(piece, id) ?? []);
  const rigidity = boards.reduce((sum, { id, size }) => {
    const { modulusOfElasticity } = softestOf({ piece, ...below }, [id]);
    return sum + (modulusOfElasticity * size.width * size.thickness ** 3) / 12;
  }, 0);
  const held = new Set(
    piece.joints.flatMap(({ into, from }) => (into === SHELL.top ? [from] : from === SHELL.top ? [into] : [])),
  );
  const rests = piece.parts.filter(
    ({ id, kind }) => held.has(id) && (kind === 'upright' || kind === 'side' || kind === 'case-post'),
  );
  return { boards, rigidity, rests: [...new Set(rests.map(({ frame }) => frame.at[0]))].sort((a, b) => a - b) };
}

/**
 * The top of the case below under the sides of this one: each with half of its weight and of what stands in it, as a force on
 * a beam that rests at its ends, P·b·(L² − b²)^1.5 ÷ 9√3·E·I·L; both added where they stand over one space.
 */
function bent(context: CaseContext, below: Neighbour): Check[] {
  const { piece, document, season, species } = context;
  const { form } = document;
  const { boards, rigidity, rests } = topOf(below);
  if (boards.length === 0 || rests.length < 2) return [];
  const { shelves, bottom } = loadInCase(piece, form);
  const all = weightOf(piece.parts, species, season.glued.moisture) * GRAVITY + shelves + bottom;
  let [sag, span] = [0, 0];
  for (const side of [-1, 1]) {
    const x = (side * (form.width - form.carcass.sides)) / 2;
    const right = rests.find((rest) => rest > x);
    const left = rests.findLast((rest) => rest <= x);
    if (right === undefined || left === undefined) continue;
    const long = right - left;
    const near = Math.min(x - left, right - x);
    const both = rests.length === 2 ? 2 : 1;
    const own = ((all / 2) * near * (long ** 2 - near ** 2) ** 1.5) / (9 * Math.sqrt(3) * rigidity * long);
    if (both * CREEP * own >= sag) [sag, span] = [both * CREEP * own, long];
  }
  const limit = span * SAG_PER_SPAN;
  return [
    {
      id: 'stiffness.stack-top',
      step: 'form',
      level: judge(sag, limit, { sense: 'at-most', watchFrom: limit * WATCHED }),
      sentence:
        sag < 0.05
          ? say`Its sides stand over what the top of ${below.title} rests on.`
          : say`Under its sides the top of ${below.title} sags, in time, ${movement(sag)}; the eye accepts ${movement(limit)}.`,
      value: movement(sag),
      limit: movement(limit),
      where: [],
      why: 'What stands in it comes down through its sides. Over an upright or a side of the case below nothing bends.',
      school: 'Elastic bending, ends resting; the limit is common practice',
      figure: {
        id: 'stiffness.stack-top',
        label: 'Sag of the top below, in time',
        quantity: movement(sag),
        formula: `${CREEP} · P·b·(L² − b²)^1.5 ÷ 9√3·E·I·L, P half of all that stands there`,
        inputs: [
          { label: 'Weight and what stands in it', quantity: newton(all) },
          { label: 'Between what the top rests on L', quantity: mm(span) },
          { label: 'Boards that bend', quantity: boards.map(({ name }) => name.toLowerCase()).join(', ') },
        ],
        source: 'Beam formulas (any textbook)',
        limits:
          'The boards not glued to one another; two sides over one space are added as if both stood at the worse place.',
      },
      wayOut: {
        say: say`Make it as wide as the case below, or set an upright under its side`,
        changes: [{ path: 'form.width', value: Math.round(below.piece.overall.length) }],
      },
    },
  ];
}

/** How far both move against one another between the screws behind, which are fast, and those in front. */
function slots(context: CaseContext, { travel }: OnCase, below: Neighbour): Check[] {
  const { form } = context.document;
  const span = Math.min(form.depth, below.piece.overall.width) - 2 * INSIDE;
  if (span <= 0) return [];
  const upper = strainOf(context.piece, [SHELL.bottom], context.season);
  const lower = strainOf(below.piece, ['cover', SHELL.top], below.season);
  const need = Math.max(...(['driest', 'wettest'] as const).map((day) => Math.abs(upper(day) - lower(day)) * span));
  const enough = Math.ceil(need * SPARE * 2) / 2;
  return [
    {
      id: 'season.stack-slots',
      step: 'season',
      level: judge(need, travel, { sense: 'at-most', watchFrom: travel / SPARE }),
      sentence: say`On ${below.title} it moves ${movement(need)} in its front screws; ${movement(travel)} are free.`,
      value: movement(need),
      limit: movement(travel),
      where: [],
      why: 'A top that lies below moves with its own wood, what stands on it with that of its bottom; frames stand still.',
      school: 'A fifth more than is computed, common practice',
      figure: {
        id: 'season.stack-slots',
        label: 'Movement between both cases at the front screws',
        quantity: movement(need),
        formula:
          '|growth of its bottom − growth of the top below| · from screw to screw, since delivery; the worse of the driest and the wettest day',
        inputs: [
          { label: 'From the screws behind to those in front', quantity: mm(span) },
          { label: 'Free in the slots', quantity: movement(travel) },
        ],
        source: 'the season of both pieces; a frame counts as still',
      },
      wayOut: { say: say`Leave ${movement(enough)} there`, changes: [{ path: 'form.stand.travel', value: enough }] },
    },
  ];
}

/** Growth from front to back since it was delivered, as a share; none of what is a frame. */
export function strainOf(piece: Piece, ids: readonly string[], season: CaseContext['season']) {
  const board = ids.flatMap((id) => findPart(piece, id) ?? [])[0];
  return (day: 'driest' | 'wettest'): number => {
    if (!board) return 0;
    const before = sizeAt(board, season, season.delivered.moisture).width;
    return sizeAt(board, season, season[day].moisture).width / before - 1;
  };
}

/** Both together, empty, on a floor that slopes, pushed at the upper edge. */
function tips(context: CaseContext, stand: OnCase, below: Neighbour): Check[] {
  const { document, piece } = context;
  const { form } = document;
  const high = below.piece.overall.height;
  const { front } = place(context, stand, below);
  const upper = momentsOf(context);
  const lower = momentsOf(below);
  const mass = upper.mass + lower.mass;
  if (mass <= 0) return [];
  const balance = {
    mass,
    y: (upper.mass * (upper.y + front + form.depth / 2) + lower.mass * lower.y) / mass,
    z: (upper.mass * (upper.z + high) + lower.mass * lower.z) / mass,
  };
  const height = high + piece.overall.height;
  const { push, falls, reach } = pushThatTips(balance, below.piece.ground, height);
  const asked = form.loads.push;
  return [
    {
      id: 'stability.stack-tips',
      step: 'form',
      level: falls ? 'stop' : push < asked ? 'watch' : 'good',
      sentence: falls
        ? say`On ${below.title}, empty, on a floor that slopes 5 in 100, both fall by themselves.`
        : say`On ${below.title}, empty, on a floor that slopes 5 in 100, ${newton(push)} at its upper edge tip both; it is asked to stand ${newton(asked)}.`,
      value: newton(push),
      limit: newton(asked),
      where: piece.over,
      why: `The higher the stack, the less tips it. Both are fixed to the wall, the upper one too. ${FIX}`,
      school: 'Statics; ASTM F2057 and EN 14749 test clothing storage units',
      figure: {
        id: 'stability.stack-tips',
        label: 'Push that tips both, empty',
        quantity: newton(push),
        formula: 'm · g · (reach − slope · height of their middle) ÷ height',
        inputs: [
          { label: 'Weight of both', quantity: kilogram(mass) },
          { label: 'Their middle to the edge they stand on', quantity: mm(reach) },
          { label: 'Their middle over the floor', quantity: mm(balance.z) },
          { label: 'Height of both', quantity: mm(height) },
          { label: 'Slope in a hundred', quantity: count(SLOPE * 100) },
        ],
        source: 'statics',
        limits: FIX,
      },
      wayOut: { say: say`Fix both to the wall, or make them deeper or lower`, changes: [] },
    },
  ];
}
