'use client';

import {
  type CalculatorResult,
  cuppedSection,
  type Rings,
  ringCentreFor,
  type SectionPoint,
  type Species,
} from '@/core';
import { useUnits } from '@/ui/units';
import { useSize } from '@/ui/use-size';

const EXAGGERATED = 5;
const HEIGHT = 330;

/** The board at its driest, now and at its wettest: widths over one another, and its end with the rings and the cup. */
export function BoardMoving({
  result,
  species,
  width,
  thickness,
  rings,
  moistures,
}: {
  result: CalculatorResult;
  species: Species;
  width: number;
  thickness: number;
  rings: Rings;
  moistures: { now: number; driest: number; wettest: number };
}) {
  const units = useUnits();
  const [ref, size] = useSize<HTMLDivElement>();
  const room = Math.max(260, size.width);
  const scale = (room - 150) / (Math.max(width, 1) * 1.25);
  const middle = room / 2;
  const drawn = (mm: number) => (width + (mm - width) * EXAGGERATED) * scale;
  const states = [
    { name: 'wettest', mm: result.widths.wettest, percent: moistures.wettest, line: 'stroke-wet', fill: 'fill-wet' },
    { name: 'now', mm: result.widths.now, percent: moistures.now, line: 'stroke-ink', fill: 'fill-ink' },
    { name: 'driest', mm: result.widths.driest, percent: moistures.driest, line: 'stroke-dry', fill: 'fill-dry' },
  ] as const;
  const centre = typeof rings === 'number' ? ringCentreFor(rings) : rings;
  const endThick = Math.max(26, thickness * scale);
  const endY = 208;
  const across = Math.min(width * scale, room - 160);
  const endScale = across / Math.max(width, 1);
  const curve = (toMoisture: number) =>
    cuppedSection({ width, thickness, species, rings, fromMoisture: moistures.now, toMoisture, heartUp: false });
  const path = (points: readonly SectionPoint[], y: number) =>
    `M${points.map(([a, b]) => `${(middle + a * endScale).toFixed(1)} ${(y - b * endScale * EXAGGERATED).toFixed(1)}`).join('L')}`;
  return (
    <div ref={ref} className="mt-2 w-full">
      <svg
        width={room}
        height={HEIGHT}
        role="img"
        aria-label={`The board from above: ${units.length(result.widths.driest, true)} at its driest, ${units.length(result.widths.wettest, true)} at its wettest`}
        className="block"
      >
        {states.map((state, i) => {
          const w = drawn(state.mm);
          const y = 16 + i * 46;
          return (
            <g key={state.name} data-state={state.name}>
              <rect
                x={middle - w / 2}
                y={y}
                width={w}
                height={26}
                className={`${state.name === 'now' ? 'fill-wood' : 'fill-none'} ${state.line}`}
                strokeWidth={1.6}
                strokeDasharray={state.name === 'now' ? undefined : '5 3'}
              />
              <line
                x1={middle - w / 2}
                x2={middle - w / 2}
                y1={y - 4}
                y2={160}
                className="stroke-line"
                strokeWidth={0.7}
              />
              <line
                x1={middle + w / 2}
                x2={middle + w / 2}
                y1={y - 4}
                y2={160}
                className="stroke-line"
                strokeWidth={0.7}
              />
              <text x={middle} y={y + 17} textAnchor="middle" className="figures fill-ink font-semibold text-[13px]">
                {units.length(state.mm, true)}
              </text>
              <text x={0} y={y + 17} className="fill-ink-2 text-[12.5px]">
                {state.name} {units.number(state.percent, 1)} %
              </text>
            </g>
          );
        })}
        <text x={room} y={176} textAnchor="end" className="fill-ink-2 text-[12px]">
          movement drawn × {EXAGGERATED}
        </text>
        <clipPath id="calculator-end">
          <rect x={middle - across / 2} y={endY} width={across} height={endThick} />
        </clipPath>
        <rect x={middle - across / 2} y={endY} width={across} height={endThick} className="fill-wood" />
        <g clipPath="url(#calculator-end)" className="fill-none stroke-wood-line" strokeWidth={0.7}>
          {Array.from({ length: 60 }, (_, i) => {
            const reach = Math.hypot(Math.abs(centre.offset) + width / 2, Math.abs(centre.distance) + thickness);
            return (
              <circle
                // biome-ignore lint/suspicious/noArrayIndexKey: rings have no other name
                key={i}
                cx={middle + centre.offset * endScale}
                cy={endY + endThick / 2 + Math.abs(centre.distance) * endScale}
                r={(reach * endScale * (i + 1)) / 60}
              />
            );
          })}
        </g>
        <rect x={middle - across / 2} y={endY} width={across} height={endThick} className="fill-none stroke-ink" />
        <text x={0} y={endY + endThick / 2 + 4} className="fill-ink-2 text-[12.5px]">
          its end
        </text>
        {(
          [
            ['driest', result.cup.driest, 'stroke-dry'],
            ['wettest', result.cup.wettest, 'stroke-wet'],
          ] as const
        ).map(([name, height, line], i) => (
          <g key={name}>
            <path
              d={path(curve(moistures[name]).middle, endY + endThick + 28 + i * 34)}
              className={`fill-none ${line}`}
              strokeWidth={2}
            />
            <text x={0} y={endY + endThick + 32 + i * 34} className="fill-ink-2 text-[12.5px]">
              {name}
            </text>
            <text x={room} y={endY + endThick + 32 + i * 34} textAnchor="end" className="figures fill-ink text-[13px]">
              cups {units.length(Math.abs(height), true)}
            </text>
          </g>
        ))}
      </svg>
      <p className="max-w-[72ch] text-[12px] text-ink-2 leading-4">
        Cup of one free board, heart side down. A glued panel of narrow strips cups far less.
      </p>
    </div>
  );
}
