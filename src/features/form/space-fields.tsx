'use client';

import {
  boundsOf,
  type CaseForm,
  CaseFormSchema,
  type Cell,
  divideCell,
  growCells,
  isDivided,
  joinCell,
  nameOfCell,
  partsOf,
  resizeCell,
  rootOf,
} from '@/core';
import { Button } from '@/ui/button';
import { Choice, LengthField, NumberField, Select } from '@/ui/fields';
import { useUnits } from '@/ui/units';
import { useCase, useChanges, useLook } from '../job/job-context';

const DIVIDED = [
  { value: 'not', label: 'No' },
  { value: 'uprights', label: 'Uprights', reason: 'Bays beside one another.' },
  { value: 'shelves', label: 'Shelves', reason: 'Spaces over one another; each shelf is fixed.' },
  { value: 'rails', label: 'Rails', reason: 'One in front and one behind: between drawers, or over doors.' },
] as const;

const BEFORE = [
  { value: 'open', label: 'Open' },
  { value: 'closed', label: 'A panel', reason: 'A frame with panels, fast below: it does not open.' },
] as const;

const closedAs = ({ closed, ...cell }: Cell, before: (typeof BEFORE)[number]['value']): Cell =>
  before === 'closed' ? { ...cell, closed: true } : cell;

/** So many spaces at most side by side. */
const MOST = 12;

/** The space in hand: what divides it, how large it is, what lies in it loose. */
export function SpaceFields() {
  const { form, piece } = useCase();
  const changes = useChanges();
  const units = useUnits();
  const { cells } = form.inside;
  const taken = useLook((look) => look.space);
  const take = useLook((look) => look.takeSpace);
  const cell = cells.find(({ id }) => id === taken) ?? rootOf(cells);
  const space = piece.spaces.find(({ id }) => id === cell.id);
  const parent = cells.find(({ id }) => id === cell.of);
  const put = (next: readonly Cell[]) => changes([{ path: 'form.inside.cells', value: next }]);
  const parts = partsOf(cells, cell.id);
  const divided = isDivided(cells, cell) ? cell.divided : 'not';
  const across = parent?.divided === 'uprights';
  const bounds = boundsOf(CaseFormSchema, form, `inside.cells.${cell.id}.clear`);
  const clear = space ? (across ? space.right - space.left : space.high - space.low) : 0;
  return (
    <>
      <Select
        label="Space"
        value={cell.id}
        options={ordered(cells).map(({ id }) => ({ value: id, label: nameOfCell(cells, id) }))}
        onCommit={take}
        hint={
          space ? `${units.length(space.right - space.left)} wide, ${units.length(space.high - space.low)} high` : ''
        }
        wide
      />
      {parent ? (
        <LengthField
          label={across ? 'Clear, wide' : 'Clear, high'}
          mm={cell.clear}
          least={bounds?.least ?? 20}
          most={bounds?.most ?? 3000}
          allowEmpty={units.length(clear)}
          onCommit={(mm) => put(resizeCell(cells, cell.id, mm))}
          onEmpty={() => put(resizeCell(cells, cell.id, null))}
          hint={
            cell.clear === null
              ? 'It takes its share of what the others leave.'
              : 'Empty: it takes its share of what is left.'
          }
        />
      ) : null}
      <Choice
        label="Divided by"
        value={divided}
        options={DIVIDED}
        onCommit={(by) =>
          put(by === 'not' ? joinCell(cells, cell.id) : divideCell(cells, cell.id, by, Math.max(2, parts.length)))
        }
      />
      {divided === 'not' ? (
        <>
          {form.opens === 'front' ? (
            <Choice
              label="Before it"
              value={cell.closed ? 'closed' : 'open'}
              options={BEFORE}
              onCommit={(before) => put(cells.map((own) => (own.id === cell.id ? closedAs(own, before) : own)))}
            />
          ) : null}
          <NumberField
            label="Loose shelves in it"
            value={cell.loose ?? 0}
            least={0}
            most={20}
            onCommit={(loose) => put(cells.map((own) => (own.id === cell.id ? { ...own, loose } : own)))}
          />
        </>
      ) : (
        <>
          <NumberField
            label={divided === 'uprights' ? 'Bays' : 'Spaces'}
            value={parts.length}
            least={2}
            most={MOST}
            onCommit={(count) => put(divideCell(cells, cell.id, divided, count))}
          />
          <NumberField
            label={divided === 'uprights' ? 'Each times the one at its left' : 'Each times the one under it'}
            value={ratioOf(parts)}
            least={0.5}
            most={2}
            step={0.05}
            allowEmpty="sizes of their own"
            onEmpty={() => undefined}
            onCommit={(ratio) => put(growCells(cells, cell.id, ratio))}
          />
          {ratioOf(parts) === 1 ? null : (
            <Button className="mb-2" onClick={() => put(growCells(cells, cell.id, 1))}>
              Make them equal
            </Button>
          )}
        </>
      )}
    </>
  );
}

/** What of a growing row each is of the one before; null where they do not grow evenly. */
function ratioOf(parts: readonly Cell[]): number | null {
  if (parts.some(({ clear }) => clear !== null)) return null;
  const [first, second] = parts;
  if (!first || !second) return null;
  const ratio = second.share / first.share;
  const even = parts.every((own, i) => {
    const before = parts[i - 1];
    return !before || Math.abs(own.share / before.share - ratio) < 1e-3;
  });
  return even ? Number(ratio.toFixed(2)) : null;
}

/** Each space followed by what it is divided into. */
function ordered(cells: readonly Cell[], from: Cell = rootOf(cells)): Cell[] {
  const parts = isDivided(cells, from) ? partsOf(cells, from.id) : [];
  return [from, ...parts.flatMap((part) => ordered(cells, part))];
}

/** What is inside, in a few words. */
export function spacesInWords({ inside: { cells } }: CaseForm): string {
  const drawn = ordered(cells);
  const leaves = drawn.filter((cell) => !isDivided(cells, cell));
  const loose = leaves.reduce((sum, cell) => sum + (cell.loose ?? 0), 0);
  const shelves = loose === 0 ? '' : `, ${loose} loose ${loose === 1 ? 'shelf' : 'shelves'}`;
  return `${leaves.length === 1 ? 'one space' : `${leaves.length} spaces`}${shelves}`;
}
