import { describe, expect, it } from 'vitest';
import { sharedWords } from './shared';

const shared = (title: string | null, text: string | null, url: string | null = null) =>
  sharedWords({ title, text, url });

describe('a recipe that is shared', () => {
  it('is its title, its text and where it is from', () => {
    expect(shared('Leek soup', '2 leeks\nBoil.', 'https://example.org/leek')).toEqual({
      words: 'Leek soup\n\n2 leeks\nBoil.\n\nhttps://example.org/leek',
    });
    expect(shared(null, ' 2 leeks ')).toEqual({ words: '2 leeks' });
  });

  it('says its title once, where the text begins with it', () => {
    expect(shared('Leek soup', 'Leek soup\n2 leeks')).toEqual({ words: 'Leek soup\n2 leeks' });
  });

  it('is only an address where no words came with it, whichever field that stands in', () => {
    const only = { only: 'https://example.org/leek' };
    expect(shared('Leek soup', null, 'https://example.org/leek')).toEqual(only);
    expect(shared('Leek soup', 'https://example.org/leek')).toEqual(only);
    expect(shared(null, '  ', 'https://example.org/leek')).toEqual(only);
  });

  it('is a title alone where nothing else came, and nothing where nothing did', () => {
    expect(shared('Leek soup', null)).toEqual({ words: 'Leek soup' });
    expect(shared(null, null)).toBeNull();
    expect(shared(' ', '')).toBeNull();
  });
});
