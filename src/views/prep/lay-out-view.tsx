'use client';

import { useState } from 'react';
import type { Meal } from '@/core/meal/meal';
import type { Plan } from '@/core/plan/plan';
import { type BoardRound, type Bowl, boardRounds, bowlsOf, LAYERS, type Layer } from '@/core/prep/bowls';
import { type Joint, jointsOf } from '@/core/prep/joint-work';
import { takenOut } from '@/core/prep/vessels-out';
import { say, term } from '@/core/say/say';
import { printAmount } from '@/core/units/amount';
import { printThing } from '@/core/units/thing';
import { listed } from '@/core/units/words';
import { pantry } from '@/store/db';
import { changeMeal } from '@/store/meals';
import { Button } from '@/ui/button';
import { TickBox } from '@/ui/tick-box';
import { useMeal } from '@/views/shell/meal-frame';
import { Tick, useTicks } from './ticks';
import { Tonight, useWhen } from './tonight';

/** Everything on the table before any heat: cut, measured, at hand; and the pots taken out. */
export function LayOutView() {
  const { meal, planned } = useMeal();
  const [fault, setFault] = useState('');
  const { plan } = planned;
  if (meal.dishes.length === 0)
    return <p className="mt-4 text-lg">{say('Nothing to lay out yet: choose the first dish on the menu.')}</p>;
  const bowls = bowlsOf(meal, plan);
  const rounds = boardRounds(bowls, plan);
  const atTheBoard = new Set(rounds.flatMap((round) => round.bowls.map(({ key }) => key)));
  const change = async (change: Parameters<typeof changeMeal>[2]) =>
    setFault((await changeMeal(pantry(), meal.id, change, Date.now()))?.sentence ?? '');
  return (
    <div>
      {plan && <Tonight meal={meal} plan={plan} />}
      <div className="mt-2 flex flex-wrap items-center gap-x-6 gap-y-1">
        <TickBox value={meal.layOutFirst !== false} onChange={(on) => void change({ layOutFirst: on })}>
          {say('Keep the last hour for cooking: what keeps is prepared before it')}
        </TickBox>
      </div>
      {fault && (
        <p role="alert" className="text-warn">
          {fault}
        </p>
      )}
      <Together
        joints={jointsOf(meal, bowls, plan)}
        onChange={(joint) =>
          void change(({ together = [] }) => {
            const others = together.filter((group) => !group.some((key) => joint.steps.includes(key)));
            return { together: joint.joined ? others : [...others, joint.steps] };
          })
        }
      />
      <div className="mt-4 grid gap-x-12 gap-y-8 lg:grid-cols-[3fr_2fr] print:block print:columns-2 print:gap-x-6">
        <Board rounds={rounds} plan={plan} />
        <Measured bowls={bowls.filter(({ key, amount, madeBy }) => amount && !madeBy && !atTheBoard.has(key))} />
        {plan && <TakenOut meal={meal} plan={plan} />}
        <AtHand bowls={bowls} />
      </div>
    </div>
  );
}

function Together({
  joints,
  onChange,
}: {
  readonly joints: readonly Joint[];
  readonly onChange: (joint: Joint) => void;
}) {
  if (joints.length === 0) return null;
  return (
    <ul aria-label={say('Cut together')} className="mt-1">
      {joints.map((joint) => (
        <li key={joint.thing} className="flex flex-wrap items-center gap-x-4">
          <span>
            {joint.joined
              ? say('Cut in one go: {joint} for {each}', { joint: joint.name, each: each(joint.dishes) })
              : say('Could be cut in one go: {joint} for {each}', { joint: joint.name, each: each(joint.dishes) })}
          </span>
          <Button look="quiet" aria-pressed={joint.joined} onClick={() => onChange(joint)}>
            {joint.joined ? say('apart again') : say('cut them together')}
          </Button>
        </li>
      ))}
    </ul>
  );
}

const layerNames = (): Readonly<Record<Layer, string>> => ({
  dry: say('Dry things'),
  wet: say('Wet things'),
  vegetables: say('Vegetables'),
  raw: say('Raw meat and fish, last'),
});

function Board({ rounds, plan }: { readonly rounds: readonly BoardRound[]; readonly plan: Plan | null }) {
  const { meal } = useMeal();
  const { stateOf, put } = useTicks(meal.id);
  const when = useWhen(meal);
  const all = Math.round(rounds.reduce((sum, { minutes }) => sum + minutes, 0));
  return (
    <section aria-label={say('At the board')} className="min-w-0">
      <h2 className="text-2xl">{say('At the board')}</h2>
      <p className="text-faint">
        {say('About {all} min of knife and sink, one thing after the other; each for all its dishes.', { all })}
      </p>
      {LAYERS.filter((layer) => rounds.some((round) => round.layer === layer)).map((layer) => (
        <section key={layer} aria-label={layerNames()[layer]} className="mt-4">
          <h3 className="text-xl">{layerNames()[layer]}</h3>
          {layer === 'raw' && (
            <p className="text-sm text-warn">
              {say('Another board, or wash board, knife and hands with soap before and after. Local rules come first.')}
            </p>
          )}
          <ul className="mt-1 border-t border-line">
            {rounds
              .filter((round) => round.layer === layer)
              .map((round) => (
                <li key={round.thing} className="break-inside-avoid border-b border-line py-1.5 print:py-0.5">
                  {round.bowls.length > 1 && (
                    <p className="flex justify-between gap-4">
                      <span className="text-lg font-semibold first-letter:uppercase">{round.name}</span>
                      <span className="text-faint">
                        {say('{bowls} portions, {minutes}', {
                          bowls: round.bowls.length,
                          minutes: minutesOf(round.minutes),
                        })}
                      </span>
                    </p>
                  )}
                  <ul className={round.bowls.length > 1 ? 'ps-4' : ''}>
                    {round.bowls.map((bowl) => (
                      <li key={bowl.key}>
                        <Tick
                          checked={stateOf(bowl.key) === 'laid out'}
                          onChange={(checked) => put(bowl.key, checked ? 'laid out' : undefined)}
                        >
                          <span className="text-lg">
                            {bowl.amount ? printThing(bowl.amount, bowl.name) : bowl.name}
                            {bowl.cut && `, ${bowl.cut}`}
                          </span>
                          <span className="block text-sm text-faint">
                            {goesTo(bowl, when)}
                            {cutBy(bowl, plan, when)}
                            {round.bowls.length === 1 && `; ${minutesOf(round.minutes)}`}
                          </span>
                        </Tick>
                      </li>
                    ))}
                  </ul>
                </li>
              ))}
          </ul>
        </section>
      ))}
    </section>
  );
}

function goesTo({ dishName, into, at }: Bowl, when: (minute: number) => string): string {
  return at === null
    ? say('for “{into}”, {dish}', { into: into.name, dish: dishName })
    : say('for “{into}”, {dish}, at {when}', { into: into.name, dish: dishName, when: when(at) });
}

/** "; cut at 15:10 by the helper". */
function cutBy({ readiedIn }: Bowl, plan: Plan | null, when: (minute: number) => string): string {
  const step = plan?.steps.find(({ key }) => key === readiedIn || key === `${readiedIn}.1`);
  return step
    ? step.person
      ? say('; ready it at {when} ({person})', { when: when(step.start), person: step.person.name })
      : say('; ready it at {when}', { when: when(step.start) })
    : '';
}

function Measured({ bowls }: { readonly bowls: readonly Bowl[] }) {
  const { meal } = useMeal();
  const { stateOf, put } = useTicks(meal.id);
  const when = useWhen(meal);
  return (
    <section aria-label={say('Measured out')} className="min-w-0">
      <h2 className="text-2xl">{say('Measured out')}</h2>
      <p className="text-faint">{say('A bowl or a spoon each, dry before wet, what is wanted first to the front.')}</p>
      <ul className="mt-4 border-t border-line print:mt-1">
        {bowls.map((bowl) => (
          <li key={bowl.key} className="break-inside-avoid border-b border-line">
            <Tick
              checked={stateOf(bowl.key) === 'laid out'}
              onChange={(checked) => put(bowl.key, checked ? 'laid out' : undefined)}
            >
              {bowl.amount ? printThing(bowl.amount, bowl.name) : bowl.name}
              <span className="block text-sm text-faint">
                {term(bowl.measured)}; {goesTo(bowl, when)}
              </span>
            </Tick>
          </li>
        ))}
      </ul>
    </section>
  );
}

function AtHand({ bowls }: { readonly bowls: readonly Bowl[] }) {
  const things = new Map<string, { readonly name: string; readonly dishes: string[] }>();
  for (const { thing, name, amount, dishName } of bowls) {
    if (amount !== null) continue;
    const known = things.get(thing) ?? { name, dishes: [] };
    known.dishes.push(dishName);
    things.set(thing, known);
  }
  const onTheWay = bowls.filter(({ madeBy }) => madeBy !== null);
  if (things.size === 0 && onTheWay.length === 0) return null;
  return (
    <section aria-label={say('At hand')} className="min-w-0">
      <h2 className="text-2xl">{say('At hand')}</h2>
      <p className="text-faint">{say('What the steps ask for in passing, as much as it takes.')}</p>
      <ul className="mt-2">
        {[...things.values()].map(({ name, dishes }) => (
          <li key={name} className="py-0.5">
            <span className="font-semibold first-letter:uppercase">{name}</span>{' '}
            <span className="text-faint">{say('for {each}', { each: each(dishes) })}</span>
          </li>
        ))}
        {onTheWay.map(({ key, name, madeBy, dishName, amount }) => (
          <li key={key} className="py-0.5">
            <span className="font-semibold">{name}</span>{' '}
            <span className="text-faint">
              {say('{amount} for {dish}, made on the way: {madeBy}', {
                amount: amount ? printAmount(amount) : '',
                dish: dishName,
                madeBy: madeBy ?? '',
              })}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function TakenOut({ meal, plan }: { readonly meal: Meal; readonly plan: Plan }) {
  const { vessels, small, serving, toBorrow } = takenOut(meal, plan);
  const when = useWhen(meal);
  return (
    <section aria-label={say('Taken out')} className="min-w-0">
      <h2 className="text-2xl">{say('Taken out')}</h2>
      <p className="text-faint">
        {toBorrow > 0
          ? say('{toBorrow} to be borrowed.', { toBorrow })
          : say('Everything is in the kitchen; nothing needs to be borrowed.')}
      </p>
      <ul className="mt-2 border-t border-line">
        {vessels.map(({ id, name, atOnce, borrowed, uses }) => (
          <li key={id} className="break-inside-avoid border-b border-line py-1.5 print:py-0.5">
            <p className="text-lg">
              <span className="first-letter:uppercase">{name}</span>
              {atOnce > 1 && <span className="text-faint">{say(', {atOnce} of them at once', { atOnce })}</span>}
              {borrowed && <span className="text-warn"> {say('(borrow it)')}</span>}
            </p>
            <ul className="ps-4 text-faint">
              {uses.map(({ key, dish, use, start, end, washedBy }) => (
                <li key={key}>
                  {say('{when} to {until}, {use}: {dish}', { when: when(start), until: when(end), use, dish })}
                  {washedBy && <span className="text-ink">{say('; washed by {washedBy}', { washedBy })}</span>}
                </li>
              ))}
            </ul>
          </li>
        ))}
        {small.map(({ name, dishes }) => (
          <li key={name} className="break-inside-avoid border-b border-line py-1.5 print:py-0.5">
            <span className="font-semibold first-letter:uppercase">{name}</span>{' '}
            <span className="text-faint">{say('for {each}', { each: each(dishes) })}</span>
          </li>
        ))}
      </ul>
      <p className="mt-2">
        {serving.some(({ served }) => served === 'hot')
          ? say(
              'To serve in: {serving, plural, one {# dish} other {# dishes}}, the ones for hot food warmed; a spoon to each.',
              { serving: serving.length },
            )
          : say('To serve in: {serving, plural, one {# dish} other {# dishes}}; a spoon to each.', {
              serving: serving.length,
            })}
      </p>
    </section>
  );
}

function minutesOf(minutes: number): string {
  return say('{minutes} min', { minutes: Math.max(1, Math.round(minutes)) });
}

/** Each name once: "leeks, barley and rice". */
function each(names: readonly string[]): string {
  return listed([...new Set(names)]);
}
