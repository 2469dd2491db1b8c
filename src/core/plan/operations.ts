import type { JobDocument } from '../decision/job-document';
import type { Glue } from '../glueup/glue';
import type { GlueUp } from '../glueup/plan-glue-ups';
import type { Piece } from '../piece/piece';

export interface Operation {
  id: string;
  name: string;
  group: 'Milling' | 'Top' | 'Base' | 'Finish' | 'Delivery';
  /** Hours at the bench. */
  work: number;
  /** Hours that must pass afterwards before what follows. */
  wait: number;
  after: readonly string[];
  /** The usual caution at this operation. */
  caution: string;
  parts: readonly string[];
}

const FINISHES: Record<JobDocument['plan']['finish'], { name: string; coats: number; dry: number; caution: string }> = {
  'oil-wax': {
    name: 'oil and wax',
    coats: 3,
    dry: 24,
    caution: 'Oily rags heat by themselves: hang them out flat or keep them under water. Fresh air.',
  },
  film: {
    name: 'varnish',
    coats: 3,
    dry: 24,
    caution: 'Solvent vapour: fresh air, a mask for vapour, no flame. The same coats on both faces.',
  },
  shellac: {
    name: 'shellac',
    coats: 3,
    dry: 8,
    caution: 'Alcohol vapour burns: fresh air, no flame. It softens under hot cups and spirits.',
  },
  lacquer: {
    name: 'lacquer',
    coats: 3,
    dry: 4,
    caution: 'Solvent vapour burns and harms: a mask for vapour, strong airing, no flame or spark.',
  },
  epoxy: {
    name: 'epoxy sealer',
    coats: 2,
    dry: 24,
    caution: 'Resin and hardener harm the skin: gloves, fresh air; never sand it before it is hard.',
  },
  wax: {
    name: 'paste wax',
    coats: 1,
    dry: 8,
    caution: 'Rags with solvent heat by themselves: hang them out flat or keep them under water.',
  },
  none: { name: 'none', coats: 0, dry: 0, caution: '' },
};

/** The finishes of a plan by their names, in the order they are offered. */
export const FINISH_NAMES = Object.entries(FINISHES).map(([value, { name }]) => ({
  value: value as JobDocument['plan']['finish'],
  label: name.charAt(0).toUpperCase() + name.slice(1),
}));

/** Resting before final size, days' hours: freshly planed stock moves (common practice). */
const REST_AFTER_ROUGHING = 72;

/** The order of work for a table, with hours worked and hours waited (common practice; adjust to the shop). */
export function planOperations(given: {
  document: JobDocument;
  piece: Piece;
  glueUps: readonly GlueUp[];
  glue: Glue;
  boards: number;
}): Operation[] {
  const { document, piece, glueUps, glue, boards } = given;
  const ids = (kind: string) => piece.parts.filter((part) => part.kind === kind).map((part) => part.id);
  const [legs, aprons, rails] = [ids('leg'), ids('apron'), ids('cross-rail')];
  const base = [...legs, ...aprons, ...rails];
  const area = (piece.overall.length * piece.overall.width) / 1e6;
  const operations: Operation[] = [];
  const add = (
    id: string,
    name: string,
    group: Operation['group'],
    work: number,
    wait: number,
    after: string[],
    caution: string,
    parts: string[],
  ) => operations.push({ id, name, group, work, wait, after, caution, parts });

  add(
    'crosscut',
    'Crosscut the boards by the layout, best faces marked',
    'Milling',
    0.4 + boards * 0.15,
    0,
    [],
    'Support both ends; a board that closes on the blade is thrown back. Guards on.',
    ['top', ...base],
  );
  add(
    'rough-mill',
    'Flatten, plane and rip everything over size',
    'Milling',
    1 + boards * 0.4,
    REST_AFTER_ROUGHING,
    ['crosscut'],
    'No twisted stock on the table saw before one face and one edge are true. Push sticks under 150 mm. Dust mask, hearing.',
    ['top', ...base],
  );
  add(
    'final-mill',
    'Bring everything to final thickness and width',
    'Milling',
    0.8 + boards * 0.2,
    0,
    ['rough-mill'],
    'Nothing shorter than the planer’s rollers stand apart. Short and narrow pieces by hand.',
    ['top', ...base],
  );

  const stages = glueUps.flatMap((glueUp) => glueUp.stages);
  const panelDone: string[] = [];
  stages.forEach((stage, i) => {
    const id = `glue-${stage.id}`;
    const sections = stages.slice(0, i).map((s) => `glue-${s.id}`);
    const last = stage.id === 'panel' && stages.length > 1;
    add(
      id,
      `Joint, glue and clamp: ${stage.name.toLowerCase()}`,
      'Top',
      0.4 + stage.joints * 0.3,
      last || stages.length === 1 ? glue.levelAfter : glue.clampFor / 60,
      last ? sections : ['final-mill'],
      `Only until a thin even line is squeezed out; more bows the panel. ${glue.caution}`,
      ['top'],
    );
    if (last || stages.length === 1) panelDone.push(id);
  });
  add(
    'top-flat',
    'Level the top and cut it to length and width',
    'Top',
    1 + area,
    0,
    panelDone.length ? panelDone : ['final-mill'],
    'Not before the glue’s water has left: joints sink. Two people turn a heavy top.',
    ['top'],
  );

  const joint =
    piece.corner.kind === 'loose-tenon'
      ? 'Cut mortises for the loose tenons'
      : 'Mortise the legs, then tenon the aprons';
  const { making } = document.form.base.leg;
  const legReady = gluedLegs(making, legs, glue);
  operations.push(...legReady);
  add(
    'joints',
    `${joint}; lay the legs out together`,
    'Base',
    piece.jointCount * 0.45,
    0,
    ['final-mill', ...legReady.slice(-1).map((operation) => operation.id)],
    'Mark inside faces and letters on all four legs before the first cut. Chisel and cutter away from the other hand.',
    base,
  );
  if (document.form.base.leg.taper.kind === 'tapered') {
    add(
      'taper',
      'Taper the legs on their two inside faces',
      'Base',
      1.2,
      0,
      ['joints'],
      'On a sled with hold-downs; the mortises are cut first, while the leg is square.',
      legs,
    );
  }
  const shaped = document.form.base.leg.taper.kind === 'tapered' ? 'taper' : 'joints';
  if (document.form.hold.kind === 'buttons') {
    add(
      'groove',
      'Groove the aprons for the buttons',
      'Base',
      0.4,
      0,
      [shaped],
      'Before assembly: the groove cannot be reached with a saw after it. Stock flat to the fence.',
      [...aprons, ...rails],
    );
  }
  const ready = document.form.hold.kind === 'buttons' ? 'groove' : shaped;
  add(
    'dry-fit',
    'Dry fit the base; check square and wind',
    'Base',
    0.8,
    0,
    [ready],
    'A joint that wants a hammer dry will not close wet.',
    base,
  );
  add(
    'sand-base',
    'Plane or sand the parts before assembly',
    'Base',
    1.5,
    0,
    ['dry-fit'],
    'Dust mask and extraction. No rounding where two parts meet flush.',
    base,
  );
  add(
    'glue-ends',
    'Glue the two ends: legs and short aprons',
    'Base',
    0.7,
    glue.clampFor / 60,
    ['sand-base'],
    `Two small glue-ups instead of one large one. ${glue.caution}`,
    [...legs, 'apron-left', 'apron-right'],
  );
  add(
    'glue-base',
    'Glue the ends to the long aprons and rails',
    'Base',
    0.8,
    glue.levelAfter,
    ['glue-ends'],
    'On a flat surface; measure both diagonals while the clamps can still be moved.',
    base,
  );

  const finish = FINISHES[document.plan.finish];
  add(
    'sand-top',
    'Sand the top and break its edges',
    'Finish',
    0.8 + 0.8 * area,
    0,
    ['top-flat'],
    'Dust mask and extraction.',
    ['top'],
  );
  let before = ['sand-top', 'glue-base'];
  for (let coat = 1; coat <= finish.coats; coat += 1) {
    add(
      `coat-${coat}`,
      `Coat ${coat} of ${finish.coats}, ${finish.name}, both faces alike`,
      'Finish',
      0.5 + 0.35 * area,
      finish.dry,
      before,
      finish.caution,
      ['top', ...base],
    );
    before = [`coat-${coat}`];
  }
  add(
    'hang-top',
    'Fasten the top, the travel free on both sides',
    'Delivery',
    0.6,
    0,
    before,
    'Snug, not tight: a fastener that cannot slide holds the wood against its movement.',
    ['top'],
  );
  add(
    'check-over',
    'Level the feet, look it over, wrap it',
    'Delivery',
    0.8,
    0,
    ['hang-top'],
    'Lift with two; bend the knees, not the back.',
    ['top', ...base],
  );
  return operations;
}

/** The glue-ups that legs want which are not of one blank; the last of them leaves the legs ready for their joints. */
function gluedLegs(
  making: JobDocument['form']['base']['leg']['making'],
  legs: readonly string[],
  glue: Glue,
): Operation[] {
  const go = (id: string, name: string, work: number, after: string, caution: string): Operation => ({
    id,
    name,
    group: 'Base',
    work,
    wait: glue.levelAfter,
    after: [after],
    caution: `${caution} ${glue.caution}`,
    parts: legs,
  });
  const each = 0.3 * legs.length;
  switch (making.kind) {
    case 'solid':
      return [];
    case 'staves':
      return [
        go(
          'leg-blanks',
          `Glue ${making.count} staves face to face for each leg, and square the blanks`,
          each * (making.count - 1) + 0.15 * legs.length,
          'rough-mill',
          'Cauls on both faces; staves slide on wet glue, so stop them at the ends.',
        ),
      ];
    case 'two-at-45':
      return [
        go(
          'leg-blanks',
          'Glue two pieces face to face for each leg, and cut the leg out at 45°',
          each + 0.5 * legs.length,
          'rough-mill',
          'The blank lies on a flat to the fence for every cut; the offcut falls free, never between blade and fence.',
        ),
      ];
    case 'faced':
      return [
        go(
          'leg-faces-1',
          'Resaw the veneers; glue the first two to each core, and level them with it',
          2 * each,
          'rough-mill',
          'Mark the four of each leg in the order they came off the board.',
        ),
        go(
          'leg-faces-2',
          'Glue the other two veneers to each leg, and level them',
          1.5 * each,
          'leg-faces-1',
          'Cauls as long as the leg: a veneer not pressed along its edge lifts there.',
        ),
      ];
  }
}
