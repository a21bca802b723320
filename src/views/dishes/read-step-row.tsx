'use client';

import { useId, useRef } from 'react';
import type { Attention } from '@/core/dish/dish';
import { STEP_SORTS } from '@/core/recipe/classify';
import type { ReadStep, RecipeReading } from '@/core/recipe/reading';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import { ownWords, Select } from '@/ui/select';
import { Stepper } from '@/ui/stepper';
import { TickBox } from '@/ui/tick-box';

/** What can be done to a step. */
export interface StepTouches {
  readonly choose: (id: string | null) => void;
  readonly sort: (id: string, sort: ReadStep['sort']) => void;
  readonly set: (id: string, by: (now: ReadStep) => Partial<ReadStep>) => void;
  readonly split: (id: string, at: number) => void;
  readonly join: (id: string) => void;
  readonly move: (id: string, by: number) => void;
  readonly takeOut: (id: string) => void;
  readonly tie: (id: string, ingredient: string) => void;
}

interface StepRowProps {
  readonly step: ReadStep;
  readonly at: number;
  readonly last: boolean;
  readonly chosen: boolean;
  readonly doubted: boolean;
  readonly ingredients: RecipeReading['ingredients'];
  readonly touches: StepTouches;
}

const attentions = (): readonly (readonly [Attention, string])[] => [
  ['hands', say('hands')],
  ['eyes', say('a look now and then')],
  ['none', say('goes by itself')],
];
const placeWords = (): Readonly<Record<ReadStep['place']['at'], string>> => ({
  board: say('at the board'),
  burner: say('on the hob'),
  oven: say('in the oven'),
  appliance: say('in an appliance'),
  rest: say('off the heat'),
  cold: say('in the cold'),
});

/** A step as it was read; chosen, all of it can be put right. */
export function StepRow(props: StepRowProps) {
  const { step, at, chosen, doubted, ingredients, touches } = props;
  const { id, words, sort, minutes, minutesWords, attention, meanwhile, atOnce, dayBefore, uses } = step;
  const goesIn = ingredients.filter((each) => uses.includes(each.id)).map(({ name }) => name);
  const said = [
    `${sort}, ${placeWords()[step.place.at]}`,
    minutesWords
      ? say('{likely} min by “{minutesWords}”', { likely: minutes.likely, minutesWords })
      : say('{likely} min, a guess', { likely: minutes.likely }),
    attention === 'hands' ? 'hands' : attention === 'eyes' ? say('a look now and then') : say('goes by itself'),
    ...(meanwhile ? [say('beside the one before')] : []),
    ...(atOnce ? [say('at once')] : []),
    ...(dayBefore ? [say('the day before')] : []),
  ].join(' · ');
  return (
    <li id={`read-${id}`} className={`border-b border-line py-1.5 ${chosen ? '-mx-3 rounded-lg bg-paper px-3' : ''}`}>
      <button
        type="button"
        aria-expanded={chosen}
        className="grid w-full grid-cols-[1.75rem_1fr] text-start"
        onClick={() => touches.choose(chosen ? null : id)}
      >
        <span className="text-faint tabular-nums">{at + 1}</span>
        <span>
          {words}
          <span className={`block text-sm ${doubted ? 'text-warn' : 'text-faint'}`}>
            {doubted && say('look at this: ')}
            {said}
          </span>
          {goesIn.length > 0 && (
            <span className="block text-sm text-faint">{say('with {goesIn}', { goesIn: goesIn.join(say(', ')) })}</span>
          )}
        </span>
      </button>
      {chosen && <Touches {...props} />}
    </li>
  );
}

function Touches({ step, at, last, ingredients, touches }: StepRowProps) {
  const { id, words, sort, minutes, attention, meanwhile, atOnce, dayBefore, uses } = step;
  const fieldId = useId();
  const field = useRef<HTMLTextAreaElement>(null);
  const short = words.length > 40 ? `${words.slice(0, 40)}…` : words;
  return (
    <div className="mt-1 grid gap-2 ps-7">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-1">
        <Select
          label={say('What it is: {short}', { short })}
          hideLabel
          value={sort}
          options={ownWords(STEP_SORTS)}
          onChange={(next) => touches.sort(id, next)}
        />
        <Stepper
          label={say('Minutes: {short}', { short })}
          hideLabel
          unit="min"
          value={minutes.likely}
          least={1}
          most={2880}
          onChange={(likely) =>
            touches.set(id, (now) => ({
              minutes: {
                shortest: Math.min(now.minutes.shortest, likely),
                likely,
                longest: Math.max(now.minutes.longest, likely),
              },
              minutesWords: now.minutesWords ?? say('by you'),
            }))
          }
        />
        <Select
          label={say('Attention: {short}', { short })}
          hideLabel
          value={attention}
          options={attentions()}
          onChange={(next) => touches.set(id, () => ({ attention: next }))}
        />
      </div>
      <div className="flex flex-wrap gap-x-5">
        {at > 0 && (
          <TickBox value={meanwhile} onChange={(on) => touches.set(id, () => ({ meanwhile: on }))}>
            {say('beside the one before')}
          </TickBox>
        )}
        {at > 0 && (
          <TickBox value={atOnce} onChange={(on) => touches.set(id, () => ({ atOnce: on }))}>
            {say('at once')}
          </TickBox>
        )}
        <TickBox value={dayBefore} onChange={(on) => touches.set(id, () => ({ dayBefore: on }))}>
          {say('the day before')}
        </TickBox>
      </div>
      <fieldset className="flex flex-wrap gap-1.5">
        <legend className="text-sm text-faint">{say('What goes in here')}</legend>
        {ingredients.map(({ id: own, name }) => (
          <button
            key={own}
            type="button"
            aria-pressed={uses.includes(own)}
            className="min-h-9 rounded-lg border border-line px-2.5 text-sm aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-ground"
            onClick={() => touches.tie(id, own)}
          >
            {uses.includes(own) ? '✓ ' : ''}
            {name}
          </button>
        ))}
      </fieldset>
      <label htmlFor={fieldId} className="text-sm text-faint">
        {say('Its words; to split, put the caret where the next step begins')}
      </label>
      <textarea
        id={fieldId}
        ref={field}
        rows={2}
        value={words}
        maxLength={2000}
        className="-mt-1 w-full rounded-lg border border-line bg-ground p-2"
        onChange={(event) => {
          const said = event.target.value;
          touches.set(id, () => ({ words: said }));
        }}
      />
      <div className="flex flex-wrap gap-x-2 gap-y-1">
        <Button onClick={() => touches.split(id, field.current?.selectionStart ?? 0)}>
          {say('split at the caret')}
        </Button>
        <Button disabled={last} onClick={() => touches.join(id)}>
          {say('join with the next')}
        </Button>
        <Button disabled={at === 0} onClick={() => touches.move(id, -1)}>
          {say('earlier')}
        </Button>
        <Button disabled={last} onClick={() => touches.move(id, 1)}>
          {say('later')}
        </Button>
        <Button look="quiet" onClick={() => touches.takeOut(id)}>
          {say('no step')}
        </Button>
        <Button look="quiet" onClick={() => touches.set(id, () => ({}))}>
          {say('right so')}
        </Button>
      </div>
    </div>
  );
}
