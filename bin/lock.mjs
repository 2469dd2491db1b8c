// Makes package-lock.json anew: `node bin/lock.mjs`, after changing package.json.
//
// A registry mirror that hands out only this machine's platform packages leaves the others out of the lock, and then
// `npm ci` takes the lock for out of date. Here they are entered by name and version, with the platform they are for,
// so that every machine skips what is not its own. Addresses are left out: each machine asks its own registry.
import { execFileSync } from 'node:child_process';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';

rmSync('package-lock.json', { force: true });
execFileSync('npm', ['install', '--package-lock-only', '--no-audit', '--no-fund'], { stdio: 'inherit' });
const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'));
const OS = ['android', 'darwin', 'linux', 'win32', 'freebsd', 'netbsd', 'openbsd', 'openharmony', 'sunos', 'aix'];
const CPU = ['x64', 'arm64', 'ia32', 'riscv64', 'ppc64', 's390x', 'loong64', 'mips64el', 'wasm32', 'arm'];

for (const entry of Object.values(lock.packages)) {
  delete entry.resolved;
}
for (const [path, entry] of Object.entries({ ...lock.packages })) {
  for (const [name, version] of Object.entries(entry.optionalDependencies ?? {})) {
    if (lock.packages[`${path}/node_modules/${name}`] || lock.packages[`node_modules/${name}`]) continue;
    const words = name
      .replace('linuxmusl', 'linux-musl')
      .replace('armv6', 'arm')
      .replace('webcontainers-', '')
      .split(/[-/]/);
    const os = OS.find((o) => words.includes(o)) ?? (words.includes('win32') ? 'win32' : undefined);
    const cpu = CPU.find((c) => words.includes(c));
    if (!os && !cpu) throw new Error(`${name}: an optional package that names no platform`);
    lock.packages[`node_modules/${name}`] = {
      version: version.replace(/^[\^~]/, ''),
      ...(cpu ? { cpu: [cpu] } : {}),
      ...(entry.dev ? { dev: true } : {}),
      ...(words.includes('musl') ? { libc: ['musl'] } : {}),
      optional: true,
      ...(os ? { os: [os] } : {}),
    };
  }
}
lock.packages = Object.fromEntries(Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : 1)));
writeFileSync('package-lock.json', `${JSON.stringify(lock, null, 2)}\n`);
