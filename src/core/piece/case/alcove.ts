import * as v from 'valibot';
import { length, line } from '../../decision/fields';
import { type FittedCase, fitAlcove } from '../../room/alcove';
import type { CaseForm } from './form';

const id = v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,40}$/, 'small letters, digits and hyphens only'));

/** What on the back wall must be kept clear: a socket, a pipe, a switch; from the left wall at the floor, mm. */
const ClearSchema = v.object({
  id,
  name: v.pipe(line(60), v.nonEmpty('a name is needed')),
  fromLeft: length(0, 6000),
  fromFloor: length(0, 4000),
  width: length(1, 3000),
  height: length(1, 3000),
});

/** The alcove that a case is fitted to, as it is measured. */
export const AlcoveSchema = v.object({
  wide: v.object({ floor: length(100, 6000), middle: length(100, 6000), head: length(100, 6000) }),
  deep: v.object({ left: length(50, 2000), right: length(50, 2000) }),
  lean: length(-300, 300),
  rise: length(-200, 200),
  ceiling: length(300, 6000),
  skirting: v.nullable(v.object({ height: length(5, 400), thickness: length(2, 60) })),
  /** Both sides together, where the walls come nearest. */
  room: length(0, 100),
  /** Scribe strips, thick. */
  strips: length(9, 40),
  clear: v.pipe(v.array(ClearSchema), v.maxLength(20)),
});
export type AlcoveDecided = v.InferOutput<typeof AlcoveSchema>;

/** An alcove of usual sizes round a case, to be measured. */
export const startAlcove = ({ width, depth, height }: Pick<CaseForm, 'width' | 'depth' | 'height'>): AlcoveDecided => ({
  wide: { floor: width + START_ROOM, middle: width + START_ROOM, head: width + START_ROOM },
  deep: { left: depth, right: depth },
  lean: 0,
  rise: 0,
  ceiling: Math.max(2400, height + 200),
  skirting: null,
  room: START_ROOM,
  strips: 20,
  clear: [],
});

/** 10 to 20 mm by common practice. */
const START_ROOM = 16;

/** What the alcove makes of a case; null where there is none, or walls and room leave nothing. */
export function fitOf({ alcove, stand }: Pick<CaseForm, 'alcove' | 'stand'>): FittedCase | null {
  if (!alcove) return null;
  // As high as it is said at the end where the floor is lowest.
  const plinth = stand.kind === 'plinth' ? stand.height - Math.abs(alcove.rise) : 0;
  return fitAlcove(alcove, alcove.room, plinth);
}

const fitted = new WeakMap<CaseForm, CaseForm>();

/** The form with the sizes that its alcove gives it; the same where it is in none, or is fitted already. */
export function asFitted(form: CaseForm): CaseForm {
  const fit = fitOf(form);
  if (!fit || (fit.width === form.width && fit.depth === form.depth)) return form;
  const known = fitted.get(form);
  if (known) return known;
  const made = { ...form, width: Math.max(LEAST.width, fit.width), depth: Math.max(LEAST.depth, fit.depth) };
  fitted.set(form, made);
  return made;
}

/** A case is never narrower nor shallower, mm. */
const LEAST = { width: 150, depth: 80 };
