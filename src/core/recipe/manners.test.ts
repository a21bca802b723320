import { describe, expect, it } from 'vitest';
import { read, type Written } from './testing/score';
import { describeRecipes } from './testing/suite';

/** Twelve recipes, beside which the rules were made. */
const CORPUS: readonly Written[] = [
  {
    manner: 'headings, metric, numbered',
    text: `Leek and barley pot
Serves 4

Ingredients
300 g pearl barley
2 large leeks, in rings
1 onion, finely chopped
40 g butter
1 litre hot stock
1 tsp salt

Method
1. Slice the leeks and chop the onion.
2. Melt the butter and soften the leeks and onion for 8 minutes.
3. Add the barley and toast it for 3 minutes.
4. Pour in the stock and bring to the boil.
5. Cover and simmer for 30-35 minutes, until the barley is tender.
6. Leave to rest for 10 minutes, then serve.`,
    servings: 4,
    ingredients: [
      ['pearl barley', 300, 'g'],
      ['leeks', 2, 'piece'],
      ['onion', 1, 'piece'],
      ['butter', 40, 'g'],
      ['hot stock', 1, 'l'],
      ['salt', 1, 'tsp'],
    ],
    steps: ['chop', 'fry', 'fry', 'boil', 'simmer', 'rest', 'serve'],
  },
  {
    manner: 'American cups and Fahrenheit, paragraphs',
    text: `Baked Sweet Potatoes with Lime
Yield: 6 servings

INGREDIENTS:
- 3 lbs sweet potatoes, cut in wedges
- 1/4 cup olive oil
- 1 1/2 tsp smoked paprika
- 2 limes, juiced
- 1/2 cup thick yogurt

DIRECTIONS:
Preheat the oven to 425°F. Toss the sweet potatoes with the oil and paprika. Roast for 35 to 40 minutes, turning once, until brown. Meanwhile, whisk the yogurt with the lime juice. Serve with the yogurt.`,
    servings: 6,
    ingredients: [
      ['sweet potatoes', 3, 'lb'],
      ['olive oil', 0.25, 'us-cup'],
      ['smoked paprika', 1.5, 'tsp'],
      ['limes', 2, 'piece'],
      ['thick yogurt', 0.5, 'us-cup'],
    ],
    steps: ['mix', 'bake', 'mix', 'serve'],
  },
  {
    manner: 'JSON-LD with HowToSteps',
    text: JSON.stringify({
      '@context': 'https://schema.org',
      '@type': 'Recipe',
      name: 'Quick lentils',
      recipeYield: '4 portions',
      totalTime: 'PT40M',
      recipeIngredient: ['250 g green lentils', '1 carrot, diced', '2 tbsp sherry vinegar', '600 ml water'],
      recipeInstructions: [
        { '@type': 'HowToStep', text: 'Rinse the lentils.' },
        { '@type': 'HowToStep', text: 'Bring the water to the boil with the lentils and carrot.' },
        { '@type': 'HowToStep', text: 'Simmer gently for 25 minutes.' },
        { '@type': 'HowToStep', text: 'Drain, stir in the vinegar and serve warm.' },
      ],
    }),
    servings: 4,
    ingredients: [
      ['green lentils', 250, 'g'],
      ['carrot', 1, 'piece'],
      ['sherry vinegar', 2, 'tbsp'],
      ['water', 600, 'ml'],
    ],
    steps: ['drain', 'boil', 'simmer', 'serve'],
  },
  {
    manner: 'a page with JSON-LD in a graph, sections, entities',
    text: `<!doctype html><html><head><title>x</title><script type="application/ld+json">{"@graph":[{"@type":"WebSite","name":"x"},{"@type":["Recipe"],"name":"Pickled &amp; crisp cabbage","recipeYield":["8"],"recipeIngredient":["1&#189; kg white cabbage, shredded","2 tbsp fine salt","500 ml cider vinegar","3 tbsp sugar"],"recipeInstructions":[{"@type":"HowToSection","name":"Day before","itemListElement":[{"@type":"HowToStep","text":"Shred the cabbage, salt it and chill it overnight."}]},{"@type":"HowToSection","name":"On the day","itemListElement":[{"@type":"HowToStep","text":"Bring the vinegar and sugar to a boil."},{"@type":"HowToStep","text":"Pour over the cabbage and let it stand for 2 hours."}]}]}]}</script></head><body><script>alert(1)</script></body></html>`,
    servings: 8,
    ingredients: [
      ['white cabbage', 1.5, 'kg'],
      ['fine salt', 2, 'tbsp'],
      ['cider vinegar', 500, 'ml'],
      ['sugar', 3, 'tbsp'],
    ],
    steps: ['chill', 'boil', 'rest'],
  },
  {
    manner: 'no headings, short lines, a method in one paragraph',
    text: `Garlic greens for 4 people

400 g kale
3 cloves garlic
2 tbsp olive oil
pinch of salt

Wash and shred the kale. Slice the garlic. Heat the oil in a wide frying pan and fry the garlic for 1 minute. Add the kale and salt and stir-fry over high heat for 5 minutes. Serve at once.`,
    servings: 4,
    ingredients: [
      ['kale', 400, 'g'],
      ['garlic', 3, 'clove'],
      ['olive oil', 2, 'tbsp'],
      ['salt', 1, 'pinch'],
    ],
    steps: ['drain', 'chop', 'fry', 'fry', 'serve'],
  },
  {
    manner: 'a grandmother’s letter',
    text: `Bean pot

You'll need:
500g dried white beans
2 onions
a handful of sage
4 tablespoons of oil

What to do
Soak the beans overnight in plenty of water. Drain them. Chop the onions and brown them in the oil, about 10 minutes. Put in the beans and the sage, cover with water and cook gently until tender, about 1 hour. Let it stand a few minutes before you serve.`,
    servings: 4,
    ingredients: [
      ['dried white beans', 500, 'g'],
      ['onions', 2, 'piece'],
      ['sage', 25, 'g'],
      ['oil', 4, 'tbsp'],
    ],
    steps: ['soak', 'drain', 'fry', 'simmer', 'serve'],
  },
  {
    manner: 'ranges, fractions, gas mark',
    text: `Roast roots
Serves 6-8

Ingredients
1.5-2 kg mixed roots, peeled and cut
3½ tbsp oil
½ tsp salt
4–5 sprigs thyme

Method
Heat the oven to gas mark 6.
Peel and cut the roots.
Toss with oil, salt and thyme on two trays.
Roast for 40 minutes or until soft and brown.`,
    servings: 7,
    ingredients: [
      ['mixed roots', 1.75, 'kg'],
      ['oil', 3.5, 'tbsp'],
      ['salt', 0.5, 'tsp'],
      ['thyme', 4.5, 'sprig'],
    ],
    steps: ['chop', 'mix', 'bake'],
  },
  {
    manner: 'tins, brackets, notes',
    text: `Chickpea stew (30 minutes)
Serves: 4

Ingredients:
* 2 x 400 g tins chickpeas, drained
* 1 (400 g) tin chopped tomatoes
* 1 onion (large), chopped
* 2 tsp ground cumin
* salt, to taste

Method:
1) Fry the onion in a little oil for 8-10 mins.
2) Stir in the cumin for 1 min.
3) Add tomatoes and chickpeas; simmer 15 mins.
4) Taste, add salt.`,
    servings: 4,
    ingredients: [
      ['chickpeas', 2, 'tin'],
      ['chopped tomatoes', 1, 'tin'],
      ['onion', 1, 'piece'],
      ['ground cumin', 2, 'tsp'],
      ['salt', 1, 'pinch'],
    ],
    steps: ['fry', 'mix', 'simmer', 'mix'],
  },
  {
    manner: 'steps labelled Step 1:',
    text: `Flatbreads
Makes 8

Ingredients
300 g flour
180 ml warm water
1 tsp salt
2 tbsp oil

Step 1: Mix flour, salt, oil and water.
Step 2: Knead for 8 minutes.
Step 3: Rest for 30 minutes, covered.
Step 4: Roll out thin.
Step 5: Toast each in a hot dry skillet for 2 minutes a side.`,
    servings: 8,
    ingredients: [
      ['flour', 300, 'g'],
      ['warm water', 180, 'ml'],
      ['salt', 1, 'tsp'],
      ['oil', 2, 'tbsp'],
    ],
    steps: ['mix', 'mix', 'rest', 'mix', 'fry'],
  },
  {
    manner: 'marinade and meanwhile',
    text: `Lemon pork
Serves 4
Ingredients
600 g pork fillet, sliced
juice of 1 lemon
2 cloves garlic, crushed
1 tbsp oil
Directions
Marinate the pork in lemon juice and garlic for 2 hours in the fridge.
Sear the pork in hot oil over high heat for 6 minutes.
Meanwhile, slice some bread.
Rest the pork for 5 minutes and serve.`,
    servings: 4,
    ingredients: [
      ['pork fillet', 600, 'g'],
      ['lemon', 1, 'piece'],
      ['garlic', 2, 'clove'],
      ['oil', 1, 'tbsp'],
    ],
    steps: ['marinate', 'fry', 'chop', 'rest'],
  },
  {
    manner: 'Celsius inline, long braise in the oven',
    text: `Sunday shanks
Serves 4

Ingredients
4 lamb shanks
2 carrots, diced
500 ml red wine
300 ml stock

Method
Brown the shanks in a casserole on all sides, about 12 minutes.
Add the carrots and cook for 5 minutes.
Pour in wine and stock and bring to a simmer.
Cover and bake at 150°C for 2 1/2 hours, until the meat comes from the bone.
Stand for 15 minutes.`,
    servings: 4,
    ingredients: [
      ['lamb shanks', 4, 'piece'],
      ['carrots', 2, 'piece'],
      ['red wine', 500, 'ml'],
      ['stock', 300, 'ml'],
    ],
    steps: ['fry', 'simmer', 'boil', 'bake', 'rest'],
  },
  {
    manner: 'only a list and a sentence or two',
    text: `Green relish

30 g parsley
15 g mint
1 lemon
60 ml olive oil

Blend everything until smooth. Chill for 1 hour.`,
    servings: 4,
    ingredients: [
      ['parsley', 30, 'g'],
      ['mint', 15, 'g'],
      ['lemon', 1, 'piece'],
      ['olive oil', 60, 'ml'],
    ],
    steps: ['mix', 'chill'],
  },
];

describeRecipes(CORPUS);

describe('the name of a recipe', () => {
  it('is found, also where it says how many it is for', () => {
    expect(CORPUS.map(({ text }) => read(text).name)).toEqual([
      'Leek and barley pot',
      'Baked Sweet Potatoes with Lime',
      'Quick lentils',
      'Pickled & crisp cabbage',
      'Garlic greens',
      'Bean pot',
      'Roast roots',
      'Chickpea stew (30 minutes)',
      'Flatbreads',
      'Lemon pork',
      'Sunday shanks',
      'Green relish',
    ]);
  });
});
