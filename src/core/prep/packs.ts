import type { Amount } from '@/core/units/amount';
import { inKindOf, type LarderItem } from './larder';
import { added, type Errand } from './shopping';

/** How a thing is bought: so many packs of a size, and what is left in the last. */
export interface Packs {
  readonly size: Amount;
  readonly count: number;
  readonly left: Amount;
  /** The cook has told what a pack costs; else it is a usual size. */
  readonly told: boolean;
}

const g = (...quantities: readonly number[]): readonly Amount[] =>
  quantities.map((quantity) => ({ quantity, unit: 'g' }));
const ml = (...quantities: readonly number[]): readonly Amount[] =>
  quantities.map((quantity) => ({ quantity, unit: 'ml' }));

/** Sizes that shops sell, the first that fits the name. Common practice, no source; a cook's own price outdoes them. */
const USUAL: readonly (readonly [RegExp, readonly Amount[]])[] = [
  [/\bcoconut milk\b/, ml(400)],
  [/\b(tinned|canned|tins?|chopped tomatoes)\b/, g(400)],
  [/\btomato paste\b/, g(200)],
  [/\b(butter|ghee)\b(?!milk)/, g(250)],
  [/\bcream\b/, ml(200)],
  [/\bbuttermilk\b/, ml(500)],
  [/\byogh?urt\b/, g(500)],
  [/\bmilk\b/, ml(500, 1000)],
  [
    /\beggs?\b/,
    [
      { quantity: 6, unit: 'piece' },
      { quantity: 10, unit: 'piece' },
    ],
  ],
  [/\b(flour|sugar)\b/, g(1000)],
  [/\b(rice|barley|millet|bulgur|couscous|quinoa|freekeh|farro|oats?|polenta)\b/, g(500, 1000)],
  [/\b(lentils?|split peas|chickpeas|dried (beans|peas))\b/, g(500)],
  [/\b(almonds?|walnuts?|hazelnuts?|chestnuts?|nuts|raisins)\b/, g(100, 200)],
  [/\bhoney\b/, g(500)],
  [/\boil\b/, ml(500, 1000)],
  [/\bvinegar\b/, ml(500)],
  [/\bstock\b/, ml(1000)],
  [/\b(wine|cider)\b/, ml(750)],
];

/** Fewer than this share of a pack is a splash or a pinch that is in most houses: no pack is told. */
const WORTH_A_PACK = 0.05;

/**
 * In how many packs what is still to be bought comes: of the size whose price the cook has told, else of the usual size that leaves least. Null
 * for what is sold loose, and for a splash.
 */
export function packsFor({ name }: Pick<Errand, 'name'>, buy: readonly Amount[], item?: LarderItem): Packs | null {
  const [only] = buy;
  if (!only || buy.length > 1) return null;
  const own = item?.price?.per;
  const sizes = own ? [own] : (USUAL.find(([pattern]) => pattern.test(name.toLowerCase()))?.[1] ?? []);
  const ways = sizes.flatMap((size): Packs[] => {
    const wanted = inKindOf(name, only, size);
    const holds = added([size])[0]!.quantity;
    if (!wanted || wanted.quantity < WORTH_A_PACK * holds) return [];
    const count = Math.max(1, Math.ceil(wanted.quantity / holds - 1e-9));
    return [
      { size, count, left: { quantity: count * holds - wanted.quantity, unit: wanted.unit }, told: own !== undefined },
    ];
  });
  // Least left over; of two alike the fewer, larger packs.
  return ways.sort((a, b) => a.left.quantity - b.left.quantity || a.count - b.count)[0] ?? null;
}
