'use client';

import { useState } from 'react';
import { GRAINS, US_CUP } from '@/core/grain/grains';
import { say } from '@/core/say/say';
import { DENSITIES } from '@/core/units/densities';
import { convert, fahrenheitOf, gasMarkOf, type Measure, measureOf, readMeasured } from '@/core/units/measures';
import { Field } from '@/ui/field';
import { OwnMeasures, useMeasures } from '@/views/measures/own-measures';
import { Dial, Pick } from './dial';
import { sayQuantity } from './say';

const THINGS = [
  ...DENSITIES,
  ...GRAINS.map(({ id, name, gramsPerCup }) => ({ id, name, density: gramsPerCup / (1000 * US_CUP) })),
];
/** What dials go up to, so that a turn of one moves a kitchen's amounts. */
const MOST: Readonly<Record<string, number>> = { ml: 2000, g: 2000, l: 10, kg: 10 };
const STEPS: Readonly<Record<string, number>> = { ml: 10, g: 10 };

const nameOf = ({ name, of }: Measure) => (of ? `${name} (${of})` : name);

/** One amount in everybody's measures, and an oven's heat in every scale. */
export function Units() {
  const [id, setId] = useState('cup-us');
  const [quantity, setQuantity] = useState(1);
  const [thingId, setThing] = useState('long');
  const [celsius, setCelsius] = useState(180);
  const measures = useMeasures();
  const from = measures.find((each) => each.id === id) ?? measureOf('ml');
  const thing = THINGS.find((each) => each.id === thingId)!;
  const mark = gasMarkOf(celsius);
  const others = measures
    .filter((each) => each.id !== id && each.id !== 'pinch' && each.sort !== 'temperature')
    .flatMap((to) => {
      const value = convert(quantity, from, to, thing.density);
      return value === null ? [] : [{ to, value }];
    });
  // Scales first: what is weighed is right whoever measures it.
  others.sort((a, b) => Number(b.to.sort === 'mass') - Number(a.to.sort === 'mass'));
  const choose = (next: string) => {
    setId(next);
    setQuantity(next === 'ml' || next === 'g' ? 250 : 1);
  };
  return (
    <div className="grid grid-cols-1 gap-x-12 gap-y-8 md:grid-cols-2">
      <section aria-label={say('Amounts')} className="grid content-start gap-2">
        <Written
          measures={measures}
          onRead={(read) => {
            setId(read.measure.id);
            setQuantity(read.quantity);
          }}
        />
        <Pick
          label={say('Measure')}
          value={id}
          options={measures.map((each) => [each.id, nameOf(each)])}
          onChange={choose}
        />
        <Dial
          label={say('So many')}
          value={quantity}
          least={STEPS[id] ?? 0.25}
          most={MOST[id] ?? 12}
          step={STEPS[id] ?? 0.25}
          says={`${sayQuantity(quantity)} ${quantity > 1 ? from.plural : from.name}`}
          verbatim
          onChange={setQuantity}
        />
        {from.sort !== 'length' && (
          <Pick
            label={say('Of')}
            value={thingId}
            options={THINGS.map((each) => [each.id, each.name])}
            onChange={setThing}
          />
        )}
        <dl className="mt-3 grid grid-cols-[1fr_auto] gap-x-6 lg:grid-cols-[1fr_auto_1fr_auto]" data-testid="measures">
          {others.map(({ to, value }) => (
            <div key={to.id} className="contents">
              <dt className="border-t border-line py-1.5">{nameOf(to)}</dt>
              <dd className="border-t border-line py-1.5 text-end font-semibold">{sayQuantity(value)}</dd>
            </div>
          ))}
        </dl>
      </section>
      <div className="grid content-start gap-8">
        <section aria-label={say("The oven's heat")} className="grid content-start gap-2">
          <Dial
            label={say('Oven')}
            value={celsius}
            least={100}
            most={280}
            step={5}
            says={`${celsius} °C`}
            verbatim
            onChange={setCelsius}
          />
          <p className="font-title text-6xl" data-testid="oven-heat">
            {Math.round(fahrenheitOf(celsius) / 5) * 5} °F
          </p>
          <p className="text-xl">
            {mark === null
              ? say('No gas mark is so hot or so cool.')
              : say('Gas mark {quantity}.', { quantity: sayQuantity(mark) })}
          </p>
          <p className="max-w-md text-faint">
            {say(
              'Ovens are seldom right to 10 °C either way: a thermometer inside tells. With a fan, take about 20 °C less, or as the maker says.',
            )}
          </p>
        </section>
        <OwnMeasures />
      </div>
    </div>
  );
}

/** An amount as it stands in a recipe, read into the dials. */
function Written({
  measures,
  onRead,
}: {
  readonly measures: readonly Measure[];
  readonly onRead: (read: { readonly quantity: number; readonly measure: Measure }) => void;
}) {
  const [text, setText] = useState('');
  const read = text.trim() === '' ? null : readMeasured(text, measures);
  return (
    <div>
      <Field
        label={say('As it is written')}
        type="text"
        value={text}
        maxLength={60}
        placeholder={say('1 1/2 cups')}
        className="h-12 w-full text-lg"
        onChange={(event) => {
          setText(event.target.value);
          const found = readMeasured(event.target.value, measures);
          if (found) onRead(found);
        }}
      />
      {text.trim() !== '' && !read && (
        <p role="alert" className="text-warn">
          {say('Not an amount: write a number and a measure, such as “1 1/2 cups”, “2½ tbsp”, “250 g” or “a pinch”.')}
        </p>
      )}
    </div>
  );
}
