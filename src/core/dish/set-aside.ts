import { written } from '@/core/say/retold';
import type { Dish, Step } from './dish';
import { cooks, holdsKind, simmersLong } from './foods';

/** Id of the step in which a finished pot is set aside. */
export const SET_ASIDE = 'set-aside';
/** Id of the step that heats through what has stood aside. */
export const HEATED_AGAIN = 'heated-again';

/** Minutes from the end of its last heat within which what is set aside is planned to be on the heat again. */
export const MOST_ASIDE = 75;
/**
 * Minutes from the end of its last heat after which it rings. A covered family pot is over any rule's hot-holding line for most of them (`heat/cool.ts`),
 * and food may lie below it for two hours. Common practice, no source.
 */
export const TOO_LONG_ASIDE = 90;

/** A family pot that is still warm. Common practice, no source. */
const HEATED_THROUGH = { shortest: 5, likely: 8, longest: 12 };
/** Put where it stands, and left. */
const PUT_AWAY = { shortest: 5, likely: 5, longest: 5 };
/** What is heated again, from cold or still warm. Source: USDA FSIS, "Leftovers and Food Safety" (165 °F), from memory. */
export const allThrough = () =>
  written('Heat it until it steams all through, 74 °C in the middle, and only once. Local rules come first.');

/** Minutes within which it is off the heat. */
const AT_ONCE = 5;
/** It catches where it is not stirred. Common practice, no source. */
const STIR_EVERY = 4;

/**
 * Whether a finished dish can stand aside and be heated through for the table: what has simmered in its liquid and was not fried after that; no fish, no
 * eggs, no grain that is eaten loose. Common practice, no source.
 */
export function bearsStanding(dish: Dish): boolean {
  const { grain, lands, steps } = dish;
  if (lands?.waits.served !== 'hot' || grain || holdsKind(dish, 'fish', 'crustacean', 'mollusc', 'egg')) return false;
  const last = steps.findLast(cooks);
  return (
    steps.some(simmersLong) && last?.vessel !== undefined && last.place.at === 'burner' && last.attention !== 'hands'
  );
}

/** The dish set aside when it is ready, covered and off the heat, and heated through before the table: it leaves the flame to others meanwhile. */
export function setAside(dish: Dish): Dish {
  const { lands, steps, vessels } = dish;
  const heat = steps.findLast(cooks);
  const pot = vessels.find(({ id }) => id === heat?.vessel);
  if (!lands || !heat || !pot) return dish;
  const aside: Step = {
    id: SET_ASIDE,
    name: written('stand covered'),
    says: written('Off the heat, lid on, out of the way: it stays hot by itself until a flame is free for it again.'),
    minutes: PUT_AWAY,
    grows: { by: 'nothing' },
    attention: 'none',
    by: 'anyone',
    place: { at: 'rest' },
    vessel: pot.id,
    doneWhen: '',
    cautions: [
      written('It stands covered and off the heat for an hour and a half at the most. Local rules come first.'),
    ],
    uses: [],
  };
  const again: Step = {
    id: HEATED_AGAIN,
    name: written('heat through'),
    says: written(
      'Bring it to the simmer again, stirring to the ground, with a splash of water if it has grown thick.',
    ),
    minutes: HEATED_THROUGH,
    grows: { by: 'nothing' },
    attention: 'eyes',
    by: 'anyone',
    lookEvery: STIR_EVERY,
    place: { at: 'burner', heat: 'medium' },
    vessel: pot.id,
    doneWhen: written('it steams all through'),
    cautions: [allThrough()],
    uses: [],
    duty: 'heat through',
  };
  return {
    ...dish,
    steps: [...steps, aside, again],
    links: [
      ...dish.links,
      { from: lands.step, at: 'end', to: SET_ASIDE, of: 'start', min: 0, max: AT_ONCE },
      { from: SET_ASIDE, at: 'end', to: HEATED_AGAIN, of: 'start', min: 0, max: null },
      // However long it has rested before it was set aside.
      { from: heat.id, at: 'end', to: HEATED_AGAIN, of: 'start', min: 0, max: MOST_ASIDE },
    ],
    vessels: vessels.map((use) => (use === pot ? { ...use, to: HEATED_AGAIN } : use)),
    lands: { ...lands, step: HEATED_AGAIN },
  };
}
