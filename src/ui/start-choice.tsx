'use client';

import type { DrawnStart, Start } from '@/core';
import { SmallDrawing } from './small-drawing';

/** px */
const [WIDE, HIGH] = [80, 48];

/** What is to be built, chosen from drawings that stand at one scale. */
export function StartChoice({
  legend,
  starts,
  chosen,
  onChoose,
}: {
  legend: string;
  starts: readonly DrawnStart[];
  chosen: Start;
  onChoose: (start: Start) => void;
}) {
  const drawn = starts.flatMap(({ drawing }) => (drawing.width > 0 ? drawing : []));
  const px = Math.min(1, ...drawn.map(({ width, height }) => Math.min(WIDE / width, HIGH / height)));
  return (
    <fieldset>
      <legend className="mb-2">{legend}</legend>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(84px,1fr))] gap-x-1 gap-y-2">
        {starts.map(({ start, name, built, drawing }) => (
          <label
            key={start}
            title={built}
            className="target flex cursor-pointer flex-col rounded-sm px-1 pt-1 pb-1 hover:bg-ground has-[:checked]:bg-layout-tint has-[:focus-visible]:outline-2 has-[:focus-visible]:outline-layout"
          >
            <input
              type="radio"
              name="start"
              value={start}
              checked={start === chosen}
              onChange={() => onChoose(start)}
              className="sr-only"
            />
            <span
              className="flex items-end justify-center border-ink border-b"
              style={{ height: HIGH + 6 }}
              aria-hidden
            >
              <SmallDrawing drawing={drawing} px={px} name="" />
            </span>
            <span className={`pt-0.5 leading-4 ${start === chosen ? 'font-semibold' : ''}`}>{name}</span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
