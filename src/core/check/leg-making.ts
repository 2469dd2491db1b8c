import { mm, say } from '../measure/quantity';
import { halfDiagonal } from '../piece/table/bases/leg-apron/making';
import type { Check, TableContext } from './check';

/** Whether the shop's saws reach what the making of the legs asks of them. Common practice. */
export function legsByTheShop({ document, piece, shop }: TableContext): Check[] {
  const { base } = document.form;
  if (base.kind !== 'leg-apron') return [];
  const { making, taper } = base.leg;
  const legs = piece.parts.filter((part) => part.kind === 'leg' && !part.cut);
  const section = legs[0]?.size.width ?? 0;
  const where = legs.map((part) => part.id);
  if (legs.length === 0) return [];
  if (making.kind === 'two-at-45') {
    const half = halfDiagonal(section);
    const reach = shop.tools.sawDepth45;
    const level = half <= reach + 1e-9 ? 'good' : 'watch';
    return [
      {
        id: 'legs.cut-at-45',
        step: 'form',
        level,
        sentence:
          level === 'good'
            ? say`Tilted to 45° the saw frees the ${mm(section)} legs in one cut a side.`
            : say`Freeing a ${mm(section)} leg at 45° is ${mm(half)} deep; the tilted saw cuts ${mm(reach)}.`,
        value: mm(half),
        limit: mm(reach),
        where,
        why: 'A corner that does not come free is torn off, and the leg with it.',
        school: 'A 45° cut in thick stock may want two cuts, common practice',
        wayOut: {
          say: say`Cut each side twice, the blank turned end for end, or on the band saw with its table tilted`,
          changes: [],
        },
      },
    ];
  }
  if (making.kind !== 'faced') return [];
  const high = shop.tools.resawHeight;
  const checks: Check[] = [
    {
      id: 'legs.veneers-resawn',
      step: 'form',
      level: section + shop.allowances.partWidth <= high + 1e-9 ? 'good' : 'stop',
      sentence: say`The veneers are resawn ${mm(section + shop.allowances.partWidth)} high; the band saw takes ${mm(high)}.`,
      value: mm(section + shop.allowances.partWidth),
      limit: mm(high),
      where,
      why: 'Four veneers of one leg come from one board, in sequence.',
      school: 'common practice',
      wayOut: {
        say: say`Have them sawn, or make the legs of staves`,
        changes: [{ path: 'form.base.leg.making', value: { kind: 'staves', count: 2 } }],
      },
    },
  ];
  if (taper.kind === 'tapered') {
    const deep = section - taper.foot + Math.max(0, taper.hollow);
    checks.push({
      id: 'legs.taper-through-veneer',
      step: 'form',
      level: deep > making.veneer ? 'stop' : 'good',
      sentence:
        deep > making.veneer
          ? say`The taper takes ${mm(deep)} off two faces whose veneer is ${mm(making.veneer)} thick: it lays the core bare.`
          : say`The taper stays within the veneer.`,
      value: mm(deep),
      limit: mm(making.veneer),
      where,
      why: 'What was faced to look alike on all sides shows its core where it is tapered.',
      school: 'common practice',
      wayOut: {
        say: say`Keep faced legs straight`,
        changes: [{ path: 'form.base.leg.taper', value: { kind: 'straight' } }],
      },
    });
  }
  return checks;
}
