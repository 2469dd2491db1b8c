import type { Shop } from '../decision/shop';
import { dowelDiameter } from './corner-dowels';

export type Aligner = 'none' | 'loose-tenons' | 'biscuits' | 'dowels' | 'cauls';

/** How the boards of a panel are kept level while they are glued, where makers differ. Common practice. */
export const ALIGNERS: Readonly<Record<Aligner, { name: string; reason: string; one: string }>> = {
  none: {
    name: 'Nothing',
    reason: 'Two boards at a time, brought level with the fingers while the clamps close.',
    one: '',
  },
  cauls: {
    name: 'Cauls',
    reason: 'Pairs of slightly bowed bars across both faces, waxed: they press every board level and leave no holes.',
    one: 'caul',
  },
  'loose-tenons': {
    name: 'Loose tenons',
    reason: 'Slots in both edges from the show face: level, and stronger where a board is bowed.',
    one: 'tenon',
  },
  biscuits: {
    name: 'Biscuits',
    reason: 'Quick slots with a little play along the joint; they swell in the glue.',
    one: 'biscuit',
  },
  dowels: {
    name: 'Dowels',
    reason: 'Bored with a guide from the show face; no play at all, so the boring must be true.',
    one: 'dowel',
  },
};

/** What is let into an edge: mm across the thickness, along the joint, and into each of the two edges. */
export interface AlignerSize {
  thickness: number;
  along: number;
  deep: number;
}

/** The usual biscuit for panels: 4 mm thick, 56 long, 23 wide; half of it in each edge, and a millimetre for the glue. */
const BISCUIT = { thickness: 4, along: 58, deep: 12.5 } as const;

/**
 * Sizes by rule (common practice): a loose tenon a third of the panel thick, of those in stock the nearest below; dowels
 * two fifths of it, three times as deep as thick, or the nearest to that in stock that the shop has a bit for.
 *
 * @returns null where nothing is put into the edges
 */
export function alignerSize(
  kind: Aligner,
  thickness: number,
  { looseTenons: stock, dowels, borers }: Pick<Shop['tools'], 'looseTenons' | 'dowels' | 'borers'>,
): AlignerSize | null {
  switch (kind) {
    case 'none':
    case 'cauls':
      return null;
    case 'biscuits':
      return BISCUIT;
    case 'dowels': {
      const diameter = dowelDiameter(thickness);
      const own = dowels
        .filter(
          (dowel) => dowel.diameter <= thickness / 2 && borers.some((bit) => Math.abs(bit - dowel.diameter) <= BIT),
        )
        .sort((a, b) => Math.abs(a.diameter - diameter) - Math.abs(b.diameter - diameter))[0];
      return own
        ? { thickness: own.diameter, along: own.diameter, deep: own.length / 2 }
        : { thickness: diameter, along: diameter, deep: 3 * diameter };
    }
    case 'loose-tenons': {
      const third = thickness / 3;
      const fit = [...stock].sort((a, b) => b.thickness - a.thickness).find((own) => own.thickness <= third + 0.5);
      const own = fit ?? stock.reduce((a, b) => (b.thickness < a.thickness ? b : a), stock[0] ?? FALLBACK);
      return { thickness: own.thickness, along: own.width, deep: own.length / 2 };
    }
  }
}

/** A bit and its dowel are of one size to this, mm. */
const BIT = 0.3;

/** Where no loose tenon is in stock: one planed from an offcut. */
const FALLBACK = { thickness: 6, width: 20, length: 40 };
