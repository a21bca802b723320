'use client';

import { LineChart } from 'echarts/charts';
import { GridComponent, MarkLineComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect } from 'react';
import { type CoolingQuestion, celsiusAfter, HOT_HOLDING } from '@/core/heat/cool';
import { useDress } from '@/views/shell/shell';
import { useChart } from './use-chart';

use([LineChart, GridComponent, MarkLineComponent, SVGRenderer]);

const MINUTES = 240;
const EVERY = 5;

/** Temperature of a pot over four hours: what is likely, in the band of what may well be. */
export function CoolingCurve({ question }: { readonly question: CoolingQuestion }) {
  const dress = useDress();
  const { node, chart } = useChart();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the colours follow the dress
  useEffect(() => {
    const style = getComputedStyle(document.body);
    const colour = (name: string) => style.getPropertyValue(name).trim();
    const points = Array.from({ length: MINUTES / EVERY + 1 }, (_, k) => {
      const { low, likely, high } = celsiusAfter(question, k * EVERY);
      return { at: k * EVERY, low, likely, high };
    });
    const axis = {
      axisLine: { lineStyle: { color: colour('--line') } },
      axisLabel: { color: colour('--faint'), fontSize: 13 },
    };
    const bare = { type: 'line', symbol: 'none', smooth: true, silent: true } as const;
    chart.current?.setOption(
      {
        animation: false,
        textStyle: { fontFamily: style.fontFamily },
        grid: { left: 44, right: 16, top: 12, bottom: 34 },
        xAxis: {
          type: 'value',
          max: MINUTES,
          interval: 30,
          ...axis,
          axisLabel: { ...axis.axisLabel, formatter: (minute: number) => (minute % 60 ? '' : `${minute / 60} h`) },
          splitLine: { show: false },
        },
        yAxis: {
          type: 'value',
          min: 0,
          max: 100,
          interval: 20,
          ...axis,
          axisLabel: { ...axis.axisLabel, formatter: '{value}°' },
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
            markLine: {
              symbol: 'none',
              silent: true,
              data: [{ yAxis: HOT_HOLDING }],
              lineStyle: { color: colour('--ink'), type: 'dashed' },
              label: { formatter: `${HOT_HOLDING}°`, color: colour('--ink'), position: 'insideEndTop' },
            },
          },
        ],
      },
      true,
    );
  }, [question, dress]);
  return (
    <div
      ref={node}
      role="img"
      aria-label="Temperature over four hours"
      className="h-64 w-full max-w-2xl overflow-hidden"
    />
  );
}
