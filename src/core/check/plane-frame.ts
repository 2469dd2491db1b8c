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
  /** Rods between two nodes that only push and pull: N a millimetre along the line between them. */
  ties?: readonly { from: number; to: number; stiffness: number }[];
  /** N at a node, along x and y. */
  loads: readonly { node: number; force: readonly [number, number] }[];
}

/**
 * Displacements of the nodes of a plane frame whose joints are stiff, mm along x and y and radians: the direct stiffness
 * method (any textbook of structural analysis), shear left out. Ties are put in afterwards (the matrix inversion lemma of
 * Woodbury), so that those from corner to corner do not fill the band. Null where the frame without them is a mechanism.
 */
export function solveFrame({ nodes, members, held, ties = [], loads }: PlaneFrame): [number, number, number][] | null {
  const n = 3 * nodes.length;
  // Row after row, so that what is joined lies close together in the matrix.
  const rows = nodes.map((_, i) => i).sort((i, j) => nodes[i]![1] - nodes[j]![1] || nodes[i]![0] - nodes[j]![0]);
  const places = new Int32Array(nodes.length);
  rows.forEach((node, i) => {
    places[node] = i;
  });
  const at = (node: number): number => places[node]!;
  const apart = Math.max(0, ...members.map(({ from, to }) => Math.abs(at(from) - at(to))));
  const matrix = new Banded(n, 3 * apart + 2);
  for (const { from, to, area, second, modulus } of members) {
    const { long, c, s } = lineOf(nodes, from, to);
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
    for (let i = 0; i < 6; i += 1) for (let j = 0; j < 6; j += 1) matrix.add(place[i]!, place[j]!, whole[i]![j]!);
  }
  const fixed = held.flatMap((node) => [3 * at(node), 3 * at(node) + 1]);
  for (const i of fixed) matrix.fix(i);
  if (!matrix.factor()) return null;
  const solved = (put: (load: Float64Array) => void): Float64Array => {
    const load = new Float64Array(n);
    put(load);
    for (const i of fixed) load[i] = 0;
    return matrix.solve(load);
  };
  const moved = solved((load) => {
    for (const { node, force } of loads) {
      load[3 * at(node)]! += force[0];
      load[3 * at(node) + 1]! += force[1];
    }
  });
  const rods = ties.map(({ from, to, stiffness }) => {
    const { c, s } = lineOf(nodes, from, to);
    const [p, q] = [3 * at(from), 3 * at(to)];
    return {
      stiffness,
      longer: (u: Float64Array) => c * (u[q]! - u[p]!) + s * (u[q + 1]! - u[p + 1]!),
      pulled: solved((load) => {
        load[p]! -= c;
        load[p + 1]! -= s;
        load[q]! += c;
        load[q + 1]! += s;
      }),
    };
  });
  pullBack(moved, rods);
  return nodes.map((_, i) => [moved[3 * at(i)]!, moved[3 * at(i) + 1]!, moved[3 * at(i) + 2]!]);
}

function lineOf(nodes: PlaneFrame['nodes'], from: number, to: number) {
  const [[x0, y0], [x1, y1]] = [nodes[from] as [number, number], nodes[to] as [number, number]];
  const long = Math.hypot(x1 - x0, y1 - y0);
  return { long, c: (x1 - x0) / long, s: (y1 - y0) / long };
}

interface Rod {
  stiffness: number;
  /** How much longer it becomes by some displacements. */
  longer: (moved: Float64Array) => number;
  /** Displacements by a unit force that draws its ends apart. */
  pulled: Float64Array;
}

/** Displacements without rods, made those with them: the force in each, so that with what it gives it is as long as its ends are apart. */
function pullBack(moved: Float64Array, rods: readonly Rod[]): void {
  const system = rods.map((rod, i) => [
    ...rods.map((other, j) => rod.longer(other.pulled) + (i === j ? 1 / rod.stiffness : 0)),
    rod.longer(moved),
  ]);
  for (let i = 0; i < system.length; i += 1) {
    const row = system[i]!;
    for (const [r, other] of system.entries()) {
      if (r === i) continue;
      const share = other[i]! / row[i]!;
      for (let j = i; j <= system.length; j += 1) other[j]! -= share * row[j]!;
    }
  }
  rods.forEach(({ pulled }, i) => {
    const force = system[i]![system.length]! / system[i]![i]!;
    for (let k = 0; k < moved.length; k += 1) moved[k]! -= force * pulled[k]!;
  });
}

/** A symmetric matrix of which nothing is farther from the diagonal than its band, as L·D·Lᵀ. */
class Banded {
  /** Row after row, from the band's edge up to the diagonal. */
  private readonly entries: Float64Array;

  constructor(
    private readonly size: number,
    private readonly band: number,
  ) {
    this.entries = new Float64Array(size * (band + 1));
  }

  private place(i: number, j: number): number {
    return i * (this.band + 1) + j - i + this.band;
  }

  /** Entries above the diagonal are those below it. */
  add(i: number, j: number, value: number): void {
    if (j <= i) this.entries[this.place(i, j)]! += value;
  }

  /** Row and column come to nought. */
  fix(i: number): void {
    for (let j = Math.max(0, i - this.band); j < i; j += 1) this.entries[this.place(i, j)] = 0;
    for (let r = i + 1; r <= Math.min(this.size - 1, i + this.band); r += 1) this.entries[this.place(r, i)] = 0;
    this.entries[this.place(i, i)] = 1;
  }

  /** @returns whether every pivot is more than nought: otherwise something can move freely */
  factor(): boolean {
    const { size, band, entries } = this;
    for (let i = 0; i < size; i += 1) {
      const first = Math.max(0, i - band);
      const own = this.place(i, 0);
      for (let j = first; j < i; j += 1) {
        const other = this.place(j, 0);
        let sum = entries[own + j]!;
        for (let k = Math.max(first, j - band); k < j; k += 1) sum -= entries[own + k]! * entries[other + k]!;
        // As yet times its pivot.
        entries[own + j] = sum;
      }
      let pivot = entries[own + i]!;
      for (let j = first; j < i; j += 1) {
        const share = entries[own + j]! / entries[this.place(j, j)]!;
        pivot -= share * entries[own + j]!;
        entries[own + j] = share;
      }
      if (!(pivot > 1e-9)) return false;
      entries[own + i] = pivot;
    }
    return true;
  }

  solve(load: Float64Array): Float64Array {
    const { size, band, entries } = this;
    for (let i = 0; i < size; i += 1) {
      const own = this.place(i, 0);
      for (let j = Math.max(0, i - band); j < i; j += 1) load[i]! -= entries[own + j]! * load[j]!;
    }
    for (let i = 0; i < size; i += 1) load[i]! /= entries[this.place(i, i)]!;
    for (let i = size - 1; i >= 0; i -= 1) {
      const own = this.place(i, 0);
      for (let j = Math.max(0, i - band); j < i; j += 1) load[j]! -= entries[own + j]! * load[i]!;
    }
    return load;
  }
}
