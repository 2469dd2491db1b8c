import { useId } from 'react';
import type { Rings } from '@/core';

/** The end of a board with its growth rings: arcs about a pith that lies where the ring angle says. Lengths in px. */
export function EndGrain({
  x,
  y,
  width,
  height,
  rings,
  boardWidth,
  heartUp = false,
  lit = false,
}: {
  x: number;
  y: number;
  width: number;
  height: number;
  /** A ring angle, or where the pith lies; then `boardWidth` mm are what is drawn across. */
  rings: Rings;
  boardWidth?: number;
  heartUp?: boolean;
  lit?: boolean;
}) {
  const clip = useId();
  const side = heartUp ? -1 : 1;
  let [radius, sideways, down] = [Math.max(width * 0.7, height * 2.2), 0, 0];
  if (typeof rings === 'number') {
    const phi = (rings * Math.PI) / 180;
    [sideways, down] = [radius * Math.sin(phi), radius * Math.cos(phi)];
  } else {
    const scale = width / (boardWidth ?? 150);
    [sideways, down] = [rings.offset * scale, rings.distance * scale];
    radius = Math.hypot(sideways, down);
  }
  const cx = x + width / 2 + sideways;
  const cy = y + height / 2 + down * side;
  const gap = Math.max(3.2, height / 7);
  const reach = Math.hypot(width, height) / 2 + gap;
  const circles = Array.from(
    { length: Math.ceil((2 * reach) / gap) },
    (_, i) => radius - reach + i * gap + Math.sin(i * 2.7) * gap * 0.25,
  );
  return (
    <g>
      <clipPath id={clip}>
        <rect x={x} y={y} width={width} height={height} />
      </clipPath>
      <rect x={x} y={y} width={width} height={height} className={lit ? 'fill-layout-tint' : 'fill-wood'} />
      <g clipPath={`url(#${clip})`} className="fill-none stroke-wood-line" strokeWidth={0.7}>
        {circles
          .filter((r) => r > 1)
          .map((r) => (
            <circle key={r} cx={cx} cy={cy} r={r} />
          ))}
      </g>
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        className={`fill-none ${lit ? 'stroke-layout' : 'stroke-ink'}`}
        strokeWidth={lit ? 1.6 : 0.9}
      />
    </g>
  );
}
