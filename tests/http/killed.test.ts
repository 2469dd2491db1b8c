import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Checkout } from '../faults/checkout';
import { killRounds } from '../faults/kill-rounds';

/** The short form of `npm run faults`: a Taller of its own, killed once in each way. */
describe.runIf(process.env.DATABASE_URL)('kill −9 amid writes', () => {
  const checkout = Checkout.ofThis();
  beforeAll(async () => {
    const { stands, said } = await checkout.start();
    expect(stands, said).toBe(true);
  }, 120_000);
  afterAll(() => checkout.remove(), 60_000);

  it('loses nothing that was acknowledged, doubles nothing, and says why while the database is gone', async () => {
    const report = await killRounds(checkout, 3, 150);
    expect(report).toMatchObject({ lostOrDoubled: [], unexplained: [], refusedStarts: [] });
    expect(report.acknowledged).toBeGreaterThanOrEqual(150);
  }, 180_000);
});
