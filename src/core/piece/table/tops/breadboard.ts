import type { Bench, TopOf } from '../../../decision/job-document';
import {
  type BreadboardGiven,
  breadboard,
  breadboardPegs,
  LEAST_BEHIND_TONGUE,
  pegDiameter,
  pegPlaces,
  tongueDepth,
} from '../../../joint/breadboard';
import { squareFrame } from '../../../solid/frame';
import { type Outline, rectangleOutline } from '../../../solid/outline';
import { type Draft, forJoint } from '../../part';
import type { TopPlan, TopSize } from '../../piece';
import { measured } from '../../settle-locks';
import { atFigure, type Unbuildable } from '../../unbuildable';
import { cutOutsIn } from './cut-outs';

/** Short grain at the corner of a shaped end breaks off when less than this is left of its width, mm; common practice. */
const LEAST_AT_CORNER = 25;

const END_IDS = ['breadboard-left', 'breadboard-right'] as const;

/** Length and width over all: the panel between its ends, and the ends as wide as they are. */
export function breadboardSize(form: TopOf<'breadboard'>, bench: Bench): TopSize {
  const panel = measured(bench, ['top'], 'length');
  const depth = grownTongue(form);
  return {
    length: panel === undefined ? form.length : panel - 2 * depth + 2 * endWidthOf(form, bench),
    width: measured(bench, ['top'], 'width') ?? form.width,
    thickness: measured(bench, ['top'], 'thickness') ?? form.thickness,
  };
}

const endWidthOf = (form: TopOf<'breadboard'>, bench: Bench) => measured(bench, END_IDS, 'width') ?? form.end.width;
const depthOf = (form: TopOf<'breadboard'>) => form.end.depth ?? tongueDepth(form.end.width);
/** What the panel is longer at each end than it shows: nothing where the tenons are loose. */
const grownTongue = (form: TopOf<'breadboard'>) => (form.end.tongue === 'loose' ? 0 : depthOf(form));

/** A panel between two ends across it, which keep it flat and let it move. */
export function breadboardTop(form: TopOf<'breadboard'>, size: TopSize, underside: number, bench: Bench): TopPlan {
  const endWidth = endWidthOf(form, bench);
  const depth = depthOf(form);
  const grown = grownTongue(form);
  const between = Math.max(10, size.length - 2 * endWidth);
  const z = underside + size.thickness / 2;
  const panel: Draft = {
    id: 'top',
    name: 'Panel',
    kind: 'top',
    grade: 'one-face',
    size: { length: between + 2 * grown, width: size.width, thickness: size.thickness },
    beyond: { start: grown, end: grown },
    frame: squareFrame([0, 0, z], { length: 'x', width: 'y', thickness: 'z' }),
  };
  const ends = END_IDS.map((id, i): Draft => {
    const side = i === 0 ? -1 : 1;
    return {
      id,
      name: `Breadboard, ${i === 0 ? 'left' : 'right'}`,
      kind: 'breadboard',
      grade: 'one-face',
      size: { length: size.width + form.end.proud, width: endWidth, thickness: size.thickness },
      frame: squareFrame([(side * (between + endWidth)) / 2, 0, z], { length: 'y', width: 'x', thickness: 'z' }),
      ...shaped(form, size.width + form.end.proud, endWidth, side),
    };
  });
  const joints = ends.flatMap((end, i) => {
    const given: BreadboardGiven = {
      id: end.id,
      panel: forJoint(panel),
      end: forJoint(end),
      shoulder: ((i === 0 ? -1 : 1) * between) / 2,
      side: i === 0 ? -1 : 1,
      z,
      width: size.width,
      thickness: size.thickness,
      endWidth,
      tongue: form.end.tongue,
      tenons: form.end.tenons,
      depth,
      pegs: form.end.pegs,
    };
    const joint = breadboard(given);
    const held = breadboardPegs(given, joint);
    return held ? [joint, held] : [joint];
  });
  const pegs = 2 * pegPlaces({ width: size.width, tongue: form.end.tongue, tenons: form.end.tenons }).length;
  return {
    drafts: [panel, ...ends],
    joints,
    outline: outlineOf(form, size),
    size,
    leading: 'top',
    ...cutOutsIn('top', form.cutOuts, size, underside),
    fittings:
      form.end.pegs === 'none'
        ? []
        : [{ name: 'Pegs for the ends', count: pegs, size: [pegDiameter(size.thickness), size.thickness + 10] }],
    problems: impossible(form, size, endWidth, depth),
  };
}

/** How far the outer corners of an end stand back from its widest place. */
function setBack({ shape }: TopOf<'breadboard'>['end']): number {
  switch (shape.kind) {
    case 'straight':
      return 0;
    case 'curved':
      return shape.sagitta;
    case 'chamfered':
      return shape.corner;
  }
}

/** The face of an end in its own axes where its outer edge is not straight; outward is the way of `side`. */
function shaped(form: TopOf<'breadboard'>, long: number, wide: number, side: 1 | -1): { profile?: Outline } {
  const { shape } = form.end;
  const [l, w] = [long / 2, wide / 2];
  const back = Math.min(setBack(form.end), wide - 1, l - 1);
  if (shape.kind === 'straight') return {};
  const outward: Outline =
    shape.kind === 'curved'
      ? [{ at: [l, w - back], sagitta: back }, { at: [-l, w - back] }]
      : [{ at: [l, w - back] }, { at: [l - back, w] }, { at: [back - l, w] }, { at: [-l, w - back] }];
  const right: Outline = [{ at: [-l, -w] }, { at: [l, -w] }, ...outward];
  if (side > 0) return { profile: right };
  // Turned by half a circle about its middle.
  return { profile: right.map(({ at: [x, y], ...rest }) => ({ at: [-x, -y] as const, ...rest })) };
}

/** The whole top seen from above. */
function outlineOf(form: TopOf<'breadboard'>, size: TopSize): Outline {
  const { shape } = form.end;
  const [l, w] = [size.length / 2, size.width / 2];
  const back = Math.min(setBack(form.end), l - 1, w - 1);
  if (shape.kind === 'straight') return rectangleOutline(size.length, size.width);
  if (shape.kind === 'curved') {
    return [
      { at: [back - l, -w] },
      { at: [l - back, -w], sagitta: back },
      { at: [l - back, w] },
      { at: [back - l, w], sagitta: back },
    ];
  }
  return [
    { at: [back - l, -w] },
    { at: [l - back, -w] },
    { at: [l, back - w] },
    { at: [l, w - back] },
    { at: [l - back, w] },
    { at: [back - l, w] },
    { at: [-l, w - back] },
    { at: [-l, back - w] },
  ];
}

function impossible(form: TopOf<'breadboard'>, size: TopSize, endWidth: number, depth: number): Unbuildable[] {
  const problems: Unbuildable[] = [];
  // At its corners a shaped end is narrower than in its middle.
  const atCorner = endWidth - setBack(form.end);
  if (form.end.shape.kind !== 'straight' && atCorner < LEAST_AT_CORNER) {
    problems.push({
      problem: 'At its corners the shaped end runs out to too little wood.',
      where: `form.top.end.shape.${form.end.shape.kind === 'curved' ? 'sagitta' : 'corner'}`,
      ...atFigure(
        'Shape it by at most',
        Math.max(1, Math.floor(endWidth - LEAST_AT_CORNER)),
        ', or make the end wider.',
      ),
    });
  }
  if (depth > form.end.width - LEAST_BEHIND_TONGUE) {
    problems.push({
      problem: 'The tongue goes so deep that too little of the end is left behind it.',
      where: 'form.top.end.depth',
      wayOut: 'Make the tongue shorter or the end wider; half the end is usual.',
    });
  }
  if (2 * form.end.width + 100 > size.length) {
    problems.push({
      problem: 'The two ends leave no panel between them.',
      where: 'form.top.end.width',
      wayOut: 'Make the ends narrower or the top longer.',
    });
  }
  return problems;
}
