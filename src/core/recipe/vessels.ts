import type { Link, VesselUse } from '@/core/dish/dish';
import { pot } from '@/core/dish/write';
import type { VesselKind } from '@/core/kitchen/kitchen';
import type { ReadStep, RecipeReading } from './as-read';
import { comesBefore } from './graph';

/** A vessel and the steps that stand in it. */
export interface VesselGuess {
  readonly use: VesselUse;
  readonly steps: readonly string[];
}

/** Litres a serving takes in a pot, in a pan, on a tray. Common practice, no source. */
const LITRES = { pot: 0.6, pan: 0.25, tray: 0.4 } as const;

/** A casserole that goes from the hob into the oven is one vessel; else one for the oven, and on the hob one for each thing that goes on by itself. */
export function vesselsOf({ steps, servings }: RecipeReading, links: readonly Link[]): readonly VesselGuess[] {
  const all = steps.map(({ words }) => words).join(' ');
  const at = (place: 'burner' | 'oven') => steps.filter((step) => step.place.at === place);
  const oven = at('oven').map(({ id }) => id);
  const hob = hobGroups(at('burner'), links);
  const litres = (share: number) => Math.max(1, Math.round(share * servings * 10) / 10);
  const through = hob.length === 1 && oven.length > 0 && /\b(?:casserole|ovenproof|lid on|cover)/i.test(all);
  if (through) return [guess('casserole', 'casserole', ['casserole'], litres(LITRES.pot), [...hob[0]!.steps, ...oven])];
  const vessels = hob.map(({ kind, steps: own }, k) =>
    guess(
      k === 0 ? 'pot' : `pot-${k + 1}`,
      kind,
      kind === 'pan' ? ['pan'] : ['pot', 'casserole'],
      litres(LITRES[kind]),
      own,
    ),
  );
  return [
    ...vessels,
    ...(oven.length > 0 ? [guess('tray', 'tray or dish', ['tray', 'casserole'], litres(LITRES.tray), oven)] : []),
  ];
}

const SAYS_PAN = /\b(?:frying pan|skillet|wok|griddle|pan-fry|stir-fry)\b/i;
const SAYS_POT = /\b(?:simmer|stock|boil|saucepan|pot)\b/i;
const SAYS_ANOTHER =
  /\b(?:another|separate|second|different|clean|other) (?:\w+ )?(?:pan|pot|saucepan|skillet|casserole|wok)\b/i;

/** "In a small pan": one that was not there before. */
const SAYS_A = /\b(?:in|into) an? (?:[\w-]+ ){0,4}?(?:pan|pot|saucepan|skillet|casserole|wok|frypan)\b/i;
const SAYS_SAME = /\b(?:the|that) same (?:\w+ )?(?:pan|pot|saucepan|skillet|casserole|wok|frypan)\b/i;

interface HobGroup {
  readonly kind: 'pot' | 'pan';
  readonly steps: readonly string[];
}

/**
 * Steps on the hob by the vessel they may share: each comes after all others in it, so that no pot is ever in two places. Another pot is taken where the
 * recipe says so, and where a frying pan follows a pot or a pot a frying pan.
 */
function hobGroups(steps: readonly ReadStep[], links: readonly Link[]): readonly HobGroup[] {
  const groups: { kind: 'pot' | 'pan' | null; steps: string[] }[] = [];
  for (const { id, words } of steps) {
    const kind = SAYS_PAN.test(words) && !SAYS_POT.test(words) ? 'pan' : SAYS_POT.test(words) ? 'pot' : null;
    const isNew = SAYS_ANOTHER.test(words) || (groups.length > 0 && SAYS_A.test(words) && !SAYS_SAME.test(words));
    const free = groups.filter(
      (group) =>
        group.steps.every((other) => comesBefore(other, id, links)) &&
        (SAYS_SAME.test(words) || kind === null || group.kind === null || kind === group.kind),
    );
    // The pot that it comes from, rather than another that stands there.
    const known = isNew
      ? undefined
      : (free.find((group) => links.some(({ from, to }) => to === id && group.steps.includes(from))) ?? free[0]);
    if (known) {
      known.steps.push(id);
      known.kind ??= kind;
    } else groups.push({ kind, steps: [id] });
  }
  return groups.map(({ kind, steps: own }) => ({ kind: kind ?? 'pot', steps: own }));
}

function guess(
  id: string,
  name: string,
  kinds: readonly VesselKind[],
  litres: number,
  steps: readonly string[],
): VesselGuess {
  return { use: pot(id, name, kinds, litres, steps[0]!, steps.at(-1)!), steps };
}
