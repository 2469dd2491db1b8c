import { seededRandom } from '../measure/random';
import { heartSides, type PanelShape, type PanelStrip, panelShape, type RingSchool } from '../wood/panel-shape';
import type { Season } from './season';

/** Before a layout is there the top is thought of in strips of about this width, mm. */
const THOUGHT_STRIP = 130;

/**
 * Which strips have the heart side up. Which face of a board is the better one nobody has said; for that school the
 * hearts fall as a fixed throw of the dice has them.
 */
export function layStrips(count: number, school: RingSchool): boolean[] {
  const throwDice = seededRandom(11);
  return heartSides(count, school, () => throwDice() < 0.5);
}

/** The cross-section of the top at a moisture, its strips laid by a school. */
export function shapeOfTop(
  season: Season,
  thickness: number,
  at: { moisture: number; slope: number },
  school: RingSchool,
): PanelShape {
  const strips = thoughtStrips(season);
  const sides = layStrips(strips.length, school);
  return panelShape(
    strips.map((strip, i) => ({ ...strip, heartUp: sides[i] ?? true })),
    thickness,
    at.moisture,
    at.slope,
  );
}

function thoughtStrips(season: Season): readonly PanelStrip[] {
  const [only] = season.strips;
  if (season.strips.length > 1 || !only) return season.strips;
  const n = Math.max(1, Math.round(only.width / THOUGHT_STRIP));
  return Array.from({ length: n }, () => ({ ...only, width: only.width / n }));
}
