'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { format } from 'date-fns';
import { useState } from 'react';
import type { Evening } from '@/core/live/evening';
import { type LiveEvent, standingEvents, takenBack } from '@/core/live/events';
import { dishesOf } from '@/core/live/guests';
import type { LiveStep } from '@/core/live/session';
import { readUnit, unitId } from '@/core/meal/keys';
import { say } from '@/core/say/say';
import { printAmount } from '@/core/units/amount';
import { printThing } from '@/core/units/thing';
import { canJoin } from '@/link/screens';
import { pantry } from '@/store/db';
import { keepPhoto } from '@/store/photos';
import { Button } from '@/ui/button';
import { Link } from '@/ui/link';
import { shrunk } from '@/ui/shrunk';
import { TickBox } from '@/ui/tick-box';
import { HandOver } from '@/views/files/hand-over';
import { ring, speak, wakeSound } from './calls';
import { JoinScreens } from './two-screens';
import type { Telling } from './use-session';

interface PanelProps {
  readonly session: Evening;
  readonly told: Telling;
  readonly quiet: boolean;
  readonly follow: boolean;
  readonly pretend: boolean;
  /** Whether the browser can listen, whether it does, and what it heard last. */
  readonly voice: { readonly listening: 'here' | 'sends it away' | null; readonly on: boolean; readonly heard: string };
  /** A window that only follows shows everything, and tells nothing. */
  readonly leads: boolean;
  /** What every step is doing. */
  readonly steps: readonly LiveStep[];
  readonly onDoor: (more: number) => void;
  readonly onTrouble: (dishId: string) => void;
  readonly onClose: () => void;
}

const LATER = [10, 20, 30] as const;
const MORE = [1, 2, 3, 4, 6, -1, -2] as const;
/** So many steps to come may be said to be done already. */
const MOST_COMING = 12;

/** What an evening seldom needs: another hour, a dish less, a burner that fails, a note, the calls, and everything that was told. */
export function EveningPanel(panel: PanelProps) {
  const { session, told, quiet, follow, pretend, voice, leads, steps, onDoor, onTrouble, onClose } = panel;
  const standing = standingEvents(session.events);
  const dropped = new Set(standing.flatMap((event) => (event.kind === 'dropped' ? [event.dish] : [])));
  const failed = new Set(standing.flatMap((event) => (event.kind === 'failed' ? [event.unit] : [])));
  const dishes = dishesOf(session).filter(({ id }) => !dropped.has(id));
  const burners = session.meal.kitchen.burners.filter(({ id }) => !failed.has(unitId('burner', id)));
  const coming = steps
    .filter(({ status, step }) => (status === 'waiting' || status === 'due') && step.kind === 'step')
    .slice(0, MOST_COMING);
  const put = (name: 'quiet' | 'follow' | 'pretend' | 'voice', value: boolean) =>
    void pantry().settings.put({ name, value: value ? 'on' : 'off' });
  const act = (press: () => void) => () => {
    press();
    onClose();
  };
  return (
    <Dialog open onClose={onClose} className="relative z-20">
      <div data-dress="night" className="fixed inset-0 overflow-y-auto bg-black/60 p-4 text-ink">
        <DialogPanel className="mx-auto max-w-4xl rounded-xl bg-paper p-6">
          <div className="flex items-center justify-between">
            <DialogTitle className="text-3xl">{say('This evening')}</DialogTitle>
            <Button big onClick={onClose}>
              {say('back')}
            </Button>
          </div>
          <fieldset disabled={!leads} className="min-w-0">
            <Row title={say('The guests are late')}>
              {LATER.map((minutes) => (
                <Button key={minutes} big onClick={act(() => told.later(minutes))}>
                  {say('{minutes} min', { minutes })}
                </Button>
              ))}
            </Row>
            <Row title={say('More at the door')}>
              {MORE.map((more) => (
                <Button key={more} big onClick={() => onDoor(more)}>
                  {more > 0 ? say('{more} more', { more }) : say('{more} fewer', { more: -more })}
                </Button>
              ))}
            </Row>
            <Row title={say('Something is wrong with')}>
              {dishes.map(({ id, name }) => (
                <Button key={id} className="min-h-16 text-lg" onClick={() => onTrouble(id)}>
                  {name}
                </Button>
              ))}
            </Row>
            {coming.length > 0 && (
              <Row title={say('Done already')}>
                {coming.map((live) => (
                  <Button key={live.step.key} className="min-h-16 text-lg" onClick={act(() => told.already(live))}>
                    {live.step.name}, {live.step.dishName}
                  </Button>
                ))}
              </Row>
            )}
            <Row title={say('Leave a dish out')}>
              {dishes.map(({ id, name }) => (
                <Button key={id} className="min-h-16 text-lg" onClick={act(() => told.drop(id, name))}>
                  {name}
                </Button>
              ))}
            </Row>
            <Row title={say('A burner gives no heat')}>
              {burners.map(({ id, name }) => (
                <Button
                  key={id}
                  className="min-h-16 text-lg"
                  onClick={act(() => told.failed(unitId('burner', id), name))}
                >
                  {name}
                </Button>
              ))}
            </Row>
            <Note told={told} />
            <Row title={say('Go on with it on another device')}>
              <HandOver mealId={session.mealId} className="min-h-16 text-lg" />
              {canJoin() && <JoinScreens session={session} onAsked={onClose} />}
            </Row>
            <Row title={say('Calls')}>
              <TickBox big value={quiet} onChange={(value) => put('quiet', value)}>
                {say('Quiet: no sound, no voice')}
              </TickBox>
              <TickBox big value={follow} onChange={(value) => put('follow', value)}>
                {say('Follow along: cold work at the board is done when its time is over and nobody says otherwise')}
              </TickBox>
              {(['hands', 'look', 'danger'] as const).map((kind) => (
                <Button
                  key={kind}
                  className="min-h-16 text-lg"
                  onClick={() => {
                    wakeSound();
                    ring(kind);
                    speak(
                      kind === 'hands'
                        ? say('Now: for the hands.')
                        : kind === 'look'
                          ? say('Look at a pot.')
                          : say('Careful.'),
                    );
                  }}
                >
                  {say('try “{kind}”', { kind })}
                </Button>
              ))}
              {typeof Notification !== 'undefined' && Notification.permission === 'default' && (
                <Button className="min-h-16 text-lg" onClick={() => void Notification.requestPermission()}>
                  {say('allow notes of the system')}
                </Button>
              )}
            </Row>
            {voice.listening && (
              <Row title={say('By voice')}>
                <TickBox big value={voice.on} onChange={(value) => put('voice', value)}>
                  {voice.listening === 'here'
                    ? say(
                        'Listen for “done”, “not yet”, “what next”, “how long”, in English. What is heard stays on this device.',
                      )
                    : say(
                        'Listen for “done”, “not yet”, “what next”, “how long”, in English. This browser sends what it hears to its maker to be understood: everything said in the kitchen while this is on.',
                      )}
                </TickBox>
              </Row>
            )}
            <Row title={say('Instruments')}>
              <TickBox big value={pretend} onChange={(value) => put('pretend', value)}>
                {say(
                  'Show a pretended probe and scale, to see what a real one would do: they measure nothing and move nothing',
                )}
              </TickBox>
            </Row>
            <Row title={say('Elsewhere')}>
              <Link
                href={`/meals/${encodeURIComponent(session.mealId)}/score`}
                className="min-h-16 content-center px-3 text-lg underline underline-offset-4"
              >
                {say('the score')}
              </Link>
            </Row>
            <Log session={session} told={told} />
          </fieldset>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

function Row({ title, children }: { readonly title: string; readonly children: React.ReactNode }) {
  return (
    <section aria-label={title} className="mt-5 border-t border-line pt-3">
      <h3 className="text-xl">{title}</h3>
      <div className="mt-2 flex flex-wrap items-center gap-2">{children}</div>
    </section>
  );
}

const MOST_NOTE = 500;

function Note({ told }: { readonly told: Telling }) {
  const [text, setText] = useState('');
  const [photo, setPhoto] = useState<File | null>(null);
  const [fault, setFault] = useState('');
  const keep = async () => {
    const kept = photo
      ? await keepPhoto(pantry(), await shrunk(photo), Date.now())
      : { ok: true as const, id: undefined };
    if (!kept.ok) return setFault(kept.sentence);
    if (!(await told.note(text.trim() || say('A photo'), kept.id)))
      return setFault(say('That note was not kept: try again.'));
    setText('');
    setPhoto(null);
    setFault('');
  };
  return (
    <Row title={say('A note')}>
      <textarea
        aria-label={say('A note')}
        className="min-h-16 basis-full rounded-lg border border-line bg-ground p-3 text-lg"
        maxLength={MOST_NOTE}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <input
        type="file"
        accept="image/*"
        aria-label={say('A photo')}
        onChange={(event) => setPhoto(event.target.files?.[0] ?? null)}
      />
      <Button className="min-h-16 text-lg" disabled={!text.trim() && !photo} onClick={() => void keep()}>
        {say('keep the note')}
      </Button>
      {fault && (
        <p role="alert" className="basis-full text-warn">
          {fault}
        </p>
      )}
    </Row>
  );
}

function Log({ session, told }: { readonly session: Evening; readonly told: Telling }) {
  const undone = takenBack(session.events);
  const shown = session.events.filter(({ kind }) => kind !== 'undo').toReversed();
  return (
    <Row title={say('What was told')}>
      <ol aria-label={say('What was told')} className="basis-full">
        {shown.length === 0 && <li className="text-faint">{say('Nothing yet.')}</li>}
        {shown.map((event) => (
          <li key={event.id} className="flex min-h-16 items-center justify-between gap-4 border-b border-line">
            <span className={undone.has(event.id) ? 'text-faint line-through' : ''}>
              <span className="tabular-nums">{format(event.at, 'HH:mm:ss')}</span> {wordsOf(session, event)}
            </span>
            {!undone.has(event.id) && event.kind !== 'clock-set' && (
              <Button look="quiet" className="min-h-16 text-lg" onClick={() => told.takeBack(event.id)}>
                {say('take back')}
              </Button>
            )}
          </li>
        ))}
      </ol>
    </Row>
  );
}

/** An event in a cook's words. */
export function wordsOf(session: Pick<Evening, 'plan' | 'meal' | 'events'>, event: LiveEvent): string {
  const dish = (id: string) => dishesOf(session).find((each) => each.id === id)?.name ?? id;
  const step = 'key' in event && event.key ? session.plan.steps.find(({ key }) => key === event.key) : undefined;
  const named = step
    ? say('{step}, {dish}', { step: step.name, dish: step.dishName })
    : 'key' in event
      ? (event.key ?? '')
      : '';
  const unit = (id: string) => session.meal.kitchen.burners.find((each) => each.id === readUnit(id).id)?.name ?? id;
  switch (event.kind) {
    case 'begun':
    case 'done':
    case 'paused':
    case 'resumed':
    case 'skipped':
      return `${named}: ${{ begun: 'begun', done: 'done', paused: say('put aside'), resumed: say('goes on'), skipped: say('left out') }[event.kind]}`;
    case 'clock':
      return say('{named}: done by the clock', { named });
    case 'not-yet':
      return say('{named}: not yet, until {hour}', { named, hour: format(event.until, 'HH:mm') });
    case 'checked':
      return say('{named}: looked, {stage}', { named, stage: event.stage ?? event.look });
    case 'water':
      return say('{named}: {ml} ml of water', { named, ml: event.ml });
    case 'forecast':
      return say('{named}: thought to be there at {hour}', { named, hour: format(event.until, 'HH:mm') });
    case 'moved':
      return say('{named}: on {unit}', { named, unit: unit(event.unit) });
    case 'failed':
      return say('{unit} failed', { unit: unit(event.unit) });
    case 'hour':
      return event.minutes > 0
        ? say('the table {minutes} min later', { minutes: event.minutes })
        : say('the table {minutes} min sooner', { minutes: -event.minutes });
    case 'kept':
      return say('the hour stays');
    case 'after':
      return say('{dish} {minutes} min after the rest', { dish: dish(event.dish), minutes: event.minutes });
    case 'keep-warm':
      return event.where === 'oven'
        ? say('{dish} kept warm in a low oven', { dish: dish(event.dish) })
        : say('{dish} kept warm on the lowest flame', { dish: dish(event.dish) });
    case 'turned-down':
      return say('{named}: flame turned down, until {hour}', { named, hour: format(event.until, 'HH:mm') });
    case 'to-oven':
      return say('{named}: into the oven', { named });
    case 'settled':
      return say('{named}: done before', { named });
    case 'measured':
      return say('{named}: {amount} there, {does}', {
        named,
        amount: printAmount({ quantity: event.ml, unit: 'ml' }),
        does: event.does,
      });
    case 'tasted':
      return event.gave
        ? say('{dish} tasted {sense}: {thing} went in', {
            dish: dish(event.dish),
            sense: event.sense,
            thing: printThing(event.gave.amount, event.gave.name),
          })
        : say('{dish} tasted {sense}', { dish: dish(event.dish), sense: event.sense });
    case 'rescued':
      return `${dish(event.dish)}: ${event.says}`;
    case 'guests':
      return event.more > 0
        ? say('{more} more at the table', { more: event.more })
        : say('{more} fewer at the table', { more: -event.more });
    case 'added':
      return say('{made} added', { made: event.made.name });
    case 'handed': {
      const who = session.meal.kitchen.people.find(({ id }) => id === event.person)?.name ?? event.person;
      return say('{named}: to {who}', { named, who });
    }
    case 'dropped':
      return say('{dish} left out', { dish: dish(event.dish) });
    case 'note':
      return say('note: {event}', { event: event.text });
    case 'rated':
      return say('{dish} rated', { dish: dish(event.dish) });
    case 'left-over':
      return say('{portions} portions of {dish} left over', { portions: event.portions, dish: dish(event.dish) });
    case 'clock-set':
      return say('the clock of this device was set by {by} min', { by: Math.round(event.by / 60_000) });
    case 'undo':
      return say('taken back');
  }
}
