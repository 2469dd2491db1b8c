'use client';

import { DndContext, type DragEndEvent, PointerSensor, useDraggable, useSensor, useSensors } from '@dnd-kit/core';
import { type BoardInput, type Defect, defectMoved, defectSized } from '@/core';
import { BoardEnd } from '@/ui/board-end';
import { useUnits } from '@/ui/units';

const WIDTH = 700;
const ENDS = 64;

/** mm that a press of an arrow moves; with Shift the lesser. */
const [STRIDE, STEP] = [10, 1];

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A board to scale, its defects to be dragged or put by arrows where they are, and larger or smaller by their corner. */
export function BoardSketch({
  board,
  onDefect,
}: {
  board: BoardInput;
  onDefect: (index: number, part: Partial<Defect>) => void;
}) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 2 } }));
  const widest = Math.max(board.width, board.farWidth ?? 0);
  const scale = Math.min(WIDTH / board.length, 150 / widest);
  const [w, h] = [board.length * scale, widest * scale];
  const drop = ({ active, delta }: DragEndEvent) => {
    const { index, corner } = active.data.current as { index: number; corner: boolean };
    const defect = board.defects[index];
    if (!defect) return;
    onDefect(index, (corner ? defectSized : defectMoved)(board, defect, delta.x / scale, delta.y / scale));
  };
  const byArrows = (index: number, defect: Defect, corner: boolean) => (event: React.KeyboardEvent) => {
    const arrow = ARROWS[event.key];
    if (!arrow) return;
    event.preventDefault();
    const by = event.shiftKey ? STEP : STRIDE;
    onDefect(index, (corner ? defectSized : defectMoved)(board, defect, by * arrow[0], by * arrow[1]));
  };
  return (
    <DndContext id="board-sketch" sensors={sensors} onDragEnd={drop}>
      <svg width={WIDTH + ENDS} height={h + 4} className="block max-w-full overflow-visible" data-sketch>
        <title>{`The board to scale${board.defects.length > 0 ? '; drag a defect to where it is, or choose it and press the arrows' : ''}`}</title>
        <g transform="translate(1 2)">
          <polygon
            points={`0,0 ${w},0 ${w},${(board.farWidth ?? board.width) * scale} 0,${board.width * scale}`}
            className="fill-wood stroke-ink"
          />
          {board.defects.map((defect, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a defect has no name of its own
            <DefectShape key={index} defect={defect} index={index} scale={scale} byArrows={byArrows} />
          ))}
          <BoardEnd x={w + 12} y={h / 2 - 9} width={44} height={18} board={board} />
        </g>
      </svg>
    </DndContext>
  );
}

function DefectShape({
  defect,
  index,
  scale,
  byArrows,
}: {
  defect: Defect;
  index: number;
  scale: number;
  byArrows: (index: number, defect: Defect, corner: boolean) => (event: React.KeyboardEvent) => void;
}) {
  const units = useUnits();
  const body = useDraggable({ id: `defect ${index}`, data: { index, corner: false } });
  const corner = useDraggable({ id: `corner ${index}`, data: { index, corner: true } });
  const [x, y] = [defect.x * scale + (body.transform?.x ?? 0), defect.y * scale + (body.transform?.y ?? 0)];
  const [w, h] = [
    Math.max(4, defect.length * scale + (corner.transform?.x ?? 0)),
    Math.max(4, defect.width * scale + (corner.transform?.y ?? 0)),
  ];
  const hands = (by: ReturnType<typeof useDraggable>, ofCorner: boolean, label: string) => ({
    ...by.listeners,
    ...by.attributes,
    'aria-describedby': undefined,
    'aria-label': label,
    onKeyDown: byArrows(index, defect, ofCorner),
  });
  const size = `${defect.kind}, ${units.length(defect.length)} × ${units.length(defect.width)}`;
  return (
    <g className="fill-stop-tint stroke-stop">
      <rect
        ref={(element) => body.setNodeRef(element as unknown as HTMLElement | null)}
        {...hands(
          body,
          false,
          `Defect ${index + 1}: ${size} at ${units.length(defect.x)}, ${units.length(defect.y)}; the arrows move it`,
        )}
        data-defect={index}
        x={x}
        y={y}
        width={w}
        height={h}
        strokeWidth={1.3}
        className="cursor-grab touch-none outline-offset-2"
      >
        <title>{size}</title>
      </rect>
      <path d={`M${x} ${y}l${w} ${h}M${x} ${y + h}l${w} ${-h}`} strokeWidth={0.7} className="pointer-events-none" />
      <rect
        ref={(element) => corner.setNodeRef(element as unknown as HTMLElement | null)}
        {...hands(
          corner,
          true,
          `Size of defect ${index + 1}: ${units.length(defect.length)} × ${units.length(defect.width)}; the arrows change it`,
        )}
        x={x + w - 1}
        y={y + h - 1}
        width={8}
        height={8}
        className="cursor-nwse-resize touch-none fill-paper"
      />
    </g>
  );
}
