import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { checkDish } from '@/core/dish/check';
import { dishesApart } from './apart';
import { dishFrom } from './reading';
import { read } from './testing/score';
import { strangersIn } from './testing/strangers';

const stranger = (set: string, manner: string) =>
  read(
    strangersIn(readFileSync(new URL(`./testing/strangers-${set}.txt`, import.meta.url), 'utf8')).find((each) =>
      each.manner.startsWith(manner),
    )!.text,
  );

describe('two dishes in one text', () => {
  it('that meet at the table only are two dishes, each with what goes into it', () => {
    const [curry, rice, ...more] = dishesApart(stranger('a', 'two dishes'))!;
    expect(more).toEqual([]);
    expect([curry!.name, rice!.name]).toEqual(['CHICKEN CURRY', 'CUMIN RICE']);
    const names = (of: typeof curry) => of!.ingredients.map(({ name }) => name);
    expect(names(rice)).toEqual(['basmati rice', 'cumin seeds', 'ghee', 'water']);
    expect(names(curry)).toContain('coconut milk');
    expect(names(curry)).not.toContain('ghee');
    expect(curry!.steps.at(-1)!.words).toContain('Serve the curry');
    for (const each of [curry!, rice!]) expect(checkDish(dishFrom(each, 'd'))).toEqual([]);
  });

  it.each([
    ['b', 'data with sections', 'a stock that feeds the rice'],
    ['c', 'British', 'dumplings that go into the stew'],
    ['b', 'markdown', 'a tadka for the dal'],
    ['a', 'a kitchen school', 'stages of one dish'],
    ['a', 'German', 'one dish'],
  ])('set %s, %s: %s is one', (set, manner) => {
    const found = strangersIn(readFileSync(new URL(`./testing/strangers-${set}.txt`, import.meta.url), 'utf8')).find(
      (each) => each.manner.includes(manner),
    );
    expect(dishesApart(read(found!.text))).toBeNull();
  });
});
