import { describe, expect, it } from 'vitest';
import { printThing } from './thing';

describe('an amount of a thing', () => {
  it.each([
    [3, 'piece', 'lemon', '3 lemons'],
    [1, 'piece', 'onions', '1 onion'],
    [0.5, 'piece', 'green chillies', '½ green chilli'],
    [2, 'piece', 'red onion, in thin rings', '2 red onions, in thin rings'],
    [280, 'g', 'onion', '280 g onion'],
    [6, 'piece', 'cardamom pods', '6 cardamom pods'],
    [2, 'piece', 'Tomato', '2 tomatoes'],
  ] as const)('%d %s of %s', (quantity, unit, name, says) => {
    expect(printThing({ quantity, unit }, name)).toBe(says);
  });
});
