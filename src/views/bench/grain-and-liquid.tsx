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
import { say, term } from '@/core/say/say';
import { Say } from '@/ui/say';
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
      <Pick
        label={say('Method')}
        value={methodId}
        options={METHODS.map(({ id, name }) => [id, say(name)])}
        onChange={follow}
      />
      <Pick
        label={say('Grain')}
        value={grainId}
        options={GRAINS.map(({ id, name }) => [id, term(name)])}
        onChange={setGrain}
      />
      {grain.soak && (
        <Choice
          label={say('Soaked before, {soak} to {longest} min', { soak: grain.soak[0], longest: grain.soak[1] })}
          value={soaked}
          options={[
            ['yes', say('soaked')],
            ['no', say('not soaked')],
          ]}
          onChange={setSoaked}
        />
      )}
      {choice}
      <WidthDial label={say('Pot, across')} value={width} onChange={setWidth} />
    </>
  );
  return { way, controls };
}

/** To the gram that the dial stands at. */
const grams = (quantity: number) =>
  quantity < 1000
    ? `${Math.round(quantity)} g`
    : say('{quantity} kg', { quantity: Number((quantity / 1000).toFixed(2)) });

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
  const spell = (litres: number) => {
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
            spell={spell}
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
            label={say('Dry grain, {volume}', { volume: sayVolume(litresDry(way.grain, dry)) })}
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
            label={say('Measured with')}
            value={measureId}
            options={measures.map(({ id, name, of }) => [
              id,
              id === 'l' ? say('as you measure') : of ? `${name} (${of})` : name,
            ])}
            onChange={setMeasure}
          />
        </>
      }
    >
      <p className="font-title text-6xl" data-testid="liquid">
        {spell(balance.liquid.likely)}
      </p>
      <p className="text-xl">
        {say('of liquid, likely; between {low} and {high}.', {
          low: spell(balance.liquid.low),
          high: spell(balance.liquid.high),
        })}
      </p>
      <BalanceBar balance={balance} />
    </Question>
  );
}

/** How many so much dry grain feeds, by what else there is. */
function heads(dry: number): string {
  const feeds = (dishes: number) => Math.max(1, Math.round(dry / gramsPerHead(dishes)));
  return say('Feeds about {alone} by itself, {few} beside a few dishes, {many} among many.', {
    alone: feeds(1),
    few: feeds(3),
    many: feeds(6),
  });
}

const stockWords = (): readonly (readonly [StockSalt, string])[] =>
  (Object.keys(STOCK_SALT) as StockSalt[]).map((each) => [
    each,
    each === 'none' ? say('water') : each === 'light' ? say('lightly salted') : term(each),
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
      {!drained && <Choice label={say('The liquid is')} value={stock} options={stockWords()} onChange={setStock} />}
      <p>
        {drained ? (
          <Say
            words="Salt the water like soup: {grams}; most of it is poured off again."
            values={{ grams: <strong>{grams(wanted)}</strong> }}
          />
        ) : spoons < 0.2 ? (
          say('No more salt: the liquid carries enough for this grain. Taste before it goes in.')
        ) : (
          <Say
            words="Salt to add: <b>{quantity} tsp</b> of fine salt, {grams}; grain dulls it."
            values={{ quantity: sayQuantity(spoons), grams: grams(wanted) }}
            marks={{ b: <strong /> }}
          />
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
      {say(
        'By eye, a finger-joint or an inch over the grain in this pot is {volume}, 1 to {litres}: right for much grain in a narrow pot, too much for little in a wide one.',
        { volume: sayVolume(litres), litres: (litres / litresDry(way.grain, dry)).toFixed(2) },
      )}
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
            label={say('Stock, measured after straining')}
            value={litres}
            least={0.25}
            most={8}
            step={0.05}
            says={sayVolume(litres)}
            onChange={setLitres}
          />
          <Dial
            label={say('Grain you mean to cook, {volume}', { volume: sayVolume(litresDry(way.grain, meant)) })}
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
          {say('So little would boil off before the grain has had any of it.')}
        </p>
      ) : (
        <>
          <p className="font-title text-6xl" data-testid="carries">
            {grams(Math.round(dry / 5) * 5)}
          </p>
          <p className="text-xl">
            {say('of dry grain is what it carries, {volume}.', { volume: sayVolume(litresDry(way.grain, dry)) })}
          </p>
        </>
      )}
      <p className="max-w-xl text-xl" data-testid="top-up">
        {say('For {grams} {topUp}', { grams: grams(meant), topUp: topUp(litres, liquid) })}
      </p>
    </Question>
  );
}

/** Less dry grain than this is none. */
const LEAST_DRY = 20;

/** What to do with a stock for grain that wants so much. */
function topUp(litres: number, { low, likely, high }: Range): string {
  const missing = likely - litres;
  if (litres >= low && litres <= high && Math.abs(missing) < 0.1 * likely) return say('it is just right as it stands.');
  const much = sayVolume(Math.abs(missing));
  return missing > 0
    ? say('top it up with {much} of boiling water, and taste for salt again.', { much })
    : say('pour in {volume} and keep {much}: it freezes well in small portions.', { volume: sayVolume(likely), much });
}

const lidWords = (): readonly (readonly [Lid, string])[] => [
  ['open', say('open')],
  ['ajar', say('lid ajar')],
  ['covered', say('covered')],
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
    <section aria-label={say('Boiling down')} className="mt-4 grid max-w-2xl gap-3 border-t border-line pt-4">
      <h2 className="text-2xl">{say('Boiling down')}</h2>
      <div className="grid gap-x-8 gap-y-2 sm:grid-cols-2">
        <Dial
          label={say('It boils for')}
          value={minutes}
          least={1}
          most={90}
          step={1}
          says={say('{minutes} min', { minutes })}
          onChange={setMinutes}
        />
        {choice}
        <Choice
          label={say('Heat')}
          value={heat}
          options={HEATS.map((each) => [each, term(each)] as const)}
          onChange={setHeat}
        />
        <Choice label={say('Lid')} value={lid} options={lidWords()} onChange={setLid} />
      </div>
      <p className="text-xl" data-testid="boiled-down">
        {left.likely <= 0 ? (
          say('It would be dry by then: it catches and burns before.')
        ) : (
          <Say
            words="{volume} left, likely; between {low} and {high}. What is salted grows saltier by as much."
            values={{
              volume: <strong>{sayVolume(left.likely)}</strong>,
              low: sayVolume(left.low),
              high: sayVolume(left.high),
            }}
          />
        )}
      </p>
      <BandCurve
        label={say('What is left over ninety minutes')}
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
  const school = least === most ? least : say('{least} to {most}', { least, most });
  const rows: readonly (readonly [string, Range, string])[] = [
    [say('the grain takes up'), balance.takenUp, ''],
    ...(balance.soaked > 0
      ? [
          [
            say('of that it has from the soak'),
            { low: balance.soaked, likely: balance.soaked, high: balance.soaked },
            '−',
          ] as const,
        ]
      : []),
    ...(balance.given.likely > 0 ? [[say('what else is in the pot gives'), balance.given, '−'] as const] : []),
    [say('boils off'), balance.boiledOff, '+'],
    ...(balance.leftOver.likely > 0
      ? [[way.method.id === 'drain' ? say('is poured off') : say('stays on the grain'), balance.leftOver, '+'] as const]
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
                {low === high ? '' : say('{low} to {high}', { low: sayVolume(low), high: sayVolume(high) })}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="max-w-xl">
        <Say
          words="By volume 1 to {likely}, from {low} to {high}; the school says 1 to {school}. {besideSchool}"
          values={{
            likely: <strong>{balance.ratio.likely.toFixed(2)}</strong>,
            low: balance.ratio.low.toFixed(2),
            high: balance.ratio.high.toFixed(2),
            school,
            besideSchool: besideSchool(balance, way),
          }}
        />
      </p>
    </>
  );
}

function Times({ grain, soaked, dry }: { readonly grain: Grain; readonly soaked: boolean; readonly dry: number }) {
  const [least, most] = grain.minutes;
  const [short, long] = grain.rest;
  const minutes = (a: number, b: number) => (a === b ? say('{a} min', { a }) : say('{a} to {b} min', { a, b }));
  return (
    <p className="max-w-xl text-faint">
      {soaked
        ? say(
            'About {minutes} covered, rather the less after a soak, then {rest} of rest; it swells to {volume} and stays good under its lid for about {holds} min.',
            {
              minutes: minutes(least, most),
              rest: minutes(short, long),
              volume: sayVolume(litresDry(grain, dry) * grain.swells),
              holds: grain.holds,
            },
          )
        : say(
            'About {minutes} covered, then {rest} of rest; it swells to {volume} and stays good under its lid for about {holds} min.',
            {
              minutes: minutes(least, most),
              rest: minutes(short, long),
              volume: sayVolume(litresDry(grain, dry) * grain.swells),
              holds: grain.holds,
            },
          )}
    </p>
  );
}
