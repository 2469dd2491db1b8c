import Papa from 'papaparse';
import { read } from '../decision/issues';
import { parseLength, type UnitSystem } from '../measure/length';
import type { Problem } from '../measure/problem';
import { type BoardInput, BoardSchema, DEFECT_FACES, DEFECT_KINDS, type Defect } from '../stock/board';
import { findSpecies, type OwnSpecies, speciesWith } from '../wood/species';

/** The columns of a rack file, in the order they are written. Lengths in mm. */
export const RACK_COLUMNS = [
  'tag',
  'species',
  'length_mm',
  'width_mm',
  'thickness_mm',
  'quarters',
  'surface',
  'ring_angle',
  'moisture',
  'moisture_on',
  'lot',
  'note',
  'defects',
  'pith_distance_mm',
  'pith_offset_mm',
  'far_width_mm',
  'live_near_mm',
  'live_far_mm',
  'twist_mm',
  'bow_mm',
  'cup_mm',
  'price',
  'price_per',
  'stored_at',
  'tone',
  'planes',
  'heights_mm',
] as const;

export interface RackRow {
  /** Line in the file, the header being line 1. */
  line: number;
  board?: BoardInput;
  problems: Problem[];
}

/**
 * Boards as CSV; defects as `kind x y length width face`, the face left out where it is through, parted by semicolons;
 * heights as three across, parted by spaces, for each of three places along, parted by semicolons.
 */
export function writeRackCsv(boards: readonly BoardInput[]): string {
  const rows = boards.map((b) => [
    b.tag,
    b.species,
    b.length,
    b.width,
    b.thickness,
    b.quarters ?? '',
    b.surface,
    b.ringAngle,
    b.moisture ?? '',
    b.moistureOn ?? '',
    b.lot,
    b.note,
    b.defects
      .map((d) => [d.kind, d.x, d.y, d.length, d.width, ...(d.face === 'through' ? [] : [d.face])].join(' '))
      .join('; '),
    b.ringCentre?.distance ?? '',
    b.ringCentre?.offset ?? '',
    b.farWidth ?? '',
    b.liveEdges.near || '',
    b.liveEdges.far || '',
    b.crook?.twist ?? '',
    b.crook?.bow ?? '',
    b.crook?.cup ?? '',
    b.price?.amount ?? '',
    b.price?.per ?? '',
    b.storedAt,
    b.tone ?? '',
    b.planes ?? '',
    b.heights?.map((row) => row.join(' ')).join('; ') ?? '',
  ]);
  return `${Papa.unparse([[...RACK_COLUMNS], ...rows], { escapeFormulae: true, newline: '\n' })}\n`;
}

/** Fields of a board that a column may hold, and what makers head such columns with. */
const FIELDS: Readonly<Record<string, readonly string[]>> = {
  tag: ['tag', 'board', 'no', 'number', 'id', 'label', 'mark'],
  species: ['species', 'wood', 'timber', 'lumber', 'kind'],
  length: ['length', 'long', 'len', 'l'],
  width: ['width', 'wide', 'w'],
  thickness: ['thickness', 'thick', 'thk', 't'],
  quarters: ['quarters'],
  surface: ['surface', 'state'],
  ring_angle: ['ring_angle', 'rings', 'angle'],
  moisture: ['moisture', 'mc', 'moisture_content', 'humidity'],
  moisture_on: ['moisture_on', 'read_on', 'date', 'measured'],
  lot: ['lot', 'log', 'flitch', 'batch'],
  note: ['note', 'notes', 'remarks', 'comment'],
  defects: ['defects', 'faults'],
  pith_distance: ['pith_distance'],
  pith_offset: ['pith_offset'],
  far_width: ['far_width', 'width_2', 'other_width'],
  live_near: ['live_near'],
  live_far: ['live_far'],
  twist: ['twist', 'wind'],
  bow: ['bow'],
  cup: ['cup'],
  price: ['price', 'cost'],
  price_per: ['price_per', 'per'],
  stored_at: ['stored_at', 'place', 'bay', 'location', 'shelf', 'where'],
  tone: ['tone', 'colour', 'color'],
  planes: ['planes', 'planes_toward'],
  heights: ['heights'],
};
export const RACK_FIELDS = Object.keys(FIELDS);
const NEEDED = ['tag', 'species', 'length', 'width', 'thickness'];

/** A column of a file that is being looked at: its heading, the field it is taken for, and its first cells. */
export interface FileColumn {
  heading: string;
  field: string | null;
  /** Of lengths: the unit its heading says. */
  unit?: UnitSystem;
  first: readonly string[];
}

/** The columns of a rack file, each taken for the field its heading most likely means. */
export function rackColumns(text: string): FileColumn[] {
  const [heading = [], ...body] = parse(text, 4);
  const taken = new Set<string>();
  return heading.map((said, i) => {
    const { name, unit } = headingOf(said);
    const field = RACK_FIELDS.find((f) => FIELDS[f]?.includes(name) && !taken.has(f)) ?? null;
    if (field) taken.add(field);
    return { heading: said, field, ...(unit ? { unit } : {}), first: body.map((cells) => cells[i] ?? '') };
  });
}

const parse = (text: string, preview = 0): string[][] =>
  Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy', preview }).data;

/**
 * Reads a rack file. Columns in any order, told by their heading; lengths may carry a unit ("8' 2\"", "2480 mm") or
 * take that of the heading (`length_mm`, `length_in`) or of the workshop. Every row is read; each tells its own faults.
 *
 * @param fields what each column is, where the maker has said so; null for one that is left out
 */
export function readRackCsv(
  text: string,
  system: UnitSystem,
  own: readonly OwnSpecies[] = [],
  fields?: readonly (string | null)[],
): { rows: RackRow[]; problems: Problem[] } {
  const [heading, ...body] = parse(text);
  if (!heading || heading.length < 2) {
    return {
      rows: [],
      problems: [
        {
          problem: 'This does not read as a table of boards.',
          where: 'line 1',
          wayOut: `The first line names the columns: ${RACK_COLUMNS.join(', ')}.`,
        },
      ],
    };
  }
  const guessed = rackColumns(text);
  const columns = guessed.map(({ field, unit }, i) => ({ name: fields ? (fields[i] ?? null) : field, unit }));
  const known = new Set(columns.map((column) => column.name));
  const missing = NEEDED.filter((name) => !known.has(name));
  if (missing.length > 0) {
    return {
      rows: [],
      problems: [
        {
          problem: `Columns are missing: ${missing.join(', ')}.`,
          where: 'line 1',
          wayOut: `Say which columns hold them, or name the columns as ${RACK_COLUMNS.join(', ')}; the order does not matter.`,
        },
      ],
    };
  }

  const seen = new Map<string, number>();
  const rows = body.map((cells, i): RackRow => {
    const line = i + 2;
    const problems: Problem[] = [];
    const cell = (name: string) => {
      const at = columns.findIndex((column) => column.name === name);
      return { text: (cells[at] ?? '').trim(), unit: columns[at]?.unit };
    };
    const where = (name: string) => `line ${line}, ${name}`;
    const size = (name: string, allowNegative = false) => {
      const { text: said, unit } = cell(name);
      const parsedLength = parseLength(said, unit ?? system, { allowNegative });
      if ('mm' in parsedLength) return parsedLength;
      problems.push({ problem: parsedLength.problem, where: where(name), wayOut: 'Write the length again.' });
      return { mm: Number.NaN };
    };
    const number = (name: string) => {
      const said = cell(name).text.replace(',', '.');
      if (said === '') return null;
      const value = Number(said);
      if (Number.isFinite(value)) return value;
      problems.push({
        problem: `“${said}” is not a number.`,
        where: where(name),
        wayOut: 'Write a number, or leave it empty.',
      });
      return null;
    };

    const thickness: { mm: number; quarters?: number } = size('thickness');
    const quarters = number('quarters') ?? thickness.quarters ?? null;
    const optional = (name: string, allowNegative = false) =>
      cell(name).text === '' ? null : size(name, allowNegative).mm;
    const distance = optional('pith_distance');
    const offset = optional('pith_offset', true);
    const crook = { twist: optional('twist'), bow: optional('bow'), cup: optional('cup') };
    const price = number('price');
    const defects = readDefects(cell('defects').text, where('defects'), problems);
    const input = {
      tag: unescapeFormula(cell('tag').text),
      species: speciesId(unescapeFormula(cell('species').text), own),
      length: size('length').mm,
      width: size('width').mm,
      thickness: thickness.mm,
      quarters,
      surface: cell('surface').text.toLowerCase() || 'rough',
      ringAngle: number('ring_angle') ?? 0,
      ringCentre: distance === null ? null : { distance, offset: offset ?? 0 },
      farWidth: optional('far_width'),
      liveEdges: { near: optional('live_near') ?? 0, far: optional('live_far') ?? 0 },
      crook: Object.values(crook).every((value) => value === null)
        ? null
        : { twist: crook.twist ?? 0, bow: crook.bow ?? 0, cup: crook.cup ?? 0 },
      price: price === null ? null : { amount: price, per: cell('price_per').text.toLowerCase() || 'board-foot' },
      storedAt: unescapeFormula(cell('stored_at').text),
      heights: cell('heights').text === '' ? null : readHeights(cell('heights').text),
      tone: number('tone'),
      planes: cell('planes').text.toLowerCase() || null,
      moisture: number('moisture'),
      moistureOn: cell('moisture_on').text || null,
      lot: unescapeFormula(cell('lot').text),
      note: unescapeFormula(cell('note').text),
      defects,
    };
    if (problems.length === 0) {
      const result = read(BoardSchema, input, 'board');
      if ('problems' in result) problems.push(...result.problems.map((p) => ({ ...p, where: where(p.where) })));
      else if (!findSpecies(result.value.species, own)) {
        problems.push({
          problem: `There is no species “${result.value.species}”.`,
          where: where('species'),
          wayOut: 'Use a name like White oak or an id like oak-white; the Methods page lists them.',
        });
      } else {
        const before = seen.get(result.value.tag);
        if (before !== undefined) {
          problems.push({
            problem: `Tag ${result.value.tag} stands on line ${before} too.`,
            where: where('tag'),
            wayOut: 'Give each board its own tag.',
          });
        } else {
          seen.set(result.value.tag, line);
          return { line, board: result.value, problems };
        }
      }
    }
    return { line, problems };
  });
  return {
    rows,
    problems:
      rows.length === 0
        ? [{ problem: 'There are no boards under the heading.', where: 'line 2', wayOut: 'Add a line for each board.' }]
        : [],
  };
}

/** A wood by its id, by the name it is called by, or by a part of it that no other wood has. */
function speciesId(said: string, own: readonly OwnSpecies[]): string {
  const plain = said.trim().toLowerCase();
  const woods = speciesWith(own);
  const named = woods.find((s) => s.id === plain || s.commonName.toLowerCase() === plain);
  if (named) return named.id;
  const [like, ...others] = plain.length > 2 ? woods.filter((s) => s.commonName.toLowerCase().includes(plain)) : [];
  return like && others.length === 0 ? like.id : plain;
}

/** Written with a leading ' so that no spreadsheet takes a note for a formula. */
const unescapeFormula = (text: string) => text.replace(/^'(?=[=+\-@\t\r])/, '');

function headingOf(text: string): { name: string; unit?: UnitSystem } {
  const plain = text
    .trim()
    .toLowerCase()
    .replace(/[\s-]+/g, '_');
  const unit = /(?:_[([]?|[([])(mm|in|inch|inches)[)\]]?$/.exec(plain);
  if (!unit) return { name: plain };
  return { name: plain.slice(0, unit.index), unit: unit[1] === 'mm' ? 'metric' : 'inch' };
}

/** What is no number is left for the board's schema to refuse. */
const readHeights = (text: string) => text.split(';').map((row) => row.trim().split(/\s+/).map(Number));

function readDefects(text: string, where: string, problems: Problem[]): Defect[] {
  return text
    .split(';')
    .map((part) => part.trim())
    .filter(Boolean)
    .flatMap((part) => {
      const [kind = '', ...rest] = part.split(/\s+/);
      const [x = Number.NaN, y = Number.NaN, length = Number.NaN, width = Number.NaN] = rest.slice(0, 4).map(Number);
      const known = DEFECT_KINDS.find((k) => k === kind.toLowerCase());
      const face = rest.length === 4 ? 'through' : DEFECT_FACES.find((f) => f === rest[4]?.toLowerCase());
      if (known && face && rest.length <= 5 && [x, y, length, width].every((n) => Number.isFinite(n))) {
        return [{ kind: known, x, y, length, width, face }];
      }
      problems.push({
        problem: `“${part}” does not read as a defect.`,
        where,
        wayOut: `Write kind and four millimetre figures, like “knot 410 90 60 45”, with “tagged” or “under” behind where only one face shows it; kinds are ${DEFECT_KINDS.join(', ')}.`,
      });
      return [];
    });
}
