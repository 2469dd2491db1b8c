'use client';

import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import type { Figure } from '@/core';
import { QuantityText } from './units';

export interface ExplainedProps {
  figure: Figure;
  /** Of the button that opens it. */
  className: string;
  children: ReactNode;
}

/** A figure with its formula, its inputs and its source open beside it. */
export default function ExplainedFigure({ figure, className, children }: ExplainedProps) {
  return (
    <Popover.Root defaultOpen>
      <Popover.Trigger className={className} title="How this was reckoned">
        {children}
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
