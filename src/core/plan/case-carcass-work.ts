import { SHELL } from '../piece/case/shell';
import { CORNERS } from './case-corners';
import { type CaseWork, isGrooved, lidInWalls, type Step } from './case-step';
import { edgeWork, OUTLINE_WORK } from './shaping';

export function panelSteps({ piece, glueUps, glue, panels, sheets }: CaseWork): Step[] {
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
export function jointSteps({ piece, chest, shell, within }: CaseWork): Step[] {
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
export function openingSteps({ piece }: CaseWork): Step[] {
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
export function shapingSteps({ document: { form }, piece }: CaseWork): Step[] {
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
export function frameSteps({ ids, glue, shell }: CaseWork): Step[] {
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

export function carcassSteps({ document, ids, glue, chest, panels, sheets, shell, within }: CaseWork): Step[] {
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
