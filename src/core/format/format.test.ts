import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { boards, change, demoJob, derive, jobOf, places } from '../../../tests/fixtures/demo';
import { blanksOf } from '../layout/blanks';
import { labelsOfPiece } from '../layout/labels';
import { planLayout } from '../layout/plan-layout';
import { cutList } from './cut-list';
import { writeCutListCsv } from './cut-list-csv';
import { fileName } from './file-name';
import { readJobFile, writeJobFile } from './job-file';
import { writeLayoutSvg } from './layout-svg';
import { rackColumns, readRackCsv, writeRackCsv } from './rack-csv';

const job = derive(demoJob('1-square-table'));
const layout = planLayout(job.demand, job.boards, { ...job.layoutOptions, effort: 200 });

describe('the rack as CSV', () => {
  it('comes back as it went out', () => {
    const { rows, problems } = readRackCsv(writeRackCsv(boards), 'metric');
    expect(problems).toEqual([]);
    expect(rows.flatMap((r) => r.problems)).toEqual([]);
    expect(rows.map((r) => r.board)).toEqual(boards.map(({ id: _, ...board }) => board));
  });

  it('comes back whatever is written in a note, formulas too', () => {
    const text = fc.string({ maxLength: 60 }).map((s) => s.replaceAll('\u0000', '').trim());
    fc.assert(
      fc.property(text, (note) => {
        fc.pre(!note.startsWith("'"));
        const { id: _, ...first } = boards[0]!;
        expect(readRackCsv(writeRackCsv([{ ...first, note }]), 'metric').rows[0]?.board?.note).toBe(note.trim());
      }),
    );
  });

  it('takes columns in any order, inches, and units in the cells', () => {
    const csv =
      'Width in,tag,Length,species,thickness\n7 1/2,Q1,"8\' 2""",oak-white,8/4\n180 mm,Q2,2480 mm,OAK-WHITE,"1 1/2"""\n';
    const { rows } = readRackCsv(csv, 'inch');
    expect(rows.flatMap((r) => r.problems)).toEqual([]);
    expect(rows[0]!.board).toMatchObject({
      tag: 'Q1',
      width: 190.5,
      length: 98 * 25.4,
      thickness: 50.8,
      quarters: 8,
      surface: 'rough',
    });
    expect(rows[1]!.board).toMatchObject({ width: 180, length: 2480, species: 'oak-white' });
  });

  it('takes columns for what they most likely are, and as the maker says they are', () => {
    const csv = 'Board,Timber,Len (mm),W (mm),Thk,Remarks,Bin\nQ1,White oak,2400,180,38,clear,7\n';
    expect(rackColumns(csv).map(({ field, unit }) => [field, unit])).toEqual([
      ['tag', undefined],
      ['species', undefined],
      ['length', 'metric'],
      ['width', 'metric'],
      ['thickness', undefined],
      ['note', undefined],
      [null, undefined],
    ]);
    expect(readRackCsv(csv, 'metric').rows[0]?.board).toMatchObject({ tag: 'Q1', species: 'oak-white', note: 'clear' });
    const fields = ['tag', 'species', 'length', 'width', 'thickness', null, 'stored_at'];
    const [row] = readRackCsv(csv, 'metric', [], fields).rows;
    expect(row?.board).toMatchObject({ note: '', storedAt: '7' });
    const woods = ['White oak', 'bigleaf', 'Oak', 'x'].map((wood, i) => `B${i},${wood},2000,200,38`);
    const named = readRackCsv(`tag,wood,length,width,thickness\n${woods.join('\n')}\n`, 'metric').rows;
    // Oak alone may be several woods.
    expect(named.map((r) => r.board?.species)).toEqual(['oak-white', 'maple-bigleaf', undefined, undefined]);
    const { problems } = readRackCsv(csv, 'metric', [], [null, ...fields.slice(1)]);
    expect(problems[0]?.problem).toBe('Columns are missing: tag.');
  });

  it('tells each row its own faults, with the line and the column', () => {
    const csv =
      'tag,species,length_mm,width_mm,thickness_mm,defects\nA,oak-white,wide,200,30,\nB,plastic,2000,200,30,\nC,oak-white,2000,200,30,hole 1 2 3 4\nD,oak-white,2000,200,30,\nD,oak-white,2000,200,30,\n,oak-white,2000,200,30,\n';
    const { rows } = readRackCsv(csv, 'metric');
    expect(rows.map((r) => r.problems.map((p) => p.where))).toEqual([
      ['line 2, length'],
      ['line 3, species'],
      ['line 4, defects'],
      [],
      ['line 6, tag'],
      ['line 7, tag'],
    ]);
    expect(rows.filter((r) => r.board)).toHaveLength(1);
  });

  it.each(['', 'hello', 'a,b,c\n1,2,3', 'tag,species,length,width,thickness\n'])('says what %j lacks', (text) => {
    const { problems } = readRackCsv(text, 'metric');
    expect(problems).toHaveLength(1);
    expect(problems[0]!.wayOut.length).toBeGreaterThan(10);
  });
});

describe('the job file', () => {
  const text = writeJobFile(jobOf(demoJob('1-square-table')), places);

  it('comes back as it went out, with the air of its two places', () => {
    const file = readJobFile(text);
    if ('problems' in file) throw new Error(JSON.stringify(file.problems));
    expect(file.value.job).toEqual(jobOf(demoJob('1-square-table')));
    expect(file.value.places.map((p) => p.id).sort()).toEqual(['heron-ferry', 'shop']);
  });

  it('refuses a damaged file at its place', () => {
    const broken = readJobFile(text.slice(0, 700));
    expect(broken).toMatchObject({ problems: [{ problem: expect.stringMatching(/damaged/) }] });
    const comma = readJobFile(text.replace('"version": 2,', '"version": 2'));
    expect((comma as { problems: { where: string }[] }).problems[0]!.where).toMatch(/line 4/);
  });

  it('refuses a foreign file, a newer version, and values that cannot be, each with its path', () => {
    const problems = (t: string) => (readJobFile(t) as { problems: { where: string; problem: string }[] }).problems;
    expect(problems('{"a":1}')[0]!.where).toBe('file');
    expect(problems('[]').length).toBeGreaterThan(0);
    expect(problems(text.replace('"version": 2', '"version": 9'))[0]!.problem).toMatch(/another version/);
    expect(problems(text.replace('"thickness": 25', '"thickness": -25'))[0]).toMatchObject({
      where: 'job.pieces.0.form.top.thickness',
      problem: 'At least 8 mm.',
    });
    expect(problems(text.replace('"seats": 4', '"seats": "four"'))[0]!.where).toBe('job.brief.seats');
  });
});

describe('the cut list as CSV', () => {
  it('has a row a part, overall length beside shoulder length, and what is cut marked so', () => {
    const cut = derive(
      change(demoJob('1-square-table'), (d) => {
        d.bench.cut = ['leg-front-left'];
        d.bench.locks.top = { length: null, width: 841, thickness: null, on: '2027-03-20' };
      }),
    );
    const csv = writeCutListCsv(cutList(cut.piece.parts, cut.demand), {
      length: { system: 'metric' },
      decimal: 'point',
    });
    const { data } = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true });
    expect(data).toHaveLength(cut.piece.parts.length);
    expect(data.find((r) => r.part === 'Apron, front')).toMatchObject({
      overall_length_mm: '738',
      shoulder_length_mm: '670',
      state: 'to cut',
    });
    expect(data[0]).toMatchObject({ letter: 'A', width_mm: '841', state: 'cut and measured', rough_length_mm: '' });
    expect(data[1]).toMatchObject({ state: 'cut' });
  });
});

describe('the layout as SVG', () => {
  const svg = writeLayoutSvg(layout, labelsOfPiece(job.piece), boards, { system: 'metric' }, 'Square <table>');
  it('is in true millimetres, with a rectangle for every piece', () => {
    expect(svg).toMatch(/width="([\d.]+)mm" height="([\d.]+)mm" viewBox="0 0 \1 \2"/);
    expect(svg.match(/data-part=/g)).toHaveLength(blanksOf(layout.placements).length);
    const first = layout.placements[0]!;
    expect(svg).toContain(
      `width="${Math.round(first.length * 100) / 100}" height="${Math.round(first.width * 100) / 100}"`,
    );
  });
  it('escapes names', () => {
    expect(svg).toContain('<title>Square &lt;table&gt;</title>');
  });
});

it('file names are plain and never empty', () => {
  expect(fileName('Table, río & sea: “no. 4”', '.csv')).toBe('table-rio-sea-no-4.csv');
  expect(fileName('卓', '.csv')).toBe('job.csv');
});
