import type { Form } from '../piece/form';
import type { Piece } from '../piece/piece';
import { holdTie } from '../piece/table/holds/hold';
import type { Tie } from '../restraint/tie';

/** Everything that ties one part of the piece to another, as its joints and its fasteners declare it. */
export function tiesOf(piece: Piece, form: Form): Tie[] {
  const own = piece.joints.flatMap((joint) => joint.ties);
  if (piece.build !== 'table' || form.build !== 'table') return own;
  const underside = piece.overall.height - piece.top.size.thickness;
  return [...own, ...piece.fasteners.map((fastener) => holdTie({ hold: form.hold, fastener, underside }))];
}
