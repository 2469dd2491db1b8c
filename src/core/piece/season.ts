import { airOnDay, DAYS_IN_YEAR, type Place, yearOfMoisture } from '../climate/place';
import type { JobDocument } from '../decision/job-document';
import { type Day, dayOfYear, daysBetween, firstOfYear, plusDays } from '../measure/calendar';
import type { Figure } from '../measure/figure';
import { moisture, movement } from '../measure/quantity';
import { dimensionalChange, movementCoefficient } from '../wood/movement';
import { SPECIES_SOURCE, type Species } from '../wood/species';
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
  /** EMC of the air the piece stands in (the shop until delivery, then the home), % for each of two years' days. */
  moistures: readonly number[];
  glued: SeasonDay;
  delivered: SeasonDay;
  /** Extremes the piece meets after gluing, in the shop and at home. */
  driest: SeasonDay;
  wettest: SeasonDay;
  /** The state in which the top's width is known: at gluing, or on the day its real width was measured. */
  reference: { width: number; moisture: number; measuredOn: Day | null };
  ringAngle: number;
  species: Species;
  topWidth: { driest: number; wettest: number };
  figures: readonly Figure[];
}

const LIMITS =
  'Taken as if the wood followed the air at once: the most it can do. A finished board lags and does somewhat less.';

/** The air a piece goes through and what its top does in it, by equilibrium. */
export function deriveSeason(given: {
  document: JobDocument;
  piece: Piece;
  species: Species;
  shopAir: Place;
  homeAir: Place;
}): Season {
  const { document, piece, species, shopAir, homeAir } = given;
  const { gluedOn, deliveredOn, moistureAtGluing, ringAngle } = document.season;
  const start = firstOfYear(gluedOn);
  const deliveredIndex = daysBetween(start, deliveredOn);
  const gluedIndex = daysBetween(start, gluedOn);
  const startDay = dayOfYear(start);
  const [shopYear, homeYear] = [yearOfMoisture(shopAir.months), yearOfMoisture(homeAir.months)];
  const moistureAt = (index: number) => {
    const year = index < deliveredIndex ? shopYear : homeYear;
    return year.days[(startDay + index) % DAYS_IN_YEAR] ?? 0;
  };
  const moistures = Array.from({ length: SEASON_DAYS }, (_, i) => moistureAt(i));
  const onDay = (index: number, percent = moistureAt(index)): SeasonDay => ({
    index,
    day: plusDays(start, index),
    moisture: percent,
  });

  // From gluing until a whole year at home is over, whatever the calendar says.
  const lastDay = deliveredIndex + DAYS_IN_YEAR;
  let [dry, wet] = [gluedIndex, gluedIndex];
  for (let index = gluedIndex + 1; index < lastDay; index += 1) {
    if (moistureAt(index) < moistureAt(dry)) dry = index;
    if (moistureAt(index) > moistureAt(wet)) wet = index;
  }
  const [driest, wettest] = [onDay(dry), onDay(wet)];

  const glued = onDay(gluedIndex, moistureAtGluing ?? moistureAt(gluedIndex));
  const top = findPart(piece, 'top');
  const lock = document.bench.locks.top;
  const measuredOn = lock?.width != null ? lock.on : null;
  const reference = {
    width: top?.size.width ?? 0,
    moisture: measuredOn ? moistureAt(Math.max(0, daysBetween(start, measuredOn))) : glued.moisture,
    measuredOn,
  };

  const season: Season = {
    start,
    moistures,
    glued,
    delivered: onDay(deliveredIndex),
    driest,
    wettest,
    reference,
    ringAngle,
    species,
    topWidth: { driest: 0, wettest: 0 },
    figures: [],
  };
  const topWidth = { driest: topWidthAt(season, driest.moisture), wettest: topWidthAt(season, wettest.moisture) };
  return { ...season, topWidth, figures: seasonFigures({ ...season, topWidth }, shopAir, homeAir) };
}

/** Width of the top in equilibrium at a moisture, mm. */
export function topWidthAt(season: Season, atMoisture: number): number {
  const { width, moisture: from } = season.reference;
  const { species, ringAngle } = season;
  return (
    width + dimensionalChange({ dimension: width, species, ringAngle, fromMoisture: from, toMoisture: atMoisture })
  );
}

/** Size of a part in equilibrium at a moisture, its entered or designed size being that of the reference state. */
export function sizeAt(part: Part, season: Season, atMoisture: number): Size {
  const change = (dimension: number, ringAngle: number) =>
    dimension +
    dimensionalChange({
      dimension,
      species: season.species,
      ringAngle,
      fromMoisture: season.reference.moisture,
      toMoisture: atMoisture,
    });
  return {
    length: part.size.length,
    width: change(part.size.width, season.ringAngle),
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
    limits: LIMITS,
  });
  const swing = season.topWidth.wettest - season.topWidth.driest;
  const air = (id: string, label: string, at: SeasonDay): Figure => {
    const where = at.index < season.delivered.index ? shopAir : homeAir;
    const mean = airOnDay(where.months, dayOfYear(at.day));
    return {
      id,
      label,
      quantity: moisture(at.moisture),
      formula: 'Hailwood–Horrobin: (1800/W)·[Kh/(1−Kh) + (K₁Kh + 2K₁K₂K²h²)/(1 + K₁Kh + K₁K₂K²h²)]',
      inputs: [
        { label: 'Place', quantity: where.name },
        { label: 'Day', quantity: at.day },
        { label: 'Temperature', quantity: { amount: mean.temperature, unit: 'celsius' } },
        { label: 'Relative humidity', quantity: { amount: mean.relativeHumidity, unit: 'percent' } },
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
      limits: LIMITS,
    },
    air('moisture-driest', 'Driest day', driest),
    air('moisture-wettest', 'Wettest day', wettest),
  ];
}
