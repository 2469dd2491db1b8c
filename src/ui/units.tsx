'use client';

import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import {
  type DecimalMark,
  type InchFraction,
  type LengthStyle,
  type Phrase,
  type Quantity,
  type UnitSystem,
  writeLength,
  writeNumber,
  writeQuantity,
  writtenParts,
} from '@/core';
import { DECIMAL_COOKIE, UNITS_COOKIE } from './units-cookie';

interface Units {
  system: UnitSystem;
  fraction: InchFraction;
  setSystem: (system: UnitSystem) => void;
  toggle: () => void;
  /** A length as the shop reads it; `fine` where a tenth of a millimetre matters. */
  length: (mm: number, fine?: boolean) => string;
  /** A figure with so many decimals. */
  number: (amount: number, decimals: number) => string;
  setDecimal: (mark: DecimalMark) => void;
  style: LengthStyle;
}

const UnitsContext = createContext<Units | null>(null);

export function UnitsProvider({
  initial,
  fraction,
  decimal: firstMark = 'point',
  children,
}: {
  initial: UnitSystem;
  fraction: InchFraction;
  decimal?: DecimalMark;
  children: ReactNode;
}) {
  const [system, keep] = useState(initial);
  const [decimal, keepMark] = useState(firstMark);
  const setSystem = useCallback((next: UnitSystem) => {
    keep(next);
    remember(UNITS_COOKIE, next);
  }, []);
  const setDecimal = useCallback((next: DecimalMark) => {
    keepMark(next);
    remember(DECIMAL_COOKIE, next);
  }, []);
  // From here on the page answers to hand and key; those that drive it from outside wait for this.
  useEffect(() => {
    document.documentElement.dataset.awake = '';
  }, []);
  const units = useMemo<Units>(() => {
    const style: LengthStyle = system === 'metric' ? { system, decimal } : { system, fraction, decimal };
    return {
      system,
      fraction,
      setSystem,
      style,
      toggle: () => setSystem(system === 'metric' ? 'inch' : 'metric'),
      length: (mm, fine) => writeLength(mm, style, fine),
      number: (amount, decimals) => writeNumber(amount, decimals, style),
      setDecimal,
    };
  }, [system, fraction, decimal, setSystem, setDecimal]);
  return <UnitsContext value={units}>{children}</UnitsContext>;
}

/** For the server, so that the next page comes as this one is read. */
const remember = (cookie: string, choice: string) => {
  // biome-ignore lint/suspicious/noDocumentCookie: the Cookie Store API is not in every browser
  document.cookie = `${cookie}=${choice}; path=/; max-age=31536000; samesite=lax`;
};

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
