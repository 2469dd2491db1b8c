'use client';

import type { JobDocument } from '@/core';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { differences } from './differences';
import { useJobState } from './job-context';

/** Two writers on one job: both versions side by side, and nothing overwritten until one is chosen. */
export function ConflictDialog() {
  const conflict = useJobState((state) => state.conflict);
  const document = useJobState((state) => state.document);
  const settle = useJobState((state) => state.settle);
  if (!conflict) return null;
  return (
    <Dialog title="This job was changed elsewhere" open onClose={() => {}} wide>
      <p>
        Somebody, or another tab, saved this job while you worked on it. Nothing is overwritten: choose which version
        stands. The other stays in the job’s history.
      </p>
      <DifferenceTable mine={document} theirs={conflict.document} />
      <div className="flex gap-3">
        <Button look="chief" onClick={() => settle('mine')}>
          Keep my version
        </Button>
        <Button onClick={() => settle('theirs')}>Take the other version</Button>
      </div>
    </Dialog>
  );
}

function DifferenceTable({ mine, theirs }: { mine: JobDocument; theirs: JobDocument }) {
  return (
    <table className="my-4 w-full">
      <thead>
        <tr className="border-ink border-b text-left">
          <th className="py-1">Decision</th>
          <th>Mine</th>
          <th>The other</th>
        </tr>
      </thead>
      <tbody>
        {differences(mine, theirs)
          .slice(0, 30)
          .map((d) => (
            <tr key={d.path} className="border-hairline border-b">
              <td className="py-1 pr-3">{d.path.replaceAll('.', ' · ')}</td>
              <td className="figures pr-3 [overflow-wrap:anywhere]">{d.mine}</td>
              <td className="figures [overflow-wrap:anywhere]">{d.theirs}</td>
            </tr>
          ))}
      </tbody>
    </table>
  );
}
