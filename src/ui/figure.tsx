'use client';

import { type ReactNode, useState } from 'react';
import { type Figure, writeQuantity } from '@/core';
import type { ExplainedProps } from './explained-figure';
import { later } from './later';
import { useUnits } from './units';

const Explained = later<ExplainedProps>(
  () => import('./explained-figure'),
  ({ className, children }) => (
    <button type="button" className={className}>
      {children}
    </button>
  ),
);

/** A figure that opens to its formula, its inputs and its source. */
export function FigureButton({
  figure,
  children,
  big,
}: {
  figure: Figure | undefined;
  children?: ReactNode;
  big?: boolean;
}) {
  const units = useUnits();
  const [opened, setOpened] = useState(false);
  if (!figure) return <>{children}</>;
  const shown = children ?? writeQuantity(figure.quantity, units.style);
  const className = `explains figures font-semibold hover:text-layout ${big ? 'text-[34px] leading-10 no-underline decoration-1' : ''}`;
  if (opened)
    return (
      <Explained figure={figure} className={className}>
        {shown}
      </Explained>
    );
  return (
    <button
      type="button"
      aria-haspopup="dialog"
      aria-expanded={false}
      className={className}
      title="How this was reckoned"
      onClick={() => setOpened(true)}
    >
      {shown}
    </button>
  );
}

/** A line of figures: what it is on the left, how much on the right. */
export function FigureLine({
  label,
  figure,
  children,
}: {
  label: string;
  figure?: Figure | undefined;
  children?: ReactNode;
}) {
  return (
    <div className="flex items-baseline justify-between gap-3 border-line border-t py-1.5 last:border-b">
      <span>{label}</span>
      <span className="figures font-semibold whitespace-nowrap">
        {figure ? <FigureButton figure={figure}>{children}</FigureButton> : children}
      </span>
    </div>
  );
}
