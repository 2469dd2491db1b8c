import type { Use } from '../stock/spoils';
import type { PanelDemand } from './demand';
import type { LayoutOptions, Placement } from './layout';
import { resawnFrom } from './resawing';

/** How the two leaves that are resawn from one blank lie side by side. Common practice. */
export const PAIR_SCHOOLS: Readonly<Record<NonNullable<PanelDemand['pairs']>, { name: string; reason: string }>> = {
  book: {
    name: 'Like a book',
    reason:
      'Opened about the joint: the sawn faces show, the grain mirrored about the joint. One leaf planes the other way, and takes the light and the stain otherwise.',
  },
  slip: {
    name: 'Slipped',
    reason: 'Side by side as they lay: the grain repeated. Light falls alike on both; the joint is easier seen.',
  },
};

type Paired = Pick<PanelDemand, 'pairs'>;

/** Strips that one blank of a panel gives. */
export const leavesOf = ({ pairs }: Paired): 1 | 2 => (pairs ? 2 : 1);

/**
 * What a panel's strips are for. A leaf shows wood from inside its blank, or either face of it: nobody knows how deep
 * a fault goes, so both faces are kept clear of it.
 *
 * @param leaves resawn from one blank
 */
export const stripUse = ({ shows }: { shows: Use['shows'] }, leaves: number): Use => ({
  kind: 'strip',
  shows: leaves > 1 && shows !== 'none' ? 'all' : shows,
});

/** How thick a blank must be for the strips of a panel, mm. */
export const stripBlank = (
  panel: Paired & { finished: { thickness: number } },
  { resaw }: Pick<LayoutOptions, 'resaw'>,
): number => resawnFrom(panel.finished.thickness, leavesOf(panel), resaw);

/** As wide as the blank of a strip may be, mm: what is resawn goes no higher than the band saw. */
export const widestBlank = (
  { pairs, greatestStrip, jointing }: Pick<PanelDemand, 'pairs' | 'greatestStrip' | 'jointing'>,
  { resaw }: Pick<LayoutOptions, 'resaw'>,
): number => Math.min(greatestStrip + jointing, pairs ? resaw.height : Number.POSITIVE_INFINITY);

/** Leaves of pairs whose other leaf does not come from the same blank. */
export function withoutPartner(panel: PanelDemand, placements: readonly Placement[]): Placement[] {
  if (!panel.pairs) return [];
  const own = placements.filter((p) => p.part === panel.id);
  const same = (a: Placement, b: Placement) =>
    a.board === b.board && a.x === b.x && a.y === b.y && a.length === b.length && a.width === b.width;
  return own.filter(
    (p) =>
      p.layer === undefined ||
      own.filter((q) => q.layer !== undefined && q.layer !== p.layer && same(p, q)).length !== 1,
  );
}
