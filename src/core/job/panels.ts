import type { PieceInJob } from '../document/piece-in-job';
import { type EdgeJoint, edgeJoints } from '../glueup/edge-joints';
import { type LaidStrip, layPanel } from '../glueup/lay-panel';
import { stripsOf } from '../glueup/likely-strips';
import type { GlueStrip } from '../glueup/plan-glue-ups';
import { type PanelTrim, trimLaid, trimPanel } from '../glueup/trim-panel';
import { type AlignerSize, alignerSize } from '../joint/edge-joint';
import type { Demand, PanelDemand } from '../layout/demand';
import type { Layout } from '../layout/layout';
import type { Part } from '../piece/part';
import { findPart, type Piece } from '../piece/piece';
import type { Season } from '../season/season-state';
import { type Flat, polygonOf } from '../solid/outline';
import type { Board } from '../stock/board';

/** One panel of a piece, as its strips lie or are likely to be. */
export interface WorkedPanel {
  demand: PanelDemand;
  /** Its strips as they lie side by side; none until a layout is current. */
  laid: readonly LaidStrip[];
  /** How it is taken out of what is glued; null until a layout is current. */
  trim: PanelTrim | null;
  /** Its strips, as laid or as they are likely to be. */
  strips: readonly GlueStrip[];
  /** What is let into the edges of its boards to keep them level; null where nothing does. */
  edges: { joints: readonly EdgeJoint[]; size: AlignerSize } | null;
  /** Its strips as they move through the season. */
  inSeason: Season['strips'];
}

/** The panel by which the season of a piece is told: a table's top, a case's side; undefined where its strips are not found. */
export const panelOfTop = <T extends Pick<WorkedPanel, 'demand'>>({
  piece,
  panels,
}: {
  piece: Piece;
  panels: readonly T[];
}) => panels.find(({ demand }) => demand.id === piece.leading);

/** The panels of a piece whose strips are found. @param given.layout its share; null until that is whole */
export function workPanels(
  { document, piece, demand }: { document: PieceInJob; piece: Piece; demand: Demand },
  given: { layout: Layout | null; boards: readonly Board[]; tools: Parameters<typeof alignerSize>[2] },
): Omit<WorkedPanel, 'inSeason'>[] {
  const { layout, boards, tools } = given;
  const { laid: choices, jointMargin } = document.layout;
  return demand.panels.map((panel) => {
    const laid = layout ? layPanel({ panel, layout, boards, school: document.season.ringSchool, choices }) : [];
    const trim = laid.length > 0 ? trimLaid(panel, laid, keptOffJoints(piece, panel.id), jointMargin) : null;
    const strips = stripsOf(panel, laid);
    const rule = alignerSize(document.glueUp.level, panel.finished.thickness, tools);
    const size = rule && isTooThin(findPart(piece, panel.id)?.kind, panel.finished.thickness, rule) ? null : rule;
    const joints = size && !isCrosscutLater(piece, panel) ? edgesOf(piece, panel, strips, trim, size) : [];
    return { demand: panel, laid, trim, strips, edges: size && joints.length > 0 ? { joints, size } : null };
  });
}

/** A floating panel so thin that nothing can be let into its edges is brought level with the fingers; common practice. */
const isTooThin = (kind: Part['kind'] | undefined, thickness: number, size: AlignerSize): boolean =>
  (kind === 'panel' || kind === 'lid') && (thickness - size.thickness) / 2 < LEAST_OVER;
/** Over and under what is let in, mm; common practice. */
const LEAST_OVER = 2;

/** In a panel that is crosscut later nobody knows yet where anything may stand. */
const isCrosscutLater = (piece: Piece, panel: PanelDemand) => piece.parts.some((part) => part.oneWith === panel.id);

/** Of everything that is driven or cut into a panel, mm from its middle to the right, as it is looked along. */
export function keptOffJoints(piece: Piece, panel: string): number[] {
  const part = findPart(piece, panel);
  return part ? takenFrom(piece, part).flatMap(({ low, high }) => (low === high ? [-low] : [-low, -high])) : [];
}

interface Taken {
  left: number;
  right: number;
  low: number;
  high: number;
}

/** What is driven into a panel, and the cut-outs in it, from its own middle. mm */
function takenFrom(piece: Piece, part: Part): Taken[] {
  const [x, y] = part.frame.at;
  const driven = piece.fasteners
    .filter(({ holds }) => holds === part.id)
    .map((own) => ({ left: own.x - x, right: own.x - x, low: own.y - y, high: own.y - y }));
  const cut =
    part.id === piece.leading && piece.build === 'table'
      ? [...(piece.top.holes ?? []), ...(piece.top.notches ?? [])]
      : [];
  return [
    ...driven,
    ...cut.map(({ left, right, low, high }) => ({ left: left - x, right: right - x, low: low - y, high: high - y })),
  ];
}

/** A screw's or a bolt's half thickness, with the hole it is bored for, mm. */
const FASTENER = 5;

/** Aligners along the joints of a panel, clear of all that is driven and cut into it. mm from its own middle */
function edgesOf(
  piece: Piece,
  panel: PanelDemand,
  strips: readonly GlueStrip[],
  trim: PanelTrim | null,
  size: AlignerSize,
): EdgeJoint[] {
  const part = findPart(piece, panel.id);
  // What is cut into an upright panel is not known in its own plane.
  if (!part || Math.abs(part.frame.width[1]) < 0.99) return [];
  const widths = strips.map(({ width }) => width);
  // Looked along from its near end, the panel's right is the front of the piece.
  const lines = (trim ?? trimPanel(widths, part.size.width, [], 0)).joints.map((line) => -line);
  const [x, y] = part.frame.at;
  const grooves = part.removed
    .filter(({ what }) => what === 'groove')
    .map(({ solid: { bounds } }) => bounds)
    .map(({ from, to }) => ({ left: from[0] - x, right: to[0] - x, low: from[1] - y, high: to[1] - y }));
  return edgeJoints({
    labels: strips.map(({ label }) => label),
    lines,
    polygon: outlineOfPanel(piece, part),
    half: part.shoulderLength / 2,
    size,
    taken: [
      ...takenFrom(piece, part).map(({ left, right, low, high }) =>
        left === right
          ? { left: left - FASTENER, right: right + FASTENER, low: low - FASTENER, high: high + FASTENER }
          : { left, right, low, high },
      ),
      ...grooves,
    ],
  });
}

/** Its outline from its own middle: of a top that is one panel the top's own, else its rectangle. mm */
export function outlineOfPanel(piece: Piece, part: Part): readonly Flat[] {
  if (part.id === piece.leading && piece.build === 'table' && piece.top.parts.length === 1) return piece.top.polygon;
  if (part.profile) return polygonOf(part.profile);
  const [l, w] = [part.shoulderLength / 2, part.size.width / 2];
  return [
    [-l, -w],
    [l, -w],
    [l, w],
    [-l, w],
  ];
}
