import { describe, expect, it } from 'vitest';
import { LIMITS } from '@/core/heat/safe-limits';
import { centreOf } from '@/core/live/measured';
import { cautionsAt } from './cautions';
import { allergensOf, dietOf } from './diet';
import type { Dish } from './dish';
import { handlesRaw } from './foods';
import { KEEPING, keepsOf } from './keeping';
import { makeDish } from './parts';
import { measuredAt, neverHeated, ruleFor, ruleOf, sayRule } from './rules';
import type { Technique } from './technique';
import { TECHNIQUES, techniqueOf } from './techniques/all';
import { chop, dish, follow, fry, item, leave, pot, waits } from './write';

/** What the one table says of each: °C of the middle, what it keeps as while raw, the allergen, the diet. */
const RAW = [
  ['chicken drumsticks', 74, KEEPING.rawPoultry, null, 'with meat'],
  ['duck breasts', 74, KEEPING.rawPoultry, null, 'with meat'],
  ['turkey mince', 74, KEEPING.rawMinced, null, 'with meat'],
  ['chicken livers', 74, KEEPING.rawMinced, null, 'with meat'],
  ['minced beef', 71, KEEPING.rawMinced, null, 'with meat'],
  ['venison', 71, KEEPING.rawMeat, null, 'with meat'],
  ['lamb’s liver', 71, KEEPING.rawMinced, null, 'with meat'],
  ['oxtail', 63, KEEPING.rawMeat, null, 'with meat'],
  ['pork loin', 63, KEEPING.rawMeat, null, 'with meat'],
  ['sea bass', 63, KEEPING.rawFish, 'fish', 'with fish'],
  ['scallops', 63, KEEPING.rawFish, 'molluscs', 'with fish'],
  ['king prawns', 63, KEEPING.rawFish, 'crustaceans', 'with fish'],
  ['eggs', 71, KEEPING.eggs, 'eggs', 'vegetarian'],
] as const;

/** The slot of a technique that holds what it is of. */
const MAIN: Readonly<Record<string, string>> = {
  meat: 'meat',
  main: 'main',
  base: 'base',
  vegetables: 'vegetables',
  layers: 'layers',
  firm: 'firm',
  slices: 'slices',
  fish: 'fish',
  sauce: 'sauce',
  pulses: 'pulses',
  finish: 'finish',
  eggs: 'eggs',
};

function of(technique: Technique, name: string): { readonly dish: Dish; readonly slot: string } | null {
  const slot = technique.slots.find(({ id }) => MAIN[id] !== undefined)?.id;
  if (slot === undefined) return null;
  const made = makeDish(technique, { id: 'it', name: 'It', servings: 4 }, { fillings: { [slot]: { name } } });
  return { dish: made, slot };
}

describe.each(TECHNIQUES.map((technique) => [technique.id, technique] as const))('%s', (_, technique) => {
  it.each(RAW)('with %s heeds the one table: %i °C', (name, celsius, keeps, allergen, diet) => {
    const made = of(technique, name);
    if (!made) return;
    const { slot } = made;
    const user = made.dish.steps.find(({ uses }) => uses.includes(slot));
    if (!user) return;
    const all = made.dish.steps.flatMap((step) => cautionsAt(made.dish, step));
    const cooked = made.dish.steps.some(({ place }) => ['burner', 'oven', 'appliance'].includes(place.at));

    // The temperature: asked for where it is measured, or not at all where it has boiled for an hour.
    const most = Math.max(celsius, ruleOf(made.dish)!.celsius);
    expect(ruleOf(made.dish)!.celsius).toBe(most);
    expect(centreOf(made.dish)).toBe(most);
    const measured = measuredAt(made.dish);
    if (measured) {
      expect(cautionsAt(made.dish, measured.step).join(' ')).toContain(`${most} °C`);
      expect(all.join(' ')).toContain('measure');
    }
    // No step says less than the table: what is written is never of another animal.
    for (const said of all.flatMap((words) => [...words.matchAll(/(\d\d) °C/g)])) {
      expect(Number(said[1]), said.input).toBeGreaterThanOrEqual(Math.min(60, most));
    }
    for (const { doneWhen } of made.dish.steps) {
      const told = /(\d\d) °C/.exec(doneWhen);
      if (told) expect(Number(told[1]), doneWhen).toBe(most);
    }
    // Hands and boards.
    if (name !== 'eggs') {
      expect(handlesRaw(made.dish, user)).toBe(true);
      expect(cautionsAt(made.dish, user).join(' ')).toMatch(/wash board/i);
    }
    // Keeping, by the step that takes it in hand alone.
    const kept = keepsOf(
      { ...made.dish, steps: [{ ...user, uses: [slot], place: { at: 'board' } }] },
      new Set([user.id]),
    );
    expect(kept.fridgeDays).toBeLessThanOrEqual(keeps.fridgeDays);
    // Allergens and diet at once.
    if (allergen) expect(allergensOf(made.dish)).toContain(allergen);
    expect([
      'vegan',
      ...(made.dish.takes.length > 0 ? [] : ['not known']),
      ...(diet === 'vegetarian' ? [] : ['vegetarian']),
    ]).not.toContain(dietOf(made.dish));
    // What no heat reaches is found.
    expect(neverHeated(made.dish).length > 0).toBe(
      !cooked ||
        !made.dish.steps
          .slice(made.dish.steps.indexOf(user))
          .some(({ place }) => ['burner', 'oven', 'appliance'].includes(place.at)),
    );
  });
});

describe('the table', () => {
  it('asks nothing of what is eaten as it comes, and 74 °C of flesh that is heated again', () => {
    const rule = (name: string) => ruleOf({ ingredients: [item('it', 1, 'piece', name)] });
    expect(rule('prosciutto')).toBeNull();
    expect(rule('smoked salmon')).toBeNull();
    expect(rule('carrots')).toBeNull();
    expect(rule('cooked chicken')?.celsius).toBe(74);
    expect(rule('tinned tomatoes')).toBeNull();
    expect(ruleFor({ name: 'x', kind: 'poultry', state: 'raw', allergens: [], diet: 'with meat' })?.limit).toBe(
      LIMITS.poultry,
    );
  });

  it('takes the strictest of several', () => {
    const both = { ingredients: [item('a', 1, 'piece', 'beef'), item('b', 1, 'piece', 'chicken thighs')] };
    expect(ruleOf(both)?.celsius).toBe(74);
  });

  it('says its sentence whatever temperature is written at the step already', () => {
    const made = makeDish(techniqueOf('roast'), { id: 'r', name: 'R', servings: 4 }, { ways: { animal: 'poultry' } });
    const steps = made.steps.map((step) =>
      step.id === 'roast' ? { ...step, cautions: ['The oven stands at 60 °C at first, then 190 °C.'] } : step,
    );
    const roast = steps.find(({ id }) => id === 'roast')!;
    expect(cautionsAt({ ...made, steps }, roast)).toContain(sayRule(measuredAt({ ...made, steps })!.rule));
  });

  it('is silent where the flesh has simmered for an hour', () => {
    const braise = (name: string) =>
      makeDish(techniqueOf('braise'), { id: 'b', name: 'B', servings: 4 }, { fillings: { meat: { name } } });
    expect(measuredAt(braise('braising beef'))).toBeNull();
    // A bird's braise is shorter.
    expect(measuredAt(braise('chicken thighs'))?.rule.celsius).toBe(74);
  });
});

describe('hazards at their step', () => {
  const said = (made: Dish, id: string) => cautionsAt(made, made.steps.find((step) => step.id === id)!).join(' ');
  const make = (
    technique: string,
    ways: Record<string, string> = {},
    fillings: Record<string, { name: string }> = {},
  ) => makeDish(techniqueOf(technique), { id: 'x', name: 'X', servings: 6 }, { ways, fillings });

  it('closing and opening a pressure cooker', () => {
    for (const [technique, after] of [
      ['pulses-pressure', 'finish'],
      ['stock-pressure', 'strain'],
    ] as const) {
      expect(said(make(technique), 'cook')).toContain('lock the lid');
      expect(said(make(technique), after)).toContain('Open it only when the pressure is gone');
    }
  });

  it('steam under a lid that has rested or was sealed', () => {
    for (const technique of ['absorption', 'pilaf-oven', 'broth-grain', 'hard-boil']) {
      expect(said(make(technique), 'fluff'), technique).toContain('steam scalds');
    }
    expect(said(make('drain'), 'fluff')).toContain('steam scalds');
  });

  it('hot fat when a crust or a pot is turned out', () => {
    expect(said(make('drain', { crust: 'thick' }), 'turn')).toContain('run out when it is turned');
    expect(said(make('turned-out'), 'turn')).toContain('run out when it is turned');
  });

  it('deep fat, and a pan’s handle', () => {
    const deep = dish({
      id: 'd',
      name: 'D',
      servings: 4,
      ingredients: [item('oil', 1, 'l', 'sunflower oil'), item('fritters', 8, 'piece', 'courgettes')],
      steps: [fry('fry', 'fry', 'full', 8, 'Fry in lots.', { uses: ['oil', 'fritters'], vessel: 'pot' })],
      links: [],
      vessels: [pot('pot', 'pot', ['pot'], 4, 'fry', 'fry')],
      lands: { step: 'fry', waits: waits('hot', 3, 6, 'uncovered', 'open') },
    });
    expect(said(deep, 'fry')).toMatch(/third full.*lid at hand.*never water.*children/);
    expect(said(make('greens'), 'wilt')).toContain('reach of children');
  });

  it('a jug blender with hot soup; a hard squash, a cabbage, a coconut', () => {
    expect(said(make('soup'), 'blend')).toMatch(/half full.*vent open.*cloth/);
    for (const name of ['squash', 'white cabbage', 'fresh coconut', 'celeriac']) {
      expect(said(make('curry', {}, { main: { name } }), 'cut'), name).toContain('flat side');
    }
    expect(said(make('curry', {}, { main: { name: 'coconut milk' } }), 'cut')).not.toContain('flat side');
  });

  it('whole spices and peppers under all their names are fished out; what is ground is not', () => {
    for (const name of [
      'bay',
      'cassia bark',
      'kaffir lime leaves',
      'whole scotch bonnet',
      'pandan leaf',
      'allspice berries',
    ]) {
      expect(said(make('absorption', {}, { spice: { name } }), 'fluff'), name).toContain('Fish out');
    }
    for (const name of ['ground cinnamon', 'crushed cardamom', 'parsley']) {
      expect(said(make('absorption', {}, { spice: { name } }), 'fluff'), name).not.toContain('Fish out');
    }
  });

  it('what is not known: washed after, cooked through, its label asked', () => {
    expect(said(make('curry', {}, { main: { name: 'blorp' } }), 'cut')).toContain('Not known here: blorp');
    expect(dietOf(make('curry', {}, { main: { name: 'blorp' } }))).toBe('not known');
  });

  it('nothing of board and raw meat in a dish that has none', () => {
    const plain = dish({
      id: 'p',
      name: 'P',
      servings: 2,
      ingredients: [item('c', 2, 'piece', 'carrots')],
      steps: [chop('cut', 'cut', 3, 'Cut.', { uses: ['c'] }), leave('boil', 'boil', 'low', 10, 'Boil.')],
      links: [follow('cut', 'boil')],
      lands: null,
    });
    expect(plain.steps.flatMap((step) => cautionsAt(plain, step))).toEqual([]);
  });
});
