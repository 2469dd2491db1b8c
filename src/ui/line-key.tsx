/** What a line of a chart stands for. */
export function LineKey({
  line,
  width = 1.4,
  dash,
  children,
}: {
  /** Class that gives the line its colour. */
  line: string;
  width?: number;
  dash?: string;
  children: string;
}) {
  return (
    <span className="flex items-center gap-1.5">
      <svg width="22" height="6" aria-hidden="true">
        <line x1="0" x2="22" y1="3" y2="3" className={line} strokeWidth={width} strokeDasharray={dash} />
      </svg>
      {children}
    </span>
  );
}
