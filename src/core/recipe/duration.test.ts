import { describe, expect, it } from 'vitest';
import { readDuration } from './duration';

const likely = (sentence: string) => readDuration(sentence)?.minutes.likely ?? null;

describe('durations as recipes put them', () => {
  it.each([
    ['Simmer for 20 minutes.', 20],
    ['Bake for 1 h 30.', 90],
    ['Bake 1h30 or so', 90],
    ['Cook for 1 hour 15 minutes', 75],
    ['Leave it for a quarter of an hour.', 15],
    ['Three quarters of an hour in the oven', 45],
    ['Half an hour on a low heat', 30],
    ['An hour and a half, covered', 90],
    ['Brown for eight minutes.', 8],
    ['Ten to twelve minutes, turning', 11],
    ['Rest for forty-five minutes', 45],
    ['Stir every 5 minutes for 40 minutes.', 40],
    ['Simmer for 1 hour, stirring every 10 minutes.', 60],
    ['Toast for 30 seconds', 1],
    ['Marinate for 2 days', 2880],
    ['Let the pressure go down, 10-12 minutes', 11],
    ['2½ hours', 150],
    ['1 1/2 hours', 90],
    ['3/4 hour', 45],
    ['20 Minuten köcheln lassen', 20],
    ['1 Std. schmoren', 60],
    ['Laisser mijoter 25 minutes', 25],
    ['Cocer durante 2 horas', 120],
    ['15 dakika pişirin', 15],
    ['۱۵ دقیقه بپزید', 15],
    ['15 دقیقه بپزید', 15],
    ['20 मिनट पकाएँ', 20],
  ] as const)('%s', (sentence, minutes) => expect(likely(sentence)).toBe(minutes));

  it('takes no time of day, temperature or bare number for one', () => {
    for (const sentence of ['Bake at 180 °C', 'Serve at 8', '1 h at most 200 g', 'Oven 225 °C.', 'For 4 people'])
      expect(likely(sentence) === null || likely(sentence) === 60, sentence).toBe(true);
    expect(likely('Roast for 1 hour 180 °C')).toBe(60);
  });

  it('means a night where one is said, and not where minutes are', () => {
    expect(likely('Soak overnight, or for at least 4 hours.')).toBe(600);
    expect(likely('Brown for 8 minutes; what is left keeps overnight')).toBe(8);
    expect(likely('1/0 hour')).toBeNull();
  });
});
