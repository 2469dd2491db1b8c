import type { PartKind } from './part';

/** What several parts of a kind are called, in the middle of a sentence. */
export const KIND_PLURALS: Partial<Record<PartKind, string>> = {
  top: 'top',
  slat: 'slats',
  slab: 'slabs',
  border: 'borders',
  sheet: 'panel',
  side: 'sides',
  leaf: 'leaves',
  slide: 'slides',
  leg: 'legs',
  apron: 'aprons',
  'cross-rail': 'cross rails',
  foot: 'feet',
  post: 'posts',
  bearer: 'bearers',
  'top-rail': 'top rails',
  shelf: 'shelf boards',
  stretcher: 'stretcher',
  brace: 'braces',
  batten: 'battens',
};
