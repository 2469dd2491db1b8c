import type { Shop } from '../decision/shop';
import type { Brief } from '../document/job-document';
import { type SmallDrawing, smallDrawing } from '../drawing/small-drawing';
import { newJob } from '../start/new-job';
import { START_NAMES, STARTS, type Start } from '../start/starts';
import { drawPieces } from './piece-stages';

/** What a job can begin with, as it usually is. */
export interface DrawnStart {
  start: Start;
  name: string;
  built: string;
  drawing: SmallDrawing;
}

/** For six in a room that is large enough for them, of any wood: only looks are asked for. */
const BRIEF: Brief = {
  seats: 6,
  seating: 'chairs',
  room: { length: 5000, width: 4000 },
  behindChairs: 'wall',
  kneeRoom: null,
  door: { width: 830, height: 2000 },
  dueOn: '2027-01-01',
  note: '',
};
/** At a round table as many as it is usual for. */
const SEATS: Partial<Record<Start, number>> = { round: 4 };

export const drawnStarts = (shop: Shop): DrawnStart[] =>
  START_NAMES.map((start) => {
    const brief = { ...BRIEF, seats: SEATS[start] ?? BRIEF.seats };
    const wish = {
      name: 'x',
      client: '',
      species: 'oak-white',
      shopPlaceId: '',
      homePlaceId: '',
      startOn: '2027-01-01',
    };
    const pieces = drawPieces(newJob({ ...wish, brief, start }), shop);
    const { name, built } = STARTS[start];
    return { start, name, built, drawing: smallDrawing(pieces.flatMap((own) => ('piece' in own ? own.piece : []))) };
  });
