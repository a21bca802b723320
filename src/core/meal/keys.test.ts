import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bowlKey,
  holdOfPerson,
  holdOfVessel,
  isOfDish,
  isPartOf,
  joinedKey,
  partKey,
  readJoined,
  readKey,
  readUnit,
  stepKey,
  unitId,
  vesselUnit,
  warmKey,
  withDishOf,
} from './keys';

/** Ids as an enemy would choose them: made of the signs that part a key, of batches' endings, of other kinds' prefixes. */
const hostile = fc.oneof(
  fc
    .array(fc.constantFrom('/', '.', '~', '#', ':', '%', ' ', '1', '2', 'a', '~warm', '.1', 'who ', 'vessel ', '%2f'), {
      minLength: 1,
      maxLength: 6,
    })
    .map((signs) => signs.join('')),
  fc.string({ minLength: 1, maxLength: 12 }),
  fc.constantFrom('__proto__', 'constructor', 'bake.1', 'trim.2', 'a/b', 'x~warm', 'é', 'Ø/%'),
);

describe('keys of steps', () => {
  it('are read back whatever the ids are', () => {
    fc.assert(
      fc.property(hostile, hostile, fc.integer({ min: 1, max: 40 }), (dish, step, part) => {
        expect(readKey(stepKey(dish, step))).toEqual({ dish, step, part: null, warms: false });
        expect(readKey(partKey(dish, step, part, 50))).toEqual({ dish, step, part, warms: false });
        expect(readKey(warmKey(dish, step))).toEqual({ dish, step, part: null, warms: true });
      }),
    );
  });

  it('of two steps, parts, warm-ups, vessels and people are never the same', () => {
    const made = fc.tuple(hostile, hostile, fc.integer({ min: 1, max: 3 }));
    fc.assert(
      fc.property(made, made, ([dishA, stepA, partA], [dishB, stepB, partB]) => {
        const all = ([dish, step, part]: readonly [string, string, number]) => [
          stepKey(dish, step),
          partKey(dish, step, part, 3),
          warmKey(dish, step),
          holdOfVessel(dish, step),
          holdOfPerson(partKey(dish, step, part, 3)),
        ];
        const one = all([dishA, stepA, partA]);
        const other = all([dishB, stepB, partB]);
        for (const [k, a] of one.entries()) {
          for (const [l, b] of other.entries()) {
            const same = k === l && dishA === dishB && stepA === stepB && ([1, 4].includes(k) ? partA === partB : true);
            expect(a === b, `${a} ${b}`).toBe(same);
          }
        }
      }),
    );
  });

  it('know their parts and their dish, and no others', () => {
    fc.assert(
      fc.property(hostile, hostile, hostile, fc.integer({ min: 1, max: 9 }), (dish, step, other, part) => {
        const key = partKey(dish, step, part, 9);
        expect(isPartOf(key, stepKey(dish, step))).toBe(true);
        expect(isPartOf(key, stepKey(dish, other))).toBe(other === step);
        expect(isOfDish(key, dish)).toBe(true);
        expect(isOfDish(key, other)).toBe(other === dish);
      }),
    );
  });

  it('go along when their dish gets another id', () => {
    fc.assert(
      fc.property(hostile, hostile, hostile, (dish, step, now) => {
        const idOf = (id: string) => (id === dish ? now : id);
        expect(withDishOf(stepKey(dish, step), idOf)).toBe(stepKey(now, step));
        expect(withDishOf(holdOfVessel(dish, step), idOf)).toBe(holdOfVessel(now, step));
        expect(withDishOf(bowlKey(dish, step), idOf)).toBe(bowlKey(now, step));
      }),
    );
    expect(withDishOf('no key', () => 'x')).toBe('no key');
  });

  it('of ordinary ids stand as they are', () => {
    expect(stepKey('pearl-barley_2', 'boil')).toBe('pearl-barley_2/boil');
    expect(partKey('a', 'brown', 2, 3)).toBe('a/brown.2');
    expect(partKey('a', 'brown', 1, 1)).toBe('a/brown');
    expect(readKey('nothing of the kind')).toBeNull();
  });
});

describe('a key of one sort', () => {
  it('is refused by the compiler where one of another is asked for, and any text may be one', () => {
    const unit = unitId('burner', 'big');
    // @ts-expect-error: a burner is no step
    expect(readKey(unit)).toBeNull();
    // @ts-expect-error: a step is no burner
    expect(readUnit(stepKey('rice', 'boil')).sort).not.toBe('burner');
    const text: string = 'rice/boil';
    expect(readKey(text)?.dish).toBe('rice');
  });
});

describe('units of the kitchen', () => {
  it('are read back whatever the ids are, and never taken for one another', () => {
    fc.assert(
      fc.property(hostile, fc.integer({ min: 1, max: 30 }), (id, copy) => {
        for (const sort of ['burner', 'appliance', 'person'] as const)
          expect(readUnit(unitId(sort, id))).toEqual({ sort, id });
        expect(readUnit(vesselUnit(id, copy))).toEqual({ sort: 'vessel', id });
      }),
    );
  });

  it('joined keys of different lists differ', () => {
    fc.assert(
      fc.property(
        fc.array(hostile, { minLength: 1, maxLength: 3 }),
        fc.array(hostile, { minLength: 1, maxLength: 3 }),
        (a, b) => {
          expect(readJoined(joinedKey(...a))).toEqual(a);
          expect(joinedKey(...a) === joinedKey(...b)).toBe(JSON.stringify(a) === JSON.stringify(b));
        },
      ),
    );
  });
});
