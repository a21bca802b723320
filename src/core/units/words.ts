import { retold, thingRetold } from '@/core/say/retold';
import { say, spoken } from '@/core/say/say';

/** "leeks, barley and rice"; of more than `most` the last are counted: "leeks, barley and 7 more". */
export function listed(names: readonly string[], most = Number.POSITIVE_INFINITY): string {
  if (names.length <= most) return joined(names);
  return joined([...names.slice(0, most - 1), say('{count} more', { count: names.length - most + 1 })]);
}

let lists: { readonly language: string; readonly format: Intl.ListFormat } | undefined;

function joined(names: readonly string[]): string {
  const language = spoken();
  // Made once for a language: to make one takes longer than all that is listed.
  if (lists?.language !== language)
    lists = { language, format: new Intl.ListFormat(language === 'en' ? 'en-GB' : language) };
  return lists.format.format(names.map((name) => thingRetold(retold(name))));
}

/** With a capital first letter. */
export function capital(words: string): string {
  return `${words.charAt(0).toLocaleUpperCase(spoken())}${words.slice(1)}`;
}

/** With a small first letter, where a language writes a name so within a sentence: English. */
export function lowered(words: string): string {
  return spoken() === 'en' ? `${words.charAt(0).toLowerCase()}${words.slice(1)}` : words;
}
