import { mkdirSync, writeFileSync } from 'node:fs';
import { SHELF } from '@/core/dish/shelf';
import { mealFile } from '@/core/formats/meal-file';
import { seededRandom } from '@/core/schedule/random';
import { largeKitchen } from '@/core/testing/large-kitchen';

mkdirSync('/tmp/meals', { recursive: true });
for (let k = 0; k < 16; k++) {
  const r = seededRandom(77 + k);
  const pool = [...SHELF];
  const count = 3 + r.below(5);
  const dishes = Array.from({ length: count }, () => pool.splice(r.below(pool.length), 1)[0]!);
  const kitchen = {
    ...largeKitchen,
    burners: largeKitchen.burners.slice(0, 2 + r.below(3)),
    people: largeKitchen.people.slice(0, 1 + r.below(2)),
  };
  const meal = {
    id: `m${k}`,
    name: `Meal ${k}`,
    people: 2 + r.below(7),
    day: '2026-11-28',
    hour: '19:00',
    pace: 'steady' as const,
    kitchen,
    dishes,
  };
  writeFileSync(`/tmp/meals/m${String(k).padStart(2, '0')}.json`, JSON.stringify(mealFile(meal)));
  console.log(k, kitchen.burners.length, kitchen.people.length, meal.people, dishes.map((d) => d.name).join(', '));
}
