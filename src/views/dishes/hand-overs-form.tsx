import { X } from 'lucide-react';
import { withGive, withNewGive, withNewTake, withTake } from '@/core/dish/edit-steps';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import { KeptField } from '@/ui/kept-field';
import { Select } from '@/ui/select';
import { Stepper } from '@/ui/stepper';
import { TickBox } from '@/ui/tick-box';
import { AmountField } from './amount-field';
import { type FormProps, stepsOf } from './form';

/** Nobody asks for longer than a day. */
const MOST_WITHIN = 1440;
const ANY_STOCK = 'stock';

/** What the dish gives, and what it takes: from a step of its own, or from another dish of the meal. */
export function HandOversForm({ dish, onChange }: FormProps) {
  const last = dish.steps.at(-1)!.id;
  return (
    <section aria-label={say('Given and taken')}>
      <h2 className="text-2xl">{say('Given and taken')}</h2>
      <ul className="mt-1 border-t border-line">
        {dish.gives.map(({ product, name, step, amount, overnight }) => (
          <li key={product} className="flex flex-wrap items-end gap-2 border-b border-line py-2">
            <KeptField
              label={say('It gives')}
              value={name}
              className="w-44"
              onChange={(words) => onChange((now) => withGive(now, product, { name: words }))}
            />
            <AmountField
              name={name}
              amount={amount}
              onChange={(by) => onChange((now) => withGive(now, product, { amount: by(amount) }))}
            />
            <Select
              label={say('Step that gives {name}', { name })}
              hideLabel
              value={step}
              options={stepsOf(dish)}
              onChange={(id) => onChange((now) => withGive(now, product, { step: id }))}
            />
            <TickBox
              value={overnight === true}
              onChange={(night) => onChange((now) => withGive(now, product, { overnight: night }))}
            >
              {say('may stand a night in the cold')}
            </TickBox>
            <TakeOut
              what={say('what it gives: {name}', { name })}
              onClick={() => onChange((now) => withGive(now, product, null))}
            />
          </li>
        ))}
        {dish.takes.map(({ product, step, amount, withinMinutes, otherwise }, k) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the same may be taken twice, and its place is what it is known by
          <li key={k} className="flex flex-wrap items-end gap-2 border-b border-line py-2">
            <KeptField
              label={say('It takes')}
              value={dish.gives.find((give) => give.product === product)?.name ?? otherwise}
              className="w-44"
              onChange={(words) => onChange((now) => withTake(now, k, { otherwise: words }))}
            />
            <AmountField
              name={otherwise}
              amount={amount}
              onChange={(by) => onChange((now) => withTake(now, k, { amount: by(amount) }))}
            />
            <Select
              label={say('Step that takes {otherwise}', { otherwise })}
              hideLabel
              value={step}
              options={stepsOf(dish)}
              onChange={(id) => onChange((now) => withTake(now, k, { step: id }))}
            />
            <Stepper
              label={say('Within, {otherwise}', { otherwise })}
              unit="min"
              value={withinMinutes ?? MOST_WITHIN}
              least={0}
              most={MOST_WITHIN}
              step={5}
              onChange={(within) =>
                onChange((now) => withTake(now, k, { withinMinutes: within >= MOST_WITHIN ? null : within }))
              }
            />
            <TakeOut
              what={say('what it takes: {otherwise}', { otherwise })}
              onClick={() => onChange((now) => withTake(now, k, null))}
            />
          </li>
        ))}
      </ul>
      <div className="mt-1 flex flex-wrap items-end gap-4">
        <Button look="quiet" className="px-0" onClick={() => onChange((now) => withNewGive(now, last))}>
          {say('it gives something')}
        </Button>
        <Select
          label={say('It takes something')}
          hideLabel
          value={null}
          options={[
            [null, say('it takes …')],
            ...dish.gives.map(({ product, name }) => [product, say('its own {name}', { name })] as const),
            [ANY_STOCK, say('a stock of the meal')],
          ]}
          onChange={(product) => product !== null && onChange((now) => withNewTake(now, product, last))}
        />
      </div>
    </section>
  );
}

function TakeOut({ what, onClick }: { readonly what: string; readonly onClick: () => void }) {
  return (
    <button
      type="button"
      aria-label={say('Take out {what}', { what })}
      className="grid size-10 shrink-0 place-items-center rounded-lg hover:bg-soft"
      onClick={onClick}
    >
      <X size={18} aria-hidden />
    </button>
  );
}
