import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { openAny } from './any-file';
import { type MealFile, readMealFile } from './meal-file';
import { checkInvitation, isInvitation, readAnswer, readMessage, writeAnswer, writeInvitation } from './two-screens';

const read = readMealFile(readFileSync(new URL('fixtures/meal-2.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.sentence);
const { log, ...rest } = read.value;
const evening = log![0]!;
const file: MealFile = { ...rest, log: [evening] };
const said = (parsed: { ok: true } | { ok: false; sentence: string }) => (parsed.ok ? 'taken' : parsed.sentence);

describe('an invitation to follow an evening', () => {
  const invitation = JSON.parse(writeInvitation('v=0', file));

  it('holds the meal with its evening, and how the other screen can be reached', () => {
    expect(isInvitation(invitation)).toBe(true);
    expect([null, 4, file].map(isInvitation)).toEqual([false, false, false]);
    expect(checkInvitation(invitation)).toMatchObject({ ok: true, value: { offer: 'v=0', file } });
    // It is opened as a meal, with the way to the other screen.
    expect(openAny(JSON.stringify(invitation))).toEqual({ ok: true, value: { kind: 'meal', file, offer: 'v=0' } });
    expect(openAny(JSON.stringify(file))).toEqual({ ok: true, value: { kind: 'meal', file } });
  });

  it.each([
    ['another version', { version: 2 }, /^version: the other device has another Warm Cadence/],
    ['no way to the other screen', { offer: 4 }, /^offer: .*found 4/],
    ['one too long', { offer: 'v'.repeat(20_001) }, /^offer: /],
    ['no meal', { file: undefined }, /^file: this is missing/],
    ['a meal that is none', { file: { ...file, meal: 4 } }, /^meal: .*found 4/],
    ['no evening', { file: rest }, /^file, log: /],
    ['two evenings', { file: { ...file, log: [evening, { ...evening, id: 'other' }] } }, /^file, log: /],
    ['what nobody knows', { more: 1 }, /^more: there is no such field/],
  ])('with %s is refused in words', (_, change, words) => {
    expect(said(checkInvitation({ ...invitation, ...change }))).toMatch(words);
  });
});

describe('an answer', () => {
  it('says how the invited screen can be reached; anything else is refused in words', () => {
    expect(readAnswer(writeAnswer('v=0'))).toMatchObject({ ok: true, value: { answer: 'v=0' } });
    expect(said(readAnswer('v=0'))).toMatch(/^This answer cannot be read/);
    expect(said(readAnswer(JSON.stringify(file)))).toMatch(/^format: /);
    expect(said(readAnswer('{"format":"warm-cadence/answer","version":9,"answer":""}'))).toMatch(/^version: /);
    expect(said(readAnswer('{"format":"warm-cadence/answer","version":1}'))).toBe('answer: this is missing.');
    expect(said(readAnswer('null'))).not.toBe('taken');
  });
});

describe('what another screen tells', () => {
  const message = (value: object) => readMessage(JSON.stringify(value), evening.id);

  it('is its evening, or what time it is there', () => {
    const told = { kind: 'evening', evening, knows: evening.events.length };
    expect(message(told)).toEqual({ ok: true, value: told });
    expect(message({ kind: 'asked', asked: 5 })).toMatchObject({ ok: true, value: { asked: 5 } });
    expect(message({ kind: 'answered', asked: 5, answered: 6 })).toMatchObject({ ok: true, value: { answered: 6 } });
  });

  it.each([
    [
      'of another evening',
      { kind: 'evening', evening: { ...evening, id: 'other' }, knows: 0 },
      /^evening, id: .*"other"/,
    ],
    ['of more than there is', { kind: 'evening', evening, knows: evening.events.length + 1 }, /^knows: /],
    ['of an evening that is none', { kind: 'evening', evening: { ...evening, plan: 4 }, knows: 0 }, /^evening, plan: /],
    ['of less than nothing', { kind: 'evening', evening, knows: -1 }, /^knows: /],
    ['of another kind', { kind: 'constructor' }, /^kind: this must be/],
    ['without a time', { kind: 'asked' }, /^asked: this is missing/],
  ])('%s is refused in words', (_, value, words) => {
    expect(said(message(value))).toMatch(words);
  });

  it('broken off on the way is refused', () => {
    expect(said(readMessage('{"kind":"as', evening.id))).toMatch(/^This message cannot be read/);
    expect(said(readMessage('null', evening.id))).toMatch(/^kind: /);
  });
});
