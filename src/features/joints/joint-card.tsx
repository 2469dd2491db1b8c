'use client';

import { type JointFamily, wordsOfJoint } from '@/core';
import { PhraseText } from '@/ui/units';
import { useLook } from '../job/job-context';

/** How a joint is marked and cut. */
export function JointCard({ family }: { family: JointFamily }) {
  const light = useLook((look) => look.light);
  const [first] = family.joints;
  if (!first) return null;
  const words = wordsOfJoint(first);
  const parts = [...new Set(family.joints.flatMap(({ into, from }) => [into, from]))];
  return (
    <section
      aria-label={`Card: ${words.name}`}
      className="mt-4 border-line border-t pt-3"
      onPointerEnter={() => light(parts)}
      onPointerLeave={() => light([])}
    >
      <h2 className="font-semibold">
        {words.name}, {family.joints.length} {family.joints.length === 1 ? 'time' : 'times'}
      </h2>
      <p className="mt-1">
        <PhraseText of={words.mark} />
      </p>
      <ol className="mt-2 list-decimal space-y-1 pl-5">
        {words.order.map((step, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the order of cuts is what it is
          <li key={i}>
            <PhraseText of={step} />
          </li>
        ))}
      </ol>
      <p className="mt-2 text-ink-2">
        <PhraseText of={words.caution} />
      </p>
    </section>
  );
}
