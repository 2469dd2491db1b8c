import type { Bench } from '../decision/bench';
import type { AnyTop } from '../decision/top-shapes';
import { boundsOfFlat, polygonOf, regularOutline } from '../solid/outline';
import type { TopSize } from './plans';
import type { LegApron } from './table/bases/leg-apron/decisions';

/** The sizes that everything not yet cut follows: the design, corrected by what is cut. mm. */
export interface SettledSizes {
  base: { length: number; width: number };
  leg: { section: number; length: number };
  apron: { height: number; thickness: number };
}

export const LEG_IDS = ['leg-front-left', 'leg-front-right', 'leg-back-left', 'leg-back-right'] as const;
export const LONG_APRON_IDS = ['apron-front', 'apron-back'] as const;
export const SHORT_APRON_IDS = ['apron-left', 'apron-right'] as const;

type Dimension = 'length' | 'width' | 'thickness';

/** Mean of the entered real sizes of some parts along one dimension; undefined where none is entered. */
export function measured(bench: Bench, ids: readonly string[], dimension: Dimension): number | undefined {
  const sizes = ids.flatMap((id) => bench.locks[id]?.[dimension] ?? []);
  return sizes.length > 0 ? sizes.reduce((sum, size) => sum + size, 0) / sizes.length : undefined;
}

/**
 * Cut it, lock it: a cut part no longer follows the design, the design follows it. A cut top changes the overhang and
 * not the base; a cut apron sets the base's length or width; cut legs set the aprons' shoulders.
 *
 * @param tenon length that each end of an apron has beyond its shoulder, given the settled section and apron
 */
export function settleLegApron(
  form: LegApron,
  drawn: AnyTop,
  top: TopSize,
  bench: Bench,
  tenon: (section: number, apronThickness: number, apronHeight: number) => number,
): SettledSizes {
  const section = mean(measured(bench, LEG_IDS, 'width'), measured(bench, LEG_IDS, 'thickness')) ?? form.leg.section;
  const aprons = [...LONG_APRON_IDS, ...SHORT_APRON_IDS];
  const thickness = measured(bench, aprons, 'thickness') ?? form.apron.thickness;
  const height = measured(bench, aprons, 'width') ?? form.apron.height;
  const beyond = 2 * (section - tenon(section, thickness, height));
  const from = (ids: readonly string[], designed: number) => {
    const overall = measured(bench, ids, 'length');
    return overall === undefined ? designed : overall + beyond;
  };
  const { length, width } = drawnSize(drawn);
  return {
    base: {
      length: from(LONG_APRON_IDS, length - 2 * drawn.endOverhang),
      width: from(SHORT_APRON_IDS, width - 2 * drawn.sideOverhang),
    },
    leg: {
      section,
      length: measured(bench, LEG_IDS, 'length') ?? form.height - (form.leg.through ? 0 : top.thickness),
    },
    apron: { height, thickness },
  };
}

/** Length and width of a top as it is drawn: round ones and even polygons have only one of them to choose. mm */
export function drawnSize(top: AnyTop): { length: number; width: number } {
  const { length, width } = top;
  switch (top.outline?.kind) {
    case 'round':
      return { length: top.width, width: top.width };
    case 'polygon': {
      const { left, right } = boundsOfFlat(polygonOf(regularOutline(top.outline.sides, top.width)));
      return { length: right - left, width: top.width };
    }
    default:
      return { length, width };
  }
}

function mean(...values: (number | undefined)[]): number | undefined {
  const known = values.filter((value) => value !== undefined);
  return known.length > 0 ? known.reduce((sum, value) => sum + value, 0) / known.length : undefined;
}

/**
 * The section that everything not yet cut follows: of some parts as they were cut, the mean where they were cut unlike,
 * else as it was drawn. mm
 *
 * @param across which of the drawn figures is the parts' width; the other is their thickness
 */
export function settleSection<T extends { thickness: number }, K extends Exclude<keyof T, 'thickness'>>(
  bench: Bench,
  ids: readonly string[],
  drawn: T,
  across: K,
): T {
  const [width, thickness] = [measured(bench, ids, 'width'), measured(bench, ids, 'thickness')];
  return {
    ...drawn,
    ...(width === undefined ? {} : { [across]: width }),
    ...(thickness === undefined ? {} : { thickness }),
  };
}
