import type { JointKind } from './joint';

/** A joint on its card: what it is, how it is sized, how it is marked and cut. All of it common practice. */
export interface JointWords {
  name: string;
  /** How it is sized, and why. */
  rule: string;
  /** Which faces to mark from. */
  mark: string;
  /** In which order it is cut, with how the tools are set. */
  order: readonly string[];
  caution: string;
}

/** A new kind of joint is one more line. */
export const JOINTS: Readonly<Record<JointKind, JointWords>> = {
  'mortise-tenon': {
    name: 'Mortise and tenon',
    rule: 'A third of the thinner part thick, so that walls and tenon are alike strong; two thirds of the other part long.',
    mark: 'Gauge both parts from their face sides, with one setting of the mortise gauge.',
    order: [
      'Chop, bore or rout the mortise first, 1–2 mm deeper than the tenon is long.',
      'Cut the shoulders, then the cheeks, fat by half a millimetre.',
      'Plane the tenon to its mortise: it goes home by hand and stays when lifted.',
    ],
    caution: 'Stop the first tenon after 6 mm and try it. Never force a tight one: the mortised part splits.',
  },
  'through-tenon': {
    name: 'Through tenon',
    rule: 'As long as the part it goes through, and proud of it; no wider than a third of that part. Wedges spread it across the grain of the mortised part’s ends, not its sides.',
    mark: 'Square the mortise round to both faces from the face edge, and cut from both sides to the middle.',
    order: [
      'Cut the mortise from both faces; flare its far end by 1–2 mm for the wedges.',
      'Cut the tenon, saw two kerfs a third from its edges and bore their ends, so that they do not run on.',
      'Drive both wedges by turns.',
    ],
    caution: 'Back the far face up where a bit or cutter comes through.',
  },
  'twin-tenon': {
    name: 'Twin tenons',
    rule: 'Two tenons side by side instead of one wide one: less wood taken out of one place, and twice the cheeks to glue.',
    mark: 'Gauge all tenons of an end from one face; mark the gap between them on both parts from one strip.',
    order: [
      'Cut all mortises with one fence setting.',
      'Cut the outer cheeks, then saw out between the tenons and pare to the line.',
      'Fit one tenon, then both.',
    ],
    caution: 'A gap cut askew wedges the part open: pare it square before it is tried.',
  },
  'loose-tenon': {
    name: 'Loose tenon',
    rule: 'A third of the thinner part thick, centred in it; most of its length goes into the thicker part.',
    mark: 'Both parts are laid on their face sides; one line across both at each slot.',
    order: [
      'Cut the slots in both parts with one depth and fence setting.',
      'Widen those of one part by 1–2 mm where parts must be brought into line.',
      'Chamfer the tenons’ ends; glue them into one part first.',
    ],
    caution: 'Clamp the part down before a slot is cut; both hands on the machine.',
  },
  'stub-tenon': {
    name: 'Stub tenon',
    rule: 'Half the other part deep, so that as much is left behind it.',
    mark: 'From the upper edge of both, which the top lies on.',
    order: ['Mortise to the stop.', 'Cut shoulders and cheeks; chamfer the tenon’s end.'],
    caution: 'Set the depth stop and try it in waste: a thin wall comes through.',
  },
  'half-lap': {
    name: 'Half-lap',
    rule: 'Each part is cut to half its thickness where they cross, so that their faces lie flush.',
    mark: 'Lay one part on the other in their places and mark with a knife; gauge half the thickness of both from their face sides.',
    order: [
      'Saw both shoulders just inside the knife line, down to the gauge line.',
      'Take the waste out in several cuts and level the bottom.',
      'Pare the shoulders until the parts go together by hand.',
    ],
    caution: 'The waste falls free between two cuts: keep it away from the blade.',
  },
  bridle: {
    name: 'Bridle',
    rule: 'A tongue of a third of the thickness in an open slot: long cheeks to glue where a mortise would break out at the end.',
    mark: 'Gauge slot and tongue from the face sides with one setting; the shoulder is bevelled with the lean of the leg.',
    order: [
      'Saw the cheeks of the slot down to a bored hole at its bottom.',
      'Cut the arm’s shoulder at the lean, then its cheeks.',
      'Glue with a block cut at the lean under the clamp.',
    ],
    caution: 'A part stood on end at a saw wants a tall fence and a clamp, never a hand alone.',
  },
  'meeting-arms': {
    name: 'Arms meeting',
    rule: 'Every arm is cut on both sides by half of what a full turn leaves each of them; they meet in one upright line.',
    mark: 'A line down the middle of every arm’s upper edge; both cuts meet on it.',
    order: [
      'Set the saw once and cut one side of every arm, then turn the stop and cut the other.',
      'Try the ring dry: the last gap shows the sum of all errors. Correct all of them alike.',
      'Glue, and screw a plate under all of them: end grain alone does not hold.',
    ],
    caution: 'Short pointed ends are held in a clamp, not by hand.',
  },
  breadboard: {
    name: 'Breadboard end',
    rule: 'Tongue half as deep as the end is wide, a third of the thickness thick, cut back 25 mm at both edges. Glued in its middle only; outer pegs stand in slots.',
    mark: 'Both tongue and groove are gauged from the show face, so that the faces come level.',
    order: [
      'Cut the tongue with a router guided on both sides, or with a plane to a knife line.',
      'Groove and mortise the end, the outer mortises longer by the travel.',
      'Bore the pegs through the end alone; put it on, mark through the holes, take it off, shift the marks toward the shoulder and bore the tongue.',
      'Lengthen the outer holes in the tongue to slots; glue the middle; drive the pegs, and glue them in the end only.',
    ],
    caution: 'The season on the day it is made decides which way a slot is long: leave free what the ledger says.',
  },
  screwed: {
    name: 'Screwed on',
    rule: 'Grain along grain, so that both move alike: two screws, or glue, hold it.',
    mark: 'Flush with the end of the part it sits on, or 2 mm in from its edges all round.',
    order: ['Bore and countersink the small part.', 'Screw it on dry; change it when it is worn.'],
    caution: 'Small parts are cut from a longer piece and come off it last.',
  },
  bolted: {
    name: 'Bolted stub',
    rule: 'A short stub keeps the part from turning, a bolt into a cross dowel draws the shoulder tight.',
    mark: 'The bolt’s hole is marked from the stub’s middle; letter both parts, so that they come back to their places.',
    order: [
      'Bore through the mortised part, then through it into the end of the other while they are clamped together.',
      'Bore for the cross dowel from the inner side, half a millimetre nearer to the shoulder.',
      'Tighten again after the first dry season.',
    ],
    caution: 'A hole into end grain wanders: withdraw the bit often, and clamp the part upright.',
  },
};
