import type { Rectangle } from './layout';

/**
 * The clear rectangles of a board round its defects, by straight through cuts: at each defect either crosscuts beside
 * it go first (short pieces above and below it) or rips do (full-length pieces above and below). The kerf of each
 * cut falls into the defect where it fits, otherwise into the wood beyond it.
 *
 * @param crosscutFirst asked once for each defect met
 */
export function clearRegions(
  region: Rectangle,
  defects: readonly Rectangle[],
  kerf: number,
  crosscutFirst: (defect: Rectangle) => boolean,
): Rectangle[] {
  if (region.length <= 0 || region.width <= 0) return [];
  const defect = defects.find((d) => overlap(region, d));
  if (!defect) return [region];

  const right = region.x + region.length;
  const far = region.y + region.width;
  const from = { x: Math.max(defect.x, region.x), y: Math.max(defect.y, region.y) };
  const to = { x: Math.min(defect.x + defect.length, right), y: Math.min(defect.y + defect.width, far) };
  // Where the next piece starts: past the defect, and past the kerf when the defect is narrower than the blade.
  const next = { x: Math.max(to.x, from.x + kerf), y: Math.max(to.y, from.y + kerf) };
  const inside = { x: from.x > region.x ? from.x + kerf : from.x, y: from.y > region.y ? from.y + kerf : from.y };
  const innerEnd = {
    x: to.x < right ? Math.max(inside.x, next.x - kerf) : to.x,
    y: to.y < far ? Math.max(inside.y, next.y - kerf) : to.y,
  };

  const pieces: Rectangle[] = crosscutFirst(defect)
    ? [
        { x: region.x, y: region.y, length: from.x - region.x, width: region.width },
        { x: next.x, y: region.y, length: right - next.x, width: region.width },
        { x: inside.x, y: region.y, length: innerEnd.x - inside.x, width: from.y - region.y },
        { x: inside.x, y: next.y, length: innerEnd.x - inside.x, width: far - next.y },
      ]
    : [
        { x: region.x, y: region.y, length: region.length, width: from.y - region.y },
        { x: region.x, y: next.y, length: region.length, width: far - next.y },
        { x: region.x, y: inside.y, length: from.x - region.x, width: innerEnd.y - inside.y },
        { x: next.x, y: inside.y, length: right - next.x, width: innerEnd.y - inside.y },
      ];
  return pieces.flatMap((piece) => clearRegions(piece, defects, kerf, crosscutFirst));
}

export function overlap(a: Rectangle, b: Rectangle): boolean {
  const slack = 1e-6;
  return (
    a.x < b.x + b.length - slack &&
    b.x < a.x + a.length - slack &&
    a.y < b.y + b.width - slack &&
    b.y < a.y + a.width - slack
  );
}
