import type { FormField } from '../decision/form-field';
import type { Edge } from '../decision/top-shapes';

interface Edged {
  thickness: number;
  edge: Edge;
}

const NAMES: Readonly<Record<Edge['kind'], string>> = {
  square: 'Square, just eased',
  rounded: 'Rounded',
  chamfered: 'Chamfered',
  thumbnail: 'Moulded, a quarter ellipse',
  'under-bevelled': 'Bevelled from below',
};

/** An edge to begin with, on a top so thick in mm (common practice). */
function startEdge(kind: Edge['kind'], thickness: number): Edge {
  switch (kind) {
    case 'square':
      return { kind };
    case 'rounded':
      return { kind, radius: 4 };
    case 'chamfered':
      return { kind, width: 4 };
    case 'thumbnail':
      return { kind, width: Math.round(thickness * 0.6), depth: Math.round(thickness * 0.4) };
    case 'under-bevelled':
      return { kind, width: Math.round(thickness * 2.5), left: Math.max(4, Math.round(thickness * 0.45)) };
  }
}

/** How the edges of a top, or of its slats, are worked. */
export const EDGE_FIELDS: readonly FormField<Edged>[] = [
  {
    ask: 'choice',
    at: 'edge',
    label: 'Edges',
    listed: true,
    options: Object.entries(NAMES).map(([value, label]) => ({ value, label })),
    chosen: ({ edge }) => edge.kind,
    start: (kind, { thickness }) => startEdge(kind as Edge['kind'], thickness),
  },
  { ask: 'figure', at: 'edge.radius', label: 'Radius' },
  {
    ask: 'figure',
    at: 'edge.width',
    label: ({ edge }) =>
      edge.kind === 'under-bevelled'
        ? 'Bevel, in from the edge'
        : edge.kind === 'thumbnail'
          ? 'Moulding, in from the edge'
          : 'Chamfer',
  },
  { ask: 'figure', at: 'edge.depth', label: 'Moulding, deep' },
  { ask: 'figure', at: 'edge.left', label: 'Left at the edge' },
];
