import type { Cut, Joint } from '../../../../joint/joint';
import { boltHoles, type StretcherEnd, tusk, wedgeKerfs } from '../../../../joint/stretcher-ends';
import { fixed } from '../../../../restraint/tie';
import { clipAll, planeThrough } from '../../../../solid/convex';
import { solidInPart, squareFrame } from '../../../../solid/frame';
import type { Draft } from '../../../part';
import type { Trestle } from './decisions';

/** What wedges or a bolt take from the stretcher's end and its post. */
export function cutsForHold(end: StretcherEnd, { stretcher }: Trestle, out: number): Cut[] {
  switch (stretcher.joint) {
    case 'wedged':
      return wedgeKerfs(end, stretcher.proud);
    case 'bolted':
      return boltHoles({ ...end, stub: out, thickness: stretcher.thickness });
    case 'tusk':
      return [];
  }
}

/** A tusk as a part of its own, in its mortise through the tenon. */
export function tuskFor(end: StretcherEnd, rail: Draft): { draft: Draft; joint: Joint } {
  const { body, middle, size, mortise } = tusk(end);
  const word = end.side < 0 ? 'left' : 'right';
  const frame = squareFrame(middle, { length: 'z', width: 'x', thickness: 'y' });
  const draft: Draft = {
    id: `tusk-${word}`,
    name: `Tusk, ${word}`,
    kind: 'wedge',
    grade: 'all-faces',
    size,
    frame,
    body: [solidInPart(frame, body)],
  };
  const id = `${rail.id}/${draft.id}`;
  const name = `${draft.name} in ${rail.name.toLowerCase()}`;
  const [x, y, z] = middle;
  return {
    draft,
    joint: {
      id,
      kind: 'tusk',
      name,
      into: rail.id,
      from: draft.id,
      removed: [mortise],
      added: [],
      ties: [fixed({ id, name, a: rail.id, b: draft.id, at: { x, y, z } })],
    },
  };
}

/** A through mortise is as deep as its post is thick. */
export function mortiseOnly(solid: Joint['removed'][number]['solid'], x: number, thickness: number) {
  return clipAll(solid, [
    planeThrough([x + thickness / 2, 0, 0], [1, 0, 0]),
    planeThrough([x - thickness / 2, 0, 0], [-1, 0, 0]),
  ]);
}
