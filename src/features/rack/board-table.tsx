'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useEffect, useRef } from 'react';
import type { Board } from '@/core';
import { BoardEnd } from '@/ui/board-end';
import { useSpecies } from '@/ui/species';
import { Length, useUnits } from '@/ui/units';
import { KeptFor } from './kept-for';
import type { JobName, RackBoard } from './rack-board';
import type { SortKey, useRack } from './use-rack';

/** Height of a row, px; a taller one is measured when it is drawn. */
const ROW = 34;
/** Rows drawn beyond those in sight. */
const BEYOND = 60;

/** The rows in sight, and those near them; the rest is as high as it would be. */
export function BoardTable({
  rack: { total, want, at },
  head,
  row,
}: {
  rack: ReturnType<typeof useRack>;
  head: ReactNode;
  row: (board: RackBoard) => ReactNode;
}) {
  const list = useRef<HTMLTableElement>(null);
  const virtual = useVirtualizer({
    count: total,
    getScrollElement: () => list.current?.closest('main') ?? null,
    estimateSize: () => ROW,
    overscan: BEYOND,
    initialRect: { width: 1000, height: 700 },
  });
  const rows = virtual.getVirtualItems();
  const [start, end] = [rows[0]?.index ?? 0, rows.at(-1)?.index ?? 0];
  useEffect(() => want(start, end), [want, start, end]);
  return (
    <table ref={list} className="mt-3 w-full" aria-rowcount={total + 1}>
      {head}
      <tbody>
        <Spacer height={rows[0]?.start ?? 0} />
        {rows.map(({ index, key }) => {
          const board = at(index);
          return board ? (
            <tr
              key={board.id}
              ref={virtual.measureElement}
              data-index={index}
              data-tag={board.tag}
              aria-rowindex={index + 2}
              className="border-hairline border-b hover:bg-ground"
            >
              {row(board)}
            </tr>
          ) : (
            <tr key={key} data-index={index} style={{ height: ROW }} className="border-hairline border-b">
              <td colSpan={9} className="text-ink-2">
                …
              </td>
            </tr>
          );
        })}
        <Spacer height={virtual.getTotalSize() - (rows.at(-1)?.end ?? 0)} />
      </tbody>
    </table>
  );
}

/** Headings that the table is sorted by. */
export function RackHead({
  sort,
  onSort,
  inTable,
}: {
  sort: SortKey;
  onSort: (sort: SortKey) => void;
  inTable: boolean;
}) {
  const heading = (key: SortKey, label: string, right = false) => (
    <th
      className={right ? 'text-right' : ''}
      aria-sort={sort === key ? (key === 'tag' || key === 'species' ? 'ascending' : 'descending') : 'none'}
    >
      <button
        type="button"
        className={`py-1.5 hover:underline ${sort === key ? 'font-bold text-layout' : ''}`}
        onClick={() => onSort(key)}
      >
        {label}
      </button>
    </th>
  );
  return (
    <thead className="sticky -top-5 z-10 bg-paper">
      <tr className="border-ink border-b text-left">
        {heading('tag', 'Tag')}
        {inTable ? null : heading('species', 'Wood')}
        {inTable ? null : <th>Board, to scale</th>}
        {heading('length', 'Length', true)}
        {heading('width', 'Width', true)}
        {heading('thickness', 'Thick', true)}
        {heading('moisture', 'Moisture', true)}
        <th className="pl-4">Lot</th>
        {inTable ? <th>Lies at</th> : null}
        <th>
          <span className="sr-only">Edit</span>
        </th>
      </tr>
    </thead>
  );
}

export function BoardCells({ board, longest, jobs }: { board: RackBoard; longest: number; jobs: readonly JobName[] }) {
  const units = useUnits();
  const { nameOf } = useSpecies();
  return (
    <>
      <td className="py-1 pr-3 font-semibold">{board.tag}</td>
      <td className="pr-3">{nameOf(board.species)}</td>
      <td className="py-1">
        <BoardGlyph board={board} longest={longest} />
      </td>
      <td className="text-right">
        <Length mm={board.length} />
      </td>
      <td className="text-right">
        <Length mm={board.width} />
      </td>
      <td className="text-right">
        {board.quarters ? <span className="figures">{board.quarters}/4</span> : <Length mm={board.thickness} />}
      </td>
      <td className="figures text-right">{board.moisture === null ? '–' : `${units.number(board.moisture, 1)} %`}</td>
      <td className="pl-4">
        {board.lot}
        <KeptFor board={board} jobs={jobs} />
        {board.note ? (
          <span className="block max-w-48 truncate text-ink-2" title={board.note}>
            {board.note}
          </span>
        ) : null}
      </td>
    </>
  );
}

/** The rows that are not drawn, above or below. */
const Spacer = ({ height }: { height: number }) =>
  height > 0 ? (
    <tr aria-hidden style={{ height }}>
      <td colSpan={9} />
    </tr>
  ) : null;

function BoardGlyph({ board, longest }: { board: Board; longest: number }) {
  const units = useUnits();
  const scale = 250 / longest;
  const [w, h] = [board.length * scale, Math.max(6, board.width * scale)];
  return (
    <svg
      width={300}
      height={h + 2}
      className="block"
      role="img"
      aria-label={`${units.length(board.length)} by ${units.length(board.width)}, ${board.defects.length === 0 ? 'clear' : board.defects.map((d) => d.kind).join(', ')}`}
    >
      <g transform="translate(1 1)">
        <polygon
          points={`0,0 ${w},0 ${w},${(h * (board.farWidth ?? board.width)) / board.width} 0,${h}`}
          className="fill-wood stroke-ink"
          strokeWidth={0.8}
        />
        {board.defects.map((d) => (
          <rect
            key={`${d.kind}${d.x},${d.y}`}
            x={d.x * scale}
            y={d.y * scale}
            width={Math.max(1.5, d.length * scale)}
            height={Math.max(1.5, d.width * scale)}
            className="fill-stop"
          />
        ))}
        <BoardEnd x={w + 8} y={h / 2 - 5} width={Math.min(34, Math.max(12, h * 1.6))} height={10} board={board} />
      </g>
    </svg>
  );
}
