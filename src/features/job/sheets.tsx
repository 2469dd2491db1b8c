'use client';

import { useState } from 'react';
import { curveTables } from '@/core';
import { buttonLook } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Choice } from '@/ui/fields';
import { useDerivedOrProblems, useJobState } from './job-context';

/** Everything that leaves the job as a file. */
export function Sheets({ open, onClose }: { open: boolean; onClose: () => void }) {
  const id = useJobState((state) => state.id);
  const derived = useDerivedOrProblems();
  const curved = 'piece' in derived && curveTables(derived.piece).length > 0;
  const [paper, setPaper] = useState<'a4' | 'letter'>('a4');
  const files = [
    {
      file: `sheet.pdf?paper=${paper}`,
      name: 'Sheet, PDF',
      what: 'Views, cut list, boards, glue-up card, order of work',
    },
    {
      file: `boards.pdf?paper=${paper}`,
      name: 'Boards, PDF',
      what: 'For the saw: a strip for every board, its pieces, its cuts in their order',
    },
    {
      file: `full-size.pdf?paper=${paper}`,
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
    { file: 'layout.svg', name: 'Layout, SVG', what: 'Boards with their cuts in true millimetres' },
    { file: 'layout.dxf', name: 'Layout, DXF', what: 'The same, one layer for each kind of line' },
    { file: 'cuts.csv', name: 'Cuts, CSV', what: 'The saw cuts of every board in their order' },
    { file: 'piece.glb', name: 'Piece, glTF', what: 'Every part with its joints cut, as a solid, in metres' },
    { file: 'job.taller.json', name: 'Job file', what: 'The decisions, to keep or to open in another shop' },
  ];
  return (
    <Dialog title="Sheets and files" open={open} onClose={onClose}>
      <Choice
        label="Paper"
        value={paper}
        onCommit={setPaper}
        options={[
          { value: 'a4', label: 'A4' },
          { value: 'letter', label: 'Letter' },
        ]}
      />
      <ul>
        {files.map(({ file, name, what }) => (
          <li key={name} className="flex items-center justify-between gap-4 border-hairline border-t py-2">
            <span>
              <b className="font-semibold">{name}</b>
              <br />
              <span className="text-ink-2">{what}</span>
            </span>
            <a className={buttonLook()} href={`/api/jobs/${id}/files/${file}`} download aria-label={`Save ${name}`}>
              Save
            </a>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-ink-2">Where no layout is kept yet, one is searched first; that takes a second or two.</p>
    </Dialog>
  );
}
