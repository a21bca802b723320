import { allergensOf, dietOf, type Eaten, unknownOf, unlessOf } from '@/core/dish/diet';

/** Whom a dish suits and what it holds, with what nobody knows of it. */
export function Holds({ dish }: { readonly dish: Eaten }) {
  const allergens = allergensOf(dish);
  const unknown = unknownOf(dish);
  const unless = unlessOf(dish);
  return (
    <p className="mt-2 text-faint" data-testid="holds">
      {sayDiet(dietOf(dish))}
      {unless.length > 0 && `, unless its label says ${unless.join(', ')}`}
      {allergens.length > 0 && ` · contains ${allergens.join(', ')}`}
      {unknown.length > 0 && <span className="text-warn"> · not known: {unknown.join(', ')}</span>} · by the names;
      labels come first
    </p>
  );
}

function sayDiet(diet: ReturnType<typeof dietOf>): string {
  return diet === 'not known' ? 'whom it suits is not known' : diet;
}
