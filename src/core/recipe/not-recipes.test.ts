import { describe, expect, it } from 'vitest';
import { readRecipe } from './reading';

/** Texts that look like one in part: amounts, minutes, numbered steps, verbs of the kitchen. */
const NONE = {
  news: `Council votes to close two car parks\n\nThe council voted on Tuesday to close two car parks in the old town by 2027. Residents had 30 minutes to speak. "We will lose 200 spaces," said one of them. The mayor added that 4 new bus lines would serve the centre, and that the plan was cooked up without asking anyone.\n\nThe decision takes effect in 6 months.`,
  invoice: `INVOICE 2211\nDate 3 May\n\n2 x desk lamp 49.00\n1 x chair 120.00\n5 m cable 12.50\n\nTotal 230.50\nPay within 30 days.`,
  todo: `To do today\n- call the dentist\n- 2 letters to post\n- pick up 4 tyres\n- wash the car\n- book train for 8`,
  code: `function add(a, b) {\n  // mix both\n  return a + b;\n}\nfor (let i = 0; i < 10; i++) { console.log(add(i, 2)); }`,
  poem: `The rain came down upon the hill,\nThe wind went by and all was still.\nWe walked for hours through the heather,\nAnd shared our bread and talked of weather.`,
  assembly: `Assembly of the shelf\n\nParts\n4 boards\n16 screws\n2 brackets\n\nSteps\n1. Lay the boards on the floor.\n2. Press the pins into the holes.\n3. Turn the shelf over and place it against the wall.\n4. Fix with 2 screws, about 10 minutes.`,
  shopping: `Shopping\nmilk\neggs 12\nbread\n2 kg potatoes\nwashing powder`,
  training: `Run plan\nMonday: rest\nTuesday: warm up 10 minutes, then run 30 minutes, stretch 5 minutes\nThursday: 8 x 400 m, 2 minutes rest\nSunday: long run 90 minutes`,
  reply: `Thanks for your order! Your parcel with 3 items will be delivered between 10 and 12. Please serve yourself from our FAQ.`,
  page: `<html><body><nav>Home</nav><article><h1>How we choose a stove</h1><p>We cooked 40 dishes on 12 stoves for 3 months. Boiling a litre of water took 4 minutes on the fastest.</p><p>Gas is quicker to respond. Induction is cleaner. We simmered sauces for 2 hours.</p></article></body></html>`,
};

describe('what is no recipe', () => {
  it.each(Object.entries(NONE))('is refused, and it is said why: %s', (_, text) => {
    const result = readRecipe(text);
    expect(result).toMatchObject({ ok: false, sentence: expect.stringMatching(/^Recipe: .{20,}\.$/) });
  });
});

describe('a recipe among much else', () => {
  const RECIPE = `<h1>Onion rice</h1><h2>Ingredients</h2><ul><li>300 g rice</li><li>2 onions</li></ul><h2>Method</h2><ol><li>Fry the onions for 8 minutes.</li><li>Add the rice and simmer for 15 minutes.</li></ol>`;

  it('in the first megabyte of a page is read whatever comes after', () => {
    const many = Array.from(
      { length: 30_000 },
      (_, k) => `<p>Reader ${k}: I liked it and cooked it for ${k % 60} minutes.</p>`,
    );
    const page = `<html><body>${RECIPE}<h2>Comments</h2>${many.join('\n')}</body></html>`;
    expect(page.length).toBeGreaterThan(1_000_000);
    const result = readRecipe(page);
    expect(result.ok && result.reading.ingredients.map(({ name }) => name)).toEqual(['rice', 'onions']);
    expect(result.ok && result.reading.steps.map(({ sort }) => sort)).toEqual(['fry', 'simmer']);
  });

  it('of a page of more lines than a recipe has is read too', () => {
    const before = Array.from({ length: 900 }, (_, k) => `<p>Entry ${k} of a long diary about rain.</p>`).join('');
    const result = readRecipe(`<html><body>${before}${RECIPE}</body></html>`);
    expect(result.ok && result.reading.steps).toHaveLength(2);
  });
});
