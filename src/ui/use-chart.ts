'use client';

import { type EChartsCoreOption, type EChartsType, init } from 'echarts/core';
import { type RefObject, useEffect, useRef } from 'react';
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

/** A chart drawn into `node`, as large as it; options are set on `chart`. */
export function useChart(): {
  readonly node: RefObject<HTMLDivElement | null>;
  readonly chart: RefObject<EChartsType | null>;
} {
  const node = useRef<HTMLDivElement>(null);
  const chart = useRef<EChartsType>(null);
  useEffect(() => {
    if (!node.current) return;
    const drawn = init(node.current, null, { renderer: 'svg' });
    chart.current = drawn;
    const watch = new ResizeObserver(() => drawn.resize());
    watch.observe(node.current);
    return () => {
      watch.disconnect();
      drawn.dispose();
    };
  }, []);
  return { node, chart };
}
