'use client';

import { useEffect } from 'react';
import type { Balance } from '@/core/grain/balance';
import { say } from '@/core/say/say';
import { toldOption, useChart } from '@/ui/use-chart';
import { useDress } from '@/views/shell/shell';
import { sayVolume } from './say';

const PARTS = ['soak', 'given', 'pour', 'takes up', 'boils off', 'stays behind'] as const;
type PartName = (typeof PARTS)[number];
/** A pattern beside each colour, so that parts are told apart without it. */
const DECALS = {
  soak: 0.8,
  given: -0.8,
  pour: null,
  'takes up': 0.4,
  'boils off': -0.4,
  'stays behind': 1.57,
} as const;
const partWords = (): Readonly<Record<PartName, string>> => ({
  soak: say('from the soak'),
  given: say('from the rest of the pot'),
  pour: say('poured in'),
  'takes up': say('taken up'),
  'boils off': say('boils off'),
  'stays behind': say('stays behind'),
});

/** Pixels beside the bars, and those that a label wants. */
const BESIDE = 92;
const roomFor = (label: string) => 7.4 * label.length + 10;

/** Two bars as long as each other: where the water comes from, and where it goes. */
export function BalanceBar({ balance }: { readonly balance: Balance }) {
  const dress = useDress();
  const { node, chart } = useChart();
  const { takenUp, soaked, given, boiledOff, leftOver, liquid } = balance;
  const values: Readonly<Record<PartName, readonly [from: number, to: number]>> = {
    soak: [soaked, 0],
    given: [given.likely, 0],
    pour: [liquid.likely, 0],
    'takes up': [0, takenUp.likely],
    'boils off': [0, boiledOff.likely],
    'stays behind': [0, leftOver.likely],
  };
  const print = JSON.stringify(values);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the colours follow the dress
  useEffect(() => {
    const style = getComputedStyle(document.body);
    const colour = (name: string) => style.getPropertyValue(name).trim();
    const parts = JSON.parse(print) as typeof values;
    const perLitre = ((node.current?.clientWidth ?? 0) - BESIDE) / Math.max(0.001, total(parts));
    const shown = PARTS.filter((name) => Math.max(...parts[name]) > 0.002);
    const hues: Readonly<Record<PartName, string>> = {
      soak: '#5B6B3A',
      given: '#8A6D2F',
      pour: '#2F5B6B',
      'takes up': '#B4741A',
      'boils off': '#9C3F5E',
      'stays behind': '#6B6459',
    };
    chart?.setOption(
      toldOption({
        animation: false,
        textStyle: { fontFamily: style.fontFamily },
        legend: { show: false },
        grid: { left: BESIDE - 8, right: 8, top: 4, bottom: 4 },
        xAxis: { type: 'value', show: false, max: 'dataMax' },
        yAxis: {
          type: 'category',
          inverse: true,
          data: [say('comes from'), say('goes to')],
          axisLine: { show: false },
          axisTick: { show: false },
          axisLabel: { color: colour('--faint'), fontSize: 14 },
        },
        series: shown.map((name) => ({
          type: 'bar',
          stack: 'all',
          name: partWords()[name],
          silent: true,
          barWidth: 34,
          data: [...parts[name]],
          itemStyle: {
            color: hues[name],
            borderColor: colour('--ground'),
            borderWidth: 1.5,
            ...(DECALS[name] === null
              ? {}
              : {
                  decal: {
                    symbol: 'rect',
                    color: 'rgba(255,255,255,0.18)',
                    dashArrayX: [1, 0],
                    dashArrayY: [3, 6],
                    rotation: DECALS[name],
                  },
                }),
          },
          label: {
            show: true,
            color: '#fff',
            fontSize: 13,
            overflow: 'truncate',
            formatter: ({ value }: { value: number }) =>
              value * perLitre > roomFor(partWords()[name]) ? partWords()[name] : '',
          },
        })),
      }),
      true,
    );
  }, [print, dress, chart]);
  const told = PARTS.filter((name) => Math.max(...values[name]) > 0.002)
    .map((name) => `${partWords()[name]} ${sayVolume(Math.max(...values[name]))}`)
    .join(say(', '));
  return (
    <div
      ref={node}
      dir="ltr"
      role="img"
      aria-label={say('The water: {told}', { told })}
      className="h-24 w-full max-w-xl overflow-hidden"
    />
  );
}

function total(parts: Readonly<Record<string, readonly [number, number]>>): number {
  return Object.values(parts).reduce((sum, [, to]) => sum + to, 0);
}
