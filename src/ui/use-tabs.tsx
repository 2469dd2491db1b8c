'use client';

import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';

/** Tabs above a drawing, with a state of their own. */
export function useTabs<T extends string>(
  tabs: readonly { value: T; label: string }[],
  first: T,
  label = 'What is drawn',
) {
  const [value, setValue] = useState<T>(first);
  const bar = (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => {
        if (next) setValue(next as T);
      }}
      className="flex flex-wrap gap-x-5"
    >
      {tabs.map((tab) => (
        <ToggleGroup.Item
          key={tab.value}
          value={tab.value}
          className="border-transparent border-b-2 py-1 text-ink-2 hover:text-ink data-[state=on]:border-layout data-[state=on]:font-semibold data-[state=on]:text-ink"
        >
          {tab.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
  return { value, setValue, bar };
}
