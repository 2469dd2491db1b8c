import { atFigure, between, type Unbuildable, upTo } from '../../../unbuildable';
import type { Trestle } from './decisions';

/** What cannot be built of a trestle as it is drawn. mm */
export function trestleProblems(
  form: Trestle,
  underside: number,
  tenon: { width: number; thickness: number },
  bearerLong: number,
): Unbuildable[] {
  const { foot, post, bearer, stretcher, pads } = form;
  const problems: Unbuildable[] = [];
  const braceEnd = form.braces ? form.braces.reach + form.braces.width * 0.71 : 0;
  if (braceEnd > 0 && post.width / 2 + braceEnd > bearerLong / 2) {
    problems.push({
      problem: 'The braces reach out beyond the ends of the bearer.',
      where: 'form.base.braces.reach',
      ...upTo(
        60,
        'Let them reach at most',
        Math.floor(bearerLong / 2 - post.width / 2 - (form.braces?.width ?? 0) * 0.71),
        'Make the bearers longer, or the braces narrower.',
      ),
    });
  }
  const clear = { from: pads + foot.height, to: underside - bearer.height };
  if (clear.to - clear.from < 100) {
    problems.push({
      problem: 'Between foot and bearer no post is left.',
      where: 'form.base.height',
      wayOut: 'Make the table higher, or the foot or the bearer lower.',
    });
  }
  const [low, high] = [stretcher.at - stretcher.height / 2, stretcher.at + stretcher.height / 2];
  if (low < clear.from + 10 || high > clear.to - 10) {
    problems.push({
      problem: 'The stretcher runs into the foot or the bearer.',
      where: 'form.base.stretcher.at',
      ...between(
        'Put its middle between',
        Math.ceil(clear.from + stretcher.height / 2 + 10),
        Math.floor(clear.to - stretcher.height / 2 - 10),
        stretcher.at,
        ' above the floor.',
      ),
    });
  }
  const { buttresses } = form;
  if (buttresses && stretcher.arch > 0) {
    problems.push({
      problem: 'Buttresses stand on a straight stretcher, and this one is arched.',
      where: 'form.base.buttresses',
      wayOut: 'Leave the arch away, or the buttresses.',
    });
  }
  const buttressEnd = buttresses ? high + buttresses.reach + buttresses.width * 0.71 : 0;
  if (buttresses && buttressEnd > clear.to) {
    problems.push({
      problem: 'The buttresses reach up into the bearers’ height.',
      where: 'form.base.buttresses.reach',
      ...upTo(
        60,
        'Let them reach at most',
        Math.floor(clear.to - high - buttresses.width * 0.71),
        'Leave them away, or make the table higher.',
      ),
    });
  }
  const left = foot.height - foot.hollow;
  if (foot.hollow > 0 && left < foot.height / 2) {
    problems.push({
      problem: 'The hollow under the feet leaves less than half of them under the posts.',
      where: 'form.base.foot.hollow',
      ...atFigure('Hollow them by at most', Math.floor(foot.height / 2)),
    });
  }
  if (stretcher.arch > 0 && high + stretcher.arch > clear.to - 10) {
    problems.push({
      problem: 'The arched stretcher rises into the bearers’ height.',
      where: 'form.base.stretcher.arch',
      ...atFigure('Let it rise by at most', Math.max(0, Math.floor(clear.to - 10 - high))),
    });
  }
  if (tenon.width < 15) {
    problems.push({
      problem: 'The stretcher is too low for a tenon with shoulders.',
      where: 'form.base.stretcher.height',
      wayOut: 'Make it at least 30 mm high.',
    });
  }
  for (const [name, thickness, path] of [
    ['foot', foot.thickness, 'form.base.foot.thickness'],
    ['bearer', bearer.thickness, 'form.base.bearer.thickness'],
  ] as const) {
    if (thickness < post.thickness) {
      problems.push({
        problem: `The ${name} is thinner than the post that stands in it.`,
        where: path,
        wayOut: `Make the ${name} at least as thick as the post.`,
      });
    }
  }
  return problems;
}
