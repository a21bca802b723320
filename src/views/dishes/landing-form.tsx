'use client';
import type { Waits } from '@/core/dish/dish';
import { KeptField } from '@/ui/kept-field';
import { Pills } from '@/ui/pills';
import { Select } from '@/ui/select';
import { Stepper } from '@/ui/stepper';
import { TickBox } from '@/ui/tick-box';
import { type FormProps, stepsOf } from './form';

const SERVED: readonly (readonly ['hot' | 'warm' | 'cold', string])[] = [
  ['hot', 'hot'],
  ['warm', 'warm'],
  ['cold', 'cold'],
];

/** How the finished dish waits for the table; a part of other dishes does not. */
export function LandingForm({ dish, onChange }: FormProps) {
  const { lands } = dish;
  if (!lands) return null;
  const set = (change: Partial<Waits>) =>
    onChange((now) =>
      now.lands ? { ...now, lands: { ...now.lands, waits: { ...now.lands.waits, ...change } } } : now,
    );
  return (
    <section aria-label="At the table" className="grid gap-3">
      <h2 className="text-2xl">At the table</h2>
      <Select
        label="ready at the end of"
        value={lands.step}
        options={stepsOf(dish)}
        onChange={(step) => onChange((now) => (now.lands ? { ...now, lands: { ...now.lands, step } } : now))}
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
      <TickBox value={lands.waits.overnight === true} onChange={(overnight) => set({ overnight })}>
        it may stand a night in the cold
      </TickBox>
      <KeptField
        hideLabel
        label="How it waits"
        value={lands.waits.how}
        placeholder="covered, in its pot"
        className="w-full"
        onChange={(how) => set({ how })}
      />
    </section>
  );
}
