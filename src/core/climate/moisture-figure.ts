import type { Figure } from '../measure/figure';
import { moisture } from '../measure/quantity';
import { equilibriumMoisture } from '../wood/moisture';

/** The moisture wood comes to in some air, with its formula; `where` are inputs that say whose air it is. */
export function moistureFigure(given: {
  id: string;
  label: string;
  temperature: number;
  relativeHumidity: number;
  where: Figure['inputs'];
  source: string;
  /** %, where it is known already, with what was learned in it. */
  amount?: number;
}): Figure {
  const { id, label, temperature, relativeHumidity, where, source } = given;
  return {
    id,
    label,
    quantity: moisture(given.amount ?? equilibriumMoisture({ temperature, relativeHumidity })),
    formula: 'Hailwood–Horrobin: (1800/W)·[Kh/(1−Kh) + (K₁Kh + 2K₁K₂K²h²)/(1 + K₁Kh + K₁K₂K²h²)]',
    inputs: [
      ...where,
      { label: 'Temperature', quantity: { amount: temperature, unit: 'celsius' } },
      { label: 'Relative humidity', quantity: { amount: relativeHumidity, unit: 'percent' } },
    ],
    source: `Wood Handbook ch. 4; ${source}`,
  };
}
