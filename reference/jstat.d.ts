declare module 'jstat' {
  interface Normal {
    pdf(x: number, mean: number, deviation: number): number;
    inv(p: number, mean: number, deviation: number): number;
  }
  const jStat: { geomean(values: readonly number[]): number; readonly normal: Normal };
  // biome-ignore lint/style/noDefaultExport: the library's own
  export default jStat;
}
