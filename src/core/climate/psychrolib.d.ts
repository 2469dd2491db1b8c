declare module 'psychrolib' {
  /** The functions of PsychroLib (ASHRAE Handbook, Fundamentals, ch. 1) that are used here; SI units, RH as a fraction. */
  const psychrolib: {
    SI: number;
    SetUnitSystem(system: number): void;
    /** kg/kg from °C, 0–1, Pa */
    GetHumRatioFromRelHum(temperature: number, relativeHumidity: number, pressure: number): number;
    /** 0–1 from °C, kg/kg, Pa */
    GetRelHumFromHumRatio(temperature: number, humidityRatio: number, pressure: number): number;
    /** Pa from m */
    GetStandardAtmPressure(altitude: number): number;
  };
  export default psychrolib;
}
