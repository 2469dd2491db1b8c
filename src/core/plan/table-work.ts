import { madeParts } from '../piece/material';
import type { Part } from '../piece/part';
import { baseKind } from '../piece/table/form';
import { HOLDS } from '../piece/table/holds/hold';
import { baseWork } from './base-work';
import { finishing } from './finishing';
import { milling } from './milling';
import { type Operation, operationList, type PlanGiven, type WorkGiven } from './operation';
import { topWork } from './top-work';

/** What is fitted, marked from one another and cut while nothing is finished yet, one after the other. */
function fitting({ document, piece }: WorkGiven): Omit<Operation, 'after'>[] {
  const { form } = document;
  const top = piece.top.parts;
  const found: Omit<Operation, 'after'>[] = [];
  const add = (id: string, name: string, work: number, caution: string, parts: readonly string[]) =>
    found.push({ id, name, group: 'Base', work, wait: 0, caution, parts });
  const ids = (...kinds: Part['kind'][]) =>
    piece.parts.filter(({ kind }) => kinds.includes(kind)).map((part) => part.id);
  const notches = piece.top.notches?.length ?? 0;
  if (notches > 0) {
    add(
      'top-notches',
      `Notch the top round ${notches} legs, marked from the glued base`,
      0.5 * notches,
      'From both faces to the line. A corner notch leaves short grain: carry the top by its middle.',
      top,
    );
    add(
      'leg-heads',
      'Lay the top on, mark the legs at its face and trim their heads flush',
      0.2 * notches,
      'A knife line all round first; pare from the edges in, so that no corner breaks out.',
      ids('leg'),
    );
  }
  const { boughtIn, foldedWithTop } = baseKind(form.base.kind);
  if (!boughtIn && !foldedWithTop) {
    add(
      'level-feet',
      'Stand the base on a flat surface, level its feet and break their edges',
      0.5,
      'Wedges under it until it stands level; scribe all feet from the surface with one block.',
      ids('leg', 'foot', 'pad'),
    );
  }
  const battens = ids('batten');
  const channels = ids('channel');
  if (battens.length > 0) {
    add(
      'batten-slots',
      'Bore the battens, slot their outer holes, and bore the top from them',
      0.3 * battens.length,
      'A stop on the bit keeps it from coming through the show face.',
      [...top, ...battens],
    );
  }
  if (channels.length > 0) {
    add(
      'channel-grooves',
      'Groove the top for the channels, slot their outer holes and bore the top from them',
      0.5 * channels.length,
      'A guide on both sides of the router; a stop on the bit keeps it from coming through.',
      [...top, ...channels],
    );
  }
  const slides = ids('slide');
  if (slides.length > 0) {
    add(
      'slides',
      'Plane the slides straight, groove the guides, cut the keys and run them in dry',
      0.5 * slides.length,
      'Straight, dry wood; long thin pieces are ripped with a featherboard and a push stick, the fence on the wide side.',
      slides,
    );
  }
  const hold = HOLDS[form.hold.kind];
  if (hold.cuts.before === 'hanging' && piece.fasteners.some(({ own }) => !own)) {
    add(
      'hold-cuts',
      hold.cuts.what,
      0.1 * piece.fasteners.filter(({ own }) => !own).length,
      'Mark from the top lying on the base; a stop on the bit keeps it from coming through.',
      piece.parts.filter(({ material }) => !material).map((part) => part.id),
    );
  }
  return found;
}

/** The order of work for a table, with hours worked and hours waited (common practice; adjust to the shop). */
export function planTable(given: WorkGiven & PlanGiven): Operation[] {
  const { document, piece, boards, resaw } = given;
  const top = piece.top.parts;
  const all = madeParts(piece).map((part) => part.id);
  const area = (piece.overall.length * piece.overall.width) / 1e6;
  const { operations, add } = operationList();

  operations.push(...milling({ boards, resaw, parts: all }));
  const { operations: ofTop, last: topDone } = topWork(given, ['final-mill']);
  // What is folded out of one panel is cut when that panel is level.
  const folded = baseKind(document.form.base.kind).foldedWithTop;
  const { operations: ofBase, last: baseDone } = baseWork(given, ['rough-mill'], folded ? topDone : ['final-mill']);
  operations.push(...ofTop, ...ofBase);
  let fitted = [...topDone, ...baseDone];
  for (const own of fitting(given)) {
    operations.push({ ...own, after: fitted });
    fitted = [own.id];
  }

  const finished = finishing({ document, piece, area, sanded: { name: 'the top', parts: top } }, fitted);
  operations.push(...finished.operations);
  let before = finished.before;
  const steel = piece.parts.filter((part) => part.kind === 'channel').map((part) => part.id);
  const battens = [...piece.parts.filter((part) => part.kind === 'batten').map((part) => part.id), ...steel];
  if (battens.length > 0) {
    add(
      'battens',
      steel.length > 0
        ? 'Screw the channels into their grooves: tight in the middle, washers in the slots'
        : 'Screw the battens under the top: tight in the middle, washers in the slots',
      'Delivery',
      0.25 * battens.length,
      0,
      before,
      'No glue. Screws driven home, then eased by a quarter turn, so that the slot can slide.',
      [...top, ...battens],
    );
    before = ['battens'];
  }
  const slides = piece.parts.filter((part) => part.kind === 'slide').map((part) => part.id);
  if (slides.length > 0) {
    add(
      'slides-in',
      'Wax the slides, screw the guides into their ways, put the runners in with their stops, and try them without the top',
      'Delivery',
      1,
      0,
      before,
      'Fingers away from between runner and rail when it is pushed home.',
      slides,
    );
    before = ['slides-in'];
  }
  const lifts = piece.parts.filter((part) => part.kind === 'lift').map((part) => part.id);
  if (lifts.length > 0) {
    add(
      'lift',
      'Screw the mechanisms to the end aprons, parallel and level with one another, and try them empty',
      'Delivery',
      1,
      0,
      before,
      'A mechanism under its spring bites: it is held down while it is screwed on, fingers out of its arms.',
      lifts,
    );
    before = ['lift'];
  }
  add(
    'hang-top',
    'Fasten the top, the travel free on both sides',
    'Delivery',
    0.6,
    0,
    before,
    'Snug, not tight: a fastener that cannot slide holds the wood against its movement.',
    top,
  );
  const glass = piece.parts.filter((part) => part.material === 'glass').map((part) => part.id);
  if (glass.length > 0) {
    add(
      'set-glass',
      'Set the glass into its recess on clear pads, the room alike all round',
      'Delivery',
      0.5,
      0,
      ['hang-top'],
      'Two people and suction lifters or gloves; look at its edges first: a nicked edge breaks later.',
      glass,
    );
  }
  add(
    'check-over',
    'Look it over, screw on glides or felt, wrap it',
    'Delivery',
    0.6,
    0,
    [glass.length > 0 ? 'set-glass' : 'hang-top'],
    'Lift with two; bend the knees, not the back.',
    all,
  );
  return operations;
}
