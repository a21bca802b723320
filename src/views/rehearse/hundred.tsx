'use client';

import { useMemo } from 'react';
import { clockAt } from '@/core/plain/wall-clock';
import type { LookedAt } from '@/core/plan/odds';
import type { Landing, Plan } from '@/core/plan/plan';
import { ON_TIME } from '@/core/plan/well-landed';
import { say } from '@/core/say/say';
import { pigmentAt } from '@/ui/pigments';
import { axis, Chart, type Colour } from '@/views/shell/chart';
import { useDress } from '@/views/shell/shell';

const ROW = 44;
/** Minutes around the table that the chart shows at least. */
const SHOWN = { before: 25, after: 10 };
/** So that evenings of the same minute lie beside each other. */
const SCATTER = 0.62;

interface HundredProps {
  readonly plan: Plan;
  readonly dishIds: readonly string[];
  readonly evenings: readonly LookedAt[];
}

/** A hundred evenings side by side: for each hot dish the minute in which it is ready, against its good wait and the hour. */
export function Hundred({ plan, dishIds, evenings }: HundredProps) {
  const dress = useDress();
  const rows = useMemo(() => plan.landings.filter(({ served }) => served !== 'cold').toReversed(), [plan]);
  const option = useMemo(
    () => (colour: Colour) => {
      const points = rows.map((landing) => evenings.map((evening) => readyIn(plan, landing, evening)));
      const all = points.flat();
      const least = Math.floor(Math.max(-90, Math.min(-SHOWN.before, ...all)) / 5) * 5;
      const most = Math.ceil(Math.max(SHOWN.after, ...all) / 5) * 5;
      return {
        grid: { left: 210, right: 20, top: 8, bottom: 30 },
        xAxis: {
          type: 'value',
          min: least,
          max: most,
          ...axis(colour),
          axisLabel: {
            ...axis(colour).axisLabel,
            showMinLabel: false,
            showMaxLabel: false,
            formatter: (minute: number) => clockAt(plan, minute),
          },
        },
        yAxis: [
          { type: 'value', min: -0.5, max: rows.length - 0.5, show: false },
          {
            type: 'category',
            position: 'left',
            data: rows.map(({ dishName }) => dishName),
            ...axis(colour),
            axisLabel: { color: colour('--ink'), fontSize: 14, width: 195, overflow: 'truncate' },
            splitLine: { show: false },
          },
        ],
        series: [
          {
            type: 'scatter',
            data: [],
            markLine: {
              silent: true,
              symbol: 'none',
              label: { show: false },
              lineStyle: { color: colour('--ink'), width: 2, type: 'solid' },
              data: [{ xAxis: 0 }],
            },
            markArea: {
              silent: true,
              itemStyle: { color: colour('--soft') },
              data: rows.map(({ wellMinutes, after = 0 }, row) => [
                { coord: [Math.max(least, after - wellMinutes), row - 0.42] },
                { coord: [Math.min(most, after + ON_TIME), row + 0.42] },
              ]),
            },
          },
          ...rows.map((landing, row) => ({
            type: 'scatter',
            symbolSize: 6,
            itemStyle: {
              color: pigmentAt(dishIds.indexOf(landing.dishId))[dress === 'night' ? 'night' : 'day'],
              opacity: 0.65,
            },
            data: points[row]!.map((minute, evening) => [
              Math.max(least, minute),
              row + (((evening * 37) % 100) / 100 - 0.5) * SCATTER,
            ]),
          })),
        ],
      };
    },
    [plan, rows, evenings, dishIds, dress],
  );
  return (
    <Chart
      label={say(
        'A hundred evenings: for each dish the minutes in which it is ready, against its good wait and the hour of the table',
      )}
      height={44 + ROW * rows.length}
      option={option}
    />
  );
}

/** Minute in which a dish was ready. */
export function readyIn({ steps }: Plan, landing: Landing, evening: LookedAt): number {
  const last = steps.filter(({ dishId, end }) => dishId === landing.dishId && end === landing.ready).at(-1);
  return (last && evening.steps.get(last.key)?.end) ?? landing.ready;
}
