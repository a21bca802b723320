'use client';

import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { ChevronRight, GripVertical, Plus, X } from 'lucide-react';
import { useId, useState } from 'react';
import { allergensOf, askedAbout } from '@/core/dish/diet';
import type { Attention, Dish, Place, Step, VesselUse, Waits } from '@/core/dish/dish';
import {
  type After,
  aftersOf,
  changed,
  goesInto,
  withAfters,
  withIngredient,
  withLikely,
  withName,
  withNewIngredient,
  withNewStep,
  withNewVessel,
  withOrder,
  withoutIngredient,
  withoutStep,
  withoutVessel,
  withStep,
  withUse,
  withVessel,
} from '@/core/dish/edit-steps';
import { withSaidFood } from '@/core/dish/said-foods';
import { APPLIANCE_KINDS, type ApplianceKind, HEATS, type Heat, VESSEL_KINDS } from '@/core/kitchen/kitchen';
import { UNITS } from '@/core/units/amount';
import { pantry } from '@/store/db';
import { sayFood } from '@/store/foods';
import { storeDish } from '@/store/meals';
import { Button } from '@/ui/button';
import { Pills } from '@/ui/pills';
import { ownWords, Select } from '@/ui/select';
import { Stepper } from '@/ui/stepper';
import { Strip } from './strip';
import { Typed } from './typed';
import { WhatIsIt } from './what-is-it';

const MINUTES_WITHIN: readonly (readonly [number | null, string])[] = [
  [0, 'at once'],
  [5, 'within 5 min'],
  [10, 'within 10 min'],
  [20, 'within 20 min'],
  [30, 'within half an hour'],
  [60, 'within an hour'],
  [120, 'within two hours'],
  [240, 'within four hours'],
  [null, 'any time'],
];

/** A dish changed step by step: each change is checked, stored and shown at once, and can be taken back. */
export function ByHand({ dish, onDone }: { readonly dish: Dish; readonly onDone: () => void }) {
  const [past, setPast] = useState<readonly Dish[]>([]);
  const [fault, setFault] = useState<string | null>(null);
  const store = async (next: Dish, history: readonly Dish[]) => {
    const result = changed(next);
    const refusal = result.ok ? await storeDish(pantry(), result.dish) : result.refusal;
    setFault(refusal?.sentence ?? null);
    if (!refusal) setPast(history);
  };
  const change = (next: Dish) => void store(next, [...past, dish]);
  const undo = () => {
    const before = past.at(-1);
    if (before) void store(before, past.slice(0, -1));
  };
  return (
    <>
      <div className="mt-2 flex flex-wrap items-end justify-between gap-3">
        <Typed
          label="Name of the dish"
          value={dish.name}
          className="h-12 w-[min(30rem,86vw)] px-3 font-title text-2xl"
          onChange={(name) => change({ ...dish, name })}
        />
        <div className="flex items-center gap-2">
          <Button look="quiet" disabled={past.length === 0} onClick={undo}>
            take back
          </Button>
          <Button look="strong" onClick={onDone}>
            Done
          </Button>
        </div>
      </div>
      {fault && (
        <p role="alert" className="mt-2 border-l-4 border-warn pl-3 text-lg">
          {fault} Kept as it was.
        </p>
      )}
      <div className="mt-4 grid gap-x-12 gap-y-6 lg:grid-cols-2">
        <div className="grid content-start gap-6">
          <Stepper
            label="Written for"
            unit="people"
            value={dish.servings}
            least={1}
            most={200}
            onChange={(servings) => change({ ...dish, servings })}
          />
          <Ingredients dish={dish} onChange={change} />
          <WhatIsIt
            asked={askedAbout(dish)}
            onSay={(item, food) => {
              change(withSaidFood(dish, item.id, food));
              void sayFood(pantry(), item.name, food);
            }}
          />
          <Vessels dish={dish} onChange={change} />
          <Landing dish={dish} onChange={change} />
        </div>
        <div className="grid min-w-0 content-start gap-6">
          <Strip dish={dish} />
          <section aria-label="The steps">
            <h2 className="text-2xl">The steps</h2>
            <ol className="mt-1 border-t border-line">
              {dish.steps.map((step) => (
                <StepForm key={step.id} dish={dish} step={step} onChange={change} />
              ))}
            </ol>
          </section>
        </div>
      </div>
    </>
  );
}

interface FormProps {
  readonly dish: Dish;
  readonly onChange: (dish: Dish) => void;
}

function Ingredients({ dish, onChange }: FormProps) {
  return (
    <section aria-label="What goes in">
      <h2 className="text-2xl">What goes in</h2>
      <ul className="mt-1 border-t border-line">
        {dish.ingredients.map((item, place) => {
          const step = goesInto(dish, item.id);
          return (
            <li
              key={item.id}
              className="grid gap-1 border-b border-line py-1.5"
              onDragOver={(event) => event.preventDefault()}
              onDrop={(event) => {
                event.preventDefault();
                const dragged = event.dataTransfer.getData('text/plain');
                if (dragged !== item.id) onChange(withOrder(dish, dragged, place));
              }}
            >
              <span className="flex gap-2">
                <button
                  type="button"
                  draggable
                  aria-label={`${item.name}: drag, or press the arrows, to another place`}
                  className="grid size-10 shrink-0 cursor-grab place-items-center rounded-lg hover:bg-soft"
                  onDragStart={(event) => event.dataTransfer.setData('text/plain', item.id)}
                  onKeyDown={(event) => {
                    const step = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
                    if (step === 0) return;
                    event.preventDefault();
                    onChange(withOrder(dish, item.id, place + step));
                  }}
                >
                  <GripVertical size={18} aria-hidden />
                </button>
                <Typed
                  label={`How much ${item.name}`}
                  value={String(Number(item.amount.quantity.toFixed(2)))}
                  className="w-20 text-right"
                  onChange={(text) => {
                    const quantity = Number(text.replace(',', '.'));
                    if (quantity > 0) onChange(withIngredient(dish, item.id, { amount: { ...item.amount, quantity } }));
                  }}
                />
                <Select
                  label={`Unit of ${item.name}`}
                  hideLabel
                  value={item.amount.unit}
                  options={ownWords(UNITS)}
                  onChange={(unit) => onChange(withIngredient(dish, item.id, { amount: { ...item.amount, unit } }))}
                />
                <Typed
                  label={`Instead of ${item.name}`}
                  value={item.name}
                  className="min-w-0 flex-1"
                  onChange={(name) => onChange(withName(dish, item.id, name))}
                />
                <button
                  type="button"
                  aria-label={`Take out ${item.name}`}
                  className="grid size-10 shrink-0 place-items-center rounded-lg hover:bg-soft"
                  onClick={() => onChange(withoutIngredient(dish, item.id))}
                >
                  <X size={18} aria-hidden />
                </button>
              </span>
              <span
                className={`flex flex-wrap items-center gap-2 text-sm ${step === undefined ? 'text-warn' : 'text-faint'}`}
              >
                goes into
                <Select
                  label={`Step for ${item.name}`}
                  hideLabel
                  value={step ?? null}
                  options={[[null, 'no step: it will be forgotten'], ...stepsOf(dish)]}
                  onChange={(next) => onChange(withUse(dish, item.id, next))}
                />
                <Typed
                  label={`Allergens of ${item.name}`}
                  value={allergensOf({ ingredients: [item] }).join(', ')}
                  hint="no allergens"
                  mayBeEmpty
                  className="h-9 w-44 text-sm text-ink"
                  onChange={(text) =>
                    onChange(
                      withIngredient(dish, item.id, {
                        allergens: text
                          .split(',')
                          .map((each) => each.trim().toLowerCase())
                          .filter(Boolean),
                      }),
                    )
                  }
                />
              </span>
            </li>
          );
        })}
      </ul>
      <Button look="quiet" className="mt-1 px-0" onClick={() => onChange(withNewIngredient(dish))}>
        add something
      </Button>
    </section>
  );
}

function Vessels({ dish, onChange }: FormProps) {
  return (
    <section aria-label="Pots and pans">
      <h2 className="text-2xl">Pots and pans</h2>
      <ul className="mt-1 border-t border-line">
        {dish.vessels.map((use) => {
          const set = (change: Partial<VesselUse>) => onChange(withVessel(dish, use.id, change));
          const edge = (which: 'from' | 'to', words: string) => (
            <span className="flex items-center gap-2 text-sm text-faint">
              <span aria-hidden>{words}</span>
              <Select
                label={`${use.name} ${words}`}
                hideLabel
                value={use[which]}
                options={stepsOf(dish)}
                onChange={(step) => set({ [which]: step })}
              />
            </span>
          );
          return (
            <li key={use.id} className="grid gap-2 border-b border-line py-2">
              <span className="flex flex-wrap items-end gap-3">
                <Typed
                  label={`Name of the ${use.name}`}
                  value={use.name}
                  className="w-36"
                  onChange={(name) => set({ name })}
                />
                <Select
                  label={`Kind of the ${use.name}`}
                  hideLabel
                  value={use.need.kinds[0]!}
                  options={ownWords(VESSEL_KINDS)}
                  onChange={(kind) => set({ need: { ...use.need, kinds: [kind] } })}
                />
                <Stepper
                  label={`Litres of the ${use.name}`}
                  hideLabel
                  unit="l"
                  value={use.need.litres}
                  least={0.1}
                  most={100}
                  step={0.5}
                  onChange={(litres) => set({ need: { ...use.need, litres } })}
                />
                <button
                  type="button"
                  aria-label={`Take out the ${use.name}`}
                  className="grid size-10 place-items-center rounded-lg hover:bg-soft"
                  onClick={() => onChange(withoutVessel(dish, use.id))}
                >
                  <X size={18} aria-hidden />
                </button>
              </span>
              <span className="flex flex-wrap gap-3">
                {edge('from', 'from the beginning of')}
                {edge('to', 'to the end of')}
              </span>
            </li>
          );
        })}
      </ul>
      <Button look="quiet" className="mt-1 px-0" onClick={() => onChange(withNewVessel(dish, dish.steps[0]!.id))}>
        add one
      </Button>
    </section>
  );
}

const SERVED: readonly (readonly ['hot' | 'warm' | 'cold', string])[] = [
  ['hot', 'hot'],
  ['warm', 'warm'],
  ['cold', 'cold'],
];

/** How the finished dish waits for the table; a part of other dishes does not. */
function Landing({ dish, onChange }: FormProps) {
  const { lands } = dish;
  if (!lands) return null;
  const set = (change: Partial<Waits>) =>
    onChange({ ...dish, lands: { ...lands, waits: { ...lands.waits, ...change } } });
  return (
    <section aria-label="At the table" className="grid gap-3">
      <h2 className="text-2xl">At the table</h2>
      <Select
        label="ready at the end of"
        value={lands.step}
        options={stepsOf(dish)}
        onChange={(step) => onChange({ ...dish, lands: { ...lands, step } })}
      />
      <Pills label="Eaten" value={lands.waits.served} options={SERVED} onChange={(served) => set({ served })} />
      <div className="flex flex-wrap gap-4">
        <Stepper
          label="It waits well for"
          unit="min"
          value={lands.waits.wellMinutes}
          least={0}
          most={2880}
          onChange={(wellMinutes) => set({ wellMinutes })}
        />
        <Stepper
          label="and at the most"
          unit="min"
          value={lands.waits.mostMinutes}
          least={0}
          most={2880}
          onChange={(mostMinutes) => set({ mostMinutes })}
        />
      </div>
      <Typed
        label="How it waits"
        value={lands.waits.how}
        hint="covered, in its pot"
        className="w-full"
        onChange={(how) => set({ how })}
      />
    </section>
  );
}

const ATTENTION: readonly (readonly [Attention, string])[] = [
  ['hands', 'wants hands'],
  ['eyes', 'wants looks'],
  ['none', 'goes by itself'],
];
const PLACES: readonly (readonly [Place['at'], string])[] = [
  ['board', 'at the board'],
  ['burner', 'on a burner'],
  ['oven', 'in the oven'],
  ['appliance', 'in an appliance'],
  ['rest', 'off the heat'],
  ['cold', 'in the cold'],
];

function placeAt(at: Place['at']): Place {
  switch (at) {
    case 'burner':
      return { at, heat: 'medium' };
    case 'oven':
      return { at, celsius: 180, shelves: 1 };
    case 'appliance':
      return { at, appliance: 'rice-cooker' };
    default:
      return { at };
  }
}

function StepForm({ dish, step, onChange }: FormProps & { readonly step: Step }) {
  const says = useId();
  const set = (change: Partial<Step>) => onChange(withStep(dish, step.id, change));
  const { place, minutes } = step;
  return (
    <Disclosure as="li" className="border-b border-line py-1">
      <DisclosureButton className="group flex min-h-11 w-full items-center gap-2 text-left">
        <ChevronRight size={18} aria-hidden className="shrink-0 transition-transform group-data-open:rotate-90" />
        <span>
          <span className="font-semibold">{step.name}</span>{' '}
          <span className="text-faint">
            {minutes.likely} min{step.doneWhen && `, until ${step.doneWhen}`}
          </span>
        </span>
      </DisclosureButton>
      <DisclosurePanel className="grid gap-3 pb-3 pl-6">
        <div className="flex flex-wrap items-end gap-3">
          <Typed label="Name of the step" value={step.name} className="w-40" onChange={(name) => set({ name })} />
          <Stepper
            label="Minutes, likely"
            value={minutes.likely}
            least={0}
            most={2880}
            onChange={(likely) => set({ minutes: withLikely(minutes, likely) })}
          />
        </div>
        <div>
          <label htmlFor={says} className="block text-sm text-faint">
            What is done
          </label>
          <textarea
            id={says}
            rows={2}
            key={step.says}
            defaultValue={step.says}
            maxLength={2000}
            className="w-full rounded-lg border border-line bg-paper p-2"
            onBlur={(event) => {
              const words = event.target.value.trim();
              if (words !== '' && words !== step.says) set({ says: words });
            }}
          />
        </div>
        <Pills
          label="It"
          value={step.attention}
          options={ATTENTION}
          onChange={(attention) =>
            set({ attention, ...(attention === 'eyes' ? { lookEvery: step.lookEvery ?? 10 } : {}) })
          }
        />
        <Pills label="Where" value={place.at} options={PLACES} onChange={(at) => set({ place: placeAt(at) })} />
        {place.at === 'burner' && (
          <Pills
            label="Heat"
            value={place.heat}
            options={HEATS.map((heat) => [heat, heat] as const)}
            onChange={(heat: Heat) => set({ place: { ...place, heat } })}
          />
        )}
        {place.at === 'oven' && (
          <Stepper
            label="Oven"
            unit="°C"
            value={place.celsius}
            least={30}
            most={320}
            step={5}
            onChange={(celsius) => set({ place: { ...place, celsius } })}
          />
        )}
        {place.at === 'appliance' && (
          <Pills
            label="Which"
            value={place.appliance}
            options={APPLIANCE_KINDS.map((kind) => [kind, kind.replace('-', ' ')] as const)}
            onChange={(appliance: ApplianceKind) => set({ place: { at: 'appliance', appliance } })}
          />
        )}
        <Afters dish={dish} step={step} onChange={onChange} />
        <div className="flex flex-wrap gap-3">
          <Button onClick={() => onChange(withNewStep(dish, step.id).dish)}>
            <Plus size={16} aria-hidden className="inline" /> a step after this
          </Button>
          <Button look="quiet" disabled={dish.steps.length < 2} onClick={() => onChange(withoutStep(dish, step.id))}>
            take out this step
          </Button>
        </div>
      </DisclosurePanel>
    </Disclosure>
  );
}

/** What a step comes after, by name. */
function Afters({ dish, step, onChange }: FormProps & { readonly step: Step }) {
  const afters = aftersOf(dish, step.id);
  const others = dish.steps.filter(({ id }) => id !== step.id && !afters.some((after) => after.step === id));
  const set = (next: readonly After[]) => onChange(withAfters(dish, step.id, next));
  const named = (id: string) => dish.steps.find((each) => each.id === id)?.name ?? id;
  return (
    <fieldset>
      <legend className="text-sm text-faint">It comes after</legend>
      {afters.length === 0 && <p>nothing: it may begin whenever there is time</p>}
      <ul className="grid gap-1">
        {afters.map((after) => (
          <li key={after.step} className="flex flex-wrap items-center gap-2">
            <strong className="font-semibold">{named(after.step)}</strong>
            <Select
              label={`How soon after ${named(after.step)}`}
              hideLabel
              value={after.within}
              options={withOwn(after.within)}
              onChange={(within) => set(afters.map((each) => (each === after ? { ...each, within } : each)))}
            />
            <button
              type="button"
              aria-label={`Not after ${named(after.step)}`}
              className="grid size-10 place-items-center rounded-lg hover:bg-soft"
              onClick={() => set(afters.filter((each) => each !== after))}
            >
              <X size={18} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      {others.length > 0 && (
        <Select
          label="Another step that it comes after"
          hideLabel
          className="mt-1"
          value={null}
          options={[[null, 'and after …'], ...others.map(({ id, name }) => [id, name] as const)]}
          onChange={(next) => next !== null && set([...afters, { step: next, within: null }])}
        />
      )}
    </fieldset>
  );
}

/** The steps of a dish to choose from. */
function stepsOf(dish: Dish): readonly (readonly [string, string])[] {
  return dish.steps.map(({ id, name }) => [id, name] as const);
}

/** The usual lags, and the one that stands there. */
function withOwn(within: number | null): readonly (readonly [number | null, string])[] {
  if (MINUTES_WITHIN.some(([minutes]) => minutes === within)) return MINUTES_WITHIN;
  return [[within, `within ${within} min`], ...MINUTES_WITHIN];
}
