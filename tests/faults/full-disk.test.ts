import { execFileSync } from 'node:child_process';
import { mkdirSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { Checkout } from './checkout';
import { startAgain } from './kill-rounds';
import { Writers } from './writers';

/** A disk that can be filled without harm is mounted for it: that wants root. */
const canMount = process.getuid?.() === 0;
const MB = 1024 * 1024;

describe.runIf(canMount)('a full disk', () => {
  const checkout = Checkout.ofThis();
  const disk = join(checkout.folder, '.taller');
  const ballast = join(disk, 'ballast');
  mkdirSync(disk);
  execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=200m,mode=755', 'tmpfs', disk]);
  afterAll(async () => {
    await checkout.stop();
    execFileSync('umount', ['-l', disk]);
    await checkout.remove();
  });
  const free = () => {
    const { bavail, bsize } = statfsSync(disk);
    return bavail * bsize;
  };
  const fill = (leave: number) => writeFileSync(ballast, Buffer.alloc(Math.max(0, free() - leave), 1));
  const makeRoom = () => rmSync(ballast, { force: true });

  it('is named, loses nothing that was acknowledged, and with room again the work goes on', async () => {
    const { stands, said } = await checkout.start();
    expect(stands, said).toBe(true);
    const writers = new Writers(4, () => checkout.url);
    await writers.begin();
    const starts: string[] = [];
    for (const leave of [0, 1, 4, 12].map((mb) => mb * MB)) {
      fill(leave);
      // Until it is refused for a while, or the disk took it all.
      const until = Date.now() + 6_000;
      await writers.write(() => Date.now() < until);
      makeRoom();
      const before = writers.acknowledged;
      const back = Date.now() + 4_000;
      await writers.write(() => Date.now() < back);
      // A database that went down with its log full comes back with Taller.
      if (writers.acknowledged === before) {
        await checkout.stop();
        await startAgain(checkout, starts);
        const again = Date.now() + 4_000;
        await writers.write(() => Date.now() < again);
      }
      expect(writers.acknowledged, `goes on after ${leave / MB} MB were left`).toBeGreaterThan(before);
      expect(await writers.lostOrDoubled(checkout.databaseUrl)).toEqual([]);
    }
    expect(writers.answers.unexplained).toEqual([]);
    console.log({ acknowledged: writers.acknowledged, answers: Object.fromEntries(writers.answers.statuses), starts });
    expect((writers.answers.statuses.get(507) ?? 0) + (writers.answers.statuses.get(503) ?? 0)).toBeGreaterThan(0);

    // A start on a full disk serves, or gives the reason; with room again it serves.
    await checkout.stop();
    fill(0);
    const cramped = await checkout.start();
    if (!cramped.stands) expect(cramped.said).toMatch(/full|make room|No space/i);
    await checkout.stop();
    makeRoom();
    await startAgain(checkout, starts);
    expect(await writers.lostOrDoubled(checkout.databaseUrl)).toEqual([]);
  });
});
