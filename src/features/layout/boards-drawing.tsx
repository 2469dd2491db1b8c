'use client';

import {
  DndContext,
  type DragMoveEvent,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { useState } from 'react';
import { type Board, boardsUsed, type LabelOf, type Layout } from '@/core';
import { Button } from '@/ui/button';
import { useSize } from '@/ui/use-size';
import { BoardFigure, END } from './board-figure';
import type { MoveHands } from './use-moves';

/**
 * The boards of a layout to scale. A piece is dragged to another place, on this board or another; the checker answers
 * while it is held.
 */
export function BoardsDrawing({
  layout,
  labelOf,
  boards,
  zoom,
  lit,
  onLight,
  pinned,
  onPin,
  onLeaveOut,
  hands,
}: {
  layout: Layout;
  labelOf: LabelOf;
  boards: readonly Board[];
  zoom: number;
  lit: readonly string[];
  onLight: (ids: readonly string[]) => void;
  /** Tags of boards that stay as they are. */
  pinned: readonly string[];
  onPin: (tag: string) => void;
  onLeaveOut: (tag: string) => void;
  hands: MoveHands | null;
}) {
  const [ref, size] = useSize<HTMLDivElement>();
  const [allShown, showAll] = useState(false);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 4 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 6 } }),
  );
  const used = boardsUsed(layout, boards);
  const unused = boards.filter((board) => !layout.boards.includes(board.id));
  const longest = Math.max(1, ...(allShown ? boards : used).map((board) => board.length));
  const scale = (zoom * (Math.max(360, size.width) - END - 56)) / longest;

  const hold = ({ active, over }: DragMoveEvent) => {
    const box = active.rect.current.translated;
    const { board } = (over?.data.current ?? {}) as { board?: Board };
    hands?.hold(
      String(active.id),
      over && box && board
        ? { board, x: (box.left - over.rect.left) / scale, y: (box.top - over.rect.top) / scale }
        : null,
    );
  };
  const figure = (board: Board, actions: boolean) => (
    <BoardFigure
      key={board.id}
      board={board}
      layout={layout}
      labelOf={labelOf}
      scale={scale}
      lit={lit}
      onLight={onLight}
      pinned={pinned.includes(board.tag)}
      hands={hands}
      actions={
        actions && !board.takenFor ? (
          <>
            <Button
              look="quiet"
              aria-pressed={pinned.includes(board.tag)}
              aria-label={pinned.includes(board.tag) ? `Unpin ${board.tag}` : `Pin ${board.tag}`}
              onClick={() => onPin(board.tag)}
            >
              {pinned.includes(board.tag) ? 'Pinned' : 'Pin'}
            </Button>
            <Button look="quiet" aria-label={`Leave out ${board.tag}`} onClick={() => onLeaveOut(board.tag)}>
              Leave out
            </Button>
          </>
        ) : null
      }
    />
  );
  return (
    <DndContext
      id="boards"
      sensors={sensors}
      collisionDetection={pointerWithin}
      onDragStart={({ active }) => hands?.choose(String(active.id))}
      onDragMove={hold}
      onDragOver={hold}
      onDragEnd={() => hands?.drop()}
      onDragCancel={() => hands?.hold('', null)}
    >
      <div ref={ref}>
        {used.map((board) => figure(board, true))}
        {unused.length > 0 ? (
          <Button look="quiet" className="my-1" aria-expanded={allShown} onClick={() => showAll(!allShown)}>
            {allShown ? 'Hide' : 'Show'} the {unused.length} boards that nothing is cut from
          </Button>
        ) : null}
        {allShown ? unused.map((board) => figure(board, false)) : null}
      </div>
    </DndContext>
  );
}
