'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { type Brief, type Problem, plusDays } from '@/core';
import { Button } from '@/ui/button';
import { Choice, DayField, LengthField, NumberField, Select, TextField } from '@/ui/fields';
import { Form } from '@/ui/form';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { useSpecies } from '@/ui/species';

/** The least a job begins with; everything else is proposed and open to change. */
export function NewJobPage({
  counts,
  homes,
  today,
}: {
  /** Boards on the rack, by species id. */
  counts: Readonly<Record<string, number>>;
  homes: readonly { id: string; name: string }[];
  today: string;
}) {
  const router = useRouter();
  const { solid } = useSpecies();
  const woods = [...solid]
    .map((s) => ({
      value: s.id,
      boards: counts[s.id] ?? 0,
      label: counts[s.id] ? `${s.commonName} · ${counts[s.id]} boards on the rack` : s.commonName,
    }))
    .sort((a, b) => b.boards - a.boards || a.label.localeCompare(b.label));
  const [job, setJob] = useState({
    name: 'Dining table',
    client: '',
    species: woods[0]?.value ?? '',
    homePlaceId: homes[0]?.id ?? '',
    startOn: today,
  });
  const [brief, setBrief] = useState<Brief>({
    seats: 6,
    seating: 'chairs',
    room: { length: 4200, width: 3400 },
    behindChairs: 'wall',
    kneeRoom: null,
    door: { width: 830, height: 2000 },
    dueOn: plusDays(today, 70),
    note: '',
  });
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const put =
    <K extends keyof typeof job>(key: K) =>
    (value: (typeof job)[K]) => {
      setJob((now) => ({ ...now, [key]: value }));
      return undefined;
    };
  const putBrief = (part: Partial<Brief>) => {
    setBrief((now) => ({ ...now, ...part }));
    return undefined;
  };
  const start = async () => {
    setBusy(true);
    const reply = await request<{ id: string }>('POST', '/api/jobs', { ...job, brief });
    setBusy(false);
    if (reply.ok) router.push(`/jobs/${reply.value.id}/brief`);
    else setProblems(reply.problems);
  };
  return (
    <Form className="max-w-md" onSubmit={start}>
      <h1 className="mb-1 text-[19px]">New job</h1>
      <p className="mb-4">
        A dining table on legs and aprons with a glued solid top. Say who sits there and how large the room is; Taller
        proposes the rest.
      </p>
      <ProblemList problems={problems} />
      <TextField label="Job" value={job.name} onCommit={put('name')} required />
      <TextField label="Client" value={job.client} onCommit={put('client')} />
      <NumberField label="Seats" value={brief.seats} least={1} most={40} onCommit={(seats) => putBrief({ seats })} />
      <Choice
        label="They sit on"
        value={brief.seating}
        options={[
          { value: 'chairs', label: 'Chairs' },
          { value: 'benches', label: 'Benches' },
        ]}
        onCommit={(seating) => putBrief({ seating })}
      />
      <LengthField
        label="Room, long"
        mm={brief.room.length}
        least={500}
        most={50000}
        onCommit={(length) => putBrief({ room: { ...brief.room, length } })}
      />
      <LengthField
        label="Room, wide"
        mm={brief.room.width}
        least={500}
        most={50000}
        onCommit={(width) => putBrief({ room: { ...brief.room, width } })}
      />
      <LengthField
        label="Door, wide"
        mm={brief.door.width}
        least={300}
        most={5000}
        onCommit={(width) => putBrief({ door: { ...brief.door, width } })}
      />
      <LengthField
        label="Door, high"
        mm={brief.door.height}
        least={500}
        most={6000}
        onCommit={(height) => putBrief({ door: { ...brief.door, height } })}
      />
      <Select label="Wood" value={job.species} options={woods} onCommit={put('species')} wide />
      <Select
        label="It will live in"
        value={job.homePlaceId}
        options={homes.map((home) => ({ value: home.id, label: home.name }))}
        onCommit={put('homePlaceId')}
        wide
        hint="The air there decides how much it moves. Add a place on the Shop page."
      />
      <DayField label="Start on" value={job.startOn} onCommit={put('startOn')} />
      <DayField label="Wanted by" value={brief.dueOn} onCommit={(dueOn) => putBrief({ dueOn })} />
      <Button look="chief" type="submit" disabled={busy} className="mt-3">
        {busy ? 'Starting …' : 'Start the job'}
      </Button>
    </Form>
  );
}
