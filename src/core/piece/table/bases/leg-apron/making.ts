import type { Part } from '../../../part';
import type { LegApron } from './decisions';

export type Making = LegApron['leg']['making'];

export const SOLID: Making = { kind: 'solid' };
/** Glued of so many boards face to face; of one blank where it is one. */
export const ofStaves = (count: number): Making => (count > 1 ? { kind: 'staves', count } : SOLID);

/** A blank that a leg is made of. mm */
export interface LegBlank {
  /** Behind the leg's letter. */
  suffix: string;
  name: string;
  shows: 'all' | 'none';
  finished: { length: number; width: number; thickness: number };
  resawn: boolean;
  /** How it is best sawn from the log. */
  rings?: 'quarter';
  /** All blanks of one leg that say so come from one board: its place in their order round the leg, from 0. */
  together?: number;
  /** m³ of it that become the leg. */
  becomes: number;
}

/** What is planed off a glued-up leg blank to make it square again, mm; common practice. */
const SQUARING = 2;
export const VENEERS = 4;

/** How a leg is made, in a maker's words. Common practice. */
export const LEG_MAKING: Readonly<Record<Making['kind'], { name: string; reason: string; joints: number }>> = {
  solid: { name: 'One solid blank', reason: 'No line to be seen; it wants stock as thick as the leg.', joints: 0 },
  staves: {
    name: 'Staves glued face to face',
    reason: 'Thinner, drier stock; the glue lines are seen on two faces.',
    joints: 1,
  },
  'two-at-45': {
    name: 'Two pieces, cut out at 45°',
    reason: 'Rift grain on all four faces, and the one glue line runs from corner to corner.',
    joints: 1,
  },
  faced: {
    name: 'A core faced with four veneers',
    reason: 'Grain alike on all four faces, all from one board; the core is best quarter-sawn.',
    joints: 4,
  },
};

/** Thickness of each of the two pieces from which a square leg is cut at 45°: half its diagonal, mm. */
export const halfDiagonal = (section: number): number => section / Math.SQRT2;

/**
 * The blanks a leg is cut and glued from.
 *
 * @returns one for a solid leg, otherwise one for each piece to be sawn from a board
 */
export function legBlanks(leg: Part, making: Making): LegBlank[] {
  const { length, width: section, thickness } = leg.size;
  const volume = length * section * thickness * 1e-9;
  const plain = { shows: 'all' as const, resawn: true };
  switch (making.kind) {
    case 'solid':
      return [{ ...plain, suffix: '', name: leg.name, finished: leg.size, becomes: volume }];
    case 'staves': {
      const { count } = making;
      return Array.from({ length: count }, (_, i) => ({
        ...plain,
        suffix: `${i + 1}`,
        name: `${leg.name}: stave ${i + 1} of ${count}`,
        finished: { length, width: section, thickness: (thickness + SQUARING) / count },
        becomes: volume / count,
      }));
    }
    case 'two-at-45':
      return ['1', '2'].map((suffix) => ({
        ...plain,
        suffix,
        name: `${leg.name}: half ${suffix}`,
        finished: { length, width: section * Math.SQRT2, thickness: halfDiagonal(thickness) },
        becomes: volume / 2,
      }));
    case 'faced': {
      const { veneer } = making;
      const core = section - 2 * veneer;
      const coreVolume = length * core * core * 1e-9;
      return [
        {
          suffix: 'c',
          name: `${leg.name}: core`,
          shows: 'none',
          resawn: true,
          rings: 'quarter',
          finished: { length, width: core, thickness: core },
          becomes: coreVolume,
        },
        // The four of one leg come from one board, so that they can be laid in sequence round it.
        ...Array.from({ length: VENEERS }, (_, i) => ({
          ...plain,
          suffix: `v${i + 1}`,
          name: `${leg.name}: veneer ${i + 1}`,
          finished: { length, width: section, thickness: veneer },
          becomes: (volume - coreVolume) / VENEERS,
          together: i,
        })),
      ];
    }
  }
}

/** The part that something sawn from a board belongs to: blanks of a leg carry their leg's id, a stroke and their suffix. */
export const ownerOf = (id: string): string => id.split('/', 1)[0] ?? id;
export const blankId = (part: string, suffix: string): string => (suffix ? `${part}/${suffix}` : part);
