import { mm, type Phrase, say } from '../measure/quantity';
import type { JointKind } from './joint';

/** A joint on its card: what it is, how it is sized, how it is marked and cut. All of it common practice. */
export interface JointWords {
  name: string;
  /** How it is sized, and why. */
  rule: Phrase;
  /** Which faces to mark from. */
  mark: Phrase;
  /** In which order it is cut, with how the tools are set. */
  order: readonly Phrase[];
  caution: Phrase;
}

/** A new kind of joint is one more line. */
export const JOINTS: Readonly<Record<JointKind, JointWords>> = {
  'mortise-tenon': {
    name: 'Mortise and tenon',
    rule: say`A third of the thinner part thick, so that walls and tenon are alike strong; two thirds of the other part long.`,
    mark: say`Gauge both parts from their face sides, with one setting of the mortise gauge.`,
    order: [
      say`Chop, bore or rout the mortise first, ${mm(1)} to ${mm(2)} deeper than the tenon is long.`,
      say`Cut the shoulders, then the cheeks, fat by ${mm(0.5)}.`,
      say`Plane the tenon to its mortise: it goes home by hand and stays when lifted.`,
    ],
    caution: say`Stop the first tenon after ${mm(6)} and try it. Never force a tight one: the mortised part splits.`,
  },
  'through-tenon': {
    name: 'Through tenon',
    rule: say`As long as the part it goes through, and proud of it; no wider than a third of that part. Wedges spread it across the grain of the mortised part’s ends, not its sides.`,
    mark: say`Square the mortise round to both faces from the face edge, and cut from both sides to the middle.`,
    order: [
      say`Cut the mortise from both faces; flare its far end by ${mm(1)} to ${mm(2)} for the wedges.`,
      say`Cut the tenon, saw two kerfs a third from its edges and bore their ends, so that they do not run on.`,
      say`Drive both wedges by turns.`,
    ],
    caution: say`Back the far face up where a bit or cutter comes through.`,
  },
  'twin-tenon': {
    name: 'Twin tenons',
    rule: say`Two tenons side by side instead of one wide one: less wood taken out of one place, and twice the cheeks to glue.`,
    mark: say`Gauge all tenons of an end from one face; mark the gap between them on both parts from one strip.`,
    order: [
      say`Cut all mortises with one fence setting.`,
      say`Cut the outer cheeks, then saw out between the tenons and pare to the line.`,
      say`Fit one tenon, then both.`,
    ],
    caution: say`A gap cut askew wedges the part open: pare it square before it is tried.`,
  },
  'loose-tenon': {
    name: 'Loose tenon',
    rule: say`A third of the thinner part thick, centred in it; most of its length goes into the thicker part.`,
    mark: say`Both parts are laid on their face sides; one line across both at each slot.`,
    order: [
      say`Cut the slots in both parts with one depth and fence setting.`,
      say`Widen those of one part by ${mm(1)} to ${mm(2)} where parts must be brought into line.`,
      say`Chamfer the tenons’ ends; glue them into one part first.`,
    ],
    caution: say`Clamp the part down before a slot is cut; both hands on the machine.`,
  },
  'stub-tenon': {
    name: 'Stub tenon',
    rule: say`Half the other part deep, so that as much is left behind it.`,
    mark: say`From the upper edge of both, which the top lies on.`,
    order: [say`Mortise to the stop.`, say`Cut shoulders and cheeks; chamfer the tenon’s end.`],
    caution: say`Set the depth stop and try it in waste: a thin wall comes through.`,
  },
  'half-lap': {
    name: 'Half-lap',
    rule: say`Each part is cut to half its thickness where they cross, so that their faces lie flush.`,
    mark: say`Lay one part on the other in their places and mark with a knife; gauge half the thickness of both from their face sides.`,
    order: [
      say`Saw both shoulders just inside the knife line, down to the gauge line.`,
      say`Take the waste out in several cuts and level the bottom.`,
      say`Pare the shoulders until the parts go together by hand.`,
    ],
    caution: say`The waste falls free between two cuts: keep it away from the blade.`,
  },
  bridle: {
    name: 'Bridle',
    rule: say`A tongue of a third of the thickness in an open slot: long cheeks to glue where a mortise would break out at the end.`,
    mark: say`Gauge slot and tongue from the face sides with one setting; the shoulder is bevelled with the lean of the leg.`,
    order: [
      say`Saw the cheeks of the slot down to a bored hole at its bottom.`,
      say`Cut the arm’s shoulder at the lean, then its cheeks.`,
      say`Glue with a block cut at the lean under the clamp.`,
    ],
    caution: say`A part stood on end at a saw wants a tall fence and a clamp, never a hand alone.`,
  },
  'meeting-arms': {
    name: 'Arms meeting',
    rule: say`Every arm is cut on both sides by half of what a full turn leaves each of them; they meet in one upright line.`,
    mark: say`A line down the middle of every arm’s upper edge; both cuts meet on it.`,
    order: [
      say`Set the saw once and cut one side of every arm, then turn the stop and cut the other.`,
      say`Try the ring dry: the last gap shows the sum of all errors. Correct all of them alike.`,
      say`Glue, and screw a plate under all of them: end grain alone does not hold.`,
    ],
    caution: say`Short pointed ends are held in a clamp, not by hand.`,
  },
  breadboard: {
    name: 'Breadboard end',
    rule: say`Tongue half as deep as the end is wide, a third of the thickness thick, cut back ${mm(25)} at both edges. Glued in its middle only; outer pegs stand in slots.`,
    mark: say`Both tongue and groove are gauged from the show face, so that the faces come level.`,
    order: [
      say`Cut the tongue with a router guided on both sides, or with a plane to a knife line.`,
      say`Groove and mortise the end, the outer mortises longer by the travel.`,
      say`Bore the pegs through the end alone; put it on, mark through the holes, take it off, shift the marks toward the shoulder and bore the tongue.`,
      say`Lengthen the outer holes in the tongue to slots; glue the middle; drive the pegs, and glue them in the end only.`,
    ],
    caution: say`The season on the day it is made decides which way a slot is long: leave free what the ledger says.`,
  },
  screwed: {
    name: 'Screwed on',
    rule: say`Grain along grain, so that both move alike: two screws, or glue, hold it.`,
    mark: say`Flush with the end of the part it sits on, or ${mm(2)} in from its edges all round.`,
    order: [say`Bore and countersink the small part.`, say`Screw it on dry; change it when it is worn.`],
    caution: say`Small parts are cut from a longer piece and come off it last.`,
  },
  bolted: {
    name: 'Bolted stub',
    rule: say`A short stub keeps the part from turning, a bolt into a cross dowel draws the shoulder tight.`,
    mark: say`The bolt’s hole is marked from the stub’s middle; letter both parts, so that they come back to their places.`,
    order: [
      say`Bore through the mortised part, then through it into the end of the other while they are clamped together.`,
      say`Bore for the cross dowel from the inner side, ${mm(0.5)} nearer to the shoulder.`,
      say`Tighten again after the first dry season.`,
    ],
    caution: say`A hole into end grain wanders: withdraw the bit often, and clamp the part upright.`,
  },
};
