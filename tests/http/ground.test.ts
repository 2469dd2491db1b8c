import { spawn, spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';

const ground = join(import.meta.dirname, '../../bin/ground.sh');

describe('what the commands stand on', () => {
  const folder = mkdtempSync(join(tmpdir(), 'taller-ground-'));
  afterAll(() => rmSync(folder, { recursive: true }));
  const state = (name: string) => {
    const path = join(folder, name);
    mkdirSync(join(path, 'cluster/data'), { recursive: true });
    return path;
  };
  const words = (own: string, script: string) =>
    `set -uo pipefail; ROOT=${folder}; STATE=${own}; CLUSTER=$STATE/cluster; PG_BIN=/nowhere; PG_KEEPER=; . ${ground}; ${script}`;
  const run = (own: string, script: string) => spawnSync('bash', ['-c', words(own, script)], { encoding: 'utf8' });

  it('believes a database to run only by a process that stands in its folder', () => {
    const own = state('stale');
    const pid = join(own, 'cluster/data/postmaster.pid');
    // A process that is there, of somebody else: ours.
    writeFileSync(pid, `${process.pid}\n${own}/cluster/data\n0\n5432\n`);
    expect(run(own, 'cluster_is_up && echo up || echo down').stdout).toBe('down\n');
    run(own, 'drop_stale_pid');
    expect(existsSync(pid)).toBe(false);
    for (const nonsense of ['', 'x\n', '-1\n', '99999999\n']) {
      writeFileSync(pid, nonsense);
      expect(run(own, 'cluster_is_up && echo up || echo down').stdout, nonsense).toBe('down\n');
    }
    // One that stands in it is believed, and keeps its number; in a copy of the folder it is not.
    const keeper = spawn('sleep', ['20'], { cwd: join(own, 'cluster/data') });
    writeFileSync(pid, `${keeper.pid}\n`);
    expect(run(own, 'cluster_is_up && echo up || echo down; drop_stale_pid').stdout).toBe('up\n');
    expect(existsSync(pid)).toBe(true);
    const copy = join(folder, 'copy');
    cpSync(own, copy, { recursive: true });
    expect(run(copy, 'cluster_is_up && echo up || echo down').stdout).toBe('down\n');
    keeper.kill('SIGKILL');
  });

  it('lets one run at a time stand on a folder, and the next when it was killed', async () => {
    const own = state('lock');
    const holder = spawn('bash', ['-c', words(own, 'hold_ground; echo held; exec sleep 20')]);
    await new Promise((resolve) => holder.stdout.once('data', resolve));
    const second = run(own, 'hold_ground "It runs already." "Use it there."; echo through');
    expect(second.status).toBe(1);
    expect(second.stderr).toMatch(/It runs already[\s\S]*Use it there/);
    const copy = join(folder, 'lock-copy');
    cpSync(own, copy, { recursive: true });
    expect(run(copy, 'hold_ground; echo through').stdout).toBe('through\n');
    const ended = new Promise((resolve) => holder.once('exit', resolve));
    holder.kill('SIGKILL');
    await ended;
    expect(run(own, 'hold_ground; echo through').stdout).toBe('through\n');
  });

  it('takes data that lies elsewhere for its own only in the checkout that it is of', () => {
    const [own, copy] = [state('owner'), state('its-copy')];
    const of = (checkout: string, script: string) =>
      run(checkout, `CLUSTER=${folder}/elsewhere; mkdir -p $CLUSTER; ${script}`);
    of(own, 'own_cluster');
    const whose = `[ "$(cat $CLUSTER/checkout)" -ef "$STATE" ] && echo mine || echo another`;
    expect(of(own, whose).stdout).toBe('mine\n');
    expect(of(copy, whose).stdout).toBe('another\n');
  });
});
