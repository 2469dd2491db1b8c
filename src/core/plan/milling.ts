import type { ResawWork } from '../layout/resaw-work';
import { type Operation, operationList } from './operation';

/** Resting before final size, days' hours: freshly planed stock moves (common practice). */
const REST_AFTER_ROUGHING = 72;

/** From boards to milled stock; everything after it comes after `final-mill`. */
export function milling(given: { boards: number; resaw: ResawWork; parts: readonly string[] }): Operation[] {
  const { boards, resaw, parts: all } = given;
  const { operations, add } = operationList();

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
  return operations;
}
