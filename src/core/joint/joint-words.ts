import { mm, say } from '../measure/quantity';
import { DRAW_BORE } from './breadboard';
import { CASE_JOINTS } from './case-joint-words';
import type { JointKind } from './joint';
import type { JointWords } from './joint-card';
import { LOWER_SHOULDER } from './loose-wedge';

/** A new kind of joint is one more line. */
export const JOINTS: Readonly<Record<Exclude<JointKind, 'hold'>, JointWords>> = {
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
  'dovetail-rail': {
    name: 'Dovetailed rail',
    rule: say`Two thirds of the other part long, sloping one in seven, half the rail high: it ties both sides together and drops in from above.`,
    mark: say`Cut the dovetail first, lay it on the other part’s upper edge, and mark the socket from it with a knife.`,
    order: [
      say`Saw the lap and the slopes, pare the shoulders square.`,
      say`Saw the socket’s sides inside the line, chop it out, and pare its bottom level.`,
      say`Drop it in after the base is glued and square: it closes by hand, not by the mallet.`,
    ],
    caution: say`A dovetail too tight splits the apron along its grain.`,
  },
  dowels: {
    name: 'Dowels',
    rule: say`Two fifths of the thinner part thick, three and a half times as deep as thick in both parts, no farther apart than four times their thickness.`,
    mark: say`Bore both parts from their face sides and upper edges with one guide, or with points set in the first part’s holes.`,
    order: [
      say`Try bit and dowel in waste: a dowel turns in by hand and does not fall out.`,
      say`Bore to a stop, ${mm(1)} deeper in each part than the dowel goes in.`,
      say`Chamfer the dowels’ ends and groove them; glue in the hole, not only on the dowel; clamp the shoulder home.`,
    ],
    caution: say`A smooth dowel driven into a hole full of glue splits the leg: the groove lets the glue out.`,
  },
  'pocket-screws': {
    name: 'Pocket screws',
    rule: say`Screws at 15° from the inside face, their length by the apron’s thickness, two and one more every ${mm(60)}.`,
    mark: say`On the inside face; the guide stands on the end that meets the leg.`,
    order: [
      say`Set the stop collar in waste of the same thickness.`,
      say`Bore the pockets before the aprons are rounded or finished.`,
      say`Glue, clamp the faces into line, and drive the screws by hand for the last turn.`,
    ],
    caution: say`In hard wood bore the leg for the screws too: one driven without it splits the leg or breaks off.`,
  },
  'corner-plate': {
    name: 'Corner plate',
    rule: say`The plate stands clear of the leg, so that the nut draws it in; kerfs a third of the apron deep, two bolts where there is height for them.`,
    mark: say`Both kerfs from the aprons’ ends with one stop; the leg’s holes from its upper end, square to the flat.`,
    order: [
      say`Saw the kerfs, cut the flat on the leg’s inner corner below its upper end.`,
      say`Bore for the hanger bolts, screw them in with two nuts locked on each other.`,
      say`Hang the plate in both kerfs, draw the nut until the shoulders close; letter leg and corner.`,
    ],
    caution: say`Not harder than snug: the kerf’s lip breaks out. Tighten again after the first dry season.`,
  },
  'corner-block': {
    name: 'Corner block',
    rule: say`Two ends at 45°, three quarters of the apron high, screwed to both aprons and to the leg.`,
    mark: say`A little under the aprons’ upper edges, so that the top never rides on it.`,
    order: [
      say`Cut the ends at 45° from one long piece, and bore for the screws square to the aprons.`,
      say`After the base is glued, clamp the block into its corner and drive the screws.`,
      say`The screw into the leg comes last: it draws the corner together.`,
    ],
    caution: say`A block that is proud of the aprons lifts the top off its rails.`,
  },
  pegs: {
    name: 'Pegs',
    rule: say`An eighth of the mortised part thick, a third of the tenon from its shoulder; two in a tenon over ${mm(55)} high.`,
    mark: say`From the face the shoulder lies on, on the mortised part’s outside; drawn ones nearer to the shoulder in the tenon by ${mm(1)}.`,
    order: [
      say`Bore through the outer wall and across the mortise, to a stop beyond it.`,
      say`Put the tenon in dry, mark it through the hole, take it out, shift the mark toward the shoulder and bore it.`,
      say`Rive the pegs straight-grained, point them over a third of their length, and drive them after the glue.`,
    ],
    caution: say`A peg that does not go through by half its thickness of offset splits the tenon: the offset is small.`,
  },
  'breadboard-pegs': {
    name: 'Pegs of an end',
    rule: say`As thick as the tongue, one in every tenon. Round holes in the end; in the tongue slots across the panel, the farther out the longer, the middle one round.`,
    mark: say`From the middle of the end outward, on both faces. Slots are marked on the tongue through the holes, with the end clamped home.`,
    order: [
      say`Bore the end from both faces, a waste piece in its mortise so that the edges do not break in.`,
      say`Put it on dry, mark every hole on the tongue, take it off; drawn ones go ${mm(DRAW_BORE)} toward the shoulder.`,
      say`Bore the middle one round; bore the others side by side and pare them to slots.`,
      say`Glue the middle alone, put the end on, drive the pegs with a little glue on their last third.`,
    ],
    caution: say`Glue that runs into a slot holds the panel as a round hole would: it splits in its first winter.`,
  },
  tusk: {
    name: 'Tusk',
    rule: say`A loose wedge upright through the tenon, a third of it thick, leaning 1 in 8 on its outer side; more than twice its width of tenon beyond it.`,
    mark: say`From the post’s outer face, with the joint drawn home: the mortise begins ${mm(2)} behind that face.`,
    order: [
      say`Cut the tenon’s mortise with its outer end at the tusk’s slope.`,
      say`Plane the tusk to fit at half its length, grain along it, and leave it long.`,
      say`Drive it, mark it equal above and below, round its ends.`,
    ],
    caution: say`Snug, not hard: the end of the tenon shears out along its grain. Tap it home again in the dry season.`,
  },
  'loose-wedge': {
    name: 'Dovetailed tenon with a loose wedge',
    rule: say`The tenon’s lower edge slopes by 1 in 12 and its upper edge is the rail’s own; the mortise is higher by that drop, and a wedge at the same slope fills it. No glue.`,
    mark: say`From the upper edge of the rail, with one bevel for the tenon, the mortise’s bottom and the wedge.`,
    order: [
      say`Chop the mortise through from both faces: its bottom slopes down to the outside, its upper end rises to the outside.`,
      say`Cut the tenon’s slope from its shoulder down, leaving ${mm(LOWER_SHOULDER)} of shoulder under the neck.`,
      say`Put the tenon in, let it drop, and plane the wedge until it stands alike on both sides.`,
    ],
    caution: say`The wedge bears on the end of the mortise along the post’s grain: snug, and tapped home again in the dry season.`,
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
  'leg-lap': {
    name: 'Leg lapped behind the apron',
    rule: say`The apron runs through and stands on the shoulder of the lap; half the leg and more is left behind it.`,
    mark: say`From the leg’s outside face and its upper end, all middle legs together.`,
    order: [
      say`Saw the shoulder, then down the lap, and pare it flat.`,
      say`Glue the lap to the apron’s inside face once the long aprons are in their corners, and screw it from inside.`,
    ],
    caution: say`Six feet rock on a floor that is not flat: level the middle ones last.`,
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
  notch: {
    name: 'Notch round a leg',
    rule: say`Close along the grain, and larger at both sides across it by what the top moves there.`,
    mark: say`From the legs as they stand, the base square and dry on the top, face down.`,
    order: [
      say`Bore the corners, saw inside the line, and pare to it from both faces.`,
      say`Ease the top over all four legs at once, before anything is glued.`,
      say`Leave the room free at both sides: no glue, no filler.`,
    ],
    caution: say`Short grain at a corner notch breaks when the top is carried by it.`,
  },
  'let-in': {
    name: 'Steel let in',
    rule: say`A groove as deep as the channel, ${mm(1)} wider and ${mm(10)} longer at both ends, so that the top can come and go along it.`,
    mark: say`Square across from the face edge; the middle of channel and top on one line.`,
    order: [
      say`Rout the groove in passes between two straight fences.`,
      say`Drill the middle hole round, the outer ones as slots as long as the season asks.`,
      say`Screw the middle tight, the outer ones snug on washers, and wax the slots. No glue.`,
    ],
    caution: say`Round holes in steel hold the wood against its movement: it splits beside the outermost screw.`,
  },
  'set-in': {
    name: 'Glass set into a recess',
    rule: say`As deep as the glass is thick; so wide that the glass lies on enough of the slab in the driest week and touches nothing in the wettest.`,
    mark: say`From a template shifted square from the live edge; the same template, less the room all round, goes to the glazier.`,
    order: [
      say`Make the template from the slabs as they lie fastened, and mark both ends on it.`,
      say`Rout the recess along it in passes of ${mm(3)} to ${mm(5)}, the router’s weight on the slab.`,
      say`Try a board of the glass’s size in it before the glass is ordered; finish the recess with the rest.`,
      say`Set the glass on small clear pads, never on bare wood and never glued.`,
    ],
    caution: say`Toughened or laminated glass only, edges polished, by a glazier and by local code; it cannot be cut after it is toughened.`,
  },
  'mitre-spline': {
    name: 'Mitre with a spline',
    rule: say`A quarter of the board thick, a third of it deep in both, nearer to the inside of the corner; its grain across the joint.`,
    mark: say`From the inside edge of both mitres, with one fence and the boards on their outer faces.`,
    order: [
      say`Cut all mitres with one setting, the boards held flat; try them with the sides standing.`,
      say`Groove both mitres along the same fence, its depth stopped.`,
      say`Plane the spline to slide in by hand, a hair narrower than both grooves are deep.`,
      say`Size the end grain with thin glue, then glue, and close with blocks glued on or bands all round.`,
    ],
    caution: say`A blade tilted to 45° traps what falls between it and the fence: let the offcut fall free.`,
  },
  'leg-mitre': {
    name: 'Mitred leg with a spline',
    rule: say`A spline a quarter of the thickness thick, hidden, at most a fifth of the mitre’s length deep in both parts; its grain across the mitre, which joins end grain.`,
    mark: say`From a full-size drawing of leg and arm: the mitre runs from their inner corner to their outer one, and is not half of the angle where the two are not as wide.`,
    order: [
      say`Cut both mitres from the drawing, the parts clamped to a fence, and true them with a plane on a shooting board.`,
      say`Slot both mitres along the same fence, from their faces, stopped at both ends.`,
      say`Size the end grain with thin glue. Glue blocks on for the clamps, so that they press square to the mitre.`,
      say`Glue spline and mitre, all legs against one form, so that they lean alike.`,
    ],
    caution: say`A mitre without its spline holds end grain by glue alone: it opens with the first push.`,
  },
  'mitre-dowels': {
    name: 'Mitre with cross dowels',
    rule: say`A third of the board thick, at most ${mm(70)} apart, through the outer face and more than twice the thickness into the other board.`,
    mark: say`A line half the thickness below the top, and along it from the middle to both edges.`,
    order: [
      say`Glue the mitre alone first, its end grain sized, and leave it to set.`,
      say`Bore through the outer face square, with a block clamped on to guide the bit.`,
      say`Glue in the dowels and pare them flush, or leave them a little proud and round them.`,
    ],
    caution: say`A bit that wanders comes out of a thin board’s face: a guide, and a stop on the bit.`,
  },
  'frame-mitre': {
    name: 'Mitred frame with a spline',
    rule: say`A spline a quarter of the thickness thick, its grain across the mitre, hidden at both ends.`,
    mark: say`All borders from their show faces; opposite ones cut to one length against a stop.`,
    order: [
      say`Cut the mitres with one setting and true them on a board for it; try the whole frame dry round the panel.`,
      say`Slot both sides of every mitre from the show face.`,
      say`Size the end grain, glue two corners, put the panel in, and glue the others with bands all round.`,
    ],
    caution: say`A mitre cut by hand at the saw wants the border clamped to its fence.`,
  },
  ...CASE_JOINTS,
  'panel-groove': {
    name: 'Panel in a groove',
    rule: say`As wide as the panel is thick there, or its tongue: a third of a thick panel. As deep as the panel is let in; it is free in it across its grain.`,
    mark: say`Both grooves and tongues from the show face, so that the panel lies flush.`,
    order: [
      say`Groove the frame’s parts before their corners are cut.`,
      say`Tongue the panel, and finish it before it goes in: bare wood shows when it shrinks.`,
      say`A dab of glue, or a pin, in the middle of each end; nothing at the sides.`,
    ],
    caution: say`Glue that runs into a groove holds the panel at its corner, and it splits there.`,
  },
  'draw-bolts': {
    name: 'Bolts that draw together',
    rule: say`At most ${mm(450)} apart, in pockets two thirds of the top deep; a dowel half-way between two of them brings the faces level.`,
    mark: say`Both halves upside down and edge to edge on a flat bench; lines across the seam for bolts and dowels.`,
    order: [
      say`Joint both edges together, so that their errors cancel; bore for the dowels from the show faces.`,
      say`Bore the pockets to a stop, rout the channels between them.`,
      say`Dowels glued into one half only; draw the bolts by turns, snug, and again after the first dry season.`,
    ],
    caution: say`A bit with a long point comes through the show face before its pocket is deep enough.`,
  },
  connector: {
    name: 'Connector between two tables',
    rule: say`A flat steel plate let in flush under both ends, at most half a metre from the next; its holes round in one table, slots across it in the other.`,
    mark: say`Both tables upside down, end to end on a flat floor, their middle lines in line: plates laid over the seam and marked round.`,
    order: [
      say`Rout the recesses a hair deeper than the plate is thick.`,
      say`Screw every plate to one table; file its other two holes to slots, with a washer over them.`,
      say`Set the tables up, the middle lines together, and drive the screws of the slots snug, not hard.`,
    ],
    caution: say`Slack the screws of the slots a quarter turn after they are snug: drawn tight they are round holes.`,
  },
  'end-seam': {
    name: 'Seam of end grain',
    rule: say`Loose tenons a third of the top thick, at most ${mm(150)} apart, one in the middle; beside a stripe across the grain all but that one stand in slots, the farther out the longer.`,
    mark: say`All edges from the show face with one fence; both parts clamped together and marked across the seam.`,
    order: [
      say`True both ends against a straight edge with a router or a plane: the seam is seen from one side of the top to the other.`,
      say`Slot the fields for tenons that fit, the stripe longer on both sides but in the middle.`,
      say`Glue every tenon into its field; into the stripe only the middle one, and the middle of the seam.`,
      say`Draw the seam up with long clamps, the faces level under cauls.`,
    ],
    caution: say`Glue along the whole seam beside a stripe holds for some months and then splits the field.`,
  },
  'leaf-pins': {
    name: 'Pins between leaves',
    rule: say`A third of the thickness thick, at most ${mm(350)} apart; glued into one edge, loose in the other.`,
    mark: say`All edges from the show face with one fence; leaves clamped edge on edge and marked across together.`,
    order: [
      say`Bore every edge from the show face, ${mm(2)} deeper on the loose side.`,
      say`Glue the pins into one edge and round their ends well.`,
      say`Wax them, and try every leaf in every place.`,
    ],
    caution: say`Pins that bind in August split the edge: loose enough to close by hand.`,
  },
  'slide-key': {
    name: 'Slide and guide',
    rule: say`A key of a third of the height in a groove, with half a millimetre of play: it may not drop when it is drawn out.`,
    mark: say`Groove and key from the upper edge, all slides with one setting.`,
    order: [
      say`Mill the slides straight-grained and let them rest before they are planed to size.`,
      say`Groove the guides, cut the keys, and wax both.`,
      say`Screw the stops in last, with the table closed and drawn out.`,
    ],
    caution: say`A slide that has warped jams: take the straightest wood there is.`,
  },
  'slide-way': {
    name: 'Way through a rail',
    rule: say`As high as the slide and as wide as guide and runners with their play; what is left under it carries the end.`,
    mark: say`From the rail’s upper edge and its middle, both end aprons laid together.`,
    order: [
      say`Saw both sides, chop or saw the bottom, before the aprons are glued to the legs.`,
      say`Screw the guide into the way; the runners pass beside it without touching.`,
    ],
    caution: say`The bridge over the way is gone: carry the end by its lower part.`,
  },
  cast: {
    name: 'Resin cast in a channel',
    rule: say`As many pours as the maker’s greatest depth asks; each sets before the next.`,
    mark: say`The mould is level, its bottom flat and released, the slabs clamped down: wood floats.`,
    order: [
      say`Take off bark and soft wood; seal both live edges with a thin coat of the same resin and let it grip.`,
      say`Mix by weight as the maker says, pour slowly, warm the bubbles out.`,
      say`Pour the next layer while the last is still tacky, or after it is sanded.`,
      say`Leave it in the mould until it is hard; level both faces.`,
    ],
    caution: say`A pour deeper than allowed heats by itself, cracks and smokes. Gloves, a mask for vapour, air; cured dust is sanded with extraction.`,
  },
  screwed: {
    name: 'Screwed on',
    rule: say`Grain along grain, so that both move alike: two screws, or glue, hold it.`,
    mark: say`Flush with the end of the part it sits on, or ${mm(2)} in from its edges all round.`,
    order: [say`Bore and countersink the small part.`, say`Screw it on dry; change it when it is worn.`],
    caution: say`Small parts are cut from a longer piece and come off it last.`,
  },
  'shelf-board': {
    name: 'Shelf board, screwed',
    rule: say`The board lies across its rail: screws near its middle hold it, and both its edges are free to move.`,
    mark: say`All boards from one template, a gap between them as wide as the wet season asks.`,
    order: [
      say`Bore and countersink the boards from above, or the rails from below where no screw is to be seen.`,
      say`Screw them on dry after the finish; no glue, for it would hold them across the grain.`,
    ],
    caution: say`A screw at each edge of a wide board splits it in the dry season.`,
  },
  mechanism: {
    name: 'Mechanism, screwed on',
    rule: say`Steel on wood: its maker’s own screws in every hole, none left out, as deep as the part allows.`,
    mark: say`Both are marked from one template, parallel and at one height, the top lying on them upside down.`,
    order: [
      say`Bore pilot holes to a stop, and drive the screws by hand.`,
      say`Try the travel without the top, then with it, before the finish; take it off again to finish.`,
    ],
    caution: say`Springs are under load: hands clear of the arms, and follow the maker’s instructions before all else.`,
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
