import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Checkout } from './checkout';
import { killRounds } from './kill-rounds';

const ROUNDS = Number(process.env.KILL_ROUNDS ?? 30);
const WRITES = Number(process.env.KILL_WRITES ?? 3000);

describe('kill −9 amid writes', () => {
  const checkout = Checkout.ofThis();
  beforeAll(async () => {
    const { stands, said } = await checkout.start();
    expect(stands, said).toBe(true);
  });
  afterAll(() => checkout.remove());

  it(`${ROUNDS} rounds, ${WRITES} acknowledged writes: none lost, none doubled, no failure without its reason`, async () => {
    const report = await killRounds(checkout, ROUNDS, WRITES);
    console.log(report);
    expect(report.acknowledged).toBeGreaterThanOrEqual(WRITES);
    expect(report.lostOrDoubled).toEqual([]);
    expect(report.unexplained).toEqual([]);
    for (const said of report.refusedStarts) expect(said).toMatch(/\n.+\n.+/);
  });
});
