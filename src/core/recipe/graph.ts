import type { Link } from '@/core/dish/dish';
import { follow, overnight } from '@/core/dish/write';
import type { ReadStep, RecipeReading } from './as-read';
import { withKeepableWaits } from './waits-kept';

/** Minutes that food off the heat may wait between two steps, and a hot pan between two. Guesses that err on the short side. */
const BETWEEN = { cold: 240, hot: 20, atOnce: 2 } as const;
/** Words for what may not wait, and hot oil, which does not. */
const AT_ONCE =
  /\b(?:at once|immediately|straight ?away|right away|while (?:it is |they are )?(?:still )?(?:hot|warm)|quickly|aussitôt|sofort|enseguida|inmediatamente|hemen)\b|\bhot (?:oil|fat)\b|straight (?:in|on)to/iu;

const ADDS = /\b(?:add|stir in|fold in|return|goes? (?:back )?in|back in)\b|zugeben|ajoutez|añadir|agregar|ekley/iu;

/** Whether the words of a step say that what comes before it may not wait. */
export const mayNotWait = (words: string): boolean => AT_ONCE.test(words);

/** What a step says that it makes. */
const MAKES =
  /\b(?:make|form|into|to) (?:a |an |the |\d+ )?(?:[\p{L}-]+ ){0,2}?(dumplings?|balls|meatballs|patties|dough|paste|batter|dressing|sauce|pastry|filling|stuffing|marinade|rub|topping|crumble|salsa|relish|glaze|gravy|stock|broth|flatbreads?|mash)(?![\p{L}])/giu;

/** Steps that follow each other, beside others: what was begun "meanwhile", or a part of its own. */
interface Branch {
  readonly part: string | null;
  /** Its last step. */
  end: ReadStep;
  /** What its first step comes after. */
  readonly after: readonly ReadStep[];
  readonly names: Set<string>;
  /** What its steps say that they make: "a soft dough". */
  readonly made: Set<string>;
  /** It goes on beside another. */
  readonly beside: boolean;
  /** Its end is followed by a step of another. */
  joined: boolean;
}

const wordsOf = (text: string): readonly string[] => text.toLowerCase().match(/[\p{L}\p{M}]+/gu) ?? [];

/** What brings something of one branch into another. */
const BRINGS =
  /\b(?:add|stir in|fold in|return|goes? (?:back )?in|back in|into|over|onto|on top|combine|together|toss|mix|assemble|layer|pour|serve|with the)\b|zugeben|dazu|ajoutez|añadir|agregar|ekley/iu;
/** Headings that say when, and not what for: what stands there comes after all that stands above. */
const STAGES =
  /^\W*(?:to )?(?:finish\w*|cook(?:ing)?|bak(?:e|ing)|mise en place|prep\w*|assembl\w+|put(?:ting)? (?:it )?(?:all )?together|serv(?:e|ing)|the day before|on the day|day \d|step \d+|final\w*|dish(?:ing)? up|plat(?:e|ing)(?: up)?|fertigstell\w+|montage|finition|montaje)\b/i;
const THE_POT = /\bthe (?:pot|pan|casserole|saucepan|skillet|wok)\b(?! of)/i;
const EVERYTHING = /\b(?:everything|all (?:the )?(?:ingredients|parts)|assemble)\b/i;

/**
 * What comes after what. Steps follow each other; "meanwhile" and "while …" begin beside the step that needs no hands, a part with a heading of
 * its own beside all others; a step that brings things of two branches together comes after both, and so does the last one.
 */
export function linksOf({
  steps,
  name,
  ingredients,
}: Pick<RecipeReading, 'steps' | 'name' | 'ingredients'>): readonly Link[] {
  // What the dish is called, without what goes into it: "the curry", "the stew".
  const things = new Set(ingredients.flatMap((each) => wordsOf(each.name)));
  const title = wordsOf(name).filter((word) => word.length > 2 && !things.has(word));
  const links: Link[] = [];
  const branches: Branch[] = [];
  const owners = new Map<string, Branch>();
  let current: Branch | null = null;
  const after = (froms: readonly ReadStep[], to: ReadStep, beside = false) => {
    for (const from of froms)
      if (!links.some((link) => link.from === from.id && link.to === to.id)) links.push(linkOf(from, to, beside));
  };
  const own = (branch: Branch, step: ReadStep) => {
    branch.end = step;
    for (const id of step.names) {
      owners.set(id, branch);
      branch.names.add(id);
    }
    for (const [, thing] of step.words.matchAll(MAKES)) branch.made.add(thing!.toLowerCase().replace(/s$/, ''));
  };
  const open = (step: ReadStep, froms: readonly ReadStep[]) => {
    current = {
      part: step.part,
      end: step,
      after: froms,
      names: new Set(),
      made: new Set(),
      beside: step.meanwhile,
      joined: false,
    };
    branches.push(current);
    after(froms, step, step.meanwhile);
    own(current, step);
  };
  steps.forEach((step, k) => {
    const last = k === steps.length - 1;
    const before: Branch | null = current;
    if (before === null) {
      open(step, []);
      return;
    }
    const stage = step.part !== null && STAGES.test(step.part);
    const fresh = step.part !== before.part && step.part !== null && !last && !stage;
    const known = fresh ? branches.find(({ part, joined }) => part === step.part && !joined) : undefined;
    if (step.meanwhile && !last) {
      open(step, besideWhat(step, before, steps, links));
      return;
    }
    if (fresh && !known) {
      open(step, broughtTo(step, branches, owners, before, title));
      return;
    }
    const into: Branch = known ?? before;
    const others = branches.filter((branch) => branch !== into && !branch.joined);
    const begins = stage && step.part !== steps[k - 1]?.part;
    const joins = others.filter((branch) => last || begins || bringsIn(step, into, branch, owners, title));
    // It speaks of another branch alone: it goes on there, and this one waits.
    const back = joins.length === 1 && !last && !begins && isOnlyOf(step, joins[0]!, owners) ? joins[0]! : null;
    if (back) {
      // What it made is brought here, and here it goes on; or what was made here is brought there; else it goes on there alone.
      const brings = BRINGS.test(step.words) && step.names.length === 0;
      const takes = [...into.made].some((thing) => step.words.toLowerCase().includes(thing));
      after(brings || takes ? [back.end, into.end] : [back.end], step);
      if (brings) back.joined = true;
      else if (takes) into.joined = true;
      current = brings ? into : back;
      own(current, step);
      return;
    }
    after([into.end, ...joins.map(({ end }) => end)], step);
    for (const branch of joins) branch.joined = true;
    current = into;
    own(into, step);
  });
  return withKeepableWaits(steps, links);
}

/** What a step that goes on beside others comes after: what the step that needs no hands, beside which it goes on, came after. */
function besideWhat(
  step: ReadStep,
  { end, after }: Branch,
  steps: readonly ReadStep[],
  links: readonly Link[],
): readonly ReadStep[] {
  const at = steps.indexOf(step);
  let beside = end;
  // "While the rice cooks": of the last few steps the one that leaves the hands free.
  for (let k = at - 1; k >= Math.max(0, at - 3); k--) {
    const each = steps[k]!;
    if (
      (each.attention === 'hands' && each.place.at === 'board') ||
      (each !== end && !comesBefore(each.id, end.id, links))
    )
      continue;
    beside = each;
    break;
  }
  const froms = links.filter(({ to }) => to === beside.id).map(({ from }) => from);
  return froms.length > 0 ? steps.filter(({ id }) => froms.includes(id)) : after;
}

/** What a new part comes after: nothing, unless it takes what another part made. */
function broughtTo(
  step: ReadStep,
  branches: readonly Branch[],
  owners: ReadonlyMap<string, Branch>,
  before: Branch,
  title: readonly string[],
): readonly ReadStep[] {
  const made = branches.filter(
    (branch) => !branch.joined && branch !== before && bringsIn(step, before, branch, owners, title),
  );
  return made.map(({ end }) => end);
}

/** Whether a step takes what another branch has made: it names what went in there, or the part itself. */
function bringsIn(
  step: ReadStep,
  into: Branch,
  branch: Branch,
  owners: ReadonlyMap<string, Branch>,
  title: readonly string[],
): boolean {
  if (EVERYTHING.test(step.words)) return true;
  if (step.names.some((id) => owners.get(id) === branch))
    return BRINGS.test(step.words) || step.names.every((id) => owners.get(id) === branch);
  const said = step.words.toLowerCase();
  const part = branch.part
    ?.toLowerCase()
    .replace(/^(?:for|to make) /, '')
    .replace(/^(?:the|a|an) /, '');
  if (part && part.length > 2 && said.includes(part)) return true;
  if (step.sort === 'serve') return true;
  // "Let the pot stand": the one on the heat, not what was mixed beside it.
  if (into.beside && !isHot(into.end) && isHot(branch.end) && THE_POT.test(step.words)) return true;
  // What was readied beside goes in now: there is nowhere else for it to go.
  if (
    into.beside &&
    ADDS.test(step.words) &&
    step.names.some((id) => into.names.has(id)) &&
    step.names.every((id) => into.names.has(id) || !owners.has(id))
  )
    return true;
  // "Pour it over the dal": the dish itself, as its name has it.
  return (
    into.after.length > 0 &&
    BRINGS.test(step.words) &&
    title.some((word) => new RegExp(`\\b(?:the|over|into|to) ${word}\\b`, 'u').test(said))
  );
}

function isOnlyOf(step: ReadStep, branch: Branch, owners: ReadonlyMap<string, Branch>): boolean {
  return (
    step.sort !== 'serve' &&
    !EVERYTHING.test(step.words) &&
    step.names.every((id) => owners.get(id) === branch || !owners.has(id))
  );
}

const isHot = ({ place }: ReadStep): boolean => place.at === 'burner' || place.at === 'oven';

/** `beside`: what is before it waits for another step, and only says from when. */
function linkOf(from: ReadStep, to: ReadStep, beside: boolean): Link {
  // What is made the day before stands a night, whatever it was made on.
  if (from.dayBefore && !to.dayBefore) return overnight(follow(from.id, to.id, 0, 960));
  if (beside) return follow(from.id, to.id, 0, null);
  // What was mixed cold waits; what comes from the heat does not.
  if (to.atOnce && (isHot(from) || from.place.at === 'rest')) return follow(from.id, to.id, 0, BETWEEN.atOnce, 0);
  if (isHot(from) && isHot(to)) return follow(from.id, to.id, 0, BETWEEN.hot, 2);
  if (isHot(from)) return follow(from.id, to.id, 0, 30, 5);
  return follow(from.id, to.id, 0, BETWEEN.cold);
}

/** Whether a step is over before another begins, by the links of a dish. */
export function comesBefore(before: string, after: string, links: readonly Link[]): boolean {
  const seen = new Set<string>();
  const open = [before];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    for (const { from, to } of links) {
      if (from !== id || seen.has(to)) continue;
      if (to === after) return true;
      seen.add(to);
      open.push(to);
    }
  }
  return false;
}
