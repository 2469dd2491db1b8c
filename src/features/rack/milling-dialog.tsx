'use client';

import { useMemo, useState } from 'react';
import {
  cleanedShare,
  crookOfHeights,
  type Figure,
  forecastMilling,
  forecastResaw,
  type Heights,
  heightAt,
  heightsFromCrook,
  type MeasuredBoard,
  millingFigures,
  type Shop,
  writeQuantity,
} from '@/core';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { LengthField } from '@/ui/fields';
import { FigureButton } from '@/ui/figure';
import { Form } from '@/ui/form';
import { ProblemList } from '@/ui/problem-list';
import { useSpecies } from '@/ui/species';
import { TwoVersions } from '@/ui/two-versions';
import { useUnits } from '@/ui/units';
import type { RackBoard } from './rack-board';
import { type BoardChanges, useBoardChanges } from './use-board-changes';

const ALONG = ['tagged end', 'middle', 'other end'] as const;
const ACROSS = ['near edge', 'middle', 'far edge'] as const;

/**
 * What a crooked board comes down to: heights in, thickness, passes, shims and the better first cut out. What was measured
 * is kept with the board, and counts in every layout.
 */
export default function MillingDialog({
  board,
  shop,
  onClose,
}: {
  board: RackBoard;
  shop: Shop;
  onClose: (saved: boolean) => void;
}) {
  const units = useUnits();
  const { find } = useSpecies();
  const { tools, allowances } = shop;
  // What the twist, bow and cup come to is a guess: it is kept only when a height has been measured.
  const [guess] = useState<Heights>(() => board.heights ?? heightsFromCrook(board.crook));
  const [heights, setHeights] = useState(guess);
  const [thickness, setThickness] = useState(board.thickness);
  const [wanted, setWanted] = useState(Math.max(4, Math.round(board.thickness / 5)));
  const measured: MeasuredBoard = useMemo(
    () => ({ length: board.length, width: Math.min(board.width, board.farWidth ?? board.width), heights, thickness }),
    [board, heights, thickness],
  );
  const forecast = useMemo(() => forecastMilling(measured, tools), [measured, tools]);
  const skimmed = Math.min(forecast.taken.upper, 2 * tools.passDepth);
  const resawn = forecastResaw({
    thickness: forecast.finishedThickness,
    wanted,
    kerf: tools.resawKerf,
    allowance: allowances.resaw,
  });
  const { write, theirs, settle, problems } = useBoardChanges(board);
  const measuredAnew = heights !== guess;
  const changed = measuredAnew || thickness !== board.thickness;
  const keep = async () => {
    const crooked = measuredAnew ? { heights, crook: crookOfHeights(heights) } : {};
    const reply = await write({ thickness, ...crooked } as BoardChanges);
    if (!reply.ok) return;
    onClose(true);
  };
  const put = (i: number, j: number, value: number) => {
    setHeights((now) => now.map((row, r) => row.map((h, c) => (r === i && c === j ? value : h))) as unknown as Heights);
    return undefined;
  };
  const species = find(board.species);
  const figures = species
    ? millingFigures({
        thickness,
        forecast,
        limits: tools,
        resawn,
        wanted,
        kerf: tools.resawKerf,
        allowance: allowances.resaw,
        species,
      })
    : undefined;
  const fact = (label: string, value: string, figure?: Figure) => (
    <div className="flex justify-between gap-4 border-hairline border-t py-1">
      <dt>{label}</dt>
      <dd className="figures font-semibold">
        <FigureButton figure={figure}>{value}</FigureButton>
      </dd>
    </div>
  );
  const { gained } = forecast;
  return (
    <Dialog title={`Milling ${board.tag}`} open onClose={() => onClose(false)} wide>
      <Form className="grid grid-cols-2 gap-x-8 max-md:grid-cols-1" onSubmit={keep}>
        <div>
          <p className="mb-2 text-ink-2">
            Height of the upper face above the bench, between winding sticks and a straight edge.
          </p>
          <table className="mb-3 w-full">
            <thead>
              <tr>
                <td />
                {ACROSS.map((name) => (
                  <th key={name} scope="col" className="pb-1 text-left font-normal text-ink-2">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {ALONG.map((end, i) => (
                <tr key={end}>
                  <th scope="row" className="pr-2 text-left font-normal text-ink-2">
                    {end}
                  </th>
                  {ACROSS.map((edge, j) => (
                    <td key={edge} className="pr-1 [&_label]:sr-only">
                      <LengthField
                        label={`Height, ${end}, ${edge}`}
                        mm={heights[i]?.[j] ?? 0}
                        most={200}
                        onCommit={(value) => put(i, j, value)}
                        wide
                      />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
          <LengthField
            label="Thickness, as it lies"
            mm={thickness}
            least={2}
            most={300}
            onCommit={(value) => {
              setThickness(value);
              return undefined;
            }}
          />
          <FaceDrawing board={measured} tilt={forecast.tilt} taken={forecast.taken.upper} />
        </div>
        <div>
          <p>
            <span className="figures font-semibold text-[34px] leading-10">
              <FigureButton figure={figures?.finished} big>
                {units.length(forecast.finishedThickness)}
              </FigureButton>
            </span>{' '}
            <span className="text-ink-2">clean on both faces</span>
          </p>
          <dl className="mt-2">
            {fact(
              'Upper face loses',
              `${units.length(forecast.taken.upper)}, ${forecast.passes.upper} passes`,
              figures?.upper,
            )}
            {fact(
              'Under face loses',
              `${units.length(forecast.taken.lower)}, ${forecast.passes.lower} passes`,
              figures?.lower,
            )}
            {fact(
              'Shims, tagged end: near, far',
              `${units.length(forecast.shims[0])}, ${units.length(forecast.shims[1])}`,
            )}
            {fact(
              'Shims, other end: near, far',
              `${units.length(forecast.shims[2])}, ${units.length(forecast.shims[3])}`,
            )}
            {fact(
              'Crosscut in halves first',
              gained.crosscutFirst > 0.05 ? `saves ${units.length(gained.crosscutFirst)}` : 'saves nothing',
            )}
            {fact(
              'Rip in halves first',
              gained.ripFirst > 0.05 ? `saves ${units.length(gained.ripFirst)}` : 'saves nothing',
            )}
            {fact(
              `Skip-planed ${units.length(skimmed)}, the face cleans up`,
              `${Math.round(100 * cleanedShare(measured, skimmed))} %`,
            )}
          </dl>
          <ProblemList problems={forecast.advice} />
          <h3 className="mt-4 mb-1 text-[14px]">Resawn</h3>
          <LengthField
            label="Pieces of"
            mm={wanted}
            least={1}
            most={200}
            onCommit={(value) => {
              setWanted(value);
              return undefined;
            }}
          />
          <dl>
            {fact(
              'Gives',
              tools.resawHeight < measured.width
                ? `too wide for the band saw, ${units.length(tools.resawHeight)}`
                : `${resawn.pieces}, sawn ${units.length(resawn.sawn)}, ${units.length(resawn.left)} left`,
              figures?.resawn,
            )}
            {figures && resawn.pieces > 0
              ? fact('Let them rest, about', writeQuantity(figures.rest.quantity, units.style), figures.rest)
              : null}
          </dl>
          <p className="mt-2 text-ink-2">
            Resawn pieces move when they are parted: leave them over-thick, on sticks, until they stop. Never put a
            rocking board on a saw or jointer without a sled or shims.
          </p>
          <ProblemList problems={problems} />
          {theirs ? (
            <TwoVersions
              onMine={() => {
                settle();
                void keep();
              }}
              onTheirs={() => onClose(true)}
            />
          ) : null}
          <div className="mt-3 flex gap-3">
            <Button look="chief" type="submit" disabled={!changed}>
              Keep with the board
            </Button>
            <Button onClick={() => onClose(false)}>Close</Button>
          </div>
        </div>
      </Form>
    </Dialog>
  );
}

const [WIDE, HIGH] = [400, 120];

/** Both long edges of the upper face and the plane through them, heights exaggerated. */
function FaceDrawing({
  board,
  tilt,
  taken,
}: {
  board: MeasuredBoard;
  tilt: { along: number; across: number };
  taken: number;
}) {
  const units = useUnits();
  const steps = Array.from({ length: 25 }, (_, i) => i / 24);
  const off = (x: number, y: number) => tilt.along * x * board.length + tilt.across * y * board.width;
  const points = [0, 0.5, 1].flatMap((y) => steps.map((x) => heightAt(board.heights, x, y)));
  const rest = [0, 0.5, 1].flatMap((x) => [0, 0.5, 1].map((y) => heightAt(board.heights, x, y) - off(x, y)));
  const level = Math.min(...rest);
  const [low, high] = [Math.min(...points, level), Math.max(...points, level + 0.5)];
  const up = (z: number) => HIGH - 14 - ((z - low) / Math.max(1, high - low)) * (HIGH - 34);
  const edges = [
    { name: 'near edge', y: 0, className: 'stroke-ink' },
    { name: 'far edge', y: 1, className: 'stroke-ink-2' },
  ];
  return (
    <figure className="mt-2">
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        className="w-full"
        role="img"
        aria-label={`The upper face loses ${units.length(taken)} at its highest`}
      >
        {edges.map(({ name, y, className }) => {
          const face = steps.map((x) => `${x * WIDE},${up(heightAt(board.heights, x, y))}`).join(' ');
          const plane = steps.map((x) => `${x * WIDE},${up(level + off(x, y))}`).join(' ');
          return (
            <g key={name} className={className} fill="none" strokeDasharray={y === 1 ? '5 3' : undefined}>
              <polyline points={face} strokeWidth={1.6} />
              <polyline points={plane} className="stroke-layout" strokeWidth={1.2} />
            </g>
          );
        })}
      </svg>
      <figcaption className="text-[12px] text-ink-2">
        The upper face along its near edge (full) and far edge (broken), heights exaggerated; the plane in violet.
      </figcaption>
    </figure>
  );
}
