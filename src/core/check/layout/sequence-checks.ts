import type { Demand } from '../../layout/demand';
import { joinsIn, rowsOf, setsOf } from '../../layout/in-sequence';
import type { Layout } from '../../layout/layout';
import { count, say } from '../../measure/quantity';
import { ownerOf } from '../../piece/table/bases/leg-apron/making';
import type { Check } from '../check';

/** Whether the parts of each set follow one another along their board, so that the grain runs on from one to the next. */
export function sequenceChecks(demand: Demand, layout: Pick<Layout, 'placements'>, kerf: number): Check[] {
  return setsOf(demand).flatMap((set): Check[] => {
    const own = layout.placements.filter((p) => set.some(({ id }) => id === p.part));
    if (own.length !== set.length || new Set(own.map((p) => p.board)).size > 1) return [];
    const rows = rowsOf(own, kerf);
    const joins = joinsIn(set, rows);
    const letterOf = (id: string) => set.find((part) => part.id === id)?.letter ?? id;
    const inOrder = rows.map((row) => row.map((p) => letterOf(p.part)).join(' ')).join(' and ');
    return [
      {
        id: `layout.sequence-${set[0]?.together ?? ''}`,
        step: 'layout',
        level: 'good',
        sentence:
          joins > 0
            ? say`${inOrder} lie in this order along one board: the grain runs on at ${count(joins)} of ${count(set.length)} corners.`
            : say`${inOrder} come from one board; no two that meet at a corner lie end to end on it.`,
        value: count(joins),
        limit: count(set.length),
        where: [...new Set(set.map(({ id }) => ownerOf(id)))],
        why: 'Cut one after the other from a board and put round in that order, the parts look as if the wood were bent round the corners.',
        school: 'Parts in sequence, common practice',
      },
    ];
  });
}
