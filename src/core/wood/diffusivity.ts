import type { Species } from './species';

/** How readily moisture goes through wood across the grain. */
export interface Diffusivity {
  /** m²/s at 10 % moisture and 20 °C. */
  at10: number;
  /** Per % of moisture: D grows by the factor exp(moisture · (M − 10)). */
  moisture: number;
  /** Activation energy over the gas constant, K: D grows by exp(warmth · (1/293.15 − 1/T)). */
  warmth: number;
}

/**
 * Transverse diffusivity of furniture woods by density: 5.5·10⁻¹⁰ m²/s at a specific gravity of 0.35, falling by the
 * factor e for every 0.25 more, so that it runs from 6 to 1·10⁻¹⁰ over the furniture hardwoods; a tenth more for every
 * 1.2 % of moisture; 35 kJ/mol. Typical values (after Siau, Transport Processes in Wood, from memory); a board of one
 * wood may well have half or twice as much.
 */
export function diffusivityOf(species: Pick<Species, 'specificGravity'>): Diffusivity {
  return { at10: 5.5e-10 * Math.exp(-4 * (species.specificGravity - 0.35)), moisture: 0.08, warmth: 4200 };
}
