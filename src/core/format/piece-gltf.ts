import { Document, type Material, WebIO } from '@gltf-transform/core';
import type { PartMesh } from '../drawing/part-meshes';
import type { Part } from '../piece/part';

/**
 * The piece as a binary glTF 2.0 file: a node a part, named by its letter and name, in metres, y up, as the format asks.
 *
 * @param meshes of the parts, in mm with z up
 */
export async function writePieceGltf(
  parts: readonly Part[],
  meshes: readonly PartMesh[],
  name: string,
): Promise<Uint8Array> {
  const document = new Document();
  document.getRoot().getAsset().generator = 'Taller';
  const buffer = document.createBuffer();
  const wood = (id: string, colour: [number, number, number]): Material =>
    document
      .createMaterial(id)
      .setBaseColorFactor([...colour, 1])
      .setMetallicFactor(0)
      .setRoughnessFactor(0.85);
  const [top, base] = [wood('top', [0.84, 0.72, 0.54]), wood('base', [0.76, 0.63, 0.46])];
  const scene = document.createScene(name);
  for (const { part: id, positions, indices } of meshes) {
    const part = parts.find((own) => own.id === id);
    if (!part) continue;
    const { corners, normals, order } = flatShaded(positions, indices);
    const primitive = document
      .createPrimitive()
      .setAttribute('POSITION', document.createAccessor().setType('VEC3').setArray(corners).setBuffer(buffer))
      .setAttribute('NORMAL', document.createAccessor().setType('VEC3').setArray(normals).setBuffer(buffer))
      .setIndices(document.createAccessor().setType('SCALAR').setArray(order).setBuffer(buffer))
      .setMaterial(
        part.kind === 'top' ||
          part.kind === 'slat' ||
          part.kind === 'slab' ||
          part.kind === 'border' ||
          part.kind === 'leaf' ||
          part.kind === 'breadboard'
          ? top
          : base,
      );
    const label = `${part.letter} ${part.name}`;
    scene.addChild(document.createNode(label).setMesh(document.createMesh(label).addPrimitive(primitive)));
  }
  return new WebIO().writeBinary(document);
}

/** Every triangle with corners of its own, so that plane faces look plane; z up in mm becomes y up in metres. */
function flatShaded(positions: Float32Array, indices: Uint32Array) {
  const corners = new Float32Array(indices.length * 3);
  const normals = new Float32Array(indices.length * 3);
  const order = new Uint32Array(indices.length);
  for (let t = 0; t < indices.length; t += 3) {
    const triangle = [0, 1, 2].map((k) => {
      const i = 3 * (indices[t + k] as number);
      return [positions[i], positions[i + 2], -(positions[i + 1] as number)].map((n) => (n as number) / 1000);
    }) as [number[], number[], number[]];
    const [a, b, c] = triangle as unknown as [Triple, Triple, Triple];
    const normal = normalOf(a, b, c);
    for (let k = 0; k < 3; k += 1) {
      order[t + k] = t + k;
      corners.set(triangle[k] as number[], 3 * (t + k));
      normals.set(normal, 3 * (t + k));
    }
  }
  return { corners, normals, order };
}

type Triple = [number, number, number];

function normalOf(a: Triple, b: Triple, c: Triple): Triple {
  const [u, v] = [b, c].map((p) => [p[0] - a[0], p[1] - a[1], p[2] - a[2]]) as [Triple, Triple];
  const n: Triple = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
  const long = Math.hypot(...n);
  return long > 0 ? [n[0] / long, n[1] / long, n[2] / long] : [0, 1, 0];
}
