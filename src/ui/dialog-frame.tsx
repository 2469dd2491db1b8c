'use client';

import { Dialog as Radix } from 'radix-ui';
import { type ReactNode, useRef } from 'react';

export interface DialogProps {
  title: string;
  open: boolean;
  onClose: () => void;
  children: ReactNode;
  wide?: boolean;
}

export default function DialogFrame({ title, open, onClose, children, wide }: DialogProps) {
  const opener = useRef<Element | null>(null);
  return (
    <Radix.Root
      open={open}
      onOpenChange={(next) => {
        if (!next) onClose();
      }}
    >
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Radix.Content
          aria-describedby={undefined}
          // Whatever opened it has the focus again when it closes.
          onOpenAutoFocus={() => {
            opener.current = document.activeElement;
          }}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            if (opener.current instanceof HTMLElement) opener.current.focus();
          }}
          // Escape in a field that is being written in takes that back, and only then closes.
          onEscapeKeyDown={(event) => {
            if (event.target instanceof HTMLElement && event.target.dataset.typing !== undefined)
              event.preventDefault();
          }}
          className={`fixed top-1/2 left-1/2 z-50 max-h-[90vh] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-sm border border-ink bg-paper p-5 ${wide ? 'w-[820px]' : 'w-[460px]'}`}
        >
          <Radix.Title className="wide mb-3 font-semibold text-[17px]">{title}</Radix.Title>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
