import type { Dish, Ingredient, Step } from './dish';

/** What an ingredient is to the safety rules, by its name: a guess that errs on the safe side. */
export type FoodSort = 'poultry' | 'minced' | 'whole' | 'fish' | 'egg' | 'kidney' | 'honey';

const SORTS: readonly (readonly [FoodSort, RegExp])[] = [
  ['minced', /\b(minced|mince|ground (beef|pork|lamb|turkey|chicken|meat)|meatballs?|burgers?|sausages?)\b/],
  ['poultry', /\b(chicken|turkey|duck|goose|guinea fowl|poultry|quail)\b/],
  ['whole', /\b(beef|pork|lamb|mutton|goat|veal|venison|rabbit|shanks?|ham|bacon)\b/],
  [
    'fish',
    /\b(fish|cod|haddock|mackerel|salmon|trout|tuna|sardines?|herring|prawns?|shrimps?|crabs?|mussels?|clams?|oysters?|squid)\b/,
  ],
  ['egg', /\beggs?\b/],
  ['kidney', /\bkidney beans?\b/],
  ['honey', /\bhoney\b/],
];
/** Not raw any more, or only a taste of it. */
const NOT_RAW = /\b(cooked|stock|broth|tinned|canned|smoked|sauce|dripping|lard)\b/;

/** What of the rules' foods an ingredient is; empty for all that is none. */
export function sortsOf({ name }: Pick<Ingredient, 'name'>): readonly FoodSort[] {
  const words = name.toLowerCase();
  const found = SORTS.filter(([, pattern]) => pattern.test(words)).map(([sort]) => sort);
  return NOT_RAW.test(words) ? found.filter((sort) => sort === 'honey') : found;
}

const RAW: ReadonlySet<FoodSort> = new Set(['poultry', 'minced', 'whole', 'fish']);

/** Whether a step takes raw meat or fish in hand. */
export function handlesRaw(dish: Dish, step: Step): boolean {
  return step.uses.some((id) => {
    const item = dish.ingredients.find((each) => each.id === id);
    return item !== undefined && sortsOf(item).some((sort) => RAW.has(sort));
  });
}

export function isHot({ place }: Pick<Step, 'place'>): boolean {
  return place.at === 'burner' || place.at === 'oven' || place.at === 'appliance';
}

/** Whether a step leaves a pot at a gentle simmer, with a look now and then at the most. */
export function simmersGently({ place, attention }: Pick<Step, 'place' | 'attention'>): boolean {
  return place.at === 'burner' && (place.heat === 'low' || place.heat === 'lowest') && attention !== 'hands';
}

/** Whether what a step handles is heated in a step after it: else it is eaten as it lies there. */
export function isHeatedAfter(dish: Dish, id: string): boolean {
  const next = new Map<string, string[]>();
  for (const { from, to } of dish.links) next.set(from, [...(next.get(from) ?? []), to]);
  const seen = new Set<string>();
  const visit = (at: string): boolean => {
    if (seen.has(at)) return false;
    seen.add(at);
    const step = dish.steps.find((each) => each.id === at);
    return (at !== id && step !== undefined && isHot(step)) || (next.get(at) ?? []).some(visit);
  };
  return visit(id);
}
