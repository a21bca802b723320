import { X } from 'lucide-react';
import type { Dish } from '@/core/dish/dish';
import { type DishDraft, withMoreChanged } from '@/core/dish/draft-dish';
import {
  BOUGHT,
  portionIn,
  saidOf,
  sourceOf,
  sourcesOf,
  withFilling,
  withSaid,
  withSource,
} from '@/core/dish/draft-parts';
import { goesInto } from '@/core/dish/edit-steps';
import { type Filling, idIn, MAIN, type More } from '@/core/dish/made';
import type { Slot } from '@/core/dish/technique';
import { techniqueOf } from '@/core/dish/techniques/all';
import { say } from '@/core/say/say';
import { type Amount, printAmount } from '@/core/units/amount';
import { Button } from '@/ui/button';
import { KeptField } from '@/ui/kept-field';
import { Select } from '@/ui/select';
import { AmountField } from './amount-field';

/** A change of the draft under the hand. */
export type Change = (by: (now: DishDraft) => DishDraft) => void;

interface SlotsProps {
  readonly draft: DishDraft;
  readonly part: string;
  readonly dish: Dish;
  readonly change: Change;
}

/** What goes into one part: each thing by its name and amount, or where it comes from. */
export function Slots({ draft, part, dish, change }: SlotsProps) {
  const said = saidOf(draft, part);
  if (!said) return null;
  return (
    <ul className="mt-1 border-t border-line">
      {techniqueOf(said.technique).slots.map((slot) => (
        <SlotRow key={slot.id} slot={slot} draft={draft} part={part} dish={dish} change={change} />
      ))}
      {part === MAIN &&
        (draft.more ?? []).map(({ id }) => (
          <MoreRow key={id} id={id} dish={dish} onChange={(by) => change((now) => withMoreChanged(now, id, by))} />
        ))}
    </ul>
  );
}

/** Another name is another thing: what was said of the one before does not hold for it. */
function renamed(fillings: Readonly<Record<string, Filling | null>>, slot: string, name: string) {
  const { food: _, ...before } = fillings[slot] ?? {};
  return { fillings: { ...fillings, [slot]: { ...before, name } } };
}

/** One thing that goes in: where it comes from, its name, how much of it, or not at all. */
function SlotRow({ slot, draft, part, dish, change }: SlotsProps & { readonly slot: Slot }) {
  const id = idIn(part, slot.id);
  const item = dish.ingredients.find((each) => each.id === id);
  const fillings = saidOf(draft, part)?.fillings ?? {};
  const leftOut = fillings[slot.id] === null;
  const source = sourceOf(draft, part, slot);
  const handed = source === BOUGHT ? undefined : handedTo(dish, draft, part, slot);
  if (!item && !leftOut && !handed) return null;
  const measured = dish.grain?.liquid.includes(id) === true;
  const setAmount = (by: (now: Amount) => Amount) =>
    item &&
    change((now) => withFilling(now, part, slot.id, { amount: portionIn(now, part, slot.id, by(item.amount)) }));
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 gap-y-1 border-b border-line py-1.5 sm:grid-cols-[minmax(0,1fr)_auto_auto]">
      {handed && !leftOut ? (
        <>
          <span className="col-span-2 sm:col-span-1">
            <span className="font-semibold">{handed.name}</span>
          </span>
          <span className="whitespace-nowrap">{handed.amount}</span>
        </>
      ) : item ? (
        <>
          <KeptField
            hideLabel
            label={say('Instead of {usual}', { usual: slot.usual })}
            value={item.name}
            onChange={(name) => change((now) => withSaid(now, part, (told) => renamed(told.fillings, slot.id, name)))}
            className="col-span-2 w-full sm:col-span-1"
          />
          {measured ? (
            <span className="sm:whitespace-nowrap">
              {say('{amount}, by the balance', { amount: printAmount(item.amount) })}
            </span>
          ) : (
            <span className="flex items-center gap-2">
              <AmountField name={item.name} amount={item.amount} onChange={setAmount} />
            </span>
          )}
        </>
      ) : (
        <span className="col-span-2 text-faint line-through">{slot.usual}</span>
      )}
      {slot.mayMiss ? (
        <Button
          look="quiet"
          className="min-w-24 px-1"
          onClick={() =>
            change((now) => (leftOut ? withFilling(now, part, slot.id, undefined) : withNone(now, part, slot)))
          }
        >
          {leftOut ? say('with {asks}', { asks: slot.asks }) : say('leave out')}
        </Button>
      ) : (
        <span className="min-w-24" />
      )}
      {slot.takes && !leftOut && (
        <Source draft={draft} part={part} slot={slot} name={handed?.name ?? item?.name ?? slot.usual} change={change} />
      )}
    </li>
  );
}

interface SourceProps extends Pick<SlotsProps, 'draft' | 'part' | 'change'> {
  readonly slot: Slot;
  readonly name: string;
}

/** Where it comes from: bought, from a part of the dish, from one that is now to be made, or from another dish. */
function Source({ draft, part, slot, name, change }: SourceProps) {
  const sources = sourcesOf(draft, part, slot);
  return (
    <span className="col-span-full flex flex-wrap items-center gap-2 text-sm text-faint">
      {say('comes')}
      <Select
        label={say('Where {name} comes from', { name })}
        hideLabel
        className="max-w-[min(26rem,80vw)] border-transparent bg-transparent underline underline-offset-4"
        value={sourceOf(draft, part, slot)}
        options={sources.map(({ id, says }) => [id, says] as const)}
        onChange={(chosen) => {
          const source = sources.find(({ id }) => id === chosen);
          if (source) change((now) => withSource(now, part, slot, source));
        }}
      />
    </span>
  );
}

/** What is handed to a slot, in words; nothing where no step of the part takes it. */
function handedTo(dish: Dish, draft: DishDraft, part: string, slot: Slot) {
  const from = saidOf(draft, part)?.fillings[slot.id]?.from;
  if (!from) return undefined;
  const product = idIn(from.part ?? MAIN, from.product.replaceAll(' ', '-'));
  const take = dish.takes.find((each) => each.product === product);
  if (!take) return undefined;
  const name = dish.gives.find((give) => give.product === product)?.name ?? from.product;
  return { name, amount: printAmount(take.amount) };
}

/** Left out; a part that was made for it alone goes with it. */
function withNone(draft: DishDraft, part: string, slot: Slot): DishDraft {
  const bought = withSource(draft, part, slot, { id: BOUGHT, says: '' });
  return withFilling(bought, part, slot.id, null);
}

interface MoreRowProps {
  readonly id: string;
  readonly dish: Dish;
  readonly onChange: (by: ((now: More) => More) | null) => void;
}

/** Something that goes in besides: its name, how much, into which step, or out again. */
function MoreRow({ id, dish, onChange }: MoreRowProps) {
  const item = dish.ingredients.find((each) => each.id === id);
  if (!item) return null;
  const parts = (dish.made?.parts ?? []).map((part) => part.id);
  const own = dish.steps.filter((step) => !parts.some((part) => step.id.startsWith(`${part}_`)));
  return (
    <li className="grid gap-1 border-b border-line py-1.5">
      <span className="flex flex-wrap items-center gap-2">
        <KeptField
          hideLabel
          label={say('Instead of {item}', { item: item.name })}
          value={item.name}
          className="min-w-0 flex-1"
          // Another name is another thing.
          onChange={(name) => onChange(({ food: _, ...now }) => ({ ...now, name }))}
        />
        <AmountField
          name={item.name}
          amount={item.amount}
          onChange={(by) => onChange((now) => ({ ...now, amount: by(now.amount) }))}
        />
        <button
          type="button"
          aria-label={say('Take out {item}', { item: item.name })}
          className="grid size-10 shrink-0 place-items-center rounded-lg hover:bg-soft"
          onClick={() => onChange(null)}
        >
          <X size={18} aria-hidden />
        </button>
      </span>
      <span className="flex items-center gap-2 text-sm text-faint">
        {say('goes into')}
        <Select
          label={say('Step for {item}', { item: item.name })}
          hideLabel
          value={goesInto(dish, id) ?? null}
          options={own.map((step) => [step.id, step.name] as const)}
          onChange={(step) => step !== null && onChange((now) => ({ ...now, step }))}
        />
      </span>
    </li>
  );
}
