/** How far a long computation has come, 0–1. */
export function ProgressBar({ label, share, className = '' }: { label: string; share: number; className?: string }) {
  return (
    <div
      className={`h-1.5 bg-hairline ${className}`}
      role="progressbar"
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(share * 100)}
    >
      <div className="h-full bg-layout" style={{ width: `${share * 100}%` }} />
    </div>
  );
}
