'use client';

import { createContext, type ReactNode, useCallback, useContext, useMemo, useState } from 'react';
import { formatLength, type InchFraction, type LengthStyle, type Phrase, type Quantity, type UnitSystem } from '@/core';
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
  const units = useMemo<Units>(() => {
    const style: LengthStyle = system === 'metric' ? { system } : { system, fraction };
    return {
      system,
      fraction,
      setSystem,
      style,
      toggle: () => setSystem(system === 'metric' ? 'inch' : 'metric'),
      length: (mm, fine) =>
        system === 'metric'
          ? formatLength(fine ? mm : Math.round(mm * 2) / 2, { system, decimals: 1 })
          : formatLength(mm, { system, fraction: fine ? (Math.max(fraction, 32) as InchFraction) : fraction }),
    };
  }, [system, fraction, setSystem]);
  return <UnitsContext value={units}>{children}</UnitsContext>;
}

export function useUnits(): Units {
  const units = useContext(UnitsContext);
  if (!units) throw new Error('useUnits outside UnitsProvider');
  return units;
}

/** A number with its unit, in the workshop's way. */
export function writeQuantity({ amount, unit }: Quantity, units: Pick<Units, 'length' | 'system'>): string {
  const suffix = units.system === 'metric' ? ' mm' : '';
  const to = (digits: number) => amount.toFixed(digits).replace('-', '−');
  switch (unit) {
    case 'mm':
      return `${units.length(amount)}${suffix}`;
    case 'mm-movement':
      return `${units.length(amount, true)}${suffix}`;
    case 'percent':
      return `${to(1)} %`;
    case 'percent-moisture':
      return `${to(1)} %`;
    case 'degrees':
      return `${to(0)}°`;
    case 'celsius':
      return `${to(1)} °C`;
    case 'newton':
      return `${to(0)} N`;
    case 'newton-metre':
      return `${to(1)} N·m`;
    case 'megapascal':
      return `${to(amount < 100 ? 1 : 0)} MPa`;
    case 'kilogram':
      return `${to(1)} kg`;
    case 'gram':
      return `${to(0)} g`;
    case 'hours':
      return `${to(1)} h`;
    case 'minutes':
      return `${to(0)} min`;
    case 'days':
      return `${to(0)} days`;
    case 'cubic-metre':
      return `${to(4)} m³`;
    case 'square-metre':
      return `${to(2)} m²`;
    case 'count':
      return to(0);
    case 'ratio':
      return to(2);
    case 'coefficient':
      return `${to(5)} per %`;
  }
}

export function QuantityText({ of }: { of: Quantity }) {
  return <span className="figures font-semibold whitespace-nowrap">{writeQuantity(of, useUnits())}</span>;
}

export function PhraseText({ of }: { of: Phrase }) {
  return of.map((part, i) =>
    // biome-ignore lint/suspicious/noArrayIndexKey: a phrase is never reordered
    typeof part === 'string' ? <span key={i}>{part}</span> : <QuantityText key={i} of={part} />,
  );
}

export function Length({ mm, fine }: { mm: number; fine?: boolean }) {
  return <span className="figures whitespace-nowrap">{useUnits().length(mm, fine)}</span>;
}
