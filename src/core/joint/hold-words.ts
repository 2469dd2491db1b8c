import type { HoldKind } from '../decision/hold';
import { mm, say } from '../measure/quantity';
import type { JointWords } from './joint-card';

/** How what holds the top is marked and cut into its rail. Common practice. A new kind is one more line. */
export const HOLD_CARDS: Readonly<Record<HoldKind, JointWords>> = {
  buttons: {
    name: 'Slot for a button',
    rule: say`So deep that the tongue comes and goes by the travel and neither leaves its slot nor stands on its bottom.`,
    mark: say`From the rail’s upper edge, all rails with one setting; the tongue a little nearer to that edge, so that the button draws down.`,
    order: [
      say`Slot the rails before assembly, with a router to a stop or with the mortiser.`,
      say`Cut a row of tongues on one wide offcut, grain along the tongue, and saw the buttons off it.`,
      say`Set each button half-way in: as much room in front of its shoulder as behind its tongue. No glue.`,
    ],
    caution: say`Buttons are sawn off the long piece, never rabbeted one by one.`,
  },
  clips: {
    name: 'Kerf for a clip',
    rule: say`A kerf a little lower than the clip’s lip, so that the screw draws it tight; as deep as the lip comes and goes.`,
    mark: say`From the rail’s upper edge, all with one fence setting.`,
    order: [
      say`Saw or slot the kerfs before assembly; they end before the rail’s ends.`,
      say`Push each clip half-way in and bore for its screw to a stop.`,
    ],
    caution: say`A clip pushed home to its bend holds the top like a screw.`,
  },
  'figure-eight': {
    name: 'Recess for a plate',
    rule: say`As deep as the plate is thick, and so near to the inside face that the plate can swing.`,
    mark: say`From the inside face, on the rail’s upper edge.`,
    order: [
      say`Bore the recess with a flat-bottomed bit, to a stop.`,
      say`Ease its sides, so that the plate swings to both sides by itself.`,
      say`Screw the plates to the rails, then to the top.`,
    ],
    caution: say`A plate proud of its rail lifts the top, one let in too deep pulls it down.`,
  },
  'slotted-cleats': {
    name: 'Screw for a cleat',
    rule: say`A strip along the rail’s inside face; its slots for the top lie across the grain of the top.`,
    mark: say`The cleat’s upper edge half a millimetre under the rail’s, so that the rail carries the top.`,
    order: [
      say`Slot the cleat before it is sawn off its board.`,
      say`Bore and screw it to the rail, its screws between its slots.`,
      say`Screw up into the top through the middle of each slot, a washer under the head.`,
    ],
    caution: say`A screw at the end of its slot has nowhere to go on one side.`,
  },
  'oversized-holes': {
    name: 'Hole over size',
    rule: say`Larger than the screw all round by the travel, with a counterbore in which the washer goes along.`,
    mark: say`On the rail’s middle line.`,
    order: [
      say`Bore the counterbore from below first, to a stop, then the hole through its middle.`,
      say`Put the screw into the middle of the hole, a flat washer under its head.`,
    ],
    caution: say`A counterbore as wide as the rail leaves no walls: take a slotted cleat there.`,
  },
  'slotted-washers': {
    name: 'Recess for a slotted washer',
    rule: say`Flush with the rail’s upper edge, its slot standing free inside the rail.`,
    mark: say`From the inside face, round the washer itself with a knife.`,
    order: [
      say`Rout to the washer’s thickness, square the corners.`,
      say`Screw the washer to the rail, its slot across the grain of the top.`,
    ],
    caution: say`Not proud of the rail: it would carry the top alone.`,
  },
  'sliding-blocks': {
    name: 'Way for a block',
    rule: say`Tight at the middle one, longer than the block by the travel at both ends of the others.`,
    mark: say`From the blocks as they are screwed under the top.`,
    order: [
      say`Screw the blocks under the top, grain with its grain.`,
      say`Cut the ways and undercut their sides to the slope of the blocks.`,
      say`Slide the top on; fix the middle block alone.`,
    ],
    caution: say`Wax, no glue: a way that sticks is a way that is glued.`,
  },
  'rail-screws': {
    name: 'Screw through the rail',
    rule: say`Counterbored from below, so that as much wood stays under the head as the screw has in hand.`,
    mark: say`On the rail’s middle line.`,
    order: [say`Bore the counterbore first, then through its middle.`, say`Turn the last bit by hand.`],
    caution: say`It holds: only where the top does not move.`,
  },
  inserts: {
    name: 'Slot for a bolt',
    rule: say`As wide as the bolt, longer by the travel across the grain of the top.`,
    mark: say`On the rail’s middle line; the inserts from the rails as they lie on the top.`,
    order: [
      say`Bore both ends of the slot and clear what is between them.`,
      say`Bore the top to a stop for the inserts, ${mm(2)} deeper than they are long, and turn them in square.`,
      say`Draw the bolts snug, a washer over the slot.`,
    ],
    caution: say`An insert as long as the top is thick comes through its face.`,
  },
};

/** Screws of a batten in slots of its own. */
export const OWN_SCREWS: JointWords = {
  name: 'Screw in a slot',
  rule: say`Round in the middle, longer by the travel at both ends of the others.`,
  mark: say`On the batten’s middle line, from its middle to both ends.`,
  order: [
    say`Bore both ends of each slot, clear what is between them, and countersink along it for the washer.`,
    say`Screw the middle tight, the others snug in the middle of their slots, and wax them.`,
  ],
  caution: say`A screw driven hard into its slot is a screw in a round hole.`,
};
