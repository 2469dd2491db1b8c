import type { Joint } from '../../../joint/joint';
import { mm, say } from '../../../measure/quantity';
import { box } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import { chordAt, polygonOf } from '../../../solid/outline';
import type { Draft, Fitting } from '../../part';
import type { BasePlan, Rest, TopPlan } from '../../plans';
import { atFigure, type Unbuildable } from '../../unbuildable';
import type { TableForm } from '../form';

/** What keeps a wide top flat, where makers differ. Common practice. */
export const FLATNESS: Readonly<Record<TableForm['flat']['kind'], { name: string; reason: string }>> = {
  none: { name: 'The base', reason: 'Aprons, rails or bearers hold it; enough for most tops.' },
  battens: {
    name: 'Battens',
    reason: 'Screwed from below, fixed in the middle, the outer screws in slots: they hold it flat and let it move.',
  },
  channels: {
    name: 'Steel channel',
    reason:
      'Let in flush across the grain, its holes slotted, room at both ends of the groove: stiff, and out of sight.',
  },
};

/** Room left between a batten and what stands beside its ends, mm; a batten ends so far inside the top's edge. */
const END_ROOM = 10;
const FROM_EDGE = 60;
/** Nearer to a rest of the base than this no batten is set, mm. */
const BESIDE_REST = 20;
/** Thickness of a channel's steel, and how much wider its groove is, mm; common practice. */
const STEEL = 3;
const GROOVE_ROOM = 1;
/** Under a groove so much of the top must be left for the screws to hold and not to show, mm; common practice. */
const LEAST_OVER_GROOVE = 14;

export interface BattenPlan {
  drafts: readonly Draft[];
  joints: readonly Joint[];
  rests: readonly Rest[];
  /** What is bought for so many screws. */
  fittings: (screws: number) => readonly Fitting[];
  problems: readonly Unbuildable[];
}

const NOTHING: BattenPlan = { drafts: [], joints: [], rests: [], fittings: () => [], problems: [] };

type Place = { id: string; x: number; reach: number };

/** What lies across under the top, even along it and clear of what crosses under it already. */
export function planBattens(
  form: TableForm,
  top: TopPlan,
  base: Pick<BasePlan, 'rests' | 'underside' | 'clearAcross'>,
): BattenPlan {
  const { flat } = form;
  if (flat.kind === 'none' || !('cutOuts' in form.top)) return NOTHING;
  const { places, problems } = placesFor(form, flat, top, base);
  const rests = places.map(
    ({ id, x, reach }): Rest => ({
      part: id,
      from: [x, -reach],
      to: [x, reach],
      held: [x, 0],
      slides: true,
      hold: { kind: 'slotted-cleats', travel: flat.travel },
    }),
  );
  if (flat.kind === 'battens') {
    const screw = screwFor(flat.thickness, top.size.thickness);
    return {
      drafts: places.map(({ id, x, reach }, i) => ({
        id,
        name: `Batten ${i + 1}`,
        kind: 'batten',
        grade: 'hidden',
        size: { length: 2 * reach, width: flat.width, thickness: flat.thickness },
        frame: squareFrame([x, 0, base.underside - flat.thickness / 2], { length: 'y', width: 'x', thickness: 'z' }),
      })),
      joints: [],
      rests,
      fittings: (count) => [{ name: 'Screws with washers for the battens', count, size: [screw] }],
      problems,
    };
  }
  const left = top.size.thickness - flat.depth;
  if (left < LEAST_OVER_GROOVE) {
    problems.push({
      problem: say`Over the channel’s groove only ${mm(Math.max(0, left))} of the top would be left.`,
      where: 'form.flat.depth',
      ...atFigure(
        'Take a channel at most',
        Math.max(0, Math.floor(top.size.thickness - LEAST_OVER_GROOVE)),
        ' deep, or a thicker top.',
      ),
    });
  }
  const panel = top.leading;
  return {
    drafts: places.map((place, i) => channel(place, i, flat, base.underside)),
    joints: places.map((place) => groove(place, flat, base.underside, panel)),
    rests,
    fittings: (count) => [
      {
        name: 'Screws with washers for the channels',
        count,
        size: [STEEL + Math.max(8, Math.floor(((left - 8) * 0.8) / 5) * 5)],
      },
    ],
    problems,
  };
}

function placesFor(
  form: TableForm,
  flat: Exclude<TableForm['flat'], { kind: 'none' }>,
  top: TopPlan,
  base: Pick<BasePlan, 'rests' | 'underside' | 'clearAcross'>,
): { places: Place[]; problems: Unbuildable[] } {
  const word = flat.kind === 'battens' ? 'batten' : 'channel';
  const ends = form.top.kind === 'breadboard' ? form.top.end.width : 0;
  const long = top.size.length - 2 * ends;
  const taken = base.rests.flatMap(({ from, to }) =>
    Math.abs(to[1] - from[1]) > Math.abs(to[0] - from[0]) ? [from[0]] : [],
  );
  const polygon = polygonOf(top.outline);
  const places: Place[] = [];
  const problems: Unbuildable[] = [];
  for (let i = 0; i < flat.count; i += 1) {
    const even = -long / 2 + (long * (i + 1)) / (flat.count + 1);
    const x = clearOf(even, taken, flat.width / 2 + BESIDE_REST);
    // How far across the outline reaches there: its chord, the axes exchanged.
    const chord = chordAt(
      polygon.map(([px, py]) => [py, px] as const),
      x,
    );
    const reach = Math.min(
      (chord ? Math.min(-chord.from, chord.to) : 0) - FROM_EDGE,
      base.clearAcross === null ? Number.POSITIVE_INFINITY : base.clearAcross - END_ROOM,
    );
    if (reach >= 80) places.push({ id: `${word}-${i + 1}`, x, reach });
    else {
      problems.push({
        problem: `Under the top there is no room for ${word} ${i + 1}.`,
        where: 'form.flat.count',
        wayOut: `Take fewer ${word}s, or make the top wider.`,
      });
    }
  }
  return { places, problems };
}

type Channels = Extract<TableForm['flat'], { kind: 'channels' }>;

/** A channel with its web against the top and its flanges down, flush with the underside. */
function channel({ id, x, reach }: Place, i: number, { width, depth }: Channels, underside: number): Draft {
  const [l, w, t] = [reach, width / 2, depth / 2];
  return {
    id,
    name: `Steel channel ${i + 1}`,
    kind: 'channel',
    grade: 'hidden',
    size: { length: 2 * reach, width, thickness: depth },
    frame: squareFrame([x, 0, underside + depth / 2], { length: 'y', width: 'x', thickness: 'z' }),
    material: 'steel',
    // Length along y, width along x, thickness upward.
    body: [
      box([-l, -w, t - STEEL], [l, w, t]),
      box([-l, -w, -t], [l, -w + STEEL, t - STEEL]),
      box([-l, w - STEEL, -t], [l, w, t - STEEL]),
    ],
  };
}

function groove({ id, x, reach }: Place, { width, depth }: Channels, underside: number, panel: string): Joint {
  const half = (width + GROOVE_ROOM) / 2;
  return {
    id: `${panel}/${id}`,
    kind: 'let-in',
    name: `steel ${id.replace('-', ' ')} in the top`,
    into: panel,
    from: id,
    removed: [
      {
        part: panel,
        what: 'groove',
        solid: box([x - half, -reach - END_ROOM, underside], [x + half, reach + END_ROOM, underside + depth]),
        open: [[0, 0, -1]],
      },
    ],
    added: [],
    ties: [],
  };
}

/** Through the batten, and as deep into the top as leaves a quarter inch and a little more, mm. */
const screwFor = (batten: number, top: number) => batten + Math.max(8, Math.floor(((top - 8) * 0.8) / 5) * 5);

/** The place nearest to one that keeps so far from all that is taken. */
function clearOf(at: number, taken: readonly number[], room: number): number {
  const free = (x: number) => taken.every((t) => Math.abs(t - x) >= room - 1e-9);
  if (free(at)) return at;
  const candidates = taken.flatMap((t) => [t - room, t + room]).filter(free);
  return candidates.reduce((best, x) => (Math.abs(x - at) < Math.abs(best - at) ? x : best), candidates[0] ?? at);
}
