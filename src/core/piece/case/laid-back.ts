import type { ShellPlan } from './kind';
import { type Turn, turned } from './turned';

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
  Rail: 'Long rail',
  shelf: 'long divider',
  Upright: 'Divider',
  upright: 'divider',
};
const WORDS = new RegExp(`\\b(${Object.keys(BECOMES).join('|')})\\b`, 'g');

/** The names of a case's boards as those of a chest. */
export const namedAsChest = (name: string): string => name.replace(WORDS, (word) => BECOMES[word] ?? word);

/** What is said of a case turned on its back: its front is above. */
const AXES: Turn['axes'] = { x: { axis: 'x', way: 1 }, y: { axis: 'z', way: -1 }, z: { axis: 'y', way: 1 } };

/**
 * A carcass that opens to the front, laid on its back: what was its open front is open above, its top is the back wall, its
 * back the bottom. Grain runs round it as it did.
 *
 * @param from of the case: its height and depth, mm
 * @param lift floor to the underside of the chest, mm
 */
export const laidOnItsBack = <P extends ShellPlan>(plan: P, from: { height: number; depth: number }, lift: number): P =>
  turned(plan, {
    point: ([x, y, z]) => [x, z - from.height / 2, lift + from.depth / 2 - y],
    direction: ([x, y, z]) => [x, z, -y],
    axes: AXES,
    named: namedAsChest,
  });
