'use client';

import { useState } from 'react';
import { type Problem, parseLength } from '@/core';
import { standsNow } from '@/ui/request';
import { useUnits } from '@/ui/units';
import type { RackBoard } from './rack-board';
import { type BoardChanges, useBoardChanges } from './use-board-changes';

type Written = { value: BoardChanges } | { problem: string };

/**
 * The cells of a board's row, to be written over in the table: each is sent when it is left, and says what is wrong with
 * it. Escape takes back what was typed.
 */
export function EditCells({
  board,
  onSaved,
  onProblems,
}: {
  board: RackBoard;
  onSaved: (board: RackBoard) => void;
  onProblems: (problems: readonly Problem[]) => void;
}) {
  const units = useUnits();
  const length =
    (key: 'length' | 'width') =>
    (text: string): Written => {
      const parsed = parseLength(text, units.system);
      return 'problem' in parsed ? parsed : { value: { [key]: parsed.mm } };
    };
  const thickness = (text: string): Written => {
    const parsed = parseLength(text, units.system);
    return 'problem' in parsed ? parsed : { value: { thickness: parsed.mm, quarters: parsed.quarters ?? null } };
  };
  const moisture = (text: string): Written => {
    if (text === '' || text === '–') return { value: { moisture: null } };
    const value = Number(text.replace('%', '').replace(',', '.'));
    return Number.isFinite(value) ? { value: { moisture: value } } : { problem: `“${text}” is not a number.` };
  };
  const text =
    (key: 'tag' | 'lot' | 'storedAt') =>
    (said: string): Written => ({ value: { [key]: said } });

  const { write, settle } = useBoardChanges(board);
  const refuse = (problems: readonly Problem[]) =>
    onProblems(problems.map((p) => ({ ...p, where: `board ${board.tag}, ${p.where}` })));
  const save = async (written: Written): Promise<boolean> => {
    if ('problem' in written) {
      refuse([{ problem: written.problem, where: 'the table', wayOut: 'Write it again.' }]);
      return false;
    }
    const reply = await write(written.value);
    if (reply.ok) {
      onProblems([]);
      onSaved(reply.value);
    } else if (standsNow(reply)) {
      settle();
      refuse(reply.problems.map((p) => ({ ...p, wayOut: 'Leave the cell once more to write yours over it.' })));
    } else refuse(reply.problems);
    return reply.ok;
  };
  const cell = (label: string, shown: string, write: (text: string) => Written, wide = false) => (
    <Cell
      key={`${label} ${shown}`}
      label={`${label} of ${board.tag}`}
      shown={shown}
      wide={wide}
      onWritten={(said) => save(write(said))}
    />
  );
  return (
    <>
      <td className="py-0.5 pr-3">{cell('Tag', board.tag, text('tag'), true)}</td>
      <td className="text-right">{cell('Length', units.length(board.length, true), length('length'))}</td>
      <td className="text-right">{cell('Width', units.length(board.width, true), length('width'))}</td>
      <td className="text-right">
        {cell('Thickness', board.quarters ? `${board.quarters}/4` : units.length(board.thickness, true), thickness)}
      </td>
      <td className="text-right">
        {cell('Moisture', board.moisture === null ? '' : units.number(board.moisture, 1), moisture)}
      </td>
      <td className="pl-4">{cell('Lot', board.lot, text('lot'), true)}</td>
      <td>{cell('Place', board.storedAt, text('storedAt'), true)}</td>
    </>
  );
}

function Cell({
  label,
  shown,
  wide,
  onWritten,
}: {
  label: string;
  shown: string;
  wide: boolean;
  onWritten: (text: string) => Promise<boolean>;
}) {
  const [text, setText] = useState(shown);
  const [wrong, setWrong] = useState(false);
  const leave = () => {
    if (text.trim() === shown) return;
    void onWritten(text.trim()).then((taken) => setWrong(!taken));
  };
  return (
    <input
      aria-label={label}
      aria-invalid={wrong || undefined}
      className={`figures rounded-sm border border-line bg-paper px-1.5 py-0.5 aria-invalid:border-stop ${wide ? 'w-28' : 'w-20 text-right'}`}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={leave}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') {
          setText(shown);
          setWrong(false);
        }
      }}
    />
  );
}
