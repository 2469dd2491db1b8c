import type { HoldKind } from '../decision/job-document';

export interface HoldRule {
  name: string;
  /** The most it can let the top move each way by its nature, mm. */
  greatestTravel: number;
  /** Wood or metal between the screw's head and the top, mm. */
  underHead: number;
  /** How a maker says where the travel comes from. */
  how: string;
  /** Widest spacing along a rail, mm. */
  spacing: number;
}

/** How the top is held; sizes are common practice. A new kind is one more line. */
export const HOLDS: Record<HoldKind, HoldRule> = {
  buttons: {
    name: 'Wooden buttons in a groove',
    greatestTravel: 40,
    underHead: 12,
    how: 'The button’s tongue slides in a groove of the apron; leave the travel free on both sides of it.',
    spacing: 350,
  },
  'figure-eight': {
    name: 'Figure-eight plates',
    greatestTravel: 3,
    underHead: 3,
    how: 'The plate swings in its recess; it gives some 3 mm each way and no more.',
    spacing: 350,
  },
  'rail-screws': {
    name: 'Screws through the rail',
    greatestTravel: 0,
    underHead: 25,
    how: 'A screw in a round hole gives nothing; only a slotted hole with a washer lets the top move.',
    spacing: 300,
  },
};
