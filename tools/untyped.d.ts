declare module 'psychrolib' {
  const psychrolib: {
    readonly SI: number;
    SetUnitSystem(system: number): void;
    GetVapPresFromRelHum(celsius: number, relativeHumidity: number): number;
  };
  export default psychrolib;
}
