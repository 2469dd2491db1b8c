import * as v from 'valibot';
import { name } from '../decision/fields';
import { id, LayoutChoiceSchema, PieceLayoutSchema } from '../document/job-document';
import { ONLY_PIECE, ofOnlyPiece } from '../document/version-1';
import type { Figure } from '../measure/figure';
import type { Unit } from '../measure/quantity';
import type { Board } from '../stock/board';
import type { Demand } from './demand';
import { writtenLayout } from './describe-layout';
import { clearOf, type Layout, type LayoutOptions, LayoutSchema, type LayoutWeights } from './layout';

/** What version 1 kept: the choices of the job and of its only piece in one. */
function choiceOfVersion2(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || !('leaveOut' in value)) return value;
  const moved = (value as { moved?: unknown }).moved;
  const named = Array.isArray(moved) ? { moved: moved.map((own) => ({ ...own, part: ofOnlyPiece(own?.part) })) } : {};
  return { job: { ...value, ...named }, pieces: { [ONLY_PIECE]: value } };
}

/** A layout put aside: what was asked for, and what was found. */
export const KeptLayoutSchema = v.object({
  name,
  choice: v.pipe(
    v.unknown(),
    v.transform(choiceOfVersion2),
    v.object({ job: LayoutChoiceSchema, pieces: v.record(id, PieceLayoutSchema) }),
  ),
  layout: LayoutSchema,
});
export type KeptLayout = v.InferOutput<typeof KeptLayoutSchema>;

/** What one layout has against another. */
export interface LayoutMerits {
  /** Its cost, in the shop's money. */
  counts: number;
  /** Price of the boards, less what goes back to the rack; the shop's money. */
  wood: number;
  boards: number;
  /** Finished ÷ consumed wood. */
  yield: number;
  /** Useful pieces that go back to the rack. */
  leftover: number;
  /** m² of them. */
  leftoverArea: number;
  /** The longest of them, mm. */
  longest: number;
  cuts: number;
  jointLines: number;
  /** Lots among the strips of the panels. */
  lots: number;
}

/**
 * What a layout comes to, counted by the weights given, so that layouts searched with different aims stand on one scale.
 */
export function meritsOf(
  demand: Demand,
  boards: readonly Board[],
  options: LayoutOptions,
  layout: Layout,
  weights: LayoutWeights,
): LayoutMerits {
  const { cost, yield: share, cuts, offcuts, strips } = writtenLayout(demand, boards, { ...options, weights }, layout);
  const lots = new Set(strips.map((strip) => boards.find((board) => board.id === strip.board)?.lot));
  const panels = new Set(strips.map((strip) => strip.panel));
  return {
    counts: cost.total,
    wood: cost.wood + cost.offcuts,
    boards: layout.boards.length,
    yield: share,
    leftover: offcuts.length,
    leftoverArea: offcuts.reduce((sum, offcut) => sum + clearOf(offcut), 0) * 1e-6,
    longest: Math.max(0, ...offcuts.map((o) => o.length)),
    cuts,
    jointLines: strips.length - panels.size,
    lots: lots.size,
  };
}

/** Of each merit, whether more of it is better; null where that cannot be said. */
export const MORE_IS_BETTER: Readonly<Record<keyof LayoutMerits, boolean | null>> = {
  counts: false,
  wood: false,
  boards: false,
  yield: true,
  leftover: null,
  leftoverArea: true,
  longest: true,
  cuts: false,
  jointLines: false,
  lots: false,
};

const MERITS: Readonly<
  Record<keyof LayoutMerits, { label: string; unit: Unit; formula: string; from: readonly (keyof LayoutMerits)[] }>
> = {
  counts: {
    label: 'Cost, weighted',
    unit: 'ratio',
    formula: 'boards − offcuts · their worth + fetching, cuts, joint lines and mismatch, all at the weights of now',
    from: ['wood', 'boards', 'cuts', 'jointLines', 'lots'],
  },
  wood: {
    label: 'Wood, less what goes back',
    unit: 'ratio',
    formula: 'price of the boards − worth of useful offcuts',
    from: ['boards', 'leftover'],
  },
  boards: { label: 'Boards to open', unit: 'count', formula: 'boards that give anything', from: [] },
  yield: {
    label: 'Becomes the piece',
    unit: 'percent',
    formula: 'finished volume ÷ (boards − offcuts back to the rack)',
    from: ['boards', 'leftover'],
  },
  leftover: {
    label: 'Pieces back to the rack',
    unit: 'count',
    formula: 'clear rectangles at least as large as the shop calls useful',
    from: [],
  },
  leftoverArea: {
    label: 'Their faces together',
    unit: 'square-metre',
    formula: 'Σ length · width of them',
    from: ['leftover'],
  },
  longest: { label: 'The longest of them', unit: 'mm', formula: 'the greatest length among them', from: ['leftover'] },
  cuts: {
    label: 'Saw cuts',
    unit: 'count',
    formula: 'cuts of every board in their order, end trims with them',
    from: ['boards'],
  },
  jointLines: { label: 'Joint lines in the top', unit: 'count', formula: 'strips − panels', from: [] },
  lots: { label: 'Lots in the top', unit: 'count', formula: 'different logs among its strips', from: ['jointLines'] },
};

/** A merit of a layout with what it comes from. */
export function meritFigure(key: keyof LayoutMerits, merits: LayoutMerits, currency: string): Figure {
  const { label, formula, from } = MERITS[key];
  const quantityOf = (own: keyof LayoutMerits) => ({
    amount: merits[own] * (MERITS[own].unit === 'percent' ? 100 : 1),
    unit: MERITS[own].unit,
  });
  const money = key === 'counts' || key === 'wood';
  return {
    id: `merit-${key}`,
    label,
    quantity: quantityOf(key),
    formula,
    inputs: [
      ...(money ? [{ label: 'In', quantity: currency }] : []),
      ...from.map((own) => ({ label: MERITS[own].label, quantity: quantityOf(own) })),
    ],
    source: 'the layout; prices of the boards, else of the shop, and minutes of the aim at the shop’s hour',
  };
}
