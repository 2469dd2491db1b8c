'use client';

import dynamic from 'next/dynamic';
import { useEffect, useMemo, useState } from 'react';
import { type Apart, drawView, type PartMesh } from '@/core';
import { MeasuredDrawing } from '@/ui/measured-drawing';
import { useTabs } from '@/ui/use-tabs';
import { useWorker } from '@/ui/use-worker';
import type { Solids } from '@/workers/solids.worker';
import { useDerived, useLook } from '../job/job-context';

/** Where the browser fetches the compiled part of the library for solids. */
const WASM = '/api/manifold.wasm';
const SolidScene = dynamic(() => import('./solid-scene'), { ssr: false });

type Scene = { state: 'making' } | { state: 'made'; meshes: readonly PartMesh[] } | { state: 'drawn' };

const TOGETHER: Apart = { top: 0, rest: 0 };
/** The looks a maker takes at a piece, from the finished one to its parts. */
const LOOKS: readonly { value: string; label: string; apart: Apart }[] = [
  { value: 'together', label: 'Together', apart: TOGETHER },
  { value: 'top-off', label: 'Top off', apart: { top: 0.6, rest: 0 } },
  { value: 'joints', label: 'Joints open', apart: { top: 0.6, rest: 0.12 } },
  { value: 'parts', label: 'Every part', apart: { top: 0.7, rest: 0.6 } },
];

/** The piece taken apart: solids to be turned about, and a still drawing where the browser shows none. */
export function TakenApart() {
  const { piece } = useDerived();
  const lit = useLook((look) => look.lit);
  const light = useLook((look) => look.light);
  const looks = useTabs(LOOKS, 'joints', 'How far apart');
  const apart = LOOKS.find(({ value }) => value === looks.value)?.apart ?? TOGETHER;
  const scene = useSolids();
  const names = useMemo(
    () => Object.fromEntries(piece.parts.map((part) => [part.id, `${part.letter}, ${part.name}`])),
    [piece],
  );
  const view = useMemo(
    () => (scene.state === 'made' ? null : drawView(piece, 'apart', { apart })),
    [piece, apart, scene.state],
  );
  const [one] = lit;
  return (
    <div className="relative h-full min-h-64 w-full" data-scene={scene.state}>
      {scene.state === 'made' ? (
        <SolidScene piece={piece} meshes={scene.meshes} apart={apart} lit={lit} onLight={light} />
      ) : view ? (
        <MeasuredDrawing view={view} name="Taken apart" lit={lit} onLight={light} partNames={names} wood={piece.over} />
      ) : null}
      <div className="absolute top-1 right-2">{looks.bar}</div>
      <p className="absolute bottom-1 left-2 text-ink-2" aria-live="polite">
        {one && names[one]
          ? names[one]
          : scene.state === 'made'
            ? 'Drag to turn it, wheel to come nearer.'
            : scene.state === 'making'
              ? 'Cutting the joints …'
              : 'Drawn flat: this browser shows no solids.'}
      </p>
    </div>
  );
}

/** The parts with their joints cut, made in a worker whenever the piece changes; drawn flat where that cannot be shown. */
function useSolids(): Scene {
  const { piece } = useDerived();
  const [scene, setScene] = useState<Scene>({ state: 'making' });
  const { open } = useWorker<Solids>(
    () => new Worker(new URL('../../workers/solids.worker.ts', import.meta.url), { type: 'module' }),
    'the solids could not be made',
  );
  useEffect(() => {
    shows ??= showsSolids();
    if (!shows) {
      setScene({ state: 'drawn' });
      return;
    }
    let wanted = true;
    const { remote, failed } = open();
    Promise.race([remote.meshes(piece.parts, WASM), failed]).then(
      (meshes) => {
        if (wanted) setScene({ state: 'made', meshes });
      },
      () => {
        if (wanted) setScene({ state: 'drawn' });
      },
    );
    return () => {
      wanted = false;
    };
  }, [open, piece]);
  return scene;
}

/** Whether this browser draws solids, once it has been asked. */
let shows: boolean | undefined;

function showsSolids(): boolean {
  const canvas = document.createElement('canvas');
  const context = canvas.getContext('webgl2');
  context?.getExtension('WEBGL_lose_context')?.loseContext();
  return context !== null;
}
