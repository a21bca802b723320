'use client';

import { useState } from 'react';
import type { Ingredient } from '@/core/dish/dish';
import { ALLERGENS, DIETS, type Diet, type FoodKind, type FoodState, KINDS, type SaidFood } from '@/core/food/food';
import { say, term } from '@/core/say/say';
import { Button } from '@/ui/button';
import { Pills } from '@/ui/pills';
import { ownWords, Select } from '@/ui/select';
import { TickBox } from '@/ui/tick-box';

const FOOD_KINDS = Object.keys(KINDS) as FoodKind[];

/** Kinds whose allergen goes without saying. */
const OF_KIND: Partial<Record<FoodKind, string>> = {
  fish: 'fish',
  crustacean: 'crustaceans',
  mollusc: 'molluscs',
  egg: 'eggs',
  dairy: 'milk',
  nut: 'tree nuts',
};

interface WhatIsItProps {
  /** Ingredients whose names nobody knows. */
  readonly asked: readonly Ingredient[];
  readonly onSay: (item: Ingredient, food: SaidFood) => void;
}

/** Names that are not known: asked about one after the other, and never guessed. */
export function WhatIsIt({ asked, onSay }: WhatIsItProps) {
  const item = asked[0];
  if (!item) return null;
  return (
    <section aria-label={say('Not known')} className="rounded-lg border-2 border-warn p-4" data-testid="what-is-it">
      <h2 className="text-2xl">{say('“{item}” is not known: what is it?', { item: item.name })}</h2>
      <p className="mt-1 text-faint">
        {asked.length > 1
          ? say(
              'Until you say so, no allergen, diet or temperature of this dish is sure. It is asked once, and remembered. {asked} more after it.',
              { asked: asked.length - 1 },
            )
          : say(
              'Until you say so, no allergen, diet or temperature of this dish is sure. It is asked once, and remembered.',
            )}
      </p>
      <Answer key={item.id} onSay={(food) => onSay(item, food)} />
    </section>
  );
}

function Answer({ onSay }: { readonly onSay: (food: SaidFood) => void }) {
  const [kind, setKind] = useState<FoodKind | ''>('');
  const [state, setState] = useState<FoodState>('raw');
  const [diet, setDiet] = useState<Diet>('vegan');
  const [allergens, setAllergens] = useState<readonly string[]>([]);
  const choose = (next: FoodKind) => {
    setKind(next);
    setDiet(KINDS[next]);
    const own = OF_KIND[next];
    setAllergens(own ? [own] : []);
  };
  const tick = (allergen: string, on: boolean) =>
    setAllergens(on ? [...allergens, allergen] : allergens.filter((each) => each !== allergen));
  return (
    <div className="mt-3 grid gap-3">
      <Select
        label={say('It is')}
        value={kind}
        options={[...(kind === '' ? ([['', say('choose what it is')]] as const) : []), ...ownWords(FOOD_KINDS)]}
        onChange={(next) => next !== '' && choose(next)}
      />
      {kind !== '' && (
        <>
          <Pills
            label={say('It goes in')}
            value={state}
            options={[
              ['raw', 'raw'],
              ['cooked', say('cooked before')],
              ['ready', say('eaten as it comes')],
            ]}
            onChange={setState}
          />
          <Pills
            label={say('Who can eat it')}
            value={diet}
            options={DIETS.map((each) => [each, term(each)])}
            onChange={setDiet}
          />
          <fieldset>
            <legend className="text-sm text-faint">{say('By its label it holds')}</legend>
            <div className="mt-0.5 flex flex-wrap gap-x-4">
              {ALLERGENS.map((each) => (
                <TickBox key={each} value={allergens.includes(each)} onChange={(on) => tick(each, on)}>
                  {term(each)}
                </TickBox>
              ))}
            </div>
          </fieldset>
          <Button
            look="strong"
            className="justify-self-start"
            onClick={() =>
              onSay({ kind, state, diet, allergens: ALLERGENS.filter((each) => allergens.includes(each)) })
            }
          >
            {say('That is what it is')}
          </Button>
        </>
      )}
    </div>
  );
}
