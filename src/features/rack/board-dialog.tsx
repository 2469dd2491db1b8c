'use client';

import { useState } from 'react';
import * as v from 'valibot';
import {
  type BoardInput,
  BoardSchema,
  DEFECT_FACES,
  DEFECT_KINDS,
  type Defect,
  PRICE_UNITS,
  type Problem,
  read,
  TONES,
} from '@/core';
import { Button, buttonLook } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Choice, DayField, LengthField, NumberField, Select, TextField } from '@/ui/fields';
import { Form } from '@/ui/form';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { useSpecies } from '@/ui/species';
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

const PER: Record<(typeof PRICE_UNITS)[number], string> = {
  'board-foot': 'board foot',
  m3: 'm³',
  m2: 'm²',
  metre: 'metre',
  piece: 'piece',
};
const TONE_NAMES: Record<(typeof TONES)[number], string> = {
  1: 'pale',
  2: 'light',
  3: 'middling',
  4: 'dark',
  5: 'deep',
};
const BENDS = { twist: 'Twist, at one corner', bow: 'Bow, along it', cup: 'Cup, across it' };
const SEEN: Record<(typeof DEFECT_FACES)[number], string> = {
  through: 'on both faces',
  tagged: 'on the tagged face',
  under: 'on the under face',
};

export function BoardDialog({
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
  const { all } = useSpecies();
  const [draft, setDraft] = useState<BoardInput>(board ? inputOf(board) : blank(today));
  const [revision, setRevision] = useState(board?.revision ?? 0);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [keptFor, setKeptFor] = useState(board?.reservedFor ?? '');
  const [theirs, setTheirs] = useState<RackBoard | null>(null);
  const put =
    <K extends keyof BoardInput>(key: K) =>
    (value: BoardInput[K]) => {
      setDraft((now) => ({ ...now, [key]: value }));
      return undefined;
    };
  /** Figures of the whole board stand instead of what was measured point by point. */
  const putCrook = (crook: BoardInput['crook']) => {
    setDraft((now) => ({ ...now, crook, heights: null }));
    return undefined;
  };
  const save = async () => {
    const sound = read(BoardSchema, draft, 'the board');
    if ('problems' in sound) {
      setProblems(sound.problems);
      return;
    }
    const reply = board
      ? await request('PUT', `/api/boards/${board.id}`, { revision, board: sound.value })
      : await request('POST', '/api/boards', sound.value);
    if (reply.ok && board && keptFor !== (board.reservedFor ?? '')) {
      const kept = await request('PUT', `/api/boards/${board.id}/reserved`, { job: keptFor || null });
      if (!kept.ok) return setProblems(kept.problems);
    }
    if (reply.ok) onClose(true);
    else {
      setProblems(reply.problems);
      if (reply.status === 409 && reply.current) setTheirs(reply.current as RackBoard);
    }
  };
  const defect = (i: number, part: Partial<Defect>) => {
    put('defects')(draft.defects.map((d, j) => (j === i ? { ...d, ...part } : d)));
    return undefined;
  };
  return (
    <Dialog title={board ? `Board ${board.tag}` : 'Add a board'} open onClose={() => onClose(false)} wide>
      <ProblemList problems={problems} />
      {theirs ? (
        <p className="mb-3 flex gap-3">
          <Button
            onClick={() => {
              setRevision(theirs.revision);
              setTheirs(null);
              setProblems([]);
            }}
          >
            Keep my version
          </Button>
          <Button
            onClick={() => {
              setDraft(inputOf(theirs));
              setRevision(theirs.revision);
              setTheirs(null);
              setProblems([]);
            }}
          >
            Take the other: {theirs.tag}, {theirs.length} × {theirs.width} mm
          </Button>
        </p>
      ) : null}
      <Form className="grid grid-cols-2 gap-x-8 max-md:grid-cols-1" onSubmit={save}>
        <div className="col-span-full mb-3">
          <BoardSketch board={draft} onDefect={defect} />
        </div>
        <div>
          <TextField label="Tag" value={draft.tag} onCommit={put('tag')} required />
          <Select
            label="Wood"
            value={draft.species}
            onCommit={put('species')}
            options={all.map((s) => ({ value: s.id, label: s.commonName }))}
            wide
          />
          <LengthField label="Length" mm={draft.length} least={100} most={12000} onCommit={put('length')} />
          <LengthField label="Width" mm={draft.width} least={20} most={2000} onCommit={put('width')} />
          <LengthField
            label="Width at the other end"
            mm={draft.farWidth}
            least={20}
            most={2000}
            allowEmpty="the same"
            onCommit={put('farWidth')}
            onEmpty={() => put('farWidth')(null)}
          />
          {(['near', 'far'] as const).map((edge) => (
            <LengthField
              key={edge}
              label={`Live edge, ${edge}`}
              mm={draft.liveEdges[edge]}
              most={500}
              onCommit={(depth) => put('liveEdges')({ ...draft.liveEdges, [edge]: depth })}
            />
          ))}
          <Choice
            label="Surface"
            value={draft.surface}
            onCommit={put('surface')}
            options={[
              { value: 'rough', label: 'Rough' },
              { value: 'dressed', label: 'Dressed' },
            ]}
          />
          <Select
            label="Bought as"
            value={String(draft.quarters ?? '')}
            onCommit={(q) =>
              setDraft((now) => ({
                ...now,
                quarters: q ? Number(q) : null,
                thickness: q ? Number(q) * 6.35 : now.thickness,
              }))
            }
            options={[
              { value: '', label: 'measured' },
              ...[4, 5, 6, 8, 10, 12, 16].map((q) => ({ value: String(q), label: `${q}/4` })),
            ]}
          />
          <LengthField
            label="Thickness, as it lies"
            mm={draft.thickness}
            least={5}
            most={300}
            onCommit={put('thickness')}
          />
          <fieldset className="mt-4 border-line border-t pt-2">
            <legend className="pr-2 text-ink-2">Defects</legend>
            {draft.defects.map((d, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a defect has no name of its own
              <div key={i} className="mb-2 border-hairline border-b">
                <Select
                  label={`Defect ${i + 1}`}
                  value={d.kind}
                  onCommit={(kind) => defect(i, { kind })}
                  options={DEFECT_KINDS.map((kind) => ({ value: kind, label: kind }))}
                />
                <Select
                  label="Seen"
                  value={d.face}
                  onCommit={(face) => defect(i, { face })}
                  options={DEFECT_FACES.map((face) => ({ value: face, label: SEEN[face] }))}
                />
                <LengthField label="From the tagged end" mm={d.x} onCommit={(x) => defect(i, { x })} />
                <LengthField label="From the near edge" mm={d.y} onCommit={(y) => defect(i, { y })} />
                <LengthField label="Long" mm={d.length} least={1} onCommit={(length) => defect(i, { length })} />
                <LengthField label="Wide" mm={d.width} least={1} onCommit={(width) => defect(i, { width })} />
                <Button
                  look="quiet"
                  className="mb-2"
                  onClick={() => put('defects')(draft.defects.filter((_, j) => j !== i))}
                >
                  Take it away
                </Button>
              </div>
            ))}
            <Button
              onClick={() =>
                put('defects')([...draft.defects, { kind: 'knot', x: 0, y: 0, length: 50, width: 30, face: 'through' }])
              }
            >
              Add a defect
            </Button>
          </fieldset>
        </div>
        <div>
          <NumberField
            label="Ring angle"
            unit="°"
            value={draft.ringAngle}
            least={0}
            most={90}
            onCommit={put('ringAngle')}
            hint="At the end, rings to face: 0 flat, 90 quarter."
          />
          <NumberField
            label="Pith below the middle, mm"
            value={draft.ringCentre?.distance ?? null}
            least={0}
            most={3000}
            allowEmpty="not known"
            onCommit={(distance) => put('ringCentre')({ distance, offset: draft.ringCentre?.offset ?? 0 })}
            onEmpty={() => put('ringCentre')(null)}
            hint="Where the rings have their centre; it goes before the angle."
          />
          {draft.ringCentre ? (
            <NumberField
              label="Pith to the side, mm"
              value={draft.ringCentre.offset}
              least={-3000}
              most={3000}
              onCommit={(offset) => put('ringCentre')({ distance: draft.ringCentre?.distance ?? 0, offset })}
            />
          ) : null}
          <NumberField
            label="Moisture"
            unit="%"
            value={draft.moisture}
            least={2}
            most={100}
            step={0.1}
            allowEmpty="not read"
            onCommit={put('moisture')}
            onEmpty={() => put('moisture')(null)}
          />
          <DayField label="Read on" value={draft.moistureOn ?? today} onCommit={put('moistureOn')} />
          <Select
            label="Tone"
            value={String(draft.tone ?? '')}
            onCommit={(tone) => put('tone')(TONES.find((t) => String(t) === tone) ?? null)}
            options={[
              { value: '', label: 'not looked at' },
              ...TONES.map((tone) => ({ value: String(tone), label: TONE_NAMES[tone] })),
            ]}
          />
          <Select
            label="Tagged face planes"
            value={draft.planes ?? ''}
            onCommit={(planes) => put('planes')(planes === '' ? null : planes)}
            options={[
              { value: '', label: 'not looked at' },
              { value: 'far-end', label: 'away from the tag' },
              { value: 'tagged-end', label: 'toward the tag' },
            ]}
          />
          <TextField label="Lot" value={draft.lot} onCommit={put('lot')} />
          <TextField label="Lies at" value={draft.storedAt} onCommit={put('storedAt')} />
          <NumberField
            label="Price"
            value={draft.price?.amount ?? null}
            least={0}
            most={1_000_000}
            allowEmpty="the shop’s"
            onCommit={(amount) => put('price')({ amount, per: draft.price?.per ?? 'board-foot' })}
            onEmpty={() => put('price')(null)}
          />
          {draft.price ? (
            <Select
              label="Price per"
              value={draft.price.per}
              onCommit={(per) => put('price')({ amount: draft.price?.amount ?? 0, per })}
              options={PRICE_UNITS.map((per) => ({ value: per, label: PER[per] }))}
            />
          ) : null}
          {(['twist', 'bow', 'cup'] as const).map((bend) => (
            <LengthField
              key={bend}
              label={BENDS[bend]}
              mm={draft.crook?.[bend] ?? null}
              most={100}
              allowEmpty="not measured"
              onCommit={(value) => putCrook({ twist: 0, bow: 0, cup: 0, ...draft.crook, [bend]: value })}
              onEmpty={() => putCrook(null)}
            />
          ))}
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
            <a className={`${buttonLook('quiet')} ml-auto`} href={`/api/boards/labels.pdf?board=${board.id}`} download>
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
