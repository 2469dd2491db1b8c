'use client';

import { CLIMATE_TYPES, HEATED_ROOM, type Place, turnedSouth, UNHEATED_ROOM } from '@/core';
import { Choice, Select, TextField } from '@/ui/fields';

/** A place that is not on the Shop page yet, by what it is like. */
export interface NewPlace {
  name: string;
  climate: string;
  where: 'heated' | 'unheated' | 'outdoors';
  south: boolean;
}

export const FIRST_PLACE: NewPlace = { name: '', climate: CLIMATE_TYPES[0]?.id ?? '', where: 'heated', south: false };

/** The place with its months, as they usually are in such a climate. */
export function placeOfClimate({ name, climate, where, south }: NewPlace): Omit<Place, 'id'> {
  const months = CLIMATE_TYPES.find(({ id }) => id === climate)?.months ?? [];
  return {
    name,
    kind: 'home',
    note: 'Typical months of its climate: put in measured ones on the Shop page when there are some.',
    months: south ? turnedSouth(months) : [...months],
    room: where === 'heated' ? HEATED_ROOM : where === 'unheated' ? UNHEATED_ROOM : null,
    logged: [],
  };
}

/** What is asked of a new place: three choices and a name instead of twelve months. */
export function NewPlaceFields({ place, onPlace }: { place: NewPlace; onPlace: (place: NewPlace) => void }) {
  const put = (part: Partial<NewPlace>) => {
    onPlace({ ...place, ...part });
    return undefined;
  };
  const like = CLIMATE_TYPES.find(({ id }) => id === place.climate)?.like;
  return (
    <div className="mb-2 border-layout border-l-2 pl-3">
      <TextField label="Name of the place" value={place.name} onCommit={(name) => put({ name })} required />
      <Select
        label="Climate"
        value={place.climate}
        options={CLIMATE_TYPES.map(({ id, name }) => ({ value: id, label: name }))}
        onCommit={(climate) => put({ climate })}
        wide
        {...(like ? { hint: like } : {})}
      />
      <Choice
        label="It stands"
        value={place.where}
        options={[
          { value: 'heated', label: 'Heated room' },
          { value: 'unheated', label: 'Unheated room' },
          { value: 'outdoors', label: 'Outdoors, under a roof' },
        ]}
        onCommit={(where) => put({ where })}
      />
      <Choice
        label="Half of the world"
        value={place.south ? 'south' : 'north'}
        options={[
          { value: 'north', label: 'Northern' },
          { value: 'south', label: 'Southern' },
        ]}
        onCommit={(half) => put({ south: half === 'south' })}
      />
    </div>
  );
}
