/**
 * Small deflections of straight beams, with the shear part that short deep members add.
 * Elastic terms: any handbook of formulas for stress and strain (Roark); shear modulus of wood about E/16 (Wood
 * Handbook ch. 9; from memory). Span, sizes mm; load N or N/mm; modulus MPa; result mm.
 */
export interface BeamSection {
  /** Across the load. */
  breadth: number;
  /** Along the load. */
  depth: number;
  modulus: number;
}

const SHEAR_FORM_FACTOR = 6 / 5; // rectangle
export const SHEAR_MODULUS_RATIO = 16;

export const secondMoment = (section: BeamSection): number => (section.breadth * section.depth ** 3) / 12;
const shearStiffness = (section: BeamSection): number =>
  ((section.modulus / SHEAR_MODULUS_RATIO) * section.breadth * section.depth) / SHEAR_FORM_FACTOR;

/** 5wL⁴/384EI, and wL²/8κGA when `shear`. */
export function uniformSag(section: BeamSection, span: number, loadPerMm: number, shear = true): number {
  const bending = (5 * loadPerMm * span ** 4) / (384 * section.modulus * secondMoment(section));
  return bending + (shear ? (loadPerMm * span ** 2) / (8 * shearStiffness(section)) : 0);
}

/** wL⁴/8EI, and wL²/2κGA when `shear`: a uniform load on a beam held at one end. */
export function cantileverUniformSag(section: BeamSection, reach: number, loadPerMm: number, shear = true): number {
  const bending = (loadPerMm * reach ** 4) / (8 * section.modulus * secondMoment(section));
  return bending + (shear ? (loadPerMm * reach ** 2) / (2 * shearStiffness(section)) : 0);
}

/** PL³/48EI, and PL/4κGA when `shear`. */
export function centreSag(section: BeamSection, span: number, load: number, shear = true): number {
  const bending = (load * span ** 3) / (48 * section.modulus * secondMoment(section));
  return bending + (shear ? (load * span) / (4 * shearStiffness(section)) : 0);
}

/** PL³/3EI, and PL/κGA when `shear`. */
export function cantileverSag(section: BeamSection, reach: number, load: number, shear = true): number {
  const bending = (load * reach ** 3) / (3 * section.modulus * secondMoment(section));
  return bending + (shear ? (load * reach) / shearStiffness(section) : 0);
}

/** Greatest bending stress of a rectangle, MPa, from a moment in N·mm. */
export const bendingStress = (section: BeamSection, moment: number): number =>
  moment / ((section.breadth * section.depth ** 2) / 6);
