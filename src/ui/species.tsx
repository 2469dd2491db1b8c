'use client';

import { createContext, type ReactNode, useContext, useMemo } from 'react';
import { findSpecies, type OwnSpecies, type Species, solidWoods, speciesWith } from '@/core';

interface Woods {
  all: readonly Species[];
  /** Those that boards are of; the others are sheets. */
  solid: readonly Species[];
  find: (id: string) => Species | undefined;
  nameOf: (id: string) => string;
}

const SpeciesContext = createContext<readonly OwnSpecies[]>([]);

export function SpeciesProvider({ own, children }: { own: readonly OwnSpecies[]; children: ReactNode }) {
  return <SpeciesContext value={own}>{children}</SpeciesContext>;
}

/** The woods this workshop knows: the shipped table and its own. */
export function useSpecies(): Woods {
  const own = useContext(SpeciesContext);
  return useMemo(
    () => ({
      all: speciesWith(own),
      solid: solidWoods(speciesWith(own)),
      find: (id) => findSpecies(id, own),
      nameOf: (id) => findSpecies(id, own)?.commonName ?? id,
    }),
    [own],
  );
}
