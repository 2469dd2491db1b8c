import type { Joint } from '../../../joint/joint';
import { fixed } from '../../../restraint/tie';
import { squareFrame } from '../../../solid/frame';
import type { Draft } from '../../part';
import type { CaseForm } from '../form';

/** A lip glued under the front edge of a shelf, between its ends. mm */
export function lipUnder(
  shelf: { id: string; name: string; left: number; right: number; underside: number; front: number },
  lip: NonNullable<CaseForm['inside']['lip']>,
): { draft: Draft; joint: Joint } {
  const id = `lip-${shelf.id}`;
  const middle = {
    x: (shelf.left + shelf.right) / 2,
    y: shelf.front + lip.thickness / 2,
    z: shelf.underside - lip.depth / 2,
  };
  const name = shelf.name.toLowerCase();
  const joint = { id: `${shelf.id}/${id}`, name: `Lip under ${name}` };
  return {
    draft: {
      id,
      name: `Lip of ${name}`,
      kind: 'lip',
      grade: 'one-face',
      size: { length: shelf.right - shelf.left, width: lip.depth, thickness: lip.thickness },
      frame: squareFrame([middle.x, middle.y, middle.z], { length: 'x', width: 'z', thickness: 'y' }),
    },
    joint: {
      ...joint,
      kind: 'glued-edge',
      into: shelf.id,
      from: id,
      removed: [],
      added: [],
      ties: [fixed({ ...joint, a: shelf.id, b: id, at: { ...middle, z: shelf.underside } })],
    },
  };
}
