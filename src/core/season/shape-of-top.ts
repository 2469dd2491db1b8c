import type { Figure } from '../measure/figure';
import { seededRandom } from '../measure/random';
import { heartSides, type PanelShape, type PanelStrip, panelShape, type RingSchool } from '../wood/panel-shape';
import type { Season } from './season-state';

/** Before a layout is there the top is thought of in strips of about this width, mm. */
const THOUGHT_STRIP = 130;

/**
 * Which strips have the heart side up before a layout is there. Which face of a board is the better one nobody has said
 * yet; for that school the hearts fall as a fixed throw of the dice has them.
 */
export function layStrips(count: number, school: RingSchool): boolean[] {
  const throwDice = seededRandom(11);
  return heartSides(count, school, () => throwDice() < 0.5);
}

/**
 * The cross-section of a panel at a moisture, of the top or of another by its own strips.
 *
 * @param lay by a school of rings, or `as laid`: as the strips of the layout lie, the maker's own turns included
 */
export function shapeOfTop(
  season: Pick<Season, 'strips'>,
  thickness: number,
  at: { moisture: number; slope: number },
  lay: RingSchool | 'as laid',
): PanelShape {
  return panelShape(strips(season, lay), thickness, at.moisture, at.slope);
}

/** How high the top stands on its hollow side when nothing holds it, with what it comes from. */
export function freeHeightFigure(
  shape: PanelShape,
  season: Pick<Season, 'strips' | 'glued'>,
  at: { moisture: number; slope: number },
): Figure {
  return {
    id: 'panel-free',
    label: 'Left free, it stands',
    quantity: { amount: shape.height, unit: 'mm-movement' },
    formula: 'strips cupped by their rings and by the slope of moisture through them, set edge to edge',
    inputs: [
      { label: 'Strips', quantity: { amount: season.strips.length, unit: 'count' } },
      { label: 'Over a width of', quantity: { amount: shape.width, unit: 'mm-movement' } },
      { label: 'Moisture', quantity: { amount: at.moisture, unit: 'percent-moisture' } },
      { label: 'Glued at', quantity: { amount: season.glued.moisture, unit: 'percent-moisture' } },
    ],
    source:
      'Wood Handbook ch. 13, coefficients of both directions; the chord of each strip from its rings, see Methods',
    limits: 'What a base or battens hold down is less. Good for comparing ways of laying, not for the height itself.',
  };
}

function strips(season: Pick<Season, 'strips'>, lay: RingSchool | 'as laid'): PanelStrip[] {
  const [only] = season.strips;
  if (season.strips.length > 1 || !only) {
    if (lay === 'as laid') return [...season.strips];
    const hearts = heartSides(season.strips.length, lay, (i) => season.strips[i]?.bestHeartUp ?? false);
    return season.strips.map((strip, i) => turned(strip, hearts[i] ?? false));
  }
  const n = Math.max(1, Math.round(only.width / THOUGHT_STRIP));
  const hearts = layStrips(n, lay === 'as laid' ? 'alternate' : lay);
  return hearts.map((heartUp) => ({ ...only, width: only.width / n, heartUp }));
}

/** Turned over, what was at the right of a strip comes to its left. */
function turned(strip: PanelStrip, heartUp: boolean): PanelStrip {
  const { rings } = strip;
  if (heartUp === strip.heartUp) return strip;
  return { ...strip, heartUp, rings: typeof rings === 'number' ? rings : { ...rings, offset: -rings.offset } };
}
