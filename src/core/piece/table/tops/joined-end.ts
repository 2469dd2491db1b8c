import type { Joint } from '../../../joint/joint';
import { fixed } from '../../../restraint/tie';
import { box } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import { covers, type Draft } from '../../part';
import { type BasePlan, NO_GEAR, type TopGear, type TopPlan } from '../../plans';
import type { Unbuildable } from '../../unbuildable';
import type { TableForm } from '../form';

/** A connector: a flat steel plate let in flush across the seam, half of it under either table; mm, common practice. */
export const CONNECTOR = { half: 60, wide: 40, thick: 4 };
/** The outer ones stand so far from the sides of the top, mm; common practice. */
const FROM_SIDE = 80;

/** Where connectors stand across the table, from its middle. mm */
export function connectorPlaces(width: number, count: number): number[] {
  const reach = Math.max(0, width / 2 - FROM_SIDE);
  return Array.from({ length: count }, (_, i) => -reach + (2 * reach * i) / (count - 1));
}

/** The right end of a table that stands end to end with another like it: recesses under its top, and the plates in them. */
export function planJoinedEnd(form: TableForm, top: TopPlan, base: BasePlan): TopGear {
  const { joined } = form;
  if (!joined) return NO_GEAR;
  const problems: Unbuildable[] = [];
  const square = top.outline.length === 4 && top.outline.every(({ sagitta }) => !sagitta);
  if (!square || form.top.kind === 'extending' || form.base.kind === 'box') {
    problems.push({
      problem: 'Two tables stand end to end only with straight, square ends.',
      where: 'form.joined',
      wayOut: 'Take a rectangular top without leaves, or let the table stand alone.',
    });
    return { ...NO_GEAR, problems };
  }
  const end = top.size.length / 2;
  const { underside } = base;
  const drafts: Draft[] = [];
  const joints: Joint[] = [];
  for (const [i, y] of connectorPlaces(top.size.width, joined.connectors).entries()) {
    const panel = top.drafts.find((draft) => covers(draft, end - 1, y));
    if (!panel) continue;
    const id = `connector-${i + 1}`;
    const name = `Connector ${i + 1}`;
    drafts.push({
      id,
      name,
      kind: 'connector',
      grade: 'hidden',
      material: 'steel',
      size: { length: 2 * CONNECTOR.half, width: CONNECTOR.wide, thickness: CONNECTOR.thick },
      frame: squareFrame([end, y, underside + CONNECTOR.thick / 2], { length: 'x', width: 'y', thickness: 'z' }),
    });
    const between = `${panel.id}/${id}`;
    joints.push({
      id: between,
      kind: 'connector',
      name: `${name} under ${panel.name.toLowerCase()}`,
      into: panel.id,
      from: id,
      removed: [
        {
          part: panel.id,
          what: 'recess for a connector',
          solid: box(
            [end - CONNECTOR.half, y - CONNECTOR.wide / 2, underside],
            [end, y + CONNECTOR.wide / 2, underside + CONNECTOR.thick],
          ),
          open: [
            [0, 0, -1],
            [1, 0, 0],
          ],
        },
      ],
      added: [],
      ties: [
        fixed({
          id: between,
          name: `${name.toLowerCase()} under the top`,
          a: panel.id,
          b: id,
          at: { x: end - CONNECTOR.half / 2, y, z: underside },
        }),
      ],
    });
  }
  return {
    ...NO_GEAR,
    drafts,
    joints,
    fittings: [
      {
        name: 'Connector plates, steel, their slots across the table',
        count: drafts.length,
        size: [2 * CONNECTOR.half, CONNECTOR.wide, CONNECTOR.thick],
      },
      { name: 'Screws for the connectors', count: 4 * drafts.length, size: [] },
    ],
    problems,
  };
}
