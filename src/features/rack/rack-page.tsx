'use client';

import Link from 'next/link';
import { useState } from 'react';
import type { RackPart } from '@/contract/replies';
import { type Shop, writeQuantity } from '@/core';
import { Button, buttonLook } from '@/ui/button';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { useSpecies } from '@/ui/species';
import { useUnits } from '@/ui/units';
import { BoardCells, BoardTable, RackHead } from './board-table';
import { EditCells } from './edit-cells';
import type { JobName, RackBoard, Shelf } from './rack-board';
import { type Open, RackDialog } from './rack-dialog';
import { type SortKey, useRack } from './use-rack';

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
  const { style } = useUnits();
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
          {rack.total} {rack.total === 1 ? 'board' : 'boards'},{' '}
          {writeQuantity({ amount: rack.boardFeet, unit: 'board-foot' }, style)}
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
      <p className="mt-6 print:hidden">
        {SHELVES.filter((other) => other !== shelf).map((other) => (
          <Link
            key={other}
            className="target mr-5 inline-flex items-center text-layout hover:underline"
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
  const { system } = useUnits();
  return (
    <>
      <input
        type="search"
        aria-label="Search the rack"
        placeholder="Tag, wood, lot, knot …"
        className="rounded-sm border border-line bg-paper px-2 py-1 print:hidden"
        value={text}
        onChange={(event) => onText(event.target.value)}
      />
      <select
        aria-label="Wood"
        className="rounded-sm border border-line bg-paper px-2 py-1 print:hidden"
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
        href={`/api/boards/labels.pdf?${new URLSearchParams({ find: text, wood: species, units: system })}`}
        title="Of the boards that are shown"
        download
      >
        Labels
      </a>
      <a
        className={buttonLook()}
        href={`/api/boards/list.pdf?${new URLSearchParams({ ...(shelf === 'rack' ? {} : { [shelf]: '' }), find: text, wood: species, units: system, paper: system === 'metric' ? 'a4' : 'letter' })}`}
        title="The boards that are shown, to go along the shelves with"
        download
      >
        List
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
