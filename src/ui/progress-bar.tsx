/** How far a long computation has come, 0–1; null where it is not known, and only that it is under way. */
export function ProgressBar({
  label,
  share,
  className = '',
}: {
  label: string;
  share: number | null;
  className?: string;
}) {
  return (
    <div
      className={`h-1.5 overflow-hidden bg-hairline ${className}`}
      role="progressbar"
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={100}
      {...(share === null ? {} : { 'aria-valuenow': Math.round(share * 100) })}
    >
      <div
        className={`h-full bg-layout ${share === null ? 'w-1/4 motion-safe:animate-under-way' : ''}`}
        style={share === null ? undefined : { width: `${share * 100}%` }}
      />
    </div>
  );
}
