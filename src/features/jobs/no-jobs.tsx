import Link from 'next/link';
import { Button, buttonLook } from '@/ui/button';

/** Shown where there is no job: what to do first. */
export function NoJobs({
  bin,
  find,
  examples,
  onExample,
}: {
  bin: boolean;
  find: string;
  examples: readonly string[];
  onExample: (example: string) => void;
}) {
  if (find)
    return (
      <p className="mt-8">
        No job has “{find}” in its name or its client.{' '}
        <Link className="text-layout underline" href={bin ? '/jobs?bin' : '/jobs'}>
          Show all
        </Link>
      </p>
    );
  if (bin) return <p className="mt-8">The bin is empty.</p>;
  return (
    <div className="mt-10 max-w-[62ch]">
      <p className="mb-3">
        There is no job yet. Begin with who will use the piece and the room it is for; Taller proposes the rest, and
        everything it proposes can be changed.
      </p>
      <p>
        <Link className={buttonLook('chief')} href="/jobs/new">
          Start a job
        </Link>
      </p>
      {examples.length > 0 ? (
        <>
          <p className="mt-6 mb-2">Or open an example and look round:</p>
          <ul className="flex flex-col items-start gap-1.5">
            {examples.map((example) => (
              <li key={example}>
                <Button look="quiet" onClick={() => onExample(example)}>
                  {example}
                </Button>
              </li>
            ))}
          </ul>
        </>
      ) : null}
    </div>
  );
}
