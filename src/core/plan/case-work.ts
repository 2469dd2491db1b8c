import type { JointKind } from '../joint/joint';
import { madeParts } from '../piece/material';
import { isPanel, type Part } from '../piece/part';
import { finishing } from './finishing';
import { milling } from './milling';
import type { Operation, PlanGiven } from './operation';

/** How the corners of a case are made, and of a chest; hours for each of them (common practice). */
const CORNERS: Partial<Record<JointKind, { ofCase: string; ofChest: string; hours: number; caution: string }>> = {
  'case-dovetails': {
    ofCase: 'Cut the tails of both sides, mark top and bottom from them, cut the pins',
    ofChest: 'Cut the tails of both ends, mark front and back wall from them, cut the pins',
    hours: 0.9,
    caution: 'Number the corners. Chop from both faces; hold the work, never steady it with a hand before the edge.',
  },
  'half-blind-dovetails': {
    ofCase: 'Cut the tails of both sides, mark the sockets of top and bottom from them, chop them against the lap',
    ofChest: 'Cut the tails of both ends, mark the sockets of the walls from them, chop them against the lap',
    hours: 1.3,
    caution: 'Number the corners. Pare the last shavings before the lap.',
  },
  'box-joint': {
    ofCase: 'Cut the fingers of all corners with one setting of the jig',
    ofChest: 'Cut the fingers of all corners with one setting of the jig',
    hours: 0.4,
    caution: 'Try the jig in scrap. Back the work up; hands clear of the cutter’s side.',
  },
  'mitre-spline': {
    ofCase: 'Saw the mitres and the grooves for their splines; splines with their grain across',
    ofChest: 'Saw the mitres and the grooves for their splines; splines with their grain across',
    hours: 0.6,
    caution: 'Blade at 45°, tried in scrap: an error is doubled at every corner.',
  },
  'case-dowels': {
    ofCase: 'Bore ends and faces for the dowels with one jig',
    ofChest: 'Bore ends and faces for the dowels with one jig',
    hours: 0.4,
    caution: 'A stop on the bit: it must not come through the outer face.',
  },
  'case-loose-tenons': {
    ofCase: 'Mortise ends and faces for the loose tenons from the front edges',
    ofChest: 'Mortise ends and faces for the loose tenons from the upper edges',
    hours: 0.5,
    caution: 'Clamp the work; both hands on the machine.',
  },
  'case-screws': {
    ofCase: 'Bore for plugs and screws with the case clamped together dry',
    ofChest: 'Bore for plugs and screws with the walls clamped together dry',
    hours: 0.3,
    caution: 'Bore for every screw; end grain splits.',
  },
};

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
  const chest = piece.build === 'case' && piece.opens === 'above';
  for (const [kind, corner] of Object.entries(CORNERS)) {
    const count = piece.joints.filter((joint) => joint.kind === kind).length;
    if (count > 0)
      then('corners', chest ? corner.ofChest : corner.ofCase, count * corner.hours, 0, corner.caution, shell);
  }
  const housed = piece.joints.filter(({ kind }) => kind === 'housing' || kind === 'sliding-dovetail');
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
  if (piece.build === 'case' && piece.pinRows.length > 0)
    then(
      'pins',
      'Bore the rows for shelf pins from one template, its end on the same end of every board',
      0.2 * piece.pinRows.length,
      0,
      'A stop on the bit. Mark the template’s upper end and its face: turned round, shelves lie askew.',
      [...new Set(piece.pinRows.map(({ wall }) => wall))].filter((id) => all.includes(id)),
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
    chest
      ? 'Glue the walls round the corners, dividers with them'
      : 'Glue the carcass: shelves and uprights into one side, the other side on, top and bottom',
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
  const feet = ids('foot');
  if (feet.length > 0)
    then('feet', 'Make the feet and screw each under its corner', 0.8, 0, 'Bore for every screw.', feet);
  const cleats = ids('cleat');
  if (cleats.length > 0)
    then(
      'cleats',
      'Screw the cleats on, fast in front and in slots behind',
      0.15 * cleats.length,
      0,
      'The slots run from front to back, their screws in the middle and snug, not tight.',
      cleats,
    );
  const rail = ids('wall-rail');
  if (rail.length > 0)
    then('rail', 'Fit the rail under the top and screw it to both sides', 0.5, 0, 'It carries all of it.', rail);
  const fitted = before;
  const finished = finishing({ document, piece, area, sanded: { name: 'the case', parts: all } }, fitted);
  operations.push(...finished.operations);
  before = finished.before;
  if (back.length > 0)
    then(
      'back',
      chest ? 'Screw the bottom into its rabbets' : 'Screw the back into its rabbets',
      0.5,
      0,
      'Solid boards each in their middle alone; nothing is glued but a sheet. Bore for every screw.',
      back,
    );
  const lid = ids('lid');
  if (lid.length > 0)
    then(
      'lid',
      'Screw the battens under the lid, fast in their middle; hang it on its hinges, fit the stay',
      1.5,
      0,
      'Hold the lid while its stay is set; what it holds is written on it by its maker.',
      [...lid, ...ids('batten')],
    );
  const scribes = ids('scribe');
  if (scribes.length > 0)
    then(
      'scribe',
      'Level the plinth on the floor, stand the case on it, plane the scribe strips to the walls',
      2,
      0,
      'Two people to stand it up. Find pipes and cables before anything is screwed to the wall.',
      scribes,
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
