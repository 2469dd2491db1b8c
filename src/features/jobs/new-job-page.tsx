'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import {
  type Brief,
  type DrawnStart,
  isCase,
  isForSeats,
  isSatOn,
  type Problem,
  plusDays,
  SIZES_TO_START,
  STARTS,
  type Start,
  type StartSize,
  usualSize,
} from '@/core';
import { Button } from '@/ui/button';
import { DayField } from '@/ui/day-field';
import { Choice, LengthField, NumberField, Select, TextField } from '@/ui/fields';
import { Form } from '@/ui/form';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { useSpecies } from '@/ui/species';
import { StartChoice } from '@/ui/start-choice';
import { useUnits } from '@/ui/units';
import { FIRST_PLACE, NewPlaceFields, placeOfClimate } from './new-place';
import { ProposedPiece } from './proposed-piece';
import { useProposal } from './use-proposal';

/** The option for a home that is not kept yet. */
const NEW = 'new';

interface Wish {
  start: Start;
  /** Null: as what is built is called. */
  name: string | null;
  client: string;
  /** Null: the one that the rack gives all of it of. */
  species: string | null;
  homePlaceId: string;
  startOn: string;
  size: StartSize | null;
  count: number;
}

/** The least a job begins with; everything else is proposed, drawn as it is asked, and open to change. */
export function NewJobPage({
  counts,
  homes,
  today,
  starts,
}: {
  /** Boards on the rack, by species id. */
  counts: Readonly<Record<string, number>>;
  homes: readonly { id: string; name: string }[];
  today: string;
  starts: readonly DrawnStart[];
}) {
  const router = useRouter();
  const { system } = useUnits();
  const woods = useWoods(counts);
  const [wish, setWish] = useState<Wish>({
    start: 'dining',
    name: null,
    client: '',
    species: null,
    homePlaceId: homes[0]?.id ?? NEW,
    startOn: today,
    size: null,
    count: 1,
  });
  const [brief, setBrief] = useState<Brief>(() => firstBrief(system, today));
  const [place, setPlace] = useState(FIRST_PLACE);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const put = (part: Partial<Wish>) => {
    setWish((now) => ({ ...now, ...part }));
    return undefined;
  };
  const putBrief = (part: Partial<Brief>) => {
    setBrief((now) => ({ ...now, ...part }));
    return undefined;
  };
  const { start } = wish;
  const asked = { ...wish, name: wish.name ?? STARTS[start].name, brief, units: system };
  // A place that is not there yet bears on nothing that is drawn.
  const somewhere = wish.homePlaceId === NEW ? (homes[0]?.id ?? '') : wish.homePlaceId;
  const { proposal, problems: refused, settled } = useProposal({ ...asked, client: '', homePlaceId: somewhere });
  // Of what is shown, also where the rack has chosen it.
  const species = wish.species ?? proposal?.species ?? null;
  const begin = async () => {
    setBusy(true);
    const id = await addedPlace();
    const reply = id && (await request<{ id: string }>('POST', '/api/jobs', { ...asked, species, homePlaceId: id }));
    setBusy(false);
    if (!reply) return;
    if (reply.ok) router.push(`/jobs/${reply.value.id}/brief`);
    else setProblems(reply.problems);
  };
  /** The home of the piece, added now where it is new. */
  const addedPlace = async (): Promise<string | null> => {
    if (wish.homePlaceId !== NEW) return wish.homePlaceId;
    const reply = await request<{ id: string }>('POST', '/api/places', placeOfClimate(place));
    if (!reply.ok) {
      setProblems(reply.problems);
      return null;
    }
    put({ homePlaceId: reply.value.id });
    router.refresh();
    return reply.value.id;
  };
  return (
    <Form className="grid grid-cols-[minmax(0,1fr)_300px] gap-x-10 max-lg:grid-cols-1" onSubmit={begin}>
      <div className="min-w-0">
        <h1 className="mb-3 text-[19px]">New job</h1>
        <StartChoice
          legend="What is to be built?"
          starts={starts}
          chosen={start}
          onChoose={(next) => put({ start: next, size: null, count: 1 })}
        />
        <div className="mt-5">
          <ProposedPiece start={start} proposal={proposal} settled={settled} />
        </div>
      </div>
      <div className="max-lg:mt-6">
        <ProblemList problems={problems.length > 0 ? problems : settled ? refused : []} />
        <TextField label="Name of the job" value={asked.name} onCommit={(name) => put({ name })} required />
        <TextField label="Client" value={wish.client} onCommit={(client) => put({ client })} />
        {isForSeats(start) ? (
          <Seats brief={brief} onBrief={putBrief} />
        ) : (
          <Size
            start={start}
            size={wish.size}
            count={wish.count}
            onSize={(size) => put({ size })}
            onCount={(count) => put({ count })}
          />
        )}
        <Room brief={brief} onBrief={putBrief} />
        <Select
          label="Wood"
          value={species ?? ''}
          options={species === null ? [{ value: '', label: 'What the rack gives' }, ...woods] : woods}
          onCommit={(chosen) => put({ species: chosen })}
          hint={
            wish.species === null && proposal && proposal.stops.length === 0 ? 'The rack gives all of it.' : undefined
          }
          wide
        />
        <Select
          label="It will stand in"
          value={wish.homePlaceId}
          options={[
            ...homes.map((home) => ({ value: home.id, label: home.name })),
            { value: NEW, label: 'A new place …' },
          ]}
          onCommit={(homePlaceId) => put({ homePlaceId })}
          wide
          hint="The air there decides how much the wood moves."
        />
        {wish.homePlaceId === NEW ? <NewPlaceFields place={place} onPlace={setPlace} /> : null}
        <DayField label="Start on" value={wish.startOn} onCommit={(startOn) => put({ startOn })} />
        <DayField label="Due" value={brief.dueOn} onCommit={(dueOn) => putBrief({ dueOn })} />
        <Button look="chief" type="submit" disabled={busy} className="mt-3 w-full">
          {busy ? 'Starting …' : 'Start the job'}
        </Button>
      </div>
    </Form>
  );
}

/** The woods to build of, those on the rack first. */
function useWoods(counts: Readonly<Record<string, number>>) {
  const { solid } = useSpecies();
  return [...solid]
    .map((s) => ({
      value: s.id,
      boards: counts[s.id] ?? 0,
      label: counts[s.id] ? `${s.commonName} · ${counts[s.id]} boards on the rack` : s.commonName,
    }))
    .sort((a, b) => b.boards - a.boards || a.label.localeCompare(b.label));
}

/** A usual room and door, in round figures of the reader. */
function firstBrief(system: 'metric' | 'inch', today: string): Brief {
  const [room, door] =
    system === 'metric'
      ? [
          { length: 4500, width: 3600 },
          { width: 830, height: 2000 },
        ]
      : [
          { length: 15 * 304.8, width: 12 * 304.8 },
          { width: 32.5 * 25.4, height: 79 * 25.4 },
        ];
  return {
    seats: 6,
    seating: 'chairs',
    room,
    behindChairs: 'wall',
    kneeRoom: null,
    door,
    dueOn: plusDays(today, 70),
    note: '',
  };
}

function Seats({ brief, onBrief }: { brief: Brief; onBrief: (part: Partial<Brief>) => undefined }) {
  return (
    <>
      <NumberField label="Seats" value={brief.seats} least={1} most={40} onCommit={(seats) => onBrief({ seats })} />
      <Choice
        label="They sit on"
        value={brief.seating}
        options={[
          { value: 'chairs', label: 'Chairs' },
          { value: 'benches', label: 'Benches' },
        ]}
        onCommit={(seating) => onBrief({ seating })}
      />
    </>
  );
}

const WORDS = {
  table: { length: 'Long', width: 'Wide', height: 'High' },
  case: { length: 'Wide', width: 'Deep', height: 'High' },
} as const;

/** Of what has a size of its own; the usual one until another is written. */
function Size({
  start,
  size,
  count,
  onSize,
  onCount,
}: {
  start: Start;
  size: StartSize | null;
  count: number;
  onSize: (size: StartSize) => undefined;
  onCount: (count: number) => undefined;
}) {
  const build = isCase(start) ? 'case' : 'table';
  const { least, most } = SIZES_TO_START[build];
  const now = size ?? usualSize(start) ?? { length: 1000, width: 500, height: 500 };
  return (
    <>
      {isSatOn(start) ? (
        <NumberField label="How many alike" value={count} least={1} most={60} onCommit={onCount} />
      ) : null}
      {(['length', 'width', 'height'] as const).map((size) => (
        <LengthField
          key={size}
          label={WORDS[build][size]}
          mm={now[size]}
          least={least[size]}
          most={most[size]}
          onCommit={(mm) => onSize({ ...now, [size]: mm })}
        />
      ))}
    </>
  );
}

/** The room that it stands in, and the door that it comes through. */
function Room({ brief: { room, door }, onBrief }: { brief: Brief; onBrief: (part: Partial<Brief>) => undefined }) {
  return (
    <>
      <LengthField
        label="Room, long"
        mm={room.length}
        least={500}
        most={50000}
        onCommit={(length) => onBrief({ room: { ...room, length } })}
      />
      <LengthField
        label="Room, wide"
        mm={room.width}
        least={500}
        most={50000}
        onCommit={(width) => onBrief({ room: { ...room, width } })}
      />
      <LengthField
        label="Door, wide"
        mm={door.width}
        least={300}
        most={5000}
        onCommit={(width) => onBrief({ door: { ...door, width } })}
      />
      <LengthField
        label="Door, high"
        mm={door.height}
        least={500}
        most={6000}
        onCommit={(height) => onBrief({ door: { ...door, height } })}
      />
    </>
  );
}
