/** A member of a plane frame: between two of its nodes, of one section. */
export interface FrameMember {
  from: number;
  to: number;
  /** Cross-section, mm², and its second moment about the axis square to the frame's plane, mm⁴. */
  area: number;
  second: number;
  /** MPa */
  modulus: number;
}

export interface PlaneFrame {
  /** mm */
  nodes: readonly (readonly [number, number])[];
  members: readonly FrameMember[];
  /** Nodes that cannot go anywhere and are free to turn. */
  held: readonly number[];
  /** N at a node, along x and y. */
  loads: readonly { node: number; force: readonly [number, number] }[];
}

/**
 * Displacements of the nodes of a plane frame whose joints are stiff, mm along x and y and radians: the direct stiffness
 * method (any textbook of structural analysis), shear left out. Null where the frame is a mechanism.
 */
export function solveFrame({ nodes, members, held, loads }: PlaneFrame): [number, number, number][] | null {
  const n = 3 * nodes.length;
  // Row after row, so that what is joined lies close together in the matrix.
  const rows = nodes.map((_, i) => i).sort((i, j) => nodes[i]![1] - nodes[j]![1] || nodes[i]![0] - nodes[j]![0]);
  const places = new Int32Array(nodes.length);
  rows.forEach((node, i) => {
    places[node] = i;
  });
  const at = (node: number): number => places[node]!;
  const k = Array.from({ length: n }, () => new Float64Array(n));
  const load = new Float64Array(n);
  for (const { from, to, area, second, modulus } of members) {
    const [[x0, y0], [x1, y1]] = [nodes[from] as [number, number], nodes[to] as [number, number]];
    const long = Math.hypot(x1 - x0, y1 - y0);
    const [c, s] = [(x1 - x0) / long, (y1 - y0) / long];
    const [axial, bend] = [(modulus * area) / long, (modulus * second) / long ** 3];
    // Its stiffness in the axes of the frame: along it, across it, and turning.
    const [across, turn, near, far] = [12 * bend, 6 * bend * long, 4 * bend * long ** 2, 2 * bend * long ** 2];
    const [xx, yy, xy] = [axial * c * c + across * s * s, axial * s * s + across * c * c, (axial - across) * c * s];
    const [tx, ty] = [-turn * s, turn * c];
    const whole = [
      [xx, xy, tx, -xx, -xy, tx],
      [xy, yy, ty, -xy, -yy, ty],
      [tx, ty, near, -tx, -ty, far],
      [-xx, -xy, -tx, xx, xy, -tx],
      [-xy, -yy, -ty, xy, yy, -ty],
      [tx, ty, far, -tx, -ty, near],
    ];
    const [p, q] = [3 * at(from), 3 * at(to)];
    const place = [p, p + 1, p + 2, q, q + 1, q + 2];
    whole.forEach((row, i) => {
      const into = k[place[i]!] as Float64Array;
      row.forEach((value, j) => {
        add(into, place[j]!, value);
      });
    });
  }
  for (const { node, force } of loads) {
    add(load, 3 * at(node), force[0]);
    add(load, 3 * at(node) + 1, force[1]);
  }
  const fixed = new Set(held.flatMap((node) => [3 * at(node), 3 * at(node) + 1]));
  const apart = Math.max(0, ...members.map(({ from, to }) => Math.abs(at(from) - at(to))));
  const moved = eliminate(k, load, fixed, 3 * apart + 2);
  return moved && nodes.map((_, i) => [moved[3 * at(i)]!, moved[3 * at(i) + 1]!, moved[3 * at(i) + 2]!]);
}

const add = (row: Float64Array, i: number, value: number) => {
  row[i] = row[i]! + value;
};

/**
 * Gaussian elimination with pivots; rows that are fixed come to nought.
 *
 * @param band the farthest entry from the diagonal
 */
function eliminate(
  k: Float64Array[],
  load: Float64Array,
  fixed: ReadonlySet<number>,
  band: number,
): Float64Array | null {
  const n = load.length;
  for (const i of fixed) {
    for (let j = 0; j < n; j += 1) {
      k[i]![j] = 0;
      k[j]![i] = 0;
    }
    k[i]![i] = 1;
    load[i] = 0;
  }
  for (let i = 0; i < n; i += 1) {
    let best = i;
    const lowest = Math.min(n, i + band + 1);
    for (let r = i + 1; r < lowest; r += 1) {
      if (Math.abs(k[r]![i]!) > Math.abs(k[best]![i]!)) best = r;
    }
    if (Math.abs(k[best]![i]!) < 1e-9) return null;
    [k[i], k[best]] = [k[best]!, k[i]!];
    [load[i], load[best]] = [load[best]!, load[i]!];
    const row = k[i]!;
    // A row that came up from below reaches twice as far.
    let last = Math.min(n - 1, i + 2 * band);
    while (last > i && row[last] === 0) last -= 1;
    for (let r = i + 1; r < lowest; r += 1) {
      const other = k[r]!;
      const share = other[i]! / row[i]!;
      if (share === 0) continue;
      for (let j = i; j <= last; j += 1) add(other, j, -share * row[j]!);
      add(load, r, -share * load[i]!);
    }
  }
  for (let i = n - 1; i >= 0; i -= 1) {
    const row = k[i]!;
    let sum = load[i]!;
    for (let j = i + 1; j <= Math.min(n - 1, i + 2 * band); j += 1) sum -= row[j]! * load[j]!;
    load[i] = sum / row[i]!;
  }
  return load;
}
