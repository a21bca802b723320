import { describe, expect, it } from 'vitest';
import { checkDish } from '@/core/dish/check';
import { ovenOf } from './classify';
import { dishFrom, readRecipe } from './reading';

function read(text: string) {
  const result = readRecipe(text);
  if (!result.ok) throw new Error(result.sentence);
  return result.reading;
}
/** A recipe of these steps for four. */
const steps = (...lines: readonly string[]) =>
  read(`Pot\nServes 4\n\nIngredients\n500 g pork shoulder, diced\n1 onion\n200 g rice\n\nMethod\n${lines.join('\n')}`)
    .steps;
const told = (line: string) => {
  const [step] = steps(line);
  return step && `${step.sort} ${step.minutes.likely} ${step.place.at}`;
};

describe('readings that would hurt', () => {
  it('a quarter of an hour is no hour of chopping', () => {
    expect(told('Simmer it for a quarter of an hour.')).toBe('simmer 15 burner');
    expect(told('Leave for three quarters of an hour.')).toBe('rest 45 rest');
  });

  it('browning is told in minutes, whatever is kept overnight', () => {
    expect(told('Brown the pork for eight minutes.')).toBe('fry 8 burner');
    expect(told('Brown the pork for 8 minutes; it keeps overnight.')).toBe('fry 8 burner');
  });

  it('an oven’s heat on a line of its own is that of what follows', () => {
    const [bake] = steps('Oven 225 °C.', 'Bake the pork for 40 minutes.');
    expect(bake).toMatchObject({ sort: 'bake', place: { at: 'oven', celsius: 225 } });
    const [short] = steps('350, 25-30 min');
    expect(short).toMatchObject({ place: { at: 'oven', celsius: 175 }, minutes: { likely: 28 } });
  });

  it('what stands beside the preheating is not lost', () => {
    const all = steps('Preheat the oven to 200 °C and cook the pork in a hot pan until 71 °C in the middle.');
    expect(all.map(({ words }) => words).join(' ')).toContain('pork');
    expect(all[0]!.uses.length).toBeGreaterThan(0);
    expect(steps('Preheat the oven to 200 °C.', 'Chop the onion.')).toHaveLength(1);
  });

  it('a slow cooker of the day stays on its day', () => {
    const [slow] = steps('Cook everything in the slow cooker on low for 8 hours.');
    expect(slow!.dayBefore).toBe(false);
    expect(steps('Soak the rice overnight.')[0]!.dayBefore).toBe(true);
  });

  it('nouns and idioms are nothing to do', () => {
    expect(String(told('Take it off the heat.'))).not.toMatch(/^(?:fry|simmer|boil)/);
    expect(told('Stir in the rest of the rice.')).toMatch(/^mix/);
    expect(told('Add the mince and fry it for 5 minutes.')).toMatch(/^fry 5/);
    expect(told('Let them colour for 6 minutes.')).toBe('fry 6 burner');
    expect(told('Stir in the cream; do not boil.')).toMatch(/^mix/);
    expect(told('Warm it through without letting it boil, 4 minutes.')).not.toMatch(/^boil/);
  });

  it('minutes beside a verb that nobody knows are kept', () => {
    expect(told('Let the pressure go down, 10-12 minutes.')).toMatch(/ 11 rest$/);
    const [, leave] = steps('Simmer for 10 minutes.', 'Leave it 5 to 10 minutes.');
    expect(leave).toMatchObject({ sort: 'rest', minutes: { likely: 8 } });
  });

  it('an oven’s heat is heard when it is told', () => {
    expect(ovenOf('and into the oven at two hundred for half an hour')).toBe(200);
    expect(ovenOf('put it in the oven at a hundred and sixty')).toBe(160);
    expect(ovenOf('one hundred grams of flour')).toBeNull();
  });

  it('work that speaks of the table or of others is work all the same', () => {
    expect(
      steps(
        'Simmer the rice for 20 minutes.',
        'Turn it out and put it on the table.',
        'Stir in the favourite spice of my family.',
      ),
    ).toHaveLength(3);
  });

  it('no step read is no crash', () => {
    const reading = read('Salad\n\nIngredients\n1 lettuce\n2 tomatoes');
    expect(reading.steps).toEqual([]);
    const dish = dishFrom(reading, 'd');
    expect(checkDish(dish)).toEqual([]);
    expect(dish.steps).toHaveLength(1);
  });

  it('hot steps wait as a cook lets them, and not where it says at once', () => {
    const wait = (...lines: readonly string[]) => {
      const reading = read(`Pot\n\nIngredients\n1 onion\n200 g rice\n\nMethod\n${lines.join('\n')}`);
      return dishFrom(reading, 'd').links[0]!.max;
    };
    expect(wait('Fry the onion for 8 minutes.', 'Simmer the rice for 20 minutes.')).toBeGreaterThanOrEqual(15);
    expect(wait('Fry the onion for 8 minutes.', 'Add the rice at once and cook for 20 minutes.')).toBeLessThanOrEqual(
      2,
    );
  });
});

describe('nothing is lost in silence', () => {
  it('an amount said only in the method makes its ingredient', () => {
    const reading = read(
      'Soup\n\nIngredients\n1 onion\n\nMethod\nFry the onion for 5 minutes.\nAdd 200 ml of cream and simmer for 10 minutes.',
    );
    expect(reading.ingredients.map(({ name, amount }) => [name, amount.quantity, amount.unit])).toContainEqual([
      'cream',
      200,
      'ml',
    ]);
    expect(reading.steps.at(-1)!.uses).toHaveLength(1);
    expect(reading.ingredients.find(({ name }) => name === 'cream')!.allergens).toContain('milk');
    // What the list has is not there twice.
    const twice = read(
      'Soup\n\nIngredients\n500 ml cream\n\nMethod\nAdd 200 ml of the cream and simmer for 10 minutes.',
    );
    expect(twice.ingredients).toHaveLength(1);
  });

  it('every word of a plain recipe is an ingredient, a step, or listed', () => {
    const text = `Grandmother's pot
A dish for cold evenings.
Prep: 20 mins
Serves 8

Ingredients
1 kg beef
Salt & pepper

Method
1.1 Brown the beef for 10 minutes.
1.2 Simmer for 2 hours.
Contains celery.`;
    const reading = read(text);
    expect(reading.servings).toBe(8);
    const said = [
      reading.name,
      ...reading.ingredients.map(({ words }) => words),
      ...reading.steps.map(({ words }) => words),
      ...reading.notes,
      ...reading.notUnderstood,
    ].join(' ');
    for (const line of ['A dish for cold evenings.', '1 kg beef', 'Salt & pepper', 'Brown the beef', 'Contains celery'])
      expect(said, line).toContain(line);
    expect(reading.steps.map(({ sort }) => sort)).toEqual(['fry', 'simmer']);
  });
});

describe('other languages', () => {
  it.each([
    [
      'German',
      'Linsensuppe\nFür 4 Personen\n\nZutaten\n250 g Linsen\n2 EL Öl\n1 Zwiebel\n\nZubereitung\n1. Zwiebel schälen und würfeln.\n2. Zwiebel im Öl 5 Minuten anbraten.\n3. Linsen zugeben und 30 Minuten köcheln lassen.',
      ['chop', 'fry', 'simmer'],
      'Linsen',
      4,
    ],
    [
      'French',
      'Soupe\nPour 6 personnes\n\nIngrédients\n250 g lentilles\n1 c. à café de sel\n\nPréparation\nRincer les lentilles.\nLaisser mijoter 25 minutes.\nServir chaud.',
      ['drain', 'simmer', 'serve'],
      'lentilles',
      6,
    ],
    [
      'Spanish',
      'Lentejas\n\nIngredientes\n250 g lentejas\n3 cucharadas de aceite\n\nPreparación\nPicar la cebolla.\nSofreír 8 minutos.\nCocer a fuego lento 40 minutos.',
      ['chop', 'fry', 'simmer'],
      'lentejas',
      4,
    ],
    [
      'Turkish',
      'Pilav\n4 kişilik\n\nMalzemeler\n2 su bardağı pirinç\n2 yemek kaşığı tereyağı\n\nHazırlanışı\nPirinci 5 dakika kavurun.\nKısık ateşte 15 dakika pişirin.',
      ['fry', 'simmer'],
      'pirinç',
      4,
    ],
    [
      'Persian',
      'پلو\n\nمواد لازم\n۲ پیمانه برنج\n۲ قاشق غذاخوری روغن\n\nطرز تهیه\nبرنج را بشویید.\nپیاز را ۱۰ دقیقه تفت دهید.',
      ['drain', 'fry'],
      'برنج',
      4,
    ],
    ['Hindi', 'दाल\n\nसामग्री\n२ कप दाल\n\nविधि\nदाल को धो लें।\n20 मिनट पकाएँ।', ['drain', 'simmer'], 'दाल', 4],
  ] as const)('%s: headings, measures, times and work', (_, text, sorts, name, servings) => {
    const reading = read(text);
    expect(reading.steps.map(({ sort }) => sort)).toEqual(sorts);
    expect(reading.ingredients.map((each) => each.name)).toContain(name);
    expect(reading.servings).toBe(servings);
    expect(reading.notUnderstood).toEqual([]);
  });
});
