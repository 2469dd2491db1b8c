import { fixed, glued, sliding, type Tie } from '../restraint/tie';
import { box, type Convex } from '../solid/convex';
import type { Vec } from '../solid/vector';
import { likelyRoom, tongueThickness } from './breadboard';
import type { Cut, Grown, Joint, JointPart } from './joint';

/** Tenons stand at most so far apart; each is so wide and so deep in each side; mm, common practice. */
const APART = 150;
const WIDE = 50;
const DEEP = 30;
const FROM_EDGE = 45;

/** How the end of a field is kept to what follows it, in a maker's words. Common practice. */
export const SEAMS: Readonly<Record<SeamKind, { name: string; reason: string }>> = {
  tenons: {
    name: 'Loose tenons',
    reason: 'They carry what end grain cannot; beside a stripe all but the middle one stand in slots.',
  },
  glued: { name: 'Glue alone', reason: 'End grain drinks the glue and holds next to nothing: for narrow pieces.' },
};
export type SeamKind = 'tenons' | 'glued';

export interface SeamTenons {
  thickness: number;
  wide: number;
  /** In each side. */
  deep: number;
  /** Middles across the table, from its middle. */
  places: readonly number[];
}

/** Loose tenons of a seam across a top; `least` is how long the shorter of both sides is along the table. mm */
export function seamTenons(width: number, thickness: number, least: number): SeamTenons {
  const reach = Math.max(0, width / 2 - FROM_EDGE - WIDE / 2);
  // An odd number: one stands in the middle, where nothing moves.
  const each = Math.ceil(reach / APART);
  return {
    thickness: tongueThickness(thickness),
    wide: Math.min(WIDE, width / 3),
    deep: Math.max(8, Math.min(DEEP, Math.floor(least * 0.4))),
    places: Array.from({ length: 2 * each + 1 }, (_, i) => (each === 0 ? 0 : (reach * (i - each)) / each)),
  };
}

/**
 * The seam in which the end grain of a field meets what follows along the table: another field's end grain, or the long
 * grain of a stripe across, which keeps its length while the field comes and goes.
 */
export function endSeam(given: {
  id: string;
  name: string;
  /** The field, and what it ends against. */
  field: JointPart;
  other: JointPart;
  /** Where the seam is, and the way from the field to the other. */
  x: number;
  side: 1 | -1;
  /** Middle of the thickness. */
  z: number;
  width: number;
  tenons: SeamTenons;
  kind: SeamKind;
  /** The other's grain runs across the table. */
  stripe: boolean;
}): Joint {
  const { id, name, field, other, x, side, z, width, tenons, kind, stripe } = given;
  const at = { x, y: 0, z };
  const between = { id, name, a: field.id, b: other.id, at };
  const whole: Joint = {
    id,
    kind: 'end-seam',
    name,
    into: other.id,
    from: field.id,
    removed: [],
    added: [],
    ties: [],
  };
  // Two fields end to end grow alike; beside a stripe glue holds over all of the width.
  if (kind === 'glued') return { ...whole, ties: stripe ? glued(between, { y: width }) : [fixed(between)] };
  const half = tenons.thickness / 2;
  const block = (from: number, to: number, y: number, wide: number): Convex => {
    const [x0, x1] = [x + side * from, x + side * to].sort((a, b) => a - b) as [number, number];
    return box([x0, y - wide / 2, z - half], [x1, y + wide / 2, z + half]);
  };
  const toOther: Vec = [side, 0, 0];
  const toField: Vec = [-side + 0, 0, 0];
  const removed: Cut[] = [];
  const added: Grown[] = [];
  const ties: Tie[] = [fixed(between)];
  for (const [i, y] of tenons.places.entries()) {
    const room = stripe ? likelyRoom(y) : 0;
    removed.push(
      { part: field.id, what: 'slot', solid: block(-tenons.deep, 0, y, tenons.wide), open: [toOther] },
      { part: other.id, what: 'slot', solid: block(0, tenons.deep + 1, y, tenons.wide + 2 * room), open: [toField] },
    );
    added.push({ part: field.id, solid: block(-tenons.deep, tenons.deep, y, tenons.wide), inside: true });
    if (room > 0) {
      const tie = {
        ...between,
        id: `${id}:tenon-${i + 1}`,
        name: `tenon ${i + 1} of ${name.toLowerCase()}`,
        at: { ...at, y },
      };
      ties.push(sliding(tie, { y: room }));
    }
  }
  return { ...whole, removed, added, ties };
}
