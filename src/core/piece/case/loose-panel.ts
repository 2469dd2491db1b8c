import { AXES, type Axis, fixed, sliding, type Tie } from '../../restraint/tie';
import { STAYS_IN } from '../frame-fields';
import type { Unbuildable } from '../unbuildable';

/** The ends of a loose panel have this play in their grooves, and a groove leaves so much of its board. mm; common practice. */
export const END_PLAY = 1;
export const DEEPEST = 0.5;

/** How far a panel is let into its grooves, and the room at its long sides. mm */
interface Loose {
  tongue: number;
  room: number;
}

type Between = Parameters<typeof fixed>[0];

/** Where the grain of a panel ends it is held in its middle, with play along the grain. */
export function heldAtEnd(between: Between, grain: Axis): readonly Tie[] {
  const held = fixed(
    between,
    AXES.filter((axis) => axis !== grain),
  );
  return [{ ...held, room: { ...held.room, [grain]: { minus: END_PLAY, plus: END_PLAY } } }];
}

/**
 * A long side in its groove: outward until that is full, inward until the panel is nearly out of it.
 *
 * @param at where room and tongue are decided
 */
export function looseAtSide(
  between: Between,
  { axis, way }: { axis: Axis; way: 1 | -1 },
  { tongue, room }: Loose,
  at: string,
): readonly Tie[] {
  const inward = Math.max(0, tongue - room - STAYS_IN);
  return [
    {
      ...sliding(between, { [axis]: way > 0 ? { plus: room, minus: inward } : { plus: inward, minus: room } }),
      sets: { path: `${at}.room`, ways: way > 0 ? 'plus' : 'minus', cover: `${at}.tongue` },
    },
  ];
}

/** Grooves that leave too little of a board so thick, and a panel that does not reach into them. `name` in a sentence: “the back”. */
export function groovesOf(
  own: { tongue: number; room: number | null },
  thick: number,
  name: string,
  at: string,
): Unbuildable[] {
  const { tongue, room } = own;
  const most = Math.floor(thick * DEEPEST);
  return [
    ...(tongue > most
      ? [
          {
            problem: `The grooves for ${name} leave too little of the boards.`,
            where: `${at}.tongue`,
            wayOut: 'Let it in less, or make the boards thicker.',
            mends: Math.max(3, most),
          },
        ]
      : []),
    ...(room !== null && room > tongue - STAYS_IN
      ? [
          {
            problem: `With so much room at its sides ${name} does not reach into its grooves.`,
            where: `${at}.room`,
            wayOut: 'Leave less room, or let it in deeper.',
            mends: Math.max(0, Math.floor(tongue - STAYS_IN - 1)),
          },
        ]
      : []),
  ];
}
