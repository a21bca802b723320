'use client';

import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';
import { useLiveQuery } from 'dexie-react-hooks';
import { ChevronDown } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { ALLERGENS, DIETS, type Diet } from '@/core/dish/diet';
import type { Dish } from '@/core/dish/dish';
import { type Card, cardOf, search, type Wish } from '@/core/dish/search';
import { withShelf } from '@/core/dish/shelf';
import { say, term } from '@/core/say/say';
import { listed } from '@/core/units/words';
import { pantry } from '@/store/db';
import { printSpan } from '@/ui/clock';
import { Field } from '@/ui/field';
import { Link } from '@/ui/link';
import { useTitle } from '@/ui/title';

const timeWishes = (): readonly (readonly [string, number | undefined])[] => [
  [say('any time'), undefined],
  [say('within 30 min'), 30],
  [say('within an hour'), 60],
  [say('within two hours'), 120],
];
const handWishes = (): readonly (readonly [string, number | undefined])[] => [
  [say('any hands'), undefined],
  [say('10 min of hands'), 10],
  [say('20 min of hands'), 20],
];
const heatWishes = (): readonly (readonly [string, Wish['without']])[] => [
  [say('any heat'), undefined],
  [say('no burner'), ['burner']],
  [say('no oven'), ['oven']],
  [say('nothing hot'), ['burner', 'oven']],
];
const suitWishes = (): readonly (readonly [string, Diet | undefined])[] => [
  [say('everybody'), undefined],
  ...DIETS.slice(0, 3).map((diet) => [diet === 'with fish' ? say('with fish, no meat') : term(diet), diet] as const),
];
const freeWishes = (): readonly (readonly [string, readonly string[] | undefined])[] => [
  [say('any allergens'), undefined],
  ...ALLERGENS.map((each) => [say('without {each}', { each: term(each) }), [each]] as const),
];

/** All dishes, one's own and those of the shelf, found by what one has: time, hands, heat, guests. */
export function DishesView() {
  useTitle('Dishes');
  const own = useLiveQuery(() => pantry().dishes.toArray(), []);
  const cards = useMemo(() => (own ? withShelf(own).map(cardOf) : []), [own]);
  const [isSample, setIsSample] = useState<((dish: Dish) => boolean) | null>(null);
  useEffect(() => {
    // Until it is known which came as samples, or where that cannot be fetched, no dish is called the cook's own.
    import('@/store/samples').then((samples) => setIsSample(() => samples.isSample)).catch(() => undefined);
  }, []);
  const [words, setWords] = useState('');
  const [time, setTime] = useState(0);
  const [hands, setHands] = useState(0);
  const [heat, setHeat] = useState(0);
  const [suits, setSuits] = useState(0);
  const [free, setFree] = useState(0);
  if (!own) return <p className="mt-10 text-faint">{say('Opening…')}</p>;
  const found = search(cards, {
    words,
    ...wished('mostMinutes', timeWishes()[time]![1]),
    ...wished('mostHands', handWishes()[hands]![1]),
    ...wished('without', heatWishes()[heat]![1]),
    ...wished('diet', suitWishes()[suits]![1]),
    ...wished('free', freeWishes()[free]![1]),
  });
  const mine = new Set(own.filter((dish) => isSample && !isSample(dish)).map((dish) => dish.id));
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-4xl">{say('Dishes')}</h1>
        <span className="flex flex-wrap items-center gap-3">
          <Link href="/dishes/read" className="inline-flex min-h-10 items-center rounded-lg bg-soft px-3.5">
            {say('Read a recipe')}
          </Link>
          <Link
            href="/dishes/new"
            className="inline-flex min-h-10 items-center rounded-lg bg-ember px-3.5 font-semibold text-on-ember"
          >
            {say('Make a dish')}
          </Link>
        </span>
      </div>
      <div className="mt-4 flex flex-wrap items-end gap-x-4 gap-y-3">
        <Field
          label={say('Its name, or what is in it')}
          type="search"
          value={words}
          className="w-64"
          onChange={(event) => setWords(event.target.value)}
        />
        <Filter label={say('Time')} options={timeWishes()} chosen={time} onChoose={setTime} />
        <Filter label={say('Hands')} options={handWishes()} chosen={hands} onChoose={setHands} />
        <Filter label={say('Heat')} options={heatWishes()} chosen={heat} onChoose={setHeat} />
        <Filter label={say('Suits')} options={suitWishes()} chosen={suits} onChoose={setSuits} />
        <Filter label={say('Allergens')} options={freeWishes()} chosen={free} onChoose={setFree} />
      </div>
      <p className="mt-3 text-faint" role="status">
        {say('{found} of {cards} dishes', { found: found.length, cards: cards.length })}
      </p>
      <ul className="mt-1 border-t border-line">
        {found.map((card) => (
          <Row key={card.dish.id} card={card} mine={mine.has(card.dish.id)} />
        ))}
      </ul>
      {found.length === 0 && (
        <p className="mt-3">{say('Nothing of that kind. Take one wish back, or make a dish of your own.')}</p>
      )}
    </>
  );
}

function wished<K extends keyof Wish>(key: K, value: Wish[K] | undefined): Pick<Wish, K> | object {
  return value === undefined ? {} : { [key]: value };
}

function Row({ card, mine }: { readonly card: Card; readonly mine: boolean }) {
  const { dish, minutes, hands, needs, diet, allergens } = card;
  return (
    <li className="border-b border-line">
      <Link
        href={`/dishes/${encodeURIComponent(dish.id)}`}
        className="grid gap-x-6 py-2.5 hover:bg-soft sm:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]"
      >
        <span className="text-lg font-semibold">
          {dish.name} {mine && <span className="ms-1 text-sm font-normal text-faint">{say('yours')}</span>}
        </span>
        <span className="text-faint">
          {allergens.length > 0
            ? say('{span}, {hands} of hands · {needs} · {diet} · {allergens}', {
                span: printSpan(minutes),
                hands: printSpan(hands),
                needs: listed(needs.map(term)),
                diet: term(diet),
                allergens: allergens.map(term).join(say(', ')),
              })
            : say('{span}, {hands} of hands · {needs} · {diet}', {
                span: printSpan(minutes),
                hands: printSpan(hands),
                needs: listed(needs.map(term)),
                diet: term(diet),
              })}
        </span>
      </Link>
    </li>
  );
}

interface FilterProps {
  readonly label: string;
  readonly options: readonly (readonly [string, unknown])[];
  readonly chosen: number;
  readonly onChoose: (index: number) => void;
}

function Filter({ label, options, chosen, onChoose }: FilterProps) {
  return (
    <Listbox value={chosen} onChange={onChoose}>
      <ListboxButton
        aria-label={label}
        className={`inline-flex min-h-10 items-center gap-2 rounded-lg px-3 ${chosen > 0 ? 'bg-ink text-ground' : 'bg-soft'}`}
      >
        {options[chosen]![0]} <ChevronDown size={16} aria-hidden />
      </ListboxButton>
      <ListboxOptions
        anchor="bottom start"
        className="z-10 max-h-96 overflow-auto rounded-lg border border-line bg-paper p-1 shadow-lg"
      >
        {options.map(([says], index) => (
          <ListboxOption
            key={says}
            value={index}
            className="min-h-10 cursor-pointer rounded px-3 py-2 data-focus:bg-soft data-selected:font-semibold"
          >
            {says}
          </ListboxOption>
        ))}
      </ListboxOptions>
    </Listbox>
  );
}
