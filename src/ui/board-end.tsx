'use client';

import type { Board } from '@/core';
import { EndGrain } from './end-grain';
import { useSpecies } from './species';

/** How many plies are drawn at the end of a sheet. */
const PLIES = 5;

/** The end of a board with its rings, or of a sheet with its plies. */
export function BoardEnd({
  board,
  ...place
}: {
  board: Pick<Board, 'species' | 'ringAngle' | 'ringCentre' | 'width'>;
  x: number;
  y: number;
  width: number;
  height: number;
  lit?: boolean;
}) {
  const { find } = useSpecies();
  if (!find(board.species)?.sheet)
    return <EndGrain {...place} rings={board.ringCentre ?? board.ringAngle} boardWidth={board.width} />;
  const { x, y, width, height, lit } = place;
  return (
    <g className={lit ? 'stroke-layout' : 'stroke-ink'}>
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        strokeWidth={1}
        className={lit ? 'fill-layout-tint' : 'fill-wood'}
      />
      {Array.from({ length: PLIES - 1 }, (_, i) => {
        const at = y + ((i + 1) * height) / PLIES;
        return <line key={at} x1={x} x2={x + width} y1={at} y2={at} strokeWidth={0.5} />;
      })}
    </g>
  );
}
