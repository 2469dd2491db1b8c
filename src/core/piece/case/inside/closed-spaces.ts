import * as v from 'valibot';
import { length } from '../../../decision/fields';
import type { FormField } from '../../../decision/form-field';
import type { Joint } from '../../../joint/joint';
import { fixed, sliding, type Tie } from '../../../restraint/tie';
import { frameAndPanels } from '../../frame-and-panels';
import { frameEntries } from '../../frame-fields';
import type { Draft, Fitting } from '../../part';
import type { Unbuildable } from '../../unbuildable';
import { type Cell, nameOfCell } from './cells';
import type { PlacedCell } from './spaces';

/** What closes spaces for good: frames with floating panels, all of one make. */
export const ClosingSchema = v.object({
  thickness: frameEntries.thickness,
  stile: frameEntries.stile,
  rail: frameEntries.rail,
  panelThickness: frameEntries.panelThickness,
  tongue: frameEntries.tongue,
  room: frameEntries.room,
  /** Beside and over it, on the day it is made. */
  gap: length(0.5, 8),
  /** Behind the front edges. */
  inset: length(0, 100),
});
export type Closing = v.InferOutput<typeof ClosingSchema>;

/** mm; common practice. */
export const USUAL_CLOSING: Closing = {
  ...{ thickness: 18, stile: 55, rail: 55, panelThickness: 8, tongue: 15, room: 5 },
  ...{ gap: 2, inset: 0 },
};

interface Closed {
  inside: { cells: readonly Cell[]; closing: Closing };
}
const anyClosed = ({ inside: { cells } }: Closed): boolean => cells.some(({ closed }) => closed);

/** What is asked of it where a space is closed. */
export const CLOSING_FIELDS: readonly FormField<Closed>[] = (
  [
    ['thickness', 'Closing frames, thick'],
    ['stile', 'Their stiles, wide'],
    ['rail', 'Their rails, wide'],
    ['panelThickness', 'Their panels, thick'],
    ['tongue', 'Into the grooves of the frames'],
    ['room', 'Room at each side of their panels'],
    ['gap', 'Gap beside the frames'],
    ['inset', 'Behind the front edges'],
  ] as const
).map(([at, label]) => ({ ask: 'figure', at: `inside.closing.${at}`, label, when: anyClosed }));

/** Usual width and height of a panel, and the least opening of a frame. mm; common practice. */
const PANEL = { wide: 450, high: 800 };
const LEAST = 40;
/** Travel away from its gaps, mm. */
const DRAWS_BACK = 25;
/** Behind it a loose shelf begins, mm. */
const BEHIND = 2;

/** Where the boards of a closed space begin behind what closes it. mm */
export const behindClosing = ({ inset, thickness }: Closing): number => inset + thickness + BEHIND;

/**
 * A frame with panels in a space, fast to the board below it and free at its other edges.
 *
 * @param front where the front edges are, mm
 * @param lip what hangs under the board over it at its front edge, mm
 */
export function closeSpace(
  { cell, space }: PlacedCell,
  cells: readonly Cell[],
  own: Closing,
  { front, lip }: { front: number; lip: number },
): {
  drafts: readonly Draft[];
  joints: readonly Joint[];
  fittings: readonly Fitting[];
  problems: readonly Unbuildable[];
} {
  const { left, right, low, walls } = space;
  const high = space.high - (walls.above.startsWith('shelf') ? lip : 0);
  const { gap, thickness, stile, rail, panelThickness, tongue, room } = own;
  const [wide, tall] = [right - left - 2 * gap - 2 * stile, high - low - gap - 2 * rail];
  const words = nameOfCell(cells, cell.id).toLowerCase();
  if (wide < LEAST || tall < LEAST) {
    const at = wide < tall ? 'stile' : 'rail';
    const most = Math.floor(own[at] + (Math.min(wide, tall) - LEAST) / 2);
    return {
      ...{ drafts: [], joints: [], fittings: [] },
      problems: [
        {
          problem: `The frame that closes ${words} leaves no panel.`,
          where: `form.inside.closing.${at}`,
          wayOut: 'Make it narrower, or leave that space open.',
          ...(most >= 25 ? { mends: Math.min(most, USUAL_CLOSING[at]) } : {}),
        },
      ],
    };
  }
  const id = `closed-${cell.id}`;
  const [across, up] = [Math.max(1, Math.round(wide / PANEL.wide)), Math.max(1, Math.round(tall / PANEL.high))];
  const through = [front + own.inset, front + own.inset + thickness] as const;
  const plan = frameAndPanels(
    { thickness, stile, rail, across: Math.min(8, across), up: Math.min(8, up), panelThickness, tongue, room },
    {
      ...{ id, name: `the frame before ${words}`, toward: 'x', path: 'form.inside.closing' },
      ...{ along: [left + gap, right - gap], up: [low, high - gap], through },
    },
  );
  const [lower = '', upper = ''] = [plan.rails[0], plan.rails.at(-1)];
  const [x, y] = [(left + right) / 2, (through[0] + through[1]) / 2];
  const joint = (into: string, from: string, name: string, ties: readonly Tie[]): Joint => ({
    ...{ id: `${into}/${from}`, kind: 'screwed', name, into, from, removed: [], added: [], ties },
  });
  const between = (into: string, from: string, at: { x: number; z: number }) => ({
    ...{ id: `${into}/${from}`, name: `Frame before ${words}`, a: into, b: from },
    at: { x: at.x, y, z: at.z },
  });
  const free = (tie: ReturnType<typeof between>, axis: 'x' | 'z', ways: 'plus' | 'minus'): Tie => ({
    ...sliding(
      { ...tie, id: `${tie.id}-gap` },
      { [axis]: ways === 'plus' ? { plus: gap, minus: DRAWS_BACK } : { plus: DRAWS_BACK, minus: gap } },
    ),
    sets: { path: 'form.inside.closing.gap', ways },
  });
  const over = between(walls.above, upper, { x, z: high });
  const middle = (low + high) / 2;
  return {
    drafts: plan.drafts,
    joints: [
      ...plan.joints,
      joint(walls.below, lower, `Frame before ${words}, below`, [fixed(between(walls.below, lower, { x, z: low }))]),
      joint(walls.above, upper, `Frame before ${words}, above`, [
        fixed(over, ['y']),
        free(over, 'z', 'plus'),
        free(between(walls.left, plan.stiles.left, { x: left, z: middle }), 'x', 'minus'),
        free(between(walls.right, plan.stiles.right, { x: right, z: middle }), 'x', 'plus'),
      ]),
    ],
    fittings: [{ name: 'Screws for closing frames', count: 6, size: [3.5, 40] }],
    problems: plan.problems.filter(({ where }) => !/\.(across|up)$/.test(where)),
  };
}
