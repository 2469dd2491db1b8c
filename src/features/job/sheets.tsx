'use client';

import { useEffect, useState } from 'react';
import { curveTables, DECIMAL_MARKS, type DecimalMark, type UnitSystem, withMark } from '@/core';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Choice } from '@/ui/fields';
import { ProblemList } from '@/ui/problem-list';
import { ProgressBar } from '@/ui/progress-bar';
import { useSaveFile } from '@/ui/save-file';
import { useSettling } from '@/ui/settling';
import { useUnits } from '@/ui/units';
import { useKept } from '@/ui/use-kept';
import { useJobSearch } from '../layout/layout-search';
import { useDerived, useJobState } from './job-context';

interface Row {
  file: string;
  name: string;
  what: string;
  /** It shows the layout. */
  laid?: true;
}

const PAPERS = ['a4', 'letter'] as const;

/** Everything that leaves the job as a file. */
export function Sheets({ open, onClose }: { open: boolean; onClose: () => void }) {
  const id = useJobState((state) => state.id);
  const { pieceId, instance, job } = useDerived();
  const missing = job.woods.find((wood) => wood.layoutState !== 'current');
  const saving = useJobState((state) => state.saving);
  const search = useJobSearch();
  // A layout that has just been found is not among what is shown yet.
  const { settling, settlesNow } = useSettling();
  const { making, problems, save, stop } = useSaveFile();
  /** What is waited for until its layout is found and kept. */
  const [wanted, setWanted] = useState<Row | null>(null);
  const curved = job.pieces.some(({ piece }) => curveTables(piece).length > 0);
  const { system, style } = useUnits();
  const [chosenUnits, setUnits] = useState<UnitSystem | null>(null);
  // Those of the screen, unless others are chosen for the files.
  const units = chosenUnits ?? system;
  const [paper, setPaper] = useKept('taller-paper', PAPERS, system === 'metric' ? 'a4' : 'letter');
  const [chosenMark, setMark] = useState<DecimalMark | null>(null);
  const decimal = chosenMark ?? style.decimal ?? 'point';
  const files: Row[] = [
    {
      file: 'sheet.pdf',
      laid: true,
      name: 'Sheet, PDF',
      what: 'Views, cut list, hardware, boards, gluing, joints, order of work',
    },
    {
      file: 'boards.pdf',
      laid: true,
      name: 'Boards, PDF',
      what: 'For the saw: a strip for every board, its pieces, its cuts in their order',
    },
    {
      file: 'full-size.pdf',
      name: 'Full size, PDF',
      what: 'Story sticks, templates and joints at 1:1 on sheets to lay together, with a square to measure',
    },
    { file: 'full-size.dxf', name: 'Full size, DXF', what: 'The same in true millimetres, a layer for each operation' },
    ...(curved
      ? [
          {
            file: 'offsets.csv',
            name: 'Curves, CSV',
            what: 'Chord, sagitta, radius and offsets of every curve of the top',
          },
        ]
      : []),
    { file: 'cut-list.csv', name: 'Cut list, CSV', what: 'Overall and shoulder lengths, rough sizes' },
    { file: 'layout.svg', laid: true, name: 'Layout, SVG', what: 'Boards with their cuts in true millimetres' },
    { file: 'layout.dxf', laid: true, name: 'Layout, DXF', what: 'The same, one layer for each kind of line' },
    { file: 'cuts.csv', laid: true, name: 'Cuts, CSV', what: 'The saw cuts of every board in their order' },
    {
      file: `piece.glb?piece=${pieceId}&number=${instance}`,
      name: 'Piece, glTF',
      what: 'Every part with its joints cut, as a solid, in metres',
    },
    { file: 'job.taller.json', name: 'Job file', what: 'The decisions, to keep or to open in another shop' },
  ];
  const { searching, failed } = search.state;
  const laidOut = !missing && !searching && saving === 'saved';
  // biome-ignore lint/correctness/useExhaustiveDependencies: each is looked at when one of them has changed
  useEffect(() => {
    if (!wanted) return;
    if (laidOut || failed) {
      setWanted(null);
      if (laidOut) void save(addressOf(wanted));
    } else if (missing && !searching && !settling && !settlesNow()) void search.start(missing.species.id);
  }, [wanted, laidOut, failed, missing?.species.id, searching, settling]);
  const chosen = new URLSearchParams({ units, paper, decimal });
  const addressOf = ({ file }: Row) => `/api/jobs/${id}/files/${file}${file.includes('?') ? '&' : '?'}${chosen}`;
  const want = (row: Row) => {
    if (!row.laid || laidOut) return void save(addressOf(row));
    if (failed) void search.start(missing?.species.id);
    setWanted(row);
  };
  const leave = () => {
    if (wanted && searching) search.stop();
    setWanted(null);
    stop();
  };
  return (
    <Dialog
      title="Sheets and files"
      open={open}
      onClose={() => {
        leave();
        onClose();
      }}
    >
      <div className="flex flex-wrap gap-x-8">
        <Choice
          label="Lengths in"
          value={units}
          onCommit={setUnits}
          options={[
            { value: 'metric', label: 'Millimetres' },
            { value: 'inch', label: 'Inches' },
          ]}
        />
        <Choice
          label="Paper"
          value={paper}
          onCommit={setPaper}
          options={[
            { value: 'a4', label: 'A4' },
            { value: 'letter', label: 'Letter' },
          ]}
        />
        <Choice
          label="Figures"
          value={decimal}
          onCommit={setMark}
          options={DECIMAL_MARKS.map((mark) => ({ value: mark, label: withMark('12.5', mark) }))}
        />
      </div>
      <ProblemList problems={problems} />
      {failed ? <p role="alert">The layout could not be searched: {failed}.</p> : null}
      <ul>
        {files.map((row) => (
          <li key={row.name} className="border-hairline border-t py-2">
            <div className="flex items-center justify-between gap-4">
              <span>
                <b className="font-semibold">{row.name}</b>
                <br />
                <span className="text-ink-2">{row.what}</span>
              </span>
              {wanted?.file === row.file || making === addressOf(row) ? (
                <Button aria-label={`Stop ${row.name}`} onClick={leave}>
                  Stop
                </Button>
              ) : (
                <Button
                  aria-label={`Save ${row.name}`}
                  disabled={wanted !== null || making !== null}
                  onClick={() => want(row)}
                >
                  Save
                </Button>
              )}
            </div>
            {wanted?.file === row.file ? (
              <div role="status">
                <ProgressBar
                  label="Search for a layout"
                  share={(search.state.searching && search.state.progress?.share) || 0}
                  className="my-1"
                />
                A layout is searched first; stopped, the best of it is kept.{' '}
                {search.state.searching && search.state.progress ? (
                  <Button look="quiet" onClick={() => search.stop()}>
                    Take the best so far
                  </Button>
                ) : null}
              </div>
            ) : making === addressOf(row) ? (
              <div role="status">
                <ProgressBar label={`Making ${row.name}`} share={null} className="my-1" />
                Making it …
              </div>
            ) : null}
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
