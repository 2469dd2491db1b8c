import type { Bench, Form } from '../decision/job-document';

/** The sizes that everything not yet cut follows: the design, corrected by what is cut. mm. */
export interface SettledSizes {
  top: { length: number; width: number; thickness: number };
  base: { length: number; width: number };
  leg: { section: number; length: number };
  apron: { height: number; thickness: number };
}

export const LEG_IDS = ['leg-front-left', 'leg-front-right', 'leg-back-left', 'leg-back-right'] as const;
export const LONG_APRON_IDS = ['apron-front', 'apron-back'] as const;
export const SHORT_APRON_IDS = ['apron-left', 'apron-right'] as const;

type Dimension = 'length' | 'width' | 'thickness';

/** Mean of the entered real sizes of some parts along one dimension; undefined where none is entered. */
function measured(bench: Bench, ids: readonly string[], dimension: Dimension): number | undefined {
  const sizes = ids.flatMap((id) => bench.locks[id]?.[dimension] ?? []);
  return sizes.length > 0 ? sizes.reduce((sum, size) => sum + size, 0) / sizes.length : undefined;
}

/**
 * Cut it, lock it: a cut part no longer follows the design, the design follows it. A cut top changes the overhang and
 * not the base; a cut apron sets the base's length or width; cut legs set the aprons' shoulders.
 *
 * @param tenon length that each end of an apron has beyond its shoulder, given the settled section and apron
 */
export function settleLocks(
  form: Form,
  bench: Bench,
  tenon: (section: number, apronThickness: number, apronHeight: number) => number,
): SettledSizes {
  const { top, base } = form;
  const section = mean(measured(bench, LEG_IDS, 'width'), measured(bench, LEG_IDS, 'thickness')) ?? base.leg.section;
  const aprons = [...LONG_APRON_IDS, ...SHORT_APRON_IDS];
  const thickness = measured(bench, aprons, 'thickness') ?? base.apron.thickness;
  const height = measured(bench, aprons, 'width') ?? base.apron.height;
  const beyond = 2 * (section - tenon(section, thickness, height));
  const from = (ids: readonly string[], designed: number) => {
    const overall = measured(bench, ids, 'length');
    return overall === undefined ? designed : overall + beyond;
  };
  const topThickness = measured(bench, ['top'], 'thickness') ?? top.thickness;
  return {
    top: {
      length: measured(bench, ['top'], 'length') ?? top.length,
      width: measured(bench, ['top'], 'width') ?? top.width,
      thickness: topThickness,
    },
    base: {
      length: from(LONG_APRON_IDS, top.length - 2 * top.endOverhang),
      width: from(SHORT_APRON_IDS, top.width - 2 * top.sideOverhang),
    },
    leg: { section, length: measured(bench, LEG_IDS, 'length') ?? base.height - topThickness },
    apron: { height, thickness },
  };
}

function mean(...values: (number | undefined)[]): number | undefined {
  const known = values.filter((value) => value !== undefined);
  return known.length > 0 ? known.reduce((sum, value) => sum + value, 0) / known.length : undefined;
}
