'use client';

import { DayPicker as Picker } from 'react-day-picker';

/** The day on which weeks begin where the reader is; Monday where the browser does not say. 0 Sunday … 6 Saturday. */
function firstOfWeek(): 0 | 1 | 2 | 3 | 4 | 5 | 6 {
  const locale = new Intl.Locale(navigator.language) as Intl.Locale & {
    getWeekInfo?: () => { firstDay: number };
    weekInfo?: { firstDay: number };
  };
  return ((locale.getWeekInfo?.() ?? locale.weekInfo ?? { firstDay: 1 }).firstDay % 7) as ReturnType<
    typeof firstOfWeek
  >;
}

const written = (date: Date) =>
  `${date.getFullYear()}-${String(date.getMonth() + 1).padStart(2, '0')}-${String(date.getDate()).padStart(2, '0')}`;

/** A month to choose a day from, by mouse or keys. */
export default function DayPicker({ day, onDay }: { day: string; onDay: (day: string) => void }) {
  const [year = 2027, month = 1, date = 1] = day.split('-').map(Number);
  const shown = new Date(year, month - 1, date);
  return (
    <Picker
      mode="single"
      required
      autoFocus
      showOutsideDays
      weekStartsOn={firstOfWeek()}
      selected={shown}
      defaultMonth={shown}
      onSelect={(chosen: Date) => onDay(written(chosen))}
      classNames={{
        months: 'relative',
        month_caption: 'flex h-8 items-center justify-center font-semibold',
        nav: 'absolute inset-x-0 top-0 flex justify-between',
        button_previous: 'size-8 min-w-[var(--target)] hover:bg-layout-tint',
        button_next: 'size-8 min-w-[var(--target)] hover:bg-layout-tint',
        chevron: 'mx-auto size-4 fill-ink',
        weekday: 'figures h-6 w-8 text-center font-normal text-[12px] text-ink-2',
        day: 'figures p-0 text-center',
        day_button: 'size-8 min-w-[var(--target)] rounded-sm hover:bg-layout-tint',
        selected: 'bg-layout font-semibold text-paper [&_button:hover]:text-ink',
        today: 'font-semibold underline',
        outside: 'text-ink-2',
      }}
    />
  );
}
