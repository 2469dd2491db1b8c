import type { Cut, Grown, Joint } from '../joint/joint';
import type { Convex } from '../solid/convex';
import { blockOf, bodyOf, type Draft, type Size } from './part';
import type { Unbuildable } from './unbuildable';

/** Of what a part is drawn as where its own figures leave nothing of it, mm. */
const LEAST = 1;

const isSolid = ({ corners }: Convex): boolean =>
  corners.length >= 4 && corners.every((corner) => corner.every(Number.isFinite));

const positive = (size: number) => (Number.isFinite(size) && size > 0 ? size : LEAST);

/**
 * A draft whose figures leave nothing of it is drawn as a block of what is left, so that all that follows has finite sizes
 * and places to compute with.
 */
export function solidDraft(draft: Draft): Draft {
  const body = bodyOf(draft);
  const { length, width, thickness } = draft.size;
  const beyond = draft.beyond ?? { start: 0, end: 0 };
  const between = length - beyond.start - beyond.end;
  if (body.length > 0 && body.every(isSolid) && [between, width, thickness].every((side) => side > 0 && side < 1e6))
    return draft;
  const size: Size = { length: positive(between), width: positive(width), thickness: positive(thickness) };
  const { profile, taper, ...plain } = draft;
  return {
    ...plain,
    size,
    beyond: { start: 0, end: 0 },
    frame: draft.frame.at.every(Number.isFinite) ? draft.frame : { ...draft.frame, at: [0, 0, 0] },
    body: [blockOf(size.length, size.width, size.thickness)],
  };
}

/** A joint without the cuts and tenons of which nothing is left. */
export function solidJoint(joint: Joint): Joint {
  const keep = <T extends Cut | Grown>(list: readonly T[]): readonly T[] =>
    list.every(({ solid }) => isSolid(solid)) ? list : list.filter(({ solid }) => isSolid(solid));
  const [removed, added] = [keep(joint.removed), keep(joint.added)];
  const ties = joint.ties.every(({ at }) => [at.x, at.y, at.z].every(Number.isFinite)) ? joint.ties : [];
  return removed === joint.removed && added === joint.added && ties === joint.ties
    ? joint
    : { ...joint, removed, added, ties };
}

/** Told where a kind has drawn a part of which nothing is left and has not said so itself. */
export function nothingLeft(drafts: readonly Draft[], told: readonly Unbuildable[]): Unbuildable[] {
  if (told.length > 0) return [];
  return drafts
    .filter((draft) => solidDraft(draft) !== draft)
    .slice(0, 1)
    .map(({ name }) => ({
      problem: `In these sizes nothing is left of ${name.toLowerCase()}.`,
      where: 'form.base',
      wayOut: 'Make the piece larger, or what surrounds that part smaller.',
    }));
}
