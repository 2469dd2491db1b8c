'use client';

import clsx from 'clsx';
import { type Board, blankLabel, blanksOf, type Layout, type Piece, pieceLabel } from '@/core';
import { Button } from '@/ui/button';
import { EndGrain } from '@/ui/end-grain';
import { useUnits } from '@/ui/units';
import { useSize } from '@/ui/use-size';

const END = 54;
const SEEN = { through: '', tagged: ', tagged face only', under: ', under face only' };

/** The board's own outline, its near edge above; a taper at its far edge. */
function outline(board: Board, scale: number): string {
  const far = board.farWidth ?? board.width;
  return `0,0 ${board.length * scale},0 ${board.length * scale},${far * scale} 0,${board.width * scale}`;
}

/** How deep the live edges go. */
function liveEdges(board: Board, scale: number): string[] {
  const { near, far } = board.liveEdges;
  const other = board.farWidth ?? board.width;
  const length = board.length * scale;
  return [
    ...(near > 0 ? [`0,${near * scale} ${length},${near * scale}`] : []),
    ...(far > 0 ? [`0,${(board.width - far) * scale} ${length},${(other - far) * scale}`] : []),
  ];
}

/** The boards of a layout to scale, each with its pieces, its defects and its end. */
export function BoardsDrawing({
  layout,
  piece,
  boards,
  lit,
  onLight,
  pinned,
  onPin,
  onLeaveOut,
}: {
  layout: Layout;
  piece: Piece;
  boards: readonly Board[];
  lit: readonly string[];
  onLight: (ids: readonly string[]) => void;
  /** Tags of boards that stay as they are. */
  pinned: readonly string[];
  onPin: (tag: string) => void;
  onLeaveOut: (tag: string) => void;
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
        const height = Math.max(board.width, board.farWidth ?? 0) * scale;
        const ends = Math.min(46, board.width * scale * 1.1);
        return (
          <figure key={board.id} data-board={board.tag} className="mb-2">
            <figcaption className="mb-0.5 flex items-baseline gap-1">
              <b className="font-semibold">{board.tag}</b>{' '}
              <span className="figures text-ink-2">
                {units.length(board.length)} × {units.length(board.width)} ×{' '}
                {board.quarters ? `${board.quarters}/4` : units.length(board.thickness)}
                {board.lot ? ` · ${board.lot}` : ''}
              </span>
              <Button
                look="quiet"
                className="ml-auto"
                aria-pressed={pinned.includes(board.tag)}
                aria-label={pinned.includes(board.tag) ? `Unpin ${board.tag}` : `Pin ${board.tag}`}
                onClick={() => onPin(board.tag)}
              >
                {pinned.includes(board.tag) ? 'Pinned' : 'Pin'}
              </Button>
              <Button
                look="quiet"
                className="mr-2 ml-2"
                aria-label={`Leave out ${board.tag}`}
                onClick={() => onLeaveOut(board.tag)}
              >
                Leave out
              </Button>
            </figcaption>
            <svg
              width={board.length * scale + END + 20}
              height={height + 2}
              className="block"
              role="img"
              aria-label={`Board ${board.tag}: ${here.map((p) => pieceLabel(piece, p)).join(', ') || 'nothing yet'}`}
            >
              <g transform="translate(1 1)">
                <polygon
                  points={outline(board, scale)}
                  className={clsx('fill-paper', pinned.includes(board.tag) ? 'stroke-layout' : 'stroke-ink')}
                  strokeWidth={pinned.includes(board.tag) ? 2 : 1.3}
                />
                {liveEdges(board, scale).map((points) => (
                  <polyline
                    key={points}
                    points={points}
                    className="fill-none stroke-ink-2"
                    strokeDasharray="1.5 3"
                    strokeWidth={1}
                  />
                ))}
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
                {blanksOf(here).map((blank) => {
                  const label = blankLabel(piece, blank);
                  const parts = blank.placements.map((p) => p.part);
                  const [w, h] = [blank.length * scale, blank.width * scale];
                  const on = parts.some((id) => lit.includes(id));
                  const words = `${units.length(blank.length)} × ${units.length(blank.width)}`;
                  return (
                    <g
                      key={`${blank.x},${blank.y}`}
                      data-part={parts.join(' ')}
                      onPointerEnter={() => onLight(parts)}
                      onPointerLeave={() => onLight([])}
                    >
                      <rect
                        x={blank.x * scale}
                        y={blank.y * scale}
                        width={w}
                        height={h}
                        strokeWidth={on ? 1.8 : 0.9}
                        className={clsx(on ? 'fill-layout-tint stroke-layout' : 'fill-wood stroke-ink')}
                      />
                      {h > 11 ? (
                        <text
                          x={blank.x * scale + 6}
                          y={blank.y * scale + h / 2}
                          dominantBaseline="central"
                          className="figures fill-ink text-[12px]"
                        >
                          <tspan className="font-bold text-[13px]">
                            {label}
                            {blank.placements[0]?.turned ? ' ↻' : ''}
                          </tspan>
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
                      <title>{`${d.kind}${SEEN[d.face]}`}</title>
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
