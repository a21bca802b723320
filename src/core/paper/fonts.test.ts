import { describe, expect, it } from 'vitest';
import { inFonts } from './fonts';

describe('text on a sheet', () => {
  it('stays one run where the main font has all of it', () => {
    expect(inFonts(['Crème brûlée, 2 × 150 ml, −4 °C …'])).toEqual([{ text: 'Crème brûlée, 2 × 150 ml, −4 °C …' }]);
  });

  it('takes letters of other alphabets from the font that has them, and keeps its style', () => {
    expect(inFonts([{ text: 'Gołąbki', bold: true }])).toEqual([
      { text: 'Go', bold: true },
      { text: 'łą', font: 'Extended', bold: true },
      { text: 'bki', bold: true },
    ]);
    expect(inFonts(['Борщ и хлеб'])).toEqual([{ text: 'Борщ и хлеб', font: 'Cyrillic' }]);
    expect(inFonts(['Φασολάδα'])).toEqual([{ text: 'Φασολάδα', font: 'Greek' }]);
    expect(inFonts(['Phở bò'])).toEqual([{ text: 'Ph' }, { text: 'ở ', font: 'Vietnamese' }, { text: 'bò' }]);
  });

  it('puts letters and their marks together, writes out what it can, and owns up to the rest', () => {
    expect(inFonts(['Cre\u0300me'])).toEqual([{ text: 'Crème' }]);
    expect(inFonts(['⅓ cup → pot'])).toEqual([{ text: '1/3 cup > pot' }]);
    expect(inFonts(['味噌 soup'])).toEqual([{ text: '?? soup' }]);
  });
});
