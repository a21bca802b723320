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
    <Disclosure as="section" aria-label="Pots and pans" className="mt-5">
      <DisclosureButton className="group flex min-h-10 items-center gap-2 text-2xl">
        <ChevronRight size={20} aria-hidden className="transition-transform group-data-open:rotate-90" />
        <span className="font-title">Pots and pans</span>
      </DisclosureButton>
      <DisclosurePanel>
        <p className="text-faint">As the planner takes them. Choose another that fits, and the rest arranges itself.</p>
        <ul className="mt-2 border-t border-line">
          {pots.map((pot) => (
            <li
              key={pot.key}
              className="grid items-center gap-x-4 border-b border-line py-1.5 sm:grid-cols-[minmax(0,1fr)_13rem_8rem]"
            >
              <span>
                {pot.dish}: {pot.use}
                <span className="block text-sm text-faint">
                  must hold {Math.round(pot.litres * 10) / 10} l
                  {pot.widthCm > 0 && `, ${Math.ceil(pot.widthCm)} cm across`}
                </span>
              </span>
              <Listbox value={pot.byHand ? pot.vessel.id : ANY} onChange={(id) => choose(pot, unitOf(pot, id))}>
                <ListboxButton
                  aria-label={`Vessel for ${pot.dish}: ${pot.use}`}
                  className="inline-flex min-h-10 items-center justify-between gap-2 rounded-lg border border-line bg-paper px-3 text-start"
                >
                  <span>
                    {pot.vessel.name}
                    {pot.byHand && <span className="text-ember"> · by hand</span>}
                  </span>
                  <ChevronDown size={16} aria-hidden />
                </ListboxButton>
                <ListboxOptions
                  anchor="bottom start"
                  className="z-10 rounded-lg border border-line bg-paper p-1 shadow-lg"
                >
                  <ListboxOption value={ANY} className="min-h-10 cursor-pointer rounded px-3 py-2 data-focus:bg-soft">
                    whichever stands best
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
              <span className="text-faint">
                {pot.from} to {pot.until}
              </span>
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
