'use client';

import { useState } from 'react';
import { sayWhatIsThere, type ToMeasure } from '@/core/live/measuring';
import { printAmount } from '@/core/units/amount';
import { Button } from '@/ui/button';

/** A mug and a splash, in ml: so much is added and taken away with one press. */
const STEPS = [-250, -50, 50, 250] as const;

/** How much there is of what was just strained, set with a few presses of a wet knuckle, and what that means. */
export function HowMuch({ measure }: { readonly measure: ToMeasure }) {
  const [ml, setMl] = useState(Math.round(measure.thoughtMl / 50) * 50);
  const says = (of: number) => printAmount({ quantity: of, unit: 'ml' });
  return (
    <section aria-label={`How much ${measure.name}`} className="mt-4 border-l-4 border-line pl-4">
      <p className="text-xl text-faint">How much {measure.name} is there?</p>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        {STEPS.map((step) => (
          <Button
            key={step}
            className="min-h-16 text-lg"
            aria-label={`${says(Math.abs(step))} ${step < 0 ? 'less' : 'more'}`}
            disabled={ml + step < 0}
            onClick={() => setMl((now) => Math.max(0, now + step))}
          >
            {step < 0 ? '−' : '+'} {says(Math.abs(step))}
          </Button>
        ))}
        <strong className="order-first min-w-32 text-3xl" data-testid="how-much">
          {says(ml)}
        </strong>
      </div>
      <p role="status" className="mt-2 text-xl">
        {sayWhatIsThere(measure, ml)}
      </p>
    </section>
  );
}
