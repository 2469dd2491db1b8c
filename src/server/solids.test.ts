import { validateBytes } from 'gltf-validator';
import { Box3, type Mesh, Vector3 } from 'three';
import { GLTFLoader } from 'three/examples/jsm/loaders/GLTFLoader.js';
import { describe, expect, it } from 'vitest';
import { partMeshes } from '@/core';
import { writePieceGltf } from '@/core/format/piece-gltf';
import { CONSTRUCTIONS, derived } from '../../tests/fixtures/constructions';
import { serverSolids } from './solids';

const pieces = ['wedged stretcher', 'slats on crossed legs', 'a round table on three'].map(
  (name) => CONSTRUCTIONS.find((c) => c.name.includes(name))!,
);

describe.each(pieces.map((c) => [c.name, c] as const))('the glTF of %s', (_, { document }) => {
  const { piece } = derived(document);
  const made = (async () => {
    const meshes = partMeshes(piece.parts, await serverSolids());
    return { meshes, glb: await writePieceGltf(piece.parts, meshes, 'Piece') };
  })();

  it('is valid by the validator of the format’s keepers', async () => {
    const report = await validateBytes((await made).glb);
    expect(report.issues.numErrors, JSON.stringify(report.issues.messages)).toBe(0);
    expect(report.issues.numWarnings).toBe(0);
  });

  it('is read by another library at its true size, a node a part', async () => {
    const { glb } = await made;
    const bytes = glb.buffer.slice(glb.byteOffset, glb.byteOffset + glb.byteLength) as ArrayBuffer;
    const { scene } = await new GLTFLoader().parseAsync(bytes, '');
    const meshes: Mesh[] = [];
    scene.traverse((node) => {
      if ('isMesh' in node) meshes.push(node as Mesh);
    });
    expect(meshes).toHaveLength(piece.parts.length);
    const size = new Box3().setFromObject(scene).getSize(new Vector3()).multiplyScalar(1000);
    expect(size.y).toBeCloseTo(piece.overall.height, 1);
    // Through tenons stand out beyond neither top nor feet; three feet do not stand alike on both sides.
    const half = piece.overall.length / 2;
    const long = Math.max(half, piece.ground.right) + Math.max(half, -piece.ground.left);
    expect(Math.abs(size.x - long)).toBeLessThan(0.05);
  });
});
