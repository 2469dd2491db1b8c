'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { type Board, boardFeetOf, type Problem, type Shop } from '@/core';
import { Button, buttonLook } from '@/ui/button';
import { EndGrain } from '@/ui/end-grain';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { useSpecies } from '@/ui/species';
import { Length, useUnits } from '@/ui/units';
import { BoardDialog } from './board-dialog';
import { ImportDialog } from './import-dialog';
import { MillingDialog } from './milling-dialog';
import type { RackBoard } from './rack-board';

type SortKey = 'tag' | 'species' | 'length' | 'width' | 'thickness' | 'moisture';

export function RackPage({
  boards,
  bin,
  find,
  today,
  shop,
}: {
  boards: readonly RackBoard[];
  bin: boolean;
  find: string;
  today: string;
  shop: Shop;
}) {
  const router = useRouter();
  const { all, nameOf } = useSpecies();
  const [text, setText] = useState(find);
  const [species, setSpecies] = useState('');
  const [sort, setSort] = useState<SortKey>('tag');
  const [editing, setEditing] = useState<RackBoard | 'new' | null>(null);
  const [milling, setMilling] = useState<RackBoard | null>(null);
  const [importing, setImporting] = useState<string | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const shown = useMemo(() => {
    const wanted = text.trim().toLowerCase();
    return boards
      .filter(
        (b) =>
          (species === '' || b.species === species) &&
          `${b.tag} ${nameOf(b.species)} ${b.lot} ${b.note} ${b.defects.map((d) => d.kind).join(' ')}`
            .toLowerCase()
            .includes(wanted),
      )
      .sort((a, b) =>
        sort === 'tag' || sort === 'species'
          ? a[sort].localeCompare(b[sort], undefined, { numeric: true })
          : (b[sort] ?? 0) - (a[sort] ?? 0),
      );
  }, [boards, text, species, sort, nameOf]);
  const feet = shown.reduce((sum, b) => sum + boardFeetOf(b), 0);
  const here = [...new Set(boards.map((b) => b.species))];
  const longest = Math.max(1, ...boards.map((b) => b.length));
  const act = async (method: string, path: string) => {
    const reply = await request(method, path);
    setProblems(reply.ok ? [] : reply.problems);
    if (reply.ok) router.refresh();
  };
  const heading = (key: SortKey, label: string, right = false) => (
    <th
      className={right ? 'text-right' : ''}
      aria-sort={sort === key ? (key === 'tag' || key === 'species' ? 'ascending' : 'descending') : 'none'}
    >
      <button
        type="button"
        className={`py-1.5 hover:underline ${sort === key ? 'font-bold text-layout' : ''}`}
        onClick={() => setSort(key)}
      >
        {label}
      </button>
    </th>
  );
  return (
    <>
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="text-[19px]">{bin ? 'Boards in the bin' : 'Rack'}</h1>
        <p className="figures mr-auto text-ink-2">
          {shown.length} boards, {feet.toFixed(1)} board feet
        </p>
        <input
          type="search"
          aria-label="Search the rack"
          placeholder="Tag, wood, lot, knot …"
          className="rounded-sm border border-line bg-paper px-2 py-1"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <select
          aria-label="Wood"
          className="rounded-sm border border-line bg-paper px-2 py-1"
          value={species}
          onChange={(event) => setSpecies(event.target.value)}
        >
          <option value="">All woods</option>
          {all
            .filter((s) => here.includes(s.id))
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
              if (file) void file.text().then(setImporting);
              event.target.value = '';
            }}
          />
        </label>
        <a className={buttonLook()} href="/api/boards/export" download>
          Export CSV
        </a>
        <Button look="chief" onClick={() => setEditing('new')}>
          Add a board
        </Button>
      </div>
      <ProblemList problems={problems} />
      {shown.length === 0 ? (
        <p className="mt-8">
          {boards.length > 0
            ? 'No board is like that. Clear the search to see them all.'
            : bin
              ? 'The bin is empty.'
              : 'The rack is empty. Add a board, or import a CSV file of them.'}
        </p>
      ) : (
        <table className="mt-3 w-full">
          <thead>
            <tr className="border-ink border-b text-left">
              {heading('tag', 'Tag')}
              {heading('species', 'Wood')}
              <th>Board, to scale</th>
              {heading('length', 'Length', true)}
              {heading('width', 'Width', true)}
              {heading('thickness', 'Thick', true)}
              {heading('moisture', 'Moisture', true)}
              <th className="pl-4">Lot</th>
              <th>
                <span className="sr-only">Edit</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.map((board) => (
              <tr key={board.id} data-tag={board.tag} className="border-hairline border-b hover:bg-ground">
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
                  {board.quarters ? (
                    <span className="figures">{board.quarters}/4</span>
                  ) : (
                    <Length mm={board.thickness} />
                  )}
                </td>
                <td className="figures text-right">
                  {board.moisture === null ? '–' : `${board.moisture.toFixed(1)} %`}
                </td>
                <td className="pl-4">
                  {board.lot}
                  {board.note ? (
                    <span className="block max-w-48 truncate text-ink-2" title={board.note}>
                      {board.note}
                    </span>
                  ) : null}
                </td>
                <td className="whitespace-nowrap text-right">
                  {bin ? (
                    <Button
                      look="quiet"
                      aria-label={`Restore ${board.tag}`}
                      onClick={() => void act('POST', `/api/boards/${board.id}/restore`)}
                    >
                      Restore
                    </Button>
                  ) : (
                    <>
                      <Button look="quiet" aria-label={`Mill ${board.tag}`} onClick={() => setMilling(board)}>
                        Mill
                      </Button>
                      <Button
                        look="quiet"
                        className="ml-2"
                        aria-label={`Edit ${board.tag}`}
                        onClick={() => setEditing(board)}
                      >
                        Edit
                      </Button>
                      <Button
                        look="quiet"
                        className="ml-2"
                        aria-label={`Move ${board.tag} to the bin`}
                        onClick={() => void act('DELETE', `/api/boards/${board.id}`)}
                      >
                        Bin
                      </Button>
                    </>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="mt-6">
        <Link className="text-layout hover:underline" href={bin ? '/rack' : '/rack?bin'}>
          {bin ? 'Back to the rack' : 'The bin'}
        </Link>
      </p>
      {editing ? (
        <BoardDialog
          board={editing === 'new' ? null : editing}
          today={today}
          onClose={(saved) => {
            setEditing(null);
            if (saved) router.refresh();
          }}
        />
      ) : null}
      {milling ? <MillingDialog board={milling} shop={shop} onClose={() => setMilling(null)} /> : null}
      {importing !== null ? (
        <ImportDialog
          text={importing}
          onClose={(added) => {
            setImporting(null);
            if (added) router.refresh();
          }}
        />
      ) : null}
    </>
  );
}

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
        <rect width={w} height={h} className="fill-wood stroke-ink" strokeWidth={0.8} />
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
        <EndGrain
          x={w + 8}
          y={h / 2 - 5}
          width={Math.min(34, Math.max(12, h * 1.6))}
          height={10}
          rings={board.ringCentre ?? board.ringAngle}
          boardWidth={board.width}
        />
      </g>
    </svg>
  );
}
