import type { Joints } from '../../decision/joints';
import { drawnReach } from '../../joint/hold-strength';
import { type CornerJoint, type InsertedCorner, isInserted } from '../../joint/leg-corner';
import { legPeg, pegHeights } from '../../joint/pegs';
import { tenonModulus } from '../../joint/tenon-strength';
import type { Fitting } from '../part';
import type { Leaned, Resistance } from '../plans';

/** What takes a moment that turns an apron in its leg. */
export function cornerResists(corner: CornerJoint, apronHeight: number): Resistance {
  switch (corner.kind) {
    case 'mortise-tenon':
    case 'loose-tenon': {
      const { tenon } = corner;
      const places = Array.from({ length: tenon.count }, (_, i) => (i - (tenon.count - 1) / 2) * tenon.pitch);
      return { kind: 'bent', modulus: tenonModulus({ ...tenon, places }) };
    }
    case 'dowels': {
      const { tenon } = corner;
      // Staggered, the short aprons have one dowel less.
      const count = corner.meeting === 'staggered' ? tenon.count - 1 : tenon.count;
      const top = tenon.topSet + tenon.width / 2 + (count < tenon.count ? tenon.pitch / 2 : 0);
      const places = Array.from({ length: count }, (_, i) => top + i * tenon.pitch);
      return {
        kind: 'drawn',
        what: 'dowel',
        reach: fromEitherEdge(places, apronHeight),
        diameter: tenon.thickness,
        bite: tenon.length,
      };
    }
    case 'pocket-screws': {
      const { places, diameter, bite } = corner.screw;
      return { kind: 'drawn', what: 'screw', reach: fromEitherEdge(places, apronHeight), diameter, bite };
    }
    case 'corner-plate': {
      const { places, diameter, bite } = corner.bolt;
      // The bolt draws along the diagonal, half of its pull along either apron.
      const reach = fromEitherEdge(places, apronHeight) * Math.SQRT1_2;
      return { kind: 'drawn', what: 'bolt', reach, diameter, bite };
    }
  }
}

const fromEitherEdge = (places: readonly number[], height: number): number =>
  Math.min(drawnReach(places), drawnReach(places.map((down) => height - down)));

/** What is bought or made for all four corners. */
export function cornerFittings(corner: CornerJoint, choice: Joints, section: number): Fitting[] {
  const own: Fitting[] = [];
  if (isInserted(corner)) {
    const { thickness, width, length, intoApron, count } = corner.tenon;
    if (corner.kind === 'loose-tenon')
      own.push({ name: 'Loose tenons', count: 8 * count, size: [thickness, width, length + intoApron] });
    if (corner.kind === 'dowels') {
      const all = corner.meeting === 'staggered' ? 4 * count + 4 * (count - 1) : 8 * count;
      own.push({ name: 'Dowels', count: all, size: [thickness, Math.floor(length + intoApron)] });
    } else if (choice.pegs !== 'none') {
      const each = pegHeights(corner.tenon.width).length;
      own.push({ name: 'Pegs', count: 8 * count * each, size: [legPeg(section), section] });
    }
  } else if (corner.kind === 'pocket-screws') {
    const { places, diameter, length } = corner.screw;
    own.push({ name: 'Pocket screws', count: 8 * places.length, size: [diameter, length] });
  } else {
    const { bolt, plate: metal } = corner;
    own.push(
      { name: 'Corner plates', count: 4, size: [metal.height, Math.round(metal.long)] },
      {
        name: 'Hanger bolts with nut and washer',
        count: 4 * bolt.places.length,
        size: [bolt.diameter, bolt.bite + 40],
      },
    );
  }
  return own;
}

/** What bends a tenon when its leg is pushed outward; dowels of upright legs are not bent. mm³; null where nothing does */
export function leanModulus(corner: CornerJoint, apronHeight: number): number | null {
  const resists = cornerResists(corner, apronHeight);
  return resists.kind === 'bent' ? resists.modulus : null;
}

/** Screws or bolts that carry an apron's end where no wood does. */
export function pinsOf(corner: CornerJoint): Leaned['pins'] | null {
  switch (corner.kind) {
    case 'pocket-screws': {
      const { places, diameter, bite, seat } = corner.screw;
      return { what: 'screws', count: places.length, diameter, main: bite, side: seat };
    }
    case 'corner-plate': {
      const { places, diameter, bite } = corner.bolt;
      return { what: 'bolts', count: places.length, diameter, main: bite, side: PLATE_STEEL };
    }
    default:
      return null;
  }
}

/** A corner plate's own thickness, mm. */
const PLATE_STEEL = 2;

/** mm² of wood that carries an apron's end in its leg. */
export function shearedOf({ kind, tenon }: InsertedCorner): number {
  return tenon.count * (kind === 'dowels' ? (Math.PI / 4) * tenon.thickness ** 2 : tenon.thickness * tenon.width);
}
