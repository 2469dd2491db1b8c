export type RingKind = 'flat' | 'rift' | 'quarter';

/** How a board is sawn, by the angle between its rings and its face, degrees. Common practice. */
export const ringKind = (angle: number): RingKind => (angle < 30 ? 'flat' : angle <= 60 ? 'rift' : 'quarter');
