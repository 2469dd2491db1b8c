import { DAYS_IN_YEAR, type Place, yearOfAir } from '../climate/place';
import type { JobDocument, SeasonChoice } from '../decision/job-document';
import { type Day, dayOfYear, daysBetween, firstOfYear, plusDays } from '../measure/calendar';
import type { Figure } from '../measure/figure';
import { moisture, movement } from '../measure/quantity';
import type { FinishKind } from '../wood/finish';
import { LENGTHWISE_COEFFICIENT, movementCoefficient } from '../wood/movement';
import { MOVEMENT_SCHOOLS } from '../wood/movement-school';
import type { PanelStrip } from '../wood/panel-shape';
import { SPECIES_SOURCE, type Species } from '../wood/species';
import { type Correction, learnFrom, NO_CORRECTION } from './learning';
import { airOfPiece, moistureLine } from './moisture-line';
import type { Part, Size } from './part';
import { findPart, type Piece } from './piece';

/** The days the year band shows. */
export const SEASON_DAYS = 2 * DAYS_IN_YEAR;

export interface SeasonDay {
  /** Days after `start`. */
  index: number;
  day: Day;
  /** % */
  moisture: number;
}

export interface Season {
  /** 1 January of the year of gluing. */
  start: Day;
  /** The moisture reckoned with, % on each of two years' days: the air's at once, or as it was simulated. */
  moistures: readonly number[];
  /** EMC of the air the piece stands in (the shop until delivery, then the home), %. */
  air: readonly number[];
  /** Mean moisture of the top as it gets in and out through its faces, %, and its slope through the thickness, % per mm. */
  simulated: readonly number[];
  slopes: readonly number[];
  reckoning: SeasonChoice['reckoning'];
  school: SeasonChoice['school'];
  /** The day the stock is milled, from which the wood is followed. */
  milled: SeasonDay;
  glued: SeasonDay;
  delivered: SeasonDay;
  /** Extremes the piece meets after gluing, in the shop and at home. */
  driest: SeasonDay;
  wettest: SeasonDay;
  /** The state in which the top's width is known: at gluing, or on the day its real width was measured. */
  reference: { width: number; moisture: number; measuredOn: Day | null };
  ringAngle: number;
  species: Species;
  /** The strips of the top: those of the layout, or one of the whole width while there is none. */
  strips: readonly PanelStrip[];
  topWidth: { driest: number; wettest: number };
  /** What the widths measured since have taught; null while nothing was measured. */
  learned: Learned | null;
  correction: Correction;
  figures: readonly Figure[];
}

export interface Learned extends Correction {
  /** The measured widths beside the forecast without and with what they taught, mm. */
  points: readonly { on: Day; index: number; width: number; before: number; after: number }[];
  /** Between driest and wettest, mm. */
  swing: { before: number; after: number };
}

/** A reading this many days from gluing still tells the moisture of a strip at gluing. */
const READING_HOLDS = 60;
const MOST_DAYS = 5 * DAYS_IN_YEAR;

const LIMITS = {
  equilibrium:
    'Taken as if the wood followed the air at once: the most it can do. A finished board lags and does somewhat less.',
  simulated:
    'Moisture through the two faces only, in air of one value a day; typical diffusivity and a fitted finish. See the band.',
};

/** The finish of the plan, as the wood feels it. */
export const FINISH_OF_PLAN: Record<JobDocument['plan']['finish'], FinishKind> = {
  'oil-wax': 'oil',
  film: 'varnish',
  shellac: 'shellac',
  lacquer: 'lacquer',
  epoxy: 'epoxy',
  wax: 'wax',
  none: 'none',
};

/** A strip of the top as the layout knows it. */
export interface StripOfLayout {
  /** mm after jointing. */
  width: number;
  ringAngle: number;
  /** The board's last reading, %. */
  moisture: number | null;
  moistureOn: Day | null;
}

/** The air a piece goes through and what its top does in it. */
export function deriveSeason(given: {
  document: JobDocument;
  piece: Piece;
  species: Species;
  shopAir: Place;
  homeAir: Place;
  strips?: readonly StripOfLayout[];
}): Season {
  const { document, piece, species, shopAir, homeAir } = given;
  const { gluedOn, deliveredOn, moistureAtGluing, ringAngle, school, reckoning, coated } = document.season;
  const start = firstOfYear(gluedOn);
  const deliveredIndex = daysBetween(start, deliveredOn);
  const gluedIndex = daysBetween(start, gluedOn);
  // From gluing until a whole year at home is over, but no longer than anybody plans ahead.
  const lastDay = Math.min(deliveredIndex + DAYS_IN_YEAR, Math.max(MOST_DAYS, gluedIndex + 1));
  const days = Math.max(SEASON_DAYS, lastDay);
  const air = airOfPiece({ start, days, deliveredIndex, shopAir, homeAir });
  const airAt = (index: number) => air.moisture[Math.min(days - 1, Math.max(0, index))] ?? 0;

  const top = findPart(piece, 'top');
  // A maker's own moisture at gluing is where the wood is followed from; otherwise from milling, in the shop's air.
  const milledIndex = Math.max(0, Math.min(gluedIndex, daysBetween(start, document.plan.startOn)));
  const from = moistureAtGluing === null ? milledIndex : gluedIndex;
  const line = moistureLine({
    air,
    species,
    thickness: top?.size.thickness ?? 25,
    finish: FINISH_OF_PLAN[document.plan.finish],
    coated,
    from,
    deliveredIndex,
    start: moistureAtGluing ?? airAt(from),
  });
  const inForce = reckoning === 'simulated' ? line.mean : air.moisture;
  const response = (index: number) =>
    reckoning === 'simulated' ? (line.response[index] ?? 0) : index >= deliveredIndex ? 1 : 0;
  const onDay = (index: number, percent: number): SeasonDay => ({
    index,
    day: plusDays(start, index),
    moisture: percent,
  });
  const gluedAt = moistureAtGluing ?? inForce[gluedIndex] ?? airAt(gluedIndex);

  const lock = document.bench.locks.top;
  const measuredOn = lock?.width != null ? lock.on : null;
  const uncorrectedAt = (index: number) => inForce[Math.min(days - 1, Math.max(0, index))] ?? 0;
  const reference = {
    width: top?.size.width ?? 0,
    moisture: measuredOn ? uncorrectedAt(daysBetween(start, measuredOn)) : gluedAt,
    measuredOn,
  };
  const strips = stripsOfTop(given.strips ?? [], reference, document, species);

  const forecast = { strips, reference, school };
  const measured = document.season.measured.filter((m) => m.on >= gluedOn);
  const correction = learnFrom(
    measured.map(({ on, width }) => {
      const index = Math.min(days - 1, daysBetween(start, on));
      return { width, moisture: uncorrectedAt(index), response: response(index) };
    }),
    (m, factor) => widthOfStrips({ ...forecast, correction: { factor, offset: 0 } }, m),
  );

  const all = inForce.map((m, index) => m + correction.offset * response(index));
  let [dry, wet] = [gluedIndex, gluedIndex];
  for (let index = gluedIndex + 1; index < lastDay; index += 1) {
    if ((all[index] ?? 0) < (all[dry] ?? 0)) dry = index;
    if ((all[index] ?? 0) > (all[wet] ?? 0)) wet = index;
  }
  const [driest, wettest] = [onDay(dry, all[dry] ?? 0), onDay(wet, all[wet] ?? 0)];
  const season: Season = {
    start,
    moistures: all.slice(0, SEASON_DAYS),
    air: air.moisture.slice(0, SEASON_DAYS),
    simulated: line.mean.slice(0, SEASON_DAYS),
    slopes: line.slope.slice(0, SEASON_DAYS),
    reckoning,
    school,
    milled: onDay(milledIndex, airAt(milledIndex)),
    glued: onDay(gluedIndex, gluedAt),
    delivered: onDay(deliveredIndex, all[Math.min(days - 1, deliveredIndex)] ?? 0),
    driest,
    wettest,
    reference,
    ringAngle,
    species,
    strips,
    topWidth: { driest: 0, wettest: 0 },
    learned: null,
    correction,
    figures: [],
  };
  const topWidth = { driest: topWidthAt(season, driest.moisture), wettest: topWidthAt(season, wettest.moisture) };
  const before = (m: number) => widthOfStrips({ ...forecast, correction: NO_CORRECTION }, m);
  const learned: Learned | null =
    measured.length === 0
      ? null
      : {
          ...correction,
          points: measured.map(({ on, width }) => {
            const index = daysBetween(start, on);
            return {
              on,
              index,
              width,
              before: before(uncorrectedAt(index)),
              after: topWidthAt(season, uncorrectedAt(index) + correction.offset * response(index)),
            };
          }),
          swing: {
            before:
              before(Math.max(...inForce.slice(gluedIndex, lastDay))) -
              before(Math.min(...inForce.slice(gluedIndex, lastDay))),
            after: topWidth.wettest - topWidth.driest,
          },
        };
  const whole = { ...season, topWidth, learned };
  return { ...whole, figures: seasonFigures(whole, shopAir, homeAir) };
}

/** The top's strips in its reference state, their widths adding up to its width. */
function stripsOfTop(
  given: readonly StripOfLayout[],
  reference: Season['reference'],
  document: JobDocument,
  species: Species,
): PanelStrip[] {
  const { gluedOn, moistureAtGluing, ringAngle } = document.season;
  const total = given.reduce((sum, strip) => sum + strip.width, 0);
  if (given.length === 0 || total <= 0) {
    return [{ width: reference.width, species, rings: ringAngle, moisture: reference.moisture, heartUp: true }];
  }
  return given.map((strip, i) => {
    const recent = strip.moistureOn !== null && Math.abs(daysBetween(strip.moistureOn, gluedOn)) <= READING_HOLDS;
    // A width measured later is one moisture for all; at gluing each strip still has its own.
    const own = reference.measuredOn === null && moistureAtGluing === null && recent ? strip.moisture : null;
    return {
      width: (strip.width * reference.width) / total,
      species,
      rings: strip.ringAngle,
      moisture: own ?? reference.moisture,
      heartUp: i % 2 === 0,
    };
  });
}

function widthOfStrips(given: Pick<Season, 'strips' | 'school' | 'correction'>, toMoisture: number): number {
  const { change } = MOVEMENT_SCHOOLS[given.school];
  return given.strips.reduce(
    (sum, { width, species, rings, moisture: fromMoisture }) =>
      sum +
      width +
      given.correction.factor * change({ dimension: width, species, ringAngle: rings, fromMoisture, toMoisture }),
    0,
  );
}

/** Width of the top when it has come to a moisture, mm. */
export function topWidthAt(season: Season, atMoisture: number): number {
  return widthOfStrips(season, atMoisture);
}

/** Size of a part when it has come to a moisture, its entered or designed size being that of the reference state. */
export function sizeAt(part: Part, season: Season, atMoisture: number): Size {
  const { change: byMoisture } = MOVEMENT_SCHOOLS[season.school];
  const change = (dimension: number, ringAngle: number) =>
    dimension +
    season.correction.factor *
      byMoisture({
        dimension,
        species: season.species,
        ringAngle,
        fromMoisture: season.reference.moisture,
        toMoisture: atMoisture,
      });
  return {
    length: part.size.length * (1 + LENGTHWISE_COEFFICIENT * (atMoisture - season.reference.moisture)),
    width: part.id === 'top' ? topWidthAt(season, atMoisture) : change(part.size.width, season.ringAngle),
    thickness: change(part.size.thickness, 90 - season.ringAngle),
  };
}

/** How far a point of the top at `fromMiddle` mm goes out and in over its years, mm from where it was fastened. */
export function travelNeeded(season: Season, fromMiddle: number): { outward: number; inward: number } {
  const { width } = season.reference;
  if (width <= 0) return { outward: 0, inward: 0 };
  const fastened = topWidthAt(season, season.glued.moisture);
  const share = Math.abs(fromMiddle) / fastened;
  return {
    outward: Math.max(0, (season.topWidth.wettest - fastened) * share),
    inward: Math.max(0, (fastened - season.topWidth.driest) * share),
  };
}

function seasonFigures(season: Season, shopAir: Place, homeAir: Place): Figure[] {
  const { reference, species, ringAngle, driest, wettest } = season;
  const inputs = (to: SeasonDay) => [
    {
      label: reference.measuredOn ? `Width measured on ${reference.measuredOn}` : 'Width at gluing',
      quantity: movement(reference.width),
    },
    { label: 'Moisture then', quantity: moisture(reference.moisture) },
    { label: `Moisture on ${to.day}`, quantity: moisture(to.moisture) },
    { label: `Ring angle, ${species.commonName}`, quantity: { amount: ringAngle, unit: 'degrees' as const } },
    {
      label: 'Coefficient C at that angle',
      quantity: { amount: movementCoefficient(species, ringAngle), unit: 'coefficient' as const },
    },
  ];
  const formula = 'D + D·C·(M₂ − M₁) within 6–14 %; D + D·(M₂ − M₁) / (100·FSP/S − FSP + M₁) outside';
  const source = SPECIES_SOURCE[species.source];
  const width = (id: string, label: string, amount: number, to: SeasonDay): Figure => ({
    id,
    label,
    quantity: movement(amount),
    formula,
    inputs: inputs(to),
    source,
    limits: LIMITS[season.reckoning],
  });
  const swing = season.topWidth.wettest - season.topWidth.driest;
  const air = (id: string, label: string, at: SeasonDay): Figure => {
    const where = at.index < season.delivered.index ? shopAir : homeAir;
    const year = yearOfAir(where);
    const date = dayOfYear(at.day) % DAYS_IN_YEAR;
    return {
      id,
      label,
      quantity: moisture(at.moisture),
      formula: 'Hailwood–Horrobin: (1800/W)·[Kh/(1−Kh) + (K₁Kh + 2K₁K₂K²h²)/(1 + K₁Kh + K₁K₂K²h²)]',
      inputs: [
        { label: 'Place', quantity: where.name },
        { label: 'Day', quantity: at.day },
        { label: 'Temperature', quantity: { amount: year.temperature[date] ?? 0, unit: 'celsius' } },
        { label: 'Relative humidity', quantity: { amount: year.relativeHumidity[date] ?? 0, unit: 'percent' } },
      ],
      source: 'Wood Handbook ch. 4; monthly means of the place, smooth between mid-months',
    };
  };
  return [
    width('top-width-driest', 'Narrowest', season.topWidth.driest, driest),
    width('top-width-wettest', 'Widest', season.topWidth.wettest, wettest),
    {
      id: 'top-swing',
      label: 'Between driest and wettest',
      quantity: movement(swing),
      formula: 'widest − narrowest',
      inputs: [
        { label: 'Widest', quantity: movement(season.topWidth.wettest) },
        { label: 'Narrowest', quantity: movement(season.topWidth.driest) },
      ],
      source,
      limits: LIMITS[season.reckoning],
    },
    air('moisture-driest', 'Driest day', driest),
    air('moisture-wettest', 'Wettest day', wettest),
  ];
}
