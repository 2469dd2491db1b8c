// A case from the front by finite elements: its boards and the sheet behind as quadratic plane-stress elements that share nodes.
import { bookcase, sideboard } from '../tests/fixtures/cases';

type Solve = (name: string, lines: readonly string[]) => Map<number, [number, number, number]>;

interface Elevation {
  name: string;
  /** Seen from the front, mm; of each, how deep it is from front to back. */
  boards: readonly { left: number; right: number; low: number; high: number; deep: number }[];
  modulus: number;
  /** Behind all that is clear between the boards; MPa. */
  sheet: { thickness: number; modulus: number; shear: number } | null;
  /** Between these heights nothing is closed behind. */
  closedFrom: number;
  /** Feet that rest in their middle on the floor, mm from the left. */
  feet: readonly number[];
  /** N along the upper edge. */
  push: number;
}

/** Elements across a board, and at least so many between two. */
const ACROSS = 2;
const BETWEEN = 14;

/** How far the upper edge goes, mm. */
function swayOfElevation(solve: Solve, given: Elevation): number {
  const { name, boards, modulus, sheet, closedFrom, feet, push } = given;
  const lines = (list: readonly number[]): number[] => {
    const sorted = [...new Set(list.map((n) => Number(n.toFixed(6))))].sort((a, b) => a - b);
    return sorted.slice(0, -1).flatMap((from, i) => {
      const to = sorted[i + 1] as number;
      const count = to - from < 60 ? ACROSS : BETWEEN;
      // Quadratic: a node in the middle of every edge.
      return Array.from({ length: 2 * count }, (_, k) => from + ((to - from) * k) / (2 * count)).concat(
        i === sorted.length - 2 ? [to] : [],
      );
    });
  };
  const xs = lines(boards.flatMap(({ left, right }) => [left, right]));
  const zs = lines([0, ...boards.flatMap(({ low, high }) => [low, high])]);
  const id = (i: number, j: number) => j * xs.length + i + 1;
  const sets = new Map<string, string[]>();
  const used = new Set<number>();
  let element = 0;
  for (let j = 0; j + 2 < zs.length; j += 2) {
    for (let i = 0; i + 2 < xs.length; i += 2) {
      const [x, z] = [xs[i + 1] as number, zs[j + 1] as number];
      const board = boards.find((own) => x > own.left && x < own.right && z > own.low && z < own.high);
      if (!board && !(sheet && z > closedFrom)) continue;
      const nodes = [
        id(i, j),
        id(i + 2, j),
        id(i + 2, j + 2),
        id(i, j + 2),
        id(i + 1, j),
        id(i + 2, j + 1),
        id(i + 1, j + 2),
        id(i, j + 1),
      ];
      for (const node of nodes) used.add(node);
      element += 1;
      const set = board ? `B${board.deep}` : 'SHEET';
      sets.set(set, [...(sets.get(set) ?? []), `${element}, ${nodes.join(', ')}`]);
    }
  }
  const at = (x: number, list: readonly number[]) =>
    list.reduce((best, own, i) => (Math.abs(own - x) < Math.abs((list[best] as number) - x) ? i : best), 0);
  const held = feet.map((x) => id(at(x, xs), 0));
  const heads = xs.map((_, i) => id(i, zs.length - 1)).filter((node) => used.has(node));
  const moved = solve(name, [
    '*NODE, NSET=ALL',
    ...zs.flatMap((z, j) =>
      xs.flatMap((x, i) => (used.has(id(i, j)) ? [`${id(i, j)}, ${x.toFixed(6)}, ${z.toFixed(6)}, 0`] : [])),
    ),
    ...[...sets].flatMap(([set, elements]) => [`*ELEMENT, TYPE=CPS8, ELSET=${set}`, ...elements]),
    '*MATERIAL, NAME=WOOD',
    '*ELASTIC',
    `${modulus}, 0.3`,
    ...(sheet
      ? [
          '*MATERIAL, NAME=PLY',
          '*ELASTIC, TYPE=ENGINEERING CONSTANTS',
          `${sheet.modulus}, ${sheet.modulus}, ${sheet.modulus}, 0.1, 0.1, 0.1, ${sheet.shear}, ${sheet.shear},`,
          `${sheet.shear}`,
        ]
      : []),
    ...[...sets.keys()].flatMap((set) => [
      `*SOLID SECTION, ELSET=${set}, MATERIAL=${set === 'SHEET' ? 'PLY' : 'WOOD'}`,
      `${set === 'SHEET' ? sheet?.thickness : set.slice(1)}`,
    ]),
    '*NSET, NSET=HEADS',
    ...heads.map((node) => `${node},`),
    '*BOUNDARY',
    ...held.map((node) => `${node}, 1, 2`),
    '*STEP',
    '*STATIC',
    '*CLOAD',
    ...heads.map((node) => `${node}, 1, ${push / heads.length}`),
    '*NODE PRINT, NSET=HEADS',
    'U',
    '*END STEP',
  ]);
  return heads.reduce((sum, node) => sum + (moved.get(node)?.[0] ?? Number.NaN), 0) / heads.length;
}

/** Cases whose boards are put down by hand, pushed at their upper edge. */
export function swaysOfCases(solve: Solve): Record<string, { piece: string; value: number }> {
  const found: Record<string, { piece: string; value: number }> = {};
  // A bookcase from the front, its boards put down by hand: pushed at its upper edge without a back, and with a sheet behind.
  const modulus = 12_000;
  const push = 150;
  const [w, h, side, across] = [bookcase.width, bookcase.height, bookcase.carcass.sides, bookcase.carcass.across];
  const inner = { left: side, right: w - side };
  const spaces = (h - 80 - 5 * across) / 4;
  const boards: Elevation['boards'] = [
    { left: 0, right: side, low: 0, high: h, deep: 300 },
    { left: w - side, right: w, low: 0, high: h, deep: 300 },
    { ...inner, low: 80, high: 80 + across, deep: 300 },
    { ...inner, low: h - across, high: h, deep: 300 },
    ...[1, 2, 3].map((i) => {
      const low = 80 + across + i * spaces + (i - 1) * across;
      return { ...inner, low, high: low + across, deep: 294 };
    }),
  ];
  const feet = [side / 2, w - side / 2];
  const given = { boards, modulus, feet, push, closedFrom: 80 };
  found['case-without-back'] = {
    piece: 'bookcase',
    value: swayOfElevation(solve, {
      ...given,
      name: 'open',
      boards: boards.map((own) => ({ ...own, deep: 300 })),
      sheet: null,
    }),
  };
  found['case-with-sheet'] = {
    piece: 'bookcase',
    value: swayOfElevation(solve, { ...given, name: 'closed', sheet: { thickness: 6, modulus: 6_000, shear: 600 } }),
  };
  // Two uprights beside one another, on the floor by its outer corners.
  const { width, height, carcass } = sideboard;
  const low = 90;
  const ends = { low: low + carcass.across, high: height - carcass.across, deep: 450 };
  const bays = [carcass.sides + 400, width - carcass.sides - 400 - 20];
  found['case-with-uprights'] = {
    piece: 'sideboard',
    value: swayOfElevation(solve, {
      ...{
        name: 'uprights',
        modulus,
        push,
        sheet: null,
        closedFrom: 0,
        feet: [carcass.sides / 2, width - carcass.sides / 2],
      },
      boards: [
        { left: 0, right: width, low: low - low, high: carcass.across, deep: 450 },
        { left: 0, right: width, low: height - low - carcass.across, high: height - low, deep: 450 },
        ...[0, width - carcass.sides].map((left) => ({
          ...ends,
          low: carcass.across,
          high: height - low - carcass.across,
          left,
          right: left + carcass.sides,
        })),
        ...bays.map((left) => ({
          ...ends,
          low: carcass.across,
          high: height - low - carcass.across,
          left,
          right: left + 20,
        })),
      ],
    }),
  };
  return found;
}
