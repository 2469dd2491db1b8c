import * as v from 'valibot';
import { length, whole } from '../../../decision/fields';
import { type FormField, noneOr } from '../../../decision/form-field';
import type { DesignedStrip } from '../../part';
import type { TopSize } from '../../plans';
import { atFigure, type Unbuildable, upTo } from '../../unbuildable';
import { within } from '../round-figure';

/** Strips of two woods in one panel, all of one width, and perhaps a block of a third at one of its corners. */
export const StripesSchema = v.object({
  strips: whole(2, 60),
  pattern: v.picklist(['alternate', 'centre', 'edges']),
  /** Strips of the other wood in the middle, or at each edge; not used where they alternate. */
  many: whole(1, 30),
  /** In the place of the ends of so many strips, its grain the way of theirs; null for none. */
  block: v.nullable(
    v.object({
      end: v.picklist(['left', 'right']),
      edge: v.picklist(['front', 'back']),
      strips: whole(1, 30),
      /** Along the table. */
      length: length(40, 3000),
    }),
  ),
});

export type Stripes = v.InferOutput<typeof StripesSchema>;

/** A strip narrower than this is veneer to the jointer, and one wider than that cups; mm, common practice. */
const LEAST_STRIP = 15;
const GREATEST_STRIP = 160;
/** What stays at least of the strips that end at a block, mm; common practice. */
const LEAST_BESIDE_BLOCK = 150;

/** Whether a strip is of the other wood, counted from the front. */
function isOther({ pattern, strips, many }: Stripes, i: number): boolean {
  switch (pattern) {
    case 'alternate':
      return i % 2 === 1;
    case 'centre':
      return Math.abs(i - (strips - 1) / 2) < many / 2;
    case 'edges':
      return i < many || i >= strips - many;
  }
}

/** The strips of a panel from its front edge to its back one, those of the block last. mm */
export function designedStrips(stripes: Stripes, size: TopSize): DesignedStrip[] {
  const { strips, block } = stripes;
  const width = size.width / strips;
  const blocked = block ? Math.min(block.strips, strips) : 0;
  const long = block ? within(block.length, 1, size.length - 1) : 0;
  const first = block?.edge === 'back' ? strips - blocked : 0;
  const own = Array.from({ length: strips }, (_, i): DesignedStrip => {
    const short = block !== null && i >= first && i < first + blocked;
    return {
      id: `s${i + 1}`,
      name: `strip ${i + 1} of ${strips}`,
      of: isOther(stripes, i) ? 'stripes' : null,
      length: short ? size.length - long : size.length,
      width,
      from: short && block?.end === 'left' ? long : 0,
      low: i * width,
      edges: (i === 0 ? 1 : 0) + (i === strips - 1 ? 1 : 0),
    };
  });
  if (!block) return own;
  const wide = blocked * width;
  const pieces = Math.max(1, Math.ceil(wide / GREATEST_STRIP));
  return [
    ...own,
    ...Array.from(
      { length: pieces },
      (_, i): DesignedStrip => ({
        id: `b${i + 1}`,
        name: pieces > 1 ? `block ${i + 1} of ${pieces}` : 'block',
        of: 'block',
        length: long,
        width: wide / pieces,
        from: block.end === 'left' ? 0 : size.length - long,
        low: first * width + (i * wide) / pieces,
        edges: first === 0 && i === 0 ? 1 : first > 0 && i === pieces - 1 ? 1 : 0,
      }),
    ),
  ];
}

/** What of stripes cannot be built. */
export function stripesProblems(stripes: Stripes, size: TopSize): Unbuildable[] {
  const problems: Unbuildable[] = [];
  const width = size.width / stripes.strips;
  if (width < LEAST_STRIP) {
    problems.push({
      problem: 'The strips are too narrow to be jointed.',
      where: 'form.top.stripes.strips',
      wayOut: `Take at most ${Math.floor(size.width / LEAST_STRIP)} strips.`,
      mends: Math.max(2, Math.floor(size.width / LEAST_STRIP)),
    });
  }
  if (width > GREATEST_STRIP) {
    problems.push({
      problem: 'Strips so wide cup, and boards so wide are rare.',
      where: 'form.top.stripes.strips',
      wayOut: `Take at least ${Math.ceil(size.width / GREATEST_STRIP)} strips.`,
      mends: Math.ceil(size.width / GREATEST_STRIP),
    });
  }
  const { block } = stripes;
  if (block && block.length > size.length - LEAST_BESIDE_BLOCK) {
    problems.push({
      problem: 'Beside the block too little is left of its strips.',
      where: 'form.top.stripes.block.length',
      ...upTo(40, 'Make the block at most', size.length - LEAST_BESIDE_BLOCK, 'Leave the block away.', ' long.'),
    });
  }
  if (block && block.strips > stripes.strips) {
    problems.push({
      problem: 'The block is wider than the top.',
      where: 'form.top.stripes.block.strips',
      ...atFigure('Take the place of at most', stripes.strips, ' strips.'),
    });
  }
  return problems;
}

interface Striped {
  length: number;
  width: number;
  stripes: Stripes | null;
}

/** How stripes are asked; of what wood they are is asked with the woods. */
export const STRIPES_FIELDS: readonly FormField<Striped>[] = [
  {
    at: 'stripes',
    label: 'Strips',
    ...noneOr<Striped, Stripes | null>(
      ({ stripes }) => stripes,
      {
        none: 'As the boards give',
        some: 'Designed',
        reason: 'All of one width, some of another wood: which wood is chosen under “Parts of another wood”.',
      },
      ({ width }) => ({
        strips: Math.max(2, 2 * Math.round(width / 120) + 1),
        pattern: 'alternate',
        many: 1,
        block: null,
      }),
    ),
  },
  { ask: 'figure', at: 'stripes.strips', label: 'Strips in the width' },
  { ask: 'nothing', figure: 'strip-width', label: 'Each strip, wide' },
  {
    ask: 'choice',
    at: 'stripes.pattern',
    label: 'Of the other wood',
    options: [
      { value: 'alternate', label: 'Every second' },
      { value: 'centre', label: 'In the middle' },
      { value: 'edges', label: 'At the edges' },
    ],
    when: ({ stripes }) => stripes !== null,
  },
  {
    ask: 'figure',
    at: 'stripes.many',
    label: 'So many of them',
    when: ({ stripes }) => stripes !== null && stripes.pattern !== 'alternate',
  },
  {
    at: 'stripes.block',
    label: 'Block in a corner of the top',
    when: ({ stripes }) => stripes !== null,
    ...noneOr<Striped, Stripes['block']>(
      ({ stripes }) => stripes?.block ?? null,
      {
        none: 'None',
        some: 'One',
        reason: 'It takes the place of the ends of some strips, its grain the way of theirs.',
      },
      ({ length: long, stripes }) => ({
        end: 'right',
        edge: 'front',
        strips: Math.max(1, Math.round((stripes?.strips ?? 3) / 3)),
        length: Math.round(long / 60) * 10,
      }),
    ),
  },
  {
    ask: 'choice',
    at: 'stripes.block.end',
    label: 'Block at the',
    options: [
      { value: 'left', label: 'Left end' },
      { value: 'right', label: 'Right end' },
    ],
    when: ({ stripes }) => Boolean(stripes?.block),
  },
  {
    ask: 'choice',
    at: 'stripes.block.edge',
    label: 'Along the',
    options: [
      { value: 'front', label: 'Front edge' },
      { value: 'back', label: 'Back edge' },
    ],
    when: ({ stripes }) => Boolean(stripes?.block),
  },
  { ask: 'figure', at: 'stripes.block.strips', label: 'Block, so many strips wide' },
  { ask: 'figure', at: 'stripes.block.length', label: 'Block, along the table' },
];
