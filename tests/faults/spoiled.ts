import type { Dice } from '../fixtures/dice';

const HOSTILE: readonly unknown[] = [
  ...[null, true, 0, -1, -0, 1e308, -1e308, 1e-320, 2 ** 53, 0.1 + 0.2, '', ' ', 'x', '<script>alert(1)</script>'],
  ...["'; drop table job; --", '$(rm -rf /)', '{{7*7}}', '%00', '../../../etc/passwd', '\u0000', '\ud83d', '\udc00'],
  ...['\u202egnp.exe', 'a\u0300'.repeat(50), 'x'.repeat(5000), '2026-02-31', '9999-12-31', '-000001-01-01T00:00:00Z'],
  ...['NaN', 'Infinity', '1,5', '=1+1', [], {}, [[[[]]]], { length: 1e9 }, { toString: 1 }, { __proto__: null }],
  ...[[null], ['x', 1], { revision: {} }, Array.from({ length: 2000 }, () => 1)],
];
export const hostileValue = (dice: Dice): unknown => structuredClone(dice.of(HOSTILE));

/** A sound value with some of its parts put in the place of others, taken away, doubled or made hostile. */
export function spoiled(dice: Dice, sound: unknown): unknown {
  const whole = structuredClone(sound);
  for (let i = 0; i < 1 + dice.whole(0, 2); i += 1) {
    let at: unknown = whole;
    for (;;) {
      if (typeof at !== 'object' || at === null) break;
      const node = at as Record<string, unknown>;
      const keys = Object.keys(node);
      if (keys.length === 0) break;
      const key = dice.of(keys);
      const below = node[key];
      if (typeof below === 'object' && below !== null && dice.next() < 0.8) {
        at = below;
        continue;
      }
      const what = dice.next();
      if (what < 0.6) node[key] = hostileValue(dice);
      else if (what < 0.75) delete node[key];
      else if (what < 0.85) node[dice.of(keys)] = below;
      else node[`${key}${dice.of(['2', '__proto__', ' ', 'constructor'])}`] = hostileValue(dice);
      break;
    }
  }
  return dice.next() < 0.03 ? hostileValue(dice) : whole;
}
