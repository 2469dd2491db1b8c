import { expose, transfer } from 'comlink';
import loadManifold, { type ManifoldToplevel } from 'manifold-3d';
import { type Part, type PartMesh, partMeshes } from '@/core';

let library: Promise<ManifoldToplevel> | undefined;

const solids = {
  /** Every part as it is made, as triangles. */
  async meshes(parts: readonly Part[], wasm: string): Promise<PartMesh[]> {
    library ??= loadManifold({ locateFile: () => wasm }).then((loaded) => {
      loaded.setup();
      return loaded;
    });
    const made = partMeshes(parts, await library);
    return transfer(
      made,
      made.flatMap(({ positions, indices }) => [positions.buffer as ArrayBuffer, indices.buffer as ArrayBuffer]),
    );
  },
};

export type Solids = typeof solids;
expose(solids);
