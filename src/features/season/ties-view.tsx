'use client';

import clsx from 'clsx';
import { type Figure, findPart, HOLDS, plusDays, sayDayShort, travelInCase, travelOfTop } from '@/core';
import { FigureButton } from '@/ui/figure';
import { Length, useUnits } from '@/ui/units';
import { useDecisions, useDerived, useLook } from '../job/job-context';

interface Way {
  need: number;
  room: number;
  day: number;
}

/** Ties that need and give the same, in one row. */
interface Row {
  ids: string[];
  what: string;
  on: string;
  ways: readonly [Way, Way];
}

/** The ledger: how far every tie that slides must go each way, how far it may, and how to set it on the day of assembly. */
export function TiesView() {
  const units = useUnits();
  const { restraint, piece, season, figures } = useDerived();
  const kind = useDecisions(({ form }) => (form.build === 'table' ? form.hold.kind : null));
  const lit = useLook((look) => look.lit);
  const light = useLook((look) => look.light);
  const tight = restraint.ties.filter((tie) => !tie.slides).length;
  const lines = useLines();
  const rows: Row[] = [];
  for (const line of lines) {
    const same = rows.find(
      (row) => row.on === line.on && row.what === line.what && row.ways.every((way, i) => alike(way, line.ways[i])),
    );
    if (same) same.ids.push(...line.ids);
    else rows.push({ ...line, ids: [...line.ids] });
  }
  const day = (index: number) => sayDayShort(plusDays(season.start, index));
  const head =
    piece.build === 'case'
      ? ['In the case', 'To the right, back or up', 'To the left, front or down', 'Leave free as it is put together']
      : ['Across the table', 'Outward, the wet season', 'Inward, the dry season', 'Leave free at assembly, out / in'];
  return (
    <div className="pt-2">
      <p className="mb-3 max-w-[62ch]">
        {restraint.traps.length === 0
          ? 'Every joint and fastener lets the wood go where it wants through its years.'
          : 'Some ties fight: the wood cannot move freely. What is missing is said in the checks.'}{' '}
        <span className="text-ink-2">
          {lines.length === 1 ? '1 tie slides' : `${lines.length} ties slide`}, {tight} hold; computed from the day of
          gluing, {day(season.glued.index)}, at {units.number(season.glued.moisture, 1)} %.
        </span>
      </p>
      <table className="w-full">
        <caption className="sr-only">How far every sliding tie must go</caption>
        <thead>
          <tr className="border-ink border-b text-left align-bottom">
            <th className="py-1 pr-2">{head[0]}</th>
            <th className="w-[27%] py-1">{head[1]}</th>
            <th className="w-[27%] py-1">{head[2]}</th>
            <th className="py-1 text-right">{head[3]}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ ids, what, on, ways: [first, second] }) => (
            <tr
              key={ids.join()}
              data-tie={ids[0]}
              className={clsx('border-hairline border-b', ids.some((id) => lit.includes(id)) && 'bg-layout-tint')}
              onPointerEnter={() => light(ids)}
              onPointerLeave={() => light([])}
            >
              <td className="py-2 pr-2">
                {ids.length > 1 || piece.build === 'table' ? `${ids.length} × ` : ''}
                {what}
                <span className="block text-[12px] text-ink-2">{on}</span>
              </td>
              <td>
                <NeedAndRoom way={first} on={day(first.day)} figure={figures['top-travel']} />
              </td>
              <td>
                <NeedAndRoom way={second} on={day(second.day)} figure={figures['top-travel']} />
              </td>
              <td className="text-right">
                <Length mm={first.need * 1.2} fine /> / <Length mm={second.need * 1.2} fine />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-3 max-w-[62ch] text-[12px] text-ink-2 leading-4">
        {kind ? HOLDS[kind].measured : null} A fifth is added to what the computation asks.
      </p>
    </div>
  );
}

/** Of a table, out from its middle and in; of a case, along each of its ways. */
function useLines(): Row[] {
  const { restraint, piece } = useDerived();
  const kind = useDecisions(({ form }) => (form.build === 'table' ? form.hold.kind : null));
  if (piece.build === 'case')
    return travelInCase(restraint).map(({ tie, name, axis, plus, minus }) => ({
      ids: [`${tie}:${axis}`],
      what: name,
      on: WAYS[axis],
      ways: [plus, minus],
    }));
  return travelOfTop(piece, restraint).map(({ tie, on, what, outward, inward }) => ({
    ids: [tie],
    what: what ?? (kind ? HOLDS[kind].one : ''),
    on: findPart(piece, on)?.name ?? '',
    ways: [outward, inward],
  }));
}

const WAYS = { x: 'along its width', y: 'in its depth', z: 'in its height' } as const;

const alike = (a: Way, b: Way | undefined) =>
  b !== undefined && Math.abs(a.need - b.need) < 0.05 && Math.abs(a.room - b.room) < 0.05;
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
