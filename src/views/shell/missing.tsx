'use client';

import { useState } from 'react';
import type { Meal } from '@/core/meal/meal';
import { missingAdded } from '@/core/remedies/lacking';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { carryOut } from '@/store/meals';
import { Button } from '@/ui/button';

/** Asks for what a dish wants and the kitchen has not been said to have. */
export function Missing({ meal }: { readonly meal: Meal }) {
  const [fault, setFault] = useState('');
  const missing = missingAdded(meal);
  if (!missing) return null;
  const add = async () => setFault((await carryOut(pantry(), meal.id, missing.change, Date.now()))?.sentence ?? '');
  return (
    <p className="mt-1 flex flex-wrap items-center gap-x-4" data-testid="missing">
      <span>{say('Is there {says} in {kitchen} after all?', { says: missing.says, kitchen: meal.kitchen.name })}</span>
      <Button onClick={() => void add()}>{say('Yes, add it to the kitchen')}</Button>
      {fault && <span role="alert">{fault}</span>}
    </p>
  );
}
