import { describe, expect, it } from 'vitest';
import { readIngredients } from './ingredient-line';
import { plainText, readServings } from './taken-apart';

const of = (line: string) =>
  readIngredients(plainText(line)).map(({ name, amount }) => `${amount.quantity} ${amount.unit} ${name}`);

describe('lines of ingredients as others write them', () => {
  it.each([
    ['300ml/½ pint milk', ['300 ml milk']],
    ['1 lb / 450 g stewing beef', ['1 lb stewing beef']],
    ['**320 g** pearl barley', ['320 g pearl barley']],
    ['Flour\t200 g', ['200 g Flour']],
    ['200 g\tflour', ['200 g flour']],
    ['200 g flour\t2 eggs', ['200 g flour', '2 piece eggs']],
    ['1 c. à café de sel', ['1 tsp sel']],
    ['2 cuillères à soupe d’huile', ['2 tbsp d’huile']],
    ['2 EL Öl', ['2 tbsp Öl']],
    ['1 TL Salz', ['1 tsp Salz']],
    ['3 cucharadas de aceite', ['3 tbsp aceite']],
    ['1 su bardağı pirinç', ['1 cup pirinç']],
    ['2 yemek kaşığı tereyağı', ['2 tbsp tereyağı']],
    ['۲ قاشق غذاخوری روغن', ['2 tbsp روغن']],
    ['٢٥٠ غرام أرز', ['250 g أرز']],
    ['२ कप चावल', ['2 cup चावल']],
    ['2 Zehen Knoblauch', ['2 clove Knoblauch']],
  ] as const)('%s', (line, read) => expect(of(line)).toEqual(read));

  it('are two things where they name two', () => {
    expect(readIngredients('Salt & pepper').map(({ name }) => name)).toEqual(['Salt', 'pepper']);
    expect(readIngredients('sea salt and freshly ground black pepper, to taste').map(({ name }) => name)).toEqual([
      'sea salt',
      'freshly ground black pepper',
    ]);
    expect(readIngredients('Salted butter')).toHaveLength(1);
  });
});

describe('servings', () => {
  it.each([
    ['Serves 4 to 6', 5],
    ['For six', 6],
    ['Prep: 20 mins, Cook: 1 hour, Serves 8', 8],
    ['Makes about 12', 12],
    ['4', 4],
    ['4 portions', 4],
    ['Für 4 Personen', 4],
    ['Pour 6 personnes', 6],
    ['Prep: 20 mins', null],
    ['Ready in 45 minutes', null],
  ] as const)('%s', (text, servings) => expect(readServings(text)).toBe(servings));
});
