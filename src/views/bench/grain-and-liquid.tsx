'use client';

import { useState } from 'react';
import { type Balance, type BalanceQuestion, besideSchool, gramsFor, liquidBalance } from '@/core/grain/balance';
import { GRAINS, type Grain, grainOf, litresDry } from '@/core/grain/grains';
import { METHODS, methodOf } from '@/core/grain/methods';
import { type Range, wattsOf } from '@/core/heat/boil';
import { printAmount } from '@/core/units/amount';
import { Choice, Dial, Pick, Question } from './dial';
import { useFlame } from './flame';
import { sayCups, sayLitres, sayVolume } from './say';

/** What is asked of the balance apart from the amount, and the controls for it. */
function useWay(): { readonly way: Omit<BalanceQuestion, 'grams'>; readonly controls: React.ReactNode } {
  const { flame, choice } = useFlame();
  const [methodId, setMethod] = useState(METHODS[1]!.id);
  const [grainId, setGrain] = useState(METHODS[1]!.grain);
  const [soaked, setSoaked] = useState<'yes' | 'no'>('no');
  const [width, setWidth] = useState(20);
  const method = methodOf(methodId);
  const grain = grainOf(grainId);
  const way = {
    grain,
    method,
    soaked: soaked === 'yes' && grain.soak !== null,
    watts: wattsOf(flame.burner),
    widthCm: width,
  };
  const follow = (id: string) => {
    // A school speaks of a grain of its own; the cook may then choose another.
    const school = methodOf(id);
    setMethod(id);
    setGrain(school.grain);
    setSoaked(school.soaked ? 'yes' : 'no');
  };
  const controls = (
    <>
      <Pick label="Method" value={methodId} options={METHODS.map(({ id, name }) => [id, name])} onChange={follow} />
      <Pick label="Grain" value={grainId} options={GRAINS.map(({ id, name }) => [id, name])} onChange={setGrain} />
      {grain.soak && (
        <Choice
          label={`Soaked before, ${grain.soak[0]} to ${grain.soak[1]} min`}
          value={soaked}
          options={[
            ['yes', 'soaked'],
            ['no', 'not soaked'],
          ]}
          onChange={setSoaked}
        />
      )}
      {choice}
      <Dial label="Pot, across" value={width} least={14} most={40} step={1} says={`${width} cm`} onChange={setWidth} />
    </>
  );
  return { way, controls };
}

const grams = (quantity: number) => printAmount({ quantity, unit: 'g' });

/** How much liquid so much grain wants, and where it goes. */
export function GrainAndLiquid() {
  const { way, controls } = useWay();
  const [dry, setDry] = useState(400);
  const balance = liquidBalance({ ...way, grams: dry });
  return (
    <Question
      controls={
        <>
          <Dial
            label={`Dry grain, ${sayCups(litresDry(way.grain, dry))}`}
            value={dry}
            least={50}
            most={2000}
            step={10}
            says={grams(dry)}
            onChange={setDry}
          />
          {controls}
        </>
      }
    >
      <p className="font-title text-6xl" data-testid="liquid">
        {sayVolume(balance.liquid.likely)}
      </p>
      <p className="text-xl">of liquid, likely; between {band(balance.liquid)}.</p>
      <Terms balance={balance} way={way} />
      <Times grain={way.grain} soaked={way.soaked} dry={dry} />
    </Question>
  );
}

/** How much grain a measured stock carries. */
export function StockLeft() {
  const { way, controls } = useWay();
  const [litres, setLitres] = useState(1.5);
  const dry = gramsFor(litres, way);
  return (
    <Question
      controls={
        <>
          <Dial
            label="Stock, measured after straining"
            value={litres}
            least={0.25}
            most={8}
            step={0.25}
            says={sayLitres(litres)}
            onChange={setLitres}
          />
          {controls}
        </>
      }
    >
      {dry < 20 ? (
        <p className="text-xl" data-testid="carries">
          So little would boil off before the grain has had any of it.
        </p>
      ) : (
        <>
          <p className="font-title text-6xl" data-testid="carries">
            {grams(dry)}
          </p>
          <p className="text-xl">
            of dry grain is what it carries, {sayCups(litresDry(way.grain, dry))}. With more grain, top up with boiling
            water; with less, keep the rest.
          </p>
          <Terms balance={liquidBalance({ ...way, grams: dry })} way={way} />
          <Times grain={way.grain} soaked={way.soaked} dry={dry} />
        </>
      )}
    </Question>
  );
}

function band({ low, high }: Range): string {
  return `${sayVolume(low)} and ${sayVolume(high)}`;
}

/** Where the liquid comes from and goes, term by term, and the school's ratio beside it. */
function Terms({ balance, way }: { readonly balance: Balance; readonly way: Omit<BalanceQuestion, 'grams'> }) {
  const [least, most] = way.method.ratio;
  const school = least === most ? least : `${least} to ${most}`;
  const rows: readonly (readonly [string, Range, string])[] = [
    ['the grain takes up', balance.takenUp, ''],
    ...(balance.soaked > 0
      ? [
          [
            'of that it has from the soak',
            { low: balance.soaked, likely: balance.soaked, high: balance.soaked },
            '−',
          ] as const,
        ]
      : []),
    ...(balance.given.likely > 0 ? [['what else is in the pot gives', balance.given, '−'] as const] : []),
    ['boils off', balance.boiledOff, '+'],
  ];
  return (
    <>
      <table className="w-full max-w-xl text-left" data-testid="terms">
        <tbody>
          {rows.map(([name, { low, likely, high }, sign]) => (
            <tr key={name} className="border-t border-line">
              <th scope="row" className="py-1.5 font-normal">
                {name}
              </th>
              <td className="text-right font-semibold">
                {sign} {sayVolume(likely)}
              </td>
              <td className="pl-4 text-right text-faint">
                {low === high ? '' : `${sayVolume(low)} to ${sayVolume(high)}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="max-w-xl">
        By volume 1 to <strong>{balance.ratio.likely.toFixed(2)}</strong>, from {balance.ratio.low.toFixed(2)} to{' '}
        {balance.ratio.high.toFixed(2)}; the school says 1 to {school}. {besideSchool(balance, way)}
      </p>
    </>
  );
}

function Times({ grain, soaked, dry }: { readonly grain: Grain; readonly soaked: boolean; readonly dry: number }) {
  const [least, most] = grain.minutes;
  const [short, long] = grain.rest;
  const minutes = (a: number, b: number) => (a === b ? `${a} min` : `${a} to ${b} min`);
  return (
    <p className="max-w-xl text-faint">
      About {minutes(least, most)} covered{soaked ? ', rather the less after a soak' : ''}, then {minutes(short, long)}{' '}
      of rest; it swells to {sayVolume(litresDry(grain, dry) * grain.swells)} and stays good under its lid for about{' '}
      {grain.holds} min.
    </p>
  );
}
