import type { Written } from './testing/score';
import { describeRecipes } from './testing/suite';

/** Eighteen more, written after the rules were made and before they were looked at again. */
const MORE: readonly Written[] = [
  {
    manner: 'bullets and imperative fragments',
    text: `MUSHROOM BARLEY SOUP (serves 6)

• 25 g dried mushrooms
• 1 tbsp butter
• 1 onion, diced
• 2 carrots, diced
• 150 g pearl barley
• 1.5 l water

Soak mushrooms in hot water for 20 min.
Sweat onion and carrots in butter, 8 min.
Add barley, mushrooms and water. Bring to boil.
Simmer 45 min.
Season and serve.`,
    servings: 6,
    ingredients: [
      ['dried mushrooms', 25, 'g'],
      ['butter', 1, 'tbsp'],
      ['onion', 1, 'piece'],
      ['carrots', 2, 'piece'],
      ['pearl barley', 150, 'g'],
      ['water', 1.5, 'l'],
    ],
    steps: ['soak', 'fry', 'mix', 'boil', 'simmer', 'serve'],
  },
  {
    manner: 'a blog’s voice',
    text: `My favourite weeknight millet

This is the one I make when nobody has been shopping.

Ingredients
1 cup millet
2 cups water
1/2 teaspoon salt
1 lemon (zest and juice)
a handful of parsley

Instructions
First, toast the millet in a dry pan until it smells nutty, about 4 minutes.
Carefully add the water and salt and bring to a boil.
Now turn the heat to low, cover, and cook for 18 minutes.
Take it off the heat and let it sit for 10 minutes.
Fluff with a fork, stir in lemon and parsley. Enjoy!`,
    servings: 4,
    ingredients: [
      ['millet', 240, 'ml'],
      ['water', 480, 'ml'],
      ['salt', 0.5, 'tsp'],
      ['lemon', 1, 'piece'],
      ['parsley', 25, 'g'],
    ],
    steps: ['fry', 'boil', 'simmer', 'rest', 'mix'],
  },
  {
    manner: 'capital headings and abbreviations',
    text: `BRAISED RED CABBAGE
SERVES 8
INGREDIENTS
1 red cabbage, shredded
2 apples, grated
50 g butter
3 tbsp red wine vinegar
2 tbsp brown sugar
METHOD
MELT the butter in a large casserole over medium heat.
ADD everything else, stir well and cover.
COOK on the lowest heat for 1 1/2 hrs, stirring now and then.`,
    servings: 8,
    ingredients: [
      ['red cabbage', 1, 'piece'],
      ['apples', 2, 'piece'],
      ['butter', 50, 'g'],
      ['red wine vinegar', 3, 'tbsp'],
      ['brown sugar', 2, 'tbsp'],
    ],
    steps: ['mix', 'mix', 'simmer'],
  },
  {
    manner: 'data with a plain string of instructions',
    text: JSON.stringify([
      {
        '@type': 'Recipe',
        name: 'Oven beets',
        recipeYield: 4,
        recipeIngredient: ['800 g beetroot', '2 tbsp oil', '1 tsp salt'],
        recipeInstructions:
          'Heat the oven to 200°C. Wrap the beetroot in foil. Bake for 1 hour until a knife goes in. Cool for 15 minutes, peel and slice.',
      },
    ]),
    servings: 4,
    ingredients: [
      ['beetroot', 800, 'g'],
      ['oil', 2, 'tbsp'],
      ['salt', 1, 'tsp'],
    ],
    steps: ['mix', 'bake', 'rest'],
  },
  {
    manner: 'numbered paragraphs with several sentences',
    text: `Fish in paper
For 2

2 white fish fillets
1 fennel bulb, finely sliced
20 g butter
1/2 lemon

1. Heat the oven to 200C. Cut two sheets of baking paper.
2. Divide the fennel between the sheets, lay the fish on top and dot with butter. Fold and seal the parcels.
3. Bake for 14 minutes. Leave for 2 minutes before opening.`,
    servings: 2,
    ingredients: [
      ['white fish fillets', 2, 'piece'],
      ['fennel bulb', 1, 'piece'],
      ['butter', 20, 'g'],
      ['lemon', 0.5, 'piece'],
    ],
    steps: ['chop', 'mix', 'mix', 'bake', 'rest'],
  },
  {
    manner: 'German-English commas and decagrams left out',
    text: `Potato salad
4 portions
Ingredients:
1,2 kg waxy potatoes
250 ml hot stock
4 tbsp cider vinegar
1 tsp mustard
Preparation:
Boil the potatoes in their skins for 25 minutes.
Drain, peel while warm and slice.
Pour over the hot stock, vinegar and mustard.
Let stand for at least 1 hour.`,
    servings: 4,
    ingredients: [
      ['waxy potatoes', 1.2, 'kg'],
      ['hot stock', 250, 'ml'],
      ['cider vinegar', 4, 'tbsp'],
      ['mustard', 1, 'tsp'],
    ],
    steps: ['boil', 'drain', 'mix', 'rest'],
  },
  {
    manner: 'subheadings among the ingredients',
    text: `Squash pie
Serves 6

Ingredients
For the pastry:
250 g flour
125 g cold butter
For the filling:
1 kg squash, diced
2 eggs
100 ml cream

Method
Rub the butter into the flour, add a little water and bring together.
Chill the pastry for 30 minutes.
Roast the squash at 200°C for 30 minutes.
Roll out the pastry and line a tin.
Mix squash, eggs and cream and pour in.
Bake for 40 minutes at 180°C.`,
    servings: 6,
    ingredients: [
      ['flour', 250, 'g'],
      ['cold butter', 125, 'g'],
      ['squash', 1, 'kg'],
      ['eggs', 2, 'piece'],
      ['cream', 100, 'ml'],
    ],
    steps: ['mix', 'chill', 'bake', 'mix', 'mix', 'bake'],
  },
  {
    manner: 'a note on a card, no punctuation',
    text: `Quick pickle

1 cucumber
3 tbsp vinegar
1 tbsp sugar
1 tsp salt

slice the cucumber thin
stir vinegar sugar and salt until they dissolve
pour over and leave 1 hour`,
    servings: 4,
    ingredients: [
      ['cucumber', 1, 'piece'],
      ['vinegar', 3, 'tbsp'],
      ['sugar', 1, 'tbsp'],
      ['salt', 1, 'tsp'],
    ],
    steps: ['chop', 'mix', 'rest'],
  },
  {
    manner: 'a curry with timings in brackets',
    text: `Cauliflower curry
Serves 4
Ingredients
1 cauliflower
2 onions, sliced
3 tbsp oil
2 tsp ground coriander
1 tin coconut milk
Method
Cut the cauliflower into florets (5 min).
Fry the onions in the oil until golden (10 min).
Add the coriander and stir (1 min).
Add the cauliflower and a splash of water, cover and cook gently (15 min).
Stir in the coconut milk and warm through (5 min).`,
    servings: 4,
    ingredients: [
      ['cauliflower', 1, 'piece'],
      ['onions', 2, 'piece'],
      ['oil', 3, 'tbsp'],
      ['ground coriander', 2, 'tsp'],
      ['coconut milk', 1, 'tin'],
    ],
    steps: ['chop', 'fry', 'mix', 'simmer', 'mix'],
  },
  {
    manner: 'meat with temperatures and a rest',
    text: `Roast pork loin
Serves 6
Ingredients
1.5 kg pork loin
2 tsp fennel seeds
2 tsp salt
1 tbsp oil
Method
Crush the fennel with the salt and rub it over the pork.
Chill uncovered overnight.
Roast at 190°C for 1 hour 15 minutes.
Rest under foil for 20 minutes.
Slice and serve.`,
    servings: 6,
    ingredients: [
      ['pork loin', 1.5, 'kg'],
      ['fennel seeds', 2, 'tsp'],
      ['salt', 2, 'tsp'],
      ['oil', 1, 'tbsp'],
    ],
    steps: ['chop', 'chill', 'bake', 'rest', 'serve'],
  },
  {
    manner: 'pasta night with quantities after the name',
    text: `Lentil sauce

Ingredients
Red lentils - 200 g
Onion - 1
Tinned tomatoes - 400 g
Olive oil - 2 tbsp

Method
Chop the onion and soften in the oil for 6 minutes.
Add lentils, tomatoes and a tin of water.
Simmer for 25 minutes.`,
    servings: 4,
    ingredients: [
      ['Red lentils', 200, 'g'],
      ['Onion', 1, 'piece'],
      ['Tinned tomatoes', 400, 'g'],
      ['Olive oil', 2, 'tbsp'],
    ],
    steps: ['fry', 'mix', 'simmer'],
  },
  {
    manner: 'a page of HTML without data',
    text: `<html><body><h1>Yogurt flatbreads</h1><p>Makes 6</p><h2>Ingredients</h2><ul><li>250&nbsp;g flour</li><li>200 g yogurt</li><li>1 tsp baking powder</li></ul><h2>Method</h2><ol><li>Mix everything to a dough.</li><li>Rest for 15 minutes.</li><li>Roll out and fry in a hot dry pan for 2 minutes a side.</li></ol></body></html>`,
    servings: 6,
    ingredients: [
      ['flour', 250, 'g'],
      ['yogurt', 200, 'g'],
      ['baking powder', 1, 'tsp'],
    ],
    steps: ['mix', 'rest', 'fry'],
  },
  {
    manner: 'times before each step',
    text: `Braised chicken
Serves 4

Ingredients
8 chicken thighs
1 onion, sliced
200 ml cider
1 tbsp mustard

Method
Brown the chicken skin down for 8 minutes and lift out.
In the same pan soften the onion for 10 minutes.
Return the chicken, add cider and mustard and bring to the boil.
Cover and braise over low heat for 40 minutes.
Meanwhile boil some potatoes for 20 minutes.`,
    servings: 4,
    ingredients: [
      ['chicken thighs', 8, 'piece'],
      ['onion', 1, 'piece'],
      ['cider', 200, 'ml'],
      ['mustard', 1, 'tbsp'],
    ],
    steps: ['fry', 'fry', 'boil', 'simmer', 'boil'],
  },
  {
    manner: 'ounces and pints',
    text: `Split pea soup
Serves 4 to 6
Ingredients
12 oz yellow split peas
2 pints water
1 lb carrots, diced
2 sticks celery, sliced
Method
Rinse the peas.
Put everything in a large pot and bring to a boil.
Skim, lower the heat and simmer for 1 hour, stirring now and then.
Blend if you like.`,
    servings: 5,
    ingredients: [
      ['yellow split peas', 336, 'g'],
      ['water', 1000, 'ml'],
      ['carrots', 454, 'g'],
      ['celery', 2, 'stick'],
    ],
    steps: ['drain', 'boil', 'simmer', 'mix'],
  },
  {
    manner: 'steps joined by semicolons',
    text: `Eggs and greens
Serves 2
Ingredients
4 eggs
200 g spinach
1 tbsp butter
Method
Wash the spinach; wilt it in the butter for 3 minutes; boil the eggs for 7 minutes; peel and serve on top.`,
    servings: 2,
    ingredients: [
      ['eggs', 4, 'piece'],
      ['spinach', 200, 'g'],
      ['butter', 1, 'tbsp'],
    ],
    steps: ['drain', 'fry', 'boil', 'serve'],
  },
  {
    manner: 'data with ingredients under an old name',
    text: JSON.stringify({
      '@context': 'http://schema.org/',
      '@type': 'Recipe',
      name: 'Couscous salad',
      yield: 'Serves 6',
      ingredients: ['300 g couscous', '350 ml boiling water', '3 tbsp olive oil'],
      recipeInstructions: [
        'Pour the boiling water over the couscous and cover.',
        'Leave for 8 minutes.',
        'Fork through with the oil.',
      ],
    }),
    servings: 6,
    ingredients: [
      ['couscous', 300, 'g'],
      ['boiling water', 350, 'ml'],
      ['olive oil', 3, 'tbsp'],
    ],
    steps: ['mix', 'rest', 'mix'],
  },
  {
    manner: 'a stew with vague words',
    text: `Lamb stew

You will need
1 kg lamb shoulder, in chunks
3 onions
a few sprigs of thyme
500 ml water

How to make it
Brown the lamb well in batches.
Throw in the onions and thyme, cook a few minutes.
Add the water, put the lid on and stew for a couple of hours until it falls apart.`,
    servings: 4,
    ingredients: [
      ['lamb shoulder', 1, 'kg'],
      ['onions', 3, 'piece'],
      ['thyme', 3, 'sprig'],
      ['water', 500, 'ml'],
    ],
    steps: ['fry', 'simmer', 'simmer'],
  },
  {
    manner: 'tray bake, everything at once',
    text: `Tray of roots and beans
Serves 4 | Prep 10 min | Cook 45 min

Ingredients
3 parsnips, in batons
3 carrots, in batons
1 tin white beans
3 tbsp oil

Method
Preheat oven to 220°C/425°F.
Toss parsnips and carrots with oil on a tray and roast 30 minutes.
Add the beans and roast 15 minutes more.`,
    servings: 4,
    ingredients: [
      ['parsnips', 3, 'piece'],
      ['carrots', 3, 'piece'],
      ['white beans', 1, 'tin'],
      ['oil', 3, 'tbsp'],
    ],
    steps: ['bake', 'bake'],
  },
];

describeRecipes(MORE);
