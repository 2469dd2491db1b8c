'use client';

import { boundsOf, type Change, type FigureField, type Problem, type Shop, ShopSchema, valueAt } from '@/core';
import { AskedFigure } from '@/ui/asked-figure';

type Asked = Omit<FigureField<Shop>, 'ask' | 'label'> & { label: string };

export const OFFCUTS: readonly Asked[] = [
  { at: 'usefulOffcut.length', label: 'At least, long' },
  { at: 'usefulOffcut.width', label: 'At least, wide' },
];

export const TOOLS: readonly Asked[] = [
  { at: 'tools.jointerWidth', label: 'Jointer, wide' },
  { at: 'tools.jointerLength', label: 'Jointer, makes straight' },
  { at: 'tools.planerWidth', label: 'Planer, wide' },
  { at: 'tools.planerShortest', label: 'Planer, shortest piece' },
  { at: 'tools.passDepth', label: 'One planing pass takes' },
  { at: 'tools.sawDepth', label: 'Saw, deep' },
  { at: 'tools.sawDepth45', label: 'Saw, deep at 45°' },
  { at: 'tools.crosscut', label: 'Saw, crosscuts' },
  { at: 'tools.kerf', label: 'Saw kerf' },
  { at: 'tools.resawHeight', label: 'Band saw, high', hint: 'How wide a board it resaws; 0 where there is none.' },
  { at: 'tools.resawKerf', label: 'Band saw kerf' },
  { at: 'tools.lift', label: 'One person lifts' },
  { at: 'space.bench.length', label: 'Bench, long' },
  { at: 'space.bench.width', label: 'Bench, wide' },
  { at: 'space.drying', label: 'Glue-ups that can lie at one time' },
];

export const ALLOWANCES: readonly Asked[] = [
  { at: 'allowances.endTrim', label: 'End trim, each end' },
  { at: 'allowances.partLength', label: 'Parts, over-long' },
  { at: 'allowances.partWidth', label: 'Parts, over-wide' },
  { at: 'allowances.panelLength', label: 'Panels, over-long' },
  { at: 'allowances.panelWidth', label: 'Panels, over-wide' },
  { at: 'allowances.stripJointing', label: 'Jointing a strip, both edges' },
  {
    at: 'allowances.flattening',
    label: 'Flattening a rough board',
    hint: 'Boards bought in quarters give the trade’s surfaced thickness, or less.',
  },
  {
    at: 'allowances.skim',
    label: 'Skimming a dressed board',
    hint: '0: used as it is bought. Where a part takes its whole width the edges stay as well.',
  },
  {
    at: 'allowances.resaw',
    label: 'Each resawn piece, over-thick',
    hint: 'For the cup it takes and for cleaning it.',
  },
];

export const PRICES: readonly Asked[] = [
  { at: 'prices.wood', label: 'Wood without a price' },
  { at: 'prices.hour', label: 'An hour of work' },
];

/** Figures of the shop, each within the bounds and in the unit of its schema. */
export function ShopFigures({
  of,
  shop,
  change,
}: {
  of: readonly Asked[];
  shop: Shop;
  change: (change: Change) => readonly Problem[] | undefined;
}) {
  return of.map((field) => (
    <AskedFigure
      key={field.at}
      field={field}
      label={field.label}
      value={valueAt(shop, field.at)}
      bounds={boundsOf(ShopSchema, shop, field.at)}
      onCommit={(value) => change({ path: field.at, value })}
    />
  ));
}
