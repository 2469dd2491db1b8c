import { moistureFigure } from '../climate/moisture-figure';
import { DAYS_IN_YEAR, type Place, yearOfAir } from '../climate/place';
import { dayOfYear, sayDay } from '../measure/calendar';
import type { Figure } from '../measure/figure';
import { moisture, movement } from '../measure/quantity';
import { movementCoefficient } from '../wood/movement';
import { MOVEMENT_SCHOOLS, type MovementSchool } from '../wood/movement-school';
import { speciesSource } from '../wood/species';
import type { Season, SeasonDay } from './season-state';

const LIMITS = {
  equilibrium:
    'Taken as if the wood followed the air at once: the most it can do. A finished board lags and does somewhat less.',
  simulated:
    'Moisture through the two faces only, in air of one value a day; typical diffusivity and a fitted finish. See the band.',
};

/** The figures of a season, each with its formula, inputs and source. */
export function seasonFigures(season: Season, shopAir: Place, homeAir: Place): Figure[] {
  const { reference, species, ringAngle, driest, wettest } = season;
  const inputs = (to: SeasonDay) => [
    {
      label: reference.measuredOn ? `Width measured on ${sayDay(reference.measuredOn)}` : 'Width at gluing',
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
  const formula = `Σ strips: ${FORMULAS[season.school]}${season.learned ? ', times what was learned' : ''}`;
  const source = `${MOVEMENT_SCHOOLS[season.school].source}; ${speciesSource(species)}`;
  const width = (id: string, label: string, amount: number, to: SeasonDay): Figure => ({
    id,
    label,
    quantity: movement(amount),
    formula,
    inputs: inputs(to),
    source,
    limits: LIMITS[season.reckoning],
  });
  const swing = season.leadingWidth.wettest - season.leadingWidth.driest;
  const air = (id: string, label: string, at: SeasonDay): Figure => {
    const where = at.index < season.delivered.index ? shopAir : homeAir;
    const year = yearOfAir(where);
    const date = dayOfYear(at.day) % DAYS_IN_YEAR;
    const figure = moistureFigure({
      id,
      label,
      temperature: year.temperature[date] ?? 0,
      relativeHumidity: year.relativeHumidity[date] ?? 0,
      where: [
        { label: 'Place', quantity: where.name },
        { label: 'Day', quantity: at.day },
      ],
      source: 'the place’s year, smooth between mid-months',
      amount: at.moisture,
    });
    return season.reckoning === 'simulated'
      ? {
          ...figure,
          formula: '∂M/∂t = ∂/∂z(D ∂M/∂z), −D ∂M/∂z = S·(M − EMC) at each face; the mean over the thickness',
          source: `Crank, The Mathematics of Diffusion; EMC by ${figure.source}`,
          limits: LIMITS.simulated,
        }
      : figure;
  };
  return [
    width('top-width-driest', 'Narrowest', season.leadingWidth.driest, driest),
    width('top-width-wettest', 'Widest', season.leadingWidth.wettest, wettest),
    {
      id: 'top-swing',
      label: 'Between driest and wettest',
      quantity: movement(swing),
      formula: 'widest − narrowest',
      inputs: [
        { label: 'Widest', quantity: movement(season.leadingWidth.wettest) },
        { label: 'Narrowest', quantity: movement(season.leadingWidth.driest) },
      ],
      source,
      limits: LIMITS[season.reckoning],
    },
    ...(Object.keys(MOVEMENT_SCHOOLS) as MovementSchool[]).map((school): Figure => {
      const { name, source: by, reason } = MOVEMENT_SCHOOLS[school];
      return {
        id: `swing-${school}`,
        label: name,
        quantity: movement(swingBy(season, school)),
        formula: FORMULAS[school],
        inputs: [
          ...inputs(wettest).slice(0, 2),
          { label: 'Driest', quantity: moisture(driest.moisture) },
          { label: 'Wettest', quantity: moisture(wettest.moisture) },
          { label: 'Strips', quantity: { amount: season.strips.length, unit: 'count' } },
        ],
        source: by,
        limits: reason,
      };
    }),
    air('moisture-driest', 'Driest day', driest),
    air('moisture-wettest', 'Wettest day', wettest),
  ];
}

const FORMULAS: Record<MovementSchool, string> = {
  coefficients: 'D + D·C·(M₂ − M₁) within 6–14 %; D + D·(M₂ − M₁) / (100·FSP/S − FSP + M₁) outside',
  swelling: 'D + D·q·(M₂ − M₁)/100',
  thumb: 'D · 1/96 flat, 1/192 quartered, for every 4 % between two seasons',
};

/** What a school says the top does between the driest and the wettest day, mm; nothing learned taken in. */
function swingBy(season: Season, school: MovementSchool): number {
  const { change } = MOVEMENT_SCHOOLS[school];
  return season.strips.reduce((sum, { width, species, rings, moisture: fromMoisture }) => {
    const to = (toMoisture: number) =>
      change({ dimension: width, species, ringAngle: rings, fromMoisture, toMoisture });
    return sum + to(season.wettest.moisture) - to(season.driest.moisture);
  }, 0);
}
