'use client';

import type { Shop } from '@/core';
import { later } from '@/ui/later';
import type { JobName, RackBoard } from './rack-board';

const BoardDialog = later(() => import('./board-dialog'));
const MillingDialog = later(() => import('./milling-dialog'));
const ImportDialog = later(() => import('./import-dialog'));

/** The dialog open over the rack, of a board that is there, or a new one. */
export type Open =
  | { dialog: 'board'; board: RackBoard | null }
  | { dialog: 'milling'; board: RackBoard }
  | { dialog: 'import'; text: string }
  | null;

export function RackDialog({
  open,
  today,
  jobs,
  shop,
  onClose,
}: {
  open: Open;
  today: string;
  jobs: readonly JobName[];
  shop: Shop;
  onClose: (changed: boolean) => void;
}) {
  switch (open?.dialog) {
    case 'board':
      return <BoardDialog board={open.board} today={today} jobs={jobs} onClose={onClose} />;
    case 'milling':
      return <MillingDialog board={open.board} shop={shop} onClose={onClose} />;
    case 'import':
      return <ImportDialog text={open.text} onClose={onClose} />;
    default:
      return null;
  }
}
