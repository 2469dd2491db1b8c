'use client';

import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import { MM_PER_INCH } from '@/core';
import { useUnits } from './units';

/** A figure of the drawing that can be dragged: which, from which of its ends, and what it may be. mm */
export interface Draggable {
  label: string;
  end: 'from' | 'to';
  value: number;
  least: number;
  most: number;
  onDrop: (mm: number) => void;
}

/** Steps that a dragged figure goes in, mm; fine ones with Alt. */
const STEPS = { metric: { coarse: 5, fine: 1 }, inch: { coarse: MM_PER_INCH / 4, fine: MM_PER_INCH / 16 } } as const;
/** Radius of the grip, and of what answers to a finger, px. */
const GRIP = 5;
const TOUCHED = 18;
/** px; a hand that moves less has pressed. */
const STILL = 3;

/**
 * The grip at the end of a dimension line. While it is dragged a line shows where it would come to and the figure that it
 * would become; it becomes so when it is let go. Escape leaves it as it was; arrow keys move it by a step.
 */
export function DimensionGrip({
  drag: { label, value, least, most, onDrop },
  at: [x, y],
  away: [ax, ay],
  scale,
}: {
  drag: Draggable;
  at: readonly [number, number];
  /** The way in which it grows, a unit vector on the screen. */
  away: readonly [number, number];
  /** px of a mm. */
  scale: number;
}) {
  const units = useUnits();
  const [pulled, setPulled] = useState<{ from: readonly [number, number]; mm: number } | null>(null);
  const steps = STEPS[units.system];
  const within = (mm: number, step: number) => Math.min(most, Math.max(least, Math.round(mm / step) * step));
  // Where the pointer is by this very event: what is drawn may be a move behind it.
  const mmAt = (event: PointerEvent, from: readonly [number, number]) => {
    const along = (event.clientX - from[0]) * ax + (event.clientY - from[1]) * ay;
    return within(value + along / scale, event.altKey ? steps.fine : steps.coarse);
  };
  const follow = (event: PointerEvent) => {
    if (pulled) setPulled({ ...pulled, mm: mmAt(event, pulled.from) });
  };
  const drop = (event: PointerEvent) => {
    // A click moves nothing, not even to a round figure.
    const moved = pulled && Math.hypot(event.clientX - pulled.from[0], event.clientY - pulled.from[1]) > STILL;
    const mm = moved ? mmAt(event, pulled.from) : value;
    setPulled(null);
    if (Math.abs(mm - value) > 1e-6) onDrop(mm);
  };
  const keys = (event: KeyboardEvent) => {
    if (event.key === 'Escape') setPulled(null);
    const more = ['ArrowUp', 'ArrowRight'].includes(event.key);
    if (!more && !['ArrowDown', 'ArrowLeft'].includes(event.key)) return;
    event.preventDefault();
    const step = event.altKey ? steps.fine : steps.coarse;
    onDrop(within((more ? Math.floor(value / step + 1e-6) + 1 : Math.ceil(value / step - 1e-6) - 1) * step, step));
  };
  const shift = pulled ? (pulled.mm - value) * scale : 0;
  const [gx, gy] = [x + ax * shift, y + ay * shift];
  const upright = Math.abs(ay) > Math.abs(ax);
  return (
    <g>
      {pulled ? (
        <g pointerEvents="none">
          <line
            x1={gx}
            y1={gy}
            x2={upright ? gx - 2000 : gx}
            y2={upright ? gy : gy + 2000}
            className="stroke-layout"
            strokeWidth={1}
            strokeDasharray="4 3"
          />
          <text
            x={gx + (upright ? 10 : 0)}
            y={gy + (upright ? 0 : -12)}
            textAnchor={upright ? 'start' : 'middle'}
            dominantBaseline="central"
            className="figures fill-layout font-semibold text-[15px]"
          >
            {units.length(pulled.mm)}
          </text>
        </g>
      ) : null}
      <circle
        cx={gx}
        cy={gy}
        r={TOUCHED}
        role="slider"
        tabIndex={0}
        aria-label={`${label}, to drag`}
        aria-valuenow={Math.round(value)}
        aria-valuemin={Math.round(least)}
        aria-valuemax={Math.round(most)}
        aria-valuetext={units.length(pulled?.mm ?? value)}
        data-grip={label}
        className={`peer touch-none fill-transparent ${upright ? 'cursor-ns-resize' : 'cursor-ew-resize'}`}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          setPulled({ from: [event.clientX, event.clientY], mm: value });
        }}
        onPointerMove={follow}
        onPointerUp={drop}
        onPointerCancel={() => setPulled(null)}
        onKeyDown={keys}
      />
      <circle
        cx={gx}
        cy={gy}
        r={GRIP}
        className="fill-paper stroke-layout peer-hover:fill-layout"
        strokeWidth={2}
        pointerEvents="none"
      />
    </g>
  );
}
