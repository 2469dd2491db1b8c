import type { LucideIcon } from 'lucide-react';

/** A button with a sign where its word is too long for the place. */
export function IconButton({
  label,
  icon: Icon,
  off,
  run,
}: {
  label: string;
  icon: LucideIcon;
  off: boolean;
  run: () => void;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={off}
      onClick={run}
      className="flex size-7 min-w-[max(28px,var(--target))] items-center justify-center rounded-sm border border-line bg-paper hover:border-ink disabled:opacity-40"
    >
      <Icon size={16} strokeWidth={1.75} aria-hidden />
    </button>
  );
}
