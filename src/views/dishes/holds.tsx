import { allergensOf, dietOf, type Eaten, unknownOf, unlessOf } from '@/core/dish/diet';
import { say, term } from '@/core/say/say';

/** Whom a dish suits and what it holds, with what nobody knows of it. */
export function Holds({ dish }: { readonly dish: Eaten }) {
  const allergens = allergensOf(dish);
  const unknown = unknownOf(dish);
  const unless = unlessOf(dish);
  return (
    <p className="mt-2 text-faint" data-testid="holds">
      {sayDiet(dietOf(dish))}
      {unless.length > 0 && say(', unless its label says {unless}', { unless: unless.join(say(', ')) })}
      {allergens.length > 0 && say(' · contains {allergens}', { allergens: allergens.map(term).join(say(', ')) })}
      {unknown.length > 0 && (
        <span className="text-warn"> {say('· not known: {unknown}', { unknown: unknown.join(say(', ')) })}</span>
      )}{' '}
      {say('· by the names; labels come first')}
    </p>
  );
}

function sayDiet(diet: ReturnType<typeof dietOf>): string {
  return diet === 'not known' ? say('whom it suits is not known') : term(diet);
}
