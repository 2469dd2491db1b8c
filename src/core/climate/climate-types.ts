import type { Month } from './month';

export interface ClimateType {
  id: string;
  name: string;
  /** What it is like, in a few words. */
  like: string;
  months: readonly Month[];
}

const year = (temperatures: readonly number[], humidities: readonly number[]): Month[] =>
  temperatures.map((temperature, i) => ({ temperature, relativeHumidity: humidities[i] ?? 70 }));

/**
 * Outdoor air by kind of climate, monthly means for the northern half of the world, January first. Typical values, rounded, from
 * general knowledge of such climates and of no one place: something to start from until the maker has own values.
 */
export const CLIMATE_TYPES: readonly ClimateType[] = [
  {
    id: 'cool-maritime',
    name: 'Cool maritime',
    like: 'mild damp winters, cool summers; oceanic coasts',
    months: year([5, 5, 7, 9, 12, 15, 17, 17, 14, 11, 8, 6], [86, 84, 80, 76, 75, 76, 76, 77, 80, 84, 86, 87]),
  },
  {
    id: 'temperate-inland',
    name: 'Temperate inland',
    like: 'cold winters without long frost, warm summers',
    months: year([0, 1, 5, 10, 14, 18, 20, 19, 15, 10, 5, 1], [85, 80, 74, 67, 68, 69, 69, 71, 76, 82, 86, 87]),
  },
  {
    id: 'cold-continental',
    name: 'Cold continental',
    like: 'long frost, warm short summers',
    months: year([-11, -9, -2, 6, 13, 18, 20, 19, 13, 6, -2, -8], [78, 75, 72, 63, 60, 65, 68, 70, 73, 75, 79, 80]),
  },
  {
    id: 'warm-continental',
    name: 'Warm continental',
    like: 'frosty winters, hot damp summers',
    months: year([-3, -1, 5, 11, 17, 22, 25, 24, 20, 13, 7, 0], [70, 68, 65, 62, 65, 68, 70, 72, 72, 69, 70, 71]),
  },
  {
    id: 'subarctic',
    name: 'Subarctic',
    like: 'very long hard winters',
    months: year([-20, -17, -10, -1, 7, 13, 16, 13, 7, -2, -12, -18], [76, 74, 70, 65, 60, 62, 68, 75, 78, 82, 81, 78]),
  },
  {
    id: 'mediterranean',
    name: 'Mediterranean',
    like: 'mild damp winters, hot dry summers',
    months: year([9, 10, 12, 15, 19, 23, 26, 26, 23, 18, 14, 10], [76, 73, 70, 67, 64, 60, 56, 58, 63, 70, 75, 77]),
  },
  {
    id: 'humid-subtropical',
    name: 'Humid subtropical',
    like: 'mild winters, long hot sticky summers',
    months: year([8, 10, 14, 19, 23, 27, 28, 28, 25, 20, 14, 10], [70, 67, 66, 67, 72, 75, 77, 78, 76, 72, 71, 71]),
  },
  {
    id: 'hot-humid',
    name: 'Hot and humid',
    like: 'the same warm damp all year; equatorial coasts',
    months: year([26, 27, 27, 28, 28, 28, 27, 27, 27, 27, 27, 26], [84, 82, 83, 84, 84, 82, 82, 82, 83, 84, 86, 86]),
  },
  {
    id: 'monsoon',
    name: 'Monsoon',
    like: 'a dry hot spring, then months of rain',
    months: year([19, 22, 27, 31, 33, 31, 29, 28, 28, 27, 24, 20], [55, 47, 42, 42, 52, 72, 83, 85, 82, 72, 62, 58]),
  },
  {
    id: 'arid',
    name: 'Arid',
    like: 'hot dry summers, cool dry winters',
    months: year([11, 13, 17, 22, 27, 32, 34, 33, 30, 24, 17, 12], [50, 44, 37, 29, 22, 18, 24, 27, 25, 31, 42, 51]),
  },
  {
    id: 'cold-highland',
    name: 'Cold highland',
    like: 'thin dry air, cold nights, a rainy summer',
    months: year([-2, 0, 3, 6, 10, 14, 16, 15, 12, 7, 2, -1], [45, 45, 48, 52, 55, 60, 68, 70, 66, 55, 48, 45]),
  },
];

/** The same climate south of the equator: half a year later. */
export const turnedSouth = (months: readonly Month[]): Month[] => [...months.slice(6), ...months.slice(0, 6)];
