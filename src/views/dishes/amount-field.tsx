'use client';

import { say } from '@/core/say/say';
import { type Amount, printQuantity } from '@/core/units/amount';
import { amountIn, unitChoices } from '@/core/units/amount-in';
import { readQuantity } from '@/core/units/measures';
import { KeptField } from '@/ui/kept-field';
import { Select } from '@/ui/select';
import { manner, toldHere } from '@/ui/told/manner';

interface AmountFieldProps {
  /** What it is an amount of. */
  readonly name: string;
  readonly amount: Amount;
  readonly onChange: (change: (now: Amount) => Amount) => void;
}

/** An amount in the units of the cook's manner; what is set is kept as it was set. */
export function AmountField({ name, amount, onChange }: AmountFieldProps) {
  const shown = amountIn(amount, name, manner());
  return (
    <>
      <KeptField
        hideLabel
        label={say('How much {name}', { name })}
        inputMode="decimal"
        value={toldHere(printQuantity(shown))}
        className="w-20 text-end"
        fault={(text) =>
          (readQuantity(text) ?? 0) > 0
            ? null
            : say('{name}: a number above 0, such as 2 or 1½; kept as it was.', { name })
        }
        onChange={(text) => {
          const quantity = readQuantity(text) ?? 0;
          if (quantity > 0) onChange((now) => ({ ...amountIn(now, name, manner()), quantity }));
        }}
      />
      <Select
        label={say('Unit of {name}', { name })}
        hideLabel
        value={shown.unit}
        options={unitChoices(manner())}
        onChange={(unit) => onChange((now) => ({ quantity: amountIn(now, name, manner()).quantity, unit }))}
      />
    </>
  );
}
