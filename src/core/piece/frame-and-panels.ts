import { asPoint, type Cut, type Joint } from '../joint/joint';
import { fixed, givingAcross, glued, inGroove } from '../restraint/tie';
import { box, type Convex } from '../solid/convex';
import { type AxisName, squareFrame } from '../solid/frame';
import type { Vec } from '../solid/vector';
import { type FrameDecided, STAYS_IN } from './frame-fields';
import type { Draft, PartKind } from './part';
import type { Unbuildable } from './unbuildable';

/** Position of an upright frame, its width along one axis of the piece. mm */
export interface FramePlace {
  /** Its parts' ids begin with it. */
  id: string;
  /** In their names: “the back”. */
  name: string;
  toward: 'x' | 'y';
  /** Along that axis, up, and through its thickness. */
  along: readonly [from: number, to: number];
  up: readonly [low: number, high: number];
  through: readonly [from: number, to: number];
  /** Cut off at its four outer corners: along and up. */
  corner?: { along: number; up: number };
  /** Its stiles where they are more than that: posts that run on and are thicker, rails of a frame that will lie. */
  stiles?: {
    kind: PartKind;
    left: Bar;
    right: Bar;
    up: readonly [low: number, high: number];
    through: readonly [from: number, to: number];
    /** No tenon goes deeper into them. */
    deepest: number;
  };
  /** What its outer rails are called, and what of their outer edges their tenons leave to others. */
  rails?: { first: string; last: string; clear: { first: number; last: number } };
  /** Where in the decisions it is. */
  path: string;
}

interface Bar {
  id: string;
  name: string;
}

export interface FramePlan {
  drafts: readonly Draft[];
  joints: readonly Joint[];
  problems: readonly Unbuildable[];
  stiles: { left: string; right: string };
  /** From below. */
  rails: readonly string[];
}

/** A tenon's length as a share of the stile, and its outer shoulder as a share of the rail; common practice. */
const TENON_SHARE = 0.6;
const SHOULDER_SHARE = 0.2;
/** A panel's ends have this play in their grooves, mm: rails come nearer as they swell. Common practice. */
const endPlay = ({ rail }: FrameDecided): number => Math.max(1, Math.floor(rail / 40));
/** mm */
const LEAST_PANEL = 30;

/** Positions of all that a frame has, and its own directions in the axes of the piece. mm */
interface Net {
  own: FrameDecided;
  place: FramePlace;
  /** Clear between the stiles, of a panel and of what is between two rails. */
  inner: readonly [from: number, to: number];
  wide: number;
  high: number;
  stiles: FramePlan['stiles'];
  /** From below. */
  rails: readonly string[];
  /** A point by its place along, its height and its place through the frame. */
  at: (along: number, z: number, through: number) => Vec;
  /** The same in the middle of the thickness. */
  point: (along: number, z: number) => Vec;
  /** A block between two such places, so thick to both sides of the middle. */
  solid: (along: readonly [number, number], up: readonly [number, number]) => Convex;
  side: (way: 1 | -1) => Vec;
  standing: { length: AxisName; width: AxisName; thickness: AxisName };
  lying: { length: AxisName; width: AxisName; thickness: AxisName };
  muntin: (row: number, i: number) => string;
}

function netOf(own: FrameDecided, place: FramePlace): Net {
  const { stile, rail, across, up, panelThickness } = own;
  const { id, toward } = place;
  const other = toward === 'x' ? 'y' : 'x';
  const [inner0, inner1] = [place.along[0] + stile, place.along[1] - stile];
  const [low, high] = place.up;
  const middle = (place.through[0] + place.through[1]) / 2;
  const half = panelThickness / 2;
  const at = (along: number, z: number, through: number): Vec =>
    toward === 'x' ? [along, through, z] : [through, along, z];
  const ordered = ([a, b]: readonly [number, number]) => [Math.min(a, b), Math.max(a, b)] as const;
  return {
    own,
    place,
    inner: [inner0, inner1],
    wide: (inner1 - inner0 - (across - 1) * stile) / across,
    high: (high - low - (up + 1) * rail) / up,
    stiles: {
      left: place.stiles?.left.id ?? `${id}-stile-left`,
      right: place.stiles?.right.id ?? `${id}-stile-right`,
    },
    rails: Array.from({ length: up + 1 }, (_, i) => `${id}-rail-${i + 1}`),
    at,
    point: (along, z) => at(along, z, middle),
    solid: (along, z) => {
      const [[u0, u1], [z0, z1]] = [ordered(along), ordered(z)];
      return box(at(u0, z0, middle - half), at(u1, z1, middle + half));
    },
    side: (way) => (toward === 'x' ? [way, 0, 0] : [0, way, 0]),
    standing: { length: 'z', width: toward, thickness: other },
    lying: { length: toward, width: 'z', thickness: other },
    muntin: (row, i) => `${id}-muntin-${row + 1}-${i + 1}`,
  };
}

const upward = (way: 1 | -1): Vec => [0, 0, way];
const WAYS = [-1, 1] as const;

/**
 * A frame of stiles and rails, mortised and tenoned, with muntins where panels stand beside one another. Panels float: their
 * grain upright, loose at their sides, held in the middle of their ends.
 */
export function frameAndPanels(own: FrameDecided, place: FramePlace): FramePlan {
  const net = netOf(own, place);
  const { wide, high, stiles, rails } = net;
  const barred = railsOf(net);
  // Panels that nothing is left of are not drawn.
  const rows = wide > 2 && high > 2 ? Array.from({ length: own.up }, (_, row) => row) : [];
  const muntins = rows.flatMap((row) => Array.from({ length: own.across - 1 }, (_, i) => muntinOf(net, row, i)));
  const panels = rows.flatMap((row) => Array.from({ length: own.across }, (_, column) => panelOf(net, row, column)));
  const filled = [...muntins, ...panels];
  return {
    drafts: [...stilesOf(net), ...barred.drafts, ...filled.map(({ draft }) => draft)],
    joints: [...barred.joints, ...filled.flatMap(({ joints }) => joints)],
    problems: problemsOf(own, { wide, high, path: place.path }),
    stiles,
    rails,
  };
}

function stilesOf({ own, place, stiles, inner, at, standing }: Net): Draft[] {
  const { corner, name } = place;
  const [low, high] = place.stiles?.up ?? place.up;
  const through = place.stiles?.through ?? place.through;
  const [middle, thickness] = [(through[0] + through[1]) / 2, through[1] - through[0]];
  const half = thickness / 2;
  return (['left', 'right'] as const).map((which): Draft => {
    const left = which === 'left';
    const [from, to] = left ? [place.along[0], inner[0]] : [inner[1], place.along[1]];
    const along = (from + to) / 2;
    const strip = (a: number, b: number, cut: number): Convex =>
      box([-(high - low) / 2 + cut, a - along, -half], [(high - low) / 2 - cut, b - along, half]);
    return {
      id: stiles[which],
      name: place.stiles?.[which].name ?? `Stile of ${name}, ${which}`,
      kind: place.stiles?.kind ?? 'stile',
      grade: place.stiles ? 'all-faces' : 'one-face',
      size: { length: high - low, width: own.stile, thickness },
      frame: squareFrame(at(along, (low + high) / 2, middle), standing),
      ...(corner && corner.along > 0
        ? {
            body: left
              ? [strip(from, from + corner.along, corner.up), strip(from + corner.along, to, 0)]
              : [strip(from, to - corner.along, 0), strip(to - corner.along, to, corner.up)],
          }
        : {}),
    };
  });
}

function railsOf(net: Net): { drafts: Draft[]; joints: Joint[] } {
  const { own, place, rails, inner, high, point, lying } = net;
  const { rail, stile, thickness, tongue, up } = own;
  const tenon = Math.min(Math.round(stile * TENON_SHARE), place.stiles?.deepest ?? stile);
  const shoulder = Math.round(rail * SHOULDER_SHARE);
  const list = rails.map((id, i) => {
    const low = place.up[0] + i * (rail + high);
    const [first, last] = [i === 0, i === up];
    const named = place.rails ?? { first: 'lower', last: 'upper', clear: { first: shoulder, last: shoulder } };
    const which = first ? named.first : last ? named.last : `middle${up > 2 ? ` ${i}` : ''}`;
    // The tenon keeps clear of the panels' grooves, and of the frame's outer edge.
    const from = low + (first ? named.clear.first : tongue);
    const to = Math.max(from + 1, low + rail - (last ? named.clear.last : tongue));
    const draft: Draft = {
      ...{ id, name: `Rail of ${place.name}, ${which}`, kind: 'rail', grade: 'one-face' },
      size: { length: inner[1] - inner[0] + 2 * tenon, width: rail, thickness },
      beyond: { start: tenon, end: tenon },
      frame: squareFrame(point((inner[0] + inner[1]) / 2, low + rail / 2), lying),
    };
    return { draft, joints: WAYS.map((way) => railInStile(net, { id, number: i + 1, from, to, tenon }, way)) };
  });
  return { drafts: list.map(({ draft }) => draft), joints: list.flatMap(({ joints }) => joints) };
}

function railInStile(
  { place, inner, stiles, solid, side, point }: Net,
  rail: { id: string; number: number; from: number; to: number; tenon: number },
  way: 1 | -1,
): Joint {
  const { id, number, from, to, tenon } = rail;
  const which = way < 0 ? 'left' : 'right';
  const into = stiles[which];
  const at = inner[way < 0 ? 0 : 1];
  const own = solid([at, at + way * tenon], [from, to]);
  const stile = place.stiles?.[which].name.toLowerCase() ?? `its ${which} stile`;
  const between = { id: `${into}/${id}`, name: `Rail ${number} of ${place.name} in ${stile}` };
  return {
    ...{ ...between, kind: 'frame-tenon', into, from: id, along: side(way) },
    removed: [{ part: into, what: 'mortise', solid: own, open: [side(way < 0 ? 1 : -1)] }],
    added: [{ part: id, solid: own }],
    ties: glued({ ...between, a: into, b: id, at: asPoint(point(at, (from + to) / 2)) }, { z: to - from }),
  };
}

function muntinOf(net: Net, row: number, i: number): { draft: Draft; joints: Joint[] } {
  const { own, place, rails, inner, wide, high, point, solid, standing } = net;
  const { rail, stile, thickness, tongue, across, up } = own;
  const id = net.muntin(row, i);
  const low = place.up[0] + rail + row * (high + rail);
  const from = inner[0] + (i + 1) * wide + i * stile;
  const stub = [from + tongue, Math.max(from + tongue + 1, from + stile - tongue)] as const;
  const number = across > 2 || up > 1 ? ` ${row * (across - 1) + i + 1}` : '';
  return {
    draft: {
      ...{ id, name: `Muntin of ${place.name}${number}`, kind: 'muntin', grade: 'one-face' },
      size: { length: high + 2 * tongue, width: stile, thickness },
      beyond: { start: tongue, end: tongue },
      frame: squareFrame(point(from + stile / 2, low + high / 2), standing),
    },
    joints: WAYS.map((way): Joint => {
      const into = rails[row + (way < 0 ? 0 : 1)] ?? '';
      const at = way < 0 ? low : low + high;
      const tenon = solid(stub, [at, at + way * tongue]);
      const between = { id: `${into}/${id}`, name: `Muntin of ${place.name} in its rail` };
      return {
        ...{ ...between, kind: 'frame-tenon', into, from: id, along: upward(way) },
        removed: [{ part: into, what: 'mortise', solid: tenon, open: [upward(way < 0 ? 1 : -1)] }],
        added: [{ part: id, solid: tenon }],
        // Its shoulders press on rails that swell across their grain: wood takes that up as it does in a glued joint so narrow.
        ties: glued(
          { ...between, a: into, b: id, at: asPoint(point(from + stile / 2, at)) },
          { [place.toward]: stub[1] - stub[0] },
        ).map((tie) => givingAcross(tie, 'z', rail)),
      };
    }),
  };
}

function panelOf(net: Net, row: number, column: number): { draft: Draft; joints: Joint[] } {
  const { own, place, inner, wide, high, point, standing } = net;
  const { stile, across, up, tongue, room, panelThickness } = own;
  const number = row * across + column + 1;
  const id = `${place.id}-panel-${number}`;
  const from = inner[0] + column * (wide + stile);
  const low = place.up[0] + own.rail + row * (high + own.rail);
  const opening: Opening = { id, number, row, column, along: [from, from + wide], up: [low, low + high] };
  return {
    draft: {
      ...{ id, name: `Panel of ${place.name}${across * up > 1 ? ` ${number}` : ''}`, kind: 'panel', grade: 'one-face' },
      size: {
        length: high + 2 * (tongue - endPlay(own)),
        width: wide + 2 * (tongue - room),
        thickness: panelThickness,
      },
      frame: squareFrame(point(from + wide / 2, low + high / 2), standing),
    },
    joints: [...WAYS.map((way) => besidePanel(net, opening, way)), ...WAYS.map((way) => overPanel(net, opening, way))],
  };
}

/** What a panel fills: clear between what is round it. */
interface Opening {
  id: string;
  number: number;
  row: number;
  column: number;
  along: readonly [from: number, to: number];
  up: readonly [low: number, high: number];
}

/** A panel's side in a stile or a muntin: loose, so that it grows into the groove and shrinks out of it. */
function besidePanel(net: Net, { id, number, row, column, along, up }: Opening, way: 1 | -1): Joint {
  const { own, place, stiles, rails, solid, side, point } = net;
  const { tongue, room, across } = own;
  const left = way < 0;
  const outer = left ? column === 0 : column === across - 1;
  const into = outer ? stiles[left ? 'left' : 'right'] : net.muntin(row, column - (left ? 1 : 0));
  const where = outer ? (place.stiles?.[left ? 'left' : 'right'].name.toLowerCase() ?? 'its stile') : 'its muntin';
  const edge = along[left ? 0 : 1];
  // Into a stile the panel's corners reach beyond the rail; beside a muntin they are in the rail itself.
  const beyond = outer ? tongue : 0;
  const between = {
    ...{ id: `${into}/${id}`, name: `Panel ${number} of ${place.name} in ${where}`, a: id, b: into },
    at: asPoint(point(edge, (up[0] + up[1]) / 2)),
  };
  const loose = inGroove(between, {
    ...{ axis: place.toward, deeper: way, gap: Math.max(0, room) },
    tongue: Math.max(0, tongue - room - STAYS_IN),
  });
  const cut: Cut = {
    part: into,
    what: 'groove',
    solid: solid([edge, edge + way * tongue], [up[0] - beyond, up[1] + beyond]),
    open: [side(left ? 1 : -1), ...(outer ? [] : [upward(1), upward(-1)])],
  };
  return {
    ...grooved(between, into, id, `Panel of ${place.name} in ${where}`, cut),
    ties: [
      {
        ...loose,
        sets: { path: `${place.path}.room`, ways: left ? 'plus' : 'minus', cover: `${place.path}.tongue` },
      },
    ],
    meets: outer ? [rails[row], rails[row + 1]].map((rail) => `${into}/${rail}`) : [],
  };
}

/** A panel's end in a rail, held in its middle. */
function overPanel(net: Net, { id, number, row, column, along, up }: Opening, way: 1 | -1): Joint {
  const { own, place, rails, solid, side, point } = net;
  const { tongue, across } = own;
  const into = rails[row + (way < 0 ? 0 : 1)] ?? '';
  const edge = up[way < 0 ? 0 : 1];
  const corner = { left: column === 0 ? 0 : tongue, right: column === across - 1 ? 0 : tongue };
  const between = {
    ...{ id: `${into}/${id}`, name: `Panel ${number} of ${place.name} in its rail`, a: id, b: into },
    at: asPoint(point((along[0] + along[1]) / 2, edge)),
  };
  const held = fixed(between, ['x', 'y']);
  const cut: Cut = {
    part: into,
    what: 'groove',
    solid: solid([along[0] - corner.left, along[1] + corner.right], [edge, edge + way * tongue]),
    open: [upward(way < 0 ? 1 : -1), side(1), side(-1)],
  };
  return {
    ...grooved(between, into, id, `Panel of ${place.name} in its rail`, cut),
    ties: [{ ...held, room: { ...held.room, z: { minus: endPlay(own), plus: endPlay(own) } } }],
    meets: Array.from({ length: across - 1 }, (_, i) => `${into}/${net.muntin(row, i)}`),
  };
}

/** A panel in a groove, which runs on into the mortises beside it. */
const grooved = (between: { id: string }, into: string, from: string, name: string, cut: Cut) => ({
  ...{ id: between.id, kind: 'panel-groove' as const, name, into, from },
  removed: [cut],
  added: [],
});

/** Frames that leave no panel, tongues that do not reach, grooves that cut their boards apart. */
function problemsOf(own: FrameDecided, at: { wide: number; high: number; path: string }): Unbuildable[] {
  const { thickness, stile, rail, across, up, panelThickness, tongue, room } = own;
  const { path } = at;
  const found: Unbuildable[] = [];
  if (at.wide < LEAST_PANEL)
    found.push({
      problem: 'Stiles and muntins leave no panel between them.',
      where: `${path}.across`,
      wayOut: 'Take fewer panels beside one another, or narrower stiles.',
      ...(across > 1 ? { mends: Math.max(1, Math.floor(across / 2)) } : {}),
    });
  if (at.high < LEAST_PANEL)
    found.push({
      problem: 'The rails leave no panel between them.',
      where: `${path}.up`,
      wayOut: 'Take fewer panels over one another, or narrower rails.',
      ...(up > 1 ? { mends: Math.max(1, Math.floor(up / 2)) } : {}),
    });
  if (panelThickness > thickness - 2 * LEAST_CHEEK)
    found.push({
      problem: 'Panels so thick leave their grooves no cheeks.',
      where: `${path}.panelThickness`,
      wayOut: 'Make them thinner, or the frame thicker.',
      mends: Math.max(4, Math.floor(thickness - 2 * LEAST_CHEEK)),
    });
  if (room > tongue - STAYS_IN)
    found.push({
      problem: 'With that much room at its sides a panel does not reach into its grooves.',
      where: `${path}.room`,
      wayOut: 'Leave less room, or let the panels in deeper.',
      mends: Math.max(0, Math.floor(tongue - STAYS_IN - 1)),
    });
  // Muntins, and rails between panels, are grooved at both edges.
  const [ofStile, ofRail] = [(stile * DEEPEST) / (across > 1 ? 2 : 1), (rail * DEEPEST) / (up > 1 ? 2 : 1)];
  const deepest = Math.min(ofStile, ofRail);
  if (tongue > deepest)
    found.push({
      problem: 'The grooves go so deep that they leave the frame no strength.',
      where: `${path}.tongue`,
      wayOut: 'Let the panels in less, or make stiles and rails wider.',
      mends: Math.max(4, Math.floor(deepest)),
    });
  return found;
}

/** Wood at both sides of a groove, mm; of a board, both of its grooves together take no more than this share. Common practice. */
const LEAST_CHEEK = 4;
const DEEPEST = 0.6;
