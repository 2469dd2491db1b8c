import { mm, say } from '../measure/quantity';
import { type Check, judge, type TableContext } from './check';

/** A mitre through the whole thickness against the saw tilted to 45°. */
export function mitresByTheSaw({ piece, shop }: TableContext): Check[] {
  const mitred = piece.joints.filter(({ kind }) => kind === 'mitre-spline' || kind === 'mitre-dowels');
  if (mitred.length === 0) return [];
  const { thickness } = piece.top.size;
  const { sawDepth45 } = shop.tools;
  const fits = judge(thickness, sawDepth45, { sense: 'at-most' }) === 'good';
  return [
    {
      id: 'machines.mitre',
      step: 'joints',
      level: fits ? 'good' : 'watch',
      sentence: fits
        ? say`Tilted to 45° the saw cuts ${mm(sawDepth45)}: the mitres in one pass.`
        : say`The mitres go through ${mm(thickness)}; tilted to 45° the saw cuts ${mm(sawDepth45)}.`,
      value: mm(thickness),
      limit: mm(sawDepth45),
      where: mitred.flatMap(({ into, from }) => [into, from]),
      why: 'A mitre along a wide board shows every tenth of a degree as a gap: one cut, the board held flat.',
      school: 'common practice',
      wayOut: { say: say`Saw it over size from both faces and plane it to 45° on a board for it`, changes: [] },
    },
  ];
}
