'use client';

import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { ChevronRight } from 'lucide-react';
import { useEffect, useState } from 'react';
import { DIETS, type Diet } from '@/core/dish/diet';
import type { Dish } from '@/core/dish/dish';
import { withShelf } from '@/core/dish/shelf';
import type { Meal } from '@/core/meal/meal';
import { type Place, type Proposal, proposeMenu } from '@/core/meal/menu-proposal';
import { readWants } from '@/core/meal/menu-words';
import { say, term } from '@/core/say/say';
import { Button } from '@/ui/button';
import { Field } from '@/ui/field';
import { Select } from '@/ui/select';
import { askPlanner } from '@/workers/planner';

/** Long enough to see whether it comes out; the menu itself is planned with more. */
const THINK = { seconds: 2.5, rounds: 40 } as const;

/** Milliseconds in which the page is drawn. */
const DRAWN = 30;

const guestWords = (): readonly (readonly [Diet | null, string])[] => [
  [null, say('everything')],
  ...DIETS.toReversed()
    .filter((diet) => diet !== 'with meat')
    .map((diet) => [diet, term(diet)] as const),
];

interface WholeMenuProps {
  readonly meal: Meal;
  readonly own: readonly Dish[];
  readonly onTake: (dishes: readonly Dish[]) => void;
}

/** A whole menu from a few words: what goes together in this kitchen, changed as one likes, with what comes of it. */
export function WholeMenu({ meal, own, onTake }: WholeMenuProps) {
  const [text, setText] = useState('');
  const [diet, setDiet] = useState<Diet | null>(null);
  const [skip, setSkip] = useState<ReadonlySet<string>>(new Set());
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const [asked, setAsked] = useState(false);
  const [busy, setBusy] = useState(false);
  const wants = readWants(text);
  const propose = (without: ReadonlySet<string>) => {
    setAsked(true);
    setSkip(without);
    setBusy(true);
    // All dishes are weighed at once: what is said of it must be drawn before.
    setTimeout(() => {
      setProposal(wants.length > 0 ? proposeMenu(wants, withShelf(own), { meal, diet }, without) : null);
      setBusy(false);
    }, DRAWN);
  };
  const dishes = proposal?.places.flatMap(({ dish }) => dish ?? []) ?? [];
  return (
    <Disclosure
      as="section"
      aria-label={say('A menu from a few words')}
      defaultOpen={meal.dishes.length === 0}
      className="mt-5"
    >
      <DisclosureButton className="group flex min-h-11 items-center gap-2 text-lg">
        <ChevronRight size={18} aria-hidden className="transition-transform group-data-open:rotate-90" />
        {say('A menu from a few words')}
      </DisclosureButton>
      <DisclosurePanel className="grid gap-3 ps-6">
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            propose(new Set());
          }}
        >
          <Field
            label={say('What shall there be?')}
            value={text}
            onChange={(event) => setText(event.target.value)}
            placeholder={say('a grain, a braise, two sides, something cold')}
            className="w-[min(32rem,80vw)]"
          />
          <Select label={say('Everyone eats')} value={diet} options={guestWords()} onChange={setDiet} />
          <Button look="strong" type="submit">
            {say('Propose')}
          </Button>
        </form>
        {busy && <p role="status">{say('Looking through the dishes…')}</p>}
        {asked && wants.length === 0 && (
          <p role="alert">
            {say('Say what shall be on the table, such as “a grain, a braise, two sides” or names of dishes.')}
          </p>
        )}
        {proposal && !busy && (
          <>
            <ol className="border-t border-line">
              {proposal.places.map((place, k) => (
                <PlaceRow
                  // Two places may be asked for in the same words.
                  // biome-ignore lint/suspicious/noArrayIndexKey: its place is what it is known by
                  key={k}
                  place={place}
                  onSwap={(dish) => setProposal(swapped(proposal, k, dish))}
                />
              ))}
            </ol>
            <ul className="text-faint">
              {proposal.notes.map((note) => (
                <li key={note}>{note}</li>
              ))}
            </ul>
            <Outlook meal={meal} dishes={dishes} />
            <div className="flex flex-wrap gap-3">
              <Button look="strong" disabled={dishes.length === 0} onClick={() => onTake(dishes)}>
                {say('Take this menu')}
              </Button>
              <Button onClick={() => propose(new Set([...skip, ...dishes.map(({ id }) => id)]))}>
                {say('Something else')}
              </Button>
            </div>
          </>
        )}
      </DisclosurePanel>
    </Disclosure>
  );
}

/** The dish that was there is one of the others now. What was said of the whole is said no more. */
function swapped({ places }: Proposal, at: number, dish: Dish): Proposal {
  return {
    notes: [],
    places: places.map((place, k) => {
      if (k !== at) return place;
      const others = [...(place.dish ? [place.dish] : []), ...place.others].filter(({ id }) => id !== dish.id);
      return { ...place, dish, others };
    }),
  };
}

function PlaceRow({ place, onSwap }: { readonly place: Place; readonly onSwap: (dish: Dish) => void }) {
  const { want, dish, others } = place;
  return (
    <li className="grid grid-cols-[8rem_1fr] items-center gap-3 border-b border-line py-1.5">
      <span className="text-faint">{want.says}</span>
      {dish ? (
        <Select
          label={say('For {says}', { says: want.says })}
          hideLabel
          className="w-full max-w-md"
          value={dish.id}
          options={[dish, ...others].map(({ id, name }) => [id, name] as const)}
          onChange={(id) => {
            const other = others.find((each) => each.id === id);
            if (other) onSwap(other);
          }}
        />
      ) : (
        <span>{say('Nothing that is known here, or that this kitchen could cook: say it in other words.')}</span>
      )}
    </li>
  );
}

/** What comes of it: planned for real, in a moment. */
function Outlook({ meal, dishes }: { readonly meal: Meal; readonly dishes: readonly Dish[] }) {
  const [found, setFound] = useState<{ readonly key: string; readonly says: string } | null>(null);
  const key = dishes.map(({ id }) => id).join(' ');
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key says which dishes they are
  useEffect(() => {
    if (key === '') return;
    let gone = false;
    const together = { ...meal, dishes: [...meal.dishes, ...dishes] };
    void askPlanner({ meal: together, ...THINK, explain: false }).then((result) => {
      if (gone) return;
      const says = result.ok ? result.plan.verdict : (result.refusals[0]?.sentence ?? say('No plan was found.'));
      setFound({ key, says });
    });
    return () => {
      gone = true;
    };
  }, [key, meal]);
  if (key === '') return null;
  return (
    <p role="status" className="border-s-4 border-line ps-3 text-lg">
      {found?.key === key ? found.says : say('Looking whether it comes out…')}
    </p>
  );
}
