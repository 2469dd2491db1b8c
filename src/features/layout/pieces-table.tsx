'use client';

import { boardFeet, type Layout, ownerOf, partOfPiece, writeQuantity } from '@/core';
import { Length, useUnits } from '@/ui/units';
import { useDerived } from '../job/job-context';
import { useLightInJob } from '../job/use-light-in-job';
import { useWood } from './use-wood';

/** Every piece of a layout with its board. */
export function PiecesTable({ layout }: { layout: Layout }) {
  const { job } = useDerived();
  const { style } = useUnits();
  const { boards, labelOf } = useWood();
  const { lit, light } = useLightInJob();
  const alone = job.pieces.length === 1;
  return (
    <table className="mt-2 w-full">
      <thead>
        <tr className="border-ink border-b text-left">
          <th className="py-1">Piece</th>
          <th>Part</th>
          <th>Board</th>
          <th className="text-right">Rough</th>
          <th className="text-right">Rough wood</th>
        </tr>
      </thead>
      <tbody>
        {layout.placements.map((p) => {
          const board = boards.find((b) => b.id === p.board);
          const owner = ownerOf(p.part);
          const { pieceId, instance, part: id } = partOfPiece(owner);
          const piece = job.pieces.find((own) => own.pieceId === pieceId && own.instance === instance);
          const part = piece?.piece.parts.find((own) => own.id === id);
          return (
            <tr
              key={`${p.board}${p.x},${p.y},${p.layer ?? 0}`}
              className={`border-hairline border-b ${lit.includes(owner) ? 'bg-layout-tint' : ''}`}
              onPointerEnter={() => light([owner])}
              onPointerLeave={() => light([])}
            >
              <td className="py-1 font-semibold">{labelOf(p)}</td>
              <td>
                {part?.name}
                {alone ? '' : ` · ${piece?.title}`}
              </td>
              <td>{board?.tag}</td>
              <td className="text-right">
                <Length mm={p.length} /> × <Length mm={p.width} />
              </td>
              <td className="figures text-right">
                {board
                  ? writeQuantity(
                      {
                        amount: boardFeet({ length: p.length, width: p.width, roughThickness: board.thickness }),
                        unit: 'board-foot',
                      },
                      style,
                    )
                  : ''}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
