import { hasSectionOf, isSheetOf, widthFrom } from '../stock/as-dressed';
import type { Board } from '../stock/board';
import { boardShape, reachAcross } from '../stock/board-shape';
import { liveEdgeOf } from '../stock/live-edge';
import { spoils } from '../stock/spoils';
import { planedThickness, resawableThickness } from '../stock/thickness';
import { clearArea } from './clear-area';
import { overlap } from './clear-regions';
import { cutSequence, type Wanted } from './cut-sequence';
import type { Demand, PanelDemand, PartDemand } from './demand';
import { clearOf, type Layout, type LayoutOptions, type Placement, type Rectangle } from './layout';
import { leavesOf, stripUse, widestBlank, withoutPartner } from './matched-pairs';

const SLACK = 1e-6;
const near = (a: number, b: number) => Math.abs(a - b) < SLACK;

/** What is looked at: a layout, or one the maker is just moving about. */
export type Checkable = Pick<Layout, 'placements' | 'offcuts' | 'shortfall'>;

/**
 * Looks at a layout knowing nothing of how it was found: every piece inside its board, its end trim, its taper and its
 * live edges, clear of what spoils its use, a kerf between neighbours, thick enough, of the asked size, each part
 * once, each panel as wide as it must be and of as few strips and lots as asked, and the whole reachable by straight
 * through cuts. Returns what is wrong, in words; nothing when all is well.
 */
export function checkLayout(
  demand: Demand,
  boards: readonly Board[],
  options: LayoutOptions,
  layout: Checkable,
): string[] {
  const wrong: string[] = [];
  const known = new Set(boards.map((board) => board.id));
  for (const p of layout.placements) if (!known.has(p.board)) wrong.push(`${p.part} lies on a board that is not there`);
  for (const board of boards) wrong.push(...checkBoard(board, demand, options, layout));
  wrong.push(...checkTogether(demand, boards, layout.placements));
  const missing = new Set(layout.shortfall.map((s) => s.part));
  for (const part of demand.parts)
    wrong.push(...checkPart(part, boards, options, layout.placements, missing.has(part.id)));
  for (const panel of demand.panels) {
    wrong.push(...checkPanel(panel, layout.placements, missing.has(panel.id)));
  }
  return wrong;
}

/**
 * What is wrong with pieces that belong together, on whatever boards they lie: sets that do not come from one board,
 * panels that mix lots where they may not, leaves of a pair that are not from one blank.
 *
 * @param nameOf as in {@link checkBoard}
 */
export function checkTogether(
  demand: Demand,
  boards: readonly Board[],
  placements: readonly Placement[],
  nameOf: (placement: Placement) => string = (placement) => placement.part,
): string[] {
  const sets = new Map<string, Placement[]>();
  for (const { id, together } of demand.parts) {
    if (together === undefined) continue;
    const own = placements.filter((p) => p.part === id);
    sets.set(together, [...(sets.get(together) ?? []), ...own]);
  }
  const torn = [...sets.values()].flatMap((set) =>
    new Set(set.map((p) => p.board)).size > 1 ? [`${set.map(nameOf).join(', ')} are to come from one board`] : [],
  );
  const mixed = demand.panels.flatMap((panel) => {
    const own = placements.filter((p) => p.part === panel.id);
    const lots = new Set(own.map((p) => boards.find((board) => board.id === p.board)?.lot));
    return panel.oneLot && lots.size > 1 ? [`${panel.name} is to come from one lot`] : [];
  });
  const alone = demand.panels.flatMap((panel) =>
    withoutPartner(panel, placements).map((p) => `${nameOf(p)} has no other leaf from its blank`),
  );
  return [...torn, ...mixed, ...alone];
}

/**
 * What is wrong on one board.
 *
 * @param nameOf what a piece is called in the words that come back; its part's id where nothing is said
 */
export function checkBoard(
  board: Board,
  demand: Demand,
  options: LayoutOptions,
  layout: Checkable,
  nameOf: (placement: Placement) => string = (placement) => placement.part,
): string[] {
  const wrong: string[] = [];
  const here = layout.placements.filter((p) => p.board === board.id);
  const offcuts = layout.offcuts.filter((o) => o.board === board.id);
  if (here.length === 0 && offcuts.length === 0) return wrong;
  const shape = boardShape(board);
  const blanks = blanksOf(here);
  const pieces: { name: string; at: Wanted }[] = [
    ...blanks.map(({ at, placements }) => ({ name: placements.map(nameOf).join(', '), at })),
    ...offcuts.map((at) => ({ name: 'an offcut', at: { ...at, offcut: true } })),
  ];

  const lives = new Set(demand.parts.flatMap((part) => (part.live ? part.id : [])));
  const takesLiveEdge = (at: Rectangle) => blanks.some((own) => own.at === at && lives.has(own.at.part));

  // First what no other place on the board would mend.
  for (const { at, placements } of blanks) {
    let thickness = 0;
    // Strips are planed as wide as they may be, for they are ripped to their width after.
    let widest = at.width;
    for (const p of placements) {
      const part = demand.parts.find((d) => d.id === p.part);
      const panel = demand.panels.find((d) => d.id === p.part);
      const wanted = part ?? panel;
      if (!wanted) {
        wrong.push(`${nameOf(p)} is not asked for`);
        continue;
      }
      const use = panel ? stripUse(panel, placements.length) : { kind: 'part' as const, shows: wanted.shows };
      for (const defect of board.defects) {
        if (overlap(soundPart(board, at, part?.live), defect) && spoils(defect, use, p.turned ? 'under' : 'tagged')) {
          wrong.push(`${nameOf(p)} lies on a ${defect.kind} of ${board.tag}`);
        }
      }
      thickness += wanted.finished.thickness;
      if (part?.live && !liveEdgeOf(board, at)) wrong.push(`${nameOf(p)} takes no live edge of ${board.tag} with it`);
      if (part?.asDressed && !hasSectionOf(part, board))
        wrong.push(`${board.tag} is not dressed to the section of ${nameOf(p)}`);
      if (part?.sheet && !isSheetOf(part.finished.thickness, board))
        wrong.push(`${board.tag} is not as thick as ${nameOf(p)}`);
      if (panel) widest = Math.max(widest, widestBlank(panel, options));
    }
    const layers = placements.length;
    if (layers > 1) {
      const { resaw } = options;
      thickness += layers * resaw.allowance + (layers - 1) * resaw.kerf;
      const told = new Set(placements.map((p) => p.layer));
      const leaves = placements.every((p) => p.part === placements[0]?.part);
      if (told.size !== layers || told.has(undefined) || (placements.some((p) => p.strip !== undefined) && !leaves))
        wrong.push(`two pieces lie on one another on ${board.tag}`);
      if (at.width > resaw.height + SLACK) wrong.push(`${board.tag} cannot be resawn so wide`);
    }
    const size = {
      length: at.length,
      width: layers > 1 ? Math.min(widest, Math.max(options.resaw.height, at.width)) : widest,
    };
    const given = (layers > 1 ? resawableThickness : planedThickness)(board, options, size);
    const dressed = placements.every((p) =>
      demand.parts.some((part) => part.id === p.part && (part.asDressed || part.sheet)),
    );
    if (!dressed && given < thickness - SLACK) {
      const crooked = board.crook ? ', crooked as it is,' : '';
      wrong.push(`${board.tag}${crooked} is too thin for ${placements.map(nameOf).join(' and ')}`);
    }
  }
  for (const [i, { name, at }] of pieces.entries()) {
    const live = takesLiveEdge(at) ? liveEdgeOf(board, at) : null;
    const inside =
      at.x >= options.endTrim - SLACK &&
      at.y >= (live === 'near' ? 0 : shape.near) - SLACK &&
      at.x + at.length <= board.length - options.endTrim + SLACK &&
      at.y + at.width <=
        reachAcross(shape, at.x, at.x + at.length) + (live === 'far' ? board.liveEdges.far : 0) + SLACK;
    const onBoard = at.x >= -SLACK && at.x + at.length <= board.length + SLACK;
    const inTrim =
      onBoard && (at.x < options.endTrim - SLACK || at.x + at.length > board.length - options.endTrim + SLACK);
    if (!inside)
      wrong.push(
        inTrim
          ? `${name} lies outside what is kept of ${board.tag}, in its end trim`
          : `${name} lies outside ${board.tag}`,
      );
    for (const other of pieces.slice(i + 1)) {
      if (overlap(grown(at, options.kerf), other.at))
        wrong.push(`${name} leaves no kerf to ${other.name} on ${board.tag}`);
    }
  }
  for (const offcut of offcuts) {
    const sound = clearArea({ ...offcut, farWidth: null, defects: defectsIn(offcut, board) }, 0);
    if (clearOf(offcut) > sound + 1) wrong.push(`an offcut of ${board.tag} is counted clear of what lies in it`);
  }

  const whole = { x: 0, y: 0, length: board.length, width: Math.max(board.width, board.farWidth ?? 0) };
  const wanted = pieces.map(({ at }): Wanted => {
    const live = takesLiveEdge(at) ? liveEdgeOf(board, at) : null;
    return live ? { ...at, live } : at;
  });
  if (!cutSequence(whole, wanted, { kerf: options.kerf, step: 0 }))
    wrong.push(`${board.tag} cannot be cut up by straight through cuts`);
  return wrong;
}

/** What of a piece is of full thickness: a live edge is as it is. */
function soundPart(board: Board, at: Rectangle, live: boolean | undefined): Rectangle {
  const edge = live ? liveEdgeOf(board, at) : null;
  if (!edge) return at;
  const depth = board.liveEdges[edge];
  return { ...at, y: edge === 'near' ? at.y + depth : at.y, width: at.width - depth };
}

/** Defects by their place in an offcut. */
const defectsIn = (offcut: Rectangle, board: Board): Rectangle[] =>
  board.defects
    .filter((defect) => overlap(offcut, defect))
    .map(({ x, y, length, width }) => ({ x: x - offcut.x, y: y - offcut.y, length, width }));

/** Pieces resawn from one another share one blank. */
function blanksOf(placements: readonly Placement[]): { at: Placement; placements: Placement[] }[] {
  const blanks: { at: Placement; placements: Placement[] }[] = [];
  for (const p of placements) {
    const same = blanks.find(
      ({ at }) => near(at.x, p.x) && near(at.y, p.y) && near(at.length, p.length) && near(at.width, p.width),
    );
    if (same) same.placements.push(p);
    else blanks.push({ at: p, placements: [p] });
  }
  return blanks;
}

/** Whether a piece has the size that is required, sawn from the board it lies on. */
export function hasSizeOf(part: PartDemand, placement: Placement, boards: readonly Board[], skim: number): boolean {
  const board = boards.find(({ id }) => id === placement.board);
  const width = board ? widthFrom(part, board, skim) : part.rough.width;
  return near(placement.length, part.rough.length) && near(placement.width, width);
}

function checkPart(
  part: PartDemand,
  boards: readonly Board[],
  { skim }: LayoutOptions,
  placements: readonly Placement[],
  missing: boolean,
): string[] {
  const placed = placements.filter((p) => p.part === part.id);
  const wrong = placed.length === (missing ? 0 : 1) ? [] : [`${part.id} is placed ${placed.length} times`];
  for (const p of placed) {
    if (!hasSizeOf(part, p, boards, skim)) wrong.push(`${part.id} has the wrong size`);
  }
  return wrong;
}

function checkPanel(panel: PanelDemand, placements: readonly Placement[], missing: boolean): string[] {
  const wrong: string[] = [];
  const strips = placements.filter((p) => p.part === panel.id);
  panel.bands.forEach((band, index) => {
    const own = strips.filter((p) => (p.band ?? 0) === index);
    const total = own.reduce((sum, p) => sum + p.width - panel.jointing, 0);
    const least = Math.min(panel.leastStrip, band.width / leavesOf(panel));
    if (!missing && total < band.width - SLACK) wrong.push(`${panel.id} is too narrow`);
    if (
      own.some(
        (p) => p.width - panel.jointing < least - SLACK || p.width - panel.jointing > panel.greatestStrip + SLACK,
      )
    )
      wrong.push(`${panel.id} has a strip of the wrong width`);
    if (own.some((p) => !near(p.length, band.length))) wrong.push(`${panel.id} has a strip of the wrong length`);
  });
  const numbers = new Set(strips.map((p) => p.strip));
  if (numbers.size !== strips.length || numbers.has(undefined)) wrong.push(`strips of ${panel.id} share a number`);
  if (panel.mostStrips !== null && strips.length > panel.mostStrips) wrong.push(`${panel.id} has too many strips`);
  return wrong;
}

const grown = (r: Rectangle, by: number): Rectangle => ({
  x: r.x - by,
  y: r.y - by,
  length: r.length + 2 * by,
  width: r.width + 2 * by,
});
