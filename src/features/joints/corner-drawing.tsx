'use client';

import { CORNERS, cornerFromAbove, isInserted, POCKET_ANGLE } from '@/core';
import { useUnits } from '@/ui/units';
import { useSize } from '@/ui/use-size';
import { useLook, useTable } from '../job/job-context';

const COS_POCKET = Math.cos((POCKET_ANGLE * Math.PI) / 180);

/** One leg from above with both aprons and what holds them in it, to scale. */
export function CornerDrawing() {
  const { piece } = useTable();
  const lit = useLook((look) => look.lit);
  const light = useLook((look) => look.light);
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
  const points = (list: readonly (readonly [number, number])[]) => list.map(([a, b]) => `${x(a)},${y(b)}`).join(' ');
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
        aria-label={`A corner from above: ${CORNERS[corner.kind].name.toLowerCase()} in a leg of ${units.length(s)}`}
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
        <g
          className={
            isInserted(corner) && corner.clearance < 0 ? 'fill-stop-tint stroke-stop' : 'fill-paper stroke-ink'
          }
          strokeWidth={1.1}
        >
          {cornerFromAbove(piece).map(({ key, part: from, loop, lower }) => (
            <polygon
              key={key}
              points={points(loop)}
              fillOpacity={0.85}
              strokeDasharray={lower ? '4 3' : undefined}
              {...part(from)}
            />
          ))}
        </g>
        {across(0, s, y(0) - 48, s)}
        {isInserted(corner) ? (
          <>
            {across(s - corner.tenon.length, s, y(0) - 20, corner.tenon.length)}
            {corner.tenon.intoApron > 0
              ? across(s, s + corner.tenon.intoApron, y(0) - 20, corner.tenon.intoApron)
              : null}
            <line
              x1={x(s + shown) + 14}
              x2={x(s + shown) + 14}
              y1={y(reveal + t / 2 - corner.tenon.thickness / 2)}
              y2={y(reveal + t / 2 + corner.tenon.thickness / 2)}
              className="stroke-ink-2"
              strokeWidth={3}
            />
            {text(
              x(s + shown) + 24,
              y(reveal + t / 2),
              `${CORNERS[corner.kind].one} ${units.length(corner.tenon.thickness, true)}`,
              'start',
            )}
          </>
        ) : corner.kind === 'pocket-screws' ? (
          across(s - corner.screw.bite * COS_POCKET, s, y(0) - 20, corner.screw.bite * COS_POCKET)
        ) : (
          <>
            {across(s, s + corner.plate.kerfAt, y(0) - 20, corner.plate.kerfAt)}
            <path
              d={`M${x(s + corner.plate.kerfAt + 1)} ${y(reveal + t - corner.plate.kerfDeep)}V${y(reveal + t)}L${x(reveal + t)} ${y(s + corner.plate.kerfAt + 1)}H${x(reveal + t - corner.plate.kerfDeep)}`}
              strokeWidth={3}
              className="fill-none stroke-ink-2"
            />
            {text(
              x((s + corner.plate.kerfAt + reveal + t) / 2) + 8,
              y((s + corner.plate.kerfAt + reveal + t) / 2) + 8,
              'plate',
              'start',
            )}
          </>
        )}
        {text(
          x(s + shown) - 8,
          // A plate runs off below the apron.
          corner.kind === 'corner-plate' ? y(reveal) - 11 : y(reveal + t) + 14,
          `apron ${units.length(t)}`,
          'end',
        )}
        {text(x(0) - 12, y(reveal / 2), `wall ${units.length(corner.wallOutside, true)}`, 'end')}
        {text(x(0) - 12, y(s) - 10, 'leg', 'end')}
      </svg>
    </div>
  );
}
