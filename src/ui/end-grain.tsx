import { useId } from 'react';

/** The end of a board with its growth rings: arcs about a pith that lies where the ring angle says. Lengths in px. */
export function EndGrain({
  x,
  y,
  width,
  height,
  ringAngle,
  heartUp = false,
  lit = false,
}: {
  x: number;
  y: number;
  width: number;
  height: number;
  ringAngle: number;
  heartUp?: boolean;
  lit?: boolean;
}) {
  const clip = useId();
  const phi = (ringAngle * Math.PI) / 180;
  const radius = Math.max(width * 0.7, height * 2.2);
  const cx = x + width / 2 + radius * Math.sin(phi);
  const cy = y + height / 2 + radius * Math.cos(phi) * (heartUp ? -1 : 1);
  const gap = Math.max(3.2, height / 7);
  const reach = Math.hypot(width, height) / 2 + gap;
  const rings = Array.from(
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
        {rings
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
