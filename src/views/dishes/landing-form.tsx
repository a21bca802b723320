'use client';
import type { Waits } from '@/core/dish/dish';
import { say } from '@/core/say/say';
import { KeptField } from '@/ui/kept-field';
import { Pills } from '@/ui/pills';
import { Select } from '@/ui/select';
import { Stepper } from '@/ui/stepper';
import { TickBox } from '@/ui/tick-box';
import { type FormProps, stepsOf } from './form';

const servedWords = (): readonly (readonly ['hot' | 'warm' | 'cold', string])[] => [
  ['hot', say('hot')],
  ['warm', say('warm')],
  ['cold', say('cold')],
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
    <section aria-label={say('At the table')} className="grid gap-3">
      <h2 className="text-2xl">{say('At the table')}</h2>
      <Select
        label={say('ready at the end of')}
        value={lands.step}
        options={stepsOf(dish)}
        onChange={(step) => onChange((now) => (now.lands ? { ...now, lands: { ...now.lands, step } } : now))}
      />
      <Pills
        label={say('Eaten')}
        value={lands.waits.served}
        options={servedWords()}
        onChange={(served) => set({ served })}
      />
      <div className="flex flex-wrap gap-4">
        <Stepper
          label={say('It waits well for')}
          unit="min"
          value={lands.waits.wellMinutes}
          least={0}
          most={2880}
          onChange={(wellMinutes) => set({ wellMinutes })}
        />
        <Stepper
          label={say('and at the most')}
          unit="min"
          value={lands.waits.mostMinutes}
          least={0}
          most={2880}
          onChange={(mostMinutes) => set({ mostMinutes })}
        />
      </div>
      <TickBox value={lands.waits.overnight === true} onChange={(overnight) => set({ overnight })}>
        {say('it may stand a night in the cold')}
      </TickBox>
      <KeptField
        hideLabel
        label={say('How it waits')}
        value={lands.waits.how}
        placeholder={say('covered, in its pot')}
        className="w-full"
        onChange={(how) => set({ how })}
      />
    </section>
  );
}
