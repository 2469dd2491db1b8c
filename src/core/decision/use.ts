/** What a piece is for, and what that means for its sizes and its checks. Heights and sizes in mm, common practice. */
export interface UseOfPiece {
  name: string;
  /** How what is for it is built. */
  build: 'table' | 'case';
  /** People sit at it with their knees under it, on it, or neither. */
  sitting: 'at' | 'on' | 'none';
  /** Over the top: usual from and to. */
  heights: readonly [least: number, most: number];
  /** A first one, over the top; null where it follows the brief. */
  start: { length: number; width: number; thickness: number; height: number } | null;
  /** N: leaning or sitting on the edge; spread on the top (by every person, where it is sat on), or on a metre of a case’s shelf; pushing. */
  loads: { edge: number; spread: number; push: number };
}

export const USE_OF_PIECE = {
  dining: {
    name: 'Dining table',
    build: 'table',
    sitting: 'at',
    heights: [710, 780],
    start: null,
    loads: { edge: 400, spread: 600, push: 200 },
  },
  coffee: {
    name: 'Coffee table',
    build: 'table',
    sitting: 'none',
    heights: [350, 500],
    start: { length: 1100, width: 550, thickness: 25, height: 420 },
    loads: { edge: 400, spread: 600, push: 200 },
  },
  side: {
    name: 'Side table',
    build: 'table',
    sitting: 'none',
    heights: [450, 700],
    start: { length: 500, width: 450, thickness: 22, height: 550 },
    loads: { edge: 200, spread: 300, push: 100 },
  },
  console: {
    name: 'Console',
    build: 'table',
    sitting: 'none',
    heights: [700, 920],
    start: { length: 1200, width: 350, thickness: 25, height: 800 },
    loads: { edge: 300, spread: 400, push: 150 },
  },
  desk: {
    name: 'Desk',
    build: 'table',
    sitting: 'at',
    heights: [700, 780],
    start: { length: 1400, width: 700, thickness: 25, height: 740 },
    loads: { edge: 400, spread: 600, push: 200 },
  },
  bench: {
    name: 'Bench',
    build: 'table',
    sitting: 'on',
    heights: [400, 500],
    start: { length: 1300, width: 340, thickness: 30, height: 450 },
    loads: { edge: 300, spread: 1000, push: 200 },
  },
  stool: {
    name: 'Stool',
    build: 'table',
    sitting: 'on',
    heights: [400, 800],
    start: { length: 400, width: 340, thickness: 25, height: 450 },
    loads: { edge: 200, spread: 1000, push: 150 },
  },
  stand: {
    name: 'Stand',
    build: 'table',
    sitting: 'none',
    heights: [300, 900],
    start: { length: 450, width: 350, thickness: 22, height: 600 },
    loads: { edge: 150, spread: 300, push: 100 },
  },
  bookcase: {
    name: 'Bookcase',
    build: 'case',
    sitting: 'none',
    heights: [700, 2400],
    start: { length: 800, width: 300, thickness: 22, height: 1900 },
    loads: { edge: 0, spread: 350, push: 150 },
  },
  sideboard: {
    name: 'Sideboard',
    build: 'case',
    sitting: 'none',
    heights: [700, 950],
    start: { length: 1500, width: 450, thickness: 22, height: 820 },
    loads: { edge: 0, spread: 250, push: 200 },
  },
  cupboard: {
    name: 'Cupboard',
    build: 'case',
    sitting: 'none',
    heights: [900, 2300],
    start: { length: 950, width: 420, thickness: 22, height: 1750 },
    loads: { edge: 0, spread: 200, push: 200 },
  },
  'low-case': {
    name: 'Low case',
    build: 'case',
    sitting: 'none',
    heights: [300, 550],
    start: { length: 1100, width: 500, thickness: 22, height: 400 },
    loads: { edge: 0, spread: 300, push: 200 },
  },
  pedestal: {
    name: 'Desk pedestal',
    build: 'case',
    sitting: 'none',
    heights: [550, 720],
    start: { length: 420, width: 540, thickness: 20, height: 680 },
    loads: { edge: 0, spread: 200, push: 150 },
  },
  drawers: {
    name: 'Chest of drawers',
    build: 'case',
    sitting: 'none',
    heights: [700, 1300],
    start: { length: 800, width: 460, thickness: 22, height: 980 },
    loads: { edge: 0, spread: 200, push: 200 },
  },
  'wall-cabinet': {
    name: 'Wall shelf or cabinet',
    build: 'case',
    sitting: 'none',
    heights: [300, 1200],
    start: { length: 800, width: 220, thickness: 20, height: 620 },
    loads: { edge: 0, spread: 250, push: 0 },
  },
  chest: {
    name: 'Chest',
    build: 'case',
    sitting: 'none',
    heights: [380, 600],
    start: { length: 1100, width: 480, thickness: 20, height: 500 },
    loads: { edge: 0, spread: 0, push: 200 },
  },
  box: {
    name: 'Box',
    build: 'case',
    sitting: 'none',
    heights: [120, 400],
    start: { length: 360, width: 240, thickness: 10, height: 160 },
    loads: { edge: 0, spread: 0, push: 20 },
  },
} as const satisfies Record<string, UseOfPiece>;

export type Use = keyof typeof USE_OF_PIECE;
export const USES = Object.keys(USE_OF_PIECE) as [Use, ...Use[]];

/** What a piece that is built so can be for. */
export const usesOf = (build: UseOfPiece['build']): readonly Use[] =>
  USES.filter((use) => USE_OF_PIECE[use].build === build);
