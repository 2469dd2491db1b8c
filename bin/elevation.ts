// A case from the front by finite elements: its boards and the sheet behind as quadratic plane-stress elements that share nodes.
type Solve = (name: string, lines: readonly string[]) => Map<number, [number, number, number]>;

export interface Elevation {
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
export function swayOfElevation(solve: Solve, given: Elevation): number {
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
