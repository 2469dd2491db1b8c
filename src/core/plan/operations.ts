import type { PieceInJob } from '../document/piece-in-job';
import type { ResawWork } from '../layout/resaw-work';
import { madeParts } from '../piece/material';
import type { Part } from '../piece/part';
import { baseKind } from '../piece/table/form';
import { HOLDS } from '../piece/table/holds/hold';
import { baseWork } from './base-work';
import type { Operation, WorkGiven } from './operation';
import { topWork } from './top-work';

interface FinishWork {
  name: string;
  /** The last grit before it; common practice. */
  sandedTo: 150 | 180 | 220;
  /** Before every coat but the first. */
  between: string | null;
  coats: number;
  /** Hours. */
  dry: number;
  caution: string;
}

const FINISHES: Record<PieceInJob['plan']['finish'], FinishWork> = {
  'oil-wax': {
    name: 'oil and wax',
    sandedTo: 180,
    between: 'Rub down with fine wool',
    coats: 3,
    dry: 24,
    caution: 'Oily rags heat by themselves: hang them out flat or keep them under water. Fresh air.',
  },
  film: {
    name: 'varnish',
    sandedTo: 150,
    between: 'Rub down with 320',
    coats: 3,
    dry: 24,
    caution: 'Solvent vapour: fresh air, a mask for vapour, no flame. The same coats on both faces.',
  },
  shellac: {
    name: 'shellac',
    sandedTo: 220,
    between: 'Rub down with 400',
    coats: 3,
    dry: 8,
    caution: 'Alcohol vapour burns: fresh air, no flame. It softens under hot cups and spirits.',
  },
  lacquer: {
    name: 'lacquer',
    sandedTo: 180,
    between: 'Rub down with 320',
    coats: 3,
    dry: 4,
    caution: 'Solvent vapour burns and harms: a mask for vapour, strong airing, no flame or spark.',
  },
  epoxy: {
    name: 'epoxy sealer',
    sandedTo: 150,
    between: 'Rub down with 180',
    coats: 2,
    dry: 24,
    caution: 'Resin and hardener harm the skin: gloves, fresh air; never sand it before it is hard.',
  },
  wax: {
    name: 'paste wax',
    sandedTo: 220,
    between: null,
    coats: 1,
    dry: 8,
    caution: 'Rags with solvent heat by themselves: hang them out flat or keep them under water.',
  },
  none: { name: 'none', sandedTo: 180, between: null, coats: 0, dry: 0, caution: '' },
};

/** The finishes of a plan by their names, in the order they are offered. */
export const FINISH_NAMES = Object.entries(FINISHES).map(([value, { name }]) => ({
  value: value as PieceInJob['plan']['finish'],
  label: name.charAt(0).toUpperCase() + name.slice(1),
}));

/** Coats of paint over a primer, and hours that each dries (common practice; its maker’s word comes first). */
const PAINT_COATS = 2;
const PRIMER_DRY = 8;
const PAINT_DRY = 16;

const COATED: Record<PieceInJob['season']['coated'], string> = {
  both: ', both faces alike',
  show: ', the show face of the top only',
  neither: ', the base only',
};

/** Every grit takes out the scratches of the one before; the last one by the finish (common practice). */
const GRITS = { 150: '80, 120, 150', 180: '80, 120, 150, 180', 220: '80, 120, 180, 220' } as const;

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

/** Resting before final size, days' hours: freshly planed stock moves (common practice). */
const REST_AFTER_ROUGHING = 72;

/** The order of work for a table, with hours worked and hours waited (common practice; adjust to the shop). */
export function planOperations(
  given: WorkGiven & {
    boards: number;
    resaw: ResawWork;
  },
): Operation[] {
  const { document, piece, boards, resaw } = given;
  const top = piece.top.parts;
  const all = madeParts(piece).map((part) => part.id);
  const area = (piece.overall.length * piece.overall.width) / 1e6;
  const operations: Operation[] = [];
  const add = (
    id: string,
    name: string,
    group: Operation['group'],
    work: number,
    wait: number,
    after: readonly string[],
    caution: string,
    parts: readonly string[],
  ) => operations.push({ id, name, group, work, wait, after, caution, parts });

  add(
    'crosscut',
    'Crosscut the boards by the layout, best faces marked',
    'Milling',
    0.4 + boards * 0.15,
    0,
    [],
    'Support both ends; a board that closes on the blade is thrown back. Guards on.',
    all,
  );
  add(
    'rough-mill',
    'Flatten, plane and rip everything over size',
    'Milling',
    1 + boards * 0.4,
    REST_AFTER_ROUGHING,
    ['crosscut'],
    'No twisted stock on the table saw before one face and one edge are true. Push sticks under 150 mm. Dust mask, hearing.',
    all,
  );
  if (resaw.blanks > 0)
    add(
      'resaw',
      resaw.paired
        ? 'Resaw the pairs; mark the leaves and their matching edges, and lay them on sticks, weighted'
        : `Resaw ${resaw.blanks === 1 ? 'a blank' : `${resaw.blanks} blanks`} by the layout; mark what lay on what, and lay it on sticks, weighted`,
      'Milling',
      0.4 + 0.25 * resaw.cuts,
      resaw.rest,
      ['rough-mill'],
      'A tall fence, the guide just above the wood, a push block for the last of it; fingers never in line with the band.',
      resaw.parts,
    );
  add(
    'final-mill',
    'Bring everything to final thickness and width',
    'Milling',
    0.8 + boards * 0.2,
    0,
    [resaw.blanks > 0 ? 'resaw' : 'rough-mill'],
    'Nothing shorter than the planer’s rollers stand apart. Short and narrow pieces by hand.',
    all,
  );

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

  const finish = FINISHES[document.plan.finish];
  const grits = GRITS[finish.sandedTo];
  add(
    'sand-top',
    `Sand the top with ${grits}, and break its edges`,
    'Finish',
    0.8 + 0.8 * area,
    0,
    fitted,
    'Dust mask and extraction.',
    top,
  );
  let before = ['sand-top'];
  const painted = piece.parts.filter((part) => part.painted);
  const paintedIds = painted.map(({ id }) => id);
  if (painted.length > 0) {
    const hours = 0.3 + 0.06 * painted.length;
    const where =
      'Masked where it is glued and where it meets what is not painted. Fresh air; a mask where it is sprayed.';
    const paint = (id: string, name: string, dry: number) => {
      add(id, name, 'Finish', hours, dry, before, where, paintedIds);
      before = [id];
    };
    paint('prime', 'Seal knots, prime what is painted, and rub it down', PRIMER_DRY);
    for (let coat = 1; coat <= PAINT_COATS; coat += 1)
      paint(
        `paint-${coat}`,
        `Paint, coat ${coat} of ${PAINT_COATS}${coat > 1 ? ', rubbed down before' : ''}`,
        PAINT_DRY,
      );
  }
  const clear = all.filter((id) => !paintedIds.includes(id));
  const { coated } = document.season;
  for (let coat = 1; coat <= finish.coats; coat += 1) {
    add(
      `coat-${coat}`,
      `${coat > 1 && finish.between ? `${finish.between}, then coat` : 'Coat'} ${coat} of ${finish.coats}, ${finish.name}${COATED[coated]}`,
      'Finish',
      0.5 + 0.35 * area,
      finish.dry,
      before,
      finish.caution,
      coated === 'neither' ? clear.filter((id) => !top.includes(id)) : clear,
    );
    before = [`coat-${coat}`];
  }
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
