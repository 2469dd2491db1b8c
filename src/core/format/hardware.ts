import type { Fitting } from '../piece/part';
import type { Piece } from '../piece/piece';

/** What pieces take beside wood, those alike in one line: what holds the top with its screws, plates, bolts, glass, resin. */
export function hardwareOf(pieces: readonly Pick<Piece, 'fittings'>[]): Fitting[] {
  const lines = new Map<string, Fitting>();
  for (const fitting of pieces.flatMap(({ fittings }) => fittings)) {
    const key = [fitting.name, ...fitting.size.map((mm) => mm.toFixed(1))].join(' ');
    lines.set(key, { ...fitting, count: fitting.count + (lines.get(key)?.count ?? 0) });
  }
  return [...lines.values()];
}
