import { mm, movement, newton, say } from '../measure/quantity';
import { rootOf } from '../piece/case/inside/cells';
import { boardOrBar } from '../piece/case/shell';
import type { Part } from '../piece/part';
import { type CasePiece, findPart } from '../piece/piece';
import { GRAVITY, weightOf } from '../piece/weight';
import { startBackChanges, startStandChanges } from '../start/start-case';
import { loadInCase, shelvesIn } from './case-load';
import { frameOfCase, SHEET_SHEAR } from './case-racking';
import { type CaseContext, type Check, judge, softestOf } from './check';
import { type PlaneFrame, solveFrame } from './plane-frame';
import { CREEP, SAG_PER_SPAN, WATCHED } from './stiffness';

/** N, with what stands on its own shelves. */
function stoodOn(sum: number, { piece, document: { form }, season, species }: CaseContext['above'][number]): number {
  if (piece.build !== 'case' || form.build !== 'case') return sum;
  const { shelves, bottom } = loadInCase(piece, form);
  return sum + weightOf(piece.parts, species, season.glued.moisture) * GRAVITY + shelves + bottom;
}

/**
 * A case that stands at its ends alone and is divided by uprights, or lies on the rails of a frame of legs: what all of it sags
 * in its middle, in time. Its boards as a plane frame with stiff joints, what stands on its shelves on the lower ends of its
 * uprights; rails under it bend with its bottom, a sheet behind bears as a panel in shear, W·width ÷ 8·G·t·height. Where
 * nothing divides it the bottom is judged as a shelf, and a plinth is under all of it.
 */
export function caseBetweenItsEnds(context: CaseContext): Check[] {
  const { piece, document, species, season, above } = context;
  const { form } = document;
  const divided = rootOf(form.inside.cells).divided === 'uprights';
  if (piece.opens === 'above' || piece.hung || piece.stacked || form.stand.kind === 'plinth') return [];
  if (!divided && form.stand.kind !== 'leg-frame') return [];
  const boards = piece.parts.filter(({ kind }) => BOARDS.has(kind));
  const where = boards.map(({ id }) => id);
  const { modulusOfElasticity: modulus } = softestOf(context, where);
  const weight = weightOf(piece.parts, species, season.glued.moisture) * GRAVITY + above.reduce(stoodOn, 0);
  const { shelves: onShelves, bottom: onBottom } = loadInCase(piece, form);
  const once = sagOfFrame(piece, modulus, { weight: weight + onBottom });
  if (once === null) return [];
  const sheet = piece.parts.find(({ kind }) => kind === 'sheet');
  const whole = weight + onShelves + onBottom;
  const sheared = sheet ? (whole * form.width) / (8 * SHEET_SHEAR * sheet.size.thickness * sheet.size.length) : null;
  const value = CREEP * (sheared === null ? once : 1 / (1 / once + 1 / sheared));
  const limit = form.width * SAG_PER_SPAN;
  const thicker = Math.ceil(form.carcass.across * Math.cbrt(value / (WATCHED * limit)) + 1);
  const rails = form.stand.kind === 'leg-frame' ? form.stand.rail : null;
  const higher = rails && Math.ceil(rails.height * Math.cbrt(value / (WATCHED * limit)) + 5);
  return [
    {
      id: 'stiffness.case-sags',
      step: 'form',
      level: judge(value, limit, { sense: 'at-most', watchFrom: limit * WATCHED }),
      sentence: say`Standing at its ends with all that is in it, it sags, in time, ${movement(value)} in its middle; the eye accepts ${movement(limit)}.`,
      value: movement(value),
      limit: movement(limit),
      where,
      why: 'Doors and drawers bind in a case that hangs between its ends, and its joints open below.',
      school: '1.7 mm on a metre, as for shelves; common practice',
      figure: {
        id: 'stiffness.case-sags',
        label: 'Sag of the case in its middle, in time',
        quantity: movement(value),
        formula: `twice what its boards sag as a frame${sheet ? ', beside a sheet behind, W·width ÷ 8·G·t·height' : ''}`,
        inputs: [
          { label: 'Its weight', quantity: newton(weight) },
          { label: 'On its shelves and its bottom', quantity: newton(onShelves + onBottom) },
          { label: 'Between its ends', quantity: mm(form.width) },
          { label: 'Of its boards alone, at once', quantity: movement(once) },
        ],
        source: 'Direct stiffness of plane frames; a panel in shear (any textbook)',
        limits: 'Joints taken as stiff; boards behind, and panels that float, count for nothing.',
      },
      ...(form.back.kind === 'sheet'
        ? { wayOut: { say: say`Put a plinth under it`, changes: startStandChanges('plinth', form) } }
        : {
            wayOut: {
              say: say`Fix a sheet behind, all round`,
              changes: startBackChanges('sheet', form),
            },
          }),
      otherWaysOut: [
        {
          say: say`Make top and bottom ${mm(thicker)} thick`,
          changes: [{ path: 'form.carcass.across', value: thicker }],
        },
        ...(higher
          ? [
              {
                say: say`Make the rails ${mm(higher)} high`,
                changes: [{ path: 'form.stand.rail.height', value: higher }],
              },
            ]
          : []),
        { say: say`Put a plinth under it`, changes: startStandChanges('plinth', form) },
      ],
    },
  ];
}

const BOARDS: ReadonlySet<Part['kind']> = new Set([
  ...(['side', 'case-top', 'case-bottom', 'case-post', 'case-rail', 'upright', 'case-shelf'] as const),
]);

/** How far the lowest of a case's boards sinks between its ends at once, mm; null where its boards are no frame. */
export function sagOfFrame(piece: CasePiece, modulus: number, { weight }: { weight: number }): number | null {
  const made = frameOfCase(piece, modulus, 0);
  const bottom = boardOrBar(piece.parts, 'bottom');
  if (!made || !bottom) return null;
  const { nodes } = made.frame;
  const level = bottom.frame.at[2];
  const along = nodes
    .flatMap(([x, z], node) => (Math.abs(z - level) < 1 ? [{ node, x }] : []))
    .sort((a, b) => a.x - b.x);
  const [first, last] = [along[0], along.at(-1)];
  if (!first || !last || along.length < 2) return null;
  const nearest = (x: number) => along.reduce((a, b) => (Math.abs(b.x - x) < Math.abs(a.x - x) ? b : a)).node;
  const loads: PlaneFrame['loads'][number][] = [];
  // Half of a board's load is carried at each of its ends.
  for (const { part, span, load } of shelvesIn(piece)) {
    const x = findPart(piece, part)?.frame.at[0] ?? 0;
    const half = (load * span) / 2000;
    for (const end of [-1, 1]) loads.push({ node: nearest(x + (end * span) / 2), force: [0, -half] });
  }
  for (const [i, { node, x }] of along.entries()) {
    const share = ((along[i + 1]?.x ?? x) - (along[i - 1]?.x ?? x)) / 2 / (last.x - first.x);
    loads.push({ node, force: [0, -weight * share] });
  }
  const rails = piece.parts.filter(({ kind, frame }) => kind === 'stand-rail' && Math.abs(frame.length[0]) > 0.9);
  const ofRails = rails.reduce((sum, { size: { width, thickness } }) => sum + (thickness * width ** 3) / 12, 0);
  const members = made.frame.members.map((own) => {
    const [a, b] = [nodes[own.from], nodes[own.to]];
    const isBottom = a && b && Math.abs(a[1] - level) < 1 && Math.abs(b[1] - level) < 1;
    return isBottom ? { ...own, second: own.second + ofRails } : own;
  });
  const lowest = Math.min(...nodes.map(([, z]) => z));
  const feet = nodes.flatMap(([, z], i) => (z - lowest < 1 ? [i] : []));
  const held = lowest < level - 1 ? feet : [first.node, last.node];
  const moved = solveFrame({ nodes, members, held, loads });
  return moved && Math.max(...along.map(({ node }) => -(moved[node]?.[1] ?? 0)));
}
