'use client';

import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { ChevronRight, Plus, X } from 'lucide-react';
import type { Attention, Place, Step } from '@/core/dish/dish';
import {
  type After,
  afterAt,
  aftersOf,
  withAfters,
  withLikely,
  withNewStep,
  withoutStep,
  withStep,
} from '@/core/dish/edit-steps';
import { APPLIANCE_KINDS, type ApplianceKind, HEATS, type Heat } from '@/core/kitchen/kitchen';
import { say, term } from '@/core/say/say';
import { Button } from '@/ui/button';
import { KeptField } from '@/ui/kept-field';
import { Pills } from '@/ui/pills';
import { Select } from '@/ui/select';
import { Stepper } from '@/ui/stepper';
import { TickBox } from '@/ui/tick-box';
import type { FormProps } from './form';
import { StepMore } from './step-more';

const minutesWithin = (): readonly (readonly [number | null, string])[] => [
  [0, say('at once')],
  [5, say('within 5 min')],
  [10, say('within 10 min')],
  [20, say('within 20 min')],
  [30, say('within half an hour')],
  [60, say('within an hour')],
  [120, say('within two hours')],
  [240, say('within four hours')],
  [null, say('any time')],
];

const attentionWords = (): readonly (readonly [Attention, string])[] => [
  ['hands', say('wants hands')],
  ['eyes', say('wants looks')],
  ['none', say('goes by itself')],
];
const placeWords = (): readonly (readonly [Place['at'], string])[] => [
  ['board', say('at the board')],
  ['burner', say('on a burner')],
  ['oven', say('in the oven')],
  ['appliance', say('in an appliance')],
  ['rest', say('off the heat')],
  ['cold', say('in the cold')],
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

/** One step: where, how long, who looks after it, what it comes after. */
export function StepForm({ dish, step, onChange }: FormProps & { readonly step: Step }) {
  const set = (change: Partial<Step>) => onChange((now) => withStep(now, step.id, change));
  const { place, minutes } = step;
  return (
    <Disclosure as="li" className="border-b border-line py-1">
      <DisclosureButton className="group flex min-h-11 w-full items-center gap-2 text-start">
        <ChevronRight size={18} aria-hidden className="shrink-0 transition-transform group-data-open:rotate-90" />
        <span>
          <span className="font-semibold">{step.name}</span>{' '}
          <span className="text-faint">
            {step.doneWhen
              ? say('{likely} min, until {doneWhen}', { likely: minutes.likely, doneWhen: step.doneWhen })
              : say('{likely} min', { likely: minutes.likely })}
          </span>
        </span>
      </DisclosureButton>
      <DisclosurePanel className="grid gap-3 pb-3 ps-6">
        <div className="flex flex-wrap items-end gap-3">
          <KeptField
            hideLabel
            label={say('Name of the step')}
            value={step.name}
            className="w-40"
            onChange={(name) => set({ name })}
          />
          <Stepper
            label={say('Minutes, likely')}
            value={minutes.likely}
            least={0}
            most={2880}
            onChange={(likely) => set({ minutes: withLikely(minutes, likely) })}
          />
        </div>
        <KeptField label={say('What is done')} rows={2} value={step.says} onChange={(says) => set({ says })} />
        <Pills
          label={say('It')}
          value={step.attention}
          options={attentionWords()}
          onChange={(attention) =>
            set({ attention, ...(attention === 'eyes' ? { lookEvery: step.lookEvery ?? 10 } : {}) })
          }
        />
        <Pills
          label={say('Where')}
          value={place.at}
          options={placeWords()}
          onChange={(at) => set({ place: placeAt(at) })}
        />
        {place.at === 'burner' && (
          <Pills
            label={say('Heat')}
            value={place.heat}
            options={HEATS.map((heat) => [heat, term(heat)] as const)}
            onChange={(heat: Heat) => set({ place: { ...place, heat } })}
          />
        )}
        {place.at === 'oven' && (
          <Stepper
            label={say('Oven')}
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
            label={say('Which')}
            value={place.appliance}
            options={APPLIANCE_KINDS.map((kind) => [kind, kind.replace('-', ' ')] as const)}
            onChange={(appliance: ApplianceKind) => set({ place: { at: 'appliance', appliance } })}
          />
        )}
        <Afters dish={dish} step={step} onChange={onChange} />
        <More>
          <StepMore dish={dish} step={step} onChange={onChange} />
        </More>
        <div className="flex flex-wrap gap-3">
          <Button onClick={() => onChange((now) => withNewStep(now, step.id).dish)}>
            <Plus size={16} aria-hidden className="inline" /> {say('a step after this')}
          </Button>
          <Button
            look="quiet"
            disabled={dish.steps.length < 2}
            onClick={() => onChange((now) => withoutStep(now, step.id))}
          >
            {say('take out this step')}
          </Button>
        </div>
      </DisclosurePanel>
    </Disclosure>
  );
}

/** What is seldom changed stays out of sight until it is asked for. */
function More({ children }: { readonly children: React.ReactNode }) {
  return (
    <Disclosure>
      <DisclosureButton className="group flex min-h-10 items-center gap-2 text-faint">
        <ChevronRight size={16} aria-hidden className="transition-transform group-data-open:rotate-90" />
        {say('all else: pot, sign, more people, cautions')}
      </DisclosureButton>
      <DisclosurePanel className="grid gap-3">{children}</DisclosurePanel>
    </Disclosure>
  );
}

/** What a step comes after, by name. */
function Afters({ dish, step, onChange }: FormProps & { readonly step: Step }) {
  const afters = aftersOf(dish, step.id);
  const others = dish.steps.filter(({ id }) => id !== step.id && !afters.some((after) => after.step === id));
  const set = (next: readonly After[]) => onChange((now) => withAfters(now, step.id, next));
  const changed = (after: After, change: Partial<After>) =>
    afters.map((each) => (each === after ? { ...each, ...change } : each));
  const named = (id: string) => dish.steps.find((each) => each.id === id)?.name ?? id;
  return (
    <fieldset>
      <legend className="text-sm text-faint">{say('It comes after')}</legend>
      {afters.length === 0 && <p>{say('nothing: it may begin whenever there is time')}</p>}
      <ul className="grid gap-1">
        {afters.map((after) => (
          <li key={after.step} className="flex flex-wrap items-center gap-2">
            <strong className="font-semibold">{named(after.step)}</strong>
            <Select
              label={say('How soon after {named}', { named: named(after.step) })}
              hideLabel
              value={after.within}
              options={withOwn(after.within)}
              onChange={(within) => set(changed(after, { within }))}
            />
            <Stepper
              label={say('At the least after {named}', { named: named(after.step) })}
              hideLabel
              unit={say('min at the least')}
              value={after.least}
              least={0}
              most={2880}
              onChange={(least) => set(changed(after, { least }))}
            />
            <TickBox value={after.overnight} onChange={(overnight) => set(changed(after, { overnight }))}>
              {say('or a night in the cold')}
            </TickBox>
            <button
              type="button"
              aria-label={say('Not after {named}', { named: named(after.step) })}
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
          label={say('Another step that it comes after')}
          hideLabel
          className="mt-1"
          value={null}
          options={[[null, say('and after …')], ...others.map(({ id, name }) => [id, name] as const)]}
          onChange={(next) => next !== null && set([...afters, afterAt(next)])}
        />
      )}
    </fieldset>
  );
}

/** The usual lags, and the one that stands there. */
function withOwn(within: number | null): readonly (readonly [number | null, string])[] {
  if (minutesWithin().some(([minutes]) => minutes === within)) return minutesWithin();
  return [[within, say('within {within} min', { within: within ?? '' })], ...minutesWithin()];
}
