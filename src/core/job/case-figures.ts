import type { CaseContext } from '../check/check';
import type { Figure } from '../measure/figure';
import { mm } from '../measure/quantity';
import { backKind, standKind } from '../piece/case/kinds';
import { findPart } from '../piece/piece';
import { boundsOf } from '../solid/convex';

const figure = (
  id: string,
  label: string,
  amount: number,
  formula: string,
  inputs: readonly (readonly [label: string, mm: number])[],
): Figure => ({
  id,
  label,
  quantity: mm(amount),
  formula,
  inputs: inputs.map(([own, value]) => ({ label: own, quantity: mm(value) })),
  source: 'geometry',
});

/** A case over all as it is decided or cut, and what is clear inside. */
export function caseFigures({ piece, document: { form } }: CaseContext): Figure[] {
  const { length, width, height } = piece.overall;
  const inside = piece.spaces.find(({ of }) => of === null);
  const { sides, across } = form.carcass;
  const back = backKind(form.back.kind).depth(form.back);
  const recess = standKind(form.stand.kind).recess?.(form.stand) ?? 0;
  const overAll = [
    figure('case-width', 'Width', length, 'as decided, or as the alcove leaves it', [['Decided', form.width]]),
    figure('case-height', 'Height, over all', height, 'as decided', [['Decided', form.height]]),
    figure('case-depth', 'Depth', width, 'as decided, or as the alcove leaves it', [['Decided', form.depth]]),
  ];
  if (!inside) return overAll;
  const [wide, long] = [inside.right - inside.left, inside.high - inside.low];
  const widths = [['Width', form.width] as const, ['Sides, thick', sides] as const];
  if (piece.opens === 'above') {
    const wall = findPart(piece, piece.leading);
    const { from, to } = boundsOf(wall?.placed ?? []);
    const walls = to[2] - from[2];
    return [
      ...overAll,
      figure('inside-wide', 'Inside, long', wide, 'width − 2 · end', widths),
      figure('inside-high', 'Inside, high', walls - back, 'walls − bottom', [
        ['Walls, high', walls],
        ['Bottom, thick', back],
      ]),
      figure('inside-deep', 'Inside, front to back', long, 'depth − 2 · wall', [
        ['Depth', form.depth],
        ['Front and back, thick', across],
      ]),
    ];
  }
  return [
    ...overAll,
    figure('inside-wide', 'Inside, wide', wide, 'width − 2 · side', widths),
    figure('inside-high', 'Inside, high', long, 'height − what it stands on − 2 · top', [
      ['Height', form.height],
      ['Floor to the bottom', inside.low - across],
      ['Top and bottom, thick', across],
    ]),
    figure(
      'inside-deep',
      'Inside, deep',
      form.depth - back - recess,
      recess > 0 ? 'depth − back − behind it' : 'depth − back',
      [['Depth', form.depth], ['Back, thick', back], ...(recess > 0 ? [['Behind it', recess] as const] : [])],
    ),
  ];
}
