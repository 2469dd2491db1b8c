'use client';

import { useMemo, useState } from 'react';
import type { PlaceReply } from '@/contract/replies';
import {
  CLIMATE_TYPES,
  equilibriumMoisture,
  HEATED_ROOM,
  indoorMonths,
  type Month,
  type Place,
  type Room,
  turnedSouth,
  writeQuantity,
} from '@/core';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Choice, NumberField, Select, TextField } from '@/ui/fields';
import { Form } from '@/ui/form';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { useRevisioned } from '@/ui/revisioned';
import { TwoVersions } from '@/ui/two-versions';
import { useUnits } from '@/ui/units';
import { LoggerImport } from './logger-import';
import { MONTHS, PlaceChart } from './place-chart';

type Draft = Omit<Place, 'id'>;

const KEEP = 'own';

const BLANK: Draft = {
  name: '',
  kind: 'home',
  note: '',
  months: MONTHS.map(() => ({ temperature: 20, relativeHumidity: 50 })),
  room: null,
  logged: [],
};

const draftOf = ({ name, kind, note, months, room, logged }: PlaceReply): Draft => ({
  name,
  kind,
  note,
  months,
  room,
  logged,
});

/** A place and where its air comes from: its own months, the air outdoors through a room, or a logger's days. */
export function PlaceDialog({ place, onClose }: { place: PlaceReply | null; onClose: (saved: boolean) => void }) {
  const [draft, setDraft] = useState<Draft>(place ? draftOf(place) : BLANK);
  const [climate, setClimate] = useState(KEEP);
  const [south, setSouth] = useState(false);
  const { write, theirs, settle, problems } = useRevisioned<Draft, PlaceReply>(place, (place, on) =>
    on
      ? request('PUT', `/api/places/${on.id}`, { revision: on.revision, place })
      : request('POST', '/api/places', place),
  );
  const change = (part: Partial<Draft>) => {
    setDraft((now) => ({ ...now, ...part }));
    return undefined;
  };
  const month = (i: number, part: Partial<Month>) => {
    setDraft((now) => ({ ...now, months: now.months.map((m, j) => (j === i ? { ...m, ...part } : m)) }));
    return undefined;
  };
  const takeClimate = (id: string, turned: boolean) => {
    setClimate(id);
    setSouth(turned);
    const type = CLIMATE_TYPES.find((c) => c.id === id);
    if (type) change({ months: turned ? turnedSouth(type.months) : [...type.months] });
  };
  const save = async () => {
    if ((await write(draft)).ok) onClose(true);
  };
  const { style } = useUnits();
  const { months, room } = draft;
  const inside = useMemo(() => indoorMonths({ months, room }), [months, room]);
  return (
    <Dialog title={place ? place.name : 'Add a place'} open onClose={() => onClose(false)} wide>
      <ProblemList problems={problems} />
      {theirs ? (
        <TwoVersions
          other={`the other: ${theirs.name}`}
          onMine={settle}
          onTheirs={() => {
            setDraft(draftOf(theirs));
            settle();
          }}
        />
      ) : null}
      <Form onSubmit={save}>
        <TextField label="Name" value={draft.name} onCommit={(name) => change({ name })} required />
        <div className="grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
          <Choice
            label="It is"
            value={draft.kind}
            onCommit={(kind) => change({ kind })}
            options={[
              { value: 'home', label: 'A home' },
              { value: 'shop', label: 'A shop' },
            ]}
          />
          <Choice
            label="The months below are"
            value={room ? 'outdoors' : 'indoors'}
            onCommit={(where) => change({ room: where === 'outdoors' ? (place?.room ?? HEATED_ROOM) : null })}
            options={[
              { value: 'indoors', label: 'The room’s own air' },
              {
                value: 'outdoors',
                label: 'The air outdoors',
                reason: 'The room warms it and keeps its water; the relative humidity falls.',
              },
            ]}
          />
        </div>
        {room ? (
          <RoomFields
            room={room}
            climate={climate}
            south={south}
            onRoom={(part) => change({ room: { ...room, ...part } })}
            onClimate={takeClimate}
          />
        ) : null}
        <div className="mb-3 grid grid-cols-[1fr_1fr] items-start gap-x-8 max-md:grid-cols-1">
          <div>
            <p className="text-ink-2">{room ? 'Wood in the room comes to' : 'Wood comes to'}</p>
            <PlaceChart months={inside} name={draft.name || 'this place'} />
          </div>
          <LoggerImport logged={draft.logged} onLogged={(logged) => change({ logged })} />
        </div>
        <p className="mb-2">Mean temperature and relative humidity of each month{room ? ', outdoors' : ''}.</p>
        <div className="grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
          {draft.months.map((m, i) => {
            const room = inside[i] ?? m;
            return (
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
                  hint={`${draft.room ? `indoors ${writeQuantity({ amount: room.temperature, unit: 'celsius' }, style)} ${room.relativeHumidity.toFixed(0)} %, ` : ''}wood comes to ${equilibriumMoisture(room).toFixed(1)} %`}
                />
              </div>
            );
          })}
        </div>
        <TextField label="Note" value={draft.note} onCommit={(note) => change({ note })} />
        <div className="mt-3 flex gap-3">
          <Button look="chief" type="submit">
            Save the place
          </Button>
          <Button look="quiet" onClick={() => onClose(false)}>
            Close
          </Button>
        </div>
      </Form>
    </Dialog>
  );
}

function RoomFields({
  room,
  climate,
  south,
  onRoom,
  onClimate,
}: {
  room: Room;
  climate: string;
  south: boolean;
  onRoom: (part: Partial<Room>) => undefined;
  onClimate: (id: string, south: boolean) => void;
}) {
  const heated = room.setPoints.flatMap((t, i) => (t === null ? [] : [i]));
  const setPoint = room.setPoints.find((t) => t !== null) ?? 20;
  const like = CLIMATE_TYPES.find((type) => type.id === climate)?.like;
  return (
    <fieldset className="mb-3 grid grid-cols-2 gap-x-8 border-line border-t pt-2 max-md:grid-cols-1">
      <legend className="pr-2 text-ink-2">The room</legend>
      <div>
        <Select
          label="Start from a kind of climate"
          value={climate}
          options={[
            { value: KEEP, label: 'the months as they stand' },
            ...CLIMATE_TYPES.map((type) => ({ value: type.id, label: type.name })),
          ]}
          onCommit={(id) => {
            onClimate(id, south);
            return undefined;
          }}
          wide
        />
        <label className="mb-2 flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-layout"
            checked={south}
            onChange={(event) => onClimate(climate, event.target.checked)}
          />
          south of the equator
        </label>
        <p className="mb-2 text-[12px] text-ink-2 leading-4">
          {like ? `${like}. ` : ''}Typical values; put your own in as you learn them.
        </p>
      </div>
      <div>
        <NumberField
          label="Heated to"
          unit="°C"
          value={setPoint}
          least={0}
          most={40}
          step={0.5}
          onCommit={(t) => onRoom({ setPoints: room.setPoints.map((was) => (was === null ? null : t)) })}
        />
        <fieldset className="mb-2">
          <legend>In these months</legend>
          <div className="flex flex-wrap gap-1">
            {MONTHS.map((name, i) => (
              <button
                key={name}
                type="button"
                aria-pressed={heated.includes(i)}
                aria-label={`Heated in ${name}`}
                onClick={() =>
                  onRoom({
                    setPoints: room.setPoints.map((was, j) => (j === i ? (was === null ? setPoint : null) : was)),
                  })
                }
                className="min-w-7 border border-line px-1 py-0.5 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
              >
                {name.charAt(0)}
              </button>
            ))}
          </div>
        </fieldset>
        <NumberField
          label="Unheated, warmer than outdoors by"
          unit="°C"
          value={room.unheatedAbove}
          least={0}
          most={15}
          step={0.5}
          onCommit={(unheatedAbove) => onRoom({ unheatedAbove })}
        />
        <NumberField
          label="A humidifier keeps at least"
          unit="%"
          value={room.leastHumidity}
          least={10}
          most={70}
          allowEmpty="none"
          onCommit={(leastHumidity) => onRoom({ leastHumidity })}
          onEmpty={() => onRoom({ leastHumidity: null })}
        />
        <NumberField
          label="Dried or aired to at most"
          unit="%"
          value={room.greatestHumidity}
          least={30}
          most={100}
          allowEmpty="none"
          onCommit={(greatestHumidity) => onRoom({ greatestHumidity })}
          onEmpty={() => onRoom({ greatestHumidity: null })}
        />
        <NumberField
          label="Above the sea, m"
          value={room.altitude}
          least={-400}
          most={5000}
          step={100}
          onCommit={(altitude) => onRoom({ altitude })}
        />
      </div>
    </fieldset>
  );
}
