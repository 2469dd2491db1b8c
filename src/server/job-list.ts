import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { JobPage, JobSummary } from '@/contract/replies';
import {
  type DerivedJob,
  deriveJob,
  drawnSize,
  findSpecies,
  type JobDocument,
  madeParts,
  ownedChecks,
  type Place,
  plainText,
  type Shop,
} from '@/core';
import { asRead } from './job-store';
import { pool } from './pool';
import { UUID } from './refusal';
import { currentWorkshop, placesOf } from './workshop-store';

export interface JobQuery {
  bin: boolean;
  /** Letters that the name or the client has. */
  find: string;
  /** Where the page before ended. */
  after: string | null;
  count: number;
}

/** Jobs sent at once, unless fewer are asked for. */
const MOST = 50;

/** The query of an address: ?find=&after=&count=, and &bin. */
export function jobQueryOf(query: URLSearchParams): JobQuery {
  const count = Number.parseInt(query.get('count') ?? '', 10);
  return {
    bin: query.has('bin'),
    find: plainText(query.get('find') ?? '')
      .trim()
      .slice(0, 200),
    after: query.get('after'),
    count: Number.isFinite(count) ? Math.min(MOST, Math.max(1, count)) : MOST,
  };
}

/** Where a page ends: when its last job was changed, and which it is. */
const PLACE = /^(\d{4}-\d\d-\d\d[ T][\d:.]+)\/([0-9a-f-]{36})$/;

/** A place that is none begins at the beginning. */
const placeOf = (after: string | null): readonly (string | undefined)[] => {
  const place = PLACE.exec(after ?? '');
  return place && !Number.isNaN(Date.parse(`${place[1]}Z`)) && UUID.test(place[2] ?? '') ? place : [];
};

/** One page of the jobs, those changed last first. */
export async function jobPage(workshopId: string, { bin, find, after, count }: JobQuery): Promise<JobPage> {
  const [, changed = null, last = null] = placeOf(after);
  const { rows } = await pool().query(
    `select id, name, client, due_on as "dueOn", case when summary_of = revision then summary end as summary,
            to_char(changed_at at time zone 'UTC', 'YYYY-MM-DD HH24:MI:SS.US') as changed
     from job
     where workshop_id = $1 and deleted_at is ${bin ? 'not null' : 'null'}
       and ($2::text is null or (changed_at, id) < (($2 || 'Z')::timestamptz, $3::uuid))
       and ($4 = '' or position($4 in lower(name || ' ' || client)) > 0)
     order by changed_at desc, id desc limit $5`,
    [workshopId, changed, last, find.toLowerCase(), count + 1],
  );
  const page = rows.slice(0, count);
  const end = rows.length > count ? page.at(-1) : undefined;
  return {
    jobs: page.map(({ changed: _, ...line }) => line),
    more: end ? `${end.changed}/${end.id}` : null,
  };
}

export function summaryOf(document: JobDocument, shop: Shop, places: readonly Place[]): JobSummary {
  const derived = deriveJob({ document, shop, places, boards: null, layouts: [] });
  const whole: DerivedJob | null = 'pieces' in derived ? derived : null;
  const made = whole ? whole.pieces.flatMap(({ piece }) => madeParts(piece)) : [];
  const [first] = document.pieces;
  const species = document.woods.map((wood) => findSpecies(wood.species, shop.species)?.commonName ?? wood.species);
  return {
    species: [...new Set(species)].join(', '),
    pieces: document.pieces.reduce((sum, { count }) => sum + count, 0),
    ...(first ? drawnSize(first.form.top) : { length: 0, width: 0 }),
    cut: made.filter((part) => part.cut).length,
    parts: made.length,
    stops: whole ? ownedChecks(whole).filter(({ check }) => check.level === 'stop').length : 0,
  };
}

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
    const summary = summaryOrNothing(id, document, settings, places);
    await pool().query(
      'update job set summary = $3, summary_of = $2, summary_by = $4 where id = $1 and revision = $2',
      [id, revision, summary, by],
    );
  }
  return rows.length === AT_ONCE;
}

/** A document that no longer reads has no summary, and does not keep the others waiting for theirs. */
function summaryOrNothing(id: string, document: unknown, shop: Shop, places: readonly Place[]): JobSummary | null {
  try {
    return summaryOf(asRead(id, document), shop, places);
  } catch (error) {
    console.error(error);
    return null;
  }
}
