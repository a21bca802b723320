import { describe, expect, it } from 'vitest';
import { languageOf } from './language';
import { sentencesOf, worksOf } from './split';
import { spokenIngredients } from './spoken';

describe('sentences', () => {
  it.each([
    ['Brown the meat, abt. 10 min. Take it out.', ['Brown the meat, abt. 10 min.', 'Take it out.']],
    ['Add 1 tbsp. oil and stir. Serve!', ['Add 1 tbsp. oil and stir.', 'Serve!']],
    ['Joint the chicken into 8 pieces. 20 min', ['Joint the chicken into 8 pieces. 20 min']],
    ['Cover. Bake for 40 minutes.', ['Cover. Bake for 40 minutes.']],
    ['दाल को धो लें। 20 मिनट पकाएँ।', ['दाल को धो लें।', '20 मिनट पकाएँ।']],
  ])('%s', (paragraph, parts) => expect(sentencesOf(paragraph)).toEqual(parts));
});

describe('works of a sentence', () => {
  it.each([
    ['Rinse the rice and soak it for 30 minutes, then drain.', 3],
    ['Heat the oil in a large pan and fry the onion for 10 minutes.', 1],
    ['Mix the flour and yogurt to a dough and leave to rest for 10 minutes.', 2],
    ['Add the stock, bring to a simmer and cook for 40 minutes.', 1],
    ['Soften the onions for 5 minutes, add the garlic and cook for 2 minutes.', 2],
    ['Bake for 20 minutes and serve.', 2],
    ['Season and serve.', 1],
    ['Marinate the pork in lemon juice and garlic for 2 hours in the fridge.', 1],
    ['Roast the peppers for 25 min; cool under film for 15 min.', 2],
    ['Take the meat out and fry the onions for 8 minutes.', 2],
    ['Nudeln 10 Minuten kochen und abgießen.', 2],
    ['Cover and bake for 50 minutes.', 1],
  ])('%s', (sentence, count) => {
    const works = worksOf(sentence);
    expect(works).toHaveLength(count);
    // No word is lost but the joints.
    const words = (text: string) =>
      (text.match(/[\p{L}\d]+/gu) ?? []).filter((word) => !/^(?:and|then|und)$/.test(word));
    expect(words(works.join(' '))).toEqual(words(sentence));
  });
});

describe('what goes in, said in sentences', () => {
  const said = (sentence: string, counted = true) =>
    spokenIngredients(sentence, counted).map(({ name, amount }) => `${amount.quantity} ${amount.unit} ${name}`);

  it.each([
    ['You take about a kilo of lamb shoulder and two big onions.', ['1 kg lamb shoulder', '2 piece onions']],
    ['Half a litre of water, lid on.', ['0.5 l water']],
    ['Fifty grams of butter, fifty of flour, stir that two minutes.', ['50 g butter', '50 g flour']],
    ['Six hundred mil of milk and a bay leaf.', ['600 ml milk', '1 piece bay leaf']],
    ['A couple of tablespoons of oil.', ['2 tbsp oil']],
    ['Joint the chickens (2 x 1.6 kg) into 8 pieces each.', ['2 piece chickens']],
    ['Peel potatoes (500 g).', ['500 g potatoes']],
    ['Brown the lamb (800 g) in a pan (28 cm).', ['800 g lamb']],
    ['Brown it in two lots for about fifteen minutes on each of four sides.', []],
    ['Into the oven at two hundred for half an hour.', []],
  ])('%s', (sentence, things) => expect(said(sentence)).toEqual(things));

  it('counts without a measure only where it is asked to', () => {
    expect(said('Beat 8 eggs with 100 ml of milk.', false)).toEqual(['100 ml milk']);
  });
});

describe('the language of a text', () => {
  it.each([
    ['Fry the onions in the oil until they are soft.', 'English'],
    ['Die Zwiebeln in dem Öl anbraten und mit Salz würzen.', 'German'],
    ['Faites revenir les oignons dans le beurre à feu doux.', 'French'],
    ['Sofreír la cebolla en el aceite durante 8 minutos.', 'Spanish'],
    ['Soğanı doğrayın ve bir tencerede 5 dakika kavurun.', 'Turkish'],
    ['پیاز را ده دقیقه تفت دهید و برنج را بشویید', 'Persian'],
    ['اغسل الأرز ثم اتركه لمدة نصف ساعة', 'Arabic'],
    ['दाल को धो लें और पकाएँ', 'Hindi'],
    ['Нарежьте лук и обжарьте его на масле до золотистого цвета', null],
    ['Szeletelje fel a hagymát, majd pirítsa meg az olajban, amíg megpuhul, azután öntse fel vízzel', null],
  ])('%s', (text, language) => expect(languageOf(text)).toBe(language));
});
