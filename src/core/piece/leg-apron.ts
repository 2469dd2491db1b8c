import { LEAST_BACK_WALL, legCorner } from '../joint/leg-corner';
import { stubTenonLength } from '../joint/stub-tenon';
import type { Problem } from '../measure/problem';
import { HOLDS } from './hold';
import type { Fastener, Fitting, Part, Size } from './part';
import type { Piece, PieceDecisions } from './piece';
import { settleLocks } from './settle-locks';

// I and O read as one and nought on a board end.
const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ';
const NO_TENON = { start: 0, end: 0, thickness: 0, width: 0, topSet: 0 };

type Draft = Omit<Part, 'letter' | 'design' | 'locked' | 'cut'>;

/** A glued top on four legs, four aprons and perhaps cross rails between the long aprons. */
export function legApronTable({ form, joints, bench }: PieceDecisions): Piece {
  const cornerFor = (section: number, apronThickness: number, apronHeight: number) =>
    legCorner({ section, apronThickness, apronHeight, reveal: form.base.apron.reveal, choice: joints });
  const grown = (corner: ReturnType<typeof cornerFor>) => (corner.kind === 'mortise-tenon' ? corner.tenon.length : 0);

  const settled = settleLocks(form, bench, (s, t, h) => grown(cornerFor(s, t, h)));
  const { top, leg, apron } = settled;
  const corner = cornerFor(leg.section, apron.thickness, apron.height);
  const problems = impossible(form, settled);

  const base = {
    length: Math.max(settled.base.length, 2 * leg.section + 1),
    width: Math.max(settled.base.width, 2 * leg.section + 1),
  };
  const shoulder = { long: base.length - 2 * leg.section, short: base.width - 2 * leg.section };
  const tenon = grown(corner);
  const { thickness: tenonThickness, width: tenonWidth, topSet } = corner.tenon;
  const apronTenon = { start: tenon, end: tenon, thickness: tenonThickness, width: tenonWidth, topSet };
  const railZ = leg.length - apron.height / 2;
  const apronInset = form.base.apron.reveal + apron.thickness / 2;

  const drafts: Draft[] = [
    {
      id: 'top',
      name: 'Top',
      kind: 'top',
      grade: 'one-face',
      size: { ...top },
      shoulderLength: top.length,
      tenon: NO_TENON,
      place: { x: 0, y: 0, z: leg.length + top.thickness / 2 },
      axes: { length: 'x', width: 'y', thickness: 'z' },
    },
  ];

  const taper = form.base.leg.taper;
  const corners = [
    ['leg-front-left', 'Leg, front left', -1, -1],
    ['leg-front-right', 'Leg, front right', 1, -1],
    ['leg-back-left', 'Leg, back left', -1, 1],
    ['leg-back-right', 'Leg, back right', 1, 1],
  ] as const;
  for (const [id, name, sx, sy] of corners) {
    drafts.push({
      id,
      name,
      kind: 'leg',
      grade: 'all-faces',
      size: { length: leg.length, width: leg.section, thickness: leg.section },
      shoulderLength: leg.length,
      tenon: NO_TENON,
      place: { x: (sx * (base.length - leg.section)) / 2, y: (sy * (base.width - leg.section)) / 2, z: leg.length / 2 },
      axes: { length: 'z', width: 'x', thickness: 'y' },
      ...(taper.kind === 'tapered' ? { taper: { foot: taper.foot, from: leg.length - apron.height - 15 } } : {}),
    });
  }

  const longY = base.width / 2 - apronInset;
  for (const [id, name, sy] of [
    ['apron-front', 'Apron, front', -1],
    ['apron-back', 'Apron, back', 1],
  ] as const) {
    drafts.push({
      id,
      name,
      kind: 'apron',
      grade: 'one-face',
      size: { length: shoulder.long + 2 * tenon, width: apron.height, thickness: apron.thickness },
      shoulderLength: shoulder.long,
      tenon: apronTenon,
      place: { x: 0, y: sy * longY, z: railZ },
      axes: { length: 'x', width: 'z', thickness: 'y' },
    });
  }
  const shortX = base.length / 2 - apronInset;
  for (const [id, name, sx] of [
    ['apron-left', 'Apron, left', -1],
    ['apron-right', 'Apron, right', 1],
  ] as const) {
    drafts.push({
      id,
      name,
      kind: 'apron',
      grade: 'one-face',
      size: { length: shoulder.short + 2 * tenon, width: apron.height, thickness: apron.thickness },
      shoulderLength: shoulder.short,
      tenon: apronTenon,
      place: { x: sx * shortX, y: 0, z: railZ },
      axes: { length: 'y', width: 'z', thickness: 'x' },
    });
  }

  const rails = crossRails(form.base.crossRails, base, apronInset, apron, leg.length);
  const parts = [...drafts, ...rails].map((draft, i) => finish(draft, LETTERS[i] ?? `${i + 1}`, bench));
  const inside = base.width / 2 - form.base.apron.reveal - apron.thickness;
  const fasteners = placeFasteners(form, shoulder, inside, shortX - apron.thickness / 2, rails);

  return {
    parts,
    corner,
    fasteners,
    fittings: fittingsFor(form, corner, fasteners.length),
    overall: { length: top.length, width: top.width, height: leg.length + top.thickness },
    base,
    overhang: { end: (top.length - base.length) / 2, side: (top.width - base.width) / 2 },
    kneeHeight: leg.length - apron.height,
    jointCount: 8 + 2 * rails.length,
    problems,
  };
}

function crossRails(
  count: number,
  base: { length: number; width: number },
  apronInset: number,
  apron: { height: number; thickness: number },
  legLength: number,
): Draft[] {
  const stub = stubTenonLength(apron.thickness);
  const clear = base.width - 2 * apronInset - apron.thickness;
  const height = Math.round(Math.min(apron.height, Math.max(40, apron.height * 0.6)));
  return Array.from({ length: count }, (_, i) => ({
    id: `cross-rail-${i + 1}`,
    name: `Cross rail ${i + 1}`,
    kind: 'cross-rail' as const,
    grade: 'hidden' as const,
    size: { length: clear + 2 * stub, width: height, thickness: apron.thickness },
    shoulderLength: clear,
    tenon: { start: stub, end: stub, thickness: Math.round(apron.thickness / 3), width: height - 12, topSet: 6 },
    place: { x: -base.length / 2 + (base.length * (i + 1)) / (count + 1), y: 0, z: legLength - height / 2 },
    axes: { length: 'y' as const, width: 'z' as const, thickness: 'x' as const },
  }));
}

function placeFasteners(
  form: PieceDecisions['form'],
  shoulder: { long: number; short: number },
  insideY: number,
  endX: number,
  rails: readonly Draft[],
): Fastener[] {
  const count = Math.max(2, Math.ceil(shoulder.long / HOLDS[form.hold.kind].spacing));
  const along = Array.from({ length: count }, (_, i) => -shoulder.long / 2 + (shoulder.long * (i + 0.5)) / count);
  const sliding = along.flatMap((x, i) => [
    { id: `front-${i + 1}`, x, y: -insideY, on: 'apron-front', holdsMiddle: false },
    { id: `back-${i + 1}`, x, y: insideY, on: 'apron-back', holdsMiddle: false },
  ]);
  const middle = [
    { id: 'left', x: -endX, y: 0, on: 'apron-left', holdsMiddle: true },
    { id: 'right', x: endX, y: 0, on: 'apron-right', holdsMiddle: true },
    ...rails.map((rail) => ({ id: rail.id, x: rail.place.x, y: 0, on: rail.id, holdsMiddle: true })),
  ];
  return [...sliding, ...middle];
}

function fittingsFor(form: PieceDecisions['form'], corner: Piece['corner'], fasteners: number): Fitting[] {
  const hold = HOLDS[form.hold.kind];
  const fittings: Fitting[] = [
    { name: hold.name, count: fasteners, size: [] },
    { name: 'Wood screws for the top', count: fasteners, size: [form.hold.screwLength] },
  ];
  if (corner.kind === 'loose-tenon') {
    const { thickness, width, length, intoApron, count } = corner.tenon;
    fittings.push({ name: 'Loose tenons', count: 8 * count, size: [thickness, width, length + intoApron] });
  }
  return fittings;
}

/** Puts the letter on, and the real size where the part is cut and measured. */
function finish(draft: Draft, letter: string, bench: PieceDecisions['bench']): Part {
  const lock = bench.locks[draft.id];
  const size: Size = {
    length: lock?.length ?? draft.size.length,
    width: lock?.width ?? draft.size.width,
    thickness: lock?.thickness ?? draft.size.thickness,
  };
  const beyond = draft.size.length - draft.shoulderLength;
  return {
    ...draft,
    letter,
    size,
    shoulderLength: size.length - beyond,
    design: draft.size,
    locked: lock !== undefined,
    cut: lock !== undefined || bench.cut.includes(draft.id),
  };
}

function impossible(form: PieceDecisions['form'], settled: ReturnType<typeof settleLocks>): Problem[] {
  const problems: Problem[] = [];
  const { base, leg, apron, top } = settled;
  if (base.length < 2 * leg.section + 50 || base.width < 2 * leg.section + 50) {
    const across = base.width < 2 * leg.section + 50;
    problems.push({
      problem: 'The legs would stand in each other: too little is left between them.',
      where: across ? 'form.top.sideOverhang' : 'form.top.endOverhang',
      wayOut: 'Make the top larger, the overhang smaller or the legs thinner.',
    });
  }
  const back = form.base.apron.reveal + apron.thickness;
  if (back > leg.section - LEAST_BACK_WALL) {
    problems.push({
      problem: 'The apron is set so far back, or is so thick, that its tenon misses the leg.',
      where: 'form.base.apron.reveal',
      wayOut: 'Make the reveal or the apron smaller, or the leg thicker.',
    });
  }
  if (leg.length <= apron.height + 20) {
    problems.push({
      problem: 'The apron reaches the floor.',
      where: 'form.base.apron.height',
      wayOut: 'Make the apron lower or the table higher.',
    });
  }
  if (form.base.leg.taper.kind === 'tapered' && form.base.leg.taper.foot > leg.section) {
    problems.push({
      problem: 'The foot of the leg is thicker than its top.',
      where: 'form.base.leg.taper.foot',
      wayOut: 'A taper ends thinner than it starts: make the foot smaller.',
    });
  }
  if (top.thickness >= form.base.height) {
    problems.push({
      problem: 'The top is as thick as the table is high.',
      where: 'form.top.thickness',
      wayOut: 'Make the top thinner or the table higher.',
    });
  }
  return problems;
}
