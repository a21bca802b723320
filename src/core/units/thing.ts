import { type Amount, printAmount } from './amount';

/** Things that are counted whole, one of them and several; other names stay as they are. */
export const COUNTED_THINGS: readonly (readonly [one: string, several: string])[] = [
  ['onion', 'onions'],
  ['shallot', 'shallots'],
  ['leek', 'leeks'],
  ['carrot', 'carrots'],
  ['pepper', 'peppers'],
  ['aubergine', 'aubergines'],
  ['courgette', 'courgettes'],
  ['cucumber', 'cucumbers'],
  ['tomato', 'tomatoes'],
  ['potato', 'potatoes'],
  ['chilli', 'chillies'],
  ['lemon', 'lemons'],
  ['lime', 'limes'],
  ['orange', 'oranges'],
  ['apple', 'apples'],
  ['egg', 'eggs'],
];

/** The last word of a name, before any comma: what is counted. */
const HEAD = /^([^,]*?)([\p{L}]+)(\s*(?:,.*)?)$/u;

/** A name as it is said after a number: "½ onion", "3 red onions". Only what is counted by the piece changes. */
export function nameAfter({ quantity, unit }: Amount, name: string): string {
  const found = unit === 'piece' ? HEAD.exec(name) : null;
  if (!found) return name;
  const [, before = '', word = '', after = ''] = found;
  const pair = COUNTED_THINGS.find((each) => each.includes(word.toLowerCase()));
  return pair ? `${before}${pair[quantity > 1 ? 1 : 0]}${after}` : name;
}

/** An amount of a thing, in a cook's words: "1½ onions", "280 g long grain rice". */
export function printThing(amount: Amount, name: string): string {
  return `${printAmount(amount)} ${nameAfter(amount, name)}`.trim();
}
