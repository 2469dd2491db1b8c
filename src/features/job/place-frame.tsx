'use client';

import type { ReactNode } from 'react';
import type { AirToday } from '@/core';
import { Spine } from '@/ui/spine';
import { Strip } from '@/ui/strip';
import { Find } from './find';
import { Keys } from './keys';
import { WordsButton } from './words-here';

/** The frame of every page outside a job. */
export function PlaceFrame({
  title,
  air,
  children,
  whole = false,
}: {
  title: string;
  air: AirToday | null;
  children: ReactNode;
  /** The page fills the frame to its edges. */
  whole?: boolean;
}) {
  return (
    <div className="desk grid h-screen grid-cols-[188px_minmax(0,1fr)] max-md:h-auto max-md:grid-cols-1 max-md:[grid-template-rows:none]">
      <div className="col-span-full print:hidden">
        <Strip trail={<b className="font-semibold">{title}</b>} find={<Find />} air={air} />
      </div>
      <Spine>
        <WordsButton />
      </Spine>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard */}
      <main id="main" tabIndex={0} className={`relative min-h-0 overflow-auto bg-paper ${whole ? '' : 'px-6 py-5'}`}>
        {children}
      </main>
      <Keys table={{}} />
    </div>
  );
}
