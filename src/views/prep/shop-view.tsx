'use client';

import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { portionsOf } from '@/core/meal/meal';
import { afterTheMeal, costOf, type LarderItem, lessTheLarder, type MealCost, moneyFor } from '@/core/prep/larder';
import { type Packs, packsFor } from '@/core/prep/packs';
import { AISLES, type Errand, listAsText, sayErrand, shoppingList } from '@/core/prep/shopping';
import { say, term } from '@/core/say/say';
import { type Amount, printAmount, type Unit } from '@/core/units/amount';
import { unitChoices } from '@/core/units/amount-in';
import { pantry, type StoredErrand } from '@/store/db';
import { storeLarder } from '@/store/larder';
import { Button } from '@/ui/button';
import { Download } from '@/ui/download';
import { Field } from '@/ui/field';
import { Say } from '@/ui/say';
import { Select } from '@/ui/select';
import { manner } from '@/ui/told/manner';
import { useMeal } from '@/views/shell/meal-frame';
import { Tick, useTicks } from './ticks';

/** What is to be bought for a meal: less what is in the house, ticked off, with what it costs. */
export function ShopView() {
  const { meal } = useMeal();
  const [told, setTold] = useState('');
  const { stateOf, put } = useTicks(meal.id);
  const larder = useLiveQuery(() => pantry().larder.toArray()) ?? [];
  const sign = String(useLiveQuery(() => pantry().settings.get('money'))?.value ?? '');
  const itemOf = (key: string) => larder.find((item) => item.key === key);
  const errands = shoppingList(meal);
  const wanted = errands.flatMap((errand): Errand[] => {
    const { buy } = lessTheLarder(errand, itemOf(errand.key));
    return buy.length > 0 ? [{ ...errand, amounts: buy }] : [];
  });
  const open = wanted.filter(({ key }) => stateOf(key) === undefined);
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(listAsText(open));
      setTold(say('Copied.'));
    } catch {
      setTold(say('This browser does not let a page copy; save the list as text instead.'));
    }
  };
  if (errands.length === 0)
    return <p className="mt-4 text-lg">{say('Nothing to buy yet: choose the first dish on the menu.')}</p>;
  return (
    <section aria-label={say('Shopping')} className="mt-4">
      <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-2">
        <div>
          <h2 className="text-2xl">{say('Shopping')}</h2>
          <p role="status" className="text-faint">
            {open.length === 0
              ? say('Everything is there.')
              : say('{open} of {errands} still to get', { open: open.length, errands: errands.length })}
          </p>
        </div>
        <p className="flex flex-wrap items-center gap-x-5 print:hidden">
          <Button look="quiet" onClick={() => void copy()}>
            {say('copy')}
          </Button>
          <Download name={`${meal.id}-shopping.txt`} text={() => listAsText(open)}>
            {say('save as text')}
          </Download>
          <Download
            name={`${meal.id}-shopping.csv`}
            text={async () => (await import('@/core/formats/shopping-table')).listAsCsv(open)}
          >
            {say('save as a table')}
          </Download>
          <Button look="quiet" onClick={() => window.print()}>
            {say('print')}
          </Button>
          <span role="status" className="text-faint">
            {told}
          </span>
        </p>
      </div>
      {errands.some((errand) => lessTheLarder(errand, itemOf(errand.key)).fromHome) && (
        <p className="print:hidden">
          <Button
            look="quiet"
            className="px-0"
            onClick={async () => {
              await pantry().larder.bulkPut([...afterTheMeal(larder, errands)]);
              setTold(say('What this meal takes is off the larder.'));
            }}
          >
            {say('cooked: take what it used off what is at home')}
          </Button>
        </p>
      )}
      <Cost cost={costOf(errands, larder, portionsOf(meal))} sign={sign} />
      <div className="mt-3 gap-x-12 md:columns-2 print:columns-2 print:gap-x-6">
        {AISLES.filter((aisle) => errands.some((errand) => errand.aisle === aisle)).map((aisle) => (
          <section
            key={aisle}
            aria-label={term(aisle)}
            className="mb-5 break-inside-avoid-column print:mb-2 print:break-inside-auto"
          >
            <h3 className="text-xl first-letter:uppercase">{term(aisle)}</h3>
            <ul className="mt-1 border-t border-line">
              {errands
                .filter((errand) => errand.aisle === aisle)
                .map((errand) => (
                  <Row
                    key={errand.key}
                    errand={errand}
                    item={itemOf(errand.key)}
                    sign={sign}
                    state={stateOf(errand.key)}
                    onPut={(state) => put(errand.key, state)}
                  />
                ))}
            </ul>
          </section>
        ))}
      </div>
    </section>
  );
}

function money(value: number, sign: string): string {
  return `${sign}${value.toFixed(2)}`;
}

/** What the meal, each dish and a portion cost, as far as prices are told. */
function Cost({ cost, sign }: { readonly cost: MealCost | null; readonly sign: string }) {
  const write = (value: string) => void pantry().settings.put({ name: 'money', value: value.slice(0, 3) });
  if (!cost) {
    return (
      <p className="mt-2 text-faint print:hidden">
        {say('Tell what things cost, and how much of them is at home, under “price”: the meal is added up here.')}
      </p>
    );
  }
  return (
    <div className="mt-2 print:hidden" data-testid="cost">
      <p className="text-lg">
        <Say
          words="About {money} for the meal, {each} a portion"
          values={{
            money: <strong className="font-semibold">{money(cost.meal, sign)}</strong>,
            each: <strong className="font-semibold">{money(cost.portion, sign)}</strong>,
          }}
        />
        {cost.unpriced.length > 0 && (
          <span className="text-faint">
            {' '}
            {say(
              '{unpriced, plural, one {without # thing that has no price yet} other {without # things that have no price yet}}',
              { unpriced: cost.unpriced.length },
            )}
          </span>
        )}
        .{' '}
        <label className="text-base text-faint">
          {say('Sign of the money')}{' '}
          <input
            className="min-h-9 w-14 rounded-lg border border-line bg-paper px-2 text-ink"
            defaultValue={sign}
            maxLength={3}
            onBlur={(event) => write(event.target.value)}
          />
        </label>
      </p>
      <p className="text-faint">
        {cost.dishes
          .filter((dish) => dish.money > 0)
          .map((dish) => `${dish.dish} ${money(dish.money, sign)}`)
          .join(' · ')}
      </p>
    </div>
  );
}

interface RowProps {
  readonly errand: Errand;
  readonly item: LarderItem | undefined;
  readonly sign: string;
  readonly state: StoredErrand['state'] | undefined;
  readonly onPut: (state: StoredErrand['state'] | undefined) => void;
}

function Row({ errand, item, sign, state, onPut }: RowProps) {
  const { buy, fromHome } = lessTheLarder(errand, item);
  const enough = buy.length === 0;
  const prices = errand.exact.map((amount) => moneyFor(errand.name, amount, item?.price));
  const packs = packsFor(errand, buy, item);
  const price = prices.every((each) => each !== null) ? prices.reduce((sum, each) => sum + each, 0) : null;
  return (
    <li className="break-inside-avoid border-b border-line py-1.5 print:py-0.5">
      <Disclosure>
        <div className="flex flex-wrap items-start gap-x-3">
          <div className="min-w-0 flex-[1_1_10rem]">
            <Tick
              checked={state === 'in the basket' || state === 'at home' || enough}
              onChange={(checked) => onPut(checked ? 'in the basket' : undefined)}
            >
              <span className="text-lg">{sayErrand(enough ? errand : { ...errand, amounts: buy })}</span>
              {price !== null && <span className="text-faint"> {money(price, sign)}</span>}
              {packs && <span className="block text-faint">{printPacks(packs)}</span>}
              <span className="block text-sm text-faint">
                {fromHome &&
                  `${enough ? say('enough at home') : say('{amount} from home', { amount: printAmount(fromHome) })}; `}
                {errand.wants
                  .map(({ dish, amount, cut }) =>
                    cut
                      ? say('{amount} for {dish} ({cut})', { amount: printAmount(amount), dish, cut })
                      : say('{amount} for {dish}', { amount: printAmount(amount), dish }),
                  )
                  .join('; ')}
              </span>
            </Tick>
          </div>
          <div className="ms-auto flex flex-col items-end sm:flex-row sm:items-center print:hidden">
            <Button
              look="quiet"
              aria-pressed={state === 'at home'}
              aria-label={say('{errand} is at home', { errand: errand.name })}
              onClick={() => onPut(state === 'at home' ? undefined : 'at home')}
            >
              {state === 'at home' ? say('at home ✓') : say('at home')}
            </Button>
            <DisclosureButton
              className="min-h-10 px-2 text-faint underline decoration-line underline-offset-4"
              aria-label={say('What is at home of {errand}, and its price', { errand: errand.name })}
            >
              {say('price')}
            </DisclosureButton>
          </div>
        </div>
        <DisclosurePanel className="print:hidden">
          <LarderForm errand={errand} item={item} sign={sign} />
        </DisclosurePanel>
      </Disclosure>
    </li>
  );
}

/** "2 packs of 500 g, 100 g left over": of the told size, or of a usual one. */
function printPacks({ count, size, left, told }: Packs): string {
  const over =
    left.quantity >= 1
      ? say(', {amount} left over', { amount: printAmount({ ...left, quantity: Math.round(left.quantity) }) })
      : '';
  return told
    ? say('{count, plural, one {# pack} other {# packs}} of {amount}{over}', { count, amount: printAmount(size), over })
    : say('usually {count, plural, one {# pack} other {# packs}} of {amount}{over}', {
        count,
        amount: printAmount(size),
        over,
      });
}

interface LarderFormProps {
  readonly errand: Errand;
  readonly item: LarderItem | undefined;
  readonly sign: string;
}

/** How much of a thing is in the house, and what it costs. */
function LarderForm({ errand, item, sign }: LarderFormProps) {
  const usual = errand.exact[0]?.unit ?? 'piece';
  const [have, setHave] = useState({
    quantity: item?.have ? String(item.have.quantity) : '',
    unit: item?.have?.unit ?? usual,
  });
  const [price, setPrice] = useState({
    money: item?.price ? String(item.price.money) : '',
    quantity: item?.price ? String(item.price.per.quantity) : usual === 'g' || usual === 'ml' ? '1000' : '1',
    unit: item?.price?.per.unit ?? usual,
  });
  const [told, setTold] = useState('');
  const save = async () => {
    const fault = await storeLarder(pantry(), { key: errand.key, name: errand.name }, { have, price });
    setTold(fault ?? say('Kept.'));
  };
  return (
    <form
      className="flex flex-wrap items-end gap-x-5 gap-y-2 py-2 ps-9"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <Measure
        label={say('At home')}
        quantity={have.quantity}
        unit={have.unit}
        onChange={(change) => setHave({ ...have, ...change })}
      />
      <Field
        label={sign ? say('Price, {sign}', { sign }) : say('Price')}
        inputMode="decimal"
        className="w-20"
        value={price.money}
        onChange={(event) => setPrice({ ...price, money: event.target.value })}
      />
      <Measure
        label={say('for')}
        quantity={price.quantity}
        unit={price.unit}
        onChange={(change) => setPrice({ ...price, ...change })}
      />
      <button type="submit" className="min-h-10 rounded-lg bg-soft px-3.5">
        {say('Keep')}
      </button>
      <span role="status" className="basis-full text-sm">
        {told}
      </span>
    </form>
  );
}

interface MeasureProps {
  readonly label: string;
  readonly quantity: string;
  readonly unit: Unit;
  readonly onChange: (change: { readonly quantity?: string; readonly unit?: Amount['unit'] }) => void;
}

function Measure({ label, quantity, unit, onChange }: MeasureProps) {
  return (
    <fieldset className="flex gap-1">
      <legend className="text-sm text-faint">{label}</legend>
      <Field
        label={say('{label}, amount', { label })}
        hideLabel
        inputMode="decimal"
        className="w-20"
        value={quantity}
        onChange={(event) => onChange({ quantity: event.target.value })}
      />
      <Select
        label={say('{label}, unit', { label })}
        hideLabel
        value={unit}
        options={unitChoices(manner())}
        onChange={(next) => onChange({ unit: next })}
      />
    </fieldset>
  );
}
