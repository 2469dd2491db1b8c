import type { Joints } from '../decision/joints';
import { cornerDowels } from './corner-dowels';
import type { CornerInput, InsertedCorner } from './corner-joint';
import { type CornerPlate, cornerPlate } from './corner-plate';
import { type CornerScrews, cornerScrews } from './corner-screws';
import { cornerTenons } from './corner-tenons';

export type CornerJoint = InsertedCorner | CornerScrews | CornerPlate;

/** How aprons may stand in legs, where makers differ. Common practice. A new one is one more file and one more line. */
export const CORNERS: Readonly<
  Record<
    Joints['corner'],
    { name: string; reason: string; one: string; many: string; size: (input: CornerInput) => CornerJoint }
  >
> = {
  'mortise-tenon': {
    name: 'Mortise and tenon',
    reason: 'The tenon grows from the apron: its overall length is longer than its shoulder length.',
    one: 'tenon',
    many: 'tenons',
    size: cornerTenons,
  },
  'loose-tenon': {
    name: 'Loose tenon',
    reason: 'The apron is cut to its shoulder length; a separate tenon goes into leg and apron alike.',
    one: 'tenon',
    many: 'tenons',
    size: cornerTenons,
  },
  dowels: {
    name: 'Dowels',
    reason: 'Bored with a guide; quick, and as strong as the number and depth of its dowels.',
    one: 'dowel',
    many: 'dowels',
    size: cornerDowels,
  },
  'pocket-screws': {
    name: 'Pocket screws and glue',
    reason: 'Screws at 15° from the inside: no clamps, no waiting; hidden, and weaker than a tenon when pushed.',
    one: 'screw',
    many: 'screws',
    size: cornerScrews,
  },
  'corner-plate': {
    name: 'Metal corner plate',
    reason: 'A plate in a kerf of both aprons draws the leg in by a bolt: it comes apart, and wants retightening.',
    one: 'bolt',
    many: 'bolts',
    size: cornerPlate,
  },
};

export const legCorner = (input: CornerInput): CornerJoint => CORNERS[input.choice.corner].size(input);

/** Whether something is let into the leg and glued, with a room of its own in it. */
export const isInserted = (corner: CornerJoint | null): corner is InsertedCorner =>
  corner !== null && 'tenon' in corner;

export { type CornerInput, type InsertedCorner, LEAST_BACK_WALL, type Meeting } from './corner-joint';
export { tenonThickness } from './corner-tenons';
