declare module 'psychrolib' {
  const psychrolib: {
    readonly SI: number;
    SetUnitSystem(system: number): void;
    /** Pascals at a height in metres. */
    GetStandardAtmPressure(metres: number): number;
    /** Pascals at a temperature in °C. */
    GetSatVapPres(celsius: number): number;
  };
  // biome-ignore lint/style/noDefaultExport: the package has one
  export default psychrolib;
}
