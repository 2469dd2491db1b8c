import { isMade } from '../piece/material';
import { type Part, type Size, woodOf } from '../piece/part';
import { LENGTHWISE_COEFFICIENT } from '../wood/movement';
import { MOVEMENT_SCHOOLS } from '../wood/movement-school';
import type { Season } from './season-state';

/** Width of a panel when it has come to a moisture, mm: each strip moves by its own rings from its own moisture. */
export function widthOfStrips(given: Pick<Season, 'strips' | 'school' | 'correction'>, toMoisture: number): number {
  const { change } = MOVEMENT_SCHOOLS[given.school];
  return given.strips.reduce(
    (sum, { width, species, rings, moisture: fromMoisture }) =>
      sum +
      width +
      given.correction.factor * change({ dimension: width, species, ringAngle: rings, fromMoisture, toMoisture }),
    0,
  );
}

/** Width of the part that the season is told by, when it has come to a moisture, mm. */
export function leadingWidthAt(season: Season, atMoisture: number): number {
  return widthOfStrips(season, atMoisture);
}

/** Size of a part when it has come to a moisture, its entered or designed size being that of the reference state. */
export function sizeAt(part: Part, season: Season, atMoisture: number): Size {
  if (!isMade(part)) return part.size;
  const { change: byMoisture } = MOVEMENT_SCHOOLS[season.school];
  const change = (dimension: number, ringAngle: number) =>
    dimension +
    season.correction.factor *
      byMoisture({
        dimension,
        species: woodOf(part, season.ofPiece),
        ringAngle,
        fromMoisture: season.reference.moisture,
        toMoisture: atMoisture,
      });
  return {
    length: part.size.length * (1 + LENGTHWISE_COEFFICIENT * (atMoisture - season.reference.moisture)),
    width: part.kind === 'top' ? leadingWidthAt(season, atMoisture) : change(part.size.width, season.ringAngle),
    thickness: change(part.size.thickness, 90 - season.ringAngle),
  };
}
