import { readFileSync } from 'node:fs';
import { afterEach, describe, expect, it } from 'vitest';
import { SHELF } from '../src/core/dish/shelf';
import { hasLetters, inFonts } from '../src/core/paper/fonts';
import { retold } from '../src/core/say/retold';
import { lookIn, speak } from '../src/core/say/say';
import { acceptedIn, bestOf, directionOf, LANGUAGES } from '../src/words/languages';
import { dishWords } from './dish-words';
import { allMessages, catalogFile, faultsOfCatalog, messagesIn } from './messages';

const { messages, written, faults } = allMessages();
const catalogOf = (tag: string): Record<string, string> => JSON.parse(readFileSync(catalogFile(tag), 'utf8'));
const others = LANGUAGES.filter(({ tag }) => tag !== 'en');

describe('the messages of the product', () => {
  it('are read from all of its code, and none is said before its language is known', () => {
    expect(messages.length).toBeGreaterThan(2000);
    expect(faults).toEqual([]);
  });

  it.each(others)(
    'are all there in $name, with the values and plurals that they want, and nothing that nobody says',
    ({ tag }) => {
      expect(faultsOfCatalog(tag, catalogOf(tag), messages)).toEqual({ missing: [], unsaid: [], wrong: [] });
    },
  );
});

describe('what dishes keep', () => {
  const kept = dishWords(written.map(({ text }) => text)).map((text) => ({ text, where: 'a dish' }));

  it('is found in every technique, dish and sample, with open places for what a cook puts in', () => {
    const texts = new Set(kept.map(({ text }) => text));
    for (const text of [
      'Cut the {thing} roughly.',
      'Beef cheeks with damsons',
      'leeks',
      'Hall kitchen',
      '{step}, in the oven',
    ])
      expect(texts).toContain(text);
    expect([...texts].filter((text) => /[⟦⟧]/.test(text))).toEqual([]);
  });

  it.each(others)('is told in $name, all of it, with its places, and nothing that no dish keeps', ({ tag }) => {
    expect(faultsOfCatalog(`dishes/${tag}`, catalogOf(`dishes/${tag}`), kept)).toEqual({
      missing: [],
      unsaid: [],
      wrong: [],
    });
  });

  it.each(others)('is not found by chance in what is said in $name', ({ tag }) => {
    // What is said already would be retold: "Gift" on a button must not be a food's English name.
    const dishes = catalogOf(`dishes/${tag}`);
    const twice = Object.values(catalogOf(tag)).filter((text) => Object.hasOwn(dishes, text) && dishes[text] !== text);
    expect(twice).toEqual([]);
  });
});

describe('a dish made of what techniques give', () => {
  afterEach(() => speak('en'));

  it.each(others)('keeps nothing that stays English in $name', ({ tag }) => {
    speak(tag, lookIn(catalogOf(tag)), catalogOf(`dishes/${tag}`));
    const same = new Set(
      Object.entries(catalogOf(`dishes/${tag}`)).flatMap(([english, own]) => (english === own ? [english] : [])),
    );
    const left = SHELF.flatMap(({ name, ingredients, steps, vessels, lands }) =>
      [
        name,
        ...ingredients.flatMap((item) => [item.name, item.cut ?? '']),
        ...steps.flatMap((step) => [step.name, step.says, step.doneWhen, ...step.cautions]),
        ...vessels.map((vessel) => vessel.name),
        lands?.waits.how ?? '',
      ].filter((text) => /\p{L}{3}/u.test(text) && retold(text) === text && !same.has(text)),
    );
    expect([...new Set(left)]).toEqual([]);
  });
});

describe('sheets', () => {
  it.each(others.filter(({ name }) => hasLetters(name)))('can be set in all that is said in $name', ({ tag }) => {
    const said = [tag, `dishes/${tag}`]
      .flatMap((each) => Object.values(catalogOf(each)))
      .join('\n')
      .replaceAll('?', '');
    const lost = [...new Set(said)].filter((sign) => inFonts([sign])[0]!.text === '?');
    expect(lost).toEqual([]);
  });
});

describe('what reads them', () => {
  it('finds each way to say something, and what is said too soon or in pieces', () => {
    const code = `
      const table = [message('later')];
      const soon = say('too soon');
      const piece = message(\`a \${piece}\`);
      const f = (n: number) => say('{n, plural, one {# step} other {# steps}}', { n });
      function View() { return <Say words="so <b>many</b>" marks={{ b: <b /> }} />; }`;
    const read = messagesIn('x.tsx', code);
    expect(read.messages.map(({ text }) => text)).toEqual([
      'later',
      'too soon',
      '{n, plural, one {# step} other {# steps}}',
      'so <b>many</b>',
    ]);
    expect(read.faults).toEqual([
      'x.tsx:3: this is said when the code is loaded.',
      'x.tsx:4: a message is one text, written in one piece.',
    ]);
  });

  it('finds what is shown and not said: words between tags, and sentences of rooms that show them', () => {
    const code = `
      const fault = () => 'That was not kept.';
      const told = (fine: boolean) => (fine ? say('Kept.') : message('That was lost.'));
      const View = () => <p title="Ready when you are">{told(true)} Well done</p>;
      const ours = () => { throw new Error('For developers.'); };`;
    expect(messagesIn('store/x.tsx', code).faults).toEqual([
      'store/x.tsx:2: "That was not kept." is shown, and not said.',
      'store/x.tsx:4: "Ready when you are" is shown, and not said.',
      'store/x.tsx:4: "Well done" is shown, and not said.',
    ]);
    // A dish says what was written.
    expect(messagesIn('demo/x.ts', "const step = 'Lid on, low.';").faults).toEqual([]);
  });

  it('finds what is wrong with a catalog', () => {
    const said = ['{a} and {b}', 'gone by', '{n, plural, one {# step} other {# steps}}', ' more', 'kept'].map(
      (text) => ({
        text,
        where: 'x',
      }),
    );
    const found = faultsOfCatalog(
      'ru',
      {
        '{a} and {b}': '{a} и {c}',
        '{n, plural, one {# step} other {# steps}}': '{n, plural, one {# шаг} other {# шага}}',
        ' more': 'ещё',
        kept: '{x',
        never: 'никогда',
      },
      said,
    );
    expect(found.missing).toEqual(['gone by']);
    expect(found.unsaid).toEqual(['never']);
    expect(found.wrong).toHaveLength(4);
    expect(found.wrong.join(' ')).toMatch(
      /wants a b.*wants a c.*lacks the plural for (few, many|many, few).*another space.*cannot be read/,
    );
  });
});

describe('the languages', () => {
  it('are chosen by what a reader reads best', () => {
    expect(bestOf(['xx', 'de-AT', 'en'])).toBe('de');
    expect(bestOf(['xx'])).toBe('en');
    expect(bestOf(acceptedIn('da, en-gb;q=0.8, de;q=0.9, *;q=0.1'))).toBe('de');
    expect(acceptedIn('')).toEqual([]);
    expect(acceptedIn('de;q=0, en')).toEqual(['en']);
    expect(directionOf('de')).toBe('ltr');
  });
});
