'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import Link from 'next/link';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import type { RackPart } from '@/contract/replies';
import type { Board, Shop } from '@/core';
import { BoardEnd } from '@/ui/board-end';
import { Button, buttonLook } from '@/ui/button';
import { later } from '@/ui/later';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { useSpecies } from '@/ui/species';
import { Length, useUnits } from '@/ui/units';
import { EditCells } from './edit-cells';
import { KeptFor } from './kept-for';
import type { JobName, RackBoard, Shelf } from './rack-board';
import { type SortKey, useRack } from './use-rack';

const BoardDialog = later(() => import('./board-dialog'));
const MillingDialog = later(() => import('./milling-dialog'));
const ImportDialog = later(() => import('./import-dialog'));

/** Height of a row, px; a taller one is measured when it is drawn. */
const ROW = 34;
/** Rows drawn beyond those in sight. */
const BEYOND = 60;

export function RackPage({
  first,
  longest,
  shelf,
  find,
  today,
  shop,
  jobs,
  opened,
}: {
  /** The first part of the rack, as the server found it. */
  first: RackPart;
  /** mm; boards are drawn to this scale. */
  longest: number;
  shelf: Shelf;
  find: string;
  today: string;
  shop: Shop;
  /** Of the jobs that boards may be kept for. */
  jobs: readonly JobName[];
  /** A board to open at once, as the code on its label asks for. */
  opened: RackBoard | 'gone' | null;
}) {
  const [text, setText] = useState(find);
  const [species, setSpecies] = useState('');
  const [sort, setSort] = useState<SortKey>('tag');
  const [open, setOpen] = useState<Open>(opened && opened !== 'gone' ? { dialog: 'board', board: opened } : null);
  const [inTable, setInTable] = useState(false);
  const rack = useRack(first, { shelf, find: text, wood: species, sort });
  const act = async (method: string, path: string) => {
    const reply = await request(method, path);
    rack.setProblems(reply.ok ? [] : reply.problems);
    if (reply.ok) await rack.reload();
  };
  return (
    <>
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="text-[19px]">{TITLES[shelf]}</h1>
        <p className="figures mr-auto text-ink-2">
          {rack.total} {rack.total === 1 ? 'board' : 'boards'}, {rack.boardFeet.toFixed(1)} board feet
        </p>
        <RackTools
          {...{ shelf, text, species, inTable, woods: rack.woods }}
          onText={setText}
          onSpecies={setSpecies}
          onTable={() => setInTable(!inTable)}
          onImport={(read) => setOpen({ dialog: 'import', text: read })}
          onAdd={() => setOpen({ dialog: 'board', board: null })}
        />
      </div>
      <ProblemList problems={rack.problems} />
      {opened === 'gone' ? (
        <p role="alert" className="mt-2 text-stop">
          The board of that label is not on the rack: it is used up, in the bin, or of another workshop.
        </p>
      ) : null}
      {rack.total === 0 ? (
        <p className="mt-8">
          {text || species ? 'No board is like that. Clear the search to see them all.' : EMPTY[shelf]}
        </p>
      ) : (
        <BoardTable
          rack={rack}
          head={<RackHead sort={sort} onSort={setSort} inTable={inTable} />}
          row={(board) => (
            <>
              {inTable ? (
                <EditCells board={board} onSaved={rack.replace} onProblems={rack.setProblems} />
              ) : (
                <BoardCells board={board} longest={longest} jobs={jobs} />
              )}
              <td className="whitespace-nowrap text-right">
                <BoardActions
                  board={board}
                  shelf={shelf}
                  onAct={act}
                  onMill={() => setOpen({ dialog: 'milling', board })}
                  onEdit={() => setOpen({ dialog: 'board', board })}
                />
              </td>
            </>
          )}
        />
      )}
      <p className="mt-6">
        {SHELVES.filter((other) => other !== shelf).map((other) => (
          <Link
            key={other}
            className="mr-5 text-layout hover:underline"
            href={other === 'rack' ? '/rack' : `/rack?${other}`}
          >
            {TO_SHELF[other]}
          </Link>
        ))}
      </p>
      <RackDialog
        {...{ open, today, jobs, shop }}
        onClose={(changed) => {
          setOpen(null);
          if (changed) void rack.reload();
        }}
      />
    </>
  );
}

/** The dialog that stands over the rack, of a board that is there, or a new one. */
type Open =
  | { dialog: 'board'; board: RackBoard | null }
  | { dialog: 'milling'; board: RackBoard }
  | { dialog: 'import'; text: string }
  | null;

function RackDialog({
  open,
  today,
  jobs,
  shop,
  onClose,
}: {
  open: Open;
  today: string;
  jobs: readonly JobName[];
  shop: Shop;
  onClose: (changed: boolean) => void;
}) {
  switch (open?.dialog) {
    case 'board':
      return <BoardDialog board={open.board} today={today} jobs={jobs} onClose={onClose} />;
    case 'milling':
      return <MillingDialog board={open.board} shop={shop} onClose={onClose} />;
    case 'import':
      return <ImportDialog text={open.text} onClose={onClose} />;
    default:
      return null;
  }
}

/** The rows in sight, and those near them; the rest is as high as it would be. */
function BoardTable({
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

/** What the shelf is searched by, and what is done with all of it. */
function RackTools({
  shelf,
  text,
  species,
  inTable,
  woods,
  onText,
  onSpecies,
  onTable,
  onImport,
  onAdd,
}: {
  shelf: Shelf;
  text: string;
  species: string;
  inTable: boolean;
  /** Ids of those that there are boards of. */
  woods: readonly string[];
  onText: (text: string) => void;
  onSpecies: (species: string) => void;
  onTable: () => void;
  onImport: (csv: string) => void;
  onAdd: () => void;
}) {
  const { all } = useSpecies();
  return (
    <>
      <input
        type="search"
        aria-label="Search the rack"
        placeholder="Tag, wood, lot, knot …"
        className="rounded-sm border border-line bg-paper px-2 py-1"
        value={text}
        onChange={(event) => onText(event.target.value)}
      />
      <select
        aria-label="Wood"
        className="rounded-sm border border-line bg-paper px-2 py-1"
        value={species}
        onChange={(event) => onSpecies(event.target.value)}
      >
        <option value="">All woods</option>
        {all
          .filter((s) => woods.includes(s.id))
          .map((s) => (
            <option key={s.id} value={s.id}>
              {s.commonName}
            </option>
          ))}
      </select>
      <label className={`${buttonLook()} cursor-pointer focus-within:outline-2 focus-within:outline-layout`}>
        Import CSV
        <input
          type="file"
          accept=".csv,text/csv"
          className="sr-only"
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) void file.text().then(onImport);
            event.target.value = '';
          }}
        />
      </label>
      <a
        className={buttonLook()}
        href={`/api/boards/labels.pdf?${new URLSearchParams({ find: text, wood: species })}`}
        title="Of the boards that are shown"
        download
      >
        Labels
      </a>
      <a className={buttonLook()} href="/api/boards/export" download>
        Export CSV
      </a>
      {shelf === 'rack' ? (
        <Button aria-pressed={inTable} onClick={onTable}>
          {inTable ? 'Done' : 'Edit in the table'}
        </Button>
      ) : null}
      <Button look="chief" onClick={onAdd}>
        Add a board
      </Button>
    </>
  );
}

/** Headings that the table is sorted by. */
function RackHead({ sort, onSort, inTable }: { sort: SortKey; onSort: (sort: SortKey) => void; inTable: boolean }) {
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

function BoardCells({ board, longest, jobs }: { board: RackBoard; longest: number; jobs: readonly JobName[] }) {
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
      <td className="figures text-right">{board.moisture === null ? '–' : `${board.moisture.toFixed(1)} %`}</td>
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

/** What is done with one board: what there is to do depends on where it is. */
function BoardActions({
  board,
  shelf,
  onAct,
  onMill,
  onEdit,
}: {
  board: RackBoard;
  shelf: Shelf;
  onAct: (method: string, path: string) => Promise<void>;
  onMill: () => void;
  onEdit: () => void;
}) {
  const { find: woodOf } = useSpecies();
  if (shelf === 'used')
    return (
      <Button
        look="quiet"
        aria-label={`Put ${board.tag} back`}
        title="As it was; its offcuts go into the bin"
        onClick={() => void onAct('POST', `/api/boards/${board.id}/put-back`)}
      >
        Put back
      </Button>
    );
  if (shelf === 'bin')
    return (
      <Button
        look="quiet"
        aria-label={`Restore ${board.tag}`}
        onClick={() => void onAct('POST', `/api/boards/${board.id}/restore`)}
      >
        Restore
      </Button>
    );
  return (
    <>
      {woodOf(board.species)?.sheet ? null : (
        <Button look="quiet" aria-label={`Mill ${board.tag}`} onClick={onMill}>
          Mill
        </Button>
      )}
      <Button look="quiet" className="ml-2" aria-label={`Edit ${board.tag}`} onClick={onEdit}>
        Edit
      </Button>
      <Button
        look="quiet"
        className="ml-2"
        aria-label={`Move ${board.tag} to the bin`}
        onClick={() => void onAct('DELETE', `/api/boards/${board.id}`)}
      >
        Bin
      </Button>
    </>
  );
}

const SHELVES: readonly Shelf[] = ['rack', 'used', 'bin'];
const TITLES: Record<Shelf, string> = { rack: 'Rack', used: 'Boards used up', bin: 'Boards in the bin' };
const TO_SHELF: Record<Shelf, string> = { rack: 'Back to the rack', used: 'Boards used up', bin: 'The bin' };
const EMPTY: Record<Shelf, string> = {
  rack: 'The rack is empty. Add a board, or import a CSV file of them.',
  used: 'No job has used up a board yet.',
  bin: 'The bin is empty.',
};

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
