'use client';

import { useUnits } from '@/ui/units';
import { useSize } from '@/ui/use-size';
import { useDerived, useLook } from '../job/job-context';

/** One leg from above with both aprons and their tenons inside it, to scale. */
export function CornerDrawing() {
  const { piece } = useDerived();
  const { lit, light } = useLook();
  const units = useUnits();
  const [ref, size] = useSize<HTMLDivElement>();
  const leg = piece.parts.find((part) => part.kind === 'leg');
  const apron = piece.parts.find((part) => part.id === 'apron-front');
  const { corner } = piece;
  if (!leg || !apron || !corner) return null;
  const s = leg.size.width;
  const t = apron.size.thickness;
  const reveal = piece.base.width / 2 - Math.abs(apron.frame.at[1]) - t / 2;
  const shown = s * 0.9;
  const scale = Math.min((size.width - 190) / (s + shown), (size.height - 150) / (s + shown));
  const [ox, oy] = [(size.width - (s + shown) * scale) / 2 + 10, Math.max(84, (size.height - (s + shown) * scale) / 2)];
  const x = (mm: number) => ox + mm * scale;
  const y = (mm: number) => oy + mm * scale;
  const { tenon, meeting } = corner;
  const [near, far] = [reveal + t / 2 - tenon.thickness / 2, reveal + t / 2 + tenon.thickness / 2];
  const tip = s - tenon.length;
  const cut = meeting === 'mitred' ? Math.min(tenon.thickness, tenon.length) : 0;
  // The mitre runs from the long outer face of each tenon back to its short inner face.
  const along = [
    [s + tenon.intoApron, near],
    [tip, near],
    [tip + cut, far],
    [s + tenon.intoApron, far],
  ] as const;
  const points = (list: readonly (readonly [number, number])[]) => list.map(([a, b]) => `${x(a)},${y(b)}`).join(' ');
  const flipped = along.map(([a, b]) => [b, a] as const);
  const isLit = (id: string) => lit.includes(id);
  const part = (id: string) => ({ onPointerEnter: () => light([id]), onPointerLeave: () => light([]) });
  const text = (px: number, py: number, words: string, anchor: 'start' | 'middle' | 'end' = 'middle') => (
    <text
      x={px}
      y={py}
      textAnchor={anchor}
      dominantBaseline="central"
      className="figures fill-ink font-semibold text-[13px]"
    >
      {words}
    </text>
  );
  const tick = (px: number, py: number) => (
    <line x1={px - 3.5} y1={py + 3.5} x2={px + 3.5} y2={py - 3.5} className="stroke-ink" />
  );
  const across = (a: number, b: number, py: number, mm: number, above = true) => (
    <g>
      <line x1={x(a)} x2={x(b)} y1={py} y2={py} className="stroke-ink-2" />
      {tick(x(a), py)}
      {tick(x(b), py)}
      {text((x(a) + x(b)) / 2, py + (above ? -11 : 13), units.length(mm))}
    </g>
  );
  const wood = (id: string) => (isLit(id) ? 'fill-layout-tint stroke-layout' : 'fill-wood stroke-ink');
  return (
    <div ref={ref} className="h-full min-h-64 w-full">
      <svg
        width={size.width}
        height={size.height}
        role="img"
        aria-label={`A corner from above: tenons ${units.length(tenon.length)} into a leg of ${units.length(s)}, ${meeting}`}
      >
        <rect
          x={x(0)}
          y={y(0)}
          width={s * scale}
          height={s * scale}
          strokeWidth={1.4}
          className={wood(leg.id)}
          {...part(leg.id)}
        />
        <path
          d={`M${x(s)} ${y(reveal)}H${x(s + shown)}V${y(reveal + t)}H${x(s)}z`}
          strokeWidth={1.4}
          className={wood('apron-front')}
          {...part('apron-front')}
        />
        <path
          d={`M${x(reveal)} ${y(s)}V${y(s + shown)}H${x(reveal + t)}V${y(s)}z`}
          strokeWidth={1.4}
          className={wood('apron-left')}
          {...part('apron-left')}
        />
        <g className={corner.clearance < 0 ? 'fill-stop-tint stroke-stop' : 'fill-paper stroke-ink'} strokeWidth={1.1}>
          <polygon
            points={points(flipped)}
            strokeDasharray={meeting === 'staggered' ? '4 3' : undefined}
            {...part('apron-left')}
          />
          <polygon points={points(along)} {...part('apron-front')} fillOpacity={0.85} />
        </g>
        {across(tip, s, y(0) - 20, tenon.length)}
        {across(0, s, y(0) - 48, s)}
        {tenon.intoApron > 0 ? across(s, s + tenon.intoApron, y(0) - 20, tenon.intoApron) : null}
        <line
          x1={x(s + shown) + 14}
          x2={x(s + shown) + 14}
          y1={y(near)}
          y2={y(far)}
          className="stroke-ink-2"
          strokeWidth={3}
        />
        {text(x(s + shown) + 24, y((near + far) / 2), `tenon ${units.length(tenon.thickness, true)}`, 'start')}
        {text(x(s + shown) - 8, y(reveal + t) + 14, `apron ${units.length(t)}`, 'end')}
        {text(x(0) - 12, y(near / 2), `wall ${units.length(corner.wallOutside, true)}`, 'end')}
        {text(x(0) - 12, y(s) - 10, 'leg', 'end')}
      </svg>
    </div>
  );
}
