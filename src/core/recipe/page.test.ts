import { describe, expect, it } from 'vitest';
import { isMarkdown, readMarkdown } from './markdown';
import { isPage, readPage } from './page';
import type { SourceLine } from './taken-apart';

const linesOf = (page: string) => {
  const read = readPage(page);
  if ('ingredients' in read) throw new Error('marked');
  return read;
};
const texts = (lines: readonly SourceLine[]) => lines.map(({ text }) => text);

describe('a page', () => {
  it('is told from words', () => {
    expect(isPage('<p>Bread</p>')).toBe(true);
    expect(isPage('<!doctype html><html><body>x</body></html>')).toBe(true);
    expect(isPage('Fry until < 80 °C, then > serve')).toBe(false);
  });

  it('is its blocks, line by line, with headings, items and rows', () => {
    expect(
      linesOf(
        '<h2>Soup</h2><ul><li>2 <b>large</b> onions</li></ul><ol><li>Fry&nbsp;them<br>for 5 min</li></ol><table><tr><td>20 g</td><td>butter</td></tr></table>loose',
      ),
    ).toEqual([
      { text: 'Soup', role: 'heading' },
      { text: '2 large onions', role: 'item' },
      { text: 'Fry them', role: 'numbered' },
      { text: 'for 5 min', role: 'numbered' },
      { text: '20 g butter', role: 'row' },
      { text: 'loose', role: 'line' },
    ]);
  });

  it('is without what leads elsewhere, what nobody sees and what readers wrote', () => {
    const page = `<nav>Home</nav><div class="sidebar">Other</div><div hidden>x</div><script>y()</script><p>Bread</p>
      <div class="comments-area"><p>Nice</p></div><!-- no --><footer>Legal</footer>`;
    expect(texts(linesOf(page))).toEqual(['Bread']);
  });

  it('that is nested without end is words, and read at once', () => {
    expect(texts(linesOf(`${'<div>'.repeat(50_000)}Bread`))).toContain('Bread');
  });

  it.each([
    [
      'microdata',
      '<div itemscope itemtype="https://schema.org/Recipe"><h1 itemprop="name">Dal</h1><meta itemprop="recipeYield" content="3"><li itemprop="recipeIngredient">180 g lentils</li><div itemprop="recipeInstructions"><p>Boil.</p><p>Serve.</p></div></div>',
    ],
    [
      'RDFa',
      '<div vocab="https://schema.org/" typeof="Recipe"><h1 property="name">Dal</h1><span property="recipeYield">Serves 3</span><li property="recipeIngredient">180 g lentils</li><div property="recipeInstructions"><p>Boil.</p><p>Serve.</p></div></div>',
    ],
    [
      'classes of old',
      '<div class="hrecipe"><h1 class="fn">Dal</h1><span class="yield">3 servings</span><li class="ingredient">180 g lentils</li><div class="instructions"><p>Boil.</p><p>Serve.</p></div></div>',
    ],
  ])('marked as a recipe by %s is read by its marks', (_, page) => {
    expect(readPage(`<html><body><p>Buy my book</p>${page}<p>500 g of nothing</p></body></html>`)).toMatchObject({
      name: 'Dal',
      servings: 3,
      ingredients: ['180 g lentils'],
      instructions: [{ words: 'Boil.' }, { words: 'Serve.' }],
    });
  });
});

describe('a marked-up text', () => {
  it('is told from plain words', () => {
    expect(isMarkdown('# Dal\n\n- lentils')).toBe(true);
    expect(isMarkdown('**Dal**\n\n| a | b |\n|---|---|\n| 1 | 2 |')).toBe(true);
    expect(isMarkdown('Dal\n- lentils\n* salt')).toBe(false);
  });

  it('is its headings, items, boxes, rows and quotes without their signs', () => {
    const text =
      '# **Dal**\n\n> *for three*\n\n- `180 g` lentils\n  - 2 [cloves](x) garlic\n- [ ] **Boil** them\n\n1. Serve\n\n| What | Amount |\n|---|---|\n| Salt | 1 tsp |\n\n---\n';
    expect(readMarkdown(text)).toEqual([
      { text: 'Dal', role: 'heading' },
      { text: 'for three', role: 'paragraph' },
      { text: '180 g lentils', role: 'item' },
      { text: '2 cloves garlic', role: 'item' },
      { text: 'Boil them', role: 'item' },
      { text: 'Serve', role: 'numbered' },
      { text: 'Ingredients', role: 'row' },
      { text: '1 tsp Salt', role: 'row' },
    ]);
  });

  it('nested without end or very long is left to be plain words', () => {
    expect(readMarkdown('> '.repeat(2000))).toBeNull();
    expect(readMarkdown(`# a\n${'b '.repeat(200_000)}`)).toBeNull();
  });
});
