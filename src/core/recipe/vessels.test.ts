import { describe, expect, it } from 'vitest';
import { dishFrom } from './reading';
import { read } from './testing/score';

/** Which vessel each step of a method stands in. */
const vesselsOf = (...method: readonly string[]) =>
  dishFrom(
    read(
      `Pot\nServes 4\nIngredients\n500 g chicken\n2 onions\n300 g rice\n1 tsp cumin seeds\n2 tbsp oil\nMethod\n${method.join('\n')}`,
    ),
    'd',
  ).steps.map(({ vessel }) => vessel ?? '-');

describe('vessels follow the words', () => {
  it('one pot where no other is said', () => {
    const [fry, simmer] = vesselsOf('Fry the onions for 8 minutes.', 'Add the chicken and simmer for 30 minutes.');
    expect(fry).toBe(simmer);
  });

  it('another where one is said for the first time, the same where it is the same', () => {
    const [fry, seeds, back, on] = vesselsOf(
      'Fry the onions in a large pot for 8 minutes.',
      'Meanwhile, fry the cumin seeds in a small pan for 1 minute.',
      'Fry the rice in the same pan for 3 minutes.',
      'Add the chicken to the pot and simmer for 30 minutes.',
    );
    expect(seeds).not.toBe(fry);
    expect(back).toBe(seeds);
    expect(on).toBe(fry);
  });

  it('what goes on beside never shares', () => {
    const [simmer, fry] = vesselsOf(
      'Simmer the chicken for 30 minutes.',
      'Meanwhile, fry the onions for 8 minutes.',
      'Serve.',
    );
    expect(simmer).not.toBe(fry);
  });
});

describe('the pot that is spoken of after something was mixed beside', () => {
  it('is the one on the heat: it stands when it has simmered', () => {
    const dish = dishFrom(
      read(
        'Pot\nServes 4\nIngredients\n500 g chicken\n200 g yogurt\nMethod\nSimmer the chicken for 30 minutes.\nMeanwhile, whisk the yogurt.\nLet the pot stand for 10 minutes.\nStir in the yogurt and serve.',
      ),
      'd',
    );
    const [simmer, , stand] = dish.steps;
    expect(dish.links.some(({ from, to }) => from === simmer!.id && to === stand!.id)).toBe(true);
  });
});

describe('what is made the day before', () => {
  it('stands a night, though it comes from the heat', () => {
    const dish = dishFrom(
      read(
        'Pot\nServes 4\nIngredients\n500 g chicken\n300 g rice\nMethod\nThe day before, simmer the chicken for 60 minutes.\nCook the rice in its broth for 18 minutes.',
      ),
      'd',
    );
    expect(dish.links).toMatchObject([{ overnight: true }]);
    expect(dish.steps[0]!.daysBefore).toBe(1);
  });
});
