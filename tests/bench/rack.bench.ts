import { bench, describe } from 'vitest';
import { type BoardInput, readRackCsv, writeRackCsv } from '@/core';
import { addBoards, type RackQuery, rackPart } from '@/server/board-store';
import { pool } from '@/server/pool';
import { aBoard } from '../fixtures/layout-parts';

/** A rack of its own on the database of DATABASE_URL, taken away at the end; without one there is nothing to measure. */
const BOARDS = 5000;
const [PART_MS, IMPORT_MS] = [100, 5000];

const rack: BoardInput[] = Array.from({ length: BOARDS }, (_, i) => {
  const { id: _id, ...board } = aBoard(`Q${i + 1}`, 1800 + ((i * 37) % 1200), 120 + ((i * 13) % 160), {
    species: ['ash-white', 'oak-white', 'walnut-black', 'maple-sugar'][i % 4] ?? 'oak-white',
    lot: `lot-${i % 30}`,
    tone: null,
    planes: null,
    storedAt: `bay ${i % 12}`,
    defects: Array.from({ length: i % 4 }, (_unused, d) => ({
      kind: d % 2 ? 'check' : 'knot',
      x: 100 + d * 300,
      y: 20,
      length: 40,
      width: 30,
      face: 'through',
    })),
  });
  return board;
});

const ASKED: [string, Partial<RackQuery>][] = [
  ['the first boards', {}],
  ['the last boards', { from: 4900 }],
  ['a search for two words', { find: 'bay oak' }],
  ['a search for a defect', { find: 'knot' }],
  ['one wood by length', { wood: 'oak-white', sort: 'length' }],
];

describe.skipIf(!process.env.DATABASE_URL)(
  `a rack of ${BOARDS} boards (bounds: a part ${PART_MS} ms, import ${IMPORT_MS} ms)`,
  () => {
    let workshop = '';
    const say = (what: string, ms: number, bound: number) =>
      console.log(`${what}: ${ms.toFixed(0)} ms, bound ${bound} ms: ${ms < bound ? 'held' : 'BROKEN'}`);

    bench(
      'import, then every way of asking',
      async () => {
        const made = await pool().query("insert into workshop (settings) values ('{}') returning id");
        workshop = made.rows[0].id;
        try {
          let start = performance.now();
          const read = readRackCsv(writeRackCsv(rack), 'metric');
          await addBoards(
            workshop,
            read.rows.flatMap((row) => row.board ?? []),
          );
          say('reading and importing the file', performance.now() - start, IMPORT_MS);
          await pool().query('analyze board; analyze board_defect');
          for (const [what, more] of ASKED) {
            const query: RackQuery = { shelf: 'rack', find: '', wood: '', sort: 'tag', from: 0, count: 100, ...more };
            start = performance.now();
            const part = await rackPart(workshop, query, (id) => id);
            say(`${what} (${part.total})`, performance.now() - start, PART_MS);
          }
        } finally {
          await pool().query('delete from board where workshop_id = $1', [workshop]);
          await pool().query('delete from workshop where id = $1', [workshop]);
        }
      },
      { iterations: 1, warmupIterations: 0, time: 0, warmupTime: 0 },
    );
  },
);
