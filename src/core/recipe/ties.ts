import type { FoodKind } from '@/core/food/food';
import { foodsOf } from '@/core/food/known';
import type { Language } from './language';

interface Named {
  readonly id: string;
  readonly name: string;
}

/** Words of a name that say how it is and not what it is. */
const SMALL_WORDS = new Set(
  'fresh dried ground large small whole fine chopped sliced and or the with of red white green black hot cold plus extra into for about good ripe boneless skinless smoked sweet plain raw cooked frozen unsalted salted light dark thick thin long short big baby new old free range organic very der die das und mit aus le la les de du des et y el los las con ve'.split(
    ' ',
  ),
);
/** Last words that only say in what shape a thing comes: "chicken pieces" are the chicken. */
const SHAPES = new Set(
  'piece pieces thigh thighs breast breasts leg legs fillet fillets shoulder neck cheek cheeks leaf leaves clove cloves seed seeds stick sticks stalk stalks powder paste grain grains wedge wedges chunk chunks slice slices cube cubes steak steaks chop chops belly loin mince florets bulb root zest juice tin can flake flakes pod pods sheet sheets'.split(
    ' ',
  ),
);
/** Groups by which a sentence calls several things at once. */
const GROUPS: readonly (readonly [RegExp, readonly FoodKind[]])[] = [
  [
    /\b(?:the|all|browned|your) meat\b|^\W*meat\b|\bdas Fleisch\b|\bla viande\b|\bla carne\b/iu,
    ['red meat', 'poultry', 'game', 'minced meat', 'offal'],
  ],
  [
    /\b(?:soffritto|mirepoix|(?:the|all(?: the)?|remaining|other) (?:\w+ )?(?:vegetables|veg|veggies))\b|\bles légumes\b|\bGemüse\b/iu,
    ['vegetable'],
  ],
  [/\b(?:the|all(?: the)?|remaining|ground|dry|whole) spices\b|\bGewürze\b|\bles épices\b/iu, ['spice']],
  [/\b(?:the|all the|with the) (?:fish|seafood)\b/iu, ['fish', 'crustacean', 'mollusc']],
  [/\b(?:the|all the|soaked|drained) (?:beans|pulses|lentils)\b/iu, ['pulse']],
  [/\b(?:the|all the) nuts\b/iu, ['nut']],
  [/\b(?:the|hot) (?:stock|broth)\b|\bBrühe\b|\ble bouillon\b|\bel caldo\b/iu, ['stock']],
];
/** The same by their names. */
const CALLED: readonly (readonly [RegExp, RegExp])[] = [
  [/\bpasta\b/i, /spaghetti|penne|linguine|tagliatelle|fusilli|rigatoni|macaroni|orzo|farfalle|noodles|lasagne/i],
  [/\bcheeses?\b/i, /parmesan|cheddar|feta|mozzarella|gruy[eè]re|ricotta|pecorino|gouda|halloumi/i],
  [/\bherbs\b/i, /parsley|coriander|cilantro|mint|dill|basil|thyme|rosemary|oregano|chives|sage|tarragon|bay/i],
];
/** Everything that has not gone in yet. */
const ALL_OTHERS =
  /\b(?:all (?:of )?(?:the )?(?:other |remaining )?ingredients|(?:the )?(?:remaining|other) ingredients|(?:the )?rest of the ingredients|everything(?: else)?|all the (?:rest|others)|alle (?:übrigen |restlichen )?Zutaten|tous les (?:autres )?ingrédients|todos los (?:demás )?ingredientes|tüm malzemeler)\b/iu;
const SEASONS = /\b(?:season(?:ed|ing)?|abschmecken|assaisonn\w+|salez|sazonar|sal-?pimentar)\b/iu;

const wordsOf = (text: string): readonly string[] => text.toLowerCase().match(/[\p{L}\p{M}]+/gu) ?? [];

/** The stem of an English word: no plural. */
function stemOf(word: string): string {
  if (word.length <= 3) return word;
  return word
    .replace(/ies$/, 'y')
    .replace(/(?<=(?:o|ch|sh|x|ss))es$/, '')
    .replace(/ves$/, 'f')
    .replace(/(?<![su])s$/, '');
}

/** Letters that two words share at their beginnings. */
function sharedHead(a: string, b: string): number {
  let k = 0;
  while (k < a.length && a[k] === b[k]) k++;
  return k;
}

/** Reads which ingredients a sentence speaks of. */
export class Ties<Item extends Named> {
  private readonly items: readonly {
    readonly item: Item;
    readonly own: readonly string[];
    readonly head: string;
    readonly kinds: ReadonlySet<FoodKind>;
  }[];
  /** How many ingredients have a word. */
  private readonly holders = new Map<string, number>();

  constructor(
    items: readonly Item[],
    private readonly language: Language,
  ) {
    this.items = items.map((item) => {
      const own = wordsOf(item.name.replace(/\([^()]*\)/g, '')).filter(
        (word) => word.length > 1 && !SMALL_WORDS.has(word),
      );
      const main = own.filter((word) => !SHAPES.has(word));
      const [first] = main;
      const head =
        language === 'English' || language === null || language === 'German' || language === 'Turkish'
          ? main.at(-1)
          : first;
      return {
        item,
        own: own.map((word) => this.stem(word)),
        head: this.stem(head ?? own.at(-1) ?? ''),
        kinds: new Set(foodsOf(item).map(({ kind }) => kind)),
      };
    });
    for (const { own } of this.items)
      for (const word of new Set(own)) this.holders.set(word, (this.holders.get(word) ?? 0) + 1);
  }

  private stem(word: string): string {
    if (this.language === 'Arabic') return word.replace(/^(?:و|ب|ل)?ال(?=\p{L}{2})|^و(?=\p{L}{3})/u, '');
    return this.language === 'English' || this.language === null ? stemOf(word) : word;
  }

  /** Whether a word of a sentence is a word of a name, with the endings and compounds of its language. */
  private same(said: string, own: string): boolean {
    if (said === own) return true;
    if (own.length < 3) return false;
    switch (this.language) {
      case 'English':
      case null:
        return false;
      case 'German':
        return (
          (said.length >= 4 && own.endsWith(said)) ||
          (own.length >= 4 && said.endsWith(own)) ||
          (said.length >= 6 && own.startsWith(said)) ||
          (said.startsWith(own) && said.length - own.length <= 2) ||
          (own.startsWith(said) && said.length >= 4 && own.length - said.length <= 2)
        );
      case 'French':
      case 'Spanish':
        return (
          (said.startsWith(own) || own.startsWith(said)) &&
          Math.abs(said.length - own.length) <= 2 &&
          Math.min(said.length, own.length) >= 3
        );
      default:
        return (
          (said.startsWith(own) && said.length - own.length <= 5) ||
          (this.language === 'Turkish' && sharedHead(said, own) >= 4 && Math.abs(said.length - own.length) <= 3)
        );
    }
  }

  /** Ids of the ingredients that a sentence names, alone or with others ("the spices", "the remaining ingredients"). */
  in(sentence: string, left: ReadonlySet<string>): readonly string[] {
    const said = wordsOf(sentence).map((word) => this.stem(word));
    const found = new Set<string>();
    const covered = new Set<number>();
    // What stands there with its whole name is meant, and its words mean nothing else.
    for (const { item, own } of [...this.items].sort((a, b) => b.own.length - a.own.length)) {
      if (own.length < 2) continue;
      for (let k = 0; k + own.length <= said.length; k++) {
        if (covered.has(k) || !own.every((word, j) => this.same(said[k + j]!, word))) continue;
        found.add(item.id);
        own.forEach((_, j) => void covered.add(k + j));
      }
    }
    said.forEach((word, k) => {
      if (covered.has(k)) return;
      const heads = this.items.filter(({ head }) => this.same(word, head));
      // "the onion" may mean the spring onions only where there are no others.
      const exact = heads.filter(({ item }) => wordsOf(item.name).length === 1);
      const meant = exact.length > 0 ? exact : heads;
      const before = said[k - 1] ?? '';
      const narrowed = meant.filter(({ own }) => own.includes(before));
      // Of several flours the one that has not gone in yet.
      const open = meant.filter(({ item }) => left.has(item.id));
      for (const { item } of narrowed.length > 0 ? narrowed : open.length > 0 ? open : meant) found.add(item.id);
      if (meant.length > 0 || SMALL_WORDS.has(word) || (SHAPES.has(word) && said.length > 4)) return;
      const holders = this.items.filter(({ own }) => own.some((each) => this.same(word, each)));
      if (holders.length === 1 && word.length > 2) found.add(holders[0]!.item.id);
    });
    for (const [pattern, kinds] of GROUPS) {
      if (!pattern.test(sentence)) continue;
      const group = this.items.filter((each) => kinds.some((kind) => each.kinds.has(kind)));
      const open = group.filter(({ item }) => left.has(item.id));
      for (const { item } of open.length > 0 ? open : group.length === 1 ? group : []) found.add(item.id);
    }
    for (const [pattern, names] of CALLED) {
      if (!pattern.test(sentence) || this.items.some(({ item }) => pattern.test(item.name) && found.has(item.id)))
        continue;
      const group = this.items.filter(({ item }) => names.test(item.name));
      const open = group.filter(({ item }) => left.has(item.id));
      for (const { item } of open.length > 0 ? open : group.slice(0, 1)) found.add(item.id);
    }
    if (ALL_OTHERS.test(sentence) && !/\b(?:check|taste|stir) everything\b/i.test(sentence))
      for (const id of left) found.add(id);
    if (SEASONS.test(sentence))
      for (const { item, head } of this.items)
        if (/^(?:salt|pepper|salz|pfeffer|sel|poivre|sal|pimienta)$/.test(head) && left.has(item.id))
          found.add(item.id);
    return this.items.filter(({ item }) => found.has(item.id)).map(({ item }) => item.id);
  }
}
