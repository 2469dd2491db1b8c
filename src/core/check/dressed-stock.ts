import { count, mm, say } from '../measure/quantity';
import { KIND_PLURALS } from '../piece/kind-words';
import { woodOf } from '../piece/part';
import { hasDressedEdges, hasSectionOf } from '../stock/as-dressed';
import type { Check, TableContext, WayOut } from './check';

/** Where the one figure of a square section is decided. */
const SECTION_PATHS: Readonly<Record<string, string>> = {
  'leg-apron leg': 'form.base.leg.section',
  'post-brace post': 'form.base.post.section',
};

/** Whether the rack has dressed stock of the section of parts that are to be taken as dressed. Common practice. */
export function dressedStock({ document, piece, species, boards: all }: TableContext): Check[] {
  if (!all) return [];
  const { asDressed } = document.layout;
  return asDressed.flatMap((kind): Check[] => {
    const parts = piece.parts.filter((part) => part.kind === kind && !part.material && !part.cut);
    const [first] = parts;
    if (!first) return [];
    const boards = all.filter((board) => board.species === woodOf(first, species).id);
    const words = KIND_PLURALS[kind] ?? kind;
    const lacking = parts.find(
      ({ size }) => !boards.some((board) => hasSectionOf({ finished: size, rough: size }, board)),
    );
    const { width, thickness } = (lacking ?? first).size;
    const path = SECTION_PATHS[`${piece.kind.base} ${kind}`];
    const square = boards
      .filter((board) => hasDressedEdges(board) && Math.abs(board.width - board.thickness) <= 0.5)
      .sort((a, b) => Math.abs(a.width - width) - Math.abs(b.width - width))[0];
    const other: WayOut = {
      say: say`Plane the ${words} from other stock`,
      changes: [{ path: 'layout.asDressed', value: asDressed.filter((own) => own !== kind) }],
    };
    const near: WayOut[] =
      path && square
        ? [{ say: say`Make them ${mm(square.width)}, as the stock is`, changes: [{ path, value: square.width }] }]
        : [];
    const [wayOut = other, ...more] = [...near, other];
    const having = boards.filter((board) => hasSectionOf({ finished: first.size, rough: first.size }, board)).length;
    return [
      {
        id: `stock.dressed-${kind}`,
        step: 'layout',
        level: lacking ? 'stop' : 'good',
        sentence: lacking
          ? say`No dressed board on the rack is ${mm(width)} × ${mm(thickness)}, as the ${words} are.`
          : say`${count(having)} dressed ${having === 1 ? 'board has' : 'boards have'} the section of the ${words}.`,
        value: count(lacking ? 0 : having),
        limit: count(1),
        where: parts.map(({ id }) => id),
        why: 'What is taken as dressed is not planed: the part is as wide and thick as its stock.',
        school: 'common practice',
        ...(lacking ? { wayOut, otherWaysOut: more } : {}),
      },
    ];
  });
}
