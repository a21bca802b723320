'use client';

import { format } from 'date-fns';
import type { Evening } from '@/core/live/evening';
import type { LookBack } from '@/core/log/look-back';
import type { StepRecord } from '@/core/log/records';
import { settling } from '@/core/log/settling';
import { sayDay } from '@/core/say/days';
import { say } from '@/core/say/say';
import { axis, Chart } from '@/views/shell/chart';

/** Minutes of each step, planned beside real. */
export function PlannedAndReal({ records }: { readonly records: readonly StepRecord[] }) {
  const shown = [...records]
    .sort((a, b) => Math.abs(b.real - b.planned) - Math.abs(a.real - a.planned))
    .slice(0, 10)
    .reverse();
  return (
    <Chart
      label={say('Minutes planned and real, the ten steps that differ most')}
      height={60 + 34 * Math.max(1, shown.length)}
      option={(colour) => ({
        grid: { left: 190, right: 24, top: 30, bottom: 28 },
        legend: { textStyle: { color: colour('--ink') }, top: 0 },
        xAxis: {
          type: 'value',
          ...axis(colour),
          axisLabel: { ...axis(colour).axisLabel, formatter: (value: number) => say('{value} min', { value }) },
        },
        yAxis: {
          type: 'category',
          data: shown.map(({ name, dishName }) => say('{step}, {dish}', { step: name, dish: dishName })),
          ...axis(colour),
          axisLabel: { color: colour('--ink'), fontSize: 13, width: 180, overflow: 'truncate' },
          splitLine: { show: false },
        },
        series: [
          {
            name: 'planned',
            type: 'bar',
            data: shown.map(({ planned }) => Math.round(planned)),
            itemStyle: { color: colour('--line') },
          },
          {
            name: 'real',
            type: 'bar',
            data: shown.map(({ real }) => Math.round(real)),
            itemStyle: { color: colour('--ember') },
          },
        ],
      })}
    />
  );
}

/** Minutes by which the work ran behind what was planned, over the evening. */
export function DriftChart({ drift }: { readonly drift: LookBack['drift'] }) {
  return (
    <Chart
      label={say('Minutes of work behind what was planned, summed over the evening')}
      height={220}
      option={(colour) => ({
        grid: { left: 56, right: 16, top: 14, bottom: 28 },
        xAxis: {
          type: 'time',
          ...axis(colour),
          splitLine: { show: false },
          axisLabel: { ...axis(colour).axisLabel, hideOverlap: true, formatter: (at: number) => format(at, 'HH:mm') },
        },
        yAxis: {
          type: 'value',
          ...axis(colour),
          axisLabel: { ...axis(colour).axisLabel, formatter: (value: number) => say('{value} min', { value }) },
        },
        series: [
          {
            type: 'line',
            step: 'end',
            symbol: 'none',
            data: drift.map(({ at, minutes }) => [at, minutes]),
            lineStyle: { color: colour('--ember'), width: 3 },
          },
        ],
      })}
    />
  );
}

/** What was thought of the hands after each evening, in the band of what may well be. */
export function SettlingChart({ evenings }: { readonly evenings: readonly Evening[] }) {
  const settled = settling(evenings);
  if (settled.length < 2) {
    return <p className="text-faint">{say('After a second evening this shows how sure the estimates have become.')}</p>;
  }
  const percent = (factor: number) => Math.round(factor * 100);
  return (
    <Chart
      label={say('Minutes of the hands against what is written, after each evening')}
      height={220}
      option={(colour) => ({
        grid: { left: 56, right: 16, top: 14, bottom: 28 },
        xAxis: {
          type: 'category',
          data: settled.map(({ at }) => sayDay(at, 'short date')),
          boundaryGap: false,
          ...axis(colour),
          splitLine: { show: false },
        },
        yAxis: {
          type: 'value',
          scale: true,
          ...axis(colour),
          axisLabel: { ...axis(colour).axisLabel, formatter: (value: number) => say('{value} %', { value }) },
        },
        series: [
          {
            type: 'line',
            symbol: 'none',
            stack: 'band',
            data: settled.map(({ low }) => percent(low)),
            lineStyle: { opacity: 0 },
          },
          {
            type: 'line',
            symbol: 'none',
            stack: 'band',
            data: settled.map(({ low, high }) => percent(high) - percent(low)),
            lineStyle: { opacity: 0 },
            areaStyle: { color: colour('--ember'), opacity: 0.15 },
          },
          {
            type: 'line',
            data: settled.map(({ factor }) => percent(factor)),
            lineStyle: { color: colour('--ember'), width: 3 },
            itemStyle: { color: colour('--ember') },
          },
        ],
      })}
    />
  );
}
