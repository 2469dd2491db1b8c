import { mm, say } from '../measure/quantity';
import { isPanel, type Part } from '../piece/part';
import type { Check, TableContext } from './check';

/** Parts other than panels crosscut on the saw: flat or on edge, in one pass or in two. Common practice. */
export function partsOnTheSaw({ piece, shop }: TableContext): Check[] {
  const { crosscut, sawDepth } = shop.tools;
  const parts = piece.parts.filter(
    (part) => !part.material && !part.cut && !isPanel(part.kind) && !piece.top.parts.includes(part.id),
  );
  if (parts.length === 0) return [];
  const lies = ({ size: { width, thickness } }: Part, passes: number) =>
    [
      [width, thickness],
      [thickness, width],
    ].some(([across = 0, up = 0]) => across <= crosscut + 1e-9 && up <= passes * sawDepth + 1e-9);
  const inTwo = parts.filter((part) => !lies(part, 1));
  const never = inTwo.filter((part) => !lies(part, 2));
  const told = never.length > 0 ? never : inTwo;
  const largest = (told.length > 0 ? told : parts).reduce((a, b) =>
    b.size.width * b.size.thickness > a.size.width * a.size.thickness ? b : a,
  );
  const { width, thickness } = largest.size;
  return [
    {
      id: 'machines.part-crosscut',
      step: 'joints',
      level: told.length > 0 ? 'watch' : 'good',
      sentence:
        told.length > 0
          ? say`The ${largest.name.toLowerCase()} is ${mm(width)} × ${mm(thickness)}; the saw crosscuts ${mm(crosscut)}, ${mm(sawDepth)} deep.`
          : say`The saw crosscuts every part in one pass.`,
      value: mm(width),
      limit: mm(crosscut),
      where: told.map(({ id }) => id),
      why: 'A shoulder that is cut from two settings shows a step; a wide part pushed free-hand binds.',
      school: 'common practice',
      ...(told.length > 0
        ? {
            wayOut: {
              say:
                never.length > 0
                  ? say`Cut it with a track-guided saw from both faces, or by hand to a knife line and plane the end`
                  : say`Cut it in two passes, turned over against one stop, and pare the step away`,
              changes: [],
            },
          }
        : {}),
    },
  ];
}
