import * as v from 'valibot';
import { length } from '../../../decision/fields';
import type { Cut, Joint } from '../../../joint/joint';
import { glued } from '../../../restraint/tie';
import { box } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import type { Vec } from '../../../solid/vector';
import type { Draft } from '../../part';
import type { BackKind, Shell } from '../kind';
import { END_PLAY, groovesOf, heldAtEnd, looseAtSide } from '../loose-panel';
import { SHELL } from '../shell';

const schema = v.object({
  kind: v.literal('grooved'),
  made: v.picklist(['solid', 'sheet']),
  thickness: length(3, 20),
  /** Into the grooves, and how far behind it the boards run on. */
  tongue: length(3, 20),
  inset: length(0, 60),
  /** Free at each side on the day it is made, where it is solid. */
  room: length(0, 12),
});

/** Let into grooves round the inside while the carcass is put together: no rabbet, no screw, nothing of its edges is seen. */
export const grooved: BackKind<typeof schema> = {
  name: 'A panel in grooves',
  reason: 'Put in while the carcass is glued, and never taken out: nothing of its edges is seen, inside or out.',
  schema,
  fields: [
    {
      ask: 'choice',
      at: 'made',
      label: 'It is',
      options: [
        { value: 'solid', label: 'Solid', reason: 'Loose in its grooves: its whole breadth moves at its two sides.' },
        { value: 'sheet', label: 'A sheet', reason: 'Glued in all round: it hardly moves, and stiffens the case.' },
      ],
    },
    { ask: 'figure', at: 'thickness', label: 'Back, thick' },
    { ask: 'figure', at: 'tongue', label: 'Into the grooves' },
    { ask: 'figure', at: 'inset', label: 'Behind it' },
    { ask: 'figure', at: 'room', label: 'Room at each side', when: ({ made }) => made === 'solid' },
  ],
  start: ({ width }) => ({
    kind: 'grooved',
    ...(width > WIDE
      ? { made: 'sheet' as const, thickness: 6, tongue: 7 }
      : { made: 'solid' as const, thickness: 8, tongue: 10 }),
    ...{ inset: 10, room: 4 },
  }),
  depth: ({ thickness, inset }) => thickness + inset,
  plan(own, shell) {
    const { thickness, tongue, made } = own;
    const { draft, place } = panelOf(own, shell);
    const { half, low, high, front, back } = place;
    const solid = made === 'solid';
    const joints = (['left', 'right', 'top', 'bottom'] as const).map((at): Joint => {
      const into = SHELL[at];
      const level = at === 'top' || at === 'bottom';
      const between = {
        ...{ id: `${into}/back`, name: `Back in ${level ? at : `${at} side`}`, a: into, b: 'back' },
        at: {
          x: at === 'left' ? -half : at === 'right' ? half : 0,
          y: front,
          z: at === 'top' ? high : at === 'bottom' ? low : (low + high) / 2,
        },
      };
      const { id, name } = between;
      return {
        ...{ id, name, kind: 'panel-groove', into, from: 'back', added: [] },
        removed: [grooveIn(at, { half, low, high, tongue, front, back })],
        ties: solid
          ? level
            ? heldAtEnd(between, 'z')
            : looseAtSide(between, { axis: 'x', way: at === 'right' ? 1 : -1 }, own, 'form.back')
          : level
            ? glued(between, { x: 2 * half })
            : glued(between, { z: high - low }),
      };
    });
    const thick = Math.min(shell.sides, shell.across);
    const problems = groovesOf({ tongue, room: solid ? own.room : null }, thick, 'the back', 'form.back');
    return {
      ...{ drafts: [draft], joints, problems },
      fittings: solid
        ? []
        : [{ name: 'Sheet, cut to size', count: 1, size: [draft.size.length, draft.size.width, thickness] }],
    };
  },
};

/** A wider solid panel moves more than a groove can take, mm; common practice. */
const WIDE = 420;

interface GroovePlace {
  /** Clear inside: half of its width, from the bottom's face up to the top's. */
  half: number;
  low: number;
  high: number;
  tongue: number;
  front: number;
  back: number;
}

function panelOf(
  { made, thickness, tongue, inset, room }: v.InferOutput<typeof schema>,
  { width, depth, sides, across, under, over, recess }: Shell,
): { draft: Draft; place: GroovePlace } {
  const back = depth / 2 - recess - inset;
  const place = {
    half: width / 2 - sides,
    low: under + across,
    high: over - across,
    tongue,
    front: back - thickness,
    back,
  };
  const { half, low, high, front } = place;
  const solid = made === 'solid';
  const [beside, above] = solid ? [tongue - room, tongue - END_PLAY] : [tongue, tongue];
  // Its corners are cut off: grooves end where the boards meet.
  const strip = (from: number, to: number, up: number) => box([-up, from, -thickness / 2], [up, to, thickness / 2]);
  return {
    place,
    draft: {
      ...{ id: 'back', name: 'Back', kind: solid ? 'back-panel' : 'sheet', grade: 'one-face' },
      ...(solid ? {} : { material: 'sheet' as const }),
      size: { length: high - low + 2 * above, width: 2 * (half + beside), thickness },
      frame: squareFrame([0, (front + back) / 2, (low + high) / 2], { length: 'z', width: 'x', thickness: 'y' }),
      body: [
        strip(-half, half, (high - low) / 2 + above),
        ...(beside > 0
          ? [strip(-half - beside, -half, (high - low) / 2), strip(half, half + beside, (high - low) / 2)]
          : []),
      ],
    },
  };
}

function grooveIn(at: keyof typeof SHELL, { half, low, high, tongue, front, back }: GroovePlace): Cut {
  const cut = (from: Vec, to: Vec, inward: Vec): Cut => ({
    ...{ part: SHELL[at], what: 'groove', solid: box(from, to) },
    // Each ends in the groove of the board beside.
    open: [inward, ...(at === 'left' || at === 'right' ? UPRIGHT : LEVEL)],
  });
  switch (at) {
    case 'left':
      return cut([-half - tongue, front, low], [-half, back, high], [1, 0, 0]);
    case 'right':
      return cut([half, front, low], [half + tongue, back, high], [-1, 0, 0]);
    case 'top':
      return cut([-half, front, high], [half, back, high + tongue], [0, 0, -1]);
    case 'bottom':
      return cut([-half, front, low - tongue], [half, back, low], [0, 0, 1]);
  }
}

const UPRIGHT: readonly Vec[] = [
  [0, 0, 1],
  [0, 0, -1],
];
const LEVEL: readonly Vec[] = [
  [1, 0, 0],
  [-1, 0, 0],
];
