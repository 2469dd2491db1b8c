import type { BaseKind, Change, Form, TopKind } from '../decision/job-document';
import { boltsFor } from '../joint/draw-bolts';
import { THROUGH_STEEL } from '../piece/table/bases/frames/steel';

type Top = Form['top'];
type Base = Form['base'];

const to5 = (mm: number) => Math.round(mm / 5) * 5;
const within = (mm: number, least: number, most: number) => Math.min(most, Math.max(least, mm));

/** A top of another kind in the sizes of the one that was there; what is its own is a sound beginning (common practice). */
export function startTop(kind: TopKind, from: Top): Top {
  const { length, width, thickness, endOverhang, sideOverhang } = from;
  const sizes = { length, width, thickness, endOverhang, sideOverhang };
  const cutOuts = 'cutOuts' in from ? from.cutOuts : [];
  switch (kind) {
    case 'glued-panel':
      return { kind, ...sizes, outline: { kind: 'rectangle' }, edge: { kind: 'square' }, cutOuts, lift: null };
    case 'breadboard':
      return {
        kind,
        ...sizes,
        end: {
          width: within(to5(length / 20), 70, 120),
          tongue: 'tenons',
          tenons: within(Math.round(width / 250) + 1, 3, 9),
          depth: null,
          pegs: 'draw-bored',
          proud: 3,
          shape: { kind: 'straight' },
        },
        cutOuts,
      };
    case 'halves':
      return { kind, ...sizes, bolts: boltsFor(length) };
    case 'pieced':
      return { kind, ...sizes, seams: 1, stripe: 80, seam: 'tenons' };
    case 'framed':
      return {
        kind,
        ...sizes,
        border: within(to5(width / 9), 60, 110),
        panel: 'floating',
        panelThickness: Math.max(12, Math.round(thickness * 0.75)),
        tongue: 16,
        room: 6,
      };
    case 'extending':
      return {
        kind,
        ...sizes,
        leaves: 1,
        leaf: within(to5(length / 4), 200, 500),
        slides: { height: 40, thickness: 25, overlap: 250 },
        stored: 'elsewhere',
      };
    case 'channel': {
      // A channel of about a quarter of the width, wandering a little.
      const own = (share: number) => to5((width / 2) * share);
      return {
        kind,
        ...sizes,
        slabs: {
          front: [0.78, 0.7, 0.74, 0.8, 0.72].map(own),
          back: [0.7, 0.76, 0.72, 0.68, 0.76].map(own),
        },
        fill: { kind: 'glass', thickness: 8, bearing: 15, room: 4 },
      };
    }
    case 'slatted': {
      const gap = 6;
      return {
        kind,
        ...sizes,
        slats: Math.max(2, Math.round((width + gap) / 96)),
        gap,
        edge: { kind: 'rounded', radius: 4 },
      };
    }
  }
}

/** A base of another kind under a top, as high as the one that was there (common practice). */
export function startBase(kind: BaseKind, top: Top, height: number): Base {
  const large = top.length > 1300;
  const width = top.width;
  switch (kind) {
    case 'leg-apron':
      return {
        kind,
        height,
        leg: {
          section: large ? 65 : 55,
          taper: { kind: 'tapered', foot: large ? 42 : 34, faces: 'inside', hollow: 0 },
          making: { kind: 'solid' },
          splay: { ends: 0, sides: 0 },
          through: null,
        },
        apron: { height: large ? 90 : 75, thickness: 22, reveal: 5, arch: 0 },
        crossRails: large ? 1 : 0,
        railJoint: 'stub',
        midLegs: 0,
        cornerBlocks: false,
        stretchers: { kind: 'none' },
      };
    case 'trestle':
      return {
        kind,
        height,
        foot: { height: 70, thickness: 60, hollow: 0, staves: 1 },
        pads: 8,
        post: { width: large ? 110 : 90, thickness: 50, staves: 1 },
        bearer: { height: 60, thickness: 60, shorter: 20 },
        tenons: 2,
        stretcher: {
          height: large ? 100 : 80,
          thickness: 40,
          at: to5(height * 0.36),
          joint: 'wedged',
          proud: 4,
          arch: 0,
        },
        buttresses: null,
        braces: null,
      };
    case 'post-brace': {
      const section = large ? 110 : 90;
      const wide = width - 2 * top.sideOverhang;
      return {
        kind,
        height,
        foot: { height: 90, thickness: section + 30, staves: 3 },
        post: { section, staves: 3 },
        bearer: { height: 80, thickness: to5(section * 0.6), shorter: 20 },
        rails: { width: 90, thickness: 40, apart: to5(within(wide * 0.62, section + 140, wide - 150)) },
        braces: { width: 60, thickness: 42, way: 'across', reach: to5(within(wide * 0.18, 80, 180)) },
        stringer: {
          height: large ? 140 : 110,
          thickness: large ? 55 : 45,
          at: to5(height * 0.42),
          hold: 'wedge',
        },
      };
    }
    case 'x-frame':
      return {
        kind,
        height,
        leg: { width: 70, thickness: 45 },
        spread: { floor: to5(within(width - 100, 300, 900)), head: to5(within(width - 220, 260, 800)) },
        bearer: { height: 50, thickness: 55 },
        stretcher: { height: 70, thickness: 30 },
      };
    case 'splayed':
      return {
        kind,
        height,
        legs: Math.min(top.length, width) > 800 ? 4 : 3,
        leg: { width: 55, thickness: 42 },
        lean: 8,
        reach: to5(within(Math.min(top.length, width) * 0.36, 150, 900)),
        arm: { height: 55, thickness: 36 },
        joint: 'bridle',
      };
    case 'box':
      return {
        kind,
        height: Math.min(height, 450),
        key: 'spline',
        rail: top.length > 700 ? { height: 70, thickness: 24, at: 200 } : null,
      };
    case 'steel':
      return {
        kind,
        height,
        shape: 'frames',
        tube: { width: 50, wall: 2 },
        plate: { length: 100, width: 100, thickness: 5 },
        insert: 12,
        weight: 8,
      };
  }
}

/** Bases that carry the top on two frames across it. */
const ON_FRAMES: readonly BaseKind[] = ['trestle', 'post-brace', 'x-frame', 'steel'];

/**
 * What changes when another base is put under a top: feet that stand on lines of their own come farther in from the
 * ends, so that the top has less to span.
 */
export function startBaseChanges(kind: BaseKind, form: Form): Change[] {
  const { top, base } = form;
  const framed = ON_FRAMES.includes(kind);
  const was = ON_FRAMES.includes(base.kind);
  const ends = framed ? Math.round(top.length / 60) * 10 : top.length > 1300 ? 60 : 30;
  if (kind === 'box') {
    return [
      { path: 'form.base', value: startBase(kind, top, base.height) },
      { path: 'form.top', value: { ...startTop('glued-panel', top), endOverhang: 0, sideOverhang: 0 } },
    ];
  }
  return [
    { path: 'form.base', value: startBase(kind, top, base.height) },
    ...holdChanges(kind, form),
    ...(framed !== was && kind !== 'splayed' ? [{ path: 'form.top.endOverhang', value: ends }] : []),
  ];
}

/** Steel is bolted on; a rail of wood takes the rest. */
function holdChanges(kind: BaseKind, { hold, top }: Form): Change[] {
  if (kind === 'steel' && !THROUGH_STEEL.includes(hold.kind)) {
    const insert = within(Math.floor((top.thickness - 8) / 5) * 5, 5, 30);
    return [
      {
        path: 'form.hold',
        value: { kind: 'inserts', travel: Math.max(8, hold.travel), inward: null, screwLength: insert },
      },
    ];
  }
  return kind !== 'steel' && hold.kind === 'inserts' ? [{ path: 'form.hold.kind', value: 'buttons' }] : [];
}

/** What a kind of top or base is called, and why it is taken. */
export const TOPS: Readonly<Record<TopKind, { name: string; reason: string }>> = {
  'glued-panel': { name: 'Glued panel', reason: 'Strips glued edge to edge; moves across as one.' },
  breadboard: {
    name: 'Panel with breadboard ends',
    reason: 'An end across the grain keeps a wide panel flat and lets it move.',
  },
  halves: {
    name: 'Two halves bolted together',
    reason: 'Each half is turned, carried and brought through the door by itself; bolts below draw them together.',
  },
  pieced: {
    name: 'Fields with stripes',
    reason: 'Short boards make a long top: fields end to end, a stripe across the grain between them or none.',
  },
  framed: {
    name: 'Panel in a mitred frame',
    reason: 'Long grain all round; the panel must be free in it, or of a core that does not move.',
  },
  extending: {
    name: 'Two halves with leaves',
    reason: 'Drawn apart on slides under the top, leaves laid between; the base stays where it stands.',
  },
  channel: {
    name: 'Two slabs with a channel',
    reason:
      'Live edges face each other over glass or resin: each slab moves by itself under glass, both as one in resin.',
  },
  slatted: { name: 'Slats with gaps', reason: 'Each slat moves by itself and the gaps take it up: for outdoors.' },
};
export const BASES: Readonly<Record<BaseKind, { name: string; reason: string }>> = {
  'leg-apron': { name: 'Legs and aprons', reason: 'Four legs framed by aprons: stiff, and light to carry.' },
  trestle: {
    name: 'Trestle',
    reason: 'A post on a foot at each end and a stretcher between: free for legs, comes apart.',
  },
  'post-brace': {
    name: 'Posts and braces',
    reason: 'Square posts, braces at 45° and dovetailed rails: heavy, and held without glue.',
  },
  'x-frame': { name: 'Crossed legs', reason: 'Two X frames and a stretcher: stiff across, room for feet at the ends.' },
  steel: { name: 'Bought-in steel', reason: 'Legs or frames of steel tube, bolted under the top through slots.' },
  box: {
    name: 'Sides mitred to the top',
    reason: 'A bench or a stool folded out of one board, its grain running round the corners.',
  },
  splayed: { name: 'Splayed legs', reason: 'Three or more legs leaning out from arms that meet: three always stand.' },
};
