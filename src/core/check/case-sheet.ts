import { count, say } from '../measure/quantity';
import type { Part } from '../piece/part';
import type { CaseContext, Check } from './check';

/** Boards that a carcass may be of sheet. */
const BOARDS: ReadonlySet<Part['kind']> = new Set(['side', 'case-top', 'case-bottom', 'upright', 'case-shelf']);
const isSheet = ({ kind, wood }: Part): boolean => BOARDS.has(kind) && wood?.sheet === true;

/** Corners whose tails and fingers would be of layers that run across them. */
const CARVED = new Set(['dovetails', 'half-blind', 'box-joints']);

/** Boards cut from sheets: no tails and fingers of layers that split off, no edges whose layers are seen. Common practice. */
export function boardsOfSheet({ document, piece }: CaseContext): Check[] {
  const sheets = piece.parts.filter(isSheet);
  if (sheets.length === 0) return [];
  const { carcass, inside, front } = document.form;
  const ofShell = sheets.filter(({ kind }) => kind === 'side' || kind === 'case-top' || kind === 'case-bottom');
  const held = sheets.filter(({ kind }) => kind === 'upright' || kind === 'case-shelf');
  const corner = ofShell.length > 0 && CARVED.has(carcass.corner.kind);
  const slid = held.length > 0 && inside.fixing.kind === 'sliding-dovetails';
  const changes = [
    ...(corner ? [{ path: 'form.carcass.corner', value: { kind: 'butted', key: 'loose-tenons' } }] : []),
    ...(slid ? [{ path: 'form.inside.fixing', value: { kind: 'housed', stop: 12 } }] : []),
  ];
  const carved = corner || slid;
  const bare = front.kind === 'plain';
  return [
    {
      id: 'joints.sheet',
      step: 'joints',
      level: carved ? 'stop' : 'good',
      sentence: carved
        ? say`${corner ? 'Tails or fingers at the corners' : 'Sliding dovetails'} are cut in a sheet: its layers split off at their edges.`
        : say`No tails or fingers are cut in the ${count(sheets.length)} boards of sheet.`,
      value: count(carved ? sheets.length : 0),
      limit: count(0),
      where: (corner ? ofShell : held).map(({ id }) => id),
      why: 'Half of a sheet’s layers run across a tail, and hold it by glue alone.',
      school: 'common practice',
      ...(carved ? { wayOut: { say: say`Take loose tenons at the corners, housings within`, changes } } : {}),
    },
    {
      id: 'form.sheet-edges',
      step: 'form',
      level: bare ? 'watch' : 'good',
      sentence: bare
        ? say`The layers of the sheets are seen at their front edges.`
        : say`The front edges of the sheets are covered.`,
      value: count(bare ? sheets.length : 0),
      limit: count(0),
      where: sheets.map(({ id }) => id),
      why: 'Edges of a sheet chip, drink finish and show what they are.',
      school: 'common practice',
      ...(bare
        ? {
            wayOut: {
              say: say`Glue lippings on them`,
              changes: [{ path: 'form.front', value: { kind: 'lipped', thickness: 8 } }],
            },
          }
        : {}),
    },
  ];
}
