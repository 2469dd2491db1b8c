import type { Shop } from '../decision/shop';
import type { Cut, Joint, JointKind } from '../joint/joint';
import { mm, type Phrase, say } from '../measure/quantity';
import { findPart, type Piece } from '../piece/piece';
import { reach } from '../solid/convex';
import { directionInPart } from '../solid/frame';
import { cross, dot, unit, type Vec } from '../solid/vector';
import type { Check, CheckContext } from './check';

/** A tenon is fitted to its mortise by less than this, mm. */
const FITS = 0.3;

/** Joints whose mortises and slots are asked for here; those of legs and aprons have a check of their own. */
const ASKED: readonly JointKind[] = [
  'mortise-tenon',
  'through-tenon',
  'twin-tenon',
  'stub-tenon',
  'bridle',
  'breadboard',
  'panel-groove',
  'mitre-spline',
  'frame-mitre',
  'leg-mitre',
  'end-seam',
];
const SLOTTED = /mortise|bridle|groove|slot/;

interface Slot {
  joint: Joint;
  cut: Cut;
  wide: number;
  deep: number;
}

/** How wide and how deep a cutter must be for a cut: its thin side, and how far in it goes; from both sides where it is open to both. */
function slotOf(piece: Piece, joint: Joint, cut: Cut): Slot | null {
  const entry = cut.open[0];
  const part = findPart(piece, cut.part);
  if (!entry || !part) return null;
  const span = (axis: Vec) => {
    const { from, to } = reach(cut.solid, axis);
    return to - from;
  };
  const opposite = (way: Vec) =>
    cut.open.some((other) => dot(other, way) < -0.9) && cut.open.some((other) => dot(other, way) > 0.9);
  if (cut.slot) {
    const { along, width, thickness } = cut.slot;
    return { joint, cut, wide: Math.min(width, thickness), deep: span(along) / (opposite(unit(entry)) ? 2 : 1) };
  }
  const way = unit(entry);
  // Square to the way in: along the part, and across it; a slot is as wide as the lesser.
  const own = directionInPart(part.frame, way);
  const axis = Math.abs(own[0]) < 0.7 ? part.frame.length : part.frame.width;
  const across = unit(cross(way, axis));
  const along = unit(cross(across, way));
  return { joint, cut, wide: Math.min(span(across), span(along)), deep: span(way) / (opposite(way) ? 2 : 1) };
}

/** Whether a chisel of the mortiser makes it in one row, or a straight cutter reaches it. */
function maker({ wide, deep }: Slot, { tools }: Shop): 'chisel' | 'cutter' | null {
  const { widths, depth } = tools.mortises;
  if (deep <= depth + FITS && widths.some((width) => Math.abs(width - wide) <= FITS)) return 'chisel';
  return tools.cutters.some((cutter) => cutter.diameter <= wide + FITS && cutter.reach >= deep - FITS)
    ? 'cutter'
    : null;
}

/** Mortises, slots and grooves of all other joints against the cutters on hand; the worst served is told. Common practice. */
export function otherMortises({ piece, shop }: CheckContext): Check[] {
  const slots = piece.joints.flatMap((joint) =>
    joint.ruled || !ASKED.includes(joint.kind)
      ? []
      : joint.removed.flatMap((cut) => (cut.late || !SLOTTED.test(cut.what) ? [] : (slotOf(piece, joint, cut) ?? []))),
  );
  if (slots.length === 0) return [];
  const unmade = slots.filter((slot) => maker(slot, shop) === null);
  // What is nearest to a chisel that is there is the least trouble: the other is told.
  const worst = unmade.reduce<Slot | null>((a, b) => (!a || b.deep > a.deep ? b : a), null);
  const { widths, depth } = shop.tools.mortises;
  const narrower = worst ? Math.max(0, ...widths.filter((width) => width < worst.wide + FITS)) : 0;
  const reaches = worst
    ? Math.max(0, ...shop.tools.cutters.filter((own) => own.diameter <= worst.wide + FITS).map((own) => own.reach))
    : 0;
  const name = worst ? (findPart(piece, worst.cut.part)?.name.toLowerCase() ?? worst.cut.part) : '';
  const how = (slot: Slot): Phrase =>
    slot.deep <= depth && narrower > 0
      ? say`Cut it in rows with the ${mm(narrower)} chisel and pare it true`
      : reaches > 0
        ? say`Rout it as deep as the cutter reaches, ${mm(reaches)}, and chop the rest by hand`
        : say`Bore it out and chop it by hand`;
  return [
    {
      id: 'machines.other-mortises',
      step: 'joints',
      level: worst ? 'watch' : 'good',
      sentence: worst
        ? say`For the ${worst.cut.what} in ${name}, ${mm(worst.wide)} wide and ${mm(worst.deep)} deep, no chisel fits and no cutter reaches.`
        : say`Chisels and cutters of the shop make every mortise and slot.`,
      value: mm(worst?.deep ?? 0),
      limit: mm(worst ? reaches : depth),
      where: worst ? [worst.cut.part, worst.joint.from] : [],
      why: 'A mortise that the machine does not make is an hour by hand, and is better known before the tenon is cut.',
      school: 'Through ones from both sides, common practice',
      ...(worst ? { wayOut: { say: how(worst), changes: [] } } : {}),
    },
  ];
}
