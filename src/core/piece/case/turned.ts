import type { Cut, Grown, Joint } from '../../joint/joint';
import type { Axis, Room, Tie } from '../../restraint/tie';
import { mapped } from '../../solid/convex';
import type { Vec } from '../../solid/vector';
import { bodyOf, type Draft } from '../part';
import type { ShellPlan } from './kind';

/** How what is planned is put somewhere else, without being mirrored. mm */
export interface Turn {
  point: (at: Vec) => Vec;
  direction: (along: Vec) => Vec;
  /** Which way along which of the new axes each of the old ones points. */
  axes: Readonly<Record<Axis, { axis: Axis; way: 1 | -1 }>>;
  named?: (name: string) => string;
}

const AS_IT_WAS: Turn['axes'] = { x: { axis: 'x', way: 1 }, y: { axis: 'y', way: 1 }, z: { axis: 'z', way: 1 } };

/** Moved backward, mm. */
export const behind = (by: number): Turn => ({
  point: ([x, y, z]) => [x, y + by, z],
  direction: (along) => along,
  axes: AS_IT_WAS,
});

/** Parts, joints and ties put where a turn says. */
export function turned<P extends ShellPlan>(plan: P, { point, direction, axes, named = (name) => name }: Turn): P {
  const cut = (own: Cut): Cut => ({
    ...own,
    solid: mapped(own.solid, point),
    open: own.open.map(direction),
    ...(own.bore ? { bore: { ...own.bore, from: point(own.bore.from), to: point(own.bore.to) } } : {}),
    ...(own.slot ? { slot: { ...own.slot, along: direction(own.slot.along), wide: direction(own.slot.wide) } } : {}),
  });
  const grown = (own: Grown): Grown => ({ ...own, solid: mapped(own.solid, point) });
  const tie = (own: Tie): Tie => {
    const [x, y, z] = point([own.at.x, own.at.y, own.at.z]);
    const room = Object.entries(own.room).map(([axis, free]) => {
      const { axis: to, way } = axes[axis as Axis];
      const there: Room = way > 0 ? (free as Room) : { minus: (free as Room).plus, plus: (free as Room).minus };
      return [to, there];
    });
    return { ...own, name: named(own.name), at: { x, y, z }, room: Object.fromEntries(room) };
  };
  const draft = (own: Draft): Draft => ({
    ...own,
    name: named(own.name),
    body: bodyOf(own),
    frame: {
      at: point(own.frame.at),
      length: direction(own.frame.length),
      width: direction(own.frame.width),
      thickness: direction(own.frame.thickness),
    },
  });
  const joint = (own: Joint): Joint => ({
    ...own,
    name: named(own.name),
    ...(own.along ? { along: direction(own.along) } : {}),
    removed: own.removed.map(cut),
    added: own.added.map(grown),
    ties: own.ties.map(tie),
  });
  return { ...plan, drafts: plan.drafts.map(draft), joints: plan.joints.map(joint) };
}
