import Link from 'next/link';
import { type SmallDrawing as Drawing, sayDay } from '@/core';
import { Button } from '@/ui/button';
import { SmallDrawing } from '@/ui/small-drawing';
import { Length } from '@/ui/units';

/** A job as the list has it. */
export interface ListedJob {
  id: string;
  name: string;
  client: string;
  dueOn: string;
  /** Null while it is being computed. */
  summary: {
    species: string;
    pieces: number;
    length: number;
    width: number;
    cut: number;
    parts: number;
    stops: number;
    next: string | null;
    finishedOn: string | null;
  } | null;
  picture: Drawing | null;
}

/** Higher than this no drawing is, px: they stand on one line. */
const HIGH = 132;
const WIDE = 236;
/** Drawn smaller than this nothing can be seen, px. */
const LEAST = 44;

/** In which scale a drawing fills its room, px a mm. */
const filling = ({ width, height }: Drawing): number => Math.min(WIDE / width, HIGH / height);

/** The scale in which most of these jobs find room beside each other, px a mm; a large set among them is drawn smaller. */
export function scaleOf(jobs: readonly Pick<ListedJob, 'picture'>[]): number {
  const scales = jobs.flatMap(({ picture }) => (picture && picture.width > 0 ? filling(picture) : []));
  return Math.min(0.2, scales.sort((a, b) => a - b)[Math.floor(scales.length / 4)] ?? 0.2);
}

/** One job: its pieces as they will stand there, whose it is, what comes next and when it is due. */
export function JobCard({
  job,
  px,
  bin,
  onCopy,
  onBin,
  onRestore,
}: {
  job: ListedJob;
  px: number;
  bin: boolean;
  onCopy: () => void;
  onBin: () => void;
  onRestore: () => void;
}) {
  const { summary, picture, dueOn } = job;
  const own = picture && picture.height > 0 ? Math.min(filling(picture), Math.max(px, LEAST / picture.height)) : px;
  const late = summary?.finishedOn && dueOn && summary.finishedOn > dueOn ? summary.finishedOn : null;
  return (
    <li className="flex min-w-0 flex-col" data-job={job.id}>
      <div className="flex items-end border-ink border-b px-1" style={{ height: HIGH + 8 }} aria-hidden={!picture}>
        {picture && picture.width > 0 ? (
          <SmallDrawing drawing={picture} px={own} name={`${job.name}, drawn`} />
        ) : (
          <span className="pb-1 text-ink-2">{summary ? '' : 'being drawn …'}</span>
        )}
      </div>
      <h2 className="mt-1.5 text-[15px] leading-5">
        {bin ? (
          job.name
        ) : (
          <Link
            className="target inline-flex items-center font-semibold hover:underline"
            href={`/jobs/${job.id}/brief`}
          >
            {job.name}
          </Link>
        )}
      </h2>
      <p className="truncate text-ink-2">{job.client}</p>
      {summary ? (
        <>
          <p className="truncate">
            <Length mm={summary.length} /> × <Length mm={summary.width} />
            {summary.pieces > 1 ? ` and ${summary.pieces - 1} more` : ''}, {summary.species}
          </p>
          <p className="line-clamp-2">
            {summary.cut === summary.parts && summary.parts > 0
              ? 'All parts are cut'
              : summary.next
                ? `Next: ${summary.next}`
                : 'Nothing planned yet'}
            {summary.cut > 0 && summary.cut < summary.parts ? ` · ${summary.cut} of ${summary.parts} cut` : ''}
          </p>
        </>
      ) : (
        <p className="text-ink-2">…</p>
      )}
      <p className="figures flex gap-3">
        {dueOn ? <span>Due {sayDay(dueOn)}</span> : <span className="text-ink-2">No date</span>}
        {late ? <span className="font-semibold text-watch">planned until {sayDay(late)}</span> : null}
        {summary && summary.stops > 0 ? (
          <span className="ml-auto font-semibold text-stop">
            {summary.stops} {summary.stops === 1 ? 'stop' : 'stops'}
          </span>
        ) : null}
      </p>
      <p className="mt-1 flex gap-4">
        {bin ? (
          <Button look="quiet" aria-label={`Restore ${job.name}`} onClick={onRestore}>
            Restore
          </Button>
        ) : (
          <>
            <Button look="quiet" aria-label={`Copy ${job.name}`} onClick={onCopy}>
              Copy
            </Button>
            <Button look="quiet" aria-label={`Move ${job.name} to the bin`} onClick={onBin}>
              To the bin
            </Button>
          </>
        )}
      </p>
    </li>
  );
}
