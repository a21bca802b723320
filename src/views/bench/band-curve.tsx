'use client';

import { useEffect } from 'react';
import type { Range } from '@/core/heat/boil';
import { say } from '@/core/say/say';
import { toldOption, useChart } from '@/ui/use-chart';
import { useDress } from '@/views/shell/shell';

interface BandCurveProps {
  readonly label: string;
  readonly minutes: number;
  /** Minutes between two points. */
  readonly every: number;
  readonly most: number;
  readonly interval: number;
  readonly unit: string;
  /** The value at a minute. A new function draws anew. */
  readonly valueAt: (minute: number) => Range;
  /** A line across, where one matters. */
  readonly mark?: number;
}

/** A value over time: what is likely, in the band of what may well be. */
export function BandCurve({ label, minutes, every, most, interval, unit, valueAt, mark }: BandCurveProps) {
  const dress = useDress();
  const { node, chart } = useChart();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the colours follow the dress
  useEffect(() => {
    const style = getComputedStyle(document.body);
    const colour = (name: string) => style.getPropertyValue(name).trim();
    const points = Array.from({ length: Math.floor(minutes / every) + 1 }, (_, k) => ({
      at: k * every,
      ...valueAt(k * every),
    }));
    const axis = {
      axisLine: { lineStyle: { color: colour('--line') } },
      axisLabel: { color: colour('--faint'), fontSize: 13 },
    };
    const bare = { type: 'line', symbol: 'none', smooth: true, silent: true } as const;
    chart?.setOption(
      toldOption({
        animation: false,
        textStyle: { fontFamily: style.fontFamily },
        grid: { left: 44, right: 16, top: 12, bottom: 34 },
        xAxis: {
          type: 'value',
          max: minutes,
          interval: minutes > 90 ? 30 : 10,
          ...axis,
          axisLabel: {
            ...axis.axisLabel,
            formatter: (minute: number) =>
              minutes <= 90 ? say('{minute} min', { minute }) : minute % 60 ? '' : `${minute / 60} h`,
          },
          splitLine: { show: false },
        },
        yAxis: {
          type: 'value',
          min: 0,
          max: most,
          interval,
          ...axis,
          axisLabel: { ...axis.axisLabel, formatter: (value: number) => `${value}${unit}` },
          splitLine: { lineStyle: { color: colour('--line'), type: 'dotted' } },
        },
        series: [
          { ...bare, stack: 'band', lineStyle: { opacity: 0 }, data: points.map(({ at, low }) => [at, low]) },
          {
            ...bare,
            stack: 'band',
            lineStyle: { opacity: 0 },
            areaStyle: { color: colour('--ember'), opacity: 0.22 },
            data: points.map(({ at, low, high }) => [at, high - low]),
          },
          {
            ...bare,
            lineStyle: { color: colour('--ember'), width: 3 },
            data: points.map(({ at, likely }) => [at, likely]),
            ...(mark === undefined
              ? {}
              : {
                  markLine: {
                    symbol: 'none',
                    silent: true,
                    data: [{ yAxis: mark }],
                    lineStyle: { color: colour('--ink'), type: 'dashed' },
                    label: { formatter: `${mark}${unit}`, color: colour('--ink'), position: 'insideEndTop' },
                  },
                }),
          },
        ],
      }),
      true,
    );
  }, [valueAt, minutes, every, most, interval, unit, mark, dress, chart]);
  return <div ref={node} dir="ltr" role="img" aria-label={label} className="h-64 w-full max-w-2xl overflow-hidden" />;
}
