import * as v from 'valibot';
import { length } from '../../../decision/fields';
import { stacked } from '../../../solid/convex';
import type { Vec } from '../../../solid/vector';
import type { StandKind } from '../kind';
import { fourFeet } from './feet';

const schema = v.object({
  kind: v.literal('turned-feet'),
  height: length(20, 250),
  /** Above, and at the floor. */
  section: length(25, 150),
  foot: length(15, 150),
  setBack: length(0, 150),
});

/** Sides that one is drawn with. */
const ROUND = 24;

/** Four feet turned between centres, each under a corner by itself. */
export const turnedFeet: StandKind<typeof schema> = {
  name: 'Turned feet',
  reason: 'Round, straight or thinner toward the floor; a tenon or a screw holds each to the bottom.',
  schema,
  fields: [
    { ask: 'figure', at: 'height', label: 'Feet, high' },
    { ask: 'figure', at: 'section', label: 'Feet, thick above' },
    { ask: 'figure', at: 'foot', label: 'At the floor', hint: 'As much as above for straight ones.' },
    { ask: 'figure', at: 'setBack', label: 'Set back' },
  ],
  start: () => ({ kind: 'turned-feet', height: 100, section: 60, foot: 40, setBack: 15 }),
  plan(own, outside) {
    const ring = (at: number, across: number) =>
      Array.from({ length: ROUND }, (_, i): Vec => {
        const angle = (2 * Math.PI * (i + 0.5)) / ROUND;
        // Its flats touch the circle.
        const out = across / 2 / Math.cos(Math.PI / ROUND);
        return [at, out * Math.cos(angle), out * Math.sin(angle)];
      });
    const body = [stacked([ring(-own.height / 2, own.foot), ring(own.height / 2, own.section)])];
    const plan = fourFeet(own, outside, { body, foot: own.foot });
    if (own.foot <= 1.5 * own.section) return plan;
    return {
      ...plan,
      problems: [
        {
          problem: 'The feet are much thicker at the floor than above.',
          where: 'form.stand.foot',
          wayOut: 'Make them thinner there.',
          mends: own.section,
        },
      ],
    };
  },
};
