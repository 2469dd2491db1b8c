'use client';

import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { Step } from '@/core';
import { Button } from '@/ui/button';

/** Five steps through a job, each with what is done there. */
const WALK: readonly { step: Step; says: string }[] = [
  {
    step: 'brief',
    says: 'Who sits there, and how large the room and its door are. What follows is proposed from it, and every figure can be changed.',
  },
  {
    step: 'form',
    says: 'Each question opens to its sizes, and the drawing follows. The figures with a round grip can be dragged in the drawing.',
  },
  {
    step: 'season',
    says: 'How much the wood moves through the year, and whether what holds it lets it. Drag the day along the year below.',
  },
  {
    step: 'layout',
    says: 'Which board of the rack gives which part, and how far that is at most from the best possible. Search begins it.',
  },
  {
    step: 'bench',
    says: 'Tick a part when it is cut, and enter its real size: the design follows it. Sheets and files, on the left, prints what is needed at the saw.',
  },
];

const KEPT = 'taller-walk';

/** Begins a walk through a job; it can be left at any time. */
export function beginWalk(job: string) {
  try {
    sessionStorage.setItem(KEPT, job);
  } catch {
    // Where nothing is kept the job is opened all the same.
  }
}

/** Where one is on the walk, and the way on; nothing where no walk was begun in this job. */
export function FirstWalk() {
  const path = usePathname();
  const router = useRouter();
  const [, , job = '', here = ''] = path.split('/');
  const [walking, setWalking] = useState(false);
  useEffect(() => {
    try {
      setWalking(sessionStorage.getItem(KEPT) === job);
    } catch {
      setWalking(false);
    }
  }, [job]);
  const at = WALK.findIndex(({ step }) => step === here);
  if (!walking) return null;
  const leave = () => {
    sessionStorage.removeItem(KEPT);
    setWalking(false);
  };
  const place = at < 0 ? null : WALK[at];
  const next = WALK[at + 1];
  return (
    <aside
      aria-label="A first walk"
      className="fixed bottom-4 left-[204px] z-40 max-w-[420px] border border-layout bg-paper p-3 max-md:inset-x-3 max-md:bottom-3 max-md:max-w-none print:hidden"
    >
      <p className="figures text-ink-2">{place ? `${at + 1} of ${WALK.length}` : 'A first walk'}</p>
      <p className="mt-1">{place?.says ?? 'Go on with the walk, or look round here first.'}</p>
      <div className="mt-2 flex gap-2">
        {next ? (
          <Button look="chief" onClick={() => router.push(`/jobs/${job}/${next.step}`)}>
            On to {next.step}
          </Button>
        ) : null}
        <Button onClick={leave}>{next ? 'Leave the walk' : 'Done'}</Button>
      </div>
    </aside>
  );
}
