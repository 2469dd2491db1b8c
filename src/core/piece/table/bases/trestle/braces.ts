import type { Joint } from '../../../../joint/joint';
import { fixed } from '../../../../restraint/tie';
import { squareFrame } from '../../../../solid/frame';
import { unit, type Vec } from '../../../../solid/vector';
import type { Draft } from '../../../part';
import { BRACE_DEPTH, type Brace, braceBetween } from '../brace';
import type { Trestle } from './decisions';

/** Two braces at 45° from a post to its bearer, one to either side. */
export function trestleBraces(
  form: Trestle,
  braces: Trestle['braces'],
  post: Draft,
  bearer: Draft,
  x: number,
  under: number,
): Brace[] {
  if (!braces) return [];
  const half = form.post.width / 2;
  const where = post.id.replace('post-', '');
  return ([-1, 1] as const).map((side) => {
    const word = side < 0 ? 'front' : 'back';
    return braceBetween({
      id: `brace-${where}-${word}`,
      name: `Brace, ${where} ${word}`,
      bracing: braces,
      along: unit([0, side, 1]),
      start: {
        into: post,
        at: [x, side * half, under - braces.reach],
        outward: [0, side, 0],
        depth: Math.min(BRACE_DEPTH, form.post.width / 3),
      },
      end: {
        into: bearer,
        at: [x, side * (half + braces.reach), under],
        outward: [0, 0, -1],
        depth: Math.min(BRACE_DEPTH, form.bearer.height / 2),
      },
    });
  });
}

/** Along the table: one from each post down to the stretcher. */
export function buttressBraces(
  form: Trestle,
  posts: readonly { side: 1 | -1; post: Draft; inner: number }[],
  stretcher: Draft,
): Brace[] {
  const { buttresses } = form;
  if (!buttresses) return [];
  const upper = form.stretcher.at + form.stretcher.height / 2;
  return posts.map(({ side, post, inner }) => {
    const where = post.id.replace('post-', '');
    return braceBetween({
      id: `buttress-${where}`,
      name: `Buttress, ${where}`,
      bracing: buttresses,
      along: unit([side, 0, 1]),
      start: {
        into: stretcher,
        at: [inner - side * buttresses.reach, 0, upper],
        outward: [0, 0, 1],
        depth: Math.min(BRACE_DEPTH, form.stretcher.height / 3),
      },
      end: {
        into: post,
        at: [inner, 0, upper + buttresses.reach],
        outward: [-side, 0, 0],
        depth: Math.min(BRACE_DEPTH, form.post.thickness / 3),
      },
    });
  });
}

/** Along the foot, mm. */
const PAD_LONG = 80;

/** A pad under both ends of a foot, its grain along the foot's. */
export function footPads(form: Trestle, foot: Draft, x: number, across: number): { pad: Draft; joint: Joint }[] {
  return ([-1, 1] as const).map((side) => {
    const long = Math.min(PAD_LONG, across / 3);
    const at: Vec = [x, (side * (across - long)) / 2, form.pads / 2];
    const pad: Draft = {
      id: `${foot.id.replace('foot', 'pad')}-${side < 0 ? 'front' : 'back'}`,
      name: `Pad, ${foot.id.replace('foot-', '')} ${side < 0 ? 'front' : 'back'}`,
      kind: 'pad',
      grade: 'hidden',
      size: { length: long, width: form.foot.thickness, thickness: form.pads },
      frame: squareFrame(at, { length: 'y', width: 'x', thickness: 'z' }),
    };
    const name = `${pad.name} under ${foot.name.toLowerCase()}`;
    const joint: Joint = {
      id: `${foot.id}/${pad.id}`,
      kind: 'screwed',
      name,
      into: foot.id,
      from: pad.id,
      removed: [],
      added: [],
      ties: [
        fixed({ id: `${foot.id}/${pad.id}`, name, a: foot.id, b: pad.id, at: { x: at[0], y: at[1], z: form.pads } }),
      ],
    };
    return { pad, joint };
  });
}
