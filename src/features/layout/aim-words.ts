import type { JobDocument } from '@/core';

/** What a layout is searched for, in a maker's words. */
export const AIM_WORDS = {
  'save-wood': { label: 'Save wood', says: 'Wood is dear: what is left should be as much and as useful as can be.' },
  'fewest-boards': { label: 'Fewest boards', says: 'Every board is work before it gives anything: open few.' },
  'best-match': { label: 'Best match', says: 'Few joint lines, one log, one kind of ring in a panel.' },
  own: { label: 'My own', says: 'What each thing counts for, set by you.' },
} as const satisfies Record<JobDocument['layout']['aim'], { label: string; says: string }>;
