'use client';

import { type EChartsType, init } from 'echarts/core';
import { type RefObject, useEffect, useRef } from 'react';

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
