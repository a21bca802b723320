'use client';

import { X } from 'lucide-react';
import type { VesselUse } from '@/core/dish/dish';
import { withNewVessel, withoutVessel, withVessel } from '@/core/dish/edit-steps';
import { VESSEL_KINDS } from '@/core/kitchen/kitchen';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import { KeptField } from '@/ui/kept-field';
import { ownWords, Select } from '@/ui/select';
import { Stepper } from '@/ui/stepper';
import { TickBox } from '@/ui/tick-box';
import { type FormProps, stepsOf } from './form';

/** The pots and pans of a dish, each with the steps from and to which it is taken. */
export function VesselsForm({ dish, onChange }: FormProps) {
  return (
    <section aria-label={say('Pots and pans')}>
      <h2 className="text-2xl">{say('Pots and pans')}</h2>
      <ul className="mt-1 border-t border-line">
        {dish.vessels.map((use) => {
          const set = (change: Partial<VesselUse>) => onChange((now) => withVessel(now, use.id, change));
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
                <KeptField
                  hideLabel
                  label={say('Name of the {use}', { use: use.name })}
                  value={use.name}
                  className="w-36"
                  onChange={(name) => set({ name })}
                />
                <Select
                  label={say('Kind of the {use}', { use: use.name })}
                  hideLabel
                  value={use.need.kinds[0]!}
                  options={ownWords(VESSEL_KINDS)}
                  onChange={(kind) => set({ need: { ...use.need, kinds: [kind] } })}
                />
                <Stepper
                  label={say('Litres of the {use}', { use: use.name })}
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
                  aria-label={say('Take out the {use}', { use: use.name })}
                  className="grid size-10 place-items-center rounded-lg hover:bg-soft"
                  onClick={() => onChange((now) => withoutVessel(now, use.id))}
                >
                  <X size={18} aria-hidden />
                </button>
              </span>
              <span className="flex flex-wrap items-end gap-3">
                <Stepper
                  label={say('Width of the {use}, at the least', { use: use.name })}
                  unit="cm"
                  value={use.need.widthCm}
                  least={0}
                  most={150}
                  onChange={(widthCm) => set({ need: { ...use.need, widthCm } })}
                />
                <Stepper
                  label={say('Washing the {use}', { use: use.name })}
                  unit="min"
                  value={use.washMinutes}
                  least={0}
                  most={240}
                  onChange={(washMinutes) => set({ washMinutes })}
                />
                <TickBox value={use.grows} onChange={(grows) => set({ grows })}>
                  {say('larger for more people')}
                </TickBox>
                <TickBox
                  value={use.need.straight === true}
                  onChange={(on) => {
                    const { straight: _, ...need } = use.need;
                    set({ need: on ? { ...need, straight: true } : need });
                  }}
                >
                  {say('straight sides')}
                </TickBox>
              </span>
              <span className="flex flex-wrap gap-3">
                {edge('from', say('from the beginning of'))}
                {edge('to', say('to the end of'))}
              </span>
            </li>
          );
        })}
      </ul>
      <Button
        look="quiet"
        className="mt-1 px-0"
        onClick={() => onChange((now) => withNewVessel(now, now.steps[0]!.id))}
      >
        {say('add one')}
      </Button>
    </section>
  );
}
