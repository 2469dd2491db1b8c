'use client';

import { useMemo, useState } from 'react';
import {
  DAYS_IN_YEAR,
  dayOfYear,
  equilibriumMoisture,
  MOVEMENT_SCHOOLS,
  type MovementSchool,
  type Place,
  plusDays,
  type Rings,
  sayDayShort,
  seasonCalculator,
  yearOfAir,
} from '@/core';
import { Choice, LengthField, NumberField, Select } from '@/ui/fields';
import { FigureButton, FigureLine } from '@/ui/figure';
import { useSpecies } from '@/ui/species';
import { useUnits } from '@/ui/units';
import { Group } from '../form/group';
import { BoardMoving } from './board-moving';

type Air = { by: 'moisture' | 'air'; moisture: number; temperature: number; relativeHumidity: number };
type Range = { by: 'year' | 'air' | 'moisture'; placeId: string; low: Air; high: Air };

const percentOf = (air: Air) => (air.by === 'moisture' ? air.moisture : equilibriumMoisture(air));

/** How much a board moves, with nothing else known: wood, width, rings, the air it is in and the air it goes to. */
export function CalculatorPage({ places, today }: { places: readonly Place[]; today: string }) {
  const units = useUnits();
  const { solid, find } = useSpecies();
  const shop = places.find((place) => place.kind === 'shop');
  const home = places.find((place) => place.kind === 'home') ?? shop;
  const day = dayOfYear(today) % DAYS_IN_YEAR;
  const shopNow = shop ? yearOfAir(shop) : undefined;
  const [species, setSpecies] = useState('oak-white');
  const [width, setWidth] = useState(900);
  const [thickness, setThickness] = useState(25);
  const [sawn, setSawn] = useState<'flat' | 'rift' | 'quarter' | 'centre'>('flat');
  const [centre, setCentre] = useState({ distance: 80, offset: 0 });
  const [school, setSchool] = useState<MovementSchool>('coefficients');
  const [now, setNow] = useState<Air>({
    by: 'air',
    moisture: 8,
    temperature: Math.round(shopNow?.temperature[day] ?? 20),
    relativeHumidity: Math.round(shopNow?.relativeHumidity[day] ?? 45),
  });
  const [range, setRange] = useState<Range>({
    by: home ? 'year' : 'moisture',
    placeId: home?.id ?? '',
    low: { by: 'moisture', moisture: 6, temperature: 21, relativeHumidity: 30 },
    high: { by: 'moisture', moisture: 12, temperature: 21, relativeHumidity: 65 },
  });

  const wood = find(species) ?? solid[0];
  const rings: Rings = sawn === 'centre' ? centre : { flat: 0, rift: 45, quarter: 90 }[sawn];
  const place = places.find((p) => p.id === range.placeId);
  const year = place ? yearOfAir(place) : undefined;
  const fromNow = percentOf(now);
  const ends =
    range.by === 'year' && year
      ? [year.driest.moisture, year.wettest.moisture]
      : [
          percentOf({ ...range.low, by: range.by === 'air' ? 'air' : 'moisture' }),
          percentOf({ ...range.high, by: range.by === 'air' ? 'air' : 'moisture' }),
        ];
  const [driest, wettest] = [Math.min(...ends), Math.max(...ends)];
  const result = useMemo(
    () => wood && seasonCalculator({ species: wood, width, thickness, rings, now: fromNow, driest, wettest, school }),
    [wood, width, thickness, rings, fromNow, driest, wettest, school],
  );
  if (!result || !wood) return null;
  const { figures } = result;
  const commit =
    <T,>(set: (value: T) => void) =>
    (value: T) => {
      set(value);
      return undefined;
    };
  return (
    <div className="grid min-h-full grid-cols-[minmax(0,1fr)_324px] max-md:grid-cols-1">
      <div className="min-w-0 px-6 py-5">
        <h1 className="text-[19px] leading-6">Quick season</h1>
        <p className="mt-1 flex flex-wrap items-baseline gap-x-2" data-result="swing">
          <FigureButton figure={figures.swing} big>
            {units.length(figures.swing.quantity.amount, true)}
          </FigureButton>
          <span className="text-ink-2">
            {units.system === 'metric' ? 'mm ' : ''}between {units.number(driest, 1)} % and {units.number(wettest, 1)}{' '}
            %, in {wood.commonName} {units.length(width)} wide
          </span>
        </p>
        <BoardMoving
          result={result}
          species={wood}
          width={width}
          thickness={thickness}
          rings={rings}
          moistures={{ now: fromNow, driest, wettest }}
        />
        <div className="mt-4 grid max-w-4xl grid-cols-2 gap-x-10 max-lg:grid-cols-1">
          <div>
            <FigureLine label="Grows from now" figure={figures.grows} />
            <FigureLine label="Shrinks from now" figure={figures.shrinks} />
            <FigureLine label="Each edge, held in the middle" figure={figures.edge} />
            <FigureLine label="In thickness" figure={figures.thickness} />
          </div>
          <div>
            <FigureLine label="Travel for a slot at the edge, each way" figure={figures.slot} />
            <FigureLine label="Gap to leave now, both sides together" figure={figures.gap} />
            <FigureLine label="Coefficient" figure={figures.coefficient} />
          </div>
        </div>
        <p className="mt-3 max-w-[72ch] text-[12px] text-ink-2 leading-4">
          As if the wood followed the air at once: the most it can do. Start a job to see it lag behind, with its finish
          and its joints.
        </p>
      </div>
      <div className="border-line border-l bg-ground px-[18px] pt-4 pb-8 max-md:border-l-0">
        <Select
          label="Wood"
          value={species}
          options={solid.map((s) => ({ value: s.id, label: s.commonName }))}
          onCommit={commit(setSpecies)}
          wide
        />
        <LengthField label="Width" mm={width} least={5} most={5000} onCommit={commit(setWidth)} />
        <LengthField label="Thickness" mm={thickness} least={1} most={300} onCommit={commit(setThickness)} />
        <Choice
          label="Sawn"
          value={sawn}
          onCommit={setSawn}
          options={[
            { value: 'flat', label: 'Flat', reason: 'Rings along the face: the most movement.' },
            { value: 'rift', label: 'Rift', reason: 'Rings at 45° to the face.' },
            { value: 'quarter', label: 'Quarter', reason: 'Rings upright: the least movement.' },
            {
              value: 'centre',
              label: 'By the pith',
              reason: 'From where the pith lay: the rings turn across the width.',
            },
          ]}
        />
        {sawn === 'centre' ? (
          <>
            <LengthField
              label="Pith below the middle"
              mm={centre.distance}
              least={0}
              most={2000}
              onCommit={commit((distance: number) => setCentre((c) => ({ ...c, distance })))}
            />
            <LengthField
              label="Pith to the side"
              mm={centre.offset}
              least={0}
              most={2000}
              onCommit={commit((offset: number) => setCentre((c) => ({ ...c, offset })))}
            />
          </>
        ) : null}
        <Group title="Now">
          <Choice
            label="The wood is"
            value={now.by}
            onCommit={(by) => setNow((a) => ({ ...a, by }))}
            options={[
              { value: 'air', label: 'at rest in this air', reason: `It comes to ${units.number(fromNow, 1)} %.` },
              { value: 'moisture', label: 'measured' },
            ]}
          />
          <AirFields name="Now" air={now} onAir={setNow} />
        </Group>
        <Group title="Later">
          <Choice
            label="It goes to"
            value={range.by}
            onCommit={(by) => setRange((r) => ({ ...r, by }))}
            options={[
              ...(places.length > 0 ? [{ value: 'year' as const, label: 'a place, all year' }] : []),
              { value: 'air', label: 'two airs' },
              { value: 'moisture', label: 'two moistures' },
            ]}
          />
          {range.by === 'year' ? (
            <>
              <Select
                label="Place"
                value={range.placeId}
                options={places.map((p) => ({ value: p.id, label: p.name }))}
                onCommit={commit((placeId: string) => setRange((r) => ({ ...r, placeId })))}
                wide
              />
              {year ? (
                <p className="text-ink-2">
                  Driest {units.number(year.driest.moisture, 1)} % about {onDay(year.driest.day)}, wettest{' '}
                  {units.number(year.wettest.moisture, 1)} % about {onDay(year.wettest.day)}.
                </p>
              ) : null}
            </>
          ) : (
            (['low', 'high'] as const).map((end) => (
              <AirFields
                key={end}
                name={end === 'low' ? 'Dry' : 'Wet'}
                air={{ ...range[end], by: range.by === 'air' ? 'air' : 'moisture' }}
                onAir={(air) => setRange((r) => ({ ...r, [end]: air }))}
              />
            ))
          )}
        </Group>
        <Group title="Reckoned by">
          <Choice
            label="School"
            value={school}
            onCommit={setSchool}
            options={(Object.keys(MOVEMENT_SCHOOLS) as MovementSchool[]).map((value) => ({
              value,
              label: MOVEMENT_SCHOOLS[value].name,
              reason: MOVEMENT_SCHOOLS[value].reason,
            }))}
          />
          {(Object.keys(MOVEMENT_SCHOOLS) as MovementSchool[]).map((value) => (
            <FigureLine
              key={value}
              label={`${MOVEMENT_SCHOOLS[value].name}${value === school ? ', in force' : ''}`}
              figure={figures[value]}
            />
          ))}
        </Group>
      </div>
    </div>
  );
}

const onDay = (day: number) => sayDayShort(plusDays('2027-01-01', day));

function AirFields({ name, air, onAir }: { name: string; air: Air; onAir: (air: Air) => void }) {
  const units = useUnits();
  const set = (part: Partial<Air>) => {
    onAir({ ...air, ...part });
    return undefined;
  };
  if (air.by === 'moisture')
    return (
      <NumberField
        label={`${name}, moisture`}
        unit="%"
        value={air.moisture}
        least={0}
        most={40}
        step={0.5}
        onCommit={(moisture) => set({ moisture })}
      />
    );
  return (
    <>
      <NumberField
        label={`${name}, temperature`}
        unit="°C"
        value={air.temperature}
        least={-20}
        most={60}
        onCommit={(temperature) => set({ temperature })}
      />
      <NumberField
        label={`${name}, humidity`}
        unit="%"
        value={air.relativeHumidity}
        least={0}
        most={100}
        onCommit={(relativeHumidity) => set({ relativeHumidity })}
        hint={`wood comes to ${units.number(equilibriumMoisture(air), 1)} %`}
      />
    </>
  );
}
