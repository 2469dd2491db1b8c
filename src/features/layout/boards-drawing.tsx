'use client';

import clsx from 'clsx';
import { type Board, type Layout, type Piece, pieceLabel } from '@/core';
import { EndGrain } from '@/ui/end-grain';
import { useUnits } from '@/ui/units';
import { useSize } from '@/ui/use-size';

const END = 54;

/** The boards of a layout to scale, each with its pieces, its defects and its end. */
export function BoardsDrawing({
  layout,
  piece,
  boards,
  lit,
  onLight,
}: {
  layout: Layout;
  piece: Piece;
  boards: readonly Board[];
  lit: readonly string[];
  onLight: (ids: readonly string[]) => void;
}) {
  const units = useUnits();
  const [ref, size] = useSize<HTMLDivElement>();
  const used = layout.boards.flatMap((id) => boards.find((board) => board.id === id) ?? []);
  const longest = Math.max(1, ...used.map((board) => board.length));
  const scale = (Math.max(360, size.width) - END - 56) / longest;
  return (
    <div ref={ref}>
      {used.map((board) => {
        const here = layout.placements.filter((placement) => placement.board === board.id);
        const height = board.width * scale;
        const ends = Math.min(46, board.width * scale * 1.1);
        return (
          <figure key={board.id} data-board={board.tag} className="mb-2">
            <figcaption className="mb-0.5">
              <b className="font-semibold">{board.tag}</b>{' '}
              <span className="figures text-ink-2">
                {units.length(board.length)} × {units.length(board.width)} ×{' '}
                {board.quarters ? `${board.quarters}/4` : units.length(board.thickness)}
                {board.lot ? ` · ${board.lot}` : ''}
              </span>
            </figcaption>
            <svg
              width={board.length * scale + END + 20}
              height={height + 2}
              className="block"
              role="img"
              aria-label={`Board ${board.tag}: ${here.map((p) => pieceLabel(piece, p)).join(', ') || 'nothing yet'}`}
            >
              <g transform="translate(1 1)">
                <rect
                  width={board.length * scale}
                  height={height}
                  className="fill-paper stroke-ink"
                  strokeWidth={1.3}
                />
                {layout.offcuts
                  .filter((offcut) => offcut.board === board.id)
                  .map((offcut) => (
                    <rect
                      key={`${offcut.x},${offcut.y}`}
                      x={offcut.x * scale}
                      y={offcut.y * scale}
                      width={offcut.length * scale}
                      height={offcut.width * scale}
                      className="fill-ground stroke-ink-2"
                      strokeDasharray="3 3"
                      strokeWidth={0.8}
                    >
                      <title>{`back to the rack: ${units.length(offcut.length)} × ${units.length(offcut.width)}`}</title>
                    </rect>
                  ))}
                {here.map((placement) => {
                  const label = pieceLabel(piece, placement);
                  const [w, h] = [placement.length * scale, placement.width * scale];
                  const on = lit.includes(placement.part);
                  const words = `${units.length(placement.length)} × ${units.length(placement.width)}`;
                  return (
                    <g
                      key={`${placement.x},${placement.y}`}
                      data-part={placement.part}
                      onPointerEnter={() => onLight([placement.part])}
                      onPointerLeave={() => onLight([])}
                    >
                      <rect
                        x={placement.x * scale}
                        y={placement.y * scale}
                        width={w}
                        height={h}
                        strokeWidth={on ? 1.8 : 0.9}
                        className={clsx(on ? 'fill-layout-tint stroke-layout' : 'fill-wood stroke-ink')}
                      />
                      {h > 11 ? (
                        <text
                          x={placement.x * scale + 6}
                          y={placement.y * scale + h / 2}
                          dominantBaseline="central"
                          className="figures fill-ink text-[12px]"
                        >
                          <tspan className="font-bold text-[13px]">{label}</tspan>
                          {w > 34 + words.length * 6 ? <tspan dx={8}>{words}</tspan> : null}
                        </text>
                      ) : null}
                    </g>
                  );
                })}
                {board.defects.map((d) => {
                  const [dx, dy, dw, dh] = [d.x * scale, d.y * scale, d.length * scale, d.width * scale];
                  return (
                    <g key={`${d.kind},${d.x},${d.y}`} className="fill-none stroke-stop" strokeWidth={1}>
                      <title>{d.kind}</title>
                      <rect x={dx} y={dy} width={dw} height={dh} />
                      <path d={`M${dx} ${dy}l${dw} ${dh}M${dx} ${dy + dh}l${dw} ${-dh}`} strokeWidth={0.7} />
                    </g>
                  );
                })}
                <EndGrain
                  x={board.length * scale + 10}
                  y={(height - Math.max(8, Math.min(20, board.thickness * scale * 2.2))) / 2}
                  width={ends}
                  height={Math.max(8, Math.min(20, board.thickness * scale * 2.2))}
                  rings={board.ringCentre ?? board.ringAngle}
                  boardWidth={board.width}
                  lit={here.some((p) => lit.includes(p.part))}
                />
              </g>
            </svg>
          </figure>
        );
      })}
    </div>
  );
}
