import type { EdgeJoint } from '../glueup/edge-joints';
import { edgeJoints } from '../glueup/edge-joints';
import type { GlueStrip } from '../glueup/plan-glue-ups';
import { type PanelTrim, trimPanel } from '../glueup/trim-panel';
import type { AlignerSize } from '../joint/edge-joint';
import { findPart, type Piece } from '../piece/piece';

/** Of everything driven into the top, mm from its middle to the right, as the panel is looked along. */
export const keptOffJoints = (piece: Piece): number[] => {
  const middle = findPart(piece, piece.top.leading)?.frame.at[1] ?? 0;
  return [
    ...piece.fasteners.filter(({ holds }) => holds === piece.top.leading).map((fastener) => middle - fastener.y),
    ...[...(piece.top.holes ?? []), ...(piece.top.notches ?? [])].flatMap(({ low, high }) => [
      middle - low,
      middle - high,
    ]),
  ];
};

/** A screw's or a bolt's half thickness, with the hole it is bored for, mm. */
const FASTENER = 5;

/** Aligners along the joints of the panel, clear of all that is driven and cut into it. */
export function edgesOf(
  piece: Piece,
  strips: readonly GlueStrip[],
  trim: PanelTrim | null,
  size: AlignerSize,
): EdgeJoint[] {
  const panel = findPart(piece, piece.top.leading);
  const middle = panel?.frame.at[1] ?? 0;
  // Looked along from its near end, the panel's right is the front of the piece.
  const lines = (
    trim ??
    trimPanel(
      strips.map(({ width }) => width),
      panel?.size.width ?? piece.top.size.width,
      [],
      0,
    )
  ).joints.map((line) => middle - line);
  const { holes = [], notches = [] } = piece.top;
  const cuts = piece.joints
    .flatMap((joint) => joint.removed)
    .filter((cut) => cut.part === panel?.id && cut.what === 'groove')
    .map((cut) => cut.solid.bounds)
    .map(({ from, to }) => ({ left: from[0], right: to[0], low: from[1], high: to[1] }));
  const driven = piece.fasteners.map(({ x, y }) => ({
    left: x - FASTENER,
    right: x + FASTENER,
    low: y - FASTENER,
    high: y + FASTENER,
  }));
  return edgeJoints({
    labels: strips.map(({ label }) => label),
    lines,
    polygon: piece.top.polygon,
    half: (panel?.shoulderLength ?? piece.top.size.length) / 2,
    size,
    taken: [...holes, ...notches, ...cuts, ...driven],
  });
}
