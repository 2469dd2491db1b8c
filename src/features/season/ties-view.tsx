'use client';

import clsx from 'clsx';
import { type Figure, findPart, HOLDS, plusDays, sayDayShort, travelOfTop } from '@/core';
import { FigureButton } from '@/ui/figure';
import { Length, useUnits } from '@/ui/units';
import { useDecisions, useDerived, useLook } from '../job/job-context';

interface Way {
  need: number;
  room: number;
  day: number;
}

/** The ledger: how far every tie that slides must go each way, how far it may, and how to set it on the day of assembly. */
export function TiesView() {
  const units = useUnits();
  const { restraint, piece, season, figures } = useDerived();
  const kind = useDecisions(({ form }) => (form.build === 'table' ? form.hold.kind : null));
  const lit = useLook((look) => look.lit);
  const light = useLook((look) => look.light);
  const tight = restraint.ties.filter((tie) => !tie.slides).length;
  const lines = travelOfTop(piece, restraint).map(({ tie, on, ...ways }) => ({
    id: tie,
    on: findPart(piece, on)?.name ?? '',
    ...ways,
  }));
  // Fasteners of one rail that need and give the same stand in one row.
  const rows: (Omit<(typeof lines)[number], 'id'> & { ids: string[] })[] = [];
  for (const { id, ...line } of lines) {
    const same = rows.find(
      (row) =>
        row.on === line.on &&
        row.what === line.what &&
        alike(row.outward, line.outward) &&
        alike(row.inward, line.inward),
    );
    if (same) same.ids.push(id);
    else rows.push({ ...line, ids: [id] });
  }
  const day = (index: number) => sayDayShort(plusDays(season.start, index));
  return (
    <div className="pt-2">
      <p className="mb-3 max-w-[62ch]">
        {restraint.traps.length === 0
          ? 'Every joint and fastener lets the wood go where it wants through its years.'
          : 'Some ties fight: the wood cannot move freely. What is missing is said in the checks.'}{' '}
        <span className="text-ink-2">
          {lines.length} ties slide, {tight} hold; reckoned from the day of gluing, {day(season.glued.index)}, at{' '}
          {units.number(season.glued.moisture, 1)} %.
        </span>
      </p>
      <table className="w-full">
        <caption className="sr-only">How far every sliding tie must go</caption>
        <thead>
          <tr className="border-ink border-b text-left align-bottom">
            <th className="py-1 pr-2">Across the table</th>
            <th className="w-[27%] py-1">Outward, the wet season</th>
            <th className="w-[27%] py-1">Inward, the dry season</th>
            <th className="py-1 text-right">Leave free at assembly, out / in</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ ids, what, on, outward, inward }) => (
            <tr
              key={ids.join()}
              data-tie={ids[0]}
              className={clsx('border-hairline border-b', ids.some((id) => lit.includes(id)) && 'bg-layout-tint')}
              onPointerEnter={() => light(ids)}
              onPointerLeave={() => light([])}
            >
              <td className="py-2 pr-2">
                {ids.length} × {what ?? (kind && HOLDS[kind].one)}
                <span className="block text-[12px] text-ink-2">{on}</span>
              </td>
              <td>
                <NeedAndRoom way={outward} on={day(outward.day)} figure={figures['top-travel']} />
              </td>
              <td>
                <NeedAndRoom way={inward} on={day(inward.day)} figure={figures['top-travel']} />
              </td>
              <td className="text-right">
                <Length mm={outward.need * 1.2} fine /> / <Length mm={inward.need * 1.2} fine />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-3 max-w-[62ch] text-[12px] text-ink-2 leading-4">
        {kind ? HOLDS[kind].measured : null} A fifth is added to what the reckoning asks.
      </p>
    </div>
  );
}

const alike = (a: Way, b: Way) => Math.abs(a.need - b.need) < 0.05 && Math.abs(a.room - b.room) < 0.05;

function NeedAndRoom({ way, on, figure }: { way: Way; on: string; figure: Figure | undefined }) {
  const most = Math.max(way.need, way.room, 0.1);
  const short = way.need > way.room + 1e-6;
  return (
    <span className="block pr-5">
      <span className={clsx('figures', short && 'font-semibold text-stop')}>
        <FigureButton figure={figure && { ...figure, quantity: { amount: way.need, unit: 'mm-movement' } }}>
          <Length mm={way.need} fine />
        </FigureButton>{' '}
        of <Length mm={way.room} fine />
      </span>
      <span className="text-ink-2 text-[12px]">
        {' '}
        {way.need > 0.05 ? on : ''}
        {short ? ' · too short' : ''}
      </span>
      <span className="mt-0.5 block h-1.5 border border-line bg-ground" aria-hidden="true">
        <span
          className={clsx('block h-full', short ? 'bg-stop' : 'bg-layout')}
          style={{ width: `${(100 * Math.min(way.need, most)) / most}%` }}
        />
      </span>
    </span>
  );
}
