'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Refusal } from '@/core/dish/check';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { changeKitchen } from '@/store/meals';
import { Button } from '@/ui/button';
import { KeptField } from '@/ui/kept-field';
import { useTitle } from '@/ui/title';
import { Appliances, Burners, Ovens, People, Vessels } from './lists';
import { type ListName, rowsOf } from './rows';
import { Surroundings } from './surroundings';

/** Burners, oven, appliances, pots and people of a kitchen; each change is checked and stored at once. */
export function KitchenView({ id }: { readonly id: string }) {
  const router = useRouter();
  const [fault, setFault] = useState<Refusal | null>(null);
  const kitchen = useLiveQuery(async () => (await pantry().kitchens.get(id)) ?? null, [id]);
  useTitle('Kitchen', kitchen?.name);
  if (kitchen === undefined) return <p className="mt-10 text-faint">{say('Opening the kitchen…')}</p>;
  if (kitchen === null) return <p className="mt-10">{say('There is no such kitchen in this browser.')}</p>;
  // Each change is made to what is stored, not to what this view last read.
  const change = async (by: (kitchen: Kitchen) => Kitchen) => setFault(await changeKitchen(pantry(), id, by));
  const rows = <L extends ListName>(list: L) => rowsOf(list, (by) => void change(by));
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-4xl">{kitchen.name}</h1>
        <Button onClick={() => router.back()}>{say('Back')}</Button>
      </div>
      <div className="mt-2">
        <KeptField
          label={say('Name of the kitchen')}
          className="w-[min(30rem,86vw)]"
          value={kitchen.name}
          onChange={(name) => void change((now) => ({ ...now, name }))}
        />
      </div>
      <Surroundings kitchen={kitchen} onChange={(by) => void change(by)} />
      {fault && (
        <p role="alert" className="mt-3 border-s-4 border-warn ps-3 text-lg">
          {say('{sentence} The kitchen was kept as it was.', { sentence: fault.sentence })}
        </p>
      )}
      <div className="mt-4 grid gap-x-12 gap-y-8 xl:grid-cols-2">
        <Burners kitchen={kitchen} rows={rows('burners')} />
        <Ovens kitchen={kitchen} rows={rows('ovens')} />
        <Vessels kitchen={kitchen} rows={rows('vessels')} />
        <div className="flex flex-col gap-8">
          <People kitchen={kitchen} rows={rows('people')} />
          <Appliances kitchen={kitchen} rows={rows('appliances')} />
        </div>
      </div>
    </>
  );
}
