'use client';

import { useState } from 'react';
import * as v from 'valibot';
import { type BoardInput, BoardSchema, type Defect, read } from '@/core';
import { Button, buttonLook } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Select, TextField } from '@/ui/fields';
import { Form } from '@/ui/form';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { useRevisioned } from '@/ui/revisioned';
import { useSpecies } from '@/ui/species';
import { TwoVersions } from '@/ui/two-versions';
import { useUnits } from '@/ui/units';
import { BendFields, DefectFields, GrainFields, KeepingFields, SizeFields, WoodField } from './board-fields';
import { BoardSketch } from './board-sketch';
import type { JobName, RackBoard } from './rack-board';

const blank = (today: string): BoardInput => ({
  tag: '',
  species: 'oak-white',
  length: 2400,
  width: 200,
  farWidth: null,
  liveEdges: { near: 0, far: 0 },
  crook: null,
  heights: null,
  thickness: 38.1,
  quarters: 6,
  surface: 'rough',
  ringAngle: 15,
  ringCentre: null,
  moisture: null,
  moistureOn: today,
  lot: '',
  price: null,
  tone: null,
  planes: null,
  storedAt: '',
  note: '',
  defects: [],
});

export default function BoardDialog({
  board,
  today,
  jobs,
  onClose,
}: {
  board: RackBoard | null;
  today: string;
  jobs: readonly JobName[];
  onClose: (saved: boolean) => void;
}) {
  const { find } = useSpecies();
  const [draft, setDraft] = useState<BoardInput>(board ? inputOf(board) : blank(today));
  const [keptFor, setKeptFor] = useState(board?.reservedFor ?? '');
  const { system } = useUnits();
  const { write, theirs, settle, problems, setProblems } = useRevisioned<BoardInput, RackBoard>(board, (board, on) =>
    on
      ? request('PUT', `/api/boards/${on.id}`, { revision: on.revision, board })
      : request('POST', '/api/boards', board),
  );
  const put =
    <K extends keyof BoardInput>(key: K) =>
    (value: BoardInput[K]) => {
      setDraft((now) => ({ ...now, [key]: value }));
      return undefined;
    };
  const save = async () => {
    const sound = read(BoardSchema, draft, 'the board');
    if ('problems' in sound) {
      setProblems(sound.problems);
      return;
    }
    const saved = (await write(sound.value)).ok;
    if (saved && board && keptFor !== (board.reservedFor ?? '')) {
      const kept = await request('PUT', `/api/boards/${board.id}/reserved`, { job: keptFor || null });
      if (!kept.ok) return setProblems(kept.problems);
    }
    if (saved) onClose(true);
  };
  const sheet = find(draft.species)?.sheet ?? false;
  const described = { draft, put, set: setDraft };
  const defect = (i: number, part: Partial<Defect>) => {
    put('defects')(draft.defects.map((d, j) => (j === i ? { ...d, ...part } : d)));
    return undefined;
  };
  return (
    <Dialog title={board ? `Board ${board.tag}` : 'Add a board'} open onClose={() => onClose(false)} wide>
      <ProblemList problems={problems} />
      {theirs ? (
        <TwoVersions
          other={`the other: ${theirs.tag}, ${theirs.length} × ${theirs.width} mm`}
          onMine={settle}
          onTheirs={() => {
            setDraft(inputOf(theirs));
            settle();
          }}
        />
      ) : null}
      <Form className="grid grid-cols-2 gap-x-8 max-md:grid-cols-1" onSubmit={save}>
        <div className="col-span-full mb-3">
          <BoardSketch board={draft} onDefect={defect} />
        </div>
        <div>
          <TextField label="Tag" value={draft.tag} onCommit={put('tag')} required />
          <WoodField {...described} />
          <SizeFields {...described} sheet={sheet} />
          <DefectFields {...described} defect={defect} />
        </div>
        <div>
          {sheet ? null : <GrainFields {...described} today={today} />}
          <KeepingFields {...described} />
          {sheet ? null : <BendFields {...described} />}
          <TextField label="Note" value={draft.note} onCommit={put('note')} />
          {board ? (
            <Select
              label="Kept for"
              value={keptFor}
              onCommit={setKeptFor}
              options={[{ value: '', label: 'any job' }, ...jobs.map((job) => ({ value: job.id, label: job.name }))]}
            />
          ) : null}
        </div>
        <div className="col-span-full mt-4 flex gap-3">
          <Button look="chief" type="submit">
            {board ? 'Save the board' : 'Add it to the rack'}
          </Button>
          <Button look="quiet" onClick={() => onClose(false)}>
            Close
          </Button>
          {board ? (
            <a
              className={`${buttonLook('quiet')} ml-auto`}
              href={`/api/boards/labels.pdf?board=${board.id}&units=${system}`}
              download
            >
              Its label
            </a>
          ) : null}
        </div>
      </Form>
    </Dialog>
  );
}

/** What a maker can write of a board, without what the rack keeps beside it. */
function inputOf(board: RackBoard): BoardInput {
  return v.parse(BoardSchema, board);
}
