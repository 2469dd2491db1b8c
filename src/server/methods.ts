import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { marked } from 'marked';
import { type OwnSpecies, speciesWith } from '@/core';

/** docs/methods.md as a page, with the table of species at its end. */
export async function methodsHtml(own: readonly OwnSpecies[]): Promise<string> {
  const text = await readFile(join(process.cwd(), 'docs/methods.md'), 'utf8');
  const rows = speciesWith(own).map(
    (s) =>
      `| ${s.commonName.replace(/[|<>\n]/g, ' ')} | ${s.id} | ${s.coefficientRadial.toFixed(5)} | ${s.coefficientTangential.toFixed(5)} | ${s.specificGravity} | ${s.modulusOfElasticity} | ${s.modulusOfRupture} | ${s.source === 'own' ? (s.sourceNote ?? '').replace(/[|<>\n]/g, ' ') : s.source} |`,
  );
  const table = [
    '## Species',
    '',
    '| Wood | Id | C radial | C tangential | G at 12 % | E, MPa | MOR, MPa | Source |',
    '|---|---|---|---|---|---|---|---|',
    ...rows,
  ].join('\n');
  return marked.parse(`${text}\n\n${table}\n`, { async: true });
}
