import type { Form } from '../decision/job-document';
import type { Problem } from '../measure/problem';
import { squareFrame } from '../solid/frame';
import { chordAt, polygonOf } from '../solid/outline';
import type { Draft } from './part';
import type { BasePlan, Rest, TopPlan } from './piece';

/** What keeps a wide top flat, where makers differ. Common practice. */
export const FLATNESS: Readonly<Record<Form['flat']['kind'], { name: string; reason: string }>> = {
  none: { name: 'The base alone', reason: 'Aprons, rails or bearers hold it; enough for most tops.' },
  battens: {
    name: 'Battens across',
    reason: 'Screwed from below, fixed in the middle, the outer screws in slots: they hold it flat and let it move.',
  },
};

/** Room left between a batten and what stands beside its ends, mm; a batten ends so far inside the top's edge. */
const END_ROOM = 10;
const FROM_EDGE = 60;
/** Nearer to a rest of the base than this no batten is set, mm. */
const BESIDE_REST = 20;

export interface BattenPlan {
  drafts: readonly Draft[];
  rests: readonly Rest[];
  /** Length of its screws, mm. */
  screw: number;
  problems: readonly Problem[];
}

/** Battens under the top, even along it and clear of what crosses under it already. */
export function planBattens(
  form: Form,
  top: TopPlan,
  base: Pick<BasePlan, 'rests' | 'underside' | 'clearAcross'>,
): BattenPlan {
  const { flat } = form;
  if (flat.kind === 'none' || form.top.kind === 'slatted') return { drafts: [], rests: [], screw: 0, problems: [] };
  const ends = form.top.kind === 'breadboard' ? form.top.end.width : 0;
  const long = top.size.length - 2 * ends;
  const taken = base.rests.flatMap(({ from, to }) =>
    Math.abs(to[1] - from[1]) > Math.abs(to[0] - from[0]) ? [from[0]] : [],
  );
  const polygon = polygonOf(top.outline);
  const drafts: Draft[] = [];
  const rests: Rest[] = [];
  const problems: Problem[] = [];
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
    if (reach < 80) {
      problems.push({
        problem: `Under the top there is no room for batten ${i + 1}.`,
        where: 'form.flat.count',
        wayOut: 'Take fewer battens, or make the top wider.',
      });
      continue;
    }
    const id = `batten-${i + 1}`;
    drafts.push({
      id,
      name: `Batten ${i + 1}`,
      kind: 'batten',
      grade: 'hidden',
      size: { length: 2 * reach, width: flat.width, thickness: flat.thickness },
      frame: squareFrame([x, 0, base.underside - flat.thickness / 2], { length: 'y', width: 'x', thickness: 'z' }),
    });
    rests.push({
      part: id,
      from: [x, -reach],
      to: [x, reach],
      held: [x, 0],
      slides: true,
      hold: { kind: 'slotted-cleats', travel: flat.travel },
    });
  }
  return { drafts, rests, screw: screwFor(flat.thickness, top.size.thickness), problems };
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
