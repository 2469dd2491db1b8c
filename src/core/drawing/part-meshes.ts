import type { Manifold, ManifoldToplevel } from 'manifold-3d';
import type { Part } from '../piece/part';
import type { Convex } from '../solid/convex';

/** A part as it is made, as triangles. */
export interface PartMesh {
  part: string;
  /** x, y, z of every corner in the axes of the piece, mm. */
  positions: Float32Array;
  /** Three corners a triangle, anticlockwise seen from outside. */
  indices: Uint32Array;
  /** mm³ */
  volume: number;
}

/**
 * Every part with its tenons added and its mortises, laps and notches taken out, by a library for solids that whoever calls
 * has loaded and set up (manifold-3d).
 */
export function partMeshes(parts: readonly Part[], library: Pick<ManifoldToplevel, 'Manifold'>): PartMesh[] {
  return parts.map((part) => {
    const solid = madeSolid(part, library);
    const mesh = solid.getMesh();
    const { numProp, vertProperties, triVerts } = mesh;
    const positions = new Float32Array((vertProperties.length / numProp) * 3);
    for (let i = 0; i < positions.length / 3; i += 1) {
      for (let k = 0; k < 3; k += 1) positions[3 * i + k] = vertProperties[numProp * i + k] as number;
    }
    const volume = solid.volume();
    solid.delete();
    return { part: part.id, positions, indices: new Uint32Array(triVerts), volume };
  });
}

function madeSolid(part: Part, { Manifold }: Pick<ManifoldToplevel, 'Manifold'>): Manifold {
  const hull = (solid: Convex) => Manifold.hull(solid.corners.map((p) => [...p]));
  const used: Manifold[] = [];
  const keep = (solid: Manifold) => {
    used.push(solid);
    return solid;
  };
  const body = keep(Manifold.union(part.placed.map((own) => keep(hull(own)))));
  const less = (solid: Manifold, late: boolean) => {
    const taken = part.removed.filter((cut) => (cut.late ?? false) === late).map((cut) => keep(hull(cut.solid)));
    return taken.length > 0 ? keep(solid.subtract(keep(Manifold.union(taken)))) : solid;
  };
  const grown = part.added.map(({ solid }) => keep(hull(solid)));
  const joined = keep(Manifold.union([less(body, false), ...grown]));
  const whole = less(joined, true);
  used.splice(used.indexOf(whole), 1);
  for (const solid of new Set(used)) solid.delete();
  return whole;
}
