'use client';

import { useMemo, useState } from 'react';
import type { AirReply, BoardInAir, ShopReply } from '@/contract/replies';
import { correctPinReading, type Problem, sayDay, type Waits, writeQuantity } from '@/core';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { NumberField } from '@/ui/fields';
import { Form } from '@/ui/form';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { useRevisioned } from '@/ui/revisioned';
import { useSpecies } from '@/ui/species';
import { Length, useUnits } from '@/ui/units';
import { useBoardsInAir } from './use-boards-in-air';
import { useWaits } from './use-waits';

/** Boards listed at once. */
const SHOWN = 300;

/**
 * Every board with its moisture and the days until it may be milled, the longest wait first; as long as the waits are
 * being computed, as they were before or by how far each is from the target, so that the rows keep their places.
 */
export function BoardsToMill({ data, target, onRead }: { data: AirReply; target: number; onRead: () => void }) {
  const units = useUnits();
  const { place, boardsChanged, today } = data;
  const [reading, setReading] = useState<string | null>(null);
  const { nameOf } = useSpecies();
  const { style } = useUnits();
  const boards = useBoardsInAir(boardsChanged);
  const { waits, whole, done, failed } = useWaits(boards, place, target, today);
  const rows = useMemo(
    () =>
      [...(boards ?? [])]
        .sort(byWait(whole, target))
        .map((board) => ({ board, days: board.moisture === null ? undefined : waits.get(board.id) })),
    [boards, waits, whole, target],
  );
  const chosen = boards?.find((board) => board.id === reading);
  const ready = rows.filter((row) => row.days === 0).length;
  return (
    <section className="mt-3">
      <h2 className="text-[14px]">
        {boards === null
          ? 'Reading the rack …'
          : `Boards: ${ready} of ${rows.length} may be milled at ${units.number(target, 1)} %`}
        {boards === null || done ? null : (
          <span className="ml-2 font-normal text-ink-2">{failed ?? `computing, ${waits.size} so far …`}</span>
        )}
      </h2>
      <div className="mt-1 max-h-[46vh] overflow-auto border-hairline border-t">
        <table className="w-full">
          <caption className="sr-only">Moisture of the boards on the rack</caption>
          <thead className="sticky top-0 bg-paper">
            <tr className="border-ink border-b text-left">
              <th className="py-1">Tag</th>
              <th>Wood</th>
              <th className="text-right">Thick</th>
              <th className="text-right">Moisture</th>
              <th className="pl-4">Read</th>
              <th className="text-right">Ready to mill</th>
              <th>
                <span className="sr-only">Enter a reading</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.slice(0, SHOWN).map(({ board, days }) => {
              const { last } = board;
              return (
                <tr key={board.id} data-board={board.tag} className="border-hairline border-b">
                  <td className="py-1 font-semibold">{board.tag}</td>
                  <td>{nameOf(board.species)}</td>
                  <td className="text-right">
                    <Length mm={board.thickness} />
                  </td>
                  <td className="figures text-right">
                    {board.moisture === null ? '–' : `${units.number(board.moisture, 1)} %`}
                  </td>
                  <td className="pl-4 text-ink-2">
                    {board.moistureOn ? sayDay(board.moistureOn) : 'never'}
                    {last
                      ? `, meter ${units.number(last.reading, 1)} % at ${writeQuantity({ amount: last.woodTemperature, unit: 'celsius' }, style)}`
                      : ''}
                  </td>
                  <td className="figures text-right">
                    {board.moisture === null ? (
                      <span className="text-ink-2">read it first</span>
                    ) : days === undefined ? (
                      <span className="text-ink-2">…</span>
                    ) : days === 0 ? (
                      'now'
                    ) : days === null ? (
                      <span className="text-watch">not in this air</span>
                    ) : (
                      <b className="font-semibold text-watch">{days === 1 ? '1 day' : `${days} days`}</b>
                    )}
                  </td>
                  <td className="text-right">
                    <Button look="quiet" aria-label={`Read ${board.tag}`} onClick={() => setReading(board.id)}>
                      Read
                    </Button>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {rows.length > SHOWN ? (
        <p className="mt-1 text-ink-2">
          {rows.length - SHOWN} more may be milled sooner, or have not been read: the Rack page has them.
        </p>
      ) : null}
      {chosen ? (
        <ReadingDialog
          board={chosen}
          correction={data.shop.meterCorrections[chosen.species] ?? 0}
          data={data}
          onClose={(entered) => {
            setReading(null);
            if (entered) onRead();
          }}
        />
      ) : null}
    </section>
  );
}

const rank = (days: number | null | undefined) => (days === undefined ? -1 : days === null ? 1e9 : days);

const byWait = (waits: Waits, target: number) => {
  const days = ({ id, moisture }: BoardInAir) => rank(moisture === null ? undefined : waits.get(id));
  const off = ({ moisture }: BoardInAir) => (moisture === null ? -1 : Math.abs(moisture - target));
  return (a: BoardInAir, b: BoardInAir) => days(b) - days(a) || off(b) - off(a) || (a.tag < b.tag ? -1 : 1);
};

function ReadingDialog({
  board,
  correction,
  data,
  onClose,
}: {
  board: BoardInAir;
  correction: number;
  data: AirReply;
  onClose: (entered: boolean) => void;
}) {
  const [read, setRead] = useState<number | null>(null);
  const [warmth, setWarmth] = useState(20);
  const [offset, setOffset] = useState(correction);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const wood = useSpecies().nameOf(board.species);
  // Of the shop only the correction of one wood is meant, whatever else of it was written meanwhile.
  const corrections = useRevisioned<number, ShopReply>(
    { revision: data.shopRevision, shop: data.shop },
    (own, on) => {
      const shop = on?.shop ?? data.shop;
      const meterCorrections = { ...shop.meterCorrections, [board.species]: own };
      return request('PUT', '/api/shop', { revision: on?.revision, shop: { ...shop, meterCorrections } });
    },
    () => true,
  );
  const save = async () => {
    if (read === null) {
      setProblems([{ problem: 'Nothing is entered.', where: 'the reading', wayOut: 'Write what the meter shows.' }]);
      return;
    }
    if (offset !== correction) {
      const kept = await corrections.write(offset);
      if (!kept.ok) {
        setProblems(kept.problems);
        return;
      }
    }
    const reply = await request('POST', `/api/boards/${board.id}/readings`, {
      at: new Date().toISOString(),
      reading: read,
      woodTemperature: warmth,
    });
    if (reply.ok) onClose(true);
    else setProblems(reply.problems);
  };
  return (
    <Dialog title={`${board.tag}, ${wood}: moisture`} open onClose={() => onClose(false)}>
      <ProblemList problems={problems} />
      <Form onSubmit={save}>
        <NumberField
          label="The meter shows"
          unit="%"
          value={read}
          least={2}
          most={100}
          step={0.5}
          allowEmpty="read"
          onCommit={(next) => {
            setRead(next);
            return undefined;
          }}
          onEmpty={() => setRead(null)}
        />
        <NumberField
          label="The wood is at"
          unit="°C"
          value={warmth}
          least={-30}
          most={60}
          onCommit={(next) => {
            setWarmth(next);
            return undefined;
          }}
        />
        <NumberField
          label={`For ${wood} add`}
          unit="%"
          value={offset}
          least={-10}
          most={10}
          step={0.1}
          onCommit={(next) => {
            setOffset(next);
            return undefined;
          }}
          hint="From the table that came with the meter; kept for this wood. Zero if the meter is set to it."
        />
        {/* Always there, so that the fields do not move under the hand when the first figure is read. */}
        <p>
          That is{' '}
          <b className="figures">
            {read === null
              ? '–'
              : correctPinReading({ reading: read, woodTemperature: warmth, speciesCorrection: offset }).toFixed(
                  1,
                )}{' '}
            %
          </b>{' '}
          <span className="text-ink-2">by Pfaff and Garrahan’s correction for warmth, from memory of it</span>
        </p>
        <div className="mt-3 flex gap-3">
          <Button look="chief" type="submit">
            Enter the reading
          </Button>
          <Button look="quiet" onClick={() => onClose(false)}>
            Close
          </Button>
        </div>
      </Form>
    </Dialog>
  );
}
