'use client';

import { useCallback, useEffect, useState } from 'react';
import type { AirReply } from '@/contract/replies';
import { DAYS_IN_YEAR, dayOfYear, equilibriumMoisture, moistureFigure, writeQuantity, yearOfAir } from '@/core';
import { NumberField } from '@/ui/fields';
import { FigureButton } from '@/ui/figure';
import { request } from '@/ui/request';
import { useUnits } from '@/ui/units';
import { useTabs } from '@/ui/use-tabs';
import { AirChart } from './air-chart';
import { BoardsToMill } from './boards-to-mill';
import { Devices } from './devices';

const TABS = [
  { value: 'week', label: 'This week' },
  { value: 'year', label: 'Against the year' },
] as const;

/** Looked for anew this often, ms, while the page is seen. */
const EVERY = 4000;

/** The shop's air as it is read, what it makes of wood, and which boards have come to rest in it. */
export function AirPage({ first }: { first: AirReply }) {
  const units = useUnits();
  const [data, setData] = useState(first);
  const [gone, setGone] = useState(false);
  const tabs = useTabs(TABS, 'week');
  const look = useCallback(async () => {
    const reply = await request<AirReply>('GET', '/api/air');
    setGone(!reply.ok);
    if (reply.ok) setData(reply.value);
  }, []);
  useEffect(() => {
    const timer = setInterval(() => {
      if (document.visibilityState === 'visible') void look();
    }, EVERY);
    return () => clearInterval(timer);
  }, [look]);

  const { place, air, today } = data;
  const year = place ? yearOfAir(place) : undefined;
  const day = dayOfYear(today) % DAYS_IN_YEAR;
  const usual = year?.moisture[day];
  const now = air.latest ? equilibriumMoisture(air.latest) : usual;
  const figure =
    place && year
      ? moistureFigure({
          id: 'air-now',
          label: 'What wood comes to in this air',
          temperature: air.latest?.temperature ?? year.temperature[day] ?? 0,
          relativeHumidity: air.latest?.relativeHumidity ?? year.relativeHumidity[day] ?? 0,
          where: [
            { label: 'Place', quantity: place.name },
            { label: 'Read', quantity: air.latest ? clock(air.latest.at) : 'not yet: by its months' },
          ],
          source: air.latest ? 'the last reading' : 'the place’s months',
        })
      : undefined;
  const [target, setTarget] = useState<number | null>(null);
  return (
    <div className="grid min-h-full grid-cols-[minmax(0,1fr)_324px] max-lg:grid-cols-1">
      <div className="min-w-0 px-6 py-5">
        <h1 className="text-[19px] leading-6">Air</h1>
        {place && now !== undefined ? (
          <p className="mt-1" data-air-now>
            <FigureButton figure={figure} big>
              {units.number(now, 1)} %
            </FigureButton>{' '}
            <span className="text-ink-2">
              is what wood comes to in {place.name},{' '}
              {air.latest ? (
                <>
                  at{' '}
                  <b className="figures font-semibold text-ink">
                    {writeQuantity({ amount: air.latest.temperature, unit: 'celsius' }, units.style)}
                  </b>{' '}
                  and <b className="figures font-semibold text-ink">{air.latest.relativeHumidity.toFixed(0)} %</b>, read{' '}
                  {clock(air.latest.at)}
                  {usual === undefined ? '' : `; usual at this time of year ${units.number(usual, 1)} %`}
                </>
              ) : (
                'by its months; nothing has been read yet'
              )}
            </span>
          </p>
        ) : (
          <p className="mt-1">Add the shop as a place on the Shop page, with the air of its months.</p>
        )}
        {gone ? (
          <p role="status" className="mt-1 bg-stop-tint px-2 py-0.5 text-stop">
            The server does not answer; what is shown is from before.
          </p>
        ) : null}
        {place ? (
          <>
            <div className="mt-3">{tabs.bar}</div>
            <AirChart view={tabs.value} place={place} readings={air.readings} today={today} />
            <div className="mt-5 max-w-[420px]">
              <NumberField
                label="Boards should come to"
                unit="%"
                value={target}
                least={3}
                most={25}
                step={0.5}
                allowEmpty={units.number(now ?? 8, 1)}
                onCommit={(next) => {
                  setTarget(next);
                  return undefined;
                }}
                onEmpty={() => setTarget(null)}
                hint="Empty: what this air makes of wood now. A board within 1 % of it may be milled."
              />
            </div>
            <BoardsToMill data={data} target={target ?? Number((now ?? 8).toFixed(1))} onRead={() => void look()} />
          </>
        ) : null}
      </div>
      <div className="border-line border-l bg-ground px-[18px] pt-4 pb-8 max-lg:border-l-0">
        <Devices data={data} onChange={() => void look()} />
      </div>
    </div>
  );
}

/** Local to the reader; the server writes none, so that both agree. */
function clock(at: string): string {
  const date = new Date(at);
  return `${date.toISOString().slice(0, 10)} ${date.toISOString().slice(11, 16)} UTC`;
}
