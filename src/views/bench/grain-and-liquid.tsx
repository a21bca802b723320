'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { type Balance, type BalanceQuestion, besideSchool, gramsFor, liquidBalance } from '@/core/grain/balance';
import { GRAINS, type Grain, grainOf, litresDry } from '@/core/grain/grains';
import { METHODS, methodOf } from '@/core/grain/methods';
import {
  GRAMS_PER_TEASPOON,
  gramsPerHead,
  litresOver,
  STOCK_SALT,
  type StockSalt,
  saltForBoiling,
  saltToAdd,
} from '@/core/grain/rules';
import { HEAT_SHARE, type Lid, litresBoiledOff, litresLeft, type Range, wattsOf } from '@/core/heat/boil';
import { HEATS, type Heat } from '@/core/kitchen/kitchen';
import { useMeasures } from '@/views/measures/own-measures';
import { Choice, Dial, Pick, Question, WidthDial } from './dial';
import { useFlame } from './flame';
import { UseThis, useDishAtHand } from './from-dish';
import { sayQuantity, sayVolume } from './say';

const BandCurve = dynamic(() => import('./band-curve').then((module) => module.BandCurve), {
  ssr: false,
  // As high as it will be: nothing moves when it comes.
  loading: () => <div className="h-64" />,
});
const BalanceBar = dynamic(() => import('./balance-bar').then((module) => module.BalanceBar), {
  ssr: false,
  loading: () => <div className="h-24" />,
});

/** What is asked of the balance apart from the amount, and the controls for it. */
function useWay(): { readonly way: Omit<BalanceQuestion, 'grams'>; readonly controls: React.ReactNode } {
  const { flame, choice } = useFlame();
  const dish = useDishAtHand();
  const [methodId, setMethod] = useState(dish?.grain.method ?? METHODS[1]!.id);
  const [grainId, setGrain] = useState(dish?.grain.kind ?? METHODS[1]!.grain);
  const [soaked, setSoaked] = useState<'yes' | 'no'>(dish?.grain.soaked ? 'yes' : 'no');
  const [width, setWidth] = useState(dish?.widthCm ?? 20);
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
    // With a dish on the bench the grain is what it is.
    if (dish) return;
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
      <WidthDial label="Pot, across" value={width} onChange={setWidth} />
    </>
  );
  return { way, controls };
}

/** To the gram that the dial stands at. */
const grams = (quantity: number) =>
  quantity < 1000 ? `${Math.round(quantity)} g` : `${Number((quantity / 1000).toFixed(2))} kg`;

/** How much liquid so much grain wants, and where it goes. */
export function GrainAndLiquid() {
  const { way, controls } = useWay();
  const dish = useDishAtHand();
  const [dry, setDry] = useState(Math.round((dish?.grams ?? 400) / 10) * 10);
  const [measureId, setMeasure] = useState('l');
  const measures = useMeasures().filter(({ sort, id }) => sort === 'volume' && !/^(tsp|tbsp|pinch|ml$|tin$)/.test(id));
  const measure = measures.find(({ id }) => id === measureId);
  const balance = liquidBalance({ ...way, grams: dry });
  const school = ((way.method.ratio[0] + way.method.ratio[1]) / 2) * litresDry(way.grain, dry);
  const say = (litres: number) => {
    if (!measure || measure.id === 'l' || measure.id === 'ml') return sayVolume(litres);
    const count = (litres * 1000) / measure.size;
    return `${sayQuantity(count)} ${count > 1 ? measure.plural : measure.name}`;
  };
  return (
    <Question
      more={
        <>
          <Terms balance={balance} way={way} />
          <UseThis
            litres={balance.liquid.likely}
            school={way.grain.id === way.method.grain && way.soaked === way.method.soaked ? school : null}
            say={say}
            way={{ kind: way.grain.id, method: way.method.id, soaked: way.soaked }}
          />
          <Salt way={way} dry={dry} litres={balance.liquid.likely} />
          <ByEye way={way} dry={dry} />
          <Times grain={way.grain} soaked={way.soaked} dry={dry} />
        </>
      }
      controls={
        <>
          <Dial
            label={`Dry grain, ${sayVolume(litresDry(way.grain, dry))}`}
            value={dry}
            least={50}
            most={3000}
            step={10}
            says={grams(dry)}
            onChange={setDry}
          />
          <p className="text-sm text-faint">{heads(dry)}</p>
          {controls}
          <Pick
            label="Measured with"
            value={measureId}
            options={measures.map(({ id, name, of }) => [
              id,
              id === 'l' ? 'as you measure' : of ? `${name} (${of})` : name,
            ])}
            onChange={setMeasure}
          />
        </>
      }
    >
      <p className="font-title text-6xl" data-testid="liquid">
        {say(balance.liquid.likely)}
      </p>
      <p className="text-xl">
        of liquid, likely; between {say(balance.liquid.low)} and {say(balance.liquid.high)}.
      </p>
      <BalanceBar balance={balance} />
    </Question>
  );
}

/** How many so much dry grain feeds, by what else there is. */
function heads(dry: number): string {
  const [alone, few, many] = [1, 3, 6].map((dishes) => Math.max(1, Math.round(dry / gramsPerHead(dishes))));
  return `Feeds about ${alone} by itself, ${few} beside a few dishes, ${many} among many.`;
}

const STOCKS: readonly (readonly [StockSalt, string])[] = (Object.keys(STOCK_SALT) as StockSalt[]).map((each) => [
  each,
  each === 'none' ? 'water' : each === 'light' ? 'lightly salted' : each,
]);

/** Salt counted through liquid and grain together. */
function Salt({
  way,
  dry,
  litres,
}: {
  readonly way: Omit<BalanceQuestion, 'grams'>;
  readonly dry: number;
  readonly litres: number;
}) {
  const [stock, setStock] = useState<StockSalt>('none');
  const drained = way.method.id === 'drain';
  const wanted = drained ? saltForBoiling(litres) : saltToAdd(way.grain, dry, litres, stock);
  const spoons = wanted / GRAMS_PER_TEASPOON;
  return (
    <div className="grid max-w-xl gap-2 border-t border-line pt-3" data-testid="salt">
      {!drained && <Choice label="The liquid is" value={stock} options={STOCKS} onChange={setStock} />}
      <p>
        {drained ? (
          <>
            Salt the water like soup: <strong>{grams(wanted)}</strong>; most of it is poured off again.
          </>
        ) : spoons < 0.2 ? (
          'No more salt: the liquid carries enough for this grain. Taste before it goes in.'
        ) : (
          <>
            Salt to add: <strong>{sayQuantity(spoons)} tsp</strong> of fine salt, {grams(wanted)}; grain dulls it.
          </>
        )}
      </p>
    </div>
  );
}

/** What the rules by eye would pour in this pot. */
function ByEye({ way, dry }: { readonly way: Omit<BalanceQuestion, 'grams'>; readonly dry: number }) {
  const litres = litresOver('finger-joint', way.grain, dry, way.widthCm);
  return (
    <p className="max-w-xl text-faint" data-testid="by-eye">
      By eye, a finger-joint or an inch over the grain in this pot is {sayVolume(litres)}, 1 to{' '}
      {(litres / litresDry(way.grain, dry)).toFixed(2)}: right for much grain in a narrow pot, too much for little in a
      wide one.
    </p>
  );
}

/** How much grain a measured stock carries; and for the grain one means to cook, what to add or to keep. */
export function StockLeft() {
  const { way, controls } = useWay();
  const dish = useDishAtHand();
  const [litres, setLitres] = useState(dish ? Math.max(0.25, Math.round(dish.litres * 4) / 4) : 1.5);
  const [meant, setMeant] = useState(Math.round((dish?.grams ?? 500) / 10) * 10);
  const dry = gramsFor(litres, way);
  const { liquid } = liquidBalance({ ...way, grams: meant });
  return (
    <Question
      more={
        <>
          {dry >= LEAST_DRY && (
            <>
              <Terms balance={liquidBalance({ ...way, grams: dry })} way={way} />
              <Times grain={way.grain} soaked={way.soaked} dry={dry} />
            </>
          )}
          <BoilingDown litres={litres} widthCm={way.widthCm} />
        </>
      }
      controls={
        <>
          <Dial
            label="Stock, measured after straining"
            value={litres}
            least={0.25}
            most={8}
            step={0.05}
            says={sayVolume(litres)}
            onChange={setLitres}
          />
          <Dial
            label={`Grain you mean to cook, ${sayVolume(litresDry(way.grain, meant))}`}
            value={meant}
            least={50}
            most={3000}
            step={10}
            says={grams(meant)}
            onChange={setMeant}
          />
          {controls}
        </>
      }
    >
      {dry < LEAST_DRY ? (
        <p className="text-xl" data-testid="carries">
          So little would boil off before the grain has had any of it.
        </p>
      ) : (
        <>
          <p className="font-title text-6xl" data-testid="carries">
            {grams(Math.round(dry / 5) * 5)}
          </p>
          <p className="text-xl">of dry grain is what it carries, {sayVolume(litresDry(way.grain, dry))}.</p>
        </>
      )}
      <p className="max-w-xl text-xl" data-testid="top-up">
        For {grams(meant)} {topUp(litres, liquid)}
      </p>
    </Question>
  );
}

/** Less dry grain than this is none. */
const LEAST_DRY = 20;

/** What to do with a stock for grain that wants so much. */
function topUp(litres: number, { low, likely, high }: Range): string {
  const missing = likely - litres;
  if (litres >= low && litres <= high && Math.abs(missing) < 0.1 * likely) return 'it is just right as it stands.';
  const much = sayVolume(Math.abs(missing));
  return missing > 0
    ? `top it up with ${much} of boiling water, and taste for salt again.`
    : `pour in ${sayVolume(likely)} and keep ${much}: it freezes well in small portions.`;
}

const LIDS: readonly (readonly [Lid, string])[] = [
  ['open', 'open'],
  ['ajar', 'lid ajar'],
  ['covered', 'covered'],
];

/** What is left of a stock or a sauce that boils down. */
function BoilingDown({ litres, widthCm }: { readonly litres: number; readonly widthCm: number }) {
  const { flame, choice } = useFlame();
  const [heat, setHeat] = useState<Heat>('full');
  const [lid, setLid] = useState<Lid>('open');
  const [minutes, setMinutes] = useState(15);
  const { low, likely, high } = wattsOf(flame.burner);
  const share = HEAT_SHARE[heat];
  const off = litresBoiledOff({ low: low * share, likely: likely * share, high: high * share }, lid, widthCm);
  const left = litresLeft(litres, off, minutes);
  const step = litres > 2 ? 1 : 0.5;
  return (
    <section aria-label="Boiling down" className="mt-4 grid max-w-2xl gap-3 border-t border-line pt-4">
      <h2 className="text-2xl">Boiling down</h2>
      <div className="grid gap-x-8 gap-y-2 sm:grid-cols-2">
        <Dial
          label="It boils for"
          value={minutes}
          least={1}
          most={90}
          step={1}
          says={`${minutes} min`}
          onChange={setMinutes}
        />
        {choice}
        <Choice label="Heat" value={heat} options={HEATS.map((each) => [each, each] as const)} onChange={setHeat} />
        <Choice label="Lid" value={lid} options={LIDS} onChange={setLid} />
      </div>
      <p className="text-xl" data-testid="boiled-down">
        {left.likely <= 0 ? (
          'It would be dry by then: it catches and burns before.'
        ) : (
          <>
            <strong>{sayVolume(left.likely)}</strong> left, likely; between {sayVolume(left.low)} and{' '}
            {sayVolume(left.high)}. What is salted grows saltier by as much.
          </>
        )}
      </p>
      <BandCurve
        label="What is left over ninety minutes"
        minutes={90}
        every={3}
        most={Math.ceil(litres / step) * step}
        interval={step}
        unit=" l"
        valueAt={(minute) => litresLeft(litres, off, minute)}
      />
    </section>
  );
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
    ...(balance.leftOver.likely > 0
      ? [[way.method.id === 'drain' ? 'is poured off' : 'stays on the grain', balance.leftOver, '+'] as const]
      : []),
  ];
  return (
    <>
      <table className="w-full max-w-xl text-start" data-testid="terms">
        <tbody>
          {rows.map(([name, { low, likely, high }, sign]) => (
            <tr key={name} className="border-t border-line">
              <th scope="row" className="py-1.5 font-normal">
                {name}
              </th>
              <td className="text-end font-semibold whitespace-nowrap">
                {sign} {sayVolume(likely)}
              </td>
              <td className="ps-4 text-end text-faint sm:whitespace-nowrap">
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
