import type { Dish } from '@/core/dish/dish';
import type { WarmPlace } from '@/core/dish/keep-warm';
import type { Heat } from '@/core/kitchen/kitchen';
import type { StepKey, UnitKey } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import type { Amount } from '@/core/units/amount';

/** The three answers to a look. */
export type Look = 'not there' | 'nearly' | 'there';
/** The answers to a look, for a choice. */
export const LOOKS: readonly Look[] = ['not there', 'nearly', 'there'];

/** Too little, right, too much. */
export type Rating = -1 | 0 | 1;

/** What a tongue finds. */
export type Sense = 'flat' | 'sour' | 'sweet' | 'mild' | 'hot' | 'salty' | 'thin' | 'thick';
/** What a tongue finds, for a choice. */
export const SENSES: readonly Sense[] = ['flat', 'sour', 'sweet', 'mild', 'hot', 'salty', 'thin', 'thick'];

/** What to do with a measured liquid that is not as much as was thought. */
export type MeasuredDoes = 'as it is' | 'topped up' | 'less grain';
/** The ways, for a choice. */
export const MEASURED_DOES: readonly MeasuredDoes[] = ['as it is', 'topped up', 'less grain'];

/** Something that goes into a pot at the stove. */
export interface Pinch {
  readonly name: string;
  readonly amount: Amount;
}

/** Work that saves a dish which was ready already: it comes after its last step. */
export interface MendingStep {
  readonly name: string;
  readonly says: string;
  readonly minutes: number;
  /** Null off the heat. */
  readonly heat: Heat | null;
  /** Whether it wants the hands all the time. */
  readonly hands?: true;
}

interface Told {
  readonly id: string;
  /** Milliseconds since 1970. */
  readonly at: number;
}

/** What the cook tells the app, in order; nothing is ever taken out of the log. Instants are milliseconds since 1970. */
export type LiveEvent =
  | (Told & { readonly kind: 'begun' | 'done'; readonly key: StepKey })
  /** Done by the clock, while the cook was silent and it was safe to think so. */
  | (Told & { readonly kind: 'clock'; readonly key: StepKey })
  /** The step needs more time: it is now thought to end at `until`. */
  | (Told & { readonly kind: 'not-yet'; readonly key: StepKey; readonly until: number })
  /** A look at it, the stage it showed, and when it is thought to be there: by a stage that may be sooner than it was thought. */
  | (Told & {
      readonly kind: 'checked';
      readonly key: StepKey;
      readonly look: Look;
      readonly stage?: string;
      readonly until: number;
    })
  /** Water went in: so much, and it comes back to the simmer first. */
  | (Told & { readonly kind: 'water'; readonly key: StepKey; readonly ml: number; readonly until: number })
  /** A probe or a scale thinks that it is there at `until`. */
  | (Told & { readonly kind: 'forecast'; readonly key: StepKey; readonly until: number })
  | (Told & { readonly kind: 'paused' | 'resumed' | 'skipped'; readonly key: StepKey })
  /** It stands on another burner or in another appliance now. */
  | (Told & { readonly kind: 'moved'; readonly key: StepKey; readonly unit: UnitKey })
  /** A burner or an appliance gives no more heat; `stood` on it then: what has to be carried elsewhere. */
  | (Told & { readonly kind: 'failed'; readonly unit: UnitKey; readonly stood?: readonly StepKey[] })
  /** The table is laid later (or sooner) by so many minutes. */
  | (Told & { readonly kind: 'hour'; readonly minutes: number })
  /** The hour stays though something comes up to so many minutes late, and though these dishes stand too long. */
  | (Told & { readonly kind: 'kept'; readonly minutes: number; readonly dishes?: readonly string[] })
  /** The rest is eaten first: this dish comes so many minutes after it. */
  | (Told & { readonly kind: 'after'; readonly dish: string; readonly minutes: number })
  /** Once it is ready the dish is kept warm until shortly before the table. */
  | (Told & { readonly kind: 'keep-warm'; readonly dish: string; readonly where: WarmPlace })
  /** The flame was turned down under it: it comes more slowly, and is thought to end at `until`. */
  | (Told & { readonly kind: 'turned-down'; readonly key: StepKey; readonly until: number })
  /**
   * It simmers on in the oven. Where it was under way, it stays on the burner until the oven is warm, at `until`, and has `rest` minutes
   * in the oven after that.
   */
  | (Told & {
      readonly kind: 'to-oven';
      readonly key: StepKey;
      readonly under?: { readonly until: number; readonly rest: number };
    })
  | (Told & { readonly kind: 'dropped'; readonly dish: string })
  /** Done before, `when`: last night, or while nobody looked; its minutes teach nothing. */
  | (Told & { readonly kind: 'settled'; readonly key: StepKey; readonly when: number })
  /** So much there was of what a step gave, and what was done about it. */
  | (Told & {
      readonly kind: 'measured';
      readonly key: StepKey;
      readonly product: string;
      readonly ml: number;
      readonly does: MeasuredDoes;
    })
  /** A taste, and what went in after it. */
  | (Told & { readonly kind: 'tasted'; readonly dish: string; readonly sense: Sense; readonly gave?: Pinch })
  /** Something went wrong and is being put right: what is under way ends at `until`, what was ready has another step. */
  | (Told & {
      readonly kind: 'rescued';
      readonly dish: string;
      readonly says: string;
      readonly key?: StepKey;
      readonly until?: number;
      readonly step?: MendingStep;
    })
  /** So many more eat (fewer: negative). `fixed` dishes stay as large as they are; the others grow. */
  | (Told & { readonly kind: 'guests'; readonly more: number; readonly fixed: readonly string[] })
  /** Another dish comes to the table. */
  | (Told & { readonly kind: 'added'; readonly dish: string; readonly made: Dish })
  /** These hands do it. */
  | (Told & { readonly kind: 'handed'; readonly key: StepKey; readonly person: string })
  | (Told & { readonly kind: 'note'; readonly text: string; readonly key?: string; readonly photo?: string })
  /** How a dish was, afterwards: too little (-1), right (0) or too much (1). */
  | (Told & {
      readonly kind: 'rated';
      readonly dish: string;
      readonly salt?: Rating;
      readonly wetness?: Rating;
      readonly doneness?: Rating;
    })
  /** So many portions of a dish were left over. */
  | (Told & { readonly kind: 'left-over'; readonly dish: string; readonly portions: number })
  /** The clock of the device was set by so many milliseconds (negative: back): what was told before happened at other instants by it. */
  | (Told & { readonly kind: 'clock-set'; readonly by: number })
  /** Takes back what was told; of an undoing, tells it again. */
  | (Told & { readonly kind: 'undo'; readonly of: string });

/** What an event tells. */
export type EventKind = LiveEvent['kind'];
/** An event that counts, if it was not taken back. */
export type StandingEvent = Exclude<LiveEvent, { kind: 'undo' }>;

/** Events that change what the planner must plan; the others only tell. */
const QUIET: ReadonlySet<EventKind> = new Set(['note', 'kept', 'rated', 'left-over', 'tasted']);

/** Whether the rest of the evening has to be planned anew after an event. `log` tells what an undoing takes back. */
export function changesThePlan(event: LiveEvent, log: readonly LiveEvent[]): boolean {
  if (event.kind !== 'undo') return !QUIET.has(event.kind);
  const undone = log.find(({ id }) => id === event.of);
  return undone !== undefined && changesThePlan(undone, log);
}

/** The ids of all that was taken back, and not told again since. */
export function takenBack(events: readonly LiveEvent[]): ReadonlySet<string> {
  const gone = new Set<string>();
  // From the last on: an undoing that was itself taken back counts no more.
  for (const event of events.toReversed()) if (event.kind === 'undo' && !gone.has(event.id)) gone.add(event.of);
  return gone;
}

/** The events that count, by the clock as it goes now: without those taken back, and without the undoings. */
export function standingEvents(events: readonly LiveEvent[]): readonly StandingEvent[] {
  const gone = takenBack(events);
  const standing = events.filter((event): event is StandingEvent => event.kind !== 'undo' && !gone.has(event.id));
  if (!standing.some(({ kind }) => kind === 'clock-set')) return standing;
  let by = 0;
  return standing
    .toReversed()
    .map((event) => {
      const moved = by === 0 ? event : movedBy(event, by);
      if (event.kind === 'clock-set') by += event.by;
      return moved;
    })
    .toReversed();
}

/** An event as it reads on a clock that was set since. */
function movedBy(event: StandingEvent, by: number): StandingEvent {
  const at = event.at + by;
  if (event.kind === 'to-oven' && event.under)
    return { ...event, at, under: { ...event.under, until: event.under.until + by } };
  if (event.kind === 'settled') return { ...event, at, when: event.when + by };
  return 'until' in event ? { ...event, at, until: event.until + by } : { ...event, at };
}

/** How many eat, by all that was told. */
export function eatersOf({ people }: Pick<Meal, 'people'>, events: readonly StandingEvent[]): number {
  return Math.max(1, people + events.reduce((sum, event) => sum + (event.kind === 'guests' ? event.more : 0), 0));
}

/** The undoing that comes next to be taken back itself: the last one, as long as nothing else was told since. */
export function lastTakenBack(events: readonly LiveEvent[]): LiveEvent | undefined {
  const gone = takenBack(events);
  const isUndoing = new Set(events.flatMap((event) => (event.kind === 'undo' ? [event.id] : [])));
  for (const event of events.toReversed()) {
    if (event.kind !== 'undo') {
      if (!gone.has(event.id)) return undefined;
    } else if (!isUndoing.has(event.of) && !gone.has(event.id)) return event;
  }
  return undefined;
}

/** What is so or not so: told twice it says no more than once. */
const ONCE: ReadonlySet<EventKind> = new Set([
  'begun',
  'done',
  'clock',
  'skipped',
  'failed',
  'dropped',
  'settled',
  'undo',
]);
/** Two words about one thing that say the same, so near one another, are one press that was counted twice. */
const ONE_PRESS = 1000;

/** Whether the log says already what is to be told: a press that was counted twice, in one window or in two. */
export function isToldAlready(events: readonly LiveEvent[], said: NewEvent, at: number): boolean {
  const gone = takenBack(events);
  return events.some(
    (event) =>
      event.kind === said.kind &&
      !gone.has(event.id) &&
      saysTheSame(event, said) &&
      (ONCE.has(said.kind) || (at - event.at < ONE_PRESS && 'until' in said)),
  );
}

/** About the same thing; for how long may differ by the moment between two presses. */
function saysTheSame(event: LiveEvent, said: NewEvent): boolean {
  const { id: _, at: __, ...told } = event;
  const fields = Object.keys({ ...told, ...said }).filter((field) => field !== 'kind');
  const of = (record: object, field: string) => (record as Record<string, unknown>)[field];
  return fields.every((field) => {
    const [a, b] = [of(told, field), of(said, field)];
    if (field === 'until') return Math.abs(Number(a) - Number(b)) < ONE_PRESS;
    return a === b || JSON.stringify(a) === JSON.stringify(b);
  });
}

/** What was told about one step; instants in milliseconds since 1970. */
export interface StepTold {
  readonly begun?: number;
  /** The first word about it: then it was under way at the latest. */
  readonly touched?: number;
  readonly done?: number;
  readonly skipped?: true;
  readonly until?: number;
  /** What is under way is cut off here: it goes on elsewhere. */
  readonly over?: number;
  /** Its heat was changed on the way: its minutes teach nothing. */
  readonly altered?: true;
  /** What an instrument thinks, sooner or later than planned; a word of the cook's outdoes it. */
  readonly forecast?: number;
  /** When it was last looked at. */
  readonly looked?: number;
  /** The stage that it showed last. */
  readonly stage?: string;
  /** Milliseconds of each pause; the last may still go on. */
  readonly pauses: readonly { readonly from: number; readonly to: number | null }[];
  readonly unit?: string;
  /** Whose hands do it, where it was given to them. */
  readonly person?: string;
  /** Done before, or not at all tonight. */
  readonly settled?: true;
  readonly water: number;
}

const NOTHING: StepTold = { pauses: [], water: 0 };

/** What was told about each step, the latest word counting. */
export function toldOf(events: readonly StandingEvent[]): ReadonlyMap<string, StepTold> {
  const told = new Map<string, StepTold>();
  for (const event of events) {
    if (!('key' in event) || event.key === undefined || event.kind === 'note') continue;
    const before = told.get(event.key) ?? NOTHING;
    // Whose work it is says nothing of whether it has begun.
    const touched = event.kind === 'handed' ? {} : { touched: before.touched ?? event.at };
    told.set(event.key, withEvent({ ...before, ...touched }, event));
  }
  return told;
}

function withEvent(told: StepTold, event: StandingEvent): StepTold {
  const { at } = event;
  switch (event.kind) {
    case 'begun':
      return { ...told, begun: at };
    case 'done':
    case 'clock':
      return { ...told, done: at };
    case 'skipped':
      return { ...told, done: at, skipped: true };
    case 'settled':
      return { ...told, done: Math.min(at, event.when), settled: true };
    case 'handed':
      return { ...told, person: event.person };
    case 'rescued':
      return event.until === undefined ? told : { ...lasting(told, event.until), altered: true };
    case 'forecast':
      return { ...told, forecast: event.until };
    case 'not-yet':
      return lasting(told, event.until);
    case 'turned-down':
      return { ...lasting(told, event.until), altered: true };
    case 'to-oven':
      return { ...byWord(told), altered: true, ...(event.under ? { over: event.under.until } : {}) };
    case 'checked': {
      const looked = { looked: at, ...(event.stage === undefined ? {} : { stage: event.stage }) };
      if (event.look === 'there') return { ...told, ...looked, done: at };
      // A stage tells how far it is: it may be there sooner than it was thought.
      return { ...(event.stage === undefined ? lasting(told, event.until) : thought(told, event.until)), ...looked };
    }
    case 'water':
      return { ...lasting(told, event.until), looked: at, water: told.water + event.ml };
    case 'paused':
      return told.pauses.at(-1)?.to === null ? told : { ...told, pauses: [...told.pauses, { from: at, to: null }] };
    case 'resumed':
      return { ...told, pauses: told.pauses.map((pause) => (pause.to === null ? { ...pause, to: at } : pause)) };
    case 'moved':
      return { ...told, unit: event.unit };
    default:
      return told;
  }
}

/** Thought to end at an instant, by the cook's word: so does what was cut off. */
function lasting(told: StepTold, until: number): StepTold {
  return { ...byWord(told), until, ...(told.over === undefined ? {} : { over: until }) };
}

/** Thought to end at an instant, whatever was thought before. */
function thought({ until: _, ...told }: StepTold, until: number): StepTold {
  return { ...told, forecast: until, ...(told.over === undefined ? {} : { over: until }) };
}

function byWord({ forecast: _, ...told }: StepTold): StepTold {
  return told;
}

/** Milliseconds that a step stood still between its beginning and an instant. */
export function pausedFor({ pauses }: Pick<StepTold, 'pauses'>, until: number): number {
  return pauses.reduce((sum, { from, to }) => sum + Math.max(0, Math.min(to ?? until, until) - from), 0);
}

/** An event as it is told, without what it gets when it is stored. */
export type NewEvent = LiveEvent extends infer Event
  ? Event extends LiveEvent
    ? Omit<Event, 'id' | 'at'>
    : never
  : never;

/** A look, as it is told. */
export type LookedAt = Extract<NewEvent, { kind: 'checked' }>;
