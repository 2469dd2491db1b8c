import { count, mm, say } from '../measure/quantity';
import { legBlanks } from '../piece/leg-making';
import type { PartKind } from '../piece/part';
import { findPart } from '../piece/piece';
import { surfacedThickness } from '../stock/thickness';
import { type Check, type CheckContext, judge } from './check';

/** What a leg thicker than any board is made of instead. */
const inStaves = (count: number): Check['wayOut'] => ({
  say: say`Glue the legs of ${`${Math.max(2, count)}`} staves, or buy thicker stock`,
  changes: count <= 8 ? [{ path: 'form.base.leg.making', value: { kind: 'staves', count: Math.max(2, count) } }] : [],
});

const KINDS: { kind: PartKind; part: string; words: string; path: string }[] = [
  { kind: 'top', part: 'top', words: 'top', path: 'form.top.thickness' },
  { kind: 'leg', part: 'leg-front-left', words: 'legs', path: 'form.base.leg.section' },
  { kind: 'apron', part: 'apron-front', words: 'aprons', path: 'form.base.apron.thickness' },
];

/** Finished thickness against what the boards on the rack can be planed to. */
export function thicknessOnTheRack({ document, piece, shop, boards, species }: CheckContext): Check[] {
  const { making } = document.form.base.leg;
  return KINDS.flatMap(({ kind, part: id, words: plain, path }): Check[] => {
    const part = findPart(piece, id);
    if (!part || part.cut) return [];
    const glued = kind === 'leg' && making.kind !== 'solid';
    const words = glued ? 'pieces of the legs' : plain;
    const finished = glued
      ? Math.max(...legBlanks(part, making).map((blank) => blank.finished.thickness))
      : part.size.thickness;
    const given = boards.map((board) => surfacedThickness(board, shop.allowances.flattening));
    const greatest = Math.max(0, ...given);
    const enough = given.filter((thickness) => thickness >= finished - 1e-9).length;
    const level = judge(greatest, finished, { sense: 'at-least' });
    const where = piece.parts.filter((p) => p.kind === kind).map((p) => p.id);
    const reachable = Math.floor(greatest * 2) / 2;
    return [
      {
        id: `stock.thickness-${kind}`,
        step: 'form',
        level,
        sentence:
          boards.length === 0
            ? say`There is no ${species.commonName} on the rack for the ${words}.`
            : level === 'stop'
              ? say`The ${words} want ${mm(finished)}; the thickest ${species.commonName} on the rack planes to ${mm(greatest)}.`
              : say`${count(enough)} boards plane to the ${mm(finished)} of the ${words}.`,
        value: mm(greatest),
        limit: mm(finished),
        where,
        why: 'Rough stock loses both faces before it is flat. A twisted board loses more.',
        school: 'Rough quarters to surfaced two sides, NHLA table',
        ...(level === 'good'
          ? {}
          : {
              wayOut:
                kind === 'leg' && greatest >= 15 && (glued || reachable < 0.9 * finished)
                  ? inStaves(Math.ceil((part.size.thickness + 2) / greatest))
                  : reachable >= 12
                    ? {
                        say: say`Make the ${words} ${mm(reachable)}, or buy thicker stock`,
                        changes: [{ path, value: reachable }],
                      }
                    : { say: say`Add boards to the rack, or choose a species that is there`, changes: [] },
            }),
      },
    ];
  });
}
