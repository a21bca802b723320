'use client';

import { HIGHEST_METRES, LOWEST_METRES } from '@/core/heat/water';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import { HourField } from '@/ui/hour-field';
import { Pills } from '@/ui/pills';
import { Stepper } from '@/ui/stepper';
import type { ChangeKitchen } from './rows';

const ASLEEP = { from: '23:00', until: '07:00' };

/** How high a kitchen lies, where it stands, and when its household sleeps. */
export function Surroundings({ kitchen, onChange }: { readonly kitchen: Kitchen; readonly onChange: ChangeKitchen }) {
  return (
    <div className="mt-2 flex flex-wrap items-end gap-x-8 gap-y-2">
      <Stepper
        label={say('Above the sea, where water boils cooler')}
        unit="m"
        value={kitchen.metres ?? 0}
        least={LOWEST_METRES}
        most={HIGHEST_METRES}
        step={50}
        onChange={(metres) => onChange((now) => ({ ...now, metres }))}
      />
      <Pills
        label={say('Where it stands')}
        value={kitchen.where ?? 'indoors'}
        options={[
          ['indoors', 'indoors'],
          ['outdoors', say('in the open')],
          ['tent', say('in a tent or under an awning')],
        ]}
        onChange={(where) => onChange((now) => ({ ...now, where }))}
      />
      {kitchen.asleep ? (
        <div className="flex flex-wrap items-end gap-4">
          <HourField
            label={say('Asleep from')}
            value={kitchen.asleep.from}
            onChange={(from) => onChange((now) => ({ ...now, asleep: { ...ASLEEP, ...now.asleep, from } }))}
          />
          <HourField
            label={say('asleep until')}
            value={kitchen.asleep.until}
            onChange={(until) => onChange((now) => ({ ...now, asleep: { ...ASLEEP, ...now.asleep, until } }))}
          />
          <Button look="quiet" onClick={() => onChange(({ asleep: _, ...awake }) => awake)}>
            {say('no fixed hours')}
          </Button>
        </div>
      ) : (
        <Button look="quiet" onClick={() => onChange((now) => ({ ...now, asleep: ASLEEP }))}>
          {say('Tell when the household sleeps')}
        </Button>
      )}
    </div>
  );
}
