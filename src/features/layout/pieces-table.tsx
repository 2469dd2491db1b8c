'use client';

import { boardFeet, type Layout, ownerOf, pieceLabel } from '@/core';
import { Length } from '@/ui/units';
import { useDerived, useLook } from '../job/job-context';

/** Every piece of a layout with its board. */
export function PiecesTable({ layout }: { layout: Layout }) {
  const { piece, boards } = useDerived();
  const { lit, light } = useLook();
  return (
    <table className="mt-2 w-full">
      <thead>
        <tr className="border-ink border-b text-left">
          <th className="py-1">Piece</th>
          <th>Part</th>
          <th>Board</th>
          <th className="text-right">Rough</th>
          <th className="text-right">Board feet</th>
        </tr>
      </thead>
      <tbody>
        {layout.placements.map((p) => {
          const board = boards.find((b) => b.id === p.board);
          const owner = ownerOf(p.part);
          const part = piece.parts.find((q) => q.id === owner);
          return (
            <tr
              key={`${p.board}${p.x},${p.y},${p.layer ?? 0}`}
              className={`border-hairline border-b ${lit.includes(owner) ? 'bg-layout-tint' : ''}`}
              onPointerEnter={() => light([owner])}
              onPointerLeave={() => light([])}
            >
              <td className="py-1 font-semibold">{pieceLabel(piece, p)}</td>
              <td>{part?.name}</td>
              <td>{board?.tag}</td>
              <td className="text-right">
                <Length mm={p.length} /> × <Length mm={p.width} />
              </td>
              <td className="figures text-right">
                {board
                  ? boardFeet({ length: p.length, width: p.width, roughThickness: board.thickness }).toFixed(2)
                  : ''}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
