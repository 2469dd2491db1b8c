'use client';

import { Minus, Plus } from 'lucide-react';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { IconButton } from './icon-button';

const LEAST = 1;
const MOST = 8;
const STEP = 1.5;

/**
 * Pan and zoom of a drawing inside a part of the page that scrolls: Ctrl and the wheel zoom about the pointer, dragging
 * where nothing else can be dragged pans. The drawing itself is drawn larger, so that lines and figures stay as they are.
 */
export function usePanZoom<T extends HTMLElement>() {
  const ref = useRef<T>(null);
  const [zoom, setZoom] = useState(1);
  const about = useRef<{ x: number; y: number; from: number } | null>(null);

  useEffect(() => {
    const element = ref.current;
    const frame = element?.parentElement;
    if (!element || !frame) return;
    const wheel = (event: WheelEvent) => {
      if (!event.ctrlKey) return;
      event.preventDefault();
      const box = frame.getBoundingClientRect();
      setZoom((now) => {
        about.current = { x: event.clientX - box.left, y: event.clientY - box.top, from: now };
        return within(now * (event.deltaY < 0 ? 1.2 : 1 / 1.2));
      });
    };
    const down = (event: PointerEvent) => {
      if (event.pointerType !== 'mouse' || event.button !== 0) return;
      if ((event.target as Element).closest('button, [role="button"], a, input, select')) return;
      const start = { x: event.clientX + frame.scrollLeft, y: event.clientY + frame.scrollTop };
      const move = (to: PointerEvent) => frame.scrollTo(start.x - to.clientX, start.y - to.clientY);
      const up = () => {
        window.removeEventListener('pointermove', move);
        window.removeEventListener('pointerup', up);
      };
      window.addEventListener('pointermove', move);
      window.addEventListener('pointerup', up);
    };
    element.addEventListener('wheel', wheel, { passive: false });
    element.addEventListener('pointerdown', down);
    return () => {
      element.removeEventListener('wheel', wheel);
      element.removeEventListener('pointerdown', down);
    };
  }, []);

  // What is under the pointer stays there.
  useLayoutEffect(() => {
    const frame = ref.current?.parentElement;
    const { current: at } = about;
    about.current = null;
    if (!frame || !at) return;
    const times = zoom / at.from;
    frame.scrollTo((frame.scrollLeft + at.x) * times - at.x, (frame.scrollTop + at.y) * times - at.y);
  }, [zoom]);

  const step = (times: number) => {
    const frame = ref.current?.parentElement;
    about.current = frame ? { x: frame.clientWidth / 2, y: frame.clientHeight / 2, from: zoom } : null;
    setZoom(within(zoom * times));
  };
  const bar = (
    <fieldset className="flex items-center gap-1 border-0" aria-label="Zoom">
      <IconButton label="Smaller" icon={Minus} off={zoom <= LEAST} run={() => step(1 / STEP)} />
      <button
        type="button"
        aria-label={`${Math.round(zoom * 100)} %, back to the whole across`}
        className="figures min-w-12 text-center hover:underline"
        onClick={() => setZoom(1)}
      >
        {Math.round(zoom * 100)} %
      </button>
      <IconButton label="Larger" icon={Plus} off={zoom >= MOST} run={() => step(STEP)} />
    </fieldset>
  );
  return { ref, zoom, bar };
}

const within = (zoom: number) => Math.min(MOST, Math.max(LEAST, Math.round(zoom * 100) / 100));
