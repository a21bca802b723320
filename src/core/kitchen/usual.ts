import { type Message, message, say } from '@/core/say/say';
import type { Burner, BurnerStrength, Kitchen, Oven, Person, Vessel } from './kitchen';

/** Kitchens as households have them, to begin from. All figures are common practice, no source: each is changed with one press. */

/** How many pots a household has. */
export const POT_SETS = ['few', 'usual', 'many'] as const;
/** A household's pots, by how many. */
export type PotSet = (typeof POT_SETS)[number];

/** What oven there is. */
export const OVEN_CHOICES = ['none', 'small', 'usual', 'two'] as const;
/** One of the choices of an oven. */
export type OvenChoice = (typeof OVEN_CHOICES)[number];

/** Who is in the kitchen. */
export const CREWS = ['one cook', 'a cook and a helper', 'two cooks'] as const;
/** One of the crews. */
export type Crew = (typeof CREWS)[number];

/** The most burners that the first questions offer; more are added one by one. */
export const MOST_FIRST_BURNERS = 6;

/** What a first run asks. */
export interface KitchenAnswers {
  /** From 1 to `MOST_FIRST_BURNERS`. */
  readonly burners: number;
  readonly oven: OvenChoice;
  readonly crew: Crew;
  readonly pots: PotSet;
}

/** What holds where nothing is said. */
export const USUAL_ANSWERS: KitchenAnswers = { burners: 4, oven: 'usual', crew: 'one cook', pots: 'usual' };

const WIDEST_CM: Readonly<Record<BurnerStrength, number>> = { strong: 32, middling: 30, weak: 24 };

/** Strengths of so many burners, the strongest first: one strong, one weak where there is a second, the rest between. */
function strengths(count: number): readonly BurnerStrength[] {
  if (count === 1) return ['strong'];
  const strong = count >= 5 ? 2 : 1;
  return [
    ...Array<BurnerStrength>(strong).fill('strong'),
    ...Array<BurnerStrength>(count - strong - 1).fill('middling'),
    'weak',
  ];
}

const burnerWords = (): Readonly<Record<BurnerStrength, string>> => ({
  strong: say('Strong burner'),
  middling: say('Middle burner'),
  weak: say('Small burner'),
});

function usualBurners(count: number): readonly Burner[] {
  const all = strengths(count);
  return all.map((strength, index) => {
    const alike = all.filter((each) => each === strength).length;
    const nth = all.slice(0, index + 1).filter((each) => each === strength).length;
    return {
      id: `burners-${index + 1}`,
      name: alike === 1 ? burnerWords()[strength] : `${burnerWords()[strength]} ${nth}`,
      strength,
      widestCm: WIDEST_CM[strength],
      // Where there are but one or two flames, each must do everything: the large pot has nowhere else to stand.
      gentle: strength !== 'strong' || count <= 2,
    };
  });
}

const ovensOf = (): Readonly<Record<OvenChoice, readonly Omit<Oven, 'id'>[]>> => ({
  none: [],
  small: [{ name: say('Small oven'), shelves: 1, warmUpMinutes: 8 }],
  usual: [{ name: say('Oven'), shelves: 2, warmUpMinutes: 12 }],
  two: [
    { name: say('Upper oven'), shelves: 2, warmUpMinutes: 12 },
    { name: say('Lower oven'), shelves: 2, warmUpMinutes: 12 },
  ],
});

const DAY = { from: '07:00', until: '23:00' };
const peopleOf = (): Readonly<Record<Crew, readonly Omit<Person, 'id'>[]>> => ({
  'one cook': [{ name: say('You'), role: 'cook', ...DAY }],
  'a cook and a helper': [
    { name: say('You'), role: 'cook', ...DAY },
    { name: say('Helper'), role: 'helper', ...DAY },
  ],
  'two cooks': [
    { name: say('You'), role: 'cook', ...DAY },
    { name: say('Second cook'), role: 'cook', ...DAY },
  ],
});

/** A vessel before it is named in the cook's language. */
type Unnamed = Omit<Vessel, 'id' | 'name'> & { readonly name: Message };

const vessel = (name: Message, kind: Vessel['kind'], litres: number, widthCm: number, count = 1): Unnamed => ({
  name,
  kind,
  litres,
  widthCm,
  count,
  ...(kind === 'pot' ? { straight: true } : {}),
});

const FEW = [
  vessel(message('Large pot'), 'pot', 5, 24),
  vessel(message('Medium pot'), 'pot', 3, 20),
  vessel(message('Frying pan'), 'pan', 2.5, 28),
  vessel(message('Baking dish'), 'casserole', 3, 28),
  vessel(message('Oven tray'), 'tray', 4, 38),
  vessel(message('Bowl'), 'bowl', 3, 24, 3),
];
const USUAL = [
  vessel(message('Large pot'), 'pot', 7, 26),
  vessel(message('Medium pot'), 'pot', 3.5, 20, 2),
  vessel(message('Small pot'), 'pot', 1.5, 16),
  vessel(message('Frying pan'), 'pan', 2.5, 28),
  vessel(message('Deep pan with a lid'), 'pan', 4, 28),
  vessel(message('Casserole'), 'casserole', 5.5, 26),
  vessel(message('Oven tray'), 'tray', 4, 38, 2),
  vessel(message('Large bowl'), 'bowl', 5, 30),
  vessel(message('Bowl'), 'bowl', 2.5, 22, 4),
];
const MANY = [
  vessel(message('Stock pot'), 'pot', 12, 30),
  vessel(message('Large pot'), 'pot', 7, 26, 2),
  vessel(message('Medium pot'), 'pot', 3.5, 20, 3),
  vessel(message('Small pot'), 'pot', 1.5, 16, 2),
  vessel(message('Frying pan'), 'pan', 2.5, 28, 2),
  vessel(message('Deep pan with a lid'), 'pan', 4.5, 30, 2),
  vessel(message('Large casserole'), 'casserole', 7, 30),
  vessel(message('Casserole'), 'casserole', 4.5, 26),
  vessel(message('Oven tray'), 'tray', 5, 40, 3),
  vessel(message('Large bowl'), 'bowl', 5, 30, 2),
  vessel(message('Bowl'), 'bowl', 2.5, 22, 8),
];

const POTS: Readonly<Record<PotSet, readonly Unnamed[]>> = { few: FEW, usual: USUAL, many: MANY };

/** The vessels of a set. */
export function potsOf(set: PotSet): readonly Vessel[] {
  return numbered(
    'vessels',
    POTS[set].map((each) => ({ ...each, name: say(each.name) })),
  );
}

function numbered<T extends object>(list: string, rows: readonly T[]): readonly (T & { readonly id: string })[] {
  return rows.map((row, index) => ({ ...row, id: `${list}-${index + 1}` }));
}

/**
 * The kitchen that a few answers describe.
 * @throws RangeError where the burners are not a whole number from 1 to `MOST_FIRST_BURNERS`
 */
export function usualKitchen(id: string, name: string, { burners, oven, crew, pots }: KitchenAnswers): Kitchen {
  if (!Number.isInteger(burners) || burners < 1 || burners > MOST_FIRST_BURNERS)
    throw new RangeError(`Burners: a whole number from 1 to ${MOST_FIRST_BURNERS}.`);
  return {
    id,
    name,
    burners: usualBurners(burners),
    ovens: numbered('ovens', ovensOf()[oven]),
    appliances: [{ id: 'appliances-1', name: say('Kettle'), kind: 'kettle', litres: 1.7 }],
    vessels: potsOf(pots),
    people: numbered('people', peopleOf()[crew]),
    asleep: { from: DAY.until, until: DAY.from },
  };
}

/** A name that no other has: the wish itself, or with a number behind it. */
export function freeName(wish: string, taken: readonly string[]): string {
  const known = new Set(taken.map((name) => name.toLowerCase()));
  if (!known.has(wish.toLowerCase())) return wish;
  let number = 2;
  while (known.has(`${wish} ${number}`.toLowerCase())) number++;
  return `${wish} ${number}`;
}

/** The same kitchen once more, by another id and name. */
export function copyOfKitchen(kitchen: Kitchen, id: string, names: readonly string[]): Kitchen {
  return { ...kitchen, id, name: freeName(say('{kitchen}, copy', { kitchen: kitchen.name.slice(0, 100) }), names) };
}

/** A thing called after its kind is called after its new kind; a name of the cook's own stays. */
export function renamedByKind(name: string, from: string, to: string): string {
  const [old, now] = [from.replace('-', ' '), to.replace('-', ' ')];
  const at = name.toLowerCase().indexOf(old);
  if (at < 0) return name;
  const begins = name[at] !== old[0];
  const words = begins ? `${now[0]!.toUpperCase()}${now.slice(1)}` : now;
  return `${name.slice(0, at)}${words}${name.slice(at + old.length)}`;
}
