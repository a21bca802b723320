import { describe, expect, it } from 'vitest';
import { hasLetters, inFonts, withoutMarks } from './fonts';

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

  it('keeps the mark of a difference of heat until it is told, and prints none', () => {
    const [run] = inFonts(['um \u206020 °C']);
    expect(run).toEqual({ text: 'um \u206020 °C' });
    expect(withoutMarks(run!.text)).toBe('um 20 °C');
    expect(inFonts(['ışı \u206020 °C']).some(({ text }) => text.includes('?'))).toBe(false);
  });

  it('knows whose letters it has', () => {
    for (const name of ['English', 'Français', 'Türkçe', 'Tiếng Việt', 'Ελληνικά'])
      expect(hasLetters(name), name).toBe(true);
    for (const name of ['العربية', 'فارسی', 'हिन्दी', '日本語']) expect(hasLetters(name), name).toBe(false);
  });
});
