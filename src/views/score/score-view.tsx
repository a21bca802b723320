'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { Redo2, Undo2 } from 'lucide-react';
import { useCallback, useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { minutesToTable } from '@/core/live/session';
import { clockAt, type TableHour } from '@/core/plain/wall-clock';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { sayLearned } from '@/core/plan/say-odds';
import { say, term } from '@/core/say/say';
import { pantry } from '@/store/db';
import { tableInstant } from '@/store/meals';
import { openSession } from '@/store/sessions';
import { Button } from '@/ui/button';
import { printSpan, useNow } from '@/ui/clock';
import { type KeyRow, KeysSheet, useKey } from '@/ui/keys-sheet';
import { pigmentAt } from '@/ui/pigments';
import { Say } from '@/ui/say';
import { useMeal } from '@/views/shell/meal-frame';
import { useDress } from '@/views/shell/shell';
import { Legend } from './legend';
import { ByHand, nextBurner, placeOf } from './move-step';
import { Sheet } from './sheet';
import { type Hand, isPinned, useHand } from './use-hand';

const keyRows = (): readonly KeyRow[] => [
  ['← →', say('the step before, the step after')],
  ['↑ ↓', say('the same hour on the line above, below')],
  ['Home End', say('the first step, the last')],
  ['Shift ← →', say('5 minutes earlier, later')],
  [', .', say('1 minute earlier, later')],
  ['B', say('to the next burner that will do')],
  ['P', say('keep it here, let it move')],
  ['U R', say('take back, do again')],
  ['+ −', say('nearer, farther')],
  ['Esc', say('let go')],
  ['?', say('this sheet')],
];

const ZOOMS = [1, 1.6, 2.6, 4.2, 7];

/** The meal as music: stations are staves, dishes are ribbons, the table is the end of the page. */
export function ScoreView() {
  const { meal, asked, planned } = useMeal();
  const now = useNow(20_000);
  const session = useLiveQuery(() => openSession(pantry(), meal.id), [meal.id]);
  const standing = session?.plan ?? planned.plan;
  const [selected, setSelected] = useState<string | null>(null);
  const free = useHand(asked, standing, selected ?? '');
  // At the stove the plan follows what happens; the hand waits.
  const hand = session || planned.refusals.length > 0 ? null : free;
  const plan = hand?.shown ?? standing;
  const [zoom, setZoom] = useState(0);
  const frame = useRef<HTMLDivElement>(null);
  const [{ width, height, letters, isPaper }, setFrame] = useRoom();
  const panel = useRef<HTMLDivElement>(null);
  const { above, below } = useAround(frame, panel, plan !== null && plan !== undefined);

  const select = useCallback((key: string | null) => {
    setSelected(key);
    if (key === null) return;
    const piece = frame.current?.querySelector<SVGGElement>(`[data-key="${CSS.escape(key)}"]`);
    piece?.focus({ preventScroll: true });
    piece?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, []);
  const move = (way: 'left' | 'right' | 'up' | 'down' | 'first' | 'last') =>
    plan && select(neighbour(plan, selected, way));
  const onArrow = (way: Parameters<typeof move>[0]) => (event: KeyboardEvent) => {
    event.preventDefault();
    move(way);
  };
  useKey('ArrowLeft', onArrow('left'));
  useKey('ArrowRight', onArrow('right'));
  useKey('ArrowUp', onArrow('up'));
  useKey('ArrowDown', onArrow('down'));
  useKey('Home', onArrow('first'));
  useKey('End', onArrow('last'));
  useKey('Escape', () => select(null));
  const chosen = plan?.steps.find((each) => each.key === selected);
  const nudge = (minutes: number) => chosen && hand?.nudge(chosen, minutes);
  useKey('Shift+ArrowLeft', () => nudge(-5));
  useKey('Shift+ArrowRight', () => nudge(5));
  useKey(',', () => nudge(-1));
  useKey('.', () => nudge(1));
  useKey('b', () => {
    const unit = chosen && nextBurner(chosen);
    if (unit) hand?.move({ key: chosen.key, unit });
  });
  useKey('p', () => {
    if (!chosen || !hand || hand.busy) return;
    if (isPinned(hand.pins, chosen)) hand.letGo(chosen);
    else hand.move(placeOf(chosen));
  });
  const back = () => hand?.takeBack();
  const again = () => hand?.doAgain();
  useKey('u', back);
  useKey('r', again);
  useKey('Ctrl+z', back);
  useKey('Ctrl+y', again);
  useKey('Ctrl+Shift+z', again);
  useKey('+', () => setZoom((level) => Math.min(ZOOMS.length - 1, level + 1)));
  useKey('-', () => setZoom((level) => Math.max(0, level - 1)));

  // The hot hour first: a sheet wider than the page opens at the table.
  const level = ZOOMS[zoom]!;
  useEffect(() => {
    if (frame.current && level >= 1) frame.current.scrollLeft = frame.current.scrollWidth;
  }, [level]);

  if (!plan) return null;
  const told = hand && hand.told.key === (selected ?? '') ? hand.told.words : '';
  const dishIds = meal.dishes.map((dish) => dish.id);
  const present = now === null ? null : minutesToTable({ tableAt: session?.tableAt ?? tableInstant(meal) }, now);
  return (
    <div className="mt-1 flex flex-1 flex-col">
      <style>{'@page { size: landscape; margin: 10mm }'}</style>
      <div
        ref={(node) => {
          frame.current = node;
          setFrame(node);
        }}
        // The clock runs from left to right in every language, as its figures are read; so arrows and pointer mean the same in all.
        dir="ltr"
        className="relative hidden overflow-auto sm:block print:max-h-none! print:overflow-visible"
        style={{ maxHeight: `max(15rem, calc(100dvh - ${above + below}px))` }}
        data-testid="score"
      >
        {width > 0 && (
          <div style={{ zoom: letters }}>
            <Sheet
              plan={plan}
              dishIds={dishIds}
              width={Math.floor(width / letters)}
              room={height / letters}
              zoom={isPaper ? 1 : level}
              selected={selected}
              onSelect={select}
              present={present}
              hand={hand}
            />
          </div>
        )}
      </div>
      <ByTheClock plan={plan} dishIds={dishIds} selected={selected} onSelect={setSelected} hand={hand} />
      <div
        ref={panel}
        className={`sticky bottom-0 z-20 mt-3 grid min-h-16 gap-x-8 gap-y-2 border-t-2 border-ink bg-ground pt-3 pb-1 md:grid-cols-[1fr_auto] print:static ${chosen ? '' : 'print:hidden'}`}
        aria-live="polite"
        data-testid="reason"
      >
        {chosen ? (
          <Reason step={chosen} table={plan} told={told} />
        ) : (
          <div>
            <p className="text-faint">
              <Say
                words="Choose a step<b>, with the pointer or the arrow keys,</b> to read why it stands where it does"
                marks={{ b: <span className="max-sm:hidden" /> }}
              />
              {hand && (
                <>
                  <span className="max-sm:hidden">{say('; drag it to move it')}</span>
                  <span className="sm:hidden">{say(', and to move it')}</span>
                </>
              )}
              .
            </p>
            <Legend />
            {told && <Told words={told} />}
            {hand && hand.pins.length > 0 && <Pins hand={hand} />}
          </div>
        )}
        <div className="grid content-start gap-2">
          <div className="flex flex-wrap items-start gap-2">
            <div className="hidden items-start gap-2 sm:flex">
              <Knob label={say('Farther')} disabled={zoom === 0} onPress={() => setZoom(zoom - 1)}>
                −
              </Knob>
              <Knob label={say('Nearer')} disabled={zoom === ZOOMS.length - 1} onPress={() => setZoom(zoom + 1)}>
                +
              </Knob>
            </div>
            {hand && (hand.canTakeBack || hand.canDoAgain) && (
              <>
                <Knob label={say('Take back')} disabled={!hand.canTakeBack || hand.busy} onPress={hand.takeBack}>
                  <Undo2 size={18} aria-hidden />
                </Knob>
                <Knob label={say('Do again')} disabled={!hand.canDoAgain || hand.busy} onPress={hand.doAgain}>
                  <Redo2 size={18} aria-hidden />
                </Knob>
              </>
            )}
            <div className="hidden sm:block">
              <KeysSheet rows={keyRows()} />
            </div>
          </div>
          {chosen && hand && <ByHand hand={hand} step={chosen} stations={plan.stations} />}
        </div>
      </div>
    </div>
  );
}

/** What can be done with all that was put by hand; it stands where no step is chosen, for there is room. */
function Pins({ hand }: { readonly hand: Hand }) {
  const count = hand.pins.length;
  return (
    <div className="flex flex-wrap items-center gap-x-4 text-sm" data-testid="pins">
      <span className="text-faint">
        {count === 1 ? say('1 step put by hand') : say('{count} steps put by hand', { count })}
      </span>
      {hand.settling ? (
        <Button look="quiet" className="min-h-8 px-0" onClick={hand.keep}>
          {say('keep the best so far')}
        </Button>
      ) : (
        <Button look="quiet" className="min-h-8 px-0" disabled={hand.busy} onClick={hand.settle}>
          {say('{count, plural, one {best around it} other {best around them}}', { count })}
        </Button>
      )}
      <Button look="quiet" className="min-h-8 px-0" disabled={hand.busy} onClick={hand.letAllGo}>
        {say('{count, plural, one {let it go} other {let all go}}', { count })}
      </Button>
    </div>
  );
}

interface KnobProps {
  readonly label: string;
  readonly disabled: boolean;
  readonly onPress: () => void;
  readonly children: React.ReactNode;
}

function Knob({ label, disabled, onPress, children }: KnobProps) {
  return (
    <button
      type="button"
      aria-label={label}
      className="inline-grid size-10 place-items-center rounded-lg bg-soft text-xl disabled:opacity-40"
      disabled={disabled}
      onClick={onPress}
    >
      {children}
    </button>
  );
}

/** Below the panel the page keeps so much, and above it a little. */
const MARGINS = 36;

/** Pixels that stand above the sheet and below it: what is left of the window is the sheet's, so that the hands and the clock are always in sight. */
function useAround(
  frame: React.RefObject<HTMLElement | null>,
  panel: React.RefObject<HTMLElement | null>,
  isThere: boolean,
): { readonly above: number; readonly below: number } {
  const [around, setAround] = useState({ above: 180, below: 100 });
  useEffect(() => {
    if (!isThere || !panel.current || !frame.current) return;
    const look = () => {
      const sheet = frame.current;
      if (!sheet || !panel.current) return;
      const above = Math.round(sheet.getBoundingClientRect().top + window.scrollY);
      const below = Math.round(panel.current.getBoundingClientRect().height) + MARGINS;
      setAround((before) => (before.above === above && before.below === below ? before : { above, below }));
    };
    const watch = new ResizeObserver(look);
    watch.observe(panel.current);
    watch.observe(document.body);
    look();
    return () => watch.disconnect();
  }, [frame, panel, isThere]);
  return around;
}

interface Room {
  readonly width: number;
  /** How large letters are beside the usual ones: what is drawn grows with them. */
  readonly letters: number;
  /** The most it may be high. */
  readonly height: number;
  /** A sheet of paper, which shows all of it at once. */
  readonly isPaper?: true;
}

/** Pixels across a sheet of A4 or Letter that lies on its side, within its margins. */
const ON_PAPER = { width: 960, height: 540, letters: 1, isPaper: true } as const;
/** Pixels of letters in a browser that is set to nothing else. */
const USUAL_LETTERS = 16;

const isSameRoom = (one: Room, other: Room) =>
  one.width === other.width && one.height === other.height && one.letters === other.letters && !one.isPaper;

/** The room of an element, followed as the page changes; on paper that of a sheet, before it is printed. */
function useRoom(): readonly [Room, (node: HTMLElement | null) => void] {
  const [room, setRoom] = useState<Room>({ width: 0, height: 0, letters: 1 });
  const [node, setNode] = useState<HTMLElement | null>(null);
  useEffect(() => {
    if (!node) return;
    const look = () => {
      const height = Number.parseFloat(getComputedStyle(node).maxHeight) || Number.POSITIVE_INFINITY;
      const width = node.clientWidth;
      const letters = Number.parseFloat(getComputedStyle(document.documentElement).fontSize) / USUAL_LETTERS || 1;
      const now: Room = { width, height, letters };
      setRoom((before) => (isSameRoom(before, now) ? before : now));
    };
    const watch = new ResizeObserver(look);
    watch.observe(node);
    // Letters that grow make the page longer.
    watch.observe(document.body);
    const print = () => flushSync(() => setRoom(ON_PAPER));
    window.addEventListener('resize', look);
    window.addEventListener('beforeprint', print);
    window.addEventListener('afterprint', look);
    return () => {
      watch.disconnect();
      window.removeEventListener('resize', look);
      window.removeEventListener('beforeprint', print);
      window.removeEventListener('afterprint', look);
    };
  }, [node]);
  return [room, setNode];
}

/** The step that an arrow key leads to. */
export function neighbour(
  plan: Plan,
  selected: string | null,
  way: 'left' | 'right' | 'up' | 'down' | 'first' | 'last',
): string | null {
  const { steps, stations } = plan;
  const at = steps.findIndex((step) => step.key === selected);
  const here = steps[at];
  if (!here || way === 'first' || way === 'last') {
    return (way === 'last' || (way === 'left' && !here) ? steps.at(-1) : steps[0])?.key ?? null;
  }
  if (way === 'left' || way === 'right') {
    return steps[Math.max(0, Math.min(steps.length - 1, at + (way === 'right' ? 1 : -1)))]!.key;
  }
  const line = stations.findIndex((station) => station.id === here.station.id);
  const onward = way === 'down' ? stations.slice(line + 1) : stations.slice(0, line).reverse();
  for (const station of onward) {
    const own = steps.filter((step) => step.station.id === station.id);
    if (own.length === 0) continue;
    const middle = (step: PlannedStep) => Math.abs((step.start + step.end - here.start - here.end) / 2);
    return own.reduce((best, step) => (middle(step) < middle(best) ? step : best)).key;
  }
  return here.key;
}

interface ReasonProps {
  readonly step: PlannedStep;
  readonly table: TableHour;
  /** What moving it by hand has changed. */
  readonly told: string;
}

function Reason({ step, table, told }: ReasonProps) {
  const clock = (minute: number) => clockAt(table, minute);
  const heat = step.heat ? say('{heat} heat', { heat: term(step.heat) }) : step.celsius ? `${step.celsius} °C` : '';
  return (
    <div className="grid gap-x-10 gap-y-1 lg:grid-cols-[1fr_1fr]">
      <div>
        <h2 className="text-xl" data-testid="chosen">
          <span className="inline-block first-letter:uppercase">{step.name}</span>, {step.dishName}, {clock(step.start)}
          –{clock(step.end)}
        </h2>
        <p data-testid="why">
          {step.why}
          {step.learned !== undefined && ` ${sayLearned(step)}`}
        </p>
        <p className="text-faint">
          {[
            step.station.name,
            heat,
            step.vessel ?? '',
            step.person ? say('hands of {person}', { person: step.person.name }) : '',
          ]
            .filter(Boolean)
            .join(' · ')}
          {step.longestEnd > step.end && say(' · may run on to {hour}', { hour: clock(step.longestEnd) })}
        </p>
      </div>
      <div>
        {!told && <p>{step.says}</p>}
        {!told && step.amounts.length > 0 && <p className="text-faint">{step.amounts.join(' · ')}</p>}
        {step.cautions.map((caution) => (
          <p key={caution} className="border-s-3 border-warn ps-2 text-warn">
            {caution}
          </p>
        ))}
        {told && <Told words={told} />}
      </div>
    </div>
  );
}

function Told({ words }: { readonly words: string }) {
  return (
    <p className="mt-1 font-semibold first-letter:uppercase" data-testid="by-hand-words">
      {words}
    </p>
  );
}

interface ByTheClockProps {
  readonly plan: Plan;
  readonly dishIds: readonly string[];
  readonly selected: string | null;
  readonly onSelect: (key: string) => void;
  readonly hand: Hand | null;
}

/** The score on a phone: the same plan, down the page. */
function ByTheClock({ plan, dishIds, selected, onSelect, hand }: ByTheClockProps) {
  const dress = useDress();
  const clock = (minute: number) => clockAt(plan, minute);
  return (
    <ol className="mt-2 sm:hidden" aria-label={say('The plan by the clock')}>
      {plan.steps.map((step) => (
        <li key={step.key}>
          <button
            type="button"
            aria-pressed={step.key === selected}
            className={`grid min-h-12 w-full grid-cols-[4.6rem_0.5rem_1fr] items-center gap-x-3 border-b border-line py-1.5 text-start ${step.key === selected ? 'bg-soft' : ''}`}
            onClick={() => onSelect(step.key)}
          >
            <span className="whitespace-nowrap font-semibold">{clock(step.start)}</span>
            <span
              aria-hidden
              className="h-full min-h-9 rounded-full"
              style={{ background: pigmentAt(dishIds.indexOf(step.dishId))[dress] }}
            />
            <span>
              {step.name} <span className="text-faint">{step.dishName}</span>
              <span className="block text-sm text-faint">
                {step.station.name}, {printSpan(step.end - step.start)}
                {hand && isPinned(hand.pins, step) && say(' · put by hand')}
              </span>
            </span>
          </button>
        </li>
      ))}
      <li className="py-3 text-xl font-bold">{say('{hour} the table', { hour: plan.hour })}</li>
    </ol>
  );
}
