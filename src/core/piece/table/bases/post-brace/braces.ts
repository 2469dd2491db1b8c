import { unit } from '../../../../solid/vector';
import type { Draft } from '../../../part';
import { BRACE_DEPTH, type Brace, braceBetween } from '../brace';
import type { PostBrace } from './decisions';
import type { PostFrame } from './stringer';

type Form = PostBrace;

export const FRONT_BACK = [
  { side: -1, word: 'front' },
  { side: 1, word: 'back' },
] as const;

/** Diagonal braces run out to the rails as far along the table as across it, and rise at 45°. mm */
export function runOf({ post, rails }: Form): { out: number; rise: number } {
  const out = Math.max(1, rails.apart / 2 - post.section / 2);
  return { out, rise: out * Math.SQRT2 };
}

/** The two braces of a frame: to its bearer, or to the top rails. */
export function bracesOf(frame: PostFrame, form: Form, topRails: readonly Draft[], underside: number): Brace[] {
  const { post, bearer, rails, braces } = form;
  const half = post.section / 2;
  const { out, rise } = runOf(form);
  const [upper, reach] = [underside - bearer.height, braces.reach];
  const lower = underside - rails.thickness;
  const depth = Math.min(BRACE_DEPTH, half / 2);
  return FRONT_BACK.map(({ side: way, word }, i): Brace => {
    const own = {
      id: `brace-${frame.word}-${word}`,
      name: `Brace, ${frame.word} ${word}`,
      bracing: braces,
      dry: true,
    };
    const foot = (z: number) => ({
      into: frame.post,
      at: [frame.x, way * half, z] as const,
      outward: [0, way, 0] as const,
      depth,
    });
    if (braces.way === 'across') {
      return braceBetween({
        ...own,
        along: unit([0, way, 1]),
        start: foot(upper - reach),
        end: {
          into: frame.bearer,
          at: [frame.x, way * (half + reach), upper],
          outward: [0, 0, -1],
          depth: Math.min(BRACE_DEPTH, bearer.height / 3),
        },
      });
    }
    return braceBetween({
      ...own,
      along: unit([-frame.side, way, Math.SQRT2]),
      start: foot(lower - rise),
      end: {
        into: topRails[i] as Draft,
        at: [frame.x - frame.side * out, (way * rails.apart) / 2, lower],
        outward: [0, 0, -1],
        depth: Math.min(BRACE_DEPTH, rails.thickness / 2),
      },
    });
  });
}
