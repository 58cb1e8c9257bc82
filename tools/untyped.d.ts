declare module 'psychrolib' {
  const psychrolib: {
    readonly SI: number;
    SetUnitSystem(system: number): void;
    GetVapPresFromRelHum(celsius: number, relativeHumidity: number): number;
    GetHumRatioFromRelHum(celsius: number, relativeHumidity: number, pascal: number): number;
    GetMoistAirDensity(celsius: number, humidityRatio: number, pascal: number): number;
  };
  export default psychrolib;
}

declare module 'ml-regression-theil-sen' {
  export default class TheilSenRegression {
    constructor(x: readonly number[], y: readonly number[]);
    readonly slope: number;
    readonly intercept: number;
  }
}
