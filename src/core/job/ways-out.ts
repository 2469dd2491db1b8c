import type { Check, Level, WayOut } from '../check/check';
import type { Shop } from '../decision/shop';
import { changedJob } from '../document/change-job';
import { type Change, type JobDocument, valueAt, withChanges } from '../document/job-document';
import { MM_PER_INCH } from '../measure/length';
import { type Phrase, type Quantity, say } from '../measure/quantity';
import { type DerivedJob, deriveJob } from './derive-job';
import type { JobInputs } from './inputs';
import { type OwnedCheck, ownedChecks } from './shown-piece';

/** The way out of one check, tried: with changes it is a button that cures, without them it is advice in words. */
export interface ProvenWayOut {
  owner: string;
  check: string;
  wayOut: WayOut;
}

const RANK: Record<Level, number> = { stop: 0, watch: 1, good: 2 };
/** How far beyond and before a proposed figure others are tried, as shares of the change. */
const FARTHER = [1, 1.25, 1.6, 2, 3, 4.5];
const BISECTIONS = 4;

/** Numbered checks of one kind, such as ties that fight, are compared by how many there are. */
const kindOf = (id: string) => id.replace(/-\d+$/, '');

/** Checks of one kind about one thing. */
const familyOf = ({ owner, check }: OwnedCheck) => `${owner} ${kindOf(check.id)}`;

/** How many checks of each kind are at a level or worse. */
function countsByFamily(checks: readonly OwnedCheck[], worst: Level): Map<string, number> {
  const counts = new Map<string, number>();
  for (const own of checks) {
    if (RANK[own.check.level] <= RANK[worst]) counts.set(familyOf(own), (counts.get(familyOf(own)) ?? 0) + 1);
  }
  return counts;
}

/** What some changes do to a check, and what else they bring. */
interface Trial {
  cured: boolean;
  /** Checks that stop the work now and did not before, or stop it more; against a check that only watches, those that watch too. */
  stops: readonly Check[];
  job: DerivedJob | null;
}

type Try = (changes: readonly Change[]) => Trial;

/** Whether changes mend a check and stop nothing else: the whole job is derived with them. */
export function tryChanges(
  inputs: JobInputs,
  job: DerivedJob,
  { owner, check }: OwnedCheck,
  changes: readonly Change[],
): Trial {
  const failed = { cured: false, stops: [], job: null };
  const changed = changedJob(inputs.document, changes);
  if ('problems' in changed || changed.value === inputs.document) return failed;
  const after = deriveJob({ ...inputs, document: changed.value });
  if (!('pieces' in after)) return failed;
  const [before, now] = [ownedChecks(job), ownedChecks(after)];
  const family = familyOf({ owner, check });
  const numbered = kindOf(check.id) !== check.id;
  const same = now.find((own) => own.owner === owner && own.check.id === check.id)?.check;
  const countIn = (checks: readonly OwnedCheck[]) => countsByFamily(checks, check.level).get(family) ?? 0;
  return {
    cured: numbered ? countIn(now) < countIn(before) : !same || RANK[same.level] > RANK[check.level],
    stops: [
      ...newAt('stop', before, now),
      ...worseNow(before, now, { owner, check }),
      ...(check.level === 'watch' ? newAt('watch', before, now) : []),
    ],
    job: after,
  };
}

/** Checks that stopped the work before and are farther from their limit now. */
function worseNow(before: readonly OwnedCheck[], now: readonly OwnedCheck[], mended: OwnedCheck): Check[] {
  const idOf = ({ owner, check }: OwnedCheck) => `${owner} ${check.id}`;
  const stopped = new Map(before.filter(({ check }) => check.level === 'stop').map((own) => [idOf(own), own.check]));
  const over = ({ value, limit }: Check) => Math.abs(value.amount - limit.amount);
  return now
    .filter((own) => {
      const was = stopped.get(idOf(own));
      const stops = own.check.level === 'stop' && idOf(own) !== idOf(mended);
      return stops && was !== undefined && over(own.check) > 1.02 * over(was) + 1e-6;
    })
    .map(({ check }) => check);
}

/** Checks that are at a level now, of kinds of which fewer were at it or worse before. */
function newAt(level: Level, before: readonly OwnedCheck[], now: readonly OwnedCheck[]): Check[] {
  const [was, is] = [countsByFamily(before, level), countsByFamily(now, level)];
  return now
    .filter((own) => own.check.level === level && (is.get(familyOf(own)) ?? 0) > (was.get(familyOf(own)) ?? 0))
    .map(({ check }) => check);
}

/**
 * The ways out of every check that is not good, of those given, tried on the job itself: a proposal is shown as a button only when with it
 * the check comes out better and nothing else stops. A proposed figure that is not enough, or too much, is moved until it
 * is right and round in the shop's units; a proposal that makes another check stop is tried together with that check's own;
 * and where nothing helps the words say what would give.
 *
 * Yields what is found as it is found, since each trial derives the whole job.
 */
export function* waysOut(
  inputs: JobInputs,
  job: DerivedJob,
  checks: readonly OwnedCheck[] = ownedChecks(job),
): Generator<ProvenWayOut[], ProvenWayOut[]> {
  const found: ProvenWayOut[] = [];
  for (const own of checks) {
    const { owner, check } = own;
    if (check.level === 'good' || !check.wayOut) continue;
    const search = searchWayOut(inputs, job, own);
    for (;;) {
      const step = search.next();
      if (step.done) {
        found.push({ owner, check: check.id, wayOut: step.value });
        break;
      }
      yield found;
    }
    yield found;
  }
  return found;
}

/** What came closest to a way out: it mends the check but stops something else, or it is not enough. */
interface Miss {
  proposal: WayOut;
  trial: Trial;
}

/** The way out of one check, tried; yields after every trial. */
export function* searchWayOut(inputs: JobInputs, job: DerivedJob, own: OwnedCheck): Generator<void, WayOut> {
  const { check } = own;
  const proposals = [check.wayOut, ...(check.otherWaysOut ?? [])].flatMap((own) => own ?? []);
  const attempt: Try = (changes) => tryChanges(inputs, job, own, changes);
  const misses: Miss[] = [];
  for (const proposal of proposals) {
    if (proposal.changes.length === 0) continue;
    const outcome = yield* tryProposal(proposal, inputs.document, inputs.shop, attempt);
    if ('say' in outcome) return outcome;
    misses.push(outcome);
  }
  for (const { proposal, trial } of misses) {
    if (!trial.cured || !trial.job || trial.stops.length > 2) continue;
    const both = yield* together(proposal, trial.stops, inputs, attempt);
    if (both) return both;
  }
  // Words that name no figure stay as they are.
  const advice = proposals.find(({ changes }) => changes.length === 0);
  return advice ?? { say: whatGives(misses), changes: [] };
}

/** A proposal, its figure moved until it mends; or how near it came. */
function* tryProposal(
  proposal: WayOut,
  document: JobDocument,
  shop: Shop,
  attempt: Try,
): Generator<void, WayOut | Miss> {
  const figure = figureOf(proposal, document, shop);
  if (!figure) {
    const trial = attempt(proposal.changes);
    yield;
    return trial.cured && trial.stops.length === 0 ? proposal : { proposal, trial };
  }
  const { from, to, at, snap } = figure;
  let [near, far] = [0, 1];
  let miss: Miss | undefined;
  for (const share of FARTHER) {
    const moved = at(snap(from + (to - from) * share));
    const trial = attempt(moved.changes);
    yield;
    far = share;
    if (!trial.job) break;
    miss = { proposal: moved, trial };
    if (trial.cured) break;
    near = share;
  }
  if (!miss) return { proposal, trial: attempt(proposal.changes) };
  if (!miss.trial.cured) return miss;
  // Between what is not enough and what is: the least that mends, and what stops nothing else.
  let best = miss.trial.stops.length === 0 ? miss.proposal : undefined;
  if (best && far === 1) return best;
  for (let i = 0; i < BISECTIONS; i += 1) {
    const share = (near + far) / 2;
    const moved = at(snap(from + (to - from) * share));
    const trial = attempt(moved.changes);
    yield;
    if (!trial.cured) near = share;
    else {
      far = share;
      if (trial.stops.length === 0) best = moved;
      else if (!best) miss = { proposal: moved, trial };
    }
  }
  return best ?? miss;
}

/** A proposal and, for what it stops, that check's own proposal on top. */
function* together(
  first: WayOut,
  stops: readonly Check[],
  inputs: JobInputs,
  attempt: Try,
): Generator<void, WayOut | undefined> {
  const with1 = withChanges(inputs.document, first.changes);
  for (const stop of stops) {
    for (const second of [stop.wayOut, ...(stop.otherWaysOut ?? [])]) {
      if (!second || second.changes.length === 0) continue;
      // What the first one set is not set back.
      if (second.changes.some(({ path }) => first.changes.some((own) => own.path === path))) continue;
      const outcome = yield* tryProposal(second, with1, inputs.shop, (changes) =>
        attempt([...first.changes, ...changes]),
      );
      if ('say' in outcome)
        return {
          say: [...first.say, ', and ', ...lowerFirst(outcome.say)],
          changes: [...first.changes, ...outcome.changes],
        };
    }
  }
  return undefined;
}

/** Nothing that is proposed helps by itself: what the nearest of them comes to. */
function whatGives(misses: readonly Miss[]): Phrase {
  const gives = misses.find(({ trial }) => trial.cured && trial.stops.length > 0);
  const stop = gives?.trial.stops[0];
  if (gives && stop) {
    return [
      ...say`Both cannot be had. “`,
      ...gives.proposal.say,
      ...say`” would mend this, but then: `,
      ...withoutStop(stop.sentence),
    ];
  }
  const short = misses.find(({ trial }) => trial.job);
  return short
    ? ['“', ...short.proposal.say, '” alone is not enough; change the design']
    : say`No one figure within what can be set mends this; change the design`;
}

const withoutStop = (phrase: Phrase): Phrase => {
  const last = phrase.at(-1);
  return typeof last === 'string' ? [...phrase.slice(0, -1), last.replace(/\.$/, '')] : phrase;
};

const lowerFirst = (phrase: Phrase): Phrase => {
  const [first, ...rest] = phrase;
  return typeof first === 'string' ? [first.charAt(0).toLowerCase() + first.slice(1), ...rest] : phrase;
};

interface ProposedFigure {
  from: number;
  to: number;
  /** The proposal with another figure in its words and its change. */
  at: (value: number) => WayOut;
  /** The next round figure, away from where it is now. */
  snap: (value: number) => number;
}

const isOf = (quantity: string | Quantity, value: number): quantity is Quantity =>
  typeof quantity !== 'string' && Math.abs(quantity.amount - value) < 1e-9;

/** The one figure that a proposal changes, where its words say it. */
function figureOf(proposal: WayOut, document: JobDocument, shop: Shop): ProposedFigure | undefined {
  const [change, ...others] = proposal.changes;
  if (!change || others.length > 0 || typeof change.value !== 'number') return undefined;
  const to = change.value;
  const from = valueAt(document, change.path);
  const said = proposal.say.find((own) => isOf(own, to));
  if (typeof from !== 'number' || from === to || !said || typeof said === 'string') return undefined;
  const step = stepOf(said, Math.abs(to - from), shop);
  const up = to > from;
  return {
    from,
    to,
    at: (value) => ({
      say: proposal.say.map((own) => (isOf(own, to) ? { ...own, amount: value } : own)),
      changes: [{ path: change.path, value }],
    }),
    snap: (value) => {
      const steps = value / step;
      const whole = up ? Math.ceil(steps - 1e-6) : Math.floor(steps + 1e-6);
      return Number((whole * step).toFixed(6));
    },
  };
}

/** What a proposed figure is a multiple of: round in the units of the shop, rougher for larger changes. */
function stepOf({ unit }: Quantity, by: number, { units, fraction }: Shop): number {
  if (unit !== 'mm' && unit !== 'mm-movement') return 1;
  if (units === 'inch') {
    if (by < MM_PER_INCH) return MM_PER_INCH / Math.min(fraction, 16);
    return by < 4 * MM_PER_INCH ? MM_PER_INCH / 8 : MM_PER_INCH / 4;
  }
  return by < 3 ? 0.5 : by < 60 ? 1 : 5;
}
