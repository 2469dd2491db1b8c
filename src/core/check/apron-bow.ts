import { mm, movement, newton, say } from '../measure/quantity';
import { type Part, woodOf } from '../piece/part';
import { findPart, partsOfKind } from '../piece/piece';
import { type Check, judge, type TableContext } from './check';
import { type PlaneFrame, solveFrame } from './plane-frame';

/** A rail that is pushed aside by more than this share of its length is felt to be weak; common practice. */
const BOW = 1 / 250;

/**
 * The base seen from above as a frame: the long aprons, the end aprons, cross rails between, joints stiff, the corners held
 * by the legs. `pushed` is the node in the middle of the widest field of the front apron. mm
 */
export function apronLadder(given: {
  /** Between the corners, and between the long aprons, middle to middle. */
  length: number;
  width: number;
  /** Of the cross rails and middle legs, from the left corner. */
  ties: readonly { at: number; kind: 'rail' | 'leg'; height: number; thickness: number }[];
  apron: { height: number; thickness: number };
  modulus: number;
  push: number;
}): { frame: PlaneFrame; pushed: number; span: number } {
  const { length, width, apron, modulus, push } = given;
  const section = ({ height, thickness }: { height: number; thickness: number }) => ({
    area: height * thickness,
    second: (height * thickness ** 3) / 12,
    modulus,
  });
  const ties = [...given.ties].sort((a, b) => a.at - b.at);
  const stands = [0, ...ties.filter(({ kind }) => kind === 'leg').map(({ at }) => at), length];
  // Pushed where the way to the next leg on both sides is the longest.
  const fields = stands.slice(1).map((to, i) => ({ from: stands[i]!, to }));
  const widest = fields.reduce((a, b) => (b.to - b.from > a.to - a.from + 1e-9 ? b : a));
  const middle = (widest.from + widest.to) / 2;
  const nodes: [number, number][] = [];
  const node = (x: number, y: number) => {
    const known = nodes.findIndex(([nx, ny]) => Math.abs(nx - x) < 1e-6 && Math.abs(ny - y) < 1e-6);
    return known >= 0 ? known : nodes.push([x, y]) - 1;
  };
  const members: PlaneFrame['members'][number][] = [];
  for (const y of [0, width]) {
    const places = [...new Set([0, length, ...ties.map(({ at }) => at), ...(y === 0 ? [middle] : [])])].sort(
      (a, b) => a - b,
    );
    places.slice(1).forEach((x, i) => {
      const [from, to] = [node(places[i]!, y), node(x, y)];
      if (from !== to) members.push({ from, to, ...section(apron) });
    });
  }
  for (const x of [0, length]) members.push({ from: node(x, 0), to: node(x, width), ...section(apron) });
  for (const tie of ties) {
    if (tie.kind === 'rail') members.push({ from: node(tie.at, 0), to: node(tie.at, width), ...section(tie) });
  }
  const held = [
    ...[0, length].flatMap((x) => [node(x, 0), node(x, width)]),
    ...ties.flatMap(({ at, kind }) => (kind === 'leg' ? [node(at, 0), node(at, width)] : [])),
  ];
  const pushed = node(middle, 0);
  return {
    frame: { nodes, members, held, loads: [{ node: pushed, force: [0, push] }] },
    pushed,
    span: widest.to - widest.from,
  };
}

/** The ladder of a table on legs and aprons, pushed with its design push; null for other bases. */
export function ladderOf({ document, piece, species }: Pick<TableContext, 'document' | 'piece' | 'species'>) {
  const { base, loads } = document.form;
  const [front, side] = [findPart(piece, 'apron-front'), findPart(piece, 'apron-left')];
  if (base.kind !== 'leg-apron' || !front || !side) return null;
  const legs = partsOfKind(piece, 'leg').map(({ frame }) => frame.at[0]);
  const half = Math.max(...legs.map(Math.abs));
  const inner = (part: Part) => Math.abs(part.frame.at[0]) < half - 1;
  const place = (part: Part) => part.frame.at[0] + half;
  return apronLadder({
    length: 2 * half,
    width: 2 * Math.abs(front.frame.at[1]),
    ties: [
      ...partsOfKind(piece, 'cross-rail')
        .filter(inner)
        .map((rail) => ({
          at: place(rail),
          kind: 'rail' as const,
          height: rail.size.width,
          thickness: rail.size.thickness,
        })),
      ...partsOfKind(piece, 'leg')
        .filter((leg) => inner(leg) && leg.frame.at[1] < 0)
        .map((leg) => ({ at: place(leg), kind: 'leg' as const, height: 0, thickness: 0 })),
    ],
    // Where it bends most it is hollowed.
    apron: { height: Math.max(1, front.size.width - base.apron.arch), thickness: front.size.thickness },
    modulus: woodOf(front, species).modulusOfElasticity,
    push: loads.push,
  });
}

/** A knee or a clamp against a long apron in its middle: cross rails hand it on to the other apron. */
export function apronsPushedAside(context: TableContext): Check[] {
  const { base, loads } = context.document.form;
  const ladder = ladderOf(context);
  const front = findPart(context.piece, 'apron-front');
  if (base.kind !== 'leg-apron' || !ladder || !front) return [];
  const { frame, pushed, span } = ladder;
  const moved = solveFrame(frame);
  if (!moved) return [];
  const value = Math.abs(moved[pushed]?.[1] ?? 0);
  const limit = span * BOW;
  const more = base.crossRails + 1;
  const thicker = Math.ceil(front.size.thickness * Math.cbrt(value / limit) + 1);
  const thick = {
    say: say`Make the aprons ${mm(thicker)} thick`,
    changes: [{ path: 'form.base.apron.thickness', value: thicker }],
  };
  return [
    {
      id: 'stiffness.apron-bow',
      step: 'form',
      level: judge(value, limit, { sense: 'at-most' }) === 'good' ? 'good' : 'watch',
      sentence: say`Pushed in its middle with ${newton(loads.push)}, a long apron bows sideways by ${movement(value)}; ${movement(limit)} is accepted.`,
      value: movement(value),
      limit: movement(limit),
      where: ['apron-front', 'apron-back'],
      why: 'Long rails bow under knees and clamps, and by themselves; cross rails keep them straight and give the top a hold in its middle.',
      school: 'A 250th of its length, common practice',
      figure: {
        id: 'apron-bow',
        label: 'Sideways bow of a long apron',
        quantity: movement(value),
        formula: 'aprons, end aprons and cross rails as a plane frame with stiff joints, corners held by the legs',
        inputs: [
          { label: 'Push', quantity: newton(loads.push) },
          { label: 'Between legs', quantity: mm(span) },
          { label: 'Apron, thick', quantity: mm(front.size.thickness) },
          { label: 'Apron, high where it bends', quantity: mm(front.size.width - base.apron.arch) },
          { label: 'Cross rails', quantity: { amount: base.crossRails, unit: 'count' } },
          { label: 'E', quantity: { amount: woodOf(front, context.species).modulusOfElasticity, unit: 'megapascal' } },
        ],
        source: 'direct stiffness method, any textbook of structural analysis; checked by finite elements, see Methods',
        limits: 'Before the top is on, which holds it too.',
      },
      wayOut:
        more <= 6 ? { say: say`Add a cross rail`, changes: [{ path: 'form.base.crossRails', value: more }] } : thick,
      otherWaysOut: [thick],
    },
  ];
}
