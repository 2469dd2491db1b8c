/** Four legs and what is between them, in the order in which they are listed. */
export const LEGS = [
  { id: 'leg-front-left', name: 'Leg, front left', sx: -1, sy: -1 },
  { id: 'leg-front-right', name: 'Leg, front right', sx: 1, sy: -1 },
  { id: 'leg-back-left', name: 'Leg, back left', sx: -1, sy: 1 },
  { id: 'leg-back-right', name: 'Leg, back right', sx: 1, sy: 1 },
] as const;
export const LONG = [
  { id: 'apron-front', name: 'Apron, front', side: -1 },
  { id: 'apron-back', name: 'Apron, back', side: 1 },
] as const;
export const SHORT = [
  { id: 'apron-left', name: 'Apron, left', side: -1 },
  { id: 'apron-right', name: 'Apron, right', side: 1 },
] as const;
