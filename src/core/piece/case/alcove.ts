import type { AlcoveDecided } from '../../decision/alcove';
import type { Flat } from '../../solid/outline';
import type { CasePiece } from '../piece';
import { type FittedCase, fitAlcove } from './fit-alcove';
import type { CaseForm } from './form';

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

/** Walls, floor and what must be kept clear, from the front. */
export function aroundOf({ alcove, height }: CaseForm, { walls }: FittedCase): CasePiece['around'] {
  const { rise = 0, clear = [] } = alcove ?? {};
  const floors = { left: Math.max(0, -rise), right: Math.max(0, rise) };
  const rising = (list: readonly number[], floor: number): Flat[] =>
    list.map((x, i): Flat => [x, floor + ((height - floor) * i) / 2]);
  const from = walls.left[0] ?? 0;
  return {
    walls: [...rising(walls.left, floors.left).reverse(), ...rising(walls.right, floors.right)],
    clear: clear.map((own): Flat[] => {
      const [left, low] = [from + own.fromLeft, own.fromFloor];
      return [
        [left, low],
        [left + own.width, low],
        [left + own.width, low + own.height],
        [left, low + own.height],
      ];
    }),
  };
}
