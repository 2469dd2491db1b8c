import { DAYS_IN_YEAR, type Place, yearOfAir } from '../climate/place';
import type { PieceInJob } from '../document/piece-in-job';
import { type Day, daysBetween, firstOfYear, plusDays } from '../measure/calendar';
import { woodOf } from '../piece/part';
import { leadingPart, type Piece } from '../piece/piece';
import { stillOff } from '../stock/board-moisture';
import type { Rings } from '../wood/rings';
import type { Species } from '../wood/species';
import { learnFrom, NO_CORRECTION } from './learning';
import { airOfPiece, homeResponse, type LineInput, moistureLine } from './moisture-line';
import { seasonFigures } from './season-figures';
import { FINISH_OF_PLAN, type Learned, type Season, type SeasonDay } from './season-state';
import { leadingWidthAt, widthOfStrips } from './size-at';

export type { Learned, Season, SeasonDay };

/** The days the year band shows. */
export const SEASON_DAYS = 2 * DAYS_IN_YEAR;

const MOST_DAYS = 5 * DAYS_IN_YEAR;

/** A strip of the top as the layout knows it. */
export interface StripOfLayout {
  /** mm after jointing. */
  width: number;
  rings: Rings;
  /** Of the board as it lies, mm. */
  thickness: number;
  /** The board's last reading, %. */
  moisture: number | null;
  moistureOn: Day | null;
  /** As it is laid in the panel. */
  heartUp: boolean;
  /** With its better face up. */
  bestHeartUp: boolean;
}

/** What was decided of a piece that bears on its season. */
export type SeasonDecided = Pick<PieceInJob, 'season' | 'plan' | 'bench'>;

/** The air a piece goes through and what its top does in it. */
export function deriveSeason(given: {
  document: SeasonDecided;
  piece: Piece;
  /** Of the parts that are of no other. */
  species: Species;
  shopAir: Place;
  homeAir: Place;
  strips?: readonly StripOfLayout[];
}): Season {
  const { document, piece, shopAir, homeAir } = given;
  const species = woodOf(leadingPart(piece), given.species);
  const { gluedOn, deliveredOn, moistureAtGluing, ringAngle, school, reckoning, coated } = document.season;
  const start = firstOfYear(gluedOn);
  const deliveredIndex = daysBetween(start, deliveredOn);
  const gluedIndex = daysBetween(start, gluedOn);
  // From gluing until a whole year at home is over, but no longer than anybody plans ahead.
  const lastDay = Math.min(deliveredIndex + DAYS_IN_YEAR, Math.max(MOST_DAYS, gluedIndex + 1));
  const days = Math.max(SEASON_DAYS, lastDay);
  const air = airOfPiece({ start, days, deliveredIndex, shopAir, homeAir });
  const airAt = (index: number) => air.moisture[Math.min(days - 1, Math.max(0, index))] ?? 0;

  const top = leadingPart(piece);
  // A maker's own moisture at gluing is where the wood is followed from; otherwise from milling, in the shop's air.
  const milledIndex = Math.max(0, Math.min(gluedIndex, daysBetween(start, document.plan.startOn)));
  const from = moistureAtGluing === null ? milledIndex : gluedIndex;
  const lineInput: LineInput = {
    air,
    species,
    thickness: top.size.thickness,
    finish: FINISH_OF_PLAN[document.plan.finish],
    coated,
    from,
    deliveredIndex,
    start: moistureAtGluing ?? airAt(from),
  };
  const line = moistureLine(lineInput);
  const inForce = reckoning === 'simulated' ? line.mean : air.moisture;
  const response = (index: number) =>
    reckoning === 'simulated' ? (homeResponse(lineInput)[index] ?? 0) : index >= deliveredIndex ? 1 : 0;
  const onDay = (index: number, percent: number): SeasonDay => ({
    index,
    day: plusDays(start, index),
    moisture: percent,
  });
  const gluedAt = moistureAtGluing ?? inForce[gluedIndex] ?? airAt(gluedIndex);

  const lock = document.bench.locks[piece.leading];
  const measuredOn = lock?.width != null ? lock.on : null;
  const uncorrectedAt = (index: number) => inForce[Math.min(days - 1, Math.max(0, index))] ?? 0;
  const reference = {
    width: top.size.width,
    moisture: measuredOn ? uncorrectedAt(daysBetween(start, measuredOn)) : gluedAt,
    measuredOn,
  };
  const strips = stripsOfPanel(given.strips ?? [], reference, document, species, shopAir);

  const forecast = { strips, reference, school };
  const measured = document.season.measured.filter((m) => m.on >= gluedOn);
  const correction = learnFrom(
    measured.map(({ on, width }) => {
      const index = Math.min(days - 1, daysBetween(start, on));
      return { width, moisture: uncorrectedAt(index), response: response(index) };
    }),
    (m, factor) => widthOfStrips({ ...forecast, correction: { ...NO_CORRECTION, factor } }, m),
  );

  const { offset } = correction;
  const all = offset === 0 ? inForce : inForce.map((m, index) => m + offset * response(index));
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
    ofPiece: given.species,
    strips,
    leadingWidth: { driest: 0, wettest: 0 },
    learned: null,
    correction,
    line,
    lineInput,
    figures: [],
  };
  const leadingWidth = {
    driest: leadingWidthAt(season, driest.moisture),
    wettest: leadingWidthAt(season, wettest.moisture),
  };
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
              after: leadingWidthAt(season, uncorrectedAt(index) + correction.offset * response(index)),
            };
          }),
          swing: {
            before:
              before(Math.max(...inForce.slice(gluedIndex, lastDay))) -
              before(Math.min(...inForce.slice(gluedIndex, lastDay))),
            after: leadingWidth.wettest - leadingWidth.driest,
          },
        };
  const whole = { ...season, leadingWidth, learned };
  return { ...whole, figures: seasonFigures(whole, shopAir, homeAir) };
}

/** The strips of the top or of another panel in its reference state, their widths adding up to its width. */
export function stripsOfPanel(
  given: readonly StripOfLayout[],
  reference: Season['reference'],
  document: SeasonDecided,
  species: Species,
  shopAir: Place,
): Season['strips'] {
  const { gluedOn, moistureAtGluing, ringAngle } = document.season;
  const total = given.reduce((sum, strip) => sum + strip.width, 0);
  if (given.length === 0 || total <= 0) {
    return [
      {
        width: reference.width,
        species,
        rings: ringAngle,
        moisture: reference.moisture,
        heartUp: true,
        bestHeartUp: true,
      },
    ];
  }
  return given.map((strip) => {
    // A width or a moisture measured on the panel is one for all; otherwise each strip still has what the days since it
    // was read have left of its board's difference to the shop's air.
    const off =
      reference.measuredOn === null && moistureAtGluing === null
        ? stillOff(strip, species, gluedOn, yearOfAir(shopAir).moisture)
        : 0;
    return {
      width: (strip.width * reference.width) / total,
      species,
      rings: strip.rings,
      moisture: reference.moisture + off,
      heartUp: strip.heartUp,
      bestHeartUp: strip.bestHeartUp,
    };
  });
}
