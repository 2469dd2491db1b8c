'use client';

import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import {
  type InchFraction,
  type LengthStyle,
  type Phrase,
  type Quantity,
  type UnitSystem,
  writeLength,
  writeQuantity,
  writtenParts,
} from '@/core';
import { UNITS_COOKIE } from './units-cookie';

interface Units {
  system: UnitSystem;
  fraction: InchFraction;
  setSystem: (system: UnitSystem) => void;
  toggle: () => void;
  /** A length as the shop reads it; `fine` where a tenth of a millimetre matters. */
  length: (mm: number, fine?: boolean) => string;
  style: LengthStyle;
}

const UnitsContext = createContext<Units | null>(null);

export function UnitsProvider({
  initial,
  fraction,
  children,
}: {
  initial: UnitSystem;
  fraction: InchFraction;
  children: ReactNode;
}) {
  const [system, keep] = useState(initial);
  const setSystem = useCallback((next: UnitSystem) => {
    keep(next);
    // Read by the server, so that the next page comes in the same units.
    // biome-ignore lint/suspicious/noDocumentCookie: the Cookie Store API is not in every browser
    document.cookie = `${UNITS_COOKIE}=${next}; path=/; max-age=31536000; samesite=lax`;
  }, []);
  // From here on the page answers to hand and key; those that drive it from outside wait for this.
  useEffect(() => {
    document.documentElement.dataset.awake = '';
  }, []);
  const units = useMemo<Units>(() => {
    const style: LengthStyle = system === 'metric' ? { system } : { system, fraction };
    return {
      system,
      fraction,
      setSystem,
      style,
      toggle: () => setSystem(system === 'metric' ? 'inch' : 'metric'),
      length: (mm, fine) => writeLength(mm, style, fine),
    };
  }, [system, fraction, setSystem]);
  return <UnitsContext value={units}>{children}</UnitsContext>;
}

export function useUnits(): Units {
  const units = useContext(UnitsContext);
  if (!units) throw new Error('useUnits outside UnitsProvider');
  return units;
}

const FIGURE = 'figures font-semibold whitespace-nowrap';

export function QuantityText({ of }: { of: Quantity }) {
  return <span className={FIGURE}>{writeQuantity(of, useUnits().style)}</span>;
}

export function PhraseText({ of }: { of: Phrase }) {
  const written = writtenParts(of, useUnits().style);
  return of.map((part, i) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: a phrase is never reordered
    <span key={i} className={typeof part === 'string' ? undefined : FIGURE}>
      {written[i]}
    </span>
  ));
}

export function Length({ mm, fine }: { mm: number; fine?: boolean }) {
  return <span className="figures whitespace-nowrap">{useUnits().length(mm, fine)}</span>;
}
