import { afterEach, describe, expect, it } from 'vitest';
import { message, piecesOf, say, speak, spoken, term } from './say';

const speakBy = (language: string, words: Readonly<Record<string, string>>) =>
  speak(language, (english) => (Object.hasOwn(words, english) ? words[english] : undefined));
afterEach(() => speak('en'));

describe('what is said', () => {
  it('is English by itself, with its values in place', () => {
    expect(spoken()).toBe('en');
    expect(say('Nothing for the hands.')).toBe('Nothing for the hands.');
    expect(say('{dish} could make it {hour}', { dish: 'Barley', hour: '19:40' })).toBe('Barley could make it 19:40');
    expect(say('Fill {share} % of it', { share: 0 })).toBe('Fill 0 % of it');
  });

  it('agrees with its number', () => {
    const steps = (n: number) => say('{n, plural, =0 {no step} one {# step} other {# steps}} left', { n });
    expect([0, 1, 2].map(steps)).toEqual(['no step left', '1 step left', '2 steps left']);
    speakBy('ar', {
      '{n, plural, =0 {no step} one {# step} other {# steps}} left':
        '{n, plural, zero {صفر} one {واحد} two {اثنان} few {# خطوات} many {# خطوة} other {# خطوة.}}',
    });
    expect([0, 1, 2, 3, 11, 100].map(steps)).toEqual(['صفر', 'واحد', 'اثنان', '3 خطوات', '11 خطوة', '100 خطوة.']);
  });

  it('is in the language of the thread, in the order that it asks for; what that lacks stays English', () => {
    speakBy('de', { '{dish} could make it {hour}': 'Bis {hour} kann es mit {dish} werden', medium: 'mittel' });
    expect(spoken()).toBe('de');
    expect(say('{dish} could make it {hour}', { dish: 'Gerste', hour: '19:40' })).toBe(
      'Bis 19:40 kann es mit Gerste werden',
    );
    expect(say('Nothing for the hands.')).toBe('Nothing for the hands.');
    expect(say(message('medium'))).toBe('mittel');
    expect([term('medium'), term('constructor'), term('my own word')]).toEqual([
      'mittel',
      'constructor',
      'my own word',
    ]);
    speak('en');
    expect(say('{dish} could make it {hour}', { dish: 'x', hour: 'y' })).toBe('x could make it y');
  });

  it('takes values as they are: braces, marks and signs of a plural in a name are part of the name', () => {
    expect(say('“{step}” of {dish}', { step: '{dish}', dish: '# <b>' })).toBe('“{dish}” of # <b>');
    expect(piecesOf('<b>Not kept:</b> {words}', { words: '<b>x</b>' })).toEqual([
      { mark: 'b', of: 'Not kept:' },
      { mark: null, of: ' ' },
      { mark: null, of: '<b>x</b>' },
    ]);
  });

  it('comes in pieces for those who draw it, in the order of the language', () => {
    speakBy('de', { '{n} of <b>all</b>': '<b>Von allen</b> {n}' });
    expect(piecesOf('{n} of <b>all</b>', { n: 3 })).toEqual([
      { mark: 'b', of: 'Von allen' },
      { mark: null, of: ' ' },
      { mark: null, of: 3 },
    ]);
  });

  it('chooses by a word', () => {
    speakBy('de', { '{who} waits': '{kind, select, f {die {who}} other {der {who}}} wartet' });
    expect(say('{who} waits', { who: 'Suppe', kind: 'f' } as never)).toBe('die Suppe wartet');
    expect(say('{who} waits', { who: 'Topf' })).toBe('der Topf wartet');
  });

  it('refuses a form that nobody can draw', () => {
    expect(() => say('at {hour, time}', { hour: 1 } as never)).toThrow('{hour, time}');
  });
});

describe('a sentence that is read from the right', () => {
  it('keeps the order of what is put into it', () => {
    speakBy('ar', { '{hour} in {kitchen}': '{hour} في {kitchen}', '{n} steps': '{n} خطوات' });
    expect(say('{hour} in {kitchen}', { hour: '7:30 PM', kitchen: 'Hall' })).toBe(
      '\u20687:30 PM\u2069 في \u2068Hall\u2069',
    );
    expect(say('{n} steps', { n: 5 })).toBe('5 خطوات');
    expect(piecesOf('{hour} in {kitchen}', { hour: '7:30 PM', kitchen: 1 })).toEqual([
      { mark: null, of: '\u20687:30 PM\u2069' },
      { mark: null, of: ' في ' },
      { mark: null, of: 1 },
    ]);
  });
});
