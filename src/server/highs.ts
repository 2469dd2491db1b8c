import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import loadHighs from 'highs';
import { highsSolver, type LinearSolver } from '@/core';

let wasm: Promise<Uint8Array<ArrayBuffer>> | undefined;
let solver: Promise<LinearSolver> | undefined;

/** HiGHS as compiled for the browser. */
export function highsWasm(): Promise<Uint8Array<ArrayBuffer>> {
  wasm ??= readFile(createRequire(`${process.cwd()}/`).resolve('highs/runtime')).then((bytes) => new Uint8Array(bytes));
  return wasm;
}

/** HiGHS on the server, loaded once. */
export function serverSolver(): Promise<LinearSolver> {
  solver ??= loadHighs().then(highsSolver);
  return solver;
}
