import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change, level } from '../../../tests/fixtures/demo';
import { withChanges } from '../document/job-document';
import { findPart } from '../piece/piece';

const named = (words: string) => CONSTRUCTIONS.find((c) => c.name.includes(words))!.document;
const check = (document: ReturnType<typeof named>, id: string) => derived(document).checks.find((c) => c.id === id)!;

/** A beam on two rests by finite differences: EI·v'' = M, a load in its middle; no shear. mm */
function byDifferences(span: number, load: number, stiffness: number): number {
  const n = 4000;
  const dx = span / n;
  const moment = (x: number) => (load / 2) * Math.min(x, span - x);
  // From the middle, where it is level, to a rest.
  let [slope, v] = [0, 0];
  for (let i = 0; i < n / 2; i += 1) {
    const x = span / 2 - (i + 0.5) * dx;
    const turn = (moment(x) / stiffness) * dx;
    v += (slope + turn / 2) * dx;
    slope += turn;
  }
  return v;
}

describe('a foot on a stretcher', () => {
  it('bends it as a beam on two rests does (finite differences), and by a little more for its shear', () => {
    const document = named('drawn by tusks');
    const { figure } = check(document, 'stiffness.stretcher');
    const input = (label: string) => {
      const { quantity } = figure!.inputs.find((own) => own.label === label)!;
      return typeof quantity === 'string' ? Number.NaN : quantity.amount;
    };
    const stiffness = (input('E') * input('Thickness') * input('Height') ** 3) / 12;
    const bare = byDifferences(input('Span L'), input('Foot P'), stiffness);
    // Shear of a rectangle adds 12·(6/5)·(E/G)·I/(A·L²), E/G = 16.
    expect(input('At once') / bare).toBeCloseTo(1 + 19.2 * (input('Height') / input('Span L')) ** 2, 4);
    const { piece } = derived(document);
    expect(input('Span L')).toBe(findPart(piece, 'stretcher')!.shoulderLength);
  });

  it.each([
    [
      'drawn by tusks',
      'trestle',
      (d: ReturnType<typeof named>) => Object.assign(baseOf(d, 'trestle').stretcher, { height: 40, thickness: 18 }),
    ],
    [
      'hollowed to their feet',
      'leg-apron',
      (d: ReturnType<typeof named>) => Object.assign(baseOf(d, 'leg-apron').stretchers, { height: 20, thickness: 12 }),
    ],
    [
      'stringer wedged down',
      'post-brace',
      (d: ReturnType<typeof named>) => Object.assign(baseOf(d, 'post-brace').stringer, { height: 50, thickness: 20 }),
    ],
  ] as const)('%s: too slender it is told, and the height that is offered mends it', (words, _, slender) => {
    const document = change(named(words), (d) => void slender(d as never));
    const stop = check(document, 'stiffness.stretcher');
    expect(stop.level).toBe('watch');
    expect(level(derived(withChanges(document, stop.wayOut!.changes)), 'stiffness.stretcher')).toBe('good');
  });

  it('an arched one counts where it is lowest', () => {
    const arched = check(named('a refectory table'), 'stiffness.stretcher');
    const straight = check(
      change(named('a refectory table'), (d) => {
        baseOf(d, 'trestle').stretcher.arch = 0;
      }),
      'stiffness.stretcher',
    );
    expect(arched.value.amount / straight.value.amount).toBeCloseTo(1, 1);
  });
});

describe('what sags', () => {
  it('is told at once beside what it comes to in time', () => {
    for (const { document } of CONSTRUCTIONS) {
      for (const own of derived(document).checks) {
        if (!own.id.endsWith('-sag') || !own.figure) continue;
        const once = own.figure.inputs.find((input) => input.label === 'At once');
        if (!once || typeof once.quantity === 'string') throw new Error(`${own.id} is not told at once`);
        expect(own.value.amount / once.quantity.amount, own.id).toBeCloseTo(2, 9);
      }
    }
  });

  it('is never mended by less wood: what is offered is more than there is, and leaves nothing to watch', () => {
    let offered = 0;
    for (const { name, document } of CONSTRUCTIONS) {
      for (const own of derived(document).checks) {
        const [first] = own.wayOut?.changes ?? [];
        if (!own.id.endsWith('-sag') || own.level === 'good' || !first || typeof first.value !== 'number') continue;
        const now = first.path.split('.').reduce<unknown>((at, key) => (at as Record<string, unknown>)[key], document);
        expect(first.value, `${name}: ${own.id}`).toBeGreaterThan(now as number);
        offered += 1;
      }
    }
    expect(offered).toBeGreaterThan(3);
  });
});
