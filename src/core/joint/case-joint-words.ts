import { mm, say } from '../measure/quantity';
import type { JointKind } from './joint';
import type { JointWords } from './joint-card';

/** The cards of joints that cases alone have. All of it common practice. */
export const CASE_JOINTS = {
  'case-dovetails': {
    name: 'Through dovetails',
    rule: say`Half pins at both edges, tails about two and a half times as far apart as the board is thick, one in six to one in eight out of square. No tail so slender at its baseline that it snaps.`,
    mark: say`Gauge the baselines by the thickness of the other board. Mark the pins from the tails that are cut, board on board, never by figures.`,
    order: [
      say`Saw the tails of both sides together, then chop to the baseline from both faces.`,
      say`Knife the pins from the tails, saw on the waste side, chop.`,
      say`Try each corner once, half way; ease only what binds.`,
    ],
    caution: say`Number the corners before anything is sawn. Grain runs round the case: all four boards’ depth moves as one.`,
  },
  rabbet: {
    name: 'Rabbet',
    rule: say`Two thirds of the side deep, as wide as the other board is thick: end grain meets long grain, so that glue alone does not hold it.`,
    mark: say`Gauge from the board itself, and from the inner face.`,
    order: [
      say`Cut all rabbets with one fence setting, backed up where the cutter comes out.`,
      say`Glue and clamp square, then bore for the screws or nails from outside.`,
    ],
    caution: say`Measure both diagonals before the glue grips.`,
  },
  housing: {
    name: 'Housing',
    rule: say`A third of the board deep, and as wide as the shelf is thick by a push of the hand. Stopped ${mm(10)} to ${mm(15)} behind the front edge where it must not be seen.`,
    mark: say`Mark all housings of both sides beside each other from one stick, front edges together.`,
    order: [
      say`Chop the stop, then saw or rout from behind up to it.`,
      say`Notch the shelf’s front corners to the stop.`,
      say`Plane the shelf to its housing, not the housing to the shelf.`,
    ],
    caution: say`Housings of both faces of an upright lie at one height: what is left between them is a third of it.`,
  },
  'sliding-dovetail': {
    name: 'Sliding dovetail',
    rule: say`A third of the board deep, one in six to one in eight out of square; a hair wider behind than in front, so that it draws tight as it goes home.`,
    mark: say`Groove and tail with one cutter, the groove first; the fence on the same face for both.`,
    order: [
      say`Clear the groove with a straight cutter, then the dovetail in one pass, stopped before the front.`,
      say`Cut the tail on the end of the board held upright against a tall fence, both faces alike, until it goes in half way by hand.`,
      say`Glue the front third alone; drive it home without stopping.`,
    ],
    caution: say`A long one swells with the glue and sticks: rehearse it, and have the clamp ready that pulls it home.`,
  },
  'back-rabbet': {
    name: 'Back in a rabbet',
    rule: say`As deep as the back is thick, and half of the board wide, at the most ${mm(10)}.`,
    mark: say`Gauge from the back edges of the carcass while it is dry together.`,
    order: [
      say`Cut before assembly, stopped where it would be seen at the ends; square its corners with a chisel.`,
      say`Fit the back when the carcass is glued: it says whether that is square.`,
    ],
    caution: say`A back of solid boards is never glued in: each board is held in its middle alone.`,
  },
  'glued-edge': {
    name: 'Glued along the edge',
    rule: say`Grain along grain, so that glue alone holds it; the lip stands under the shelf and bends with it.`,
    mark: say`A pencil line along the shelf, the lip flush with its front edge or a hair behind it.`,
    order: [
      say`Joint the lip’s upper edge straight and square.`,
      say`Glue it to the shelf before that goes into the case; clamps every ${mm(200)}.`,
    ],
    caution: say`Cut it to the clear length last: it must not keep the shelf out of its housings.`,
  },
  'frame-tenon': {
    name: 'Mortise and tenon of a frame',
    rule: say`As thick as the panels’ grooves, six tenths of the stile deep; it keeps clear of the grooves and of the frame’s outer edge. A muntin’s is as deep as the grooves.`,
    mark: say`All stiles beside each other, all rails beside each other, from the show faces; grooves and mortises with one cutter and one fence.`,
    order: [
      say`Plough the grooves, then mortise in line with them.`,
      say`Saw the tenons; pare them to their mortises.`,
      say`Put it together dry with its panels: they must move by hand.`,
    ],
    caution: say`Finish the panels before they go in. No glue in the grooves: what runs out of a mortise is wiped off.`,
  },
  hinged: {
    name: 'Hinged',
    rule: say`Two hinges up to ${mm(900)}, three on a longer lid; a sixth of the length from each end, their knuckles in one line.`,
    mark: say`Lay the hinge on both boards while the lid is closed; knife round each leaf.`,
    order: [
      say`Let the leaves in by their thickness, one screw in each; try it.`,
      say`Set the other screws; then the stay, with the lid held.`,
    ],
    caution: say`A lid falls on fingers and heads: a stay that holds it in any place, chosen by its turning moment.`,
  },
  'half-blind-dovetails': {
    name: 'Half-blind dovetails',
    rule: say`As through dovetails, but a lap of ${mm(3)} to ${mm(5)} covers the ends of the tails.`,
    mark: say`Gauge the length of the tails from the lapped board’s thickness less its lap; mark the sockets from the tails that are cut.`,
    order: [
      say`Cut the tails of both sides as for through ones.`,
      say`Lay each tail board on its mate, knife round it, saw the sockets at an angle, chop the rest against the lap.`,
      say`Try each corner once, half way; ease only what binds.`,
    ],
    caution: say`A lap that is chopped through cannot be mended: the last shavings are pared.`,
  },
  'box-joint': {
    name: 'Box joint',
    rule: say`Fingers of one width, about as wide as the board is thick, one more on top and bottom than on the sides.`,
    mark: say`A jig with a pin as wide as the cutter, set so that a test corner goes together by hand.`,
    order: [
      say`Cut both sides together, front edges on the pin; then top and bottom, a finger farther.`,
      say`Leave the fingers a hair proud and plane them flush when the glue is dry.`,
    ],
    caution: say`Back the work up where the cutter comes out; hands clear of the jig’s pin side.`,
  },
  'case-dowels': {
    name: 'Dowels',
    rule: say`A third of the board thick, ${mm(60)} to ${mm(80)} from one to the next, ${mm(25)} and more into the end.`,
    mark: say`From the front edge and the inner face of both boards, with one jig.`,
    order: [
      say`Bore the ends first, then the faces with a stop that leaves the outer face whole.`,
      say`Glue in the holes and on the dowels; clamp until the end is on the face.`,
    ],
    caution: say`A bit that comes through shows for ever: try its stop in scrap.`,
  },
  'case-loose-tenons': {
    name: 'Loose tenons',
    rule: say`A third of the board thick, about ${mm(40)} wide; long grain of the strip holds in both boards.`,
    mark: say`From the front edge; the machine’s fence on the outer face of both boards.`,
    order: [
      say`Mortise the ends, then the faces with the board clamped upright beside a straight edge.`,
      say`One mortise tight, the others a little wider, so that the boards can be brought flush.`,
      say`Glue strips into the faces, let them set, then the corner.`,
    ],
    caution: say`Grain of the strips runs into both boards.`,
  },
  'case-screws': {
    name: 'Screws and plugs',
    rule: say`End grain holds screws poorly: long ones, ${mm(110)} from one to the next, with glue sized into the end.`,
    mark: say`A line on the outer face at the middle of the board behind it.`,
    order: [
      say`Bore for plug, shank and thread with the case clamped together dry.`,
      say`Glue, drive the screws, then plugs with their grain along the side’s.`,
    ],
    caution: say`Screws keep off grooves and shelf pins; plane the plugs flush with the grain, never chop them.`,
  },
} as const satisfies Partial<Record<JointKind, JointWords>>;
