import { describe, expect, it } from 'vitest';
import { commandIn, sayHowLong, sayNext } from './voice';

describe('what is said to the stove', () => {
  it('is understood as cooks say it', () => {
    const said: readonly (readonly [string, string | null])[] = [
      ['Done.', 'done'],
      ["it's ready", 'done'],
      ['That is done', 'done'],
      ['not yet', 'not yet'],
      ['Not done yet!', 'not yet'],
      ['it’s not ready', 'not yet'],
      ['it needs longer', 'not yet'],
      ['the rice is done', 'done'],
      ['and finished', 'done'],
      ["it's there", 'done'],
      ['not quite done', 'not yet'],
      ['this is not really ready yet', 'not yet'],
      ["it isn't done", 'not yet'],
      ["the rice isn't there yet", 'not yet'],
      ['almost ready', 'not yet'],
      ["we're nearly there", 'not yet'],
      ['I want more time', 'not yet'],
      ["What's next?", 'what next'],
      ['what comes next', 'what next'],
      ['what do I do now', 'what next'],
      ['how long', 'how long'],
      ['How much longer is that', 'how long'],
    ];
    for (const [words, command] of said) expect(commandIn(words), words).toBe(command);
  });

  it('is not taken out of a conversation', () => {
    for (const words of [
      '',
      'I was done with that job years ago, you know',
      'pass me the salt',
      'the kids have gone',
      'there you go',
    ])
      expect(commandIn(words), words).toBeNull();
  });

  it('tells nothing where it asks, wishes or says when', () => {
    for (const words of [
      'Is it done?',
      'are you ready',
      "isn't it ready yet?",
      'is it not done yet?',
      'when is it ready',
      'tell me when it is done',
      'will it be ready soon',
      'it will be done at seven',
      'get ready',
      "don't start before it's ready",
      'if it is done take it off',
      'tell me if it is not ready',
      'I want it done',
      'who is ready',
    ])
      expect(commandIn(words), words).toBeNull();
  });

  it('is answered in a sentence', () => {
    const live = (name: string, more: object) =>
      ({ step: { name, dishName: 'Barley' }, status: 'running', startAt: 600_000, endAt: 300_000, ...more }) as never;
    const stove = {
      now: [live('fry', {})],
      watching: [live('simmer', { endAt: 0 })],
      next: [live('drain', { status: 'waiting' })],
    } as never;
    expect(sayNext(stove, 0)).toBe('Now: fry, Barley. Next: drain, Barley, in 10 min.');
    expect(sayHowLong({ tableAt: 1_200_000 } as never, stove, 60_000)).toBe(
      'fry, Barley: 4 min. simmer, Barley: its time is over. 19 min to the table.',
    );
    expect(sayNext({ now: [], watching: [], next: [] } as never, 0)).toBe('Nothing for the hands.');
  });
});
