'use client';

import { Redo2, Undo2 } from 'lucide-react';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { type ReactNode, useState } from 'react';
import { type AirToday, type Check, type ShownPiece, type Step, writeQuantity } from '@/core';
import { CheckList } from '@/ui/check-list';
import { Select } from '@/ui/fields';
import { IconButton } from '@/ui/icon-button';
import { ProblemList } from '@/ui/problem-list';
import { Spine, type SpineRow } from '@/ui/spine';
import { Strip } from '@/ui/strip';
import { useUnits } from '@/ui/units';
import { LayoutSearchProvider } from '../layout/layout-search';
import { YearBand } from '../season/year-band';
import { ConflictDialog } from './conflict-dialog';
import { Find } from './find';
import { FirstWalk } from './first-walk';
import {
  useChanges,
  useDecisions,
  useDerived,
  useDerivedJob,
  useJobInputs,
  useJobState,
  useLook,
  useShownDay,
  useShownPiece,
  useStepHref,
} from './job-context';
import { Keys, type KeyTable } from './keys';
import { PieceChooser } from './piece-chooser';
import { Sheets } from './sheets';
import { STEPS, stepState } from './steps';
import { useFoundInJob } from './use-found-in-job';
import { useWaysOut } from './use-ways-out';
import { WordsButton } from './words-here';

/** The frame of every step: strip, spine, the piece, the decision at hand, the year. */
export function JobDesk({ air, children }: { air: AirToday | null; children: ReactNode }) {
  const derived = useDerivedJob();
  const shown = useShownPiece();
  const { name, client } = useJobInputs().document;
  const [sheets, setSheets] = useState(false);
  const also = useFoundInJob(() => setSheets(true));
  return (
    <div className="desk grid h-screen grid-cols-[188px_minmax(0,1fr)] max-md:h-auto max-md:grid-cols-1 max-md:[grid-template-rows:none]">
      <div className="col-span-full print:hidden">
        <Strip
          air={air}
          find={<Find also={also} />}
          trail={
            <>
              <Link href="/jobs" className="target inline-flex items-center hover:underline">
                Jobs
              </Link>{' '}
              / <b className="font-semibold">{name}</b>
              {client ? ` · ${client}` : ''} <Saved />
            </>
          }
        />
      </div>
      {shown ? <JobSpine own={shown} onSheets={() => setSheets(true)} /> : <Spine />}
      {shown ? (
        <>
          <LayoutSearchProvider>
            {children}
            <Sheets open={sheets} onClose={() => setSheets(false)} />
          </LayoutSearchProvider>
          <JobKeys own={shown} onSheets={() => setSheets(true)} />
        </>
      ) : (
        <main id="main" className="p-6">
          <h1 className="text-lg">Nothing can be computed yet</h1>
          <ProblemList problems={'problems' in derived ? derived.problems : []} />
        </main>
      )}
      <ConflictDialog />
      <FirstWalk />
    </div>
  );
}

const SAVING = {
  saved: 'saved',
  saving: 'saving …',
  unreachable: 'The server does not answer. Your change is kept here and sent when it is back.',
  refused: 'not saved',
} as const;

function Saved() {
  const saving = useJobState((state) => state.saving);
  const rackKnown = useJobState((state) => state.rackKnown);
  return (
    <span
      role="status"
      data-saving={saving}
      className={
        saving === 'unreachable' || saving === 'refused' ? 'ml-2 bg-stop-tint px-1.5 text-stop' : 'ml-2 text-ink-2'
      }
    >
      {saving === 'saved' && !rackKnown ? 'reading the rack …' : SAVING[saving]}
    </span>
  );
}

function JobSpine({ own, onSheets }: { own: ShownPiece; onSheets: () => void }) {
  const units = useUnits();
  const hrefOf = useStepHref();
  const short = (figure: ReturnType<(typeof STEPS)[number]['figure']>) =>
    figure
      .map((part) => (typeof part === 'string' ? part : writeQuantity(part, units.style).replace(/ mm$|"$/, '')))
      .join(' ');
  const rows: SpineRow[] = STEPS.map((row, i) => ({
    href: hrefOf(row.step),
    title: row.title,
    number: i + 1,
    figure: short(row.figure(own)),
    state: stepState(row.step, own),
  }));
  return (
    <Spine rows={rows} above={<PieceChooser own={own} />}>
      <button
        type="button"
        onClick={onSheets}
        className="mx-4 mt-3 border-line border-t pt-3 text-left font-semibold text-layout hover:underline max-md:hidden"
      >
        Sheets and files …
      </button>
      <WordsButton />
    </Spine>
  );
}

function JobKeys({ own, onSheets }: { own: ShownPiece; onSheets: () => void }) {
  const router = useRouter();
  const lit = useLook((look) => look.lit);
  const setDay = useLook((look) => look.setDay);
  const shown = useShownDay();
  const hrefOf = useStepHref();
  const { undo, redo } = { undo: useJobState((state) => state.undo), redo: useJobState((state) => state.redo) };
  const change = useChanges();
  const bench = useDecisions((own) => own.bench);
  const month = (by: number) => {
    setDay(Math.min(own.season.moistures.length - 1, Math.max(0, shown.index + by)));
  };
  const lock = () => {
    const part = own.piece.parts.find((p) => lit.includes(p.id));
    if (!part) return;
    const cut = part.cut ? bench.cut.filter((p) => p !== part.id) : [...bench.cut, part.id];
    const { [part.id]: _, ...locks } = bench.locks;
    change([{ path: 'bench.cut', value: cut }, ...(part.cut ? [{ path: 'bench.locks', value: locks }] : [])]);
  };
  const steps = Object.fromEntries(
    STEPS.map((row, i) => [String(i + 1), { does: row.title, run: () => router.push(hrefOf(row.step)) }]),
  );
  const table: KeyTable = {
    ...steps,
    '9': { does: 'Sheets and files', run: onSheets },
    '0': { does: 'All jobs', run: () => router.push('/jobs') },
    '[': { does: 'A month back', run: () => month(-30) },
    ']': { does: 'A month on', run: () => month(30) },
    z: { does: 'Undo', run: () => void undo() },
    'Shift z': { does: 'Redo', run: () => void redo() },
    l: { does: 'Mark the lit part cut, or not cut', run: lock },
    p: { does: 'Sheets and files', run: onSheets },
  };
  return <Keys table={table} />;
}

/** Steps in which pieces that are made alike are looked at one by one: each is cut, glued and measured by itself. */
const OF_EACH: readonly Step[] = ['season', 'layout', 'glue-up', 'bench'];

/** Which of the pieces that are made alike is looked at; nothing where there is but one. */
function WhichOfThem() {
  const router = useRouter();
  const path = usePathname();
  const { pieceId, instance, job } = useDerived();
  const alike = job.pieces.filter((own) => own.pieceId === pieceId);
  if (alike.length === 1) return null;
  return (
    <Select
      label="Which of them"
      value={`${instance}`}
      options={alike.map((own) => ({ value: `${own.instance}`, label: own.title }))}
      onCommit={(number) => router.push(`${path}?piece=${pieceId}&number=${number}`)}
    />
  );
}

/** One step: the drawing on the left with the year below, the decision and its checks on the right. */
export function StepFrame({
  step,
  title,
  lead,
  views,
  drawing,
  children,
  tools,
}: {
  step: Step;
  title: string;
  lead: ReactNode;
  views?: ReactNode;
  tools?: ReactNode;
  drawing: ReactNode;
  children: ReactNode;
}) {
  const { checks } = useDerived();
  const waysOut = useWaysOut();
  const light = useLook((look) => look.light);
  const change = useChanges();
  const refusal = useJobState((state) => state.refusal);
  const { undo, redo } = { undo: useJobState((state) => state.undo), redo: useJobState((state) => state.redo) };
  const canUndo = useJobState((state) => state.canUndo);
  const canRedo = useJobState((state) => state.canRedo);
  const here: Check[] = [...checks.filter((check) => check.step === step)];
  const elsewhere = checks.filter((check) => check.step !== step && check.level === 'stop');
  return (
    <main
      id="main"
      tabIndex={-1}
      className="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)_324px] max-lg:grid-cols-[minmax(0,1fr)_270px] md:max-lg:portrait:grid-cols-1 md:max-lg:portrait:grid-rows-[minmax(0,1fr)_minmax(0,1fr)] max-md:grid-cols-1"
    >
      <div className="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[auto_1fr_auto] bg-paper px-5 pt-2">
        <PrintedHeading title={title} />
        <div className="flex min-h-8 flex-wrap items-center gap-x-5 print:hidden">
          {views}
          <span className="ml-auto">{tools}</span>
        </div>
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard */}
        <section aria-label="Drawing" tabIndex={0} className="min-h-0 overflow-auto pt-1.5 max-md:min-h-72">
          {drawing}
        </section>
        <div className="print:hidden">
          <YearBand />
        </div>
      </div>
      <div className="min-h-0 overflow-auto border-line border-l px-[18px] pt-4 pb-8 md:max-lg:portrait:border-t md:max-lg:portrait:border-l-0 print:overflow-visible print:border-l-0">
        <div className="flex items-start justify-between gap-2 print:hidden">
          <h1 className="text-[19px] leading-6">{title}</h1>
          <span className="flex gap-1">
            <IconButton label="Undo" icon={Undo2} off={!canUndo} run={() => void undo()} />
            <IconButton label="Redo" icon={Redo2} off={!canRedo} run={() => void redo()} />
          </span>
        </div>
        <div className="mt-0.5 mb-3">{lead}</div>
        <ProblemList problems={refusal} />
        {OF_EACH.includes(step) ? <WhichOfThem /> : null}
        {children}
        <CheckList checks={here} waysOut={waysOut} onLight={light} onChange={change} />
        {elsewhere.length > 0 ? <Elsewhere checks={elsewhere} /> : null}
      </div>
    </main>
  );
}

/** What a printed page is of. */
function PrintedHeading({ title }: { title: string }) {
  const { name, client } = useJobInputs().document;
  return (
    <p className="mb-3 hidden font-semibold text-[17px] print:block">
      {[name, client, title].filter(Boolean).join(' · ')}
    </p>
  );
}

/** What stops the work in another step is said here too, in a line. */
function Elsewhere({ checks }: { checks: readonly Check[] }) {
  const hrefOf = useStepHref();
  const steps = [...new Set(checks.map((check) => check.step))];
  return (
    <p className="mt-3 border-line border-t pt-2">
      <span className="font-semibold text-stop">stop</span> also in{' '}
      {steps.map((step, i) => (
        <span key={step}>
          {i > 0 ? ', ' : ''}
          <Link className="font-semibold text-layout underline" href={hrefOf(step)}>
            {STEPS.find((row) => row.step === step)?.title}
          </Link>
        </span>
      ))}
    </p>
  );
}
