import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkDish } from '@/core/dish/check';
import {
  addIngredient,
  addStep,
  doubtsOf,
  joinStep,
  moveStep,
  setStep,
  sortStep,
  splitStep,
  takeIngredientOut,
  takeStepOut,
  tieToStep,
} from './mend';
import { dishFrom, type RecipeReading, unnamed } from './reading';
import { read } from './testing/score';

const POT = read(`Carrot pot
Serves 4
Ingredients
500 g carrots
1 onion
20 g butter
1 tsp salt
Method
Slice the carrots and the onion.
Soften the onion in the butter for 6 minutes. Add the carrots.
Simmer for 15 minutes.
Serve.
Notes
Good with 200 ml cream.`);
const words = ({ steps }: RecipeReading) => steps.map((each) => each.words);
const idOf = (reading: RecipeReading, name: string) => reading.ingredients.find((each) => each.name === name)!.id;

describe('a step', () => {
  it('is split where it is cut, and what goes in goes with its words', () => {
    const joined = joinStep(POT, POT.steps[1]!.id);
    const at = joined.steps[1]!.words.indexOf('Add');
    const split = splitStep(joined, joined.steps[1]!.id, at);
    expect(words(split)).toEqual(words(POT));
    expect(split.steps[1]).toMatchObject({ sort: 'fry', minutes: { likely: 6 } });
    expect(split.steps[1]!.uses).toContain(idOf(POT, 'butter'));
    expect(split.steps[2]!.uses).toContain(idOf(POT, 'carrots'));
    expect(new Set(split.steps.map(({ id }) => id)).size).toBe(split.steps.length);
  });

  it('is not split into nothing', () => {
    const { id, words: said } = POT.steps[0]!;
    expect(splitStep(POT, id, 0)).toBe(POT);
    expect(splitStep(POT, id, said.length)).toBe(POT);
    expect(splitStep(POT, 'none', 3)).toBe(POT);
  });

  it('is joined with the next: minutes that both say add up, and the longer says where', () => {
    const both = joinStep(POT, POT.steps[1]!.id);
    expect(both.steps[1]).toMatchObject({ minutes: { likely: 6 }, minutesWords: '6 minutes' });
    const all = joinStep(both, both.steps[1]!.id);
    expect(all.steps[1]).toMatchObject({ sort: 'simmer', minutes: { likely: 21 } });
    expect(joinStep(POT, POT.steps.at(-1)!.id)).toBe(POT);
  });

  it('is moved within the list only', () => {
    const [first, second] = POT.steps;
    expect(words(moveStep(POT, first!.id, 1)).slice(0, 2)).toEqual([second!.words, first!.words]);
    expect(moveStep(POT, first!.id, -1)).toBe(POT);
    expect(moveStep(POT, POT.steps.at(-1)!.id, 1)).toBe(POT);
  });

  it('set by hand is in no doubt any more; at once and beside make its links', () => {
    const [, , add, simmer] = POT.steps;
    const once = setStep(POT, simmer!.id, () => ({ atOnce: true, sure: 1 }));
    const link = dishFrom(once, 'd').links.find(({ from, to }) => from === add!.id && to === simmer!.id);
    expect(link!.max).toBeLessThanOrEqual(5);
    const beside = setStep(POT, simmer!.id, () => ({ meanwhile: true }));
    expect(dishFrom(beside, 'd').links.some(({ from, to }) => from === add!.id && to === simmer!.id)).toBe(false);
    const doubted = { ...POT, steps: POT.steps.map((each) => ({ ...each, sure: 0.1 })) };
    expect(doubtsOf(doubted).filter(({ of }) => of === 'step')).toHaveLength(POT.steps.length);
    expect(doubtsOf(sortStep(doubted, simmer!.id, 'boil')).filter(({ of }) => of === 'step')).toHaveLength(
      POT.steps.length - 1,
    );
  });

  it('that is none stands among the notes', () => {
    const without = takeStepOut(POT, POT.steps[0]!.id);
    expect(without.steps).toHaveLength(POT.steps.length - 1);
    expect(without.notes).toContain(POT.steps[0]!.words);
  });
});

describe('what goes in', () => {
  it('is tied to a step and let go', () => {
    const salt = idOf(POT, 'salt');
    expect(unnamed(POT).map(({ name }) => name)).toEqual(['salt']);
    const tied = tieToStep(POT, POT.steps[3]!.id, salt);
    expect(unnamed(tied)).toEqual([]);
    expect(unnamed(tieToStep(tied, POT.steps[3]!.id, salt)).map(({ id }) => id)).toEqual([salt]);
  });

  it('is added from marked words, and goes where it is named', () => {
    const more = addIngredient(POT, '200 ml cream');
    expect(more.ingredients.at(-1)).toMatchObject({ name: 'cream', amount: { quantity: 200, unit: 'ml' }, sure: true });
    expect(more.ingredients.at(-1)!.allergens).toContain('milk');
    const step = addStep(more, 'Stir in the cream.');
    expect(words(step)).toContain('Stir in the cream.');
    const named = addIngredient(addStep(POT, 'Stir in the cream.'), '200 ml cream');
    expect(named.steps.find((each) => each.words === 'Stir in the cream.')!.uses).toContain(
      named.ingredients.at(-1)!.id,
    );
    expect(addIngredient(POT, '  ')).toBe(POT);
  });

  it('taken out is nowhere but among the notes', () => {
    const without = takeIngredientOut(POT, idOf(POT, 'butter'));
    expect(without.ingredients.some(({ name }) => name === 'butter')).toBe(false);
    expect(without.steps.some(({ uses, names }) => [...uses, ...names].includes(idOf(POT, 'butter')))).toBe(false);
    expect(without.notes).toContain('20 g butter');
  });
});

describe('a step added from a note', () => {
  it('stands where the text has it, and is a note no more', () => {
    const text = 'Good with 200 ml cream.';
    expect(POT.notes).toContain(text);
    const more = addStep(POT, text);
    expect(words(more).at(-1)).toBe(text);
    expect(more.notes).not.toContain(text);
    expect(addStep(takeStepOut(POT, POT.steps[0]!.id), POT.steps[0]!.words).steps[0]!.words).toBe(POT.steps[0]!.words);
  });
});

it('whatever is touched, in whatever order, the dish can be kept and no word is lost', () => {
  const touch = fc.record({ what: fc.nat(8), step: fc.nat(9), item: fc.nat(9), at: fc.nat(60) });
  const after = (
    now: RecipeReading,
    { what, step, item, at }: { what: number; step: number; item: number; at: number },
  ) => {
    const id = now.steps[step % Math.max(1, now.steps.length)]?.id ?? 's';
    const own = now.ingredients[item % Math.max(1, now.ingredients.length)]?.id ?? 'i';
    switch (what) {
      case 0:
        return splitStep(now, id, at);
      case 1:
        return joinStep(now, id);
      case 2:
        return moveStep(now, id, at % 2 === 0 ? 1 : -1);
      case 3:
        return tieToStep(now, id, own);
      case 4:
        return takeStepOut(now, id);
      case 5:
        return takeIngredientOut(now, own);
      case 6:
        return addStep(now, now.notes[0] ?? 'Stir.');
      case 7:
        return addIngredient(now, '3 eggs');
      default:
        return setStep(now, id, ({ meanwhile, dayBefore }) => ({
          meanwhile: !meanwhile,
          dayBefore: at % 3 === 0 ? !dayBefore : dayBefore,
        }));
    }
  };
  const all = (reading: RecipeReading) =>
    [...words(reading), ...reading.notes, ...reading.ingredients.map((each) => each.words)].join(' ');
  fc.assert(
    fc.property(fc.array(touch, { maxLength: 12 }), (touches) => {
      const end = touches.reduce(after, POT);
      expect(checkDish(dishFrom(end, 'd'))).toEqual([]);
      for (const word of ['Slice', 'Soften', 'Simmer', 'Serve', 'butter', 'carrots']) expect(all(end)).toContain(word);
    }),
    { numRuns: 150, seed: 3 },
  );
});
