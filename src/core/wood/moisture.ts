/**
 * Equilibrium moisture content of wood, % of dry mass.
 * Hailwood–Horrobin form with the constants of the Wood Handbook ch. 4 (T in °C), from memory.
 *
 * @param air relative humidity % (0–100; held inside) and temperature °C (about −5 to 65)
 * @example equilibriumMoisture({ relativeHumidity: 50, temperature: 21.1 }) // 9.2
 */
export function equilibriumMoisture(air: { relativeHumidity: number; temperature: number }): number {
  const h = Math.min(Math.max(air.relativeHumidity, 0), 100) / 100;
  const t = air.temperature;
  const w = 349 + 1.29 * t + 0.0135 * t * t;
  const k = 0.805 + 0.000736 * t - 0.00000273 * t * t;
  const k1 = 6.27 - 0.00938 * t - 0.000303 * t * t;
  const k2 = 1.91 + 0.0407 * t - 0.000293 * t * t;
  const kh = k * h;
  const adsorbed = (k1 * kh + 2 * k1 * k2 * kh * kh) / (1 + k1 * kh + k1 * k2 * kh * kh);
  return (1800 / w) * (kh / (1 - kh) + adsorbed);
}
