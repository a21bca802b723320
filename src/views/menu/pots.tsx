'use client';

import {
  Disclosure,
  DisclosureButton,
  DisclosurePanel,
  Listbox,
  ListboxButton,
  ListboxOption,
  ListboxOptions,
} from '@headlessui/react';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { withoutPin, withPin } from '@/core/meal/pin';
import { type PotTaken, potsOf } from '@/core/plan/pots';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { changeMeal } from '@/store/meals';
import { useMeal } from '@/views/shell/meal-frame';

const ANY = 'any';

/** Which pot for what over the whole meal: the planner proposes, the cook may choose another that fits. */
export function Pots() {
  const { meal, planned } = useMeal();
  if (!planned.plan || planned.plan.mealId !== meal.id) return null;
  const pots = potsOf(meal, planned.plan);
  if (pots.length === 0) return null;
  const choose = (pot: PotTaken, unit: string) => {
    void changeMeal(
      pantry(),
      meal.id,
      ({ pins = [] }) => ({
        pins: unit === ANY ? withoutPin(pins, pot.key) : withPin(pins, { key: pot.key, unit }),
      }),
      Date.now(),
    );
  };
  return (
    <Disclosure as="section" aria-label={say('Pots and pans')} className="mt-5">
      <DisclosureButton className="group flex min-h-10 items-center gap-2 text-2xl">
        <ChevronRight size={20} aria-hidden className="transition-transform group-data-open:rotate-90" />
        <span className="font-title">{say('Pots and pans')}</span>
      </DisclosureButton>
      <DisclosurePanel>
        <p className="text-faint">
          {say('As the planner takes them. Choose another that fits, and the rest arranges itself.')}
        </p>
        <ul className="mt-2 border-t border-line">
          {pots.map((pot) => (
            <li
              key={pot.key}
              className="grid items-center gap-x-4 border-b border-line py-1.5 sm:grid-cols-[minmax(0,1fr)_13rem_8rem]"
            >
              <span>
                {pot.dish}: {pot.use}
                <span className="block text-sm text-faint">
                  {pot.widthCm > 0
                    ? say('must hold {litres} l, {widthCm} cm across', {
                        litres: Math.round(pot.litres * 10) / 10,
                        widthCm: Math.ceil(pot.widthCm),
                      })
                    : say('must hold {litres} l', { litres: Math.round(pot.litres * 10) / 10 })}
                </span>
              </span>
              <Listbox value={pot.byHand ? pot.vessel.id : ANY} onChange={(id) => choose(pot, unitOf(pot, id))}>
                <ListboxButton
                  aria-label={say('Vessel for {dish}: {use}', { dish: pot.dish, use: pot.use })}
                  className="inline-flex min-h-10 items-center justify-between gap-2 rounded-lg border border-line bg-paper px-3 text-start"
                >
                  <span>
                    {pot.vessel.name}
                    {pot.byHand && <span className="text-ember"> {say('· by hand')}</span>}
                  </span>
                  <ChevronDown size={16} aria-hidden />
                </ListboxButton>
                <ListboxOptions
                  anchor="bottom start"
                  className="z-10 rounded-lg border border-line bg-paper p-1 shadow-lg"
                >
                  <ListboxOption value={ANY} className="min-h-10 cursor-pointer rounded px-3 py-2 data-focus:bg-soft">
                    {say('whichever stands best')}
                  </ListboxOption>
                  {pot.choices.map(({ id, name }) => (
                    <ListboxOption
                      key={id}
                      value={id}
                      className="min-h-10 cursor-pointer rounded px-3 py-2 data-focus:bg-soft data-selected:font-semibold"
                    >
                      {name}
                    </ListboxOption>
                  ))}
                </ListboxOptions>
              </Listbox>
              <span className="text-faint">{say('{from} to {until}', { from: pot.from, until: pot.until })}</span>
            </li>
          ))}
        </ul>
      </DisclosurePanel>
    </Disclosure>
  );
}

function unitOf({ choices }: PotTaken, id: string): string {
  return choices.find((each) => each.id === id)?.unit ?? ANY;
}
