'use client';

import type { EChartsCoreOption, EChartsType } from 'echarts/core';
import { type RefObject, useEffect, useRef, useState } from 'react';
import { toldAll } from '@/core/units/told';
import { manner, toldHere } from './told/manner';

/** Settings of a chart as the cook reads them: every text in them, and whatever its formatters write. */
export function toldOption(option: EChartsCoreOption): EChartsCoreOption {
  return toldFormatters(toldAll(option, manner())) as EChartsCoreOption;
}

function toldFormatters(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(toldFormatters);
  if (typeof value !== 'object' || value === null || Object.getPrototypeOf(value) !== Object.prototype) return value;
  const told = Object.entries(value).map(([key, each]) => [
    key,
    key === 'formatter' && typeof each === 'function'
      ? (...given: unknown[]) => toldHere(String(each(...given)))
      : toldFormatters(each),
  ]);
  return Object.fromEntries(told);
}

/** A chart drawn into `node`, as large as it; options are set on `chart`, which is null until what draws is there. */
export function useChart(): {
  readonly node: RefObject<HTMLDivElement | null>;
  readonly chart: EChartsType | null;
} {
  const node = useRef<HTMLDivElement>(null);
  const [chart, setChart] = useState<EChartsType | null>(null);
  useEffect(() => {
    let drawn: EChartsType | undefined;
    let gone = false;
    const watch = new ResizeObserver(() => drawn?.resize());
    import('./drawing')
      .then(({ init }) => {
        if (gone || !node.current) return;
        drawn = init(node.current, null, { renderer: 'svg' });
        watch.observe(node.current);
        setChart(drawn);
      })
      // Its label says what it would show.
      .catch((error: unknown) => console.error(error));
    return () => {
      gone = true;
      watch.disconnect();
      drawn?.dispose();
    };
  }, []);
  return { node, chart };
}
