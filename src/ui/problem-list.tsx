import type { Problem } from '@/core';

/** What is wrong, where, and the way out: every problem, not the first only. */
export function ProblemList({ problems }: { problems: readonly Problem[] }) {
  if (problems.length === 0) return null;
  return (
    <ul role="alert" className="my-3 max-h-64 overflow-auto border-stop border-l-4 bg-stop-tint px-3 py-2">
      {problems.map((p) => (
        <li key={`${p.where}${p.problem}`} className="py-0.5">
          <span className="font-semibold">{p.problem}</span> <span className="text-ink-2">({p.where})</span> {p.wayOut}
        </li>
      ))}
    </ul>
  );
}
