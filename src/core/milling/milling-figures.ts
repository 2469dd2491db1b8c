import type { Figure } from '../measure/figure';
import { count, mm } from '../measure/quantity';
import { diffusivityOf } from '../wood/diffusivity';
import { remainingDifference } from '../wood/remaining-difference';
import type { Species } from '../wood/species';
import type { MillingForecast, MillingLimits } from './forecast-milling';

/** What may be left of the difference between the inside of a board and its air when it is taken to be at rest. */
const AT_REST = 0.1;

/**
 * Days until a piece sawn from the inside of a board has come to a tenth of its difference to the air, both faces free:
 * the average of a slab with a step at its surfaces (Crank). At 10 % and 20 °C.
 *
 * @param thickness mm
 */
export function daysToRest(thickness: number, species: Species): number {
  const diffusivity = diffusivityOf(species);
  const left = (days: number) => remainingDifference({ thickness, diffusivity, days });
  let [low, high] = [0, 1];
  while (left(high) > AT_REST) high *= 2;
  while (high - low > 1e-4 * high) {
    const middle = (low + high) / 2;
    if (left(middle) > AT_REST) low = middle;
    else high = middle;
  }
  return high;
}

/** The figures of a milling forecast with what they come from. */
export function millingFigures(given: {
  thickness: number;
  forecast: MillingForecast;
  limits: Pick<MillingLimits, 'passDepth'>;
  resawn: { pieces: number; sawn: number; left: number };
  wanted: number;
  kerf: number;
  allowance: number;
  species: Species;
}): Record<'finished' | 'upper' | 'lower' | 'resawn' | 'rest', Figure> {
  const { forecast, limits, resawn, species } = given;
  const { upper, lower } = forecast.taken;
  const passes = (id: 'upper' | 'lower', label: string, taken: number, number: number): Figure => ({
    id: `milling-${id}`,
    label,
    quantity: count(number),
    formula: 'least whole number of passes ≥ loss ÷ depth of one pass',
    inputs: [
      { label: 'Loss where the face stands highest', quantity: mm(taken) },
      { label: 'One pass takes', quantity: mm(limits.passDepth) },
    ],
    source: 'Common practice; the shop’s own depth of a pass',
  });
  return {
    finished: {
      id: 'milling-finished',
      label: 'Clean on both faces',
      quantity: mm(forecast.finishedThickness),
      formula: 'greatest distance of two parallel planes, one under all of the upper face, one over all of the lower',
      inputs: [
        { label: 'Thickness, as it lies', quantity: mm(given.thickness) },
        { label: 'Upper face loses up to', quantity: mm(upper) },
        { label: 'Under face loses up to', quantity: mm(lower) },
        { label: 'Tilt along', quantity: `${(1000 * forecast.tilt.along).toFixed(2)} mm a metre` },
        { label: 'Tilt across', quantity: `${(1000 * forecast.tilt.across).toFixed(2)} mm a metre` },
      ],
      source: 'A linear programme in two tilts and two levels, its corners all tried; see Methods',
      limits:
        'Nine heights say nothing of what lies between them but a smooth curve. A twisted board springs when it is cut.',
    },
    upper: passes('upper', 'Passes over the upper face', upper, forecast.passes.upper),
    lower: passes('lower', 'Passes over the under face', lower, forecast.passes.lower),
    resawn: {
      id: 'milling-resawn',
      label: 'Pieces resawn from it',
      quantity: count(resawn.pieces),
      formula: 'greatest whole n with n·(wanted + allowance) + (n − 1)·kerf ≤ thickness',
      inputs: [
        { label: 'Flat on both faces', quantity: mm(forecast.finishedThickness) },
        { label: 'Wanted', quantity: mm(given.wanted) },
        { label: 'For cup and cleaning', quantity: mm(given.allowance) },
        { label: 'Band saw kerf', quantity: mm(given.kerf) },
        { label: 'Left over', quantity: mm(resawn.left) },
      ],
      source: 'Common practice; the shop’s own kerf and allowance',
    },
    rest: {
      id: 'milling-rest',
      label: 'Rest before the final size',
      quantity: { amount: daysToRest(resawn.sawn, species), unit: 'days' },
      formula: 'time at which a tenth of the difference is left: (8/π²)·exp(−π²·D·t/L²) = 0.1',
      inputs: [
        { label: 'Sawn thickness L', quantity: mm(resawn.sawn) },
        {
          label: 'Diffusivity D at 10 %, 20 °C',
          quantity: `${(diffusivityOf(species).at10 * 1e10).toFixed(2)} · 10⁻¹⁰ m²/s`,
        },
      ],
      source: 'Crank, The Mathematics of Diffusion: a slab with a step at both faces; see Methods',
      limits:
        'Stress that is set free by sawing moves a piece at once, and a little for days: watch it, not the calendar.',
    },
  };
}
