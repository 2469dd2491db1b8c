'use client';

import clsx from 'clsx';
import { useMemo, useState } from 'react';
import {
  leadingPart,
  leadingWord,
  panelOfTop,
  plusDays,
  RING_SCHOOLS,
  type RingSchool,
  type SectionPoint,
  sayDayShort,
  shapeOfTop,
} from '@/core';
import { Length, useUnits } from '@/ui/units';
import { useSize } from '@/ui/use-size';
import { useChange, useDecisions, useDerived, useLook, useShownDay } from '../job/job-context';
import { WhichPanel } from '../layout/which-panel';

const ROW = 104;
const MARGIN = 8;

/** A panel left to itself on the shown day, its strips laid in each of the three ways: the top, or another of the piece. */
export function ShapeView() {
  const units = useUnits();
  const { piece, season, panels } = useDerived();
  const [panelId, lookAt] = useState<string | null>(null);
  const panel = panels.find(({ demand }) => demand.id === panelId) ?? panelOfTop({ piece, panels }) ?? panels[0];
  const { index, moisture } = useShownDay();
  const exaggeration = useLook((look) => look.exaggeration);
  const chosen = useDecisions((own) => own.season.ringSchool);
  const change = useChange();
  const [ref, size] = useSize<HTMLDivElement>();
  const { thickness } = panel?.demand.finished ?? leadingPart(piece).size;
  const slope = season.line.slope[index] ?? 0;
  const shapes = useMemo(
    () =>
      (Object.keys(RING_SCHOOLS) as RingSchool[]).map((school) => ({
        school,
        shape: shapeOfTop(
          panel ? { strips: panel.inSeason } : season,
          thickness,
          { moisture, slope },
          school === chosen ? 'as laid' : school,
        ),
      })),
    [season, panel, thickness, moisture, slope, chosen],
  );
  const width = Math.max(200, size.width);
  const scale = (width - 2 * MARGIN) / Math.max(1, ...shapes.map(({ shape }) => shape.width));
  return (
    <div ref={ref} className="pt-1">
      {panel ? (
        <div className="max-w-64">
          <WhichPanel panels={panels} panel={panel} onPanel={lookAt} />
        </div>
      ) : null}
      <p className="mb-2 max-w-[70ch]">
        The end of {panel && panels.length > 1 ? `panel ${panel.demand.letter}` : `the ${leadingWord(piece)}`}, free of
        what holds it, on {sayDayShort(plusDays(season.start, index))} at {units.number(moisture, 1)} %
        {Math.abs(slope) > 0.005 ? `, its upper face ${slope > 0 ? 'wetter' : 'drier'} than its lower` : ''}
        {exaggeration === 1 ? '' : `; heights × ${exaggeration}`}.
      </p>
      {shapes.map(({ school, shape }) => {
        const middle = ROW / 2 + (shape.height * scale * exaggeration) / 2;
        const at = ([across, up]: SectionPoint) =>
          `${(MARGIN + across * scale).toFixed(2)},${(middle - up * scale).toFixed(2)}`;
        // Heights are exaggerated about the middle line; the thickness is not.
        const drawn = (strip: (typeof shape.strips)[number]) => {
          const lift = (point: SectionPoint, other: SectionPoint): SectionPoint => {
            const line = (point[1] + other[1]) / 2;
            return [point[0], point[1] - line + line * exaggeration];
          };
          const upper = strip.upper.map((point, i) => lift(point, strip.lower[i] ?? point));
          const lower = strip.lower.map((point, i) => lift(point, strip.upper[i] ?? point));
          return [...upper, ...lower.reverse()].map(at).join(' ');
        };
        const { name, reason } = RING_SCHOOLS[school];
        return (
          <section key={school} data-school={school} className="border-hairline border-t py-1.5">
            <p className="flex items-baseline gap-3">
              <button
                type="button"
                aria-pressed={chosen === school}
                onClick={() => change('season.ringSchool')(school)}
                className={clsx(
                  'rounded-sm border px-2.5 py-0.5',
                  chosen === school ? 'border-ink bg-ink text-paper' : 'border-line hover:border-ink',
                )}
              >
                {name}
              </button>
              <span className="text-[12px] text-ink-2 leading-4">{reason}</span>
              <b className="figures ml-auto whitespace-nowrap text-[15px]">
                <Length mm={shape.height} fine /> high
              </b>
            </p>
            <svg width={width} height={ROW} className="block" role="img" aria-label={`${name}, seen from the end`}>
              <line
                x1={MARGIN}
                x2={width - MARGIN}
                y1={middle}
                y2={middle}
                className="stroke-line"
                strokeDasharray="3 4"
              />
              {shape.strips.map((strip, i) => (
                <polygon
                  // biome-ignore lint/suspicious/noArrayIndexKey: strips have no other name here and keep their order
                  key={i}
                  points={drawn(strip)}
                  className={clsx('stroke-ink', chosen === school ? 'fill-wood' : 'fill-paper')}
                  strokeWidth={0.9}
                />
              ))}
            </svg>
          </section>
        );
      })}
      <p className="max-w-[70ch] text-[12px] text-ink-2 leading-4">
        Rings as circles about the pith, strips free of stress, joints closed; without the base, which holds it, and
        without the wood’s own giving way in time. Better for telling the three ways apart than for the height itself.
        {season.strips.length > 1 ? '' : ' No layout is there yet: the panel is thought of in equal strips.'}
      </p>
    </div>
  );
}
