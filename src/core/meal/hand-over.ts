import type { Dish, Gives, Takes } from '@/core/dish/dish';

/**
 * What of a meal a dish takes: the very thing it names; where it wants just any stock, the first stock there is. Never its own.
 */
export function giverOf(
  dishes: readonly Dish[],
  taker: Dish,
  { product }: Pick<Takes, 'product'>,
): { readonly dish: Dish; readonly give: Gives } | null {
  const all = dishes
    .filter((dish) => dish.id !== taker.id)
    .flatMap((dish) => dish.gives.map((give) => ({ dish, give })));
  return (
    all.find(({ give }) => give.product === product) ??
    (product === ANY_STOCK ? all.find(({ give }) => /\b(?:stock|broth)$/.test(give.product)) : undefined) ??
    null
  );
}

const ANY_STOCK = 'stock';
