'use client';

import type { EChartsCoreOption } from 'echarts/core';
import { useEffect } from 'react';
import { toldOption, useChart } from '@/ui/use-chart';
import { useDress } from './shell';

/** A colour of the dress, by the name of its variable. */
export type Colour = (name: string) => string;

interface ChartProps {
  readonly label: string;
  readonly height: number;
  readonly option: (colour: Colour) => EChartsCoreOption;
}

/** A drawing of ECharts in the dress of the page, with a sentence for whoever does not see it. */
export function Chart({ label, height, option }: ChartProps) {
  const dress = useDress();
  const { node, chart } = useChart();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the colours follow the dress
  useEffect(() => {
    const style = getComputedStyle(document.body);
    const colour: Colour = (name) => style.getPropertyValue(name).trim();
    chart?.setOption(
      toldOption({ animation: false, textStyle: { fontFamily: style.fontFamily }, ...option(colour) }),
      true,
    );
  }, [option, dress, chart]);
  return <div ref={node} dir="ltr" role="img" aria-label={label} className="overflow-hidden" style={{ height }} />;
}

/** How the axes of all charts look. */
export const axis = (colour: Colour) => ({
  axisLine: { lineStyle: { color: colour('--line') } },
  axisTick: { show: false },
  axisLabel: { color: colour('--faint'), fontSize: 13 },
  splitLine: { lineStyle: { color: colour('--line') } },
});
