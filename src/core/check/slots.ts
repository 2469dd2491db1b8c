import type { Shop } from '../decision/shop';
import type { Cut, Joint, JointKind } from '../joint/joint';
import { mm, type Phrase, say } from '../measure/quantity';
import { findPart, type Piece } from '../piece/piece';
import { reach } from '../solid/convex';
import { directionInPart } from '../solid/frame';
import { cross, dot, unit, type Vec } from '../solid/vector';

/** A tenon is fitted to its mortise by less than this, mm. */
export const FITS = 0.3;

/** So many times as long as it is wide, a slot or a groove is run with a cutter or sawn, and not chopped. Common practice. */
const LONG = 6;

/** Joints whose slots are checked here; mortises of legs and aprons have checks of their own. */
const CHECKED: readonly JointKind[] = [
  'mortise-tenon',
  'through-tenon',
  'twin-tenon',
  'stub-tenon',
  'bridle',
  'breadboard',
  'panel-groove',
  'frame-tenon',
  'mitre-spline',
  'frame-mitre',
  'leg-mitre',
  'end-seam',
];
const SLOTTED = /mortise|bridle|groove|slot/;

/** A hollow that a cutter is to make; mm. */
export interface Slot {
  joint: Joint;
  cut: Cut;
  wide: number;
  /** Along its longer side, and as far in as a cutter must reach: half of it where it is open to both sides. */
  long: number;
  deep: number;
  /** Its ends are open: a saw or a cutter runs through. */
  through: boolean;
  /** Open at the end of its part, like the fork of a bridle: depth from that end, and height on a band saw. mm */
  fork: { deep: number; high: number } | null;
}

/** How wide, long and deep a cut is, seen from where the cutter goes in. */
function slotOf(piece: Piece, joint: Joint, cut: Cut): Slot | null {
  const entry = cut.open[0];
  const part = findPart(piece, cut.part);
  if (!entry || !part) return null;
  const span = (axis: Vec) => {
    const { from, to } = reach(cut.solid, axis);
    return to - from;
  };
  const isOpen = (way: Vec) => cut.open.some((other) => dot(other, way) > 0.9);
  const isOpenBothWays = (way: Vec) => isOpen(way) && isOpen([-way[0], -way[1], -way[2]]);
  if (cut.slot) {
    const { along, width, thickness } = cut.slot;
    const deep = span(along) / (isOpenBothWays(unit(entry)) ? 2 : 1);
    return {
      joint,
      cut,
      wide: Math.min(width, thickness),
      long: Math.max(width, thickness),
      deep,
      through: false,
      fork: null,
    };
  }
  const way = unit(entry);
  // Square to the way in: along the part, and across it; a slot is as wide as the lesser.
  const own = directionInPart(part.frame, way);
  const axis = Math.abs(own[0]) < 0.7 ? part.frame.length : part.frame.width;
  const across = unit(cross(way, axis));
  const along = unit(cross(across, way));
  const [wide, long] = span(across) < span(along) ? [across, along] : [along, across];
  const upright = cut.open[2];
  return {
    joint,
    cut,
    wide: span(wide),
    long: span(long),
    deep: span(way) / (isOpenBothWays(way) ? 2 : 1),
    through: isOpenBothWays(long),
    fork: joint.kind === 'bridle' && upright ? { deep: span(unit(upright)), high: span(way) } : null,
  };
}

/** Mortises, slots, grooves and forks of all joints but those of legs and aprons. */
export function slotsOf(piece: Piece): Slot[] {
  return piece.joints.flatMap((joint) =>
    joint.ruled || !CHECKED.includes(joint.kind)
      ? []
      : joint.removed.flatMap((cut) => (cut.late || !SLOTTED.test(cut.what) ? [] : (slotOf(piece, joint, cut) ?? []))),
  );
}

const isLong = ({ cut, long, wide }: Slot): boolean => !/mortise/.test(cut.what) && long > LONG * wide;

/** What of the shop makes a slot; null where nothing does. */
export function makerOf(slot: Slot, { tools }: Shop): 'chisel' | 'cutter' | 'saw' | null {
  const { wide, deep, fork } = slot;
  if (fork !== null) return fork.deep <= tools.sawDepth + FITS || fork.high <= tools.resawHeight ? 'saw' : null;
  const { widths, depth } = tools.mortises;
  if (!isLong(slot) && deep <= depth + FITS && widths.some((width) => Math.abs(width - wide) <= FITS)) return 'chisel';
  if (tools.cutters.some((cutter) => cutter.diameter <= wide + FITS && cutter.reach >= deep - FITS)) return 'cutter';
  return slot.through && isLong(slot) && wide >= tools.kerf - FITS && deep <= tools.sawDepth ? 'saw' : null;
}

/** How a slot is made that no machine of the shop makes. Common practice. */
export function byHand(slot: Slot, { tools }: Shop): Phrase {
  const { wide, deep, fork } = slot;
  const { widths, depth } = tools.mortises;
  const narrower = Math.max(0, ...widths.filter((width) => width < wide + FITS));
  const reaches = Math.max(0, ...tools.cutters.filter((own) => own.diameter <= wide + FITS).map((own) => own.reach));
  if (fork !== null) return say`Bore its end out, saw its cheeks down by hand or on a band saw, and pare them`;
  if (isLong(slot))
    return reaches > 0
      ? say`Run it with the cutter in passes as deep as it reaches, ${mm(reaches)}, and finish it with a grooving plane or a chisel`
      : slot.through
        ? say`Saw its walls at the table saw set low, waste between them in passes, and pare the bottom`
        : say`Get a straight cutter no wider than ${mm(wide)} that reaches ${mm(deep)}, or cut it with a grooving plane`;
  return deep <= depth && narrower > 0
    ? say`Cut it in rows with the ${mm(narrower)} chisel and pare it true`
    : reaches > 0
      ? say`Rout it as deep as the cutter reaches, ${mm(reaches)}, and chop the rest by hand`
      : say`Bore it out and chop it by hand`;
}
