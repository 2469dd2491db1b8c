'use client';

import { useMemo } from 'react';
import { type Change, SMALL_UNIT, smallDrawing, withChanges } from '@/core';
import { derivePiece } from '@/core/piece/derive-piece';
import { SmallDrawing } from '@/ui/small-drawing';
import { useDecisions } from '../job/job-context';

/** Room for the drawing, px. */
const ROOM = { width: 250, height: 120 };

/** The piece as some changes would make it. */
export function KindPreview({ changes, name }: { changes: readonly Change[]; name: string }) {
  const own = useDecisions((decided) => decided);
  const drawing = useMemo(() => smallDrawing([derivePiece(withChanges(own, changes))]), [own, changes]);
  const px = Math.min(ROOM.width / drawing.width, ROOM.height / drawing.height, 1 / SMALL_UNIT);
  return <SmallDrawing drawing={drawing} px={px} name={name} />;
}
