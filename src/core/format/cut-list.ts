import type { Demand } from '../layout/demand';
import { isMade } from '../piece/material';
import type { EndCuts, Part } from '../piece/part';
import { blankId, ownerOf } from '../piece/table/bases/leg-apron/making';

export interface CutListRow {
  letter: string;
  name: string;
  /** Of what species, where that is not the piece's own. */
  wood: string | null;
  count: number;
  /** Overall with tenons, mm. */
  length: number;
  shoulder: number;
  width: number;
  thickness: number;
  rough: { length: number; width: number } | null;
  /** Which of its faces show. */
  grade: Part['grade'];
  /** Thickness of what is glued on its front edge, mm. */
  lipped: number | null;
  /** How its ends are cut where they are not square. */
  ends: EndCuts | null;
  state: 'to cut' | 'cut' | 'cut and measured';
  /** It is painted: nothing of it need match. */
  painted: boolean;
}

/**
 * One row a part, in the order of their letters; rough sizes from the demand where the part is still to be cut. A part
 * that is glued from several blanks is followed by a row for each of them.
 */
export function cutList(parts: readonly Part[], demand: Demand): CutListRow[] {
  return parts.filter(isMade).flatMap((part): CutListRow[] => {
    const wanted = [...demand.parts, ...demand.panels].find((d) => d.id === part.id);
    const blanks = part.cut ? [] : demand.parts.filter((d) => d.id !== part.id && ownerOf(d.id) === part.id);
    const own: CutListRow = {
      letter: part.letter,
      name: part.name,
      wood: part.wood?.commonName ?? null,
      count: 1,
      length: part.size.length,
      shoulder: part.shoulderLength,
      width: part.size.width,
      thickness: part.size.thickness,
      rough: part.cut ? null : (wanted?.rough ?? null),
      grade: part.grade,
      lipped: parts.find(({ id }) => id === `lipping-${part.id}`)?.size.thickness ?? null,
      ends: part.ends ?? null,
      painted: part.painted ?? false,
      state: part.locked ? 'cut and measured' : part.cut ? 'cut' : 'to cut',
    };
    return [
      own,
      ...blanks.map(
        ({ id, letter, name, finished, rough }): CutListRow => ({
          ...own,
          letter,
          name,
          wood: part.strips?.find((strip) => blankId(part.id, strip.id) === id)?.wood?.commonName ?? own.wood,
          ...finished,
          ends: null,
          shoulder: finished.length,
          rough,
        }),
      ),
    ];
  });
}

/** Which faces of a part show, where not all of them do. */
export const sayFaces = (grade: Part['grade']): string =>
  grade === 'one-face' ? 'one face shows' : grade === 'hidden' ? 'hidden' : '';

/** Less than a saw can be set to is square, degrees. */
const LEAST_ANGLE = 0.05;

/** Ends that are not square, as a saw is set: degrees from square. Empty where both are square. */
export function sayEnds(ends: EndCuts | null): string {
  if (!ends) return '';
  const one = ({ mitre, bevel }: EndCuts['start']) =>
    [mitre >= LEAST_ANGLE ? `mitre ${mitre.toFixed(1)}°` : '', bevel >= LEAST_ANGLE ? `bevel ${bevel.toFixed(1)}°` : '']
      .filter(Boolean)
      .join(', ') || 'square';
  const [start, end] = [one(ends.start), one(ends.end)];
  return start === end ? `both ends ${start}` : `one end ${start}, the other ${end}`;
}
