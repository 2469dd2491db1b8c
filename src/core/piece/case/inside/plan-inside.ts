import type { Joint } from '../../../joint/joint';
import type { Draft, Fitting } from '../../part';
import type { Unbuildable } from '../../unbuildable';
import type { PinRow, ShelfSpan } from '../case-plan';
import type { CaseForm } from '../form';
import { fixingKind } from '../kinds';
import { behindClosing, closeSpace } from './closed-spaces';
import { dividerBoard, railPair } from './dividers';
import { lipUnder } from './lip';
import { looseShelves } from './loose-shelves';
import { pinRowsOf } from './pin-rows';
import { type PlacedCell, placeSpaces, type Space } from './spaces';

export interface InsidePlan {
  drafts: readonly Draft[];
  joints: readonly Joint[];
  spans: readonly ShelfSpan[];
  fittings: readonly Fitting[];
  problems: readonly Unbuildable[];
  /** Every space, those that are divided further before what they are divided into. */
  spaces: readonly PlacedCell[];
  pinRows: readonly PinRow[];
}

/** Pins under a loose shelf. */
export const PINS = 4;

/** The uprights and shelves of a case, with what they are held by and what is glued under them. */
export function planInside(given: {
  form: CaseForm;
  space: Space;
  /** From the front edge to the face of the back. */
  y: readonly [front: number, back: number];
  /** Thickness of the boards round it, by their ids. */
  boards: Readonly<Record<string, number>>;
}): InsidePlan {
  const { form, y, boards } = given;
  const { cells, thickness, lip } = form.inside;
  const { placed, dividers, problems } = placeSpaces(cells, given.space, thickness);
  const thicknessOf = (board: string): number => boards[board] ?? thickness;
  const { fixing: decided } = form.inside;
  const fixing = fixingKind(decided.kind);
  const held = dividers.flatMap((divider) =>
    (divider.rail ? railPair(divider, y, form.inside.rail) : [{ divider, y }]).map((own) =>
      dividerBoard(own.divider, { thickness, y: own.y, thicknessOf, fixing, decided }),
    ),
  );
  const ends = held.flatMap((own) => own.ends);
  const fixedShelves = dividers
    .filter(({ upright, rail }) => !upright && !rail)
    .map(({ id, name, at, space: { left, right } }) => ({
      id,
      name,
      words: `${name}, fixed`,
      onPins: false as const,
      ...{ left, right, underside: at, breadth: y[1] - y[0] },
      front: y[0],
    }));
  let number = fixedShelves.length + 1;
  const { closing } = form.inside;
  const closed = placed
    .filter(({ cell, divided }) => divided === 'not' && cell.closed)
    .map((own) => closeSpace(own, cells, closing, { front: y[0], lip: lip?.depth ?? 0 }));
  const behind = ({ cell }: PlacedCell) => [y[0] + (cell.closed ? behindClosing(closing) : 0), y[1]] as const;
  const onPins = placed.filter(({ cell, divided }) => divided === 'not' && (cell.loose ?? 0) > 0);
  const pinRows = onPins.flatMap((own) => pinRowsOf(own, form.inside.pins, behind(own)));
  const loose = onPins.flatMap((own) => {
    const row = pinRows.find(({ space }) => space === own.cell.id);
    const shelves = looseShelves(own, { thickness, y: behind(own), from: number, row });
    number += shelves.length;
    return shelves;
  });
  const looseOnes = loose.map(({ draft: { id, name, size, frame }, span, underside, middle }) => ({
    id,
    name,
    words: `${name}, on pins`,
    onPins: true as const,
    ...{ left: middle - span / 2, right: middle + span / 2, underside, breadth: size.width },
    front: frame.at[1] - size.width / 2,
  }));
  const shelves = [...fixedShelves, ...looseOnes];
  const lips = lip ? shelves.map((shelf) => lipUnder(shelf, lip)) : [];
  return {
    drafts: [
      ...[...held, ...loose, ...lips].map(({ draft }) => draft),
      ...ends.flatMap(({ drafts }) => drafts),
      ...closed.flatMap(({ drafts }) => drafts),
    ],
    joints: [
      ...ends.flatMap(({ joints }) => joints),
      ...lips.map(({ joint }) => joint),
      ...closed.flatMap(({ joints }) => joints),
    ],
    spans: shelves.map(({ id, words, onPins: lies, left, right, breadth }) => ({
      ...(lies ? { onPins: lies } : {}),
      ...{ id, part: id, words, span: right - left, breadth, thickness, lip, load: form.loads.shelf },
      thick: 'form.inside.thickness' as const,
    })),
    problems: [...problems, ...closed.flatMap((own) => own.problems)],
    spaces: placed,
    pinRows,
    fittings: [
      ...(loose.length > 0
        ? [{ name: 'Shelf pins', count: PINS * loose.length, size: [form.inside.pins.diameter] }]
        : []),
      ...summed([...ends, ...closed].flatMap(({ fittings }) => fittings)),
    ],
  };
}

/** What is bought for each end, once for all of them. */
function summed(list: readonly Fitting[]): Fitting[] {
  const found = new Map<string, Fitting>();
  for (const own of list) {
    const key = `${own.name} ${own.size.join()}`;
    found.set(key, { ...own, count: own.count + (found.get(key)?.count ?? 0) });
  }
  return [...found.values()];
}
