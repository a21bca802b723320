'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { Burner, BurnerStrength, Kitchen } from '@/core/kitchen/kitchen';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { Pick } from './dial';
import { useDishAtHand } from './from-dish';

/** A burner to ask about: one of a kitchen, or one of a strength where there is no kitchen yet. */
export interface Flame {
  readonly key: string;
  readonly says: string;
  readonly burner: { readonly strength: BurnerStrength; readonly watts?: number };
  readonly kitchen: Kitchen | null;
}

const STRENGTHS: readonly BurnerStrength[] = ['strong', 'middling', 'weak'];

/** The burner that is asked about, and the choice of it. */
export function useFlame(): { readonly flame: Flame; readonly choice: React.ReactNode } {
  const kitchens = useLiveQuery(() => pantry().kitchens.toArray(), []) ?? [];
  const [key, setKey] = useState('');
  const dish = useDishAtHand();
  const flames: readonly Flame[] = [
    ...kitchens.flatMap((kitchen) =>
      kitchen.burners.map((burner: Burner) => ({
        key: `${kitchen.id}/${burner.id}`,
        says: `${burner.name}, ${kitchen.name}`,
        burner,
        kitchen,
      })),
    ),
    ...STRENGTHS.map((strength) => ({
      key: strength,
      says: say('any {strength} burner', { strength }),
      burner: { strength },
      kitchen: null,
    })),
  ];
  // A dish on the bench stands in its own kitchen, on a burner that suits a covered pot.
  const own = flames.filter(({ kitchen }) => kitchen !== null && kitchen.id === dish?.meal.kitchen.id);
  const usual = own.find(({ burner }) => burner.strength === 'middling') ?? own[0] ?? flames[0]!;
  const flame = flames.find((each) => each.key === key) ?? usual;
  const choice = (
    <Pick
      label={say('Burner')}
      value={flame.key}
      options={flames.map((each) => [each.key, each.says])}
      onChange={setKey}
    />
  );
  return { flame, choice };
}
