import type { BaseKindName } from '../document/job-document';
import { count, mm, say } from '../measure/quantity';
import { KIND_PLURALS } from '../piece/kind-words';
import { isPanel, type Part, type PartKind, woodOf } from '../piece/part';
import type { TablePiece } from '../piece/piece';
import { legBlanks } from '../piece/table/bases/leg-apron/making';
import { makingOf } from '../piece/table/making-of';
import { isSheetOf } from '../stock/as-dressed';
import type { Board } from '../stock/board';
import { planedThickness } from '../stock/thickness';
import { speciesIn } from '../wood/blend';
import type { Species } from '../wood/species';
import { type Check, judge, type TableContext } from './check';

/** What a part thicker than any board is made of instead, where it can be. */
function inStaves(kind: PartKind, base: BaseKindName, words: string, least: number): Check['wayOut'] | null {
  const count = Math.max(2, least);
  const change =
    kind === 'leg' && base === 'leg-apron'
      ? { path: 'form.base.leg.making', value: { kind: 'staves', count }, most: 8 }
      : (base === 'trestle' || base === 'post-brace') && (kind === 'post' || kind === 'foot')
        ? { path: `form.base.${kind}.staves`, value: count, most: 6 }
        : null;
  if (!change) return null;
  const { most, ...own } = change;
  return {
    say: say`Glue the ${words} of ${`${count}`} staves, or buy thicker stock`,
    changes: count <= most ? [own] : [],
  };
}

/** Where the thickness of each kind of part is decided. */
const PATHS: Partial<Record<PartKind, Partial<Record<BaseKindName | 'any', string>>>> = {
  top: { any: 'form.top.thickness' },
  slat: { any: 'form.top.thickness' },
  slab: { any: 'form.top.thickness' },
  border: { any: 'form.top.thickness' },
  side: { any: 'form.top.thickness' },
  leaf: { any: 'form.top.thickness' },
  slide: { any: 'form.top.slides.thickness' },
  leg: { 'leg-apron': 'form.base.leg.section', any: 'form.base.leg.thickness' },
  apron: { any: 'form.base.apron.thickness' },
  foot: { any: 'form.base.foot.thickness' },
  post: { 'post-brace': 'form.base.post.section', any: 'form.base.post.thickness' },
  bearer: { splayed: 'form.base.arm.thickness', any: 'form.base.bearer.thickness' },
  stretcher: {
    'leg-apron': 'form.base.stretchers.thickness',
    box: 'form.base.rail.thickness',
    'post-brace': 'form.base.stringer.thickness',
    any: 'form.base.stretcher.thickness',
  },
  'top-rail': { any: 'form.base.rails.thickness' },
  sheet: { any: 'form.top.panelThickness' },
  shelf: { any: 'form.base.stretchers.boardThickness' },
  batten: { any: 'form.flat.thickness' },
  brace: { any: 'form.base.braces.thickness' },
};

/** Finished thickness against what the boards on the rack can be planed to. */
export function thicknessOnTheRack({ document, piece, shop, boards, species }: TableContext): Check[] {
  if (!boards) return [];
  const kinds = [...new Set(piece.parts.map((part) => part.kind))];
  return kinds.flatMap((kind): Check[] => {
    const path = PATHS[kind]?.[document.form.base.kind] ?? PATHS[kind]?.any;
    const plain = kind === 'bearer' && piece.kind.base === 'splayed' ? 'arms' : KIND_PLURALS[kind];
    const part = piece.parts.find((own) => own.kind === kind);
    if (!part || !path || !plain || part.cut || part.material) return [];
    if (document.layout.asDressed.some((own) => own === kind)) return [];
    if (part.wood?.sheet) return [sheetOnTheRack(part, part.wood, path, plain, boards, piece)];
    const making = makingOf(document.form, kind);
    const glued = making.kind !== 'solid';
    const words = glued ? `pieces of the ${plain}` : plain;
    const finished = glued
      ? Math.max(...legBlanks(part, making).map((blank) => blank.finished.thickness))
      : part.size.thickness;
    // Of a panel each strip is planed by itself.
    const { greatestStrip } = document.layout;
    const { stripJointing } = shop.allowances;
    const width = isPanel(kind) ? Math.min(part.size.width, greatestStrip + stripJointing) : part.size.width;
    // Of a panel of several woods the one that gives least is told.
    const [scarce] = speciesIn(woodOf(part, species))
      .map((wood) => {
        const own = boards.filter((board) => board.species === wood.id);
        const given = own.map((board) => planedThickness(board, shop.allowances, { length: part.size.length, width }));
        return { wood, own, given, greatest: Math.max(0, ...given) };
      })
      .sort((a, b) => a.greatest - b.greatest);
    if (!scarce) return [];
    const { wood, own, given, greatest } = scarce;
    const enough = given.filter((thickness) => thickness >= finished - 1e-9).length;
    const level = judge(greatest, finished, { sense: 'at-least' });
    const where = piece.parts.filter((p) => p.kind === kind).map((p) => p.id);
    const reachable = Math.floor(greatest * 2) / 2;
    const staves =
      greatest >= 15 && (glued || reachable < 0.9 * finished)
        ? inStaves(kind, piece.kind.base, plain, Math.ceil((part.size.thickness + 2) / greatest))
        : null;
    return [
      {
        id: `stock.thickness-${kind}`,
        step: 'form',
        level,
        sentence:
          own.length === 0
            ? say`There is no ${wood.commonName} on the rack for the ${words}.`
            : level === 'stop'
              ? say`The ${words} want ${mm(finished)}; the thickest ${wood.commonName} on the rack planes to ${mm(greatest)}.`
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
                staves ??
                (reachable >= 12
                  ? {
                      say: say`Make the ${words} ${mm(reachable)}, or buy thicker stock`,
                      changes: [{ path, value: reachable }],
                    }
                  : { say: say`Add boards to the rack, or choose a species that is there`, changes: [] }),
            }),
      },
    ];
  });
}

/** A sheet is not planed: there is one as thick as the part, or there is none. */
function sheetOnTheRack(
  part: Part,
  wood: Species,
  path: string,
  plain: string,
  boards: readonly Board[],
  piece: TablePiece,
): Check {
  const own = boards.filter((board) => board.species === wood.id);
  const fitting = own.filter((board) => isSheetOf(part.size.thickness, board)).length;
  const nearest = [...new Set(own.map(({ thickness }) => thickness))].sort(
    (a, b) => Math.abs(a - part.size.thickness) - Math.abs(b - part.size.thickness),
  )[0];
  return {
    id: `stock.thickness-${part.kind}`,
    step: 'form',
    level: fitting > 0 ? 'good' : 'stop',
    sentence:
      fitting > 0
        ? say`${count(fitting)} sheets of ${wood.commonName} are as thick as the ${plain}.`
        : own.length === 0
          ? say`There is no ${wood.commonName} on the rack for the ${plain}.`
          : say`No sheet of ${wood.commonName} on the rack is ${mm(part.size.thickness)} thick, as the ${plain} would be.`,
    value: mm(nearest ?? 0),
    limit: mm(part.size.thickness),
    where: piece.parts.filter(({ kind }) => kind === part.kind).map(({ id }) => id),
    why: 'Nothing is planed off a sheet: its thickness is the part’s.',
    school: 'Sheets of one nominal thickness differ by some 0.6 mm, common practice',
    ...(fitting > 0
      ? {}
      : {
          wayOut:
            nearest === undefined
              ? { say: say`Add sheets to the rack, or take another wood`, changes: [] }
              : { say: say`Make the ${plain} ${mm(nearest)}`, changes: [{ path, value: nearest }] },
        }),
  };
}
