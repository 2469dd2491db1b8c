import { writeFile } from 'node:fs/promises';
import { type PieceInJob, panelOfTop, planLayout } from '@/core';
import { CONSTRUCTIONS, thickBoards } from '../tests/fixtures/constructions';
import { boards, type Derived, demoJobs, derive, onlyPiece } from '../tests/fixtures/demo';

/**
 * Writes what every test piece and demo job comes to, for comparing before and after a redesign:
 * `npx tsx bin/dump-pieces.ts FILE`, then `diff` of two such files. Numbers to a ten-millionth.
 */
const [, , file] = process.argv;
if (!file) throw new Error('usage: dump-pieces FILE');

const rounded = (_: string, value: unknown) =>
  typeof value === 'number' && !Number.isInteger(value) ? Number(value.toPrecision(9)) : value;

function dumped(job: Derived) {
  const { piece, season, demand, checks, figures, operations, schedule, glueUps, layoutState } = job;
  const top = panelOfTop(job) ?? job.panels[0];
  return {
    piece,
    season: { figures: season.figures.map(({ id }) => id), moistures: season.moistures.filter((_, i) => i % 30 === 0) },
    demand,
    checks,
    figures,
    operations,
    finishedOn: schedule.finishedOn,
    workHours: schedule.workHours,
    glueUps,
    trim: top?.trim ?? null,
    laid: (top?.laid ?? []).map(({ label, width, rings, heartUp }) => ({ label, width, rings, heartUp })),
    layoutState,
  };
}

function dump(document: PieceInJob, rack: typeof boards, search: boolean) {
  const job = derive(document, { boards: rack });
  if (!search) return dumped(job);
  const layout = planLayout(job.demand, job.boards, { ...job.layoutOptions, effort: 60 });
  return { ...dumped(derive(document, { boards: rack, layout })), layout };
}

const all = Object.fromEntries([
  ...CONSTRUCTIONS.flatMap(({ name, document, bad }) => {
    const worse = structuredClone(document);
    bad.edit(worse);
    return [
      [name, dump(document, thickBoards, false)],
      [`${name}, ${bad.how}`, dump(worse, thickBoards, false)],
    ];
  }),
  ...demoJobs().map((document) => [document.name, dump(onlyPiece(document), boards, true)]),
]);
await writeFile(file, `${JSON.stringify(all, rounded, 1)}\n`);
console.log(`${Object.keys(all).length} pieces in ${file}`);
