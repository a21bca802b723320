import { foodsOf, unknownIn } from '@/core/food/known';
import { written } from '@/core/say/retold';
import { MASS_IN_GRAMS, type MassUnit, VOLUME_IN_ML, type VolumeUnit } from '@/core/units/amount';
import type { Dish, Ingredient, Step } from './dish';
import { cooks, foodsIn, handlesRaw, isHot, stepsFrom } from './foods';
import { measuredAt, sayRule } from './rules';

const HEAVY_LITRES = 6;
/** So much fat in one vessel is deep enough to boil over and to burn. Common practice, no source. */
const DEEP_ML = 250;
/** A pressure cooker: closing it and opening it are two moments. */
const CLOSING = written(
  'Fill it no higher than its maker says (beans and grain: half), see that the valve is clear, and lock the lid. Never leave it on high.',
);
const OPENING = written(
  'Open it only when the pressure is gone by itself or as its maker says: the lid moves freely, and it tips away from you. Never force it.',
);

/** A caution, and the words by which it is known to stand there already; none where nothing written silences it. */
interface Rule {
  readonly says: string;
  readonly already?: RegExp;
}

/** All that a step cautions of: what its writer has said, and what the rules add. */
export function cautionsAt(dish: Dish, step: Step): readonly string[] {
  return [...new Set([...step.cautions, ...missingCautions(dish, step)])];
}

/**
 * Cautions that a step wants and its writer may have left out: raw meat on the board, the middle that must be hot enough, hot and deep fat,
 * pressure, steam, weight, whole spices, honey, what is hard under a knife. What is said already is not said again, but for the
 * temperature of the middle, which is always said as the table has it.
 */
export function missingCautions(dish: Dish, step: Step): readonly string[] {
  const said = step.cautions.join(' ');
  return rulesFor(dish, step)
    .filter(({ says, already }) => !already?.test(said) && !step.cautions.includes(says))
    .map(({ says }) => says);
}

function rulesFor(dish: Dish, step: Step): readonly Rule[] {
  const hands = step.attention === 'hands';
  const used = step.uses.flatMap((id) => dish.ingredients.find((item) => item.id === id) ?? []);
  return [
    ...rawRules(dish, step, used),
    ...heatRules(dish, step, used),
    ...potRules(dish, step, hands),
    ...endRules(dish, step),
  ];
}

/** What is raw, not known, or hard under a knife. */
function rawRules(dish: Dish, step: Step, used: readonly Ingredient[]): Rule[] {
  const rules: Rule[] = [];
  if (handlesRaw(dish, step)) {
    rules.push({
      says: written('Raw meat or fish: wash board, knife and hands before anything that is eaten raw.'),
      already: /wash board/i,
    });
  }
  const strange = used.filter((item) => unknownIn(item).length > 0).map(({ name }) => name);
  if (strange.length > 0) {
    rules.push({
      says: written(
        'Not known here: {strange}. If it is raw meat, fish or egg, wash board and hands after it and cook it through; for allergens ask its label.',
        { strange: strange.join(', ') },
      ),
    });
  }
  const hard =
    step.place.at === 'board' && used.some((item) => foodsOf(item).some((food) => food.hard && food.state === 'raw'));
  if (hard && step.attention === 'hands') {
    rules.push({ says: written('What is hard rolls: cut a flat side first, fingers curled.'), already: /flat side/i });
  }
  return rules;
}

/** The middle that must be hot enough, hot fat, deep fat, pressure. */
function heatRules(dish: Dish, step: Step, used: readonly Ingredient[]): Rule[] {
  const rules: Rule[] = [];
  const measured = measuredAt(dish);
  if (measured?.step.id === step.id) rules.push({ says: sayRule(measured.rule) });
  const fats = used.filter((item) => foodsOf(item).some(({ kind }) => kind === 'fat'));
  if (step.place.at === 'burner' && fats.reduce((sum, item) => sum + mlOf(item), 0) >= DEEP_ML) {
    rules.push({
      says: written(
        'Deep fat: the pan a third full at most, its lid at hand to smother a flame, never water on it. Stay with it; if it smokes, off the heat. Handle turned in, out of the reach of children.',
      ),
      already: /third full/i,
    });
  } else if (step.place.at === 'burner' && step.attention === 'hands' && fats.length > 0) {
    rules.push({
      says: written(
        'Hot fat: dry what goes in, and lay it in away from you. Handle turned in, out of the reach of children.',
      ),
      already: /hot (fat|oil)|spit/i,
    });
  }
  if (isPressed(step)) rules.push({ says: CLOSING, already: /lock the lid/i });
  return rules;
}

/** What a full, closed, hot or pressed pot does when hands come to it. */
function potRules(dish: Dish, step: Step, hands: boolean): Rule[] {
  if (!hands) return [];
  const rules: Rule[] = [];
  const before = dish.links
    .filter(({ to }) => to === step.id)
    .flatMap(({ from }) => dish.steps.find(({ id }) => id === from) ?? []);
  if (before.some(isPressed)) rules.push({ says: OPENING, already: /pressure/i });
  const use = dish.vessels.find(({ id }) => id === step.vessel);
  const afterHeat = use !== undefined && step.id !== use.from;
  if (use && afterHeat && use.need.litres >= HEAVY_LITRES && !isHot(step)) {
    rules.push({
      says: written('A full pot is heavy and hot: clear the way first, two dry cloths.'),
      already: /heavy|clear the way|two dry cloths/i,
    });
  }
  if (use && before.some((each) => each.vessel === step.vessel && isClosed(dish, each))) {
    rules.push({ says: written('Lift the lid away from you: the steam scalds.'), already: /steam/i });
  }
  if (
    use?.need.straight &&
    use.to === step.id &&
    dish.lands?.step === step.id &&
    foodsIn(dish).some(({ kind }) => kind === 'fat')
  ) {
    rules.push({
      says: written(
        'Hot fat and steam run out when it is turned over: away from you, sleeves down, both hands in dry cloths, nobody near.',
      ),
      already: /run out|runs out/i,
    });
  }
  const blends = (step.place.at === 'appliance' && step.place.appliance === 'blender') || /\bblend/i.test(step.says);
  if (blends && before.some(cooks)) {
    rules.push({
      says: written(
        'Hot in a jug blender: half full at most, the vent open, a folded cloth held on the lid, slow at first. With a stick, keep its head under.',
      ),
      already: /half full/i,
    });
  }
  return rules;
}

/** What has to be taken out or told when a dish is finished. */
function endRules(dish: Dish, step: Step): Rule[] {
  const rules: Rule[] = [];
  if (dish.lands?.step !== step.id) return rules;
  const whole = wholeNamesIn(dish);
  if (whole.length > 0 && dish.steps.some(cooks)) {
    rules.push({
      says: written('Fish out {whole}, and tell the table of any that stay.', { whole: whole.join(', ') }),
    });
  }
  if (foodsIn(dish).some(({ honey }) => honey))
    rules.push({ says: written('Honey is not for infants under one year.'), already: /infants/i });
  return rules;
}

/** Whole spices and peppers that go into a pot and have to come out of it: what was ground, chopped or crushed does not. */
function wholeIn(dish: Dish): readonly Ingredient[] {
  const cooked = new Set(dish.steps.filter((step) => stepsFrom(dish, step.id).some(cooks)).flatMap(({ uses }) => uses));
  return dish.ingredients.filter(
    (item) =>
      cooked.has(item.id) &&
      !/\b(ground|chopped|crushed|powder(ed)?|grated|sliced|minced|fine(ly)?)\b/i.test(
        `${item.name} ${item.cut ?? ''}`,
      ) &&
      foodsOf(item).some(({ whole }) => whole !== undefined),
  );
}

/** Their names, each once though several parts of the dish bring it. */
export function wholeNamesIn(dish: Dish): readonly string[] {
  return [...new Set(wholeIn(dish).map(({ name }) => name))];
}

function isPressed({ place }: Pick<Step, 'place'>): boolean {
  return place.at === 'appliance' && place.appliance === 'pressure-cooker';
}

/** A pot left alone on the heat or resting after it stands closed. */
function isClosed(dish: Dish, step: Step): boolean {
  const kinds = dish.vessels.find(({ id }) => id === step.vessel)?.need.kinds ?? [];
  const closes = kinds.some((kind) => kind === 'pot' || kind === 'casserole');
  const rests = step.place.at === 'rest' && dish.steps.some((each) => each.vessel === step.vessel && isHot(each));
  return closes && step.attention !== 'hands' && (isHot(step) || rests);
}

/** Millilitres of an ingredient, a gram of fat taken for one; 0 of what is counted. */
function mlOf({ amount: { quantity, unit } }: Ingredient): number {
  if (unit in VOLUME_IN_ML) return quantity * VOLUME_IN_ML[unit as VolumeUnit];
  return unit in MASS_IN_GRAMS ? quantity * MASS_IN_GRAMS[unit as MassUnit] : 0;
}
