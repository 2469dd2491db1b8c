import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change } from '../../../tests/fixtures/demo';
import { embedment, lateralYield, type Member, SCREW_STEEL, yieldFactor } from './lateral-strength';

/** The least a function of one valley reaches, by thirds. */
function valley(f: (x: number) => number, from: number, to: number): number {
  let [a, b] = [from, to];
  for (let i = 0; i < 70; i += 1) {
    const [x, y] = [a + (b - a) / 3, b - (b - a) / 3];
    if (f(x) < f(y)) b = y;
    else a = x;
  }
  return f((a + b) / 2);
}
const least = (f: (x: number, y: number) => number, xs: [number, number], ys: [number, number]): number =>
  valley((x) => valley((y) => f(x, y), ...ys), ...xs);

/**
 * The same by limit analysis from first principles: a rod that is rigid but for plastic hinges, in wood that presses back
 * alike everywhere. Of every way it can turn, what the wood and the hinges take over how far the members slide.
 */
function byMechanisms(d: number, main: Member, side: Member, steel: number): number {
  const hinge = (steel * d ** 3) / 6;
  const [fm, fs, lm, ls] = [main.embedment * d, side.embedment * d, main.deep, side.deep];
  // Turning about a point so deep in a member; to a hinge so deep in it. Per radian.
  const turned = (f: number, l: number, at: number) => (f * (at ** 2 + (l - at) ** 2)) / 2;
  const bent = (f: number, at: number) => (f * at ** 2) / 2 + hinge;
  const per = (work: number, slide: number) => (slide > 1e-9 ? work / slide : Number.POSITIVE_INFINITY);
  return Math.min(
    fm * lm,
    fs * ls,
    least((x, y) => per(turned(fm, lm, x) + turned(fs, ls, y), x + y), [0, lm], [0, ls]),
    least((x, y) => per(bent(fs, y) + turned(fm, lm, x), x + y), [0, lm], [0, ls]),
    least((x, y) => per(bent(fm, x) + turned(fs, ls, y), x + y), [0, lm], [0, ls]),
    least((x, y) => per(bent(fm, x) + bent(fs, y), x + y), [0, lm], [0, ls]),
  );
}

describe('a screw or a bolt square to its length', () => {
  it('yields as the least mechanism of a plastic rod in two members (limit analysis, Johansen 1949)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 12, noNaN: true }),
        // So many times as deep as it is thick: hinges stay inside both members.
        fc.double({ min: 3, max: 20, noNaN: true }),
        fc.double({ min: 3, max: 20, noNaN: true }),
        fc.double({ min: 25, max: 90, noNaN: true }),
        fc.double({ min: 25, max: 90, noNaN: true }),
        fc.double({ min: 250, max: 700, noNaN: true }),
        (d, deepMain, deepSide, fm, fs, steel) => {
          const [lm, ls] = [deepMain * d, deepSide * d];
          const [main, side] = [
            { deep: lm, embedment: fm },
            { deep: ls, embedment: fs },
          ];
          const formula = lateralYield(d, main, side, steel);
          expect(formula / byMechanisms(d, main, side, steel)).toBeCloseTo(1, 4);
        },
      ),
      { numRuns: 60, endOnFailure: true },
    );
  });

  it('deep in both it bends twice, whatever the depth: √(2·M·f·d) for two alike', () => {
    const member = { deep: 400, embedment: 50 };
    const moment = (SCREW_STEEL * 4 ** 3) / 6;
    expect(lateralYield(4, member, member, SCREW_STEEL)).toBeCloseTo(Math.sqrt(2 * moment * 50 * 4), 6);
  });

  it('dense wood presses back more, a thick bolt across the grain less than a thin screw', () => {
    expect(embedment(0.67, 4)).toBeGreaterThan(embedment(0.38, 4));
    expect(embedment(0.6, 10)).toBeLessThan(embedment(0.6, 4));
    // 16 600 · 0.55^1.84 psi: 5 526, printed as 5 550 for Douglas fir-larch of 0.50 at 4 650 and so on (from memory).
    expect(embedment(0.5, 4) / 0.00689476 / 4650).toBeCloseTo(1, 2);
    expect(yieldFactor(3.3)).toBe(2.2);
    expect(yieldFactor(5)).toBeCloseTo(10 * (5 / 25.4) + 0.5, 9);
  });
});

describe('an apron on pocket screws', () => {
  const stand = () => CONSTRUCTIONS.find((c) => c.name.includes('pocket screws'))!.document;
  const shear = (document: ReturnType<typeof stand>) =>
    derived(document).checks.find((c) => c.id === 'strength.shear-corner')!;

  it('is told beside what a tenon would be asked, with its way out', () => {
    expect(shear(stand()).value.unit).toBe('newton');
    const heavy = shear(
      change(stand(), (d) => {
        d.form.loads.edge = 1500;
        baseOf(d, 'leg-apron').apron.height = 50;
      }),
    );
    expect(heavy.level).toBe('stop');
    expect(heavy.wayOut?.changes).toEqual([{ path: 'joints.corner', value: 'mortise-tenon' }]);
  });
});
