'use client';

import { useMemo, useState } from 'react';
import { type FullSizeDrawing, fullSizeDrawings, writeFullSizeSvg } from '@/core';
import { buttonLook } from '@/ui/button';
import { useUnits } from '@/ui/units';
import { useDerived, useJobState } from '../job/job-context';

const GROUPS: Readonly<Record<FullSizeDrawing['group'], string>> = {
  stick: 'Story sticks',
  template: 'Templates',
  joint: 'Joints',
};

/** Lines of the picture, mm: it is shown smaller than it is. */
const HAIR = 0.8;
/** px for a millimetre of a story stick, so that what is written on it can be read. */
const STICK_SCALE = 3;

/** What can be printed at full size, one of it shown. */
export function FullSizeView() {
  const { piece, panels, pieceId, instance } = useDerived();
  const id = useJobState((state) => state.id);
  const { style, system } = useUnits();
  const drawings = useMemo(() => fullSizeDrawings(piece, style, panels), [piece, style, panels]);
  const [chosen, setChosen] = useState<string | null>(null);
  const drawing = drawings.find((own) => own.id === chosen) ?? drawings[0];
  const picture = useMemo(
    () => (drawing ? `data:image/svg+xml;utf8,${encodeURIComponent(writeFullSizeSvg(drawing, HAIR))}` : null),
    [drawing],
  );
  if (!drawing || !picture) return <p className="p-6">Nothing here wants a drawing at full size.</p>;
  const file = (kind: string) =>
    `/api/jobs/${id}/files/full-size.${kind}?piece=${pieceId}&number=${instance}&drawing=${encodeURIComponent(drawing.id)}&units=${system}`;
  return (
    <div className="grid min-h-64 content-start gap-5 pt-2 lg:h-full lg:grid-cols-[13rem_1fr]">
      <nav aria-label="Drawings at full size" className="lg:overflow-y-auto">
        {(['stick', 'template', 'joint'] as const).map((group) => {
          const own = drawings.filter((d) => d.group === group);
          return own.length === 0 ? null : (
            <section key={group} className="mb-3">
              <h2 className="mb-1 text-ink-2">{GROUPS[group]}</h2>
              <ul>
                {own.map((d) => (
                  <li key={d.id}>
                    <button
                      type="button"
                      aria-current={d.id === drawing.id}
                      onClick={() => setChosen(d.id)}
                      className={`w-full border-l-2 py-1 pl-2 text-left ${d.id === drawing.id ? 'border-layout font-semibold' : 'border-transparent'}`}
                    >
                      {d.title.replace(/^(Story stick|Template|Joint:?) /, '')}
                    </button>
                  </li>
                ))}
              </ul>
            </section>
          );
        })}
      </nav>
      <figure className="flex min-w-0 flex-col">
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by the keyboard */}
        <section className="overflow-x-auto" tabIndex={0} aria-label="The drawing">
          {/* biome-ignore lint/performance/noImgElement: a drawing made here, not a picture to be fetched */}
          <img
            src={picture}
            alt={drawing.title}
            style={drawing.group === 'stick' ? { width: drawing.width * STICK_SCALE } : {}}
            className={drawing.group === 'stick' ? 'max-w-none' : 'max-h-[26rem] w-full object-contain object-left-top'}
          />
        </section>
        <figcaption className="mt-3 max-w-[70ch]">
          <b className="font-semibold">{drawing.title}</b>, <Size drawing={drawing} />. {drawing.note}
        </figcaption>
        <p className="mt-3 flex flex-wrap gap-2">
          <a className={buttonLook()} href={file('pdf')} download>
            Print at full size
          </a>
          <a className={buttonLook()} href={file('svg')} download>
            SVG
          </a>
          <a className={buttonLook()} href={file('dxf')} download>
            DXF
          </a>
        </p>
      </figure>
    </div>
  );
}

function Size({ drawing }: { drawing: FullSizeDrawing }) {
  const units = useUnits();
  return `${units.length(drawing.width)} × ${units.length(drawing.height)} on paper`;
}
