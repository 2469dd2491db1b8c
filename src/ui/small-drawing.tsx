import { type SmallDrawing as Drawing, SMALL_UNIT } from '@/core';

/** Pieces drawn small, standing on the lower edge of their box. */
export function SmallDrawing({ drawing, px, name }: { drawing: Drawing; px: number; name: string }) {
  const [width, height] = [drawing.width, drawing.height].map((mm) => mm / SMALL_UNIT) as [number, number];
  return (
    <svg
      role="img"
      aria-label={name}
      viewBox={`-1 -1 ${(width + 2).toFixed(1)} ${(height + 2).toFixed(1)}`}
      width={drawing.width * px}
      height={drawing.height * px}
      className="block max-w-full overflow-visible"
    >
      {drawing.shapes.map(({ path, top }, i) => (
        <path
          // biome-ignore lint/suspicious/noArrayIndexKey: shapes have nothing but their order
          key={i}
          d={path}
          vectorEffect="non-scaling-stroke"
          strokeWidth={0.9}
          strokeLinejoin="round"
          className={`stroke-ink ${top ? 'fill-wood' : 'fill-paper'}`}
        />
      ))}
    </svg>
  );
}
