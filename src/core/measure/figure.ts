import type { Quantity } from './quantity';

/** A figure that explains itself: the result, the formula it came from, what went in, and who says so. */
export interface Figure {
  id: string;
  label: string;
  quantity: Quantity;
  formula: string;
  inputs: readonly { label: string; quantity: Quantity | string }[];
  source: string;
  /** What the figure does not know; shown with it. */
  limits?: string;
}
