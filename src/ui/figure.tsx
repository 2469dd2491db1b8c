'use client';

import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { type Figure, writeQuantity } from '@/core';
import { QuantityText, useUnits } from './units';

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
  if (!figure) return <>{children}</>;
  return (
    <Popover.Root>
      <Popover.Trigger
        className={`explains figures font-semibold hover:text-layout ${big ? 'text-[34px] leading-10 no-underline decoration-1' : ''}`}
        title="How this was reckoned"
      >
        {children ?? writeQuantity(figure.quantity, units.style)}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          collisionPadding={12}
          aria-label={figure.label}
          className="z-50 w-80 rounded-sm border border-ink bg-paper p-3 text-ink shadow-[0_2px_12px_rgb(0_0_0/0.18)]"
        >
          <p className="font-semibold">
            {figure.label}: <QuantityText of={figure.quantity} />
          </p>
          <p className="figures mt-1 [overflow-wrap:anywhere]">= {figure.formula}</p>
          <dl className="mt-2 grid grid-cols-[1fr_auto] gap-x-3 border-hairline border-t pt-2">
            {figure.inputs.map((input) => (
              <div key={input.label} className="contents">
                <dt className="text-ink-2">{input.label}</dt>
                <dd className="text-right">
                  {typeof input.quantity === 'string' ? input.quantity : <QuantityText of={input.quantity} />}
                </dd>
              </div>
            ))}
          </dl>
          {figure.limits ? <p className="mt-2 text-[12px] leading-4">{figure.limits}</p> : null}
          <p className="mt-2 text-[12px] text-ink-2 leading-4">Source: {figure.source}</p>
          <Popover.Close className="mt-2 text-layout underline">Close</Popover.Close>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
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
