import { describe, expect, it } from 'vitest';
import { bendingStress, cantileverSag, centreSag, uniformSag } from '@/core';

/**
 * An independent reckoning: bending of a beam by integrating the curvature M/EI twice with the trapezium rule, and shear
 * by integrating V/κGA. No closed form in it.
 */
function integratedSag(given: {
  span: number;
  ei: number;
  kga: number;
  moment: (x: number) => number;
  shear: (x: number) => number;
  simple: boolean;
}) {
  const n = 20_000;
  const h = given.span / n;
  let [slope, sag, shearSag] = [0, 0, 0];
  const sags = [0];
  for (let i = 1; i <= n; i += 1) {
    const [a, b] = [(i - 1) * h, i * h];
    const nextSlope = slope + (h * (given.moment(a) + given.moment(b))) / 2 / given.ei;
    sag += (h * (slope + nextSlope)) / 2;
    slope = nextSlope;
    shearSag += (h * (given.shear(a) + given.shear(b))) / 2 / given.kga;
    sags.push(sag);
  }
  const end = sags[n]!;
  // Simple span: turn the line so that both ends lie at nought, then read the middle; shear is symmetrical.
  return given.simple ? Math.abs(sags[n / 2]! - end / 2) : Math.abs(sag) + shearSag;
}

const section = { breadth: 22, depth: 90, modulus: 12_000 };
const ei = (12_000 * 22 * 90 ** 3) / 12;

describe('beams: Roark, Formulas for Stress and Strain (formulas from memory), against integration of the curvature', () => {
  it('centre load: PL³/48EI', () => {
    const [load, span] = [800, 1500];
    const moment = (x: number) => (x < span / 2 ? (load * x) / 2 : (load * (span - x)) / 2);
    expect(centreSag(section, span, load, false)).toBeCloseTo((load * span ** 3) / (48 * ei), 9);
    expect(centreSag(section, span, load, false)).toBeCloseTo(
      integratedSag({ span, ei, kga: 1, moment, shear: () => 0, simple: true }),
      4,
    );
  });

  it('uniform load: 5wL⁴/384EI', () => {
    const [w, span] = [0.5, 1850];
    const moment = (x: number) => (w * x * (span - x)) / 2;
    expect(uniformSag(section, span, w, false)).toBeCloseTo((5 * w * span ** 4) / (384 * ei), 9);
    expect(uniformSag(section, span, w, false)).toBeCloseTo(
      integratedSag({ span, ei, kga: 1, moment, shear: () => 0, simple: true }),
      4,
    );
  });

  it('cantilever: PL³/3EI and, with shear, PL/κGA, G = E/16 (Wood Handbook ch. 9, from memory)', () => {
    const [load, reach] = [400, 300];
    const kga = ((12_000 / 16) * 22 * 90) / 1.2;
    const moment = (x: number) => load * (reach - x);
    const whole = integratedSag({ span: reach, ei, kga, moment, shear: () => load, simple: false });
    expect(cantileverSag(section, reach, load)).toBeCloseTo(whole, 4);
    expect(cantileverSag(section, reach, load, false)).toBeCloseTo((load * reach ** 3) / (3 * ei), 9);
  });

  it('a short deep rail sags markedly more with shear than without', () => {
    const stub = { breadth: 22, depth: 120, modulus: 12_000 };
    expect(uniformSag(stub, 400, 1) / uniformSag(stub, 400, 1, false)).toBeGreaterThan(1.8);
  });

  it('bending stress of a rectangle: M / (bh²/6)', () => {
    expect(bendingStress({ breadth: 20, depth: 60, modulus: 1 }, 120_000)).toBeCloseTo(10, 9);
  });
});
