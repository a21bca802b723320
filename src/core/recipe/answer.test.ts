import { describe, expect, it } from 'vitest';
import { withAnswer } from './answer';
import { read } from './testing/score';

const POT = read(`Carrot pot
Ingredients
500 g carrots
Method
Simmer the carrots for 15 minutes.
Notes
Some put 2 tbsp cream in and warm it through.`);
const say = (ingredients: readonly unknown[], steps: readonly unknown[]) => JSON.stringify({ ingredients, steps });

describe('what a model says of a recipe', () => {
  it('is taken where its words stand in the text, and read by the rules', () => {
    const answered = withAnswer(POT, say(['500 g carrots', '2 tbsp cream'], ['warm it through']))!;
    expect(answered).toMatchObject({ added: 2, refused: 0 });
    expect(answered.reading.ingredients.at(-1)).toMatchObject({ name: 'cream', amount: { quantity: 2, unit: 'tbsp' } });
    expect(answered.reading.steps.map(({ words }) => words)).toContain('warm it through');
  });

  it('is not taken where they do not, or where it is known already', () => {
    const answered = withAnswer(
      POT,
      say(['3 tbsp cream', '1 kg gold', 'carrots'], ['Simmer the carrots', 'Burn it', 7, null]),
    )!;
    expect(answered.reading).toBe(POT);
    expect(answered).toMatchObject({ added: 0, refused: 5 });
  });

  it.each(['', 'no', '[]', '{"ingredients": "x", "steps": []}', '{"steps": []}', '{', 'null', '{"__proto__": {}}'])(
    'in no shape it is nothing: %s',
    (answer) => expect(withAnswer(POT, answer)).toBeNull(),
  );

  it('may stand among other words, as models write', () => {
    expect(withAnswer(POT, `Here you are:\n\`\`\`json\n${say(['2 tbsp cream'], [])}\n\`\`\``)).toMatchObject({
      added: 1,
    });
  });
});
