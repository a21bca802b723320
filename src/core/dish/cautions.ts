import { LIMITS } from '@/core/heat/safe-limits';
import type { Dish, Step } from './dish';
import { handlesRaw, isHot, sortsOf } from './foods';

/** Whole spices and peppers, which come out before a dish is eaten. */
export const WHOLE_SPICES =
  /\b(bay|cinnamon|cardamom|cloves?|star anise|lime leaves|whole hot pepper|peppercorns|juniper)\b/;
const OIL = /\b(oil|dripping|lard|ghee)\b/;
const HARD = /\b(squash|pumpkin|celeriac|swede|beetroot)\b/;
const HEAVY_LITRES = 6;

/** A caution, and the words by which it is known to stand there already. */
interface Rule {
  readonly says: string;
  readonly already: RegExp;
}

/**
 * Cautions that a step wants and its writer may have left out: raw meat on the board, the middle that must be hot enough, hot fat,
 * pressure, steam, weight, whole spices, honey, what is hard under a knife. What is said already is not said again.
 */
export function missingCautions(dish: Dish, step: Step): readonly string[] {
  const said = step.cautions.join(' ');
  return rulesFor(dish, step)
    .filter(({ already }) => !already.test(said))
    .map(({ says }) => says);
}

function rulesFor(dish: Dish, step: Step): readonly Rule[] {
  const rules: Rule[] = [];
  const add = (says: string, already: RegExp) => rules.push({ says, already });
  const used = step.uses.flatMap((id) => dish.ingredients.find((item) => item.id === id) ?? []);
  const sorts = new Set(dish.ingredients.flatMap(sortsOf));
  if (handlesRaw(dish, step))
    add('Raw meat or fish: wash board, knife and hands before anything that is eaten raw.', /wash/i);
  if (step.id === lastHot(dish)) {
    const middle = sorts.has('poultry')
      ? LIMITS.poultry
      : sorts.has('minced')
        ? LIMITS.minced
        : sorts.has('whole')
          ? LIMITS.whole
          : sorts.has('fish')
            ? LIMITS.fish
            : null;
    if (middle) {
      const still = 'minutes' in middle ? ` and ${middle.minutes} minutes of rest` : '';
      add(`In the middle at least ${middle.celsius} °C${still}: measure it. Local rules come first.`, /\d\d °C/);
    }
  }
  const hands = step.attention === 'hands';
  if (step.place.at === 'burner' && hands && used.some(({ name }) => OIL.test(name.toLowerCase()))) {
    add('Hot fat: dry what goes in, and lay it in away from you.', /hot (fat|oil)|spit/i);
  }
  if (step.place.at === 'appliance' && step.place.appliance === 'pressure-cooker') {
    add('Open it only when the pressure is gone, and as its maker says.', /pressure/i);
  }
  const use = dish.vessels.find(({ id }) => id === step.vessel);
  if (hands && use && use.need.litres >= HEAVY_LITRES && !isHot(step) && step.id !== use.from) {
    add('A full pot is heavy and hot: clear the way first, two dry cloths.', /heavy|clear the way|two dry cloths/i);
  }
  const before = dish.steps.find(({ id }) => dish.links.some((link) => link.to === step.id && link.from === id));
  const wasCovered =
    before !== undefined &&
    isHot(before) &&
    /cover|lid/i.test(`${before.name} ${before.says}`) &&
    before.vessel === step.vessel;
  if (hands && wasCovered && step.vessel !== undefined)
    add('Lift the lid away from you: the steam scalds.', /steam|lid/i);
  if (dish.lands?.step === step.id) {
    const whole = dish.ingredients.filter(({ name }) => WHOLE_SPICES.test(name.toLowerCase())).map(({ name }) => name);
    if (whole.length > 0 && dish.steps.some(isHot)) {
      add(`Fish out ${whole.join(', ')}, and tell the table of any that stay.`, /fish out|take out|tell the table/i);
    }
    if (sorts.has('honey')) add('Honey is not for infants under one year.', /infants/i);
  }
  if (hands && used.some(({ name }) => HARD.test(name.toLowerCase()))) {
    add('What is hard rolls: cut a flat side first, fingers curled.', /flat side/i);
  }
  return rules;
}

/** The last step of a dish that heats it. */
function lastHot(dish: Dish): string | undefined {
  return dish.steps.findLast(isHot)?.id;
}
