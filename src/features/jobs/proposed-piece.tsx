'use client';

import type { Proposal } from '@/contract/replies';
import { isCase, type Phrase, type Start } from '@/core';
import { SmallDrawing } from '@/ui/small-drawing';
import { Length, PhraseText } from '@/ui/units';
import { useSize } from '@/ui/use-size';

/** What the job would begin with: drawn, its size, and what would stop it. */
export function ProposedPiece({
  start,
  proposal,
  settled,
}: {
  start: Start;
  proposal: Proposal | null;
  settled: boolean;
}) {
  const [ref, size] = useSize<HTMLDivElement>();
  const px = proposal ? Math.min((size.width - 16) / proposal.drawing.width, 250 / proposal.drawing.height, 0.32) : 0;
  return (
    <section aria-label="What the job begins with" aria-busy={!settled}>
      <div ref={ref} className="flex h-[264px] items-end border-ink border-b">
        {proposal && px > 0 ? (
          <SmallDrawing drawing={proposal.drawing} px={px} name="The piece, drawn" />
        ) : (
          <span className="pb-1 text-ink-2">being drawn …</span>
        )}
      </div>
      {proposal ? (
        <>
          <p className="figures mt-2 font-semibold text-[28px] leading-8" aria-live="polite">
            <Length mm={proposal.length} /> × <Length mm={proposal.width} /> × <Length mm={proposal.height} />
          </p>
          <p className="text-ink-2">
            {isCase(start) ? 'wide, deep, high' : 'long, wide, high'}; every size can be changed later
          </p>
          {proposal.stops.length > 0 ? (
            <ul className="mt-2 max-w-[70ch]">
              {proposal.stops.slice(0, 3).map((stop, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: the list is never reordered
                <li key={i}>
                  <b className="font-semibold text-stop">stop</b> <PhraseText of={stop as Phrase} />
                </li>
              ))}
            </ul>
          ) : settled ? (
            <p className="mt-2">Nothing stops it as it is.</p>
          ) : null}
        </>
      ) : null}
    </section>
  );
}
