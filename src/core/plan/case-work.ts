import { SHELL } from '../piece/case/shell';
import { madeParts } from '../piece/material';
import { isPanel, type Part } from '../piece/part';
import { CORNERS } from './case-corners';
import { finishing } from './finishing';
import { milling } from './milling';
import type { Operation, PlanGiven } from './operation';
import { edgeWork, OUTLINE_WORK } from './shaping';

/** What is done to a case, without what comes before it. */
type Step = Pick<Operation, 'id' | 'name' | 'work' | 'wait' | 'caution' | 'parts'>;

/** A case as its work is planned. */
interface CaseWork extends PlanGiven {
  chest: boolean;
  ids: (...kinds: Part['kind'][]) => string[];
  /** Glued up of boards, and cut from sheets. */
  panels: readonly string[];
  sheets: readonly string[];
  shell: readonly string[];
  within: readonly string[];
}

/**
 * The order of work for a case: panels, joints, inside finished before it is glued, carcass, back, finish (common practice).
 * Hours by the number of panels and joints; adjust to the shop.
 */
export function planCase(given: PlanGiven): Operation[] {
  const { document, piece, boards, resaw } = given;
  const made = madeParts(piece);
  const all = made.map(({ id }) => id);
  const ids = (...kinds: Part['kind'][]) => made.filter(({ kind }) => kinds.includes(kind)).map(({ id }) => id);
  const work: CaseWork = {
    ...given,
    chest: piece.build === 'case' && piece.opens === 'above',
    ids,
    panels: made.filter(({ kind, wood }) => isPanel(kind) && !wood?.sheet).map(({ id }) => id),
    sheets: made.filter(({ wood }) => wood?.sheet).map(({ id }) => id),
    shell: ids('side', 'case-top', 'case-bottom', 'case-post'),
    within: ids('upright', 'case-shelf', 'case-rail'),
  };
  const operations = milling({ boards, resaw, parts: all });
  const put = (group: Operation['group'], steps: readonly Step[], first: readonly string[]): readonly string[] =>
    steps.reduce<readonly string[]>((after, step) => {
      operations.push({ ...step, group, after });
      return [step.id];
    }, first);
  const stood = put(
    'Case',
    [
      ...panelSteps(work),
      ...jointSteps(work),
      ...openingSteps(work),
      ...shapingSteps(work),
      ...frameSteps(work),
      ...carcassSteps(work),
      ...frontSteps(work),
      ...standSteps(work),
    ],
    ['final-mill'],
  );
  const area = made.reduce((sum, { size }) => sum + (2 * size.length * size.width) / 1e6, 0);
  const finished = finishing({ document, piece, area, sanded: { name: 'the case', parts: all } }, stood);
  operations.push(...finished.operations);
  const closed = put('Case', closingSteps(work), finished.before);
  put('Delivery', [checkedOver(work, all)], closed);
  return operations;
}

function panelSteps({ piece, glueUps, glue, panels, sheets }: CaseWork): Step[] {
  const stages = glueUps.reduce((sum, own) => sum + own.stages.length, 0);
  return [
    ...(stages > 0
      ? [
          {
            id: 'glue-panels',
            name: `Joint and glue the panels, ${stages} stages`,
            work: 0.4 * stages,
            wait: glue.levelAfter,
            caution: glue.caution,
            parts: panels,
          },
        ]
      : []),
    ...(sheets.length > 0
      ? [
          {
            id: 'sheets',
            name: 'Cut the sheets to size, those of one size at one setting',
            work: 0.15 * sheets.length,
            wait: 0,
            caution: 'Two people at the saw. Support both halves; score the lower face across its grain.',
            parts: sheets,
          },
        ]
      : []),
    {
      id: 'panels-flat',
      name: piece.parts.some(({ oneWith }) => oneWith)
        ? 'Plane the panels level and to thickness; mark the order of the boards round the case on the long one, crosscut it in that order; shelves in pairs'
        : 'Plane the panels level and to thickness, cut them square and to length; sides and shelves in pairs',
      work: 0.3 * panels.length,
      wait: 0,
      caution: 'Front edges together, one stop for both sides. Support long panels beyond the saw.',
      parts: panels,
    },
  ].filter(({ parts }) => parts.length > 0);
}

/** Corners, housings and rabbets, bores for pins. */
function jointSteps({ piece, chest, shell, within }: CaseWork): Step[] {
  const steps: Step[] = [];
  for (const [kind, corner] of Object.entries(CORNERS)) {
    const count = piece.joints.filter((joint) => joint.kind === kind && shell.includes(joint.from)).length;
    if (count > 0)
      steps.push({
        id: 'corners',
        name: chest ? corner.ofChest : corner.ofCase,
        work: count * corner.hours,
        wait: 0,
        caution: corner.caution,
        parts: shell,
      });
  }
  const held = piece.joints.filter(({ kind, from }) => kind in CORNERS && within.includes(from));
  if (held.length > 0)
    steps.push({
      id: 'ends',
      name: 'Mortise or bore the ends of shelves and uprights, and the boards that take them, from one stick',
      work: 0.25 * held.length,
      wait: 0,
      caution: 'Front edges together. A stop on the cutter: it must not come through.',
      parts: [...shell, ...within],
    });
  const housed = piece.joints.filter(({ kind }) => kind === 'housing' || kind === 'sliding-dovetail');
  const rabbeted = piece.joints.filter(({ kind }) => kind === 'rabbet' || kind === 'back-rabbet');
  if (housed.length + rabbeted.length > 0)
    steps.push({
      id: 'housings',
      name: `Cut ${[housed.length > 0 ? 'the housings, marked beside each other from one stick' : '', rabbeted.length > 0 ? 'the rabbets' : ''].filter(Boolean).join('; ')}`,
      work: 0.25 * housed.length + 0.15 * rabbeted.length,
      wait: 0,
      caution:
        'A guide clamped at both ends; stops where the housing ends. The cutter takes no more than its own diameter at once.',
      parts: [...shell, ...within],
    });
  if (piece.build === 'case' && piece.pinRows.length > 0) {
    const bored = new Set(piece.pinRows.map(({ wall }) => wall));
    steps.push({
      id: 'pins',
      name: 'Bore the rows for shelf pins from one template, its end on the same end of every board',
      work: 0.2 * piece.pinRows.length,
      wait: 0,
      caution: 'A stop on the bit. Mark the template’s upper end and its face: turned round, shelves lie askew.',
      parts: [...shell, ...within].filter((id) => bored.has(id)),
    });
  }
  return steps;
}

/** Rails above and below in a case of frames. */
const LYING = /^(top|bottom)-/;

/** Sawn in what closes it behind, for what on the wall must be reached. */
function openingSteps({ piece }: CaseWork): Step[] {
  const sawn = piece.parts.filter(({ removed }) => removed.some(({ what }) => what === 'opening')).map(({ id }) => id);
  const steps: Step[] = [
    {
      id: 'openings',
      name: 'Saw the openings in the back, measured from the floor and the left side; try them on the wall',
      work: 0.4 * sawn.length,
      wait: 0,
      caution: 'Sockets and valves stay reached; what is moved or extended is work for who is licensed, by local code.',
      parts: sawn,
    },
  ];
  return steps.filter(({ parts }) => parts.length > 0);
}

/** The board over it, its outline and its edges. */
function shapingSteps({ document: { form }, piece }: CaseWork): Step[] {
  const boards = piece.parts.filter(({ id }) => piece.over.includes(id));
  const area = boards.reduce((sum, { size }) => sum + (size.length * size.width) / 1e6, 0);
  const parts = boards.map(({ id }) => id);
  return [
    boards.some(({ profile }) => profile) ? OUTLINE_WORK : null,
    'edge' in form.top ? edgeWork(form.top.edge) : null,
  ].flatMap((step) => {
    if (!step) return [];
    const { id, name, caution } = step;
    return [{ id, name, caution, work: step.hours(area), wait: 0, parts }];
  });
}

/** Frames with panels, from their grooves to the glue. */
function frameSteps({ ids, glue, shell }: CaseWork): Step[] {
  const panels = ids('panel');
  // Legs with a shelf between them are no frame.
  const sides = shell.includes(SHELL.bottom) ? [] : ids('case-post');
  const lying = sides.length > 0 ? ids('case-rail').filter((id) => LYING.test(id)) : [];
  const bars = [...ids('stile', 'rail', 'muntin'), ...sides, ...lying];
  if (bars.length === 0) return [];
  return [
    {
      id: 'frame-joints',
      name:
        sides.length > 0
          ? 'Groove, mortise and tenon the frames of the case, fit their panels dry'
          : 'Groove stiles, rails and muntins, mortise and tenon them, fit the panels dry',
      work: 0.35 * bars.length,
      wait: 0,
      caution: 'One fence, show faces against it. Push blocks at the grooves; the last pass is light.',
      parts: [...bars, ...panels],
    },
    {
      id: 'panels-finished',
      name: 'Finish the panels before they go in',
      work: 0.25 * panels.length,
      wait: 0,
      caution: 'Bare wood shows when they shrink. Fresh air while it dries.',
      parts: panels,
    },
    {
      id: 'glue-frames',
      name: 'Glue the frames round their panels, check their diagonals',
      work: 0.5 + 0.1 * bars.length,
      wait: glue.clampFor / 60,
      caution: `No glue in the grooves: a panel must move by hand afterwards. ${glue.caution}`,
      parts: bars,
    },
  ];
}

/** A lid that is sawn off is closed in with the glue. */
const lidInWalls = ({ form }: CaseWork['document']): boolean => form.top.kind === 'sawn-off';

/** Its back, or a chest's bottom, goes in with the glue. */
const isGrooved = ({ form }: CaseWork['document']): boolean => form.build === 'case' && form.back.kind === 'grooved';

function carcassSteps({ document, ids, glue, chest, panels, sheets, shell, within }: CaseWork): Step[] {
  const boards = [...shell, ...within];
  const closed = [
    ...(isGrooved(document) ? [`, ${chest ? 'the bottom' : 'the back'} in its grooves`] : []),
    ...(lidInWalls(document) ? [', the panel of the lid loose in its own'] : []),
  ].join('');
  const lips = ids('lip');
  return [
    ...(lips.length > 0
      ? [
          {
            id: 'lips',
            name: 'Glue the lips under the front edges of the shelves',
            work: 0.3 * lips.length,
            wait: glue.clampFor / 60,
            caution: `Cauls along the lip; cut to the clear length last. ${glue.caution}`,
            parts: [...lips, ...ids('case-shelf')],
          },
        ]
      : []),
    {
      id: 'dry-fit',
      name: 'Put the carcass together dry; check its diagonals, fit every shelf to its place',
      work: 0.3 * boards.length,
      wait: 0,
      caution: 'A joint that wants a hammer dry will not close wet.',
      parts: boards,
    },
    {
      id: 'finish-inside',
      name: 'Sand what cannot be reached later, and give the inside its first coat, joints masked',
      work: 0.25 * (panels.length + sheets.length),
      wait: 0,
      caution: 'Dust mask and extraction; fresh air while it dries.',
      parts: [...panels, ...sheets],
    },
    {
      id: 'glue-case',
      name: chest
        ? `Glue the walls round the corners, dividers with them${closed}`
        : shell.includes(SHELL.bottom) && ids('case-post').length > 0
          ? `Glue shelf and dividers between the legs and the top on them, all of it at once${closed}`
          : ids('case-post').length > 0
            ? `Glue the rails into one side, shelves and uprights in front alone, the other side on${closed}`
            : `Glue the carcass: shelves and uprights into one side, the other side on, top and bottom${closed}`,
      work: 1 + 0.1 * within.length,
      wait: glue.levelAfter,
      caution: `Rehearse it dry with every clamp in its place. Two people. Measure both diagonals before the glue grips. ${glue.caution}`,
      parts: [...boards, ...(isGrooved(document) ? ['back'] : []), ...(lidInWalls(document) ? ids('lid') : [])],
    },
  ];
}

/** What is glued to its front edges when the carcass is together. */
function frontSteps({ document, piece, ids, glue, shell }: CaseWork): Step[] {
  const lippings = ids('lipping');
  const frame = piece.parts.filter(({ id }) => id.startsWith('front-')).map(({ id }) => id);
  const steps: Step[] = [
    {
      id: 'saw-lid',
      name: 'Saw the lid off all round, the long sides first; plane both rims to one another',
      work: 1,
      wait: 0,
      caution: 'Spacers in the cut before the last side, or it closes on the blade. The fence higher than the box.',
      parts: lidInWalls(document) ? [...shell, ...ids('lid')] : [],
    },
    {
      id: 'lippings',
      name: 'Glue the lippings on, a hair too wide; plane them flush when the glue is dry',
      work: 0.2 * lippings.length,
      wait: glue.clampFor / 60,
      caution: `Cauls along the strip, tape where no clamp reaches. ${glue.caution}`,
      parts: lippings,
    },
    {
      id: 'mouldings',
      name: 'Work the mouldings in one length, mitre them round the front; glue the front one, hold those at the sides as drawn',
      work: 1.5,
      wait: glue.clampFor / 60,
      caution:
        'A featherboard at the cutter; narrow stock is worked on a wide board and ripped off. Slots run from front to back.',
      parts: ids('moulding'),
    },
    {
      id: 'face-frame',
      name: 'Glue the face frame together, then to the front edges, a hair too wide at the sides; plane it flush',
      work: 0.8 + 0.1 * frame.length,
      wait: glue.clampFor / 60,
      caution: `Check its diagonals against the carcass’s. ${glue.caution}`,
      parts: frame,
    },
  ];
  return steps.filter(({ parts }) => parts.length > 0);
}

/** Its stand or wall rail, and the cleats under its shelves. */
function standSteps({ piece, ids, glue }: CaseWork): Step[] {
  const cleats = ids('cleat');
  const steps: Step[] = [
    {
      id: 'plinth',
      name: 'Glue and screw the plinth; screw the case to it, fast in front and in slots behind',
      work: 1.2,
      wait: glue.clampFor / 60,
      caution: 'The slots run from front to back, their screws in the middle and snug, not tight.',
      parts: ids('plinth'),
    },
    {
      id: 'feet',
      name: 'Make the feet and screw each under its corner',
      work: 0.8,
      wait: 0,
      caution: 'Bore for every screw.',
      parts: ids('foot'),
    },
    {
      id: 'levellers',
      name: 'Screw the levelling feet under the bottom, all at one height',
      work: 0.4,
      wait: 0,
      caution: 'Bore for every screw; it is stood on them without being dragged.',
      parts: piece.parts.filter(({ kind, material }) => kind === 'foot' && material).map(({ id }) => id),
    },
    {
      id: 'frame',
      name: 'Mortise the legs, tenon the rails, glue the frame two legs at a time; screw the case to it, fast in front and in slots behind',
      work: 0.5 + 0.6 * ids('leg', 'stand-rail', 'stretcher').length,
      wait: glue.clampFor / 60,
      caution: `Measure the diagonals above and at the feet, sight across both fronts. ${glue.caution}`,
      parts: ids('leg', 'stand-rail', 'stretcher'),
    },
    {
      id: 'cleats',
      name: 'Screw the cleats on, fast in front and in slots behind',
      work: 0.15 * cleats.length,
      wait: 0,
      caution: 'The slots run from front to back, their screws in the middle and snug, not tight.',
      parts: cleats,
    },
    {
      id: 'rail',
      name: ids('wall-rail').includes('wall-cleat')
        ? 'Rip the cleats with one bevel, screw one under the top behind the back; the other goes level on the wall'
        : 'Fit the rail under the top and screw it to both sides',
      work: 0.5,
      wait: 0,
      caution: 'It carries all of it.',
      parts: ids('wall-rail'),
    },
  ];
  return steps.filter(({ parts }) => parts.length > 0);
}

/** What is fitted after finishing: its back, its lid, what is planed to the walls. */
function closingSteps({ document, piece, chest, ids }: CaseWork): Step[] {
  const steps: Step[] = [
    {
      id: 'back',
      name: chest ? 'Screw the bottom into its rabbets' : 'Screw the back into its rabbets',
      work: 0.5,
      wait: 0,
      caution: 'Solid boards each in their middle alone; nothing is glued but a sheet. Bore for every screw.',
      parts: isGrooved(document)
        ? []
        : piece.parts.filter(({ id }) => id === 'back' || id.startsWith('back-')).map(({ id }) => id),
    },
    {
      id: 'closing',
      name: 'Screw the closing frames into their spaces, fast below, free beside and above',
      work: 0.4,
      wait: 0,
      caution: 'The same gap at both sides; screws from inside, bored for.',
      parts: piece.parts.filter(({ id }) => id.startsWith('closed-')).map(({ id }) => id),
    },
    {
      id: 'lid',
      name: lidInWalls(document)
        ? 'Hang the lid on its hinges, fit the stay'
        : ids('breadboard').length > 0
          ? 'Tenon the ends of the lid, fit the boards across them: glue in their middle alone, pegs in slots; hang it on its hinges, fit the stay'
          : 'Screw the battens under the lid, fast in their middle; hang it on its hinges, fit the stay',
      work: 1.5,
      wait: 0,
      caution: 'Hold the lid while its stay is set; what it holds is written on it by its maker.',
      parts: ids('lid').flatMap((lid) => [lid, ...ids('batten', 'breadboard')]),
    },
    {
      id: 'scribe',
      name: 'Level the plinth on the floor, stand the case on it, plane the scribe strips to the walls',
      work: 2,
      wait: 0,
      caution: 'Two people to stand it up. Find pipes and cables before anything is screwed to the wall.',
      parts: ids('scribe'),
    },
  ];
  return steps.filter(({ parts }) => parts.length > 0);
}

const checkedOver = ({ piece }: CaseWork, parts: readonly string[]): Step => ({
  id: 'check-over',
  name: [
    'Look it over,',
    ...(piece.build === 'case' && piece.pinRows.length > 0 ? ['put the loose shelves on their pins,'] : []),
    'wrap it',
    ...(piece.build === 'case' && piece.stacked
      ? ['; set it on the case below, screws fast behind and in slots in front']
      : []),
    // What is lower than it is deep stands free.
    ...(piece.overall.height > piece.overall.width ? ['; fix it to the wall where it will stand'] : []),
  ]
    .join(' ')
    .replaceAll(' ;', ';'),
  work: 0.8,
  wait: 0,
  caution:
    'Carry it upright by its bottom, two people. What is taller than it is deep is fixed to the wall, by who knows the wall.',
  parts,
});
