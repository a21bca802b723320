import Joi from 'joi';
import { describe, expect, it } from 'vitest';
import { check, parseJson } from './refuse';

const shape = Joi.object({
  name: Joi.string().min(1).max(5).required(),
  count: Joi.number().integer().min(1).max(9).required(),
  kind: Joi.string().valid('pot', 'pan'),
  list: Joi.array()
    .items(Joi.object({ id: Joi.string().required(), minutes: Joi.number().min(0) }))
    .unique('id')
    .max(2),
});
const sentence = (value: unknown) => {
  const result = check(shape, value);
  return result.ok ? null : result.sentence;
};
const sound = { name: 'a', count: 2, list: [{ id: 'x', minutes: 3 }] };

describe('refusals', () => {
  it('are not needed for what is sound', () => {
    expect(sentence(sound)).toBeNull();
  });

  it.each<[string, unknown, RegExp]>([
    ['something missing', { count: 2 }, /^name: this is missing/],
    ['an empty text', { ...sound, name: '' }, /^name:/],
    ['a text too long', { ...sound, name: 'abcdefg' }, /^name:.*5/],
    ['a fraction', { ...sound, count: 2.5 }, /^count:.*whole.*2\.5/],
    ['too little', { ...sound, count: 0 }, /^count:.*1 or more; found 0/],
    ['too much', { ...sound, count: 12 }, /^count:.*9.*12/],
    ['a text for a number', { ...sound, count: 'two' }, /^count:.*number.*"two"/],
    ['a word that is none of the allowed', { ...sound, kind: 'lid' }, /^kind:.*pot.*pan.*"lid"/],
    ['an unknown field', { ...sound, colour: 'red' }, /colour|no such field/],
    [
      'a fault deep in a list, by the id of the item',
      { ...sound, list: [{ id: 'x', minutes: -1 }] },
      /^list, "x", minutes:/,
    ],
    ['a doubled id', { ...sound, list: [{ id: 'x' }, { id: 'x' }] }, /list/],
    ['a list too long', { ...sound, list: [{ id: 'a' }, { id: 'b' }, { id: 'c' }] }, /^list:.*2/],
    ['a list for a record', [], /whole file/],
    ['nothing', null, /whole file/],
  ])('name the field, what was found and what is allowed: %s', (_, value, words) => {
    expect(sentence(value)).toMatch(words);
  });

  it('tell of a file that is cut off', () => {
    const cut = parseJson('{"a": [1, 2', 'meal file');
    expect(cut.ok).toBe(false);
    expect(!cut.ok && cut.sentence).toMatch(/This meal file cannot be read: it is not whole JSON/);
    expect(parseJson('[1]', 'meal file')).toEqual({ ok: true, value: [1] });
  });
});
