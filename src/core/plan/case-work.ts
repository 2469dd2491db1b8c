import { madeParts } from '../piece/material';
import { isPanel, type Part } from '../piece/part';
import { finishing } from './finishing';
import { milling } from './milling';
import type { Operation, PlanGiven } from './operation';

/**
 * The order of work for a case: panels, joints, inside finished before it is glued, carcass, back, finish (common practice).
 * Hours by the number of panels and joints; adjust to the shop.
 */
export function planCase({ document, piece, glueUps, glue, boards, resaw }: PlanGiven): Operation[] {
  const made = madeParts(piece);
  const all = made.map(({ id }) => id);
  const ids = (...kinds: Part['kind'][]) => made.filter(({ kind }) => kinds.includes(kind)).map(({ id }) => id);
  const panels = made.filter(({ kind }) => isPanel(kind)).map(({ id }) => id);
  const shell = ids('side', 'case-top', 'case-bottom');
  const within = ids('upright', 'case-shelf');
  const back = piece.parts.filter(({ id }) => id === 'back' || id.startsWith('back-')).map(({ id }) => id);
  const plinth = ids('plinth');
  const area = made.reduce((sum, { size }) => sum + (2 * size.length * size.width) / 1e6, 0);
  const operations = milling({ boards, resaw, parts: all });
  let before = ['final-mill'];
  const then = (id: string, name: string, work: number, wait: number, caution: string, parts: readonly string[]) => {
    operations.push({ id, name, group: 'Case', work, wait, after: before, caution, parts });
    before = [id];
  };
  const stages = glueUps.reduce((sum, own) => sum + own.stages.length, 0);
  if (stages > 0)
    then(
      'glue-panels',
      `Joint and glue the panels, ${stages} stages`,
      0.4 * stages,
      glue.levelAfter,
      glue.caution,
      panels,
    );
  then(
    'panels-flat',
    'Plane the panels level and to thickness, cut them square and to length; sides and shelves in pairs',
    0.3 * panels.length,
    0,
    'Front edges together, one stop for both sides. Support long panels beyond the saw.',
    panels,
  );
  const kinds = new Set(piece.joints.map(({ kind }) => kind));
  if (kinds.has('case-dovetails'))
    then(
      'dovetails',
      'Cut the tails of both sides, mark top and bottom from them, cut the pins',
      4 * 0.9,
      0,
      'Number the corners. Chop from both faces; hold the work, never steady it with a hand before the edge.',
      shell,
    );
  const housed = piece.joints.filter(({ kind }) => kind === 'housing');
  const rabbeted = piece.joints.filter(({ kind }) => kind === 'rabbet' || kind === 'back-rabbet');
  if (housed.length + rabbeted.length > 0)
    then(
      'housings',
      `Cut ${[housed.length > 0 ? 'the housings, marked beside each other from one stick' : '', rabbeted.length > 0 ? 'the rabbets' : ''].filter(Boolean).join('; ')}`,
      0.25 * housed.length + 0.15 * rabbeted.length,
      0,
      'A guide clamped at both ends; stops where the housing ends. The cutter takes no more than its own diameter at once.',
      [...shell, ...within],
    );
  const lips = ids('lip');
  if (lips.length > 0)
    then(
      'lips',
      'Glue the lips under the front edges of the shelves',
      0.3 * lips.length,
      glue.clampFor / 60,
      `Cauls along the lip; cut to the clear length last. ${glue.caution}`,
      [...lips, ...ids('case-shelf')],
    );
  then(
    'dry-fit',
    'Put the carcass together dry; check its diagonals, fit every shelf to its housing',
    0.3 * (shell.length + within.length),
    0,
    'A joint that wants a hammer dry will not close wet.',
    [...shell, ...within],
  );
  then(
    'finish-inside',
    'Sand what cannot be reached later, and give the inside its first coat, joints masked',
    0.25 * panels.length,
    0,
    'Dust mask and extraction; fresh air while it dries.',
    panels,
  );
  then(
    'glue-case',
    'Glue the carcass: shelves and uprights into one side, the other side on, top and bottom',
    1 + 0.1 * within.length,
    glue.levelAfter,
    `Rehearse it dry with every clamp in its place. Two people. Measure both diagonals before the glue grips. ${glue.caution}`,
    [...shell, ...within],
  );
  if (plinth.length > 0)
    then(
      'plinth',
      'Glue and screw the plinth; screw the case to it, fast in front and in slots behind',
      1.2,
      glue.clampFor / 60,
      'The slots run from front to back, their screws in the middle and snug, not tight.',
      plinth,
    );
  const fitted = before;
  const finished = finishing({ document, piece, area, sanded: { name: 'the case', parts: all } }, fitted);
  operations.push(...finished.operations);
  before = finished.before;
  if (back.length > 0)
    then(
      'back',
      'Screw the back into its rabbets',
      0.5,
      0,
      'Solid boards each in their middle alone; nothing is glued but a sheet. Bore for every screw.',
      back,
    );
  operations.push({
    id: 'check-over',
    name: 'Look it over, put the loose shelves on their pins, wrap it; fix it to the wall where it will stand',
    group: 'Delivery',
    work: 0.8,
    wait: 0,
    after: before,
    caution:
      'Carry it upright by its bottom, two people. What is taller than it is deep is fixed to the wall, by who knows the wall.',
    parts: all,
  });
  return operations;
}
