import type { Part, Size } from '../piece/part';
import type { Convex } from '../solid/convex';
import type { Flat } from '../solid/outline';
import type { Tone } from '../wood/heartwood';

export type ViewName = 'plan' | 'front' | 'end' | 'section' | 'apart' | 'above';
export type Point = Flat;

export interface Shape {
  part: string;
  /** `seen` outlines and the `edge`s within them, `cut` what is taken out, `hidden` outlines dashed, `tenon` inside a leg, `joint` glue lines between strips. */
  style: 'seen' | 'edge' | 'hidden' | 'tenon' | 'joint' | 'cut' | 'strip';
  /** Of a `strip`: how dark its wood is drawn. */
  tone?: Tone;
  points: readonly Point[];
}

export interface Dimension {
  id: string;
  from: Point;
  to: Point;
  /** Which side of its two points it is drawn, and how many steps away from them; 0 where there is room between the parts. */
  side: 'above' | 'below' | 'left' | 'right';
  step: number;
  /** True length, mm; not that of the exaggerated drawing. */
  value: number;
  /** A tenth of a millimetre matters here. */
  moves: boolean;
}

export interface FastenerMark {
  id: string;
  at: Point;
  holdsMiddle: boolean;
}

/** A measured view in true mm: u to the right, v downward. Shapes stand in the order they are painted, the farthest first. */
export interface View {
  name: ViewName;
  bounds: { left: number; top: number; width: number; height: number };
  shapes: readonly Shape[];
  dimensions: readonly Dimension[];
  fasteners: readonly FastenerMark[];
}

/** A part as a view draws it. */
export interface DrawnPart {
  part: Part;
  real: Size;
  solids: readonly Convex[];
  /** What stands beyond its shoulders. */
  tenons: readonly Convex[];
  outlines: readonly (readonly Point[])[];
  /** How near it comes to the one who looks. */
  near: number;
}
