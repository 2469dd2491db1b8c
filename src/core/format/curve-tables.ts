import { taperOutline } from '../piece/legs/taper';
import type { Part } from '../piece/part';
import type { Piece, TablePiece } from '../piece/piece';
import { boundsOfFlat, type Outline, radiusOf } from '../solid/outline';
import { plainName } from './full-size-drawing';

/** A table of a curve: how far it stands off its chord, from one end to the middle and on to the other. mm */
export interface CurveTable {
  name: string;
  chord: number;
  sagitta: number;
  radius: number;
  offsets: readonly { along: number; off: number }[];
}

const STEP = 50;

/**
 * Arcs of the top's outline and of curved parts with offsets from their chords; for a round or oval top half its width at
 * every step along.
 */
export function curveTables(piece: Piece): CurveTable[] {
  return [...(piece.build === 'table' ? topTables(piece.top) : []), ...partTables(piece.parts)];
}

/** Every arc of a curved part once, by the part's name; a hollow is told as the bulge it leaves. */
function partTables(parts: readonly Part[]): CurveTable[] {
  const tables = parts.flatMap((part) => {
    const { profile = taperedFace(part) } = part;
    return arcsOf(profile).map(({ chord, sagitta }) =>
      tableOf(`${plainName(part)} ${part.letter}, ${sagitta < 0 ? 'hollow' : 'crown'}`, chord, Math.abs(sagitta)),
    );
  });
  const key = ({ name, chord, sagitta }: CurveTable) =>
    `${name.replace(/ [A-Z]+,/, '')} ${chord.toFixed(2)} ${sagitta}`;
  return tables.filter((table, i) => tables.findIndex((own) => key(own) === key(table)) === i);
}

/** A leg whose taper is curved has its arc on the face. */
const taperedFace = ({ taper, size }: Part): Outline =>
  taper?.hollow ? taperOutline({ section: size.width, length: size.length }, taper) : [];

function arcsOf(outline: Outline): { chord: number; sagitta: number; along: boolean }[] {
  return outline.flatMap(({ at, sagitta = 0 }, i) => {
    const to = outline[(i + 1) % outline.length]?.at ?? at;
    if (Math.abs(sagitta) < 0.01) return [];
    const [dx, dy] = [to[0] - at[0], to[1] - at[1]];
    return [{ chord: Math.hypot(dx, dy), sagitta, along: Math.abs(dx) > Math.abs(dy) }];
  });
}

function tableOf(name: string, chord: number, sagitta: number): CurveTable {
  const radius = radiusOf(chord, sagitta);
  return {
    name,
    chord,
    sagitta,
    radius,
    offsets: steps(chord).map((along) => ({
      along,
      off: Math.sqrt(Math.max(0, radius ** 2 - (along - chord / 2) ** 2)) - (radius - sagitta),
    })),
  };
}

function topTables({ outline, polygon }: TablePiece['top']): CurveTable[] {
  if (outline.length > 12) {
    const { left, right, high } = boundsOfFlat(polygon);
    const chord = right - left;
    return [
      {
        name: 'Oval, from its long axis',
        chord,
        sagitta: high,
        radius: Number.NaN,
        offsets: steps(chord).map((along) => ({
          along,
          off: high * Math.sqrt(Math.max(0, 1 - ((along - chord / 2) / (chord / 2)) ** 2)),
        })),
      },
    ];
  }
  const tables = arcsOf(outline).map(({ chord, sagitta, along }) =>
    tableOf(along ? 'Long side' : 'End', chord, sagitta),
  );
  return tables.filter((table, i) => tables.findIndex((own) => own.name === table.name) === i);
}

/** Even steps from the middle outward, so that the middle and both ends are among them. */
function steps(chord: number): number[] {
  const each = Math.floor(chord / 2 / STEP);
  const inner = Array.from({ length: 2 * each + 1 }, (_, i) => chord / 2 + (i - each) * STEP);
  return [...new Set([0, ...inner, chord])].sort((a, b) => a - b);
}
