import type { Phrase } from '../measure/quantity';

/** A joint on its card: what it is, how it is sized, how it is marked and cut. All of it common practice. */
export interface JointWords {
  name: string;
  /** How it is sized, and why. */
  rule: Phrase;
  /** Which faces to mark from. */
  mark: Phrase;
  /** In which order it is cut, with how the tools are set. */
  order: readonly Phrase[];
  caution: Phrase;
}
