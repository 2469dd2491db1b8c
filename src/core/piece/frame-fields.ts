import * as v from 'valibot';
import { length, whole } from '../decision/fields';
import type { FormField } from '../decision/form-field';

/** What of a panel's tongue must be left in its groove even in the driest week, mm; common practice. */
export const STAYS_IN = 2;

/** What is decided of a frame whose panels float in its grooves; mm. */
export const frameEntries = {
  thickness: length(12, 50),
  stile: length(25, 200),
  rail: length(25, 200),
  /** Panels beside one another, and over one another. */
  across: whole(1, 8),
  up: whole(1, 8),
  panelThickness: length(4, 25),
  /** Beyond the panel's face, into the grooves. */
  tongue: length(4, 30),
  /** Free at each side of a panel, across its grain, on the day it is made. */
  room: length(0, 15),
};
const schema = v.object(frameEntries);
export type FrameDecided = v.InferOutput<typeof schema>;

/** What is asked of it. */
export const FRAME_FIELDS: readonly FormField<FrameDecided>[] = [
  { ask: 'figure', at: 'thickness', label: 'Frame, thick' },
  { ask: 'figure', at: 'stile', label: 'Stiles, wide' },
  { ask: 'figure', at: 'rail', label: 'Rails, wide' },
  { ask: 'figure', at: 'across', label: 'Panels beside one another' },
  { ask: 'figure', at: 'up', label: 'Panels over one another' },
  { ask: 'figure', at: 'panelThickness', label: 'Panels, thick' },
  { ask: 'figure', at: 'tongue', label: 'Into the grooves' },
  { ask: 'figure', at: 'room', label: 'Room at each side of a panel' },
];

/** About so wide is a panel, mm; common practice. */
const USUAL_PANEL = 330;
const USUAL_HIGH = 900;

/** A panel so wide grows or shrinks by about this share of it through most years, at each of its sides; common practice. */
const USUAL_MOVES = 0.017;

/** Room to leave at each side of a panel of this width, mm. */
export const usualRoom = (wide: number): number => Math.min(12, Math.max(2, Math.ceil(wide * USUAL_MOVES)));

/** Usual sizes for a frame so wide and so high, mm; common practice. */
export function startFrame(wide: number, high: number): FrameDecided {
  const across = Math.min(8, Math.max(1, Math.round(wide / USUAL_PANEL)));
  const stile = 60;
  const room = usualRoom(wide / across - stile);
  return {
    ...{ thickness: 18, stile, rail: 60, across, panelThickness: 8, room },
    up: Math.min(8, Math.max(1, Math.round(high / USUAL_HIGH))),
    tongue: Math.min(18, 2 * room + STAYS_IN + 2),
  };
}
