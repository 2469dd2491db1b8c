import { seatsOnBench } from '../decision/room-for-people';
import { USE_OF_PIECE, type Use } from '../decision/use';
import type { Brief } from '../document/job-document';
import { startBase, startTop } from './start-form';
import { type StartedTable, type TableShape, tableForBrief } from './table-for-brief';

/** A sound first form of a piece for a use: on legs and aprons, of sizes by common practice or as they are wished, mm. */
export function formForUse(
  use: Use,
  brief: Brief,
  wished: { length: number; width: number; height: number } | null = null,
  shape: TableShape = 'by-seats',
): StartedTable {
  const { start, sitting, loads } = USE_OF_PIECE[use];
  if (!start) return tableForBrief(brief, shape);
  const { height, ...size } = { ...start, ...wished };
  const { form } = tableForBrief({ ...brief, seats: 2 });
  const overhang = sitting === 'on' ? 15 : 30;
  const top = { ...startTop('glued-panel', form.top), ...size, endOverhang: overhang, sideOverhang: overhang };
  const base = startBase('leg-apron', top, height);
  if (base.kind !== 'leg-apron') throw new Error(`a base of ${base.kind}`);
  const small = size.length < 700;
  const section = small ? 40 : 50;
  return {
    use,
    count: 1,
    form: {
      ...form,
      top,
      base: {
        ...base,
        leg: { ...base.leg, section, taper: { kind: 'tapered', foot: small ? 28 : 34, faces: 'inside', hollow: 0 } },
        apron: { ...base.apron, height: 75, thickness: 20 },
        crossRails: 0,
      },
      hold: { kind: 'buttons', travel: 8, inward: null, screwLength: size.thickness >= 25 ? 25 : 20 },
      loads: { ...loads, spread: sitting === 'on' ? loads.spread * seatsOnBench(size.length) : loads.spread },
    },
  };
}
