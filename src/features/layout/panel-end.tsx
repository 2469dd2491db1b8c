'use client';

import { formatLength, layStrips, type Rings } from '@/core';
import { EndGrain } from '@/ui/end-grain';
import { useUnits } from '@/ui/units';
import { useSize } from '@/ui/use-size';
import { useDecisions, useLook } from '../job/job-context';

export interface StripAtEnd {
  label: string;
  width: number;
  /** As they lie in the panel; absent while no board is known. */
  rings?: Rings;
  heartUp?: boolean;
}

/** A panel from its end, every strip with the rings of the board it comes from, as it is laid. */
export function PanelEnd({
  strips,
  thickness,
  title,
}: {
  strips: readonly StripAtEnd[];
  thickness: number;
  title: string;
}) {
  const units = useUnits();
  const lit = useLook((look) => look.lit);
  const school = useDecisions((own) => own.season.ringSchool);
  const sides = layStrips(strips.length, school);
  const [ref, size] = useSize<HTMLDivElement>();
  const total = strips.reduce((sum, strip) => sum + strip.width, 0);
  const width = Math.max(300, size.width - 12);
  const scale = total > 0 ? width / total : 0;
  const height = Math.max(18, Math.min(40, thickness * scale));
  let x = 1;
  return (
    <div ref={ref} className="py-1">
      <p className="mb-1 text-ink-2">{title}</p>
      <svg
        width={width + 2}
        height={height + 24}
        role="img"
        aria-label={`${title}: ${strips.map((s) => `${s.label} ${formatLength(s.width, units.style)}`).join(', ')}`}
      >
        {strips.map((strip, i) => {
          const [left, w] = [x, strip.width * scale];
          x += w;
          return (
            <g key={strip.label}>
              <EndGrain
                x={left}
                y={1}
                width={w}
                height={height}
                rings={strip.rings ?? 12}
                boardWidth={strip.width}
                heartUp={strip.heartUp ?? sides[i] ?? false}
                lit={lit.includes(strip.label)}
              />
              <text x={left + w / 2} y={height + 15} textAnchor="middle" className="figures fill-ink text-[12px]">
                <tspan className="font-bold">{strip.label}</tspan>
                {w > 58 ? <tspan dx={4}>{units.length(strip.width)}</tspan> : null}
              </text>
            </g>
          );
        })}
      </svg>
    </div>
  );
}
