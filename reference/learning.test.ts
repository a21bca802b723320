import jStat from 'jstat';
import { describe, expect, it } from 'vitest';
import { posterior } from '@/core/log/lessons';

/** jStat 1.9 from the registry: means, quantiles of the normal distribution. */
describe('estimates of minutes', () => {
  const ratios = [1.1, 1.4, 1.25, 1.6, 0.9, 1.3, 1.2, 1.45];
  const ys = ratios.map(Math.log);

  it('come to the geometric mean when the prior says nothing', () => {
    expect(posterior(ys, 1e6).factor).toBeCloseTo(jStat.geomean(ratios), 6);
  });

  it('are bounded by the quantiles of a normal: nine chances in ten', () => {
    const { factor, low, high } = posterior(ys, 1e6);
    const deviation = 0.25 / Math.sqrt(ys.length);
    expect(Math.log(low)).toBeCloseTo(jStat.normal.inv(0.05, Math.log(factor), deviation), 3);
    expect(Math.log(high)).toBeCloseTo(jStat.normal.inv(0.95, Math.log(factor), deviation), 3);
  });

  it('are the product of two normal densities at its top', () => {
    const spread = 0.3;
    const density = (mean: number) =>
      jStat.normal.pdf(mean, 0, spread) * ys.reduce((product, y) => product * jStat.normal.pdf(y, mean, 0.25), 1);
    const { factor } = posterior(ys, spread);
    const grid = Array.from({ length: 4001 }, (_, k) => -0.2 + k * 0.0002);
    const top = grid.reduce((best, mean) => (density(mean) > density(best) ? mean : best));
    expect(Math.log(factor)).toBeCloseTo(top, 3);
  });
});
