import type { Check, CheckContext } from '../check/check';
import { edgeChecks } from '../check/glue-up/edge-checks';
import { glueUpChecks } from '../check/glue-up/glue-up-checks';
import { panelChecks } from '../check/glue-up/panel-checks';
import { impossibilities } from '../check/impossible';
import { layoutChecks, movesGivenUp, ringChecks } from '../check/layout/layout-checks';
import { machineChecks } from '../check/layout/machine-checks';
import { pairChecks } from '../check/layout/pair-checks';
import { sequenceChecks } from '../check/layout/sequence-checks';
import { runChecks } from '../check/run-checks';
import type { Shop } from '../decision/shop';
import type { Change, Edge } from '../document/job-document';
import { changesInJob, type PieceInJob } from '../document/piece-in-job';
import { demandOfSpecies } from '../layout/demand';
import { labelsBy } from '../layout/labels';
import type { Layout } from '../layout/layout';
import { findPart } from '../piece/piece';
import { outlineOfPanel, type WorkedPanel } from './panels';
import type { WorkedPiece } from './piece-stages';
import type { WoodOfJob } from './wood-stage';

/** What of its boards a piece is judged beside. */
export type BoardsOfPiece = Pick<WoodOfJob, 'species' | 'boards' | 'plainOptions' | 'layoutState'>;

/** What is judged of one instance of a piece: form, season, joints, its share of the layout, its glue-ups. */
export function checkPiece(own: WorkedPiece, woods: readonly BoardsOfPiece[], context: CheckContext): Check[] {
  const { shop } = context;
  const { document, piece, glueUps } = own;
  return [
    ...runChecks(context),
    ...impossibilities(piece.problems, document),
    ...woods.flatMap((wood, i) => checkShare(own, wood, context, i === 0 ? '' : `-${i + 1}`)),
    ...own.panels.flatMap((panel, i) => checkPanel(own, panel, shop, i === 0 ? '' : `-${i + 1}`)),
    ...glueUps.flatMap((glueUp, i) => glueUpChecks(glueUp, glueUp.panel, i === 0)),
  ];
}

/** Of the board that lies over a piece. */
const edgeOf = ({ form }: PieceInJob): Edge => ('edge' in form.top ? form.top.edge : { kind: 'square' });

/** What is judged of one panel; `place` sets its checks off from those of another. */
function checkPanel({ document, piece }: WorkedPiece, panel: WorkedPanel, shop: Shop, place: string): Check[] {
  const { demand, laid, trim, strips, edges } = panel;
  const part = findPart(piece, demand.id);
  const checks = [
    ...(trim ? panelChecks(demand, laid, trim, document.layout.jointMargin) : []),
    ...(edges && part
      ? edgeChecks({
          panel: demand.id,
          kind: document.glueUp.level,
          size: edges.size,
          tools: shop.tools,
          joints: edges.joints,
          strips,
          thickness: demand.finished.thickness,
          edge: piece.over.includes(demand.id) ? edgeOf(document) : { kind: 'square' },
          polygon: outlineOfPanel(piece, part),
        })
      : []),
  ];
  if (place === '') return checks;
  return checks.map((check) => ({
    ...check,
    id: `${check.id}${place}`,
    sentence: [`${demand.name}: `, ...check.sentence],
    ...(check.figure ? { figure: { ...check.figure, id: `${check.figure.id}${place}` } } : {}),
  }));
}

/** What is judged of what a piece wants of one species; `place` sets its checks off from those of another. */
function checkShare(own: WorkedPiece, wood: BoardsOfPiece, context: CheckContext, place: string): Check[] {
  const { document, piece } = own;
  const demand = demandOfSpecies(own.demand, wood.species.id);
  const named = new Set([...demand.parts, ...demand.panels].map(({ id }) => id));
  const layout = wood.layoutState === 'current' && own.layout ? shareIn(own.layout, named) : null;
  const checks = [
    ...(layout
      ? [
          ...layoutChecks(layout, demand, piece, wood.species, document.layout),
          ...sequenceChecks(demand, layout, wood.plainOptions.kerf),
          ...ringChecks(layout, demand, wood.boards, document.layout.aim),
        ]
      : []),
    ...(context.boards ? pairChecks(demand, document.layout, context.shop, wood.boards, wood.plainOptions) : []),
  ];
  return place === '' ? checks : checks.map((check) => ({ ...check, id: `${check.id}${place}` }));
}

/** What of a piece's layout is of some of its parts. */
function shareIn(layout: Layout, named: ReadonlySet<string>): Layout {
  const placements = layout.placements.filter(({ part }) => named.has(part));
  if (placements.length === layout.placements.length) return layout;
  const cutFrom = new Set(placements.map(({ board }) => board));
  return {
    ...layout,
    placements,
    strips: layout.strips.filter(({ panel }) => named.has(panel)),
    shortfall: layout.shortfall.filter(({ part }) => named.has(part)),
    boards: layout.boards.filter((board) => cutFrom.has(board)),
  };
}

/** What is judged of the boards of one species, whatever pieces are cut from them. `where` has names of the job. */
export function checkWood(wood: WoodOfJob, shop: Shop): Check[] {
  const { layout, boards, species, moves } = wood;
  const labelOf = labelsBy(wood.letters);
  return [
    ...(layout && wood.layoutState === 'current'
      ? machineChecks({ layout, boards, shop, species, nameOf: labelOf })
      : []),
    ...movesGivenUp(moves.asked, moves.standing, labelOf),
  ];
}

/** A check of a piece whose ways out say where they change the document of the job. */
export function inJob(owner: { pieceId: string; instance: number }, check: Check): Check {
  const moved = <T extends { changes: readonly Change[] }>(way: T): T => ({
    ...way,
    changes: changesInJob(owner, way.changes),
  });
  return {
    ...check,
    ...(check.wayOut ? { wayOut: moved(check.wayOut) } : {}),
    ...(check.otherWaysOut ? { otherWaysOut: check.otherWaysOut.map(moved) } : {}),
  };
}
