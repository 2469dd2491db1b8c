import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { JobLine, JobPage, JobSummary } from '@/contract/replies';
import {
  asFitted,
  type CaseForm,
  type DerivedJob,
  deriveJob,
  drawnSize,
  type Form,
  findSpecies,
  type JobDocument,
  madeParts,
  nextOperation,
  ownedChecks,
  type Place,
  plainText,
  type Shop,
  type SmallDrawing,
  smallDrawing,
} from '@/core';
import { asRead } from './job-store';
import { pool } from './pool';
import { UUID } from './refusal';
import { currentWorkshop, placesOf } from './workshop-store';

export interface JobQuery {
  bin: boolean;
  /** Letters that the name or the client has. */
  find: string;
  order: JobOrder;
  /** Where the page before ended. */
  after: string | null;
  count: number;
}

/** How a list is ordered: what its places are in SQL, how one is written as text, and what such a text looks like. */
interface ListOrder {
  key: string;
  text: string;
  read: string;
  down: boolean;
  place: RegExp;
}

const ORDERS = {
  changed: {
    key: 'changed_at',
    text: `to_char(changed_at at time zone 'UTC', 'YYYY-MM-DD HH24:MI:SS.US')`,
    read: `($2 || 'Z')::timestamptz`,
    down: true,
    place: /^(\d{4}-\d\d-\d\d[ T][\d:.]+)\/([0-9a-f-]{36})$/,
  },
  due: {
    key: `coalesce(nullif(due_on, ''), '9999')`,
    text: `coalesce(nullif(due_on, ''), '9999')`,
    read: '$2',
    down: false,
    place: /^([\d-]{4,10})\/([0-9a-f-]{36})$/,
  },
  name: { key: 'lower(name)', text: 'lower(name)', read: '$2', down: false, place: /^(.{0,400})\/([0-9a-f-]{36})$/s },
} as const satisfies Record<string, ListOrder>;

export type JobOrder = keyof typeof ORDERS;
const isOrder = (text: string): text is JobOrder => Object.hasOwn(ORDERS, text);

/** Jobs sent at once, unless fewer are asked for. */
const MOST = 50;

/** The query of an address: ?find=&order=&after=&count=, and &bin. */
export function jobQueryOf(query: URLSearchParams): JobQuery {
  const count = Number.parseInt(query.get('count') ?? '', 10);
  const order = query.get('order') ?? '';
  return {
    bin: query.has('bin'),
    find: plainText(query.get('find') ?? '')
      .trim()
      .slice(0, 200),
    order: isOrder(order) ? order : 'changed',
    after: query.get('after'),
    count: Number.isFinite(count) ? Math.min(MOST, Math.max(1, count)) : MOST,
  };
}

/** A place that is none begins at the beginning. */
function placeOf(order: JobOrder, after: string | null): readonly (string | undefined)[] {
  const place = ORDERS[order].place.exec(after ?? '');
  if (!place || !UUID.test(place[2] ?? '')) return [];
  return order === 'changed' && Number.isNaN(Date.parse(`${place[1]}Z`)) ? [] : place;
}

/** One page of the jobs in an order. */
export async function jobPage(workshopId: string, query: JobQuery): Promise<JobPage> {
  const { rows, more } = await pageOf(workshopId, query, 'null');
  return { jobs: rows.map(({ picture: _, ...line }) => line), more };
}

/** The same, each job with its small drawing where that is known. */
export async function drawnJobPage(workshopId: string, query: JobQuery) {
  const { rows, more } = await pageOf(workshopId, query, 'picture');
  return { jobs: rows, more };
}

/** A job in the list as it is drawn; its picture is null while it is being computed. */
export type DrawnJobLine = JobLine & { picture: SmallDrawing | null };

async function pageOf(
  workshopId: string,
  { bin, find, order, after, count }: JobQuery,
  picture: 'null' | 'picture',
): Promise<{ rows: DrawnJobLine[]; more: string | null }> {
  const { key, text, read, down } = ORDERS[order];
  const [, from = null, last = null] = placeOf(order, after);
  const way = down ? 'desc' : 'asc';
  const { rows } = await pool().query(
    `select id, name, client, due_on as "dueOn", case when summary_of = revision then summary end as summary,
            case when summary_of = revision then ${picture} end as picture, ${text} as place
     from job
     where workshop_id = $1 and deleted_at is ${bin ? 'not null' : 'null'}
       and ($2::text is null or (${key}, id) ${down ? '<' : '>'} (${read}, $3::uuid))
       and ($4 = '' or position($4 in lower(name || ' ' || client)) > 0)
     order by ${key} ${way}, id ${way} limit $5`,
    [workshopId, from, last, find.toLowerCase(), count + 1],
  );
  const page = rows.slice(0, count);
  const end = rows.length > count ? page.at(-1) : undefined;
  return { rows: page.map(({ place: _, ...line }) => line), more: end ? `${end.place}/${end.id}` : null };
}

/** What the list says of a job, and its small drawing. */
export function listedOf(
  document: JobDocument,
  shop: Shop,
  places: readonly Place[],
): { summary: JobSummary; picture: SmallDrawing } {
  const derived = deriveJob({ document, shop, places, boards: null, layouts: [] });
  const whole: DerivedJob | null = 'pieces' in derived ? derived : null;
  const made = whole ? whole.pieces.flatMap(({ piece }) => madeParts(piece)) : [];
  const [first] = document.pieces;
  const species = document.woods.map((wood) => findSpecies(wood.species, shop.species)?.commonName ?? wood.species);
  // Pieces that are alike are drawn once.
  const drawn = whole ? whole.pieces.filter(({ instance }) => instance === 1).slice(0, MOST_DRAWN) : [];
  return {
    summary: {
      species: [...new Set(species)].join(', '),
      pieces: document.pieces.reduce((sum, { count }) => sum + count, 0),
      ...(first ? sizeOf(first.form) : { length: 0, width: 0 }),
      cut: made.filter((part) => part.cut).length,
      parts: made.length,
      stops: whole ? ownedChecks(whole).filter(({ check }) => check.level === 'stop').length : 0,
      next: whole ? nextOperation(whole) : null,
      finishedOn: whole?.schedule.finishedOn ?? null,
    },
    picture: smallDrawing(drawn.map(({ piece }) => piece)),
  };
}

/** As it is drawn: a table from above, a case from the front. mm */
const sizeOf = (form: Form) => (form.build === 'table' ? drawnSize(form.top) : caseSize(asFitted(form)));
const caseSize = ({ width, height }: CaseForm) => ({ length: width, width: height });

/** Of a job of many pieces so many are drawn in the list. */
const MOST_DRAWN = 4;

/** Which Taller computes: another one may say otherwise of the same decisions. */
const build = (): string => {
  try {
    return readFileSync(join(process.cwd(), process.env.TALLER_DIST ?? '.next', 'BUILD_ID'), 'utf8').trim();
  } catch {
    return 'unknown';
  }
};

/** Computed in one go; between two of them other quick work has its turn. */
const AT_ONCE = 20;

/**
 * Computes some of what the list lacks, those changed last first; run in a thread.
 *
 * @returns whether there may be more
 */
export async function makeSummaries(): Promise<boolean> {
  const by = build();
  const { id: workshopId, settings } = await currentWorkshop();
  const places = await placesOf(workshopId);
  const { rows } = await pool().query(
    `select j.id, j.revision, r.document from job j join job_revision r on r.job_id = j.id and r.revision = j.revision
     where j.workshop_id = $1 and (j.summary_of is distinct from j.revision or j.summary_by is distinct from $2)
     order by j.changed_at desc limit $3`,
    [workshopId, by, AT_ONCE],
  );
  for (const { id, revision, document } of rows) {
    const listed = listedOrNothing(id, document, settings, places);
    await pool().query(
      'update job set summary = $3, picture = $5, summary_of = $2, summary_by = $4 where id = $1 and revision = $2',
      [id, revision, listed?.summary ?? null, by, listed?.picture ?? null],
    );
  }
  return rows.length === AT_ONCE;
}

/** A document that no longer reads has no summary, and does not keep the others waiting for theirs. */
function listedOrNothing(id: string, document: unknown, shop: Shop, places: readonly Place[]) {
  try {
    return listedOf(asRead(id, document), shop, places);
  } catch (error) {
    console.error(error);
    return null;
  }
}
