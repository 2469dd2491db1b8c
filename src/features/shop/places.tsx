'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { PlaceReply } from '@/contract/replies';
import { indoorMonths, type Problem, yearOfAir } from '@/core';
import { Button } from '@/ui/button';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { useUnits } from '@/ui/units';
import { PlaceChart } from './place-chart';
import { PlaceDialog } from './place-dialog';

export function Places({ places }: { places: readonly PlaceReply[] }) {
  const units = useUnits();
  const router = useRouter();
  const [editing, setEditing] = useState<PlaceReply | 'new' | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const bin = async (place: PlaceReply) => {
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
                wood from {units.number(year.driest.moisture, 1)} % to {units.number(year.wettest.moisture, 1)} %
              </p>
              <PlaceChart months={indoorMonths(place)} name={place.name} />
              {place.room || place.logged.length > 0 ? (
                <p className="text-ink-2">
                  {place.room ? 'from the air outdoors' : ''}
                  {place.room && place.logged.length > 0 ? ', ' : ''}
                  {place.logged.length > 0 ? `${place.logged.length} days from a logger` : ''}
                </p>
              ) : null}
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
