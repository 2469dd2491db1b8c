import Papa from 'papaparse';
import { expect, it } from 'vitest';
import { demoJob, derive } from '../../../tests/fixtures/demo';
import { type CsvStyle, writeCsv } from './csv';
import { cutList } from './cut-list';
import { writeCutListCsv } from './cut-list-csv';

const job = derive(demoJob('1-square-table'));
const rows = cutList(job.piece.parts, job.demand);
const read = (style: CsvStyle) =>
  Papa.parse<Record<string, string>>(writeCutListCsv(rows, style), { header: true, skipEmptyLines: true }).data;

it('the columns of a table say its unit, and the figures are in it', () => {
  const [metric] = read({ length: { system: 'metric' }, decimal: 'point' });
  const [inches] = read({ length: { system: 'inch', fraction: 16 }, decimal: 'point' });
  expect(metric).not.toHaveProperty('width_in');
  expect(inches).not.toHaveProperty('width_mm');
  expect(Number(inches!.width_in) * 25.4).toBeCloseTo(Number(metric!.width_mm), 1);
});

it('with a decimal comma the columns are parted by semicolons, and no figure below nought is taken for a formula', () => {
  const [comma] = read({ length: { system: 'inch' }, decimal: 'comma' });
  expect(comma!.width_in).toMatch(/^\d+(,\d+)?$/);
  const written = writeCsv([[-1.5, '=1+1', '-x']], { length: { system: 'metric' }, decimal: 'comma' });
  expect(Papa.parse(written, { delimiter: ';' }).data[0]).toEqual(['-1,5', "'=1+1", "'-x"]);
});
