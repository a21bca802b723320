import { afterEach, describe, expect, it } from 'vitest';
import { retellIn, retold, thingRetold, written } from './retold';
import { say, speak } from './say';

const GERMAN = {
  leeks: 'Lauch',
  'dried leeks': 'getrockneter Lauch',
  thyme: 'Thymian',
  cut: 'schneiden',
  'Cut the {thing}.': '{thing} schneiden.',
  'Cut the {thing} roughly.': '{thing} grob schneiden.',
  'Lid on.': 'Deckel drauf.',
  'Braise on the hob': 'Schmoren auf dem Herd',
  '{name} ({part})': '{name} ({part})',
  '{step}, first pot': '{step}, erster Topf',
};

afterEach(() => speak('en'));

describe('what a dish keeps', () => {
  it('is written in English whatever is spoken, its values in their places', () => {
    speak('de', () => 'etwas', GERMAN);
    expect(written('Lid on.')).toBe('Lid on.');
    expect(written('{celsius} °C at the thickest {place}', { celsius: 74, place: 'part' })).toBe(
      '74 °C at the thickest part',
    );
  });

  it('is retold whole, at the beginning of a sentence and within one', () => {
    retellIn('de', GERMAN);
    expect(retold('leeks')).toBe('Lauch');
    expect(retold('Cut')).toBe('Schneiden');
    expect(retold('braise on the hob')).toBe('Schmoren auf dem Herd');
  });

  it('is retold with what was put in, by as many of its words as there are', () => {
    retellIn('de', GERMAN);
    expect(retold('Cut the leeks.')).toBe('Lauch schneiden.');
    expect(retold('Cut the leeks roughly.')).toBe('Lauch grob schneiden.');
    expect(retold('Cut the thyme.')).toBe('Thymian schneiden.');
    expect(retold('cut (dried leeks)')).toBe('schneiden (getrockneter Lauch)');
    expect(retold('cut, first pot')).toBe('schneiden, erster Topf');
  });

  it('is retold sentence by sentence, and thing by thing where all of them are known', () => {
    retellIn('de', GERMAN);
    expect(retold('Cut the leeks. Lid on.')).toBe('Lauch schneiden. Deckel drauf.');
    expect(retold('Stir it my way. Lid on.')).toBe('Stir it my way. Deckel drauf.');
    expect(retold('leeks and thyme')).toBe('Lauch und Thymian');
    expect(retold('leeks, thyme')).toBe('Lauch, Thymian');
    expect(retold('leeks and nettles')).toBe('leeks and nettles');
    speak('ar', (english) => (english === ', ' ? '، ' : undefined), { leeks: 'كراث', thyme: 'زعتر' });
    expect(retold('leeks, thyme')).toBe('كراث، زعتر');
  });

  it('stays as its cook wrote it where it is in no catalog, with a cook’s word in a known sentence too', () => {
    retellIn('de', GERMAN);
    expect(retold('My aunt’s way')).toBe('My aunt’s way');
    expect(retold('Cut the nettles roughly.')).toBe('Nettles grob schneiden.');
    expect(retold('12:30')).toBe('12:30');
    retellIn('en', {});
    expect(retold('leeks')).toBe('leeks');
  });

  it('is retold in a sentence that is said, also from the right', () => {
    speak('de', () => undefined, GERMAN);
    expect(say('{dish} is late', { dish: 'leeks' })).toBe('Lauch is late');
    speak('ar', () => undefined, { leeks: 'كراث' });
    expect(say('{dish} is late', { dish: 'leeks' })).toBe('\u2068كراث\u2069 is late');
  });

  it('is retold piece by piece in a line of several, and after the amounts that stand before them', () => {
    retellIn('de', GERMAN);
    expect(retold('leeks · My own pot')).toBe('Lauch · My own pot');
    expect(thingRetold('600 g leeks, thyme; 2 sprigs thyme; 1½ nettles')).toBe(
      '600 g Lauch, Thymian; 2 sprigs Thymian; 1½ nettles',
    );
    expect(thingRetold('19:30')).toBe('19:30');
    speak('de', () => undefined, GERMAN);
    expect(say('In go: {amounts}.', { amounts: '600 g leeks; 2 sprigs thyme' })).toBe(
      'In go: 600 g Lauch; 2 sprigs Thymian.',
    );
  });

  it('holds signs that mean something in a pattern', () => {
    retellIn('de', { 'a (b) [{thing}]?': '{thing}!', x: 'y' });
    expect(retold('a (b) [x]?')).toBe('y!');
  });
});
