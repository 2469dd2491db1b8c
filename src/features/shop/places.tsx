'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { equilibriumMoisture, type Month, type Place, type Problem, yearOfAir } from '@/core';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Choice, NumberField, TextField } from '@/ui/fields';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';

type StoredPlace = Place & { revision: number };
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

export function Places({ places }: { places: readonly StoredPlace[] }) {
  const router = useRouter();
  const [editing, setEditing] = useState<StoredPlace | 'new' | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const bin = async (place: StoredPlace) => {
    const reply = await request('DELETE', `/api/places/${place.id}`);
    setProblems(reply.ok ? [] : reply.problems);
    if (reply.ok) router.refresh();
  };
  return (
    <section className="mt-8">
      <div className="mb-3 flex max-w-6xl items-center border-ink border-b pb-1">
        <h2 className="mr-auto text-[14px]">Places and their air</h2>
        <Button onClick={() => setEditing('new')}>Add a place</Button>
      </div>
      <ProblemList problems={problems} />
      <ul className="grid max-w-6xl grid-cols-3 gap-x-10 gap-y-6 max-lg:grid-cols-2 max-md:grid-cols-1">
        {places.map((place) => {
          const year = yearOfAir(place);
          return (
            <li key={place.id}>
              <p className="flex items-baseline gap-2">
                <b className="font-semibold">{place.name}</b>
                <span className="text-ink-2">{place.kind}</span>
                <span className="ml-auto">
                  <Button look="quiet" aria-label={`Edit ${place.name}`} onClick={() => setEditing(place)}>
                    Edit
                  </Button>{' '}
                  <Button
                    look="quiet"
                    className="ml-2"
                    aria-label={`Move ${place.name} to the bin`}
                    onClick={() => void bin(place)}
                  >
                    Bin
                  </Button>
                </span>
              </p>
              <p className="figures">
                wood from {year.driest.moisture.toFixed(1)} % to {year.wettest.moisture.toFixed(1)} %
              </p>
              <PlaceChart months={place.months} name={place.name} />
              {place.note ? <p className="text-ink-2">{place.note}</p> : null}
            </li>
          );
        })}
      </ul>
      {editing ? (
        <PlaceDialog
          place={editing === 'new' ? null : editing}
          onClose={(saved) => {
            setEditing(null);
            if (saved) router.refresh();
          }}
        />
      ) : null}
    </section>
  );
}

function PlaceChart({ months, name }: { months: readonly Month[]; name: string }) {
  const rows = months.map((m, i) => ({ month: MONTHS[i]?.charAt(0), key: i, moisture: equilibriumMoisture(m) }));
  return (
    <div className="h-32" role="img" aria-label={`Moisture of wood through the year in ${name}`}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={rows} margin={{ left: -22, right: 6, top: 8, bottom: 0 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--color-hairline)" vertical={false} />
          <XAxis
            dataKey="key"
            tickFormatter={(i: number) => MONTHS[i]?.charAt(0) ?? ''}
            interval={0}
            stroke="var(--color-ink-2)"
            fontSize={11}
          />
          <YAxis domain={[4, 20]} ticks={[4, 8, 12, 16, 20]} stroke="var(--color-ink-2)" fontSize={11} />
          <Tooltip
            formatter={(v) => [`${Number(v).toFixed(1)} %`, 'moisture of wood']}
            labelFormatter={(i) => MONTHS[Number(i)]}
          />
          <Line
            dataKey="moisture"
            type="monotone"
            dot={false}
            stroke="var(--color-wet)"
            strokeWidth={2}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}

function PlaceDialog({ place, onClose }: { place: StoredPlace | null; onClose: (saved: boolean) => void }) {
  const [draft, setDraft] = useState({
    name: place?.name ?? '',
    kind: place?.kind ?? ('home' as const),
    note: place?.note ?? '',
    months: place?.months ?? MONTHS.map(() => ({ temperature: 20, relativeHumidity: 50 })),
  });
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const month = (i: number, part: Partial<Month>) => {
    setDraft((now) => ({ ...now, months: now.months.map((m, j) => (j === i ? { ...m, ...part } : m)) }));
    return undefined;
  };
  const save = async () => {
    const reply = place
      ? await request('PUT', `/api/places/${place.id}`, { revision: place.revision, place: draft })
      : await request('POST', '/api/places', draft);
    if (reply.ok) onClose(true);
    else setProblems(reply.problems);
  };
  return (
    <Dialog title={place ? place.name : 'Add a place'} open onClose={() => onClose(false)} wide>
      <ProblemList problems={problems} />
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <TextField
          label="Name"
          value={draft.name}
          onCommit={(name) => {
            setDraft((now) => ({ ...now, name }));
            return undefined;
          }}
          required
        />
        <Choice
          label="It is"
          value={draft.kind}
          onCommit={(kind) => setDraft((now) => ({ ...now, kind }))}
          options={[
            { value: 'home', label: 'A home' },
            { value: 'shop', label: 'A shop' },
          ]}
        />
        <p className="mb-2">Mean indoor temperature and relative humidity of each month.</p>
        <div className="grid grid-cols-2 gap-x-8">
          {draft.months.map((m, i) => (
            <div key={MONTHS[i]} className="border-hairline border-t pt-1">
              <NumberField
                label={`${MONTHS[i]}, temperature`}
                unit="°C"
                value={m.temperature}
                least={-50}
                most={60}
                onCommit={(temperature) => month(i, { temperature })}
              />
              <NumberField
                label={`${MONTHS[i]}, humidity`}
                unit="%"
                value={m.relativeHumidity}
                least={0}
                most={100}
                onCommit={(relativeHumidity) => month(i, { relativeHumidity })}
                hint={`wood comes to ${equilibriumMoisture(m).toFixed(1)} %`}
              />
            </div>
          ))}
        </div>
        <TextField
          label="Note"
          value={draft.note}
          onCommit={(note) => {
            setDraft((now) => ({ ...now, note }));
            return undefined;
          }}
        />
        <div className="mt-3 flex gap-3">
          <Button look="chief" type="submit">
            Save the place
          </Button>
          <Button look="quiet" onClick={() => onClose(false)}>
            Close
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
