import type { Joint } from '../../../../joint/joint';
import { looseWedge, neckOf } from '../../../../joint/loose-wedge';
import { legPeg, pegs } from '../../../../joint/pegs';
import { tenonJoint } from '../../../../joint/tenon';
import { fixed } from '../../../../restraint/tie';
import type { Vec } from '../../../../solid/vector';
import { type Draft, forJoint } from '../../../part';
import type { PostBrace } from './decisions';

type Form = PostBrace;

/** A pegged stringer goes into three quarters of its post; common practice. */
const DEEP = 0.75;

/** How far a stringer goes into its post: through under a wedge. mm */
export const deepOf = ({ post, stringer }: Form): number =>
  stringer.hold === 'wedge' ? post.section : Math.floor(post.section * DEEP);

/** A third of the post thick at most, with shoulders; under a wedge the upper edge is the stringer's own. mm */
export function stringerTenon({ post, stringer }: Form): { width: number; thickness: number } {
  const thickness = Math.max(6, Math.min(stringer.thickness - 12, Math.floor(post.section / 3)));
  if (stringer.hold === 'wedge') return { width: Math.max(10, neckOf(stringer.height, post.section)), thickness };
  const shoulder = Math.max(6, Math.min(12, Math.round(stringer.height / 10)));
  return { width: Math.max(10, stringer.height - 2 * shoulder), thickness };
}

/** One of two frames: a post on its foot under its bearer. */
export interface PostFrame {
  side: 1 | -1;
  word: string;
  x: number;
  post: Draft;
  foot: Draft;
  bearer: Draft;
}

/** The stringer in a post: through and wedged down, or deep and pegged from the front. */
export function stringerEnd(
  { side, word, x, post }: PostFrame,
  beam: Draft,
  form: Form,
  tenon: { width: number; thickness: number },
): { joints: Joint[]; wedges: Draft[] } {
  const {
    post: { section },
    stringer,
  } = form;
  const id = `${post.id}/${beam.id}`;
  const face = x - (side * section) / 2;
  const along: Vec = [side, 0, 0];
  if (stringer.hold === 'wedge') {
    const { joint, wedge, body, held } = looseWedge({
      id,
      into: forJoint(post),
      from: forJoint(beam),
      wedge: { id: `wedge-${word}`, name: `Wedge, ${word}` },
      at: [face, 0, stringer.at + stringer.height / 2],
      along,
      depth: section,
      tenon: { height: tenon.width, thickness: tenon.thickness },
    });
    return { joints: [joint, held], wedges: [{ ...wedge, kind: 'wedge', grade: 'all-faces', body: [body] }] };
  }
  const at: Vec = [face, 0, stringer.at];
  const size = { ...tenon, length: deepOf(form) };
  const joint = tenonJoint({
    id,
    kind: 'mortise-tenon',
    into: forJoint(post),
    from: forJoint(beam),
    at,
    along,
    wide: [0, 0, 1],
    size,
    ties: [
      fixed({
        id,
        name: `${beam.name} in ${post.name.toLowerCase()}`,
        a: post.id,
        b: beam.id,
        at: { x, y: 0, z: stringer.at },
      }),
    ],
  });
  const held = pegs({
    id: `${id}/pegs`,
    holds: joint,
    into: forJoint(post),
    from: forJoint(beam),
    at,
    along,
    tenon: size,
    wall: section / 2,
    inward: [0, 1, 0],
    diameter: legPeg(section),
    drawBored: true,
  });
  return { joints: [joint, held], wedges: [] };
}
