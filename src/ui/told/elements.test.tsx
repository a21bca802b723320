import { renderToStaticMarkup } from 'react-dom/server';
import { afterEach, describe, expect, it } from 'vitest';
import { CANONICAL, mannerOf } from '@/core/units/manner';
import { setManner } from './current';

function Own({ children }: { readonly children: React.ReactNode }) {
  return <b>{children}</b>;
}

/** A piece of a page as it is drawn in a manner; made anew, for elements are told when they are made. */
const drawn = (language: string | null, make: () => React.ReactNode) => {
  setManner(language === null ? CANONICAL : mannerOf(language));
  return renderToStaticMarkup(make());
};
afterEach(() => setManner(CANONICAL));

describe('every element of a page', () => {
  const celsius = 200;

  it('is told in the manner of its reader, also where a number and its unit are written apart', () => {
    const make = () => (
      <p title="18:40">
        Oven to {celsius} °C, {false}
        {null}
        <Own>{280} g rice</Own> by {'19:30'}.
      </p>
    );
    expect(drawn(null, make)).toBe('<p title="18:40">Oven to 200 °C, <b>280 g rice</b> by 19:30.</p>');
    expect(drawn('en-US', make)).toBe('<p title="6:40 PM">Oven to 400 °F, <b>1½ cups rice</b> by 7:30 PM.</p>');
  });

  it('is left as it is written where it says so, and so is what is no text for people', () => {
    expect(drawn('en-US', () => <span data-verbatim>14:05</span>)).toContain('>14:05<');
    expect(drawn('de', () => <style>{'p { margin: 1.5mm }'}</style>)).toContain('1.5mm');
    expect(drawn('de', () => <path d="M1.5 2" />)).toContain('M1.5 2');
  });

  it('keeps lists and their order', () => {
    const make = () => (
      <ul>
        {['1.5 l', '2.5 l'].map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    );
    expect(drawn('de', make)).toBe('<ul><li>1,5 l</li><li>2,5 l</li></ul>');
  });
});
