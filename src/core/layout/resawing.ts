import type { LayoutOptions } from './layout';

type Resaw = Pick<LayoutOptions['resaw'], 'kerf' | 'allowance'>;

/** What a blank must be thick that gives so many pieces of a thickness, each over-thick, a band's kerf between them; mm. */
export const resawnFrom = (thickness: number, pieces: number, { kerf, allowance }: Resaw): number =>
  pieces > 1 ? pieces * (thickness + allowance) + (pieces - 1) * kerf : thickness;

/**
 * How many pieces of a thickness a flat blank gives when it is parted through its own: each over-thick for its cup and
 * cleaning, a band's kerf between them.
 */
export const piecesResawn = (blank: number, thickness: number, { kerf, allowance }: Resaw): number =>
  Math.floor((blank + kerf + 1e-9) / (thickness + allowance + kerf));
