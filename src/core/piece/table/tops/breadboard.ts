import * as v from 'valibot';
import type { Bench } from '../../../decision/bench';
import { length, whole } from '../../../decision/fields';
import { optionsOf } from '../../../decision/form-field';
import { cutOuts, topEntries } from '../../../decision/top-shapes';
import {
  type BreadboardGiven,
  breadboard as breadboardJoint,
  breadboardPegs,
  LEAST_BEHIND_TONGUE,
  pegDiameter,
  pegPlaces,
  TONGUES,
  tongueDepth,
} from '../../../joint/breadboard';
import { squareFrame } from '../../../solid/frame';
import { type Outline, rectangleOutline } from '../../../solid/outline';
import { type Draft, forJoint } from '../../part';
import type { TopPlan, TopSize } from '../../plans';
import { measured } from '../../settle-locks';
import { atFigure, type Unbuildable } from '../../unbuildable';
import type { TopKind } from '../kind';
import { to5, within } from '../round-figure';
import { cutOutsIn } from './cut-outs';

const schema = v.object({
  kind: v.literal('breadboard'),
  ...topEntries,
  end: v.object({
    /** Of each end, along the table. */
    width: length(40, 300),
    tongue: v.picklist(['long', 'tenons', 'loose']),
    /** Tenons an end, the stub between them being short; not used with one long tongue. */
    tenons: whole(2, 9),
    /** Into the end; null lets the rule choose: half its width. */
    depth: v.nullable(length(10, 200)),
    pegs: v.picklist(['none', 'straight', 'draw-bored']),
    /** Longer than the top is wide on the day it is made, both sides together. */
    proud: length(0, 30),
    /** Its outer edge from above; its width is over all. */
    shape: v.optional(
      v.variant('kind', [
        v.object({ kind: v.literal('straight') }),
        v.object({ kind: v.literal('curved'), sagitta: length(1, 200) }),
        /** Both outer corners cut off at 45°. */
        v.object({ kind: v.literal('chamfered'), corner: length(1, 200) }),
      ]),
      { kind: 'straight' },
    ),
  }),
  cutOuts,
});
type Breadboard = v.InferOutput<typeof schema>;

/** Short grain at the corner of a shaped end breaks off when less than this is left of its width, mm; common practice. */
const LEAST_AT_CORNER = 25;

const END_IDS = ['breadboard-left', 'breadboard-right'] as const;

/** Length and width over all: the panel between its ends, and the ends as wide as they are. */
export function breadboardSize(form: Breadboard, bench: Bench): TopSize {
  const panel = measured(bench, ['top'], 'length');
  const depth = grownTongue(form);
  return {
    length: panel === undefined ? form.length : panel - 2 * depth + 2 * endWidthOf(form, bench),
    width: measured(bench, ['top'], 'width') ?? form.width,
    thickness: measured(bench, ['top'], 'thickness') ?? form.thickness,
  };
}

const endWidthOf = (form: Breadboard, bench: Bench) => measured(bench, END_IDS, 'width') ?? form.end.width;
const depthOf = (form: Breadboard) => form.end.depth ?? tongueDepth(form.end.width);
/** What the panel is longer at each end than it shows: nothing where the tenons are loose. */
const grownTongue = (form: Breadboard) => (form.end.tongue === 'loose' ? 0 : depthOf(form));

/** A panel between two ends across it, which keep it flat and let it move. */
export function breadboardTop(form: Breadboard, size: TopSize, underside: number, bench: Bench): TopPlan {
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
    const joint = breadboardJoint(given);
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
function setBack({ shape }: Breadboard['end']): number {
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
function shaped(form: Breadboard, long: number, wide: number, side: 1 | -1): { profile?: Outline } {
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
function outlineOf(form: Breadboard, size: TopSize): Outline {
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

function impossible(form: Breadboard, size: TopSize, endWidth: number, depth: number): Unbuildable[] {
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

export const breadboard: TopKind<typeof schema> = {
  name: 'Panel with breadboard ends',
  reason: 'An end across the grain keeps a wide panel flat and lets it move.',
  schema,
  fields: [
    { ask: 'figure', at: 'end.width', label: 'Each end, wide' },
    { ask: 'choice', at: 'end.tongue', label: 'Tongue', listed: true, options: optionsOf(TONGUES) },
    { ask: 'figure', at: 'end.tenons', label: 'Tenons an end', when: ({ end }) => end.tongue !== 'long' },
    {
      ask: 'figure',
      at: 'end.depth',
      label: 'Tongue, into the end',
      emptyMeans: 'by rule',
      hint: 'Empty: half the end’s width.',
    },
    {
      ask: 'choice',
      at: 'end.shape',
      label: 'Outer edge of the ends',
      options: [
        { value: 'straight', label: 'Straight' },
        { value: 'curved', label: 'Curved' },
        { value: 'chamfered', label: 'Corners off' },
      ],
      chosen: ({ end }) => end.shape.kind,
      start: (kind, { end }) => {
        const by = Math.round(end.width / 4);
        return kind === 'curved' ? { kind, sagitta: by } : kind === 'chamfered' ? { kind, corner: by } : { kind };
      },
    },
    {
      ask: 'figure',
      at: 'end.shape.sagitta',
      label: 'Bulges by',
      hint: 'The sagitta; the end’s width is measured over it.',
    },
    { ask: 'figure', at: 'end.shape.corner', label: 'Corners, off by' },
    {
      ask: 'choice',
      at: 'end.pegs',
      label: 'Pegs',
      options: [
        { value: 'none', label: 'None' },
        { value: 'straight', label: 'Straight' },
        {
          value: 'draw-bored',
          label: 'Draw-bored',
          reason: 'Holes in the tongue stand a little nearer to the shoulder, so that the peg pulls it home.',
        },
      ],
    },
    {
      ask: 'figure',
      at: 'end.proud',
      label: 'Ends longer by',
      hint: 'Than the panel is wide on the day it is made, both sides together: in summer the panel comes out to meet them.',
    },
    { ask: 'cut-outs', at: 'cutOuts', label: 'Cut-outs' },
  ],
  start: ({ length: long, width }) => ({
    end: {
      width: within(to5(long / 20), 70, 120),
      tongue: 'tenons',
      tenons: within(Math.round(width / 250) + 1, 3, 9),
      depth: null,
      pegs: 'draw-bored',
      proud: 3,
      shape: { kind: 'straight' },
    },
    cutOuts: [],
  }),
  size: breadboardSize,
  plan: breadboardTop,
};
