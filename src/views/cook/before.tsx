'use client';

import { format } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { Meal } from '@/core/meal/meal';
import { tableInstant } from '@/core/plain/wall-clock';
import type { Plan } from '@/core/plan/plan';
import { pantry } from '@/store/db';
import { beginSession, wasPutAway } from '@/store/sessions';
import { Button } from '@/ui/button';

/** Before an evening begins: what is first, and the press that begins. */
export function Before({
  meal,
  plan,
  refusals,
}: {
  readonly meal: Meal;
  readonly plan: Plan | null;
  readonly refusals: readonly { readonly sentence: string }[];
}) {
  const [busy, setBusy] = useState(false);
  const putAway = useLiveQuery(() => wasPutAway(pantry(), meal), [meal]);
  const first = plan?.steps[0];
  const canBegin = plan && first && refusals.length === 0;
  const stored = putAway && (
    <p className="mb-6 max-w-prose text-lg" data-testid="put-away">
      This evening is put away.{' '}
      {canBegin ? 'It can be begun again.' : 'To cook the meal again, choose another day on the menu.'}
    </p>
  );
  if (!canBegin) {
    return (
      <div className="mt-8">
        {stored || (
          <p className="max-w-prose text-lg">
            There is no plan to cook from yet.{' '}
            {refusals[0]?.sentence ?? 'Look at the menu: it says what is in the way.'}
          </p>
        )}
      </div>
    );
  }
  const at = tableInstant(meal) + first.start * 60_000;
  return (
    <div className="mt-8 max-w-prose">
      {stored}
      <p className="text-2xl">
        The first thing to do is <strong>{first.name}</strong> ({first.dishName}), {format(at, 'EEEE')} at{' '}
        {format(at, 'HH:mm')}.
      </p>
      <p className="mt-3 text-lg text-faint">
        Begin any time: the view waits with you. What you press is kept at once, also when the tab is closed or the
        battery dies.
      </p>
      <Button
        look="strong"
        big
        className="mt-6"
        disabled={busy}
        onClick={async () => {
          setBusy(true);
          await beginSession(pantry(), meal, plan, Date.now()).finally(() => setBusy(false));
        }}
      >
        Begin at the stove
      </Button>
    </div>
  );
}
