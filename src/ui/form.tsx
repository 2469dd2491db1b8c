'use client';

import type { ReactNode } from 'react';

/** Fields that are taken over together. As long as one of them is refused nothing is: it is shown instead. */
export function Form({
  onSubmit,
  className,
  children,
}: {
  onSubmit: () => unknown;
  className?: string;
  children: ReactNode;
}) {
  return (
    <form
      className={className}
      onSubmit={(event) => {
        event.preventDefault();
        const refused = event.currentTarget.querySelector<HTMLElement>('[aria-invalid="true"]');
        if (refused) refused.focus();
        else onSubmit();
      }}
    >
      {children}
    </form>
  );
}
