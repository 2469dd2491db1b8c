import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import loadManifold, { type ManifoldToplevel } from 'manifold-3d';

let wasm: Promise<Uint8Array<ArrayBuffer>> | undefined;
let library: Promise<ManifoldToplevel> | undefined;

/** The library for solids as compiled for the browser. */
export function solidsWasm(): Promise<Uint8Array<ArrayBuffer>> {
  wasm ??= readFile(createRequire(`${process.cwd()}/`).resolve('manifold-3d/manifold.wasm')).then(
    (bytes) => new Uint8Array(bytes),
  );
  return wasm;
}

/** The library for solids on the server, loaded once. */
export function serverSolids(): Promise<ManifoldToplevel> {
  library ??= loadManifold().then((loaded) => {
    loaded.setup();
    return loaded;
  });
  return library;
}
