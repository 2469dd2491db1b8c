import type { Shop } from '../decision/shop';
import type { HoldKind } from '../document/job-document';
import { MM_PER_INCH } from '../measure/length';
import { mm, movement, say } from '../measure/quantity';
import { HOLDS } from '../piece/table/holds/hold';
import type { TableContext, WayOut } from './check';

/** Wood left between a screw's point and the show face, 1/4 in, and what it must bite into the top, mm; common practice. */
export const LEAST_OVER_SCREW = MM_PER_INCH / 4;
export const LEAST_BITE = 10;

/** Wood screws and inserts as they are sold, mm; common practice. */
const METRIC = [10, 12, 13, 15, 16, 18, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100];
const INCH = [0.375, 0.5, 0.625, 0.75, 0.875, 1, 1.125, 1.25, 1.5, 1.75, 2, 2.25, 2.5, 3, 3.5, 4].map(
  (n) => n * MM_PER_INCH,
);

/** The longest screw sold that holds a top of a thickness and leaves enough over its point, mm; null where there is none. */
export function screwFor(kind: HoldKind, thickness: number, units: Shop['units']): number | null {
  const { underHead } = HOLDS[kind];
  const fit = (units === 'inch' ? INCH : METRIC).filter(
    (length) => thickness - (length - underHead) >= LEAST_OVER_SCREW - 1e-9 && length - underHead >= LEAST_BITE,
  );
  return fit.at(-1) ?? null;
}

/** Ways of holding a top that are proposed in place of another, the most forgiving first. */
const PROPOSED: readonly HoldKind[] = [
  'slotted-cleats',
  'sliding-blocks',
  'slotted-washers',
  'oversized-holes',
  'buttons',
  'inserts',
];

/**
 * Other ways to hold the top, each with a screw that suits it; with enough travel where one is asked for. What a base or top
 * takes is found out when they are tried.
 *
 * @param travel mm each way, outward and inward
 */
export function otherHolds({ document, piece, shop }: TableContext, travel?: number): WayOut[] {
  const { hold } = document.form;
  return PROPOSED.flatMap((kind): WayOut[] => {
    const screw = screwFor(kind, piece.top.size.thickness, shop.units);
    const { name, greatestTravel } = HOLDS[kind];
    const given = travel ?? Math.max(hold.travel, hold.inward ?? 0);
    if (kind === hold.kind || screw === null || given > greatestTravel) return [];
    return [
      {
        say:
          travel === undefined
            ? say`Hold it with ${name.toLowerCase()}, screws ${mm(screw)} long`
            : say`Hold it with ${name.toLowerCase()}, ${movement(travel)} each way, screws ${mm(screw)} long`,
        changes: [
          {
            path: 'form.hold',
            value: { kind, travel: given, inward: travel === undefined ? hold.inward : null, screwLength: screw },
          },
        ],
      },
    ];
  });
}
