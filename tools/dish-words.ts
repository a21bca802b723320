import type { Dish } from '../src/core/dish/dish';
import { SHELF } from '../src/core/dish/shelf';
import { buildPart, type Handed, type Slot, type Technique } from '../src/core/dish/technique';
import { TECHNIQUES } from '../src/core/dish/techniques/all';
import type { Kitchen } from '../src/core/kitchen/kitchen';
import { QUICK_DISHES } from '../src/core/live/quick-dishes';
import { partsOfList, sentencesOf } from '../src/core/say/retold';
import { COUNTED_THINGS } from '../src/core/units/thing';
import { SAMPLE_MEALS } from '../src/demo/meals';

// What dishes keep, and so must be in each catalog of dishes: every text that a technique, the shelf, the samples and the dishes for guests at the door give.
// Where the cook's own word stands in a text, it is found by cooking with ingredients that are named like "⟦meat⟧".

const OPEN = /⟦([\w-]+)⟧/gu;
const SERVINGS = 4;

type Said = Parameters<typeof buildPart>[1];

/** All that dishes keep, each text once, what is put in as {name}; `templates` are those that the code writes by `written`. */
export function dishWords(templates: readonly string[]): readonly string[] {
  const texts = new Set<string>();
  const take = (text: string | undefined) => {
    for (const sentence of sentencesOf(text ?? '')) if (/\p{L}/u.test(sentence)) texts.add(sentence);
  };
  for (const technique of TECHNIQUES) {
    for (const text of saidBy(technique)) take(text);
    for (const said of waysOf(technique))
      for (const handed of [() => null, handedTo])
        for (const named of [said, withOpenNames(technique, said)])
          for (const servings of [SERVINGS, 40])
            for (const text of textsOf(technique, named, servings, handed)) take(text);
  }
  for (const dish of [...SHELF, ...QUICK_DISHES, ...SAMPLE_MEALS.flatMap(({ dishes }) => dishes)])
    for (const text of textsOfDish(dish)) take(text);
  for (const { setting, kitchen } of SAMPLE_MEALS) {
    take(setting.name);
    for (const text of namesIn(kitchen)) take(text);
  }
  for (const thing of COUNTED_THINGS) for (const text of thing) take(text);
  return asKeys(texts, templates.flatMap(sentencesOf));
}

/** What a technique says of itself. */
function saidBy(technique: Technique): readonly (string | undefined)[] {
  const { name, says, mistakes, choices, slots } = technique;
  return [
    name,
    says,
    ...mistakes,
    ...choices.flatMap(({ asks, ways }) => [asks, ...ways.flatMap((way) => [way.says, way.because])]),
    ...slots.flatMap(({ asks, usual, cut, takes }) => [asks, usual, cut, ...(takes ?? [])]),
  ];
}

/** The usual ways, each other way, each two of them together, and each of those with what may be left out left out. */
function waysOf({ choices, slots }: Technique): readonly Said[] {
  const single = choices.flatMap(({ id, ways }) => ways.slice(1).map((way) => [id, way.id] as const));
  const chosen = [
    {},
    ...single.map((one) => Object.fromEntries([one])),
    ...single.flatMap((one, at) => single.slice(at + 1).map((two) => Object.fromEntries([one, two]))),
  ];
  const missing = slots.filter(({ mayMiss }) => mayMiss).map(({ id }) => id);
  const left = [[], missing, ...missing.map((id) => [id])];
  return chosen.flatMap((ways) =>
    left.map((out) => ({ ways, fillings: Object.fromEntries(out.map((id) => [id, null])) })),
  );
}

const withOpenNames = ({ slots }: Technique, said: Said): Said => ({
  ...said,
  fillings: {
    ...Object.fromEntries(slots.map(({ id }) => [id, { name: `⟦${id}⟧` }])),
    ...said.fillings,
  },
});

const handedTo = (slot: Slot): Handed | null =>
  slot.takes?.[0] ? { product: slot.takes[0], name: `⟦${slot.id}⟧`, amount: slot.amount } : null;

function textsOf(
  technique: Technique,
  said: Said,
  servings: number,
  handed: (slot: Slot) => Handed | null,
): readonly (string | undefined)[] {
  try {
    const part = buildPart(technique, said, servings, handed);
    return [
      ...textsOfDish({ ...part, gives: part.gives ?? [], takes: part.takes ?? [], vessels: part.vessels ?? [] }),
      ...(part.offers ?? []).map(({ name }) => name),
    ];
  } catch {
    // Some ways do not go together; the form refuses them too.
    return [];
  }
}

type Worded = Pick<Dish, 'ingredients' | 'steps' | 'vessels' | 'gives' | 'takes' | 'lands'> &
  Partial<Pick<Dish, 'name' | 'note'>>;

function textsOfDish(dish: Worded): readonly (string | undefined)[] {
  return [
    dish.name,
    dish.note,
    ...dish.ingredients.flatMap(({ name, cut }) => [name, cut]),
    ...dish.steps.flatMap(({ name, says, doneWhen, cautions }) => [name, says, doneWhen, ...cautions]),
    ...dish.vessels.map(({ name }) => name),
    ...dish.gives.map(({ name }) => name),
    ...dish.takes.map(({ otherwise }) => otherwise),
    dish.lands?.waits.how,
  ];
}

function namesIn(kitchen: Kitchen): readonly string[] {
  const { name, burners, ovens, appliances, vessels, people } = kitchen;
  return [name, ...[burners, ovens, appliances, vessels, people].flatMap((list) => list.map((each) => each.name))];
}

/** Whatever stands in it: texts that differ only in what is named in them are one. */
const PLACES = ['thing', 'other', 'third'];
function withPlaces(text: string): string {
  let at = 0;
  return text.replace(OPEN, () => `{${PLACES[at++]}}`);
}

const PLACE = /\{\w+\}/;
const literal = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const longest = (text: string) => Math.max(...text.split(PLACE).map((part) => part.length));

/** Texts as a catalog has them: open places as {name}; what such a text covers is left out, what stands in its places is in. */
function asKeys(texts: ReadonlySet<string>, templates: readonly string[]): readonly string[] {
  const opened = [...texts].filter((text) => text.includes('⟦')).map(withPlaces);
  const open = [...new Set([...opened, ...templates.filter((text) => PLACE.test(text))])]
    .filter((text) => text.split(PLACE).some((part) => /\p{L}/u.test(part)) || templates.includes(text))
    .sort((one, two) => longest(two) - longest(one));
  const plain = new Set(templates.filter((text) => !PLACE.test(text)));
  const forms = open.map((text) => new RegExp(`^${text.split(PLACE).map(literal).join('(.+?)')}$`, 'u'));
  const add = (text: string): void => {
    if (plain.has(text) || !/\p{L}{2}/u.test(text) || text.includes('⟦')) return;
    const match = forms.map((each) => each.exec(text)).find((each) => each !== null);
    if (!match) plain.add(text);
    else for (const value of match.slice(1)) add(value);
  };
  for (const text of texts) add(text);
  // What lists others is told by them.
  const listed = [...plain].filter((text) => {
    const parts = partsOfList(text);
    return parts.length > 1 && parts.every((part) => plain.has(part));
  });
  for (const text of listed) plain.delete(text);
  return [...open, ...plain].sort();
}
