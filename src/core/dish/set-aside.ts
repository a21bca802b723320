import { written } from '@/core/say/retold';
import type { Dish, Step } from './dish';
import { cooks, holdsKind, simmersGently } from './foods';

/** Id of the step in which a finished pot is set aside. */
export const SET_ASIDE = 'set-aside';
/** Id of the step that heats through what has stood aside. */
export const HEATED_AGAIN = 'heated-again';

/**
 * Minutes for which a finished pot stands covered off the heat before it is heated through: half of that above any rule's hot-holding line, well
 * within the two hours that food may lie below it. Common practice, no source.
 */
export const MOST_ASIDE = 60;

/** A simmer as long as this is as good heated through. Common practice, no source. */
const LONG_SIMMER = 15;
/** A family pot that is still warm. Common practice, no source. */
const HEATED_THROUGH = { shortest: 5, likely: 8, longest: 12 };
/** Put where it stands, and left. */
const PUT_AWAY = { shortest: 5, likely: 5, longest: 5 };
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
  const hasSimmered = steps.some((step) => simmersGently(step) && step.minutes.likely >= LONG_SIMMER);
  return hasSimmered && last?.vessel !== undefined && last.place.at === 'burner' && last.attention !== 'hands';
}

/** The dish set aside when it is ready, covered and off the heat, and heated through before the table: it leaves the flame to others meanwhile. */
export function setAside(dish: Dish): Dish {
  const { lands, steps, vessels } = dish;
  const pot = vessels.find(({ id }) => id === steps.findLast(cooks)?.vessel);
  if (!lands || !pot) return dish;
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
    cautions: [written('It stands covered and off the heat for an hour at the most. Local rules come first.')],
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
    cautions: [
      written('Heat it until it steams all through, 74 °C in the middle, and only once. Local rules come first.'),
    ],
    uses: [],
    duty: 'heat through',
  };
  return {
    ...dish,
    steps: [...steps, aside, again],
    links: [
      ...dish.links,
      { from: lands.step, at: 'end', to: SET_ASIDE, of: 'start', min: 0, max: AT_ONCE },
      { from: SET_ASIDE, at: 'end', to: HEATED_AGAIN, of: 'start', min: 0, max: MOST_ASIDE - PUT_AWAY.likely },
    ],
    vessels: vessels.map((use) => (use === pot ? { ...use, to: HEATED_AGAIN } : use)),
    lands: { ...lands, step: HEATED_AGAIN },
  };
}
