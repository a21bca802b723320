'use client';

import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';
import { useLiveQuery } from 'dexie-react-hooks';
import { ChevronDown } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { ALLERGENS, DIETS, type Diet } from '@/core/dish/diet';
import type { Dish } from '@/core/dish/dish';
import { type Card, cardOf, search, type Wish } from '@/core/dish/search';
import { withShelf } from '@/core/dish/shelf';
import { pantry } from '@/store/db';
import { printSpan } from '@/ui/clock';
import { Field } from '@/ui/field';
import { Link } from '@/ui/link';
import { useTitle } from '@/ui/title';

const TIMES: readonly (readonly [string, number | undefined])[] = [
  ['any time', undefined],
  ['within 30 min', 30],
  ['within an hour', 60],
  ['within two hours', 120],
];
const HANDS: readonly (readonly [string, number | undefined])[] = [
  ['any hands', undefined],
  ['10 min of hands', 10],
  ['20 min of hands', 20],
];
const HEAT: readonly (readonly [string, Wish['without']])[] = [
  ['any heat', undefined],
  ['no burner', ['burner']],
  ['no oven', ['oven']],
  ['nothing hot', ['burner', 'oven']],
];
const SUITS: readonly (readonly [string, Diet | undefined])[] = [
  ['everybody', undefined],
  ...DIETS.slice(0, 3).map((diet) => [diet === 'with fish' ? 'with fish, no meat' : diet, diet] as const),
];
const FREE: readonly (readonly [string, readonly string[] | undefined])[] = [
  ['any allergens', undefined],
  ...ALLERGENS.map((each) => [`without ${each}`, [each]] as const),
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
  if (!own) return <p className="mt-10 text-faint">Opening…</p>;
  const found = search(cards, {
    words,
    ...wished('mostMinutes', TIMES[time]![1]),
    ...wished('mostHands', HANDS[hands]![1]),
    ...wished('without', HEAT[heat]![1]),
    ...wished('diet', SUITS[suits]![1]),
    ...wished('free', FREE[free]![1]),
  });
  const mine = new Set(own.filter((dish) => isSample && !isSample(dish)).map((dish) => dish.id));
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-4xl">Dishes</h1>
        <span className="flex flex-wrap items-center gap-3">
          <Link href="/dishes/read" className="inline-flex min-h-10 items-center rounded-lg bg-soft px-3.5">
            Read a recipe
          </Link>
          <Link
            href="/dishes/new"
            className="inline-flex min-h-10 items-center rounded-lg bg-ember px-3.5 font-semibold text-on-ember"
          >
            Make a dish
          </Link>
        </span>
      </div>
      <div className="mt-4 flex flex-wrap items-end gap-x-4 gap-y-3">
        <Field
          label="Its name, or what is in it"
          type="search"
          value={words}
          className="w-64"
          onChange={(event) => setWords(event.target.value)}
        />
        <Filter label="Time" options={TIMES} chosen={time} onChoose={setTime} />
        <Filter label="Hands" options={HANDS} chosen={hands} onChoose={setHands} />
        <Filter label="Heat" options={HEAT} chosen={heat} onChoose={setHeat} />
        <Filter label="Suits" options={SUITS} chosen={suits} onChoose={setSuits} />
        <Filter label="Allergens" options={FREE} chosen={free} onChoose={setFree} />
      </div>
      <p className="mt-3 text-faint" role="status">
        {found.length} of {cards.length} dishes
      </p>
      <ul className="mt-1 border-t border-line">
        {found.map((card) => (
          <Row key={card.dish.id} card={card} mine={mine.has(card.dish.id)} />
        ))}
      </ul>
      {found.length === 0 && (
        <p className="mt-3">Nothing of that kind. Take one wish back, or make a dish of your own.</p>
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
          {dish.name} {mine && <span className="ms-1 text-sm font-normal text-faint">yours</span>}
        </span>
        <span className="text-faint">
          {printSpan(minutes)}, {printSpan(hands)} of hands · {needs.join(' and ')} · {diet}
          {allergens.length > 0 && ` · ${allergens.join(', ')}`}
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
