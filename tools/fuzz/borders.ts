import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { checkDish } from '@/core/dish/check';
import { readBackup } from '@/core/formats/backup-file';
import { dishFile, readDishFile } from '@/core/formats/dish-file';
import { mealFile, mealOf, readMealFile } from '@/core/formats/meal-file';
import { readProblem } from '@/core/formats/problem-file';
import { table } from '@/core/formats/table';
import { readMessage } from '@/core/formats/two-screens';
import { restored } from '@/core/live/evening';
import { liveSteps } from '@/core/live/session';
import { stoveAt } from '@/core/live/stove';
import { met } from '@/core/live/two-screens';
import { commandIn, sayHowLong, sayNext } from '@/core/live/voice';
import { learnFrom } from '@/core/log/lessons';
import { leftOvers, lookBack } from '@/core/log/look-back';
import { recordsOf } from '@/core/log/records';
import { readWants } from '@/core/meal/menu-words';
import { readHour } from '@/core/plain/read-hour';
import { readDuration, readIsoDuration } from '@/core/recipe/duration';
import { readIngredients } from '@/core/recipe/ingredient-line';
import { dishFrom, readRecipe } from '@/core/recipe/reading';
import type { Parsed } from '@/core/records/refuse';
import { findingsOf } from '@/core/safety/findings';
import { isFound } from '@/core/schedule/problem';
import { solve } from '@/core/schedule/solve';
import { validate } from '@/core/schedule/validate';
import { drainedGrain, plainGrain, mealOf as testMeal } from '@/core/testing/meals';
import { AMOUNT_MANNERS, CLOCK_MANNERS, DECIMAL_MANNERS, FIGURES, HEAT_MANNERS } from '@/core/units/manner';
import { readMeasured, readQuantity } from '@/core/units/measures';
import { told } from '@/core/units/told';
import { answer } from '@/server/answer';
import { doJob } from '@/server/job';
import { type Spoilt, spoilt } from './json';

/** What became of one input: taken, refused in a sentence, or wrong, and why. */
export type Crossing = 'taken' | 'refused' | { readonly wrong: string };

/** A place where something comes in that nobody has checked. */
export interface Border {
  readonly name: string;
  /** An input as text, and what is done with it. */
  readonly inputs: fc.Arbitrary<Attempt>;
}

/** One input at a border. */
export interface Attempt {
  readonly input: string;
  cross(): Crossing | Promise<Crossing>;
}

const fixture = (name: string) =>
  JSON.parse(readFileSync(new URL(`../../src/core/formats/fixtures/${name}.json`, import.meta.url), 'utf8'));
const stranger = (set: string) =>
  readFileSync(new URL(`../../src/core/recipe/testing/strangers-${set}.txt`, import.meta.url), 'utf8');

const NO_NUMBER = /\bNaN\b|\bInfinity\b|\bundefined\b|\[object /;

/** The first number that is none, and the first text that says such a thing, anywhere in a value; null where all is sound. */
export function unsound(value: unknown, path = 'value'): string | null {
  if (typeof value === 'number') return Number.isFinite(value) ? null : `${path} is ${value}`;
  if (typeof value === 'string') return NO_NUMBER.test(value) ? `${path} says "${value.slice(0, 200)}"` : null;
  if (value === null || typeof value !== 'object') return null;
  const inside = value instanceof Map || value instanceof Set ? [...value] : value;
  for (const [key, each] of Object.entries(inside)) {
    const fault = unsound(each, `${path}.${key}`);
    if (fault) return fault;
  }
  return null;
}

/** What came of an input though it must not, in words. */
class Wrong {
  constructor(readonly words: string) {}
}

/** What becomes of a value that was taken. */
function taken(value: unknown): Crossing {
  const fault = value instanceof Wrong ? value.words : unsound(value);
  return fault ? { wrong: fault } : 'taken';
}

function refusal(sentence: string, { names }: Pick<Spoilt, 'names'>): Crossing {
  if (sentence.trim() === '' || sentence.length > 6000) return { wrong: `a refusal of ${sentence.length} letters` };
  const fault = unsound(sentence, 'the refusal');
  if (fault) return { wrong: fault };
  if (names.length === 0 || /whole JSON|^The whole file/.test(sentence)) return 'refused';
  return names.some((name) => name !== '' && sentence.includes(name))
    ? 'refused'
    : { wrong: `a refusal that names no field: ${sentence.slice(0, 300)}` };
}

/** A border for files: what is taken is used, and must be sound. */
function files<T>(
  name: string,
  from: readonly unknown[],
  read: (text: string) => Parsed<T>,
  use: (value: T) => unknown | Promise<unknown>,
): Border {
  const inputs = spoilt(from).map((file) => ({
    input: file.text,
    cross: async (): Promise<Crossing> => {
      const parsed = read(file.text);
      if (!parsed.ok) return refusal(parsed.sentence, file);
      return taken(await use(parsed.value));
    },
  }));
  return { name, inputs };
}

/** A border for words: whatever is made of them must be sound; null is a refusal. */
function words(name: string, texts: fc.Arbitrary<string>, read: (text: string) => unknown): Border {
  const inputs = texts.map((input) => ({
    input,
    cross: (): Crossing => {
      const value = read(input);
      if (value === null) return 'refused';
      return NO_NUMBER.test(input) && !(value instanceof Wrong) ? 'taken' : taken(value);
    },
  }));
  return { name, inputs };
}

const PIECES = [
  '9'.repeat(400),
  '1e999',
  '1/0',
  '½',
  '3/0',
  '0',
  '-5',
  '2,5',
  '1.5',
  '1 1/2',
  '12',
  '00',
  '٣',
  '१',
  '·',
  '\u202E',
  '😀',
  '<b>',
  '"',
  '%',
  '=',
  '/',
  'g',
  'kg',
  'ml',
  'cups',
  'tbsp',
  'min',
  'hours',
  'h',
  '°C',
  '°F',
  'gas mark',
  'to',
  '-',
  '–',
  'of',
  'a',
  'half',
  'pinch',
  'constructor',
  '__proto__',
  'onions',
  'rice',
  'water',
  'until',
  'soft',
  'overnight',
  'am',
  'pm',
  ':',
  '.',
  ',',
  '\n',
  '\t',
  ' ',
  'PT',
  'P1D',
  'T',
  'M',
  'S',
  'Serves',
  'for',
  'people',
] as const;

const HOURS = [
  '7',
  '19',
  '30',
  '00',
  ':',
  '.',
  'h',
  ' ',
  'am',
  'pm',
  'a.m.',
  'half',
  'past',
  'seven',
  'noon',
  'Uhr',
  '24',
  '99',
  '-1',
  '٧',
] as const;

const DURATIONS = [
  '5',
  '1',
  '1/2',
  '½',
  '999',
  'h',
  ' hour',
  ' hours',
  'min',
  ' minutes',
  'to',
  '-',
  'and',
  'PT',
  'H',
  'M',
  'P1D',
  'half an hour',
  'overnight',
  '30',
  'seconds',
  '.',
] as const;

const FORMULAS = ['=', '+', '-', '@', '\t', '\r', '\n', '1', 'cmd', '"', ',', "'"] as const;

const COMMANDS = [
  'done',
  'not yet',
  'what next',
  'how long',
  'ready',
  'it is',
  'more time',
  'the',
  'onions',
  'are',
  '!',
  '’s',
  'NOT',
] as const;

/** A few of these, one after another. */
const rowOf = (pieces: readonly string[], between: string) =>
  fc.array(fc.constantFrom(...pieces), { minLength: 1, maxLength: 5 }).map((parts) => parts.join(between));

/** Words and signs of kitchens in no order, with and without blanks, and letters of anywhere. */
const babble = fc.oneof(
  {
    weight: 4,
    arbitrary: fc.array(fc.constantFrom(...PIECES), { minLength: 1, maxLength: 8 }).map((parts) => parts.join(' ')),
  },
  {
    weight: 2,
    arbitrary: fc.array(fc.constantFrom(...PIECES), { minLength: 1, maxLength: 6 }).map((parts) => parts.join('')),
  },
  { weight: 1, arbitrary: fc.string({ unit: 'binary', maxLength: 40 }) },
);

/** Recipes by strangers with lines lost, doubled, moved and made of babble. */
function recipes(): fc.Arbitrary<string> {
  const texts = ['a', 'b', 'c'].flatMap((set) => stranger(set).split(/^=+.*$/m)).filter((text) => text.trim() !== '');
  const change = fc.record({
    at: fc.nat(),
    how: fc.constantFrom('lost', 'doubled', 'moved', 'babble', 'within', 'joined' as const),
    more: babble,
    to: fc.nat(),
  });
  return fc
    .record({ text: fc.constantFrom(...texts), changes: fc.array(change, { maxLength: 6 }) })
    .map(({ text, changes }) => {
      const lines = text.split('\n');
      for (const { at, how, more, to } of changes) {
        const k = at % lines.length;
        const [line] = how === 'within' || how === 'joined' ? [lines[k]!] : lines.splice(k, 1);
        if (how === 'doubled') lines.splice(k, 0, line!, line!);
        if (how === 'moved') lines.splice(to % (lines.length + 1), 0, line!);
        if (how === 'babble') lines.splice(k, 0, more);
        if (how === 'within')
          lines[k] = `${line!.slice(0, to % (line!.length + 1))}${more}${line!.slice(to % (line!.length + 1))}`;
        if (how === 'joined') lines.splice(k, 2, `${line} ${lines[k + 1] ?? ''}`);
        if (lines.length === 0) lines.push('');
      }
      return lines.join('\n');
    });
}

/** A backup with the first few of each list: what is checked of the others is the same. */
function fewOf(backup: Record<string, unknown>): unknown {
  const kitchens = new Set((backup['kitchens'] as readonly { id: string }[]).slice(0, 2).map(({ id }) => id));
  return Object.fromEntries(
    Object.entries(backup).map(([key, value]) => {
      if (!Array.isArray(value)) return [key, value];
      return [key, value.filter((each) => each.kitchenId === undefined || kitchens.has(each.kitchenId)).slice(0, 2)];
    }),
  );
}

/** A problem with every field of the format in it. */
const PROBLEM = {
  format: 'warm-cadence/problem',
  version: 1,
  horizon: 120,
  serve: 100,
  units: [{ id: 'burner-1' }, { id: 'burner-2', away: [[0, 10]] }],
  pools: [{ id: 'hands', capacity: 1, away: [[90, 95, 1]] }],
  states: [{ id: 'oven', change: 5 }],
  steps: [
    { id: 'chop', minutes: 5, pools: { hands: 1 }, earliest: 0, latest: 80 },
    {
      id: 'fry',
      minutes: 10,
      units: [
        [
          { id: 'burner-1', cost: 0 },
          { id: 'burner-2', cost: 3 },
        ],
      ],
      pools: { hands: 1 },
      spread: [8, 15],
    },
    { id: 'bake', minutes: 20, state: { id: 'oven', value: 200 } },
    { id: 'warm', minutes: 5, state: { id: 'oven', value: 90 } },
  ],
  holds: [{ id: 'pot', from: 'fry', to: 'bake', after: 2, units: [{ id: 'burner-2', cost: 0 }] }],
  links: [
    { from: 'chop', at: 'end', to: 'fry', of: 'start', min: 0, max: 30, soft: { after: 10, cost: 2 } },
    { from: 'fry', at: 'end', to: 'bake', of: 'start', min: 0, max: null },
  ],
  ready: [{ step: 'bake', by: 100, hold: 15, early: 1, late: 20 }],
  awake: { pool: 'hands', cost: 1 },
  forbid: [
    [
      { step: 'fry', need: 0, unit: 'burner-2' },
      { hold: 'pot', unit: 'burner-2' },
    ],
  ],
};

const ROUNDS = 4;

/** All borders, each with inputs of whoever means no good or errs. */
export function borders(): readonly Border[] {
  const plain = mealFile(testMeal([plainGrain(), drainedGrain()]));
  const old = readMealFile(JSON.stringify(fixture('meal-2')));
  if (!old.ok) throw new Error(old.sentence);
  const withEvening = mealFile(mealOf(old.value), { plan: old.value.plan!, log: old.value.log! });
  const manners = fc.record({
    amounts: fc.constantFrom(...AMOUNT_MANNERS),
    heat: fc.constantFrom(...HEAT_MANNERS),
    clock: fc.constantFrom(...CLOCK_MANNERS),
    decimal: fc.constantFrom(...DECIMAL_MANNERS),
    figures: fc.constantFrom(...FIGURES),
  });
  return [
    files('meal files', [plain, fixture('meal-1-first'), fixture('meal-3-first')], readMealFile, (file) => file),
    files('evenings in meal files', [withEvening], readMealFile, ({ log = [], plan, ...file }) => [
      ...log.map(lookedAt),
      plan ? findingsOf(mealOf(file), plan) : [],
      learnFrom(log),
    ]),
    files(
      'what another screen tells',
      withEvening.log!.map((evening) => ({ kind: 'evening', evening, knows: evening.events.length })),
      (text) => readMessage(text, withEvening.log![0]!.id),
      (message) => (message.kind === 'evening' ? lookedAt(met(withEvening.log![0]!, message, false)) : message),
    ),
    files('dish files', [dishFile(plainGrain()), dishFile(drainedGrain())], readDishFile, (dish) => dish),
    files('backups', [fewOf(fixture('backup-2'))], readBackup, (file) => file),
    files('problems', [PROBLEM], readProblem, async (problem) => {
      const solution = await solve(problem, {
        seconds: 5,
        rounds: ROUNDS,
        now: () => performance.now(),
        pause: async () => {},
      });
      if (isFound(solution) && validate(problem, solution).faults.length > 0) return new Wrong('a rule is broken');
      return solution;
    }),
    {
      name: 'calls to the server',
      inputs: fc
        .record({
          file: spoilt([PROBLEM]),
          query: fc.array(fc.tuple(fc.constantFrom('seconds', 'seed', 'notBefore', 'sed', '__proto__'), babble), {
            maxLength: 2,
          }),
        })
        .map(({ file, query }) => ({
          input: `${JSON.stringify(query)} ${file.text}`,
          cross: () => callServer(file, query),
        })),
    },
    words('recipes', recipes(), (text) => {
      const read = readRecipe(text);
      if (!read.ok) return null;
      const dish = dishFrom(read.reading, 'read');
      // What a reading makes must be a dish that our own files may hold; and never more than what it says.
      const faults = checkDish(dish);
      return faults.length > 0 ? new Wrong(`${faults[0]!.where}: ${faults[0]!.sentence}`) : dish;
    }),
    words('amounts', babble, (text) => {
      const read = [readQuantity(text), readMeasured(text), ...readIngredients(text)];
      return read.every((each) => each === null) ? null : read;
    }),
    words('durations', fc.oneof(babble, rowOf(DURATIONS, ''), rowOf(DURATIONS, ' ')), (text) => {
      const read = [readDuration(text), readIsoDuration(text)];
      return read.every((each) => each === null) ? null : read;
    }),
    words('hours', fc.oneof(babble, rowOf(HOURS, ''), rowOf(HOURS, ' ')), (text) => {
      const hour = readHour(text);
      return hour === null || /^([01]\d|2[0-3]):[0-5]\d$/.test(hour) ? hour : new Wrong(`no hour: ${hour}`);
    }),
    {
      name: 'texts told in another manner',
      inputs: fc.tuple(babble, manners).map(([input, manner]) => ({
        input,
        cross: (): Crossing => {
          const once = told(input, manner);
          if (NO_NUMBER.test(once) && !NO_NUMBER.test(input)) return { wrong: `it says "${once}"` };
          return once === input ? 'refused' : 'taken';
        },
      })),
    },
    words('wishes for a menu', babble, (text) => {
      const wants = readWants(text);
      return wants.length === 0 ? null : wants;
    }),
    words('words at the stove', fc.oneof(babble, rowOf(COMMANDS, ' ')), commandIn),
    words('cells of a table', fc.oneof(babble, rowOf(FORMULAS, '')), (text) => {
      const [, row = ''] = table(['cell'], [{ cell: text }]).split(/\r?\n(?=.)/s);
      if (/^"?[=+\-@\t\r\n]/.test(row)) return new Wrong(`a formula: ${row}`);
      // Told to be words is a refusal to be anything else.
      return /^"?'/.test(row) ? null : row;
    }),
  ];
}

function lookedAt(evening: Parameters<typeof lookBack>[0]): unknown {
  const at = evening.tableAt - 45 * 60_000;
  const steps = liveSteps(evening, at);
  const stove = stoveAt(evening, at, steps);
  return [
    steps,
    stove,
    sayNext(stove, at),
    sayHowLong(evening, stove, at),
    restored(evening),
    recordsOf(evening),
    lookBack(evening),
    leftOvers(evening),
  ];
}

async function callServer(file: Spoilt, query: readonly (readonly [string, string])[]): Promise<Crossing> {
  const address = new URL('http://localhost/api/solve');
  for (const [name, value] of query) address.searchParams.append(name, value);
  const request = new Request(address, {
    method: 'POST',
    body: file.text,
    headers: { 'content-type': 'application/json' },
  });
  const response = await answer(request, 'solve', (job) => doJob({ ...job, seconds: Math.min(job.seconds, 0.005) }));
  const body = await response.text();
  if (response.status === 200) return taken(JSON.parse(body));
  if (response.status !== 400) return { wrong: `status ${response.status}: ${body.slice(0, 200)}` };
  const { sentence } = JSON.parse(body) as { sentence: string };
  const names = query.length > 0 ? [] : file.names;
  return refusal(sentence, { names });
}

/** What an input did to what all objects share. */
export function polluted(): string | null {
  const made = [...Object.keys(Object.prototype), ...Object.keys(Array.prototype)];
  return made.length > 0 ? `every object now has ${made.join(', ')}` : null;
}

/** Lets an input cross; whatever is thrown is wrong. */
export async function crossed({ cross }: Attempt): Promise<Crossing> {
  try {
    const became = await cross();
    const stain = polluted();
    return stain ? { wrong: stain } : became;
  } catch (error) {
    return {
      wrong: `thrown: ${error instanceof Error ? `${error.message}${(error.stack ?? '').split('\n').slice(1, 3).join(' ')}` : error}`,
    };
  }
}
