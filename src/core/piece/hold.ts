import type { HoldKind } from '../decision/job-document';
import { JOINT_GIVE, type Point, sliding, type Tie } from '../restraint/tie';

export interface HoldRule {
  name: string;
  /** A single one of them. */
  one: string;
  /** The most it can let the top move each way by its nature, mm. */
  greatestTravel: number;
  /** Wood or metal between the screw's head and the top, mm. */
  underHead: number;
  /** How a maker says where the travel comes from. */
  how: string;
  /** Widest spacing along a rail, mm. */
  spacing: number;
  /** Along the rail it sits on it goes so far, mm; null goes freely, as a tongue in a groove does. */
  alongRail: number | null;
}

/** What a screw in its clearance hole, or a tongue in its groove's depth, gives where it is not meant to slide, mm. */
const CLEARANCE = 1.5;

/**
 * How the top `b` is tied to the part under it `a`. The fasteners in the middle hold it across the grain; the others let
 * it go by their travel; along the grain next to nothing moves.
 */
export function holdTie(given: {
  kind: HoldKind;
  travel: number;
  id: string;
  rail: string;
  at: Point;
  holdsMiddle: boolean;
}): Tie {
  const rule = HOLDS[given.kind];
  const { id, rail: a, at } = given;
  const tie = { id, name: `${rule.one} ${id.replace('-', ' ')}`, a, b: 'top', at };
  if (given.holdsMiddle) {
    const held = { minus: JOINT_GIVE, plus: JOINT_GIVE };
    return { ...tie, room: { x: { minus: CLEARANCE, plus: CLEARANCE }, y: held, z: held } };
  }
  const travel = Math.min(given.travel, rule.greatestTravel);
  return sliding(tie, { y: travel, ...(rule.alongRail === null ? {} : { x: Math.max(CLEARANCE, rule.alongRail) }) });
}

/** How the top is held; sizes are common practice. A new kind is one more line. */
export const HOLDS: Record<HoldKind, HoldRule> = {
  buttons: {
    name: 'Wooden buttons in a groove',
    one: 'button',
    greatestTravel: 40,
    underHead: 12,
    how: 'The button’s tongue slides in a groove of the apron; leave the travel free on both sides of it.',
    spacing: 350,
    alongRail: null,
  },
  'figure-eight': {
    name: 'Figure-eight plates',
    one: 'plate',
    greatestTravel: 3,
    underHead: 3,
    how: 'The plate swings in its recess; it gives some 3 mm each way and no more.',
    spacing: 350,
    alongRail: 3,
  },
  'rail-screws': {
    name: 'Screws through the rail',
    one: 'screw',
    greatestTravel: 0,
    underHead: 25,
    how: 'A screw in a round hole gives nothing; only a slotted hole with a washer lets the top move.',
    spacing: 300,
    alongRail: 0,
  },
};
