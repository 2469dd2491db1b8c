import { apronsPushedAside } from './apron-bow';
import { boardsAsDryAsTheAir } from './boards-and-air';
import { fittedToAlcove } from './case-alcove';
import { gapsOfBack } from './case-back';
import { caseCarried } from './case-carried';
import { hungOnTheWall } from './case-hung';
import { pinsOfCase } from './case-pins';
import { rackingOfCase } from './case-racking';
import { caseBetweenItsEnds } from './case-sags';
import { boardsOfSheet } from './case-sheet';
import { shelvesOfCase } from './case-shelves';
import { slotsOfCase } from './case-slots';
import { tippingOfCase } from './case-tipping';
import { glassInChannel, resinInChannel } from './channel';
import { type CaseContext, type Check, type CheckContext, isOfCase, isOfTable, type TableContext } from './check';
import { chestBottom } from './chest-bottom';
import { chestLid } from './chest-lid';
import { cutsInParts, partsInParts } from './collisions';
import { cornerFasteners, haunchLeftOut, pegsInLegs } from './corner-fasteners';
import { cutOuts } from './cut-outs';
import { throughTheDoor } from './door';
import { dressedStock } from './dressed-stock';
import { everySlatHeld, screwsThroughTheTop } from './fasteners';
import { stepAtTheLegs } from './flush';
import { framedPanel } from './framed';
import { boltedHalves } from './halves';
import { fastenersInReach, seatsInRails } from './hold-seats';
import { inOrder } from './in-order';
import { joinedEnd } from './joined-end';
import { cornerTenons, cutAlike } from './joints';
import { leanedOn } from './leaning';
import { legsByTheShop } from './leg-making';
import { liftedTop } from './lift';
import { mortisesByTheShop, topOnSawAndBench } from './machines';
import { mitresByTheSaw } from './mitres';
import { otherMortises } from './other-mortises';
import { partsOnTheSaw } from './parts-on-the-saw';
import { kneeRoom, seatCount } from './people';
import { piecedSeams } from './pieced';
import { racked } from './racking';
import { tiesThatFight } from './restraint';
import { roomAround } from './room';
import { roundHoles } from './round-holes';
import { roundTheCorner } from './round-the-corner';
import { runOfCases } from './run-of-cases';
import { battensInSlots, roomInNotches, topOnItsFasteners } from './season';
import { sectionsLeft } from './section-left';
import { shelves } from './shelves';
import { curvedParts, cutsBesideHollows, slantedTenons } from './short-grain';
import { drawnOutEnd, leavesStored, runnersHeld, slidesOnTheirWay } from './slides';
import { lifting, tipping } from './stability';
import { stackedOnCase } from './stacked';
import { sagging } from './stiffness';
import { thicknessOnTheRack } from './stock';
import { stretchersStoodOn } from './stretchers';
import { stripesApart } from './stripes';
import { baseUnderOutline, breadboardEnds, fastenersInOutline, gapsOfSlats, pegsInSlots } from './tops';

/** What is judged of every piece; a new family of checks is one file and one line here or below. */
const OF_ALL: readonly ((context: CheckContext) => Check[])[] = [
  tiesThatFight,
  boardsAsDryAsTheAir,
  cutsInParts,
  partsInParts,
  roundHoles,
  cutsBesideHollows,
  curvedParts,
  roundTheCorner,
];

/** Of cases alone. */
const OF_CASES: readonly ((context: CaseContext) => Check[])[] = [
  pinsOfCase,
  hungOnTheWall,
  chestLid,
  chestBottom,
  fittedToAlcove,
  caseCarried,
  shelvesOfCase,
  caseBetweenItsEnds,
  rackingOfCase,
  racked,
  tippingOfCase,
  stackedOnCase,
  runOfCases,
  slotsOfCase,
  gapsOfBack,
  boardsOfSheet,
];

/** Of tables alone. */
const OF_TABLES: readonly ((context: TableContext) => Check[])[] = [
  seatCount,
  roomAround,
  throughTheDoor,
  kneeRoom,
  thicknessOnTheRack,
  dressedStock,
  sagging,
  apronsPushedAside,
  racked,
  leanedOn,
  tipping,
  lifting,
  topOnItsFasteners,
  battensInSlots,
  roomInNotches,
  stepAtTheLegs,
  cornerTenons,
  cornerFasteners,
  pegsInLegs,
  haunchLeftOut,
  screwsThroughTheTop,
  seatsInRails,
  fastenersInReach,
  everySlatHeld,
  cutAlike,
  mortisesByTheShop,
  otherMortises,
  topOnSawAndBench,
  partsOnTheSaw,
  mitresByTheSaw,
  legsByTheShop,
  gapsOfSlats,
  framedPanel,
  boltedHalves,
  liftedTop,
  glassInChannel,
  runnersHeld,
  slidesOnTheirWay,
  drawnOutEnd,
  leavesStored,
  resinInChannel,
  breadboardEnds,
  pegsInSlots,
  stretchersStoodOn,
  shelves,
  piecedSeams,
  stripesApart,
  joinedEnd,
  baseUnderOutline,
  fastenersInOutline,
  cutOuts,
  sectionsLeft,
  slantedTenons,
];

export function runChecks(context: CheckContext): Check[] {
  return inOrder([
    ...(isOfTable(context) ? OF_TABLES.flatMap((family) => family(context)) : []),
    ...(isOfCase(context) ? OF_CASES.flatMap((family) => family(context)) : []),
    ...OF_ALL.flatMap((family) => family(context)),
  ]);
}
