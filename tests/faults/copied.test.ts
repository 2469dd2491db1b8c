import { type ChildProcess, execFileSync, spawn } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Checkout, newFolder } from './checkout';
import { Writers } from './writers';

describe('stale process numbers and copied folders', () => {
  const checkout = Checkout.ofThis();
  const copy = new Checkout(newFolder());
  const strangers: ChildProcess[] = [];
  let writers: Writers;
  const writeAWhile = async (own: Writers) => {
    const until = Date.now() + 1500;
    await own.write(() => Date.now() < until);
  };
  const stands = async (own: Checkout) => {
    const { stands, said } = await own.start();
    expect(stands, said).toBe(true);
  };
  beforeAll(async () => {
    await stands(checkout);
    writers = new Writers(2, () => checkout.url);
    await writers.begin();
    await writeAWhile(writers);
  });
  afterAll(async () => {
    for (const stranger of strangers) stranger.kill('SIGKILL');
    await copy.remove();
    await checkout.remove();
  });

  it('a second start in the same folder says that it runs, where, and harms nothing', async () => {
    const second = await new Checkout(checkout.folder).start();
    expect(second.stands).toBe(false);
    expect(second.said).toContain(checkout.url);
    await writeAWhile(writers);
    expect(await writers.lostOrDoubled(checkout.databaseUrl)).toEqual([]);
  });

  it('killed, with the numbers of strangers in its files, it starts', async () => {
    await checkout.kill('everything');
    const pid = join(checkout.cluster, 'data/postmaster.pid');
    for (const words of ['stranger', '', '-7\n', 'not a number\n', '1\n']) {
      if (words === 'stranger') {
        const stranger = spawn('sleep', ['600'], { cwd: '/' });
        strangers.push(stranger);
        writeFileSync(pid, `${stranger.pid}\n${checkout.cluster}/data\n0\n5432\n`);
      } else writeFileSync(pid, words);
      await stands(checkout);
      expect(await writers.lostOrDoubled(checkout.databaseUrl), words).toEqual([]);
      await checkout.stop();
    }
    for (const stranger of strangers) expect(stranger.exitCode).toBeNull();
    await stands(checkout);
  });

  it('a folder copied while it runs has data of its own, and neither touches the other’s', async () => {
    rmSync(copy.folder, { recursive: true });
    execFileSync('cp', ['-r', checkout.folder, copy.folder]);
    const second = await copy.start();
    // A copy of files that were being written may be refused with the reason; it never runs on the original's.
    if (second.stands) {
      expect(copy.url).not.toBe(checkout.url);
      expect(copy.keeper()).not.toBe(checkout.keeper());
      const own = new Writers(2, () => copy.url);
      await own.begin();
      await writeAWhile(own);
      expect(await own.lostOrDoubled(copy.databaseUrl)).toEqual([]);
      await writeAWhile(writers);
      await copy.kill('everything');
    } else {
      console.log(second.said);
      expect(second.said.trim().split('\n').length).toBeGreaterThan(1);
    }
    await copy.stop();
    await writeAWhile(writers);
    expect(await writers.lostOrDoubled(checkout.databaseUrl)).toEqual([]);
    expect(writers.answers.unexplained).toEqual([]);
  });
});
