import * as v from 'valibot';
import { length } from './fields';

/** How the corners of a base of legs and aprons are joined. */
export const JointsSchema = v.object({
  /** How aprons stand in legs. */
  corner: v.picklist(['mortise-tenon', 'loose-tenon', 'dowels', 'pocket-screws', 'corner-plate']),
  tenonSchool: v.picklist(['third', 'half']),
  meeting: v.picklist(['auto', 'shortened', 'mitred', 'staggered']),
  /** Into the leg, mm; null lets the rule choose. */
  tenonLength: v.nullable(length(5, 200)),
  /** Of a tenon or dowel, mm; null lets the school choose. */
  tenonThickness: v.optional(v.nullable(length(3, 60)), null),
  /** Above a tenon, up to the apron's upper edge. */
  haunch: v.optional(v.picklist(['none', 'square', 'sloped']), 'none'),
  /** Of aprons in legs that lean: in line with the apron, or square to the leg's face. */
  angled: v.optional(v.picklist(['in-line', 'square']), 'in-line'),
  /** Through leg and tenon. */
  pegs: v.optional(v.picklist(['none', 'straight', 'draw-bored']), 'none'),
});

export type Joints = v.InferOutput<typeof JointsSchema>;
