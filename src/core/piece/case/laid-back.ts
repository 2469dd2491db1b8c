import type { Cut, Grown, Joint } from '../../joint/joint';
import type { Axis, Room, Tie } from '../../restraint/tie';
import { mapped } from '../../solid/convex';
import type { Vec } from '../../solid/vector';
import { bodyOf, type Draft } from '../part';
import type { ShellPlan } from './kind';

/** What each board of a case becomes when that is laid on its back and opened above. */
const BECOMES: Readonly<Record<string, string>> = {
  Top: 'Back wall',
  top: 'back wall',
  Bottom: 'Front wall',
  bottom: 'front wall',
  Back: 'Bottom',
  back: 'bottom',
  Side: 'End',
  side: 'end',
  sides: 'ends',
  Shelf: 'Long divider',
  shelf: 'long divider',
  Upright: 'Divider',
  upright: 'divider',
};
const WORDS = new RegExp(`\\b(${Object.keys(BECOMES).join('|')})\\b`, 'g');

/** The names of a case's boards as those of a chest. */
export const namedAsChest = (name: string): string => name.replace(WORDS, (word) => BECOMES[word] ?? word);

/** Which way along which axis of the chest each axis of the case points. */
const TO: Readonly<Record<Axis, { axis: Axis; way: 1 | -1 }>> = {
  x: { axis: 'x', way: 1 },
  y: { axis: 'z', way: -1 },
  z: { axis: 'y', way: 1 },
};

/**
 * A carcass that opens to the front, laid on its back: what was its open front is open above, its top is the back wall, its
 * back the bottom. Grain runs round it as it did.
 *
 * @param from of the case: its height and depth, mm
 * @param lift floor to the underside of the chest, mm
 */
export function laidOnItsBack<P extends ShellPlan>(plan: P, from: { height: number; depth: number }, lift: number): P {
  const direction = ([x, y, z]: Vec): Vec => [x, z, -y];
  const point = ([x, y, z]: Vec): Vec => [x, z - from.height / 2, lift + from.depth / 2 - y];
  const cut = (own: Cut): Cut => ({
    ...own,
    solid: mapped(own.solid, point),
    open: own.open.map(direction),
    ...(own.bore ? { bore: { ...own.bore, from: point(own.bore.from), to: point(own.bore.to) } } : {}),
  });
  const grown = (own: Grown): Grown => ({ ...own, solid: mapped(own.solid, point) });
  const tie = (own: Tie): Tie => {
    const [x, y, z] = point([own.at.x, own.at.y, own.at.z]);
    const room = Object.entries(own.room).map(([axis, free]) => {
      const { axis: to, way } = TO[axis as Axis];
      const turned: Room = way > 0 ? (free as Room) : { minus: (free as Room).plus, plus: (free as Room).minus };
      return [to, turned];
    });
    return { ...own, name: namedAsChest(own.name), at: { x, y, z }, room: Object.fromEntries(room) };
  };
  const draft = (own: Draft): Draft => ({
    ...own,
    name: namedAsChest(own.name),
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
    name: namedAsChest(own.name),
    ...(own.along ? { along: direction(own.along) } : {}),
    removed: own.removed.map(cut),
    added: own.added.map(grown),
    ties: own.ties.map(tie),
  });
  return { ...plan, drafts: plan.drafts.map(draft), joints: plan.joints.map(joint) };
}
