import { SHELF } from '@/core/dish/shelf';
import { CREWS, usualKitchen } from '@/core/kitchen/usual';
import type { Meal } from '@/core/meal/meal';
import { seededRandom } from '@/core/schedule/random';

const FEWEST_DISHES = 3;
const MOST_DISHES = 8;
const MOST_FOR_ONE = 6;

/** Meals as strangers might put them together: dishes of the shelf drawn by chance, in a household's kitchen with two to four burners, one cook or two. */
export function drawnMeals(count: number, seed: number): readonly Meal[] {
  const random = seededRandom(seed);
  const among = (many: number) => Math.min(many - 1, Math.floor(many * random.next()));
  return Array.from({ length: count }, (_, index) => {
    const burners = 2 + among(3);
    const crew = CREWS[2 * among(2)]!;
    const most = crew === 'one cook' ? MOST_FOR_ONE : MOST_DISHES;
    const wanted = FEWEST_DISHES + among(most - FEWEST_DISHES + 1);
    const left = [...SHELF];
    const dishes = Array.from({ length: wanted }, () => left.splice(among(left.length), 1)[0]!);
    const id = `drawn-${seed}-${index + 1}`;
    const kitchen = usualKitchen(id, id, { burners, oven: 'usual', crew, pots: 'many' });
    const people = 2 + 2 * among(4);
    return { id, name: id, people, day: '2026-11-28', hour: '19:30', pace: 'steady', kitchen, dishes };
  });
}
