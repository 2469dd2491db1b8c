import type { Form } from '../document/job-document';
import type { Piece } from '../piece/piece';
import { holdTie } from '../piece/table/holds/hold';
import type { Tie } from '../restraint/tie';

/** Everything that ties one part of the piece to another, as its joints and its fasteners declare it. */
export function tiesOf(piece: Piece, form: Form): Tie[] {
  const underside = piece.overall.height - piece.top.size.thickness;
  return [
    ...piece.joints.flatMap((joint) => joint.ties),
    ...piece.fasteners.map((fastener) => holdTie({ hold: form.hold, fastener, underside })),
  ];
}
