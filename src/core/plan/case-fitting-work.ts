import { type CaseWork, isGrooved, lidInWalls, type Step } from './case-step';

/** What is glued to its front edges when the carcass is together. */
export function frontSteps({ document, piece, ids, glue, shell }: CaseWork): Step[] {
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
export function standSteps({ piece, ids, glue }: CaseWork): Step[] {
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
export function closingSteps({ document, piece, chest, ids }: CaseWork): Step[] {
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

export const checkedOver = ({ piece }: CaseWork, parts: readonly string[]): Step => ({
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
