'use client';

import { X } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { askedAbout } from '@/core/dish/diet';
import type { Dish, Ingredient } from '@/core/dish/dish';
import {
  type DishDraft,
  dishOf,
  draftFault,
  portionOf,
  withFilling,
  withMore,
  withMoreChanged,
} from '@/core/dish/draft-dish';
import { goesInto } from '@/core/dish/edit-steps';
import type { More } from '@/core/dish/made';
import { differences, type Slot, type WayChoice } from '@/core/dish/technique';
import { techniqueOf } from '@/core/dish/techniques/all';
import type { SaidFood } from '@/core/food/food';
import { type Amount, printAmount } from '@/core/units/amount';
import { pantry } from '@/store/db';
import { sayFood } from '@/store/foods';
import { addToMeal, storeDish } from '@/store/meals';
import { Button } from '@/ui/button';
import { KeptField } from '@/ui/kept-field';
import { Pills } from '@/ui/pills';
import { Select } from '@/ui/select';
import { Stepper } from '@/ui/stepper';
import { useKeptDraft } from '@/ui/use-kept-draft';
import { AmountField } from './amount-field';
import { Holds } from './holds';
import { Steps } from './steps';
import { Strip } from './strip';
import { WhatIsIt } from './what-is-it';

interface DishEditorProps {
  readonly initial: DishDraft;
  /** The meal it goes to when it is kept; null for none. */
  readonly mealId: string | null;
  readonly onAway: () => void;
  /** Leaves the technique and goes on step by step; absent while the dish is not kept yet. */
  readonly onByHand?: () => void;
}

/** A dish made by a technique: its ways, what goes in, and at once what comes of it. */
export function DishEditor({ initial, mealId, onAway, onByHand }: DishEditorProps) {
  const router = useRouter();
  const [past, setPast] = useState<readonly DishDraft[]>([]);
  // A new dish has another id each time its page is opened: what was begun of it is known by its technique.
  const kept = useKeptDraft(onByHand ? `dish ${initial.id}` : `new ${initial.technique}`, initial);
  const draft = kept.value;
  const [told, setTold] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const technique = techniqueOf(draft.technique);
  const dish = dishOf(named(draft));
  const change = (by: (now: DishDraft) => DishDraft) => {
    kept.change((now) => {
      const next = by(now);
      const changes = differences(dishOf(named(now)), dishOf(named(next)));
      setPast((known) => [...known, now]);
      setTold(changes.length > 0 ? `That makes it: ${changes.join(', ')}.` : '');
      return next;
    });
    setFault(null);
  };
  const said = (item: Ingredient, food: SaidFood) => {
    change((now) =>
      now.more?.some(({ id }) => id === item.id)
        ? withMoreChanged(now, item.id, (more) => ({ ...more, food }))
        : withFilling(now, item.id, { name: item.name, food }),
    );
    void sayFood(pantry(), item.name, food);
  };
  const undo = () => {
    const before = past.at(-1);
    if (!before) return;
    kept.change(() => before);
    setPast(past.slice(0, -1));
    setTold('Taken back.');
  };
  const keep = async () => {
    const wrong = draftFault(draft);
    if (wrong) return setFault(wrong);
    const made = dishOf(draft);
    const refusal =
      (await storeDish(pantry(), made)) ??
      (mealId === null ? null : await addToMeal(pantry(), mealId, made.id, Date.now()));
    if (refusal) return setFault(refusal.sentence);
    kept.settle();
    if (mealId === null) setTold(`${made.name} is kept.`);
    else router.push(`/meals/${encodeURIComponent(mealId)}`);
  };
  return (
    <>
      <div className="mt-2 flex flex-wrap items-end justify-between gap-3">
        <div>
          <p className="text-faint">{technique.name}</p>
          <KeptField
            label="Name of the dish"
            hideLabel
            value={draft.name}
            maxLength={140}
            // A dish without a name is refused when it is kept.
            mayBeEmpty
            className="h-12 w-[min(30rem,86vw)] font-title text-2xl"
            onChange={(name) => change((now) => ({ ...now, name }))}
          />
        </div>
        <div className="flex flex-wrap items-center gap-2">
          <Button look="quiet" disabled={past.length === 0} onClick={undo}>
            take back
          </Button>
          {onByHand && (
            <Button look="quiet" onClick={onByHand}>
              change its steps by hand
            </Button>
          )}
          <Button onClick={onAway}>Back</Button>
          <Button look="strong" onClick={() => void keep()}>
            {mealId === null ? 'Keep it' : 'Keep it, and onto the menu'}
          </Button>
        </div>
      </div>
      {fault && (
        <p role="alert" className="mt-2 border-l-4 border-warn pl-3 text-lg">
          {fault} Nothing was stored.
        </p>
      )}
      <p role="status" className="mt-1 min-h-6 text-lg">
        {told}
        {kept.isFromBefore && past.length === 0 && (
          <>
            This is as you left it; it is not kept yet.{' '}
            <Button look="quiet" onClick={kept.forget}>
              begin anew
            </Button>
          </>
        )}
      </p>
      <div className="mt-2 grid gap-x-12 gap-y-6 lg:grid-cols-[26rem_minmax(0,1fr)]">
        <div className="grid content-start gap-5">
          <Stepper
            label="Written for"
            unit="people"
            value={draft.servings}
            least={1}
            most={40}
            onChange={(servings) => change((now) => ({ ...now, servings }))}
          />
          {technique.choices.map((choice) => (
            <ChosenWay
              key={choice.id}
              choice={choice}
              value={dish.made!.ways[choice.id]!}
              onChange={(way) => change((now) => ({ ...now, ways: { ...now.ways, [choice.id]: way } }))}
            />
          ))}
        </div>
        <div className="grid min-w-0 content-start gap-6">
          <section aria-label="What goes in">
            <h2 className="text-2xl">What goes in</h2>
            <ul className="mt-1 border-t border-line">
              {technique.slots.map((slot) => (
                <SlotRow
                  key={slot.id}
                  slot={slot}
                  dish={dish}
                  leftOut={draft.fillings[slot.id] === null}
                  onName={(name) => change((now) => renamed(now, slot.id, name))}
                  onAmount={(by) => change((now) => measuredAnew(now, slot.id, by))}
                  onLeaveOut={(out) => change((now) => withFilling(now, slot.id, out ? null : undefined))}
                />
              ))}
              {(draft.more ?? []).map(({ id }) => (
                <MoreRow
                  key={id}
                  id={id}
                  dish={dish}
                  onChange={(by) => change((now) => withMoreChanged(now, id, by))}
                />
              ))}
            </ul>
            <Button look="quiet" className="mt-1" onClick={() => change(withMore)}>
              + add something
            </Button>
            <Holds dish={dish} />
          </section>
          <WhatIsIt asked={askedAbout(dish)} onSay={said} />
          <Strip dish={dish} />
          <section aria-label="What goes wrong">
            <h2 className="text-2xl">What goes wrong</h2>
            <ul className="list-disc pl-5">
              {technique.mistakes.map((mistake) => (
                <li key={mistake}>{mistake}</li>
              ))}
            </ul>
          </section>
          <Steps dish={dish} />
        </div>
      </div>
    </>
  );
}

/** While the field of the name is empty the dish is called after its technique. */
function named(draft: DishDraft): DishDraft {
  return { ...draft, name: draft.name.trim() || techniqueOf(draft.technique).name };
}

/** The draft with another amount in a slot, told for all its portions. */
function measuredAnew(draft: DishDraft, slot: string, by: (now: Amount) => Amount): DishDraft {
  const item = dishOf(named(draft)).ingredients.find(({ id }) => id === slot);
  return item ? withFilling(draft, slot, { amount: portionOf(draft, slot, by(item.amount)) }) : draft;
}

/** Another name is another thing: what was said of the one before does not hold for it. */
function renamed(draft: DishDraft, slot: string, name: string): DishDraft {
  const { food: _, ...before } = draft.fillings[slot] ?? {};
  return { ...draft, fillings: { ...draft.fillings, [slot]: { ...before, name } } };
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
  return (
    <li className="grid gap-1 border-b border-line py-1.5">
      <span className="flex flex-wrap items-center gap-2">
        <KeptField
          hideLabel
          label={`Instead of ${item.name}`}
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
          aria-label={`Take out ${item.name}`}
          className="grid size-10 shrink-0 place-items-center rounded-lg hover:bg-soft"
          onClick={() => onChange(null)}
        >
          <X size={18} aria-hidden />
        </button>
      </span>
      <span className="flex items-center gap-2 text-sm text-faint">
        goes into
        <Select
          label={`Step for ${item.name}`}
          hideLabel
          value={goesInto(dish, id) ?? null}
          options={dish.steps.map((step) => [step.id, step.name] as const)}
          onChange={(step) => step !== null && onChange((now) => ({ ...now, step }))}
        />
      </span>
    </li>
  );
}

interface ChosenWayProps {
  readonly choice: WayChoice;
  readonly value: string;
  readonly onChange: (way: string) => void;
}

/** More ways than this go into a list that opens. */
const MOST_IN_SIGHT = 5;

/** A point where cooks differ, with the reason of the way that is chosen. */
function ChosenWay({ choice, value, onChange }: ChosenWayProps) {
  const chosen = choice.ways.find((way) => way.id === value);
  return (
    <div>
      {choice.ways.length > MOST_IN_SIGHT ? (
        <Select
          label={choice.asks}
          value={value}
          options={choice.ways.map((way) => [way.id, way.says] as const)}
          onChange={onChange}
        />
      ) : (
        <Pills
          label={choice.asks}
          value={value}
          options={choice.ways.map(({ id: way, says }) => [way, says])}
          onChange={onChange}
        />
      )}
      <p className="mt-1 text-faint">{chosen?.because}</p>
    </div>
  );
}

interface SlotRowProps {
  readonly slot: Slot;
  readonly dish: Dish;
  readonly leftOut: boolean;
  readonly onName: (name: string) => void;
  readonly onAmount: (by: (now: Amount) => Amount) => void;
  readonly onLeaveOut: (out: boolean) => void;
}

/** One thing that goes in: its name, how much of it, or not at all. */
function SlotRow({ slot, dish, leftOut, onName, onAmount, onLeaveOut }: SlotRowProps) {
  const item = dish.ingredients.find(({ id }) => id === slot.id);
  const measured = dish.grain?.liquid.includes(slot.id) === true;
  if (!item && !leftOut) return null;
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 gap-y-1 border-b border-line py-1.5 sm:grid-cols-[minmax(0,1fr)_auto_auto]">
      {item ? (
        <>
          <KeptField
            hideLabel
            label={`Instead of ${slot.usual}`}
            value={item.name}
            onChange={onName}
            className="col-span-2 w-full sm:col-span-1"
          />
          {measured ? (
            <span className="whitespace-nowrap">{printAmount(item.amount)}, by the balance</span>
          ) : (
            <span className="flex items-center gap-2">
              <AmountField name={item.name} amount={item.amount} onChange={onAmount} />
            </span>
          )}
        </>
      ) : (
        <span className="col-span-2 text-faint line-through">{slot.usual}</span>
      )}
      {slot.mayMiss ? (
        <Button look="quiet" className="min-w-24 px-1" onClick={() => onLeaveOut(!leftOut)}>
          {leftOut ? `with ${slot.asks}` : 'leave out'}
        </Button>
      ) : (
        <span className="min-w-24" />
      )}
    </li>
  );
}
