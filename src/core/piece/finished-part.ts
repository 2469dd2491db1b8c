import type { Bench } from '../decision/bench';
import type { Cut, Grown, Joint } from '../joint/joint';
import { type Convex, volumeOf } from '../solid/convex';
import { type Frame, inPiece, solidInPiece, stretched } from '../solid/frame';
import type { Outline } from '../solid/outline';
import { profiled } from '../solid/profile';
import { minus, type Vec } from '../solid/vector';
import { bodyOf, type Draft, type Part, type Size, shoulderLengthOf } from './part';

/** What joints take from and give to each part, by its id. */
export interface JointWork {
  removed: ReadonlyMap<string, readonly Cut[]>;
  added: ReadonlyMap<string, readonly Grown[]>;
}

export function jointWork(joints: readonly Joint[], cuts: readonly Cut[]): JointWork {
  const byPart = <T extends { part: string }>(list: readonly T[]) => {
    const map = new Map<string, T[]>();
    for (const own of list) {
      const known = map.get(own.part);
      if (known) known.push(own);
      else map.set(own.part, [own]);
    }
    return map;
  };
  return {
    removed: byPart([...joints.flatMap((joint) => joint.removed), ...cuts]),
    added: byPart(joints.flatMap((joint) => joint.added)),
  };
}

/** Puts the letter on, the real size where the part is cut and measured, and what its joints take and give. */
export function finishedPart(draft: Draft, letter: string, bench: Bench, work: JointWork): Part {
  const lock = bench.locks[draft.id];
  const size: Size = {
    length: lock?.length ?? draft.size.length,
    width: lock?.width ?? draft.size.width,
    thickness: lock?.thickness ?? draft.size.thickness,
  };
  const beyond = draft.beyond ?? { start: 0, end: 0 };
  const shoulderLength = size.length - beyond.start - beyond.end;
  const { id, name, kind, grade, frame, taper, ends, material, weighs, oneWith, strips } = draft;
  const by: Vec = [
    shoulderLength / shoulderLengthOf(draft),
    size.width / draft.size.width,
    size.thickness / draft.size.thickness,
  ];
  const body = bodyOf(draft).map((solid) => stretched(solid, by));
  const profile = lock
    ? draft.profile?.map(({ at: [l, w], sagitta }) => ({
        at: [l * by[0], w * by[1]] as const,
        ...(sagitta === undefined ? {} : { sagitta: sagitta * by[1] }),
      }))
    : draft.profile;
  const removed = [...(profile ? hollowsOf(id, frame, profile, size.thickness) : []), ...(work.removed.get(id) ?? [])];
  const added = work.added.get(id) ?? [];
  const solidsOf = (list: readonly { solid: Convex }[]) => list.map(({ solid }) => solid);
  return {
    id,
    letter,
    name,
    kind,
    grade,
    size,
    shoulderLength,
    beyond,
    frame,
    body,
    placed: body.map((solid) => solidInPiece(frame, solid)),
    volume: (volumeOf(body) + volumeOf(solidsOf(added)) - volumeOf(solidsOf(removed))) * 1e-9,
    removed,
    added,
    ...(profile ? { profile } : {}),
    ...(taper ? { taper } : {}),
    ...(ends ? { ends } : {}),
    ...(material ? { material } : {}),
    ...(weighs === undefined ? {} : { weighs }),
    ...(oneWith ? { oneWith } : {}),
    ...(strips ? { strips } : {}),
    design: draft.size,
    locked: lock !== undefined,
    cut: lock !== undefined || bench.cut.includes(id),
  };
}

/** What the hollow sides of a curved part take out of it. */
const hollowsOf = (part: string, frame: Frame, profile: Outline, thickness: number): Cut[] =>
  profiled(profile, thickness).hollows.map(({ solid, outward }) => ({
    part,
    what: 'hollow',
    solid: solidInPiece(frame, solid),
    open: [minus(inPiece(frame, outward), frame.at)],
  }));
