import { dropOf } from '../../../../joint/loose-wedge';
import { atFigure, between, type Unbuildable, upTo } from '../../../unbuildable';
import type { PostBrace } from './decisions';

/** Shorter than this a diagonal brace is a block, mm; common practice. */
const LEAST_OUT = 70;

/** What cannot be built of posts and braces as they are drawn. mm */
export function postBraceProblems(
  form: PostBrace,
  at: { underside: number; bearerLong: number; out: number; rise: number },
): Unbuildable[] {
  const { foot, post, bearer, rails, braces, stringer } = form;
  const { underside, bearerLong, out, rise } = at;
  const problems: Unbuildable[] = [];
  const add = (problem: string, path: string, out: string | Pick<Unbuildable, 'wayOut' | 'mends'>) =>
    problems.push({ problem, where: `form.base.${path}`, ...(typeof out === 'string' ? { wayOut: out } : out) });
  const clear = { from: foot.height, to: underside - bearer.height };
  if (clear.to - clear.from < 150) {
    add(
      'Between foot and bearer no post is left.',
      'height',
      'Make the table higher, or the foot or the bearer lower.',
    );
  }
  const above = stringer.hold === 'wedge' ? 2 * dropOf(post.section) + 10 : 10;
  if (stringer.at - stringer.height / 2 < clear.from + 10 || stringer.at + stringer.height / 2 > clear.to - above) {
    add(
      'The stringer runs into the foot or the bearer.',
      'stringer.at',
      between(
        'Put its middle between',
        Math.ceil(clear.from + stringer.height / 2 + 10),
        Math.floor(clear.to - stringer.height / 2 - above),
        stringer.at,
        ' above the floor.',
      ),
    );
  }
  if (stringer.thickness > post.section - 20) {
    add('The stringer is as thick as its post.', 'stringer.thickness', 'Make it thinner, or the posts thicker.');
  }
  if (stringer.height < 50 || stringer.thickness < 20) {
    add(
      'The stringer is too small for a deep tenon with shoulders.',
      'stringer.height',
      'Make it at least 50 mm high and 20 mm thick.',
    );
  }
  if (foot.thickness < post.section) {
    add('The foot is thinner than the post on it.', 'foot.thickness', 'Make the foot at least as thick as the post.');
  }
  if (bearer.thickness < post.section / 2) {
    add(
      'The bearer is too thin for the post’s tenon and the rails’ dovetails.',
      'bearer.thickness',
      'Make it at least half as thick as the post.',
    );
  }
  if (rails.apart / 2 + rails.width / 2 > bearerLong / 2 - 10) {
    add(
      'The top rails stand beyond the ends of the bearers.',
      'rails.apart',
      upTo(
        100,
        'Set them at most',
        Math.floor(bearerLong - rails.width - 20),
        'Make the bearers longer, or the rails narrower.',
        ' apart.',
      ),
    );
  }
  if (braces.way === 'across' && post.section / 2 + braces.reach + braces.width * 0.71 > bearerLong / 2) {
    add(
      'The braces reach out beyond the ends of the bearer.',
      'braces.reach',
      upTo(
        60,
        'Let them reach at most',
        Math.floor(bearerLong / 2 - post.section / 2 - braces.width * 0.71),
        'Make the bearers longer, or the braces narrower.',
      ),
    );
  }
  if (braces.way === 'diagonal' && out < LEAST_OUT) {
    add(
      'The top rails stand so near to the posts that nothing is left of the diagonal braces.',
      'rails.apart',
      atFigure('Set them at least', Math.ceil(post.section + 2 * LEAST_OUT), ' apart, or brace across only.'),
    );
  }
  const foots = braces.way === 'across' ? clear.to - braces.reach : underside - rails.thickness - rise;
  if (foots - braces.width * 0.71 < clear.from + 10) {
    add('The braces come down to the feet.', 'braces.width', 'Let them reach less far, or make the table higher.');
  }
  if (braces.thickness > post.section - 10) {
    add('The braces are thicker than their posts.', 'braces.thickness', 'Make them thinner, or the posts thicker.');
  }
  return problems;
}
