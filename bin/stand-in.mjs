#!/usr/bin/env node
// A simulated device, for a shop that has none: it posts to the same route, with the same kind of token, as a real one.
//   TOKEN=… node bin/stand-in.mjs hygrometer        air of a temperate shop, a reading a minute, the last week's first
//   TOKEN=… node bin/stand-in.mjs moisture-meter    presses its pins into a board of the rack every now and then
// The token is not an argument: those can be read by everybody on the machine.
//   TALLER_URL (http://127.0.0.1:3000), EVERY (seconds between readings), PAST (days sent at the start), ONCE=1
const [kind] = process.argv.slice(2);
const token = process.env.TOKEN;
const base = process.env.TALLER_URL ?? 'http://127.0.0.1:3000';
const every = Math.max(1, Number(process.env.EVERY ?? (kind === 'hygrometer' ? 60 : 600)));
const past = Number(process.env.PAST ?? 7);
if (!['hygrometer', 'moisture-meter'].includes(kind) || !token) {
  console.error('Say which device and its token: TOKEN=… node bin/stand-in.mjs hygrometer|moisture-meter');
  process.exit(2);
}

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
/** Noise that depends on the time alone, so that a reading sent twice is the same reading. */
const noise = (at, salt) => {
  const x = Math.sin(Math.floor(at / (HOUR / 6)) * 12.9898 + salt * 78.233) * 43758.5453;
  return 2 * (x - Math.floor(x)) - 1;
};
const air = (at) => {
  const season = Math.cos((2 * Math.PI * (at - Date.UTC(2027, 6, 20))) / (365 * DAY));
  const day = Math.cos((2 * Math.PI * (at - 15 * HOUR)) / DAY);
  const weather = Math.sin(at / (3.1 * DAY)) + 0.5 * Math.sin(at / (1.3 * DAY));
  const temperature = 18.5 + 3 * season + 1.4 * day + 0.5 * weather + 0.15 * noise(at, 1);
  const relativeHumidity = 51 + 7 * season - 3 * day + 3.5 * weather + 0.6 * noise(at, 2);
  const round = (value) => Math.round(value * 10) / 10;
  return { at: new Date(at).toISOString(), temperature: round(temperature), relativeHumidity: round(relativeHumidity) };
};

async function post(readings) {
  const response = await fetch(`${base}/api/readings`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', authorization: `Bearer ${token}` },
    body: JSON.stringify({ readings }),
  });
  const reply = await response.json().catch(() => ({}));
  if (response.status === 401) {
    console.error(reply.problems?.[0]?.problem ?? 'This device is not known there.');
    process.exit(1);
  }
  for (const fault of reply.refused ?? []) console.error(`${fault.where}: ${fault.problem}`);
  return reply;
}

async function pressPins() {
  const boards = await (await fetch(`${base}/api/boards`)).json();
  const board = boards[Math.floor(Math.random() * boards.length)];
  if (!board) return undefined;
  const usual = board.moisture ?? 10;
  const reading = Math.round((usual + (Math.random() - 0.5) * 0.6) * 10) / 10;
  return { at: new Date().toISOString(), board: board.tag, reading, woodTemperature: 20 };
}

async function turn() {
  if (kind === 'hygrometer') return post([air(Math.floor(Date.now() / 1000) * 1000)]);
  const reading = await pressPins();
  return reading ? post([reading]) : undefined;
}

let waiting = 0;
const run = async () => {
  try {
    if (kind === 'hygrometer' && past > 0 && waiting === 0) {
      const now = Math.floor(Date.now() / HOUR) * HOUR;
      await post(Array.from({ length: Math.min(2000, past * 24) }, (_, i) => air(now - i * HOUR)));
    }
    await turn();
    waiting = every;
  } catch {
    // The server is away: try again, a little later each time.
    waiting = Math.min(600, Math.max(5, waiting * 2));
  }
  if (process.env.ONCE) return;
  setTimeout(run, waiting * 1000);
};
await run();
