import type { PlannedStep } from '@/core/plan/plan';
import { type Message, message, say } from '@/core/say/say';
import { type Look, type LookedAt, pausedFor } from './events';
import { type LiveStep, moreMinutes } from './session';

/** What a pot shows on its way, one after another, and which of it is wanted. */
export interface Ladder {
  readonly id: LadderId;
  /** "What colour are the onions?" */
  readonly asks: string;
  readonly stages: readonly Stage[];
  /** Index of the stage at which the step is done. */
  readonly target: number;
  /** It is heard, not seen: the lid stays on. */
  readonly listen?: true;
}

/** One thing that a pot shows. */
export interface Stage {
  /** A word that stands in the log of the evening. */
  readonly id: string;
  readonly says: string;
  /** When it shows: in any unit that is the same for all stages of a ladder. */
  readonly at: number;
  /** What to do at this stage where it is the wanted one. */
  readonly next?: string;
  /** What to do where it has gone this far and should not have. */
  readonly past?: string;
}

/** What there are ladders for. */
export type LadderId =
  | 'onions'
  | 'fork'
  | 'soft'
  | 'grain'
  | 'listen'
  | 'parboil'
  | 'raw'
  | 'thick'
  | 'fat'
  | 'crust'
  | 'loaf'
  | 'roast'
  | 'boil';

/** A ladder before it is said: its words are messages. */
interface Kind {
  readonly asks: Message;
  readonly stages: readonly (Pick<Stage, 'id' | 'at'> & {
    readonly says: Message;
    readonly next?: Message;
    readonly past?: Message;
  })[];
  readonly listen?: true;
}

const OFF = message('Off the heat now.');

/**
 * How far along each stage is, common practice, no source; onions in minutes when sliced thin: soft in 3 to 5, golden in 8 to 12, dark brown in
 * 12 to 20.
 */
const LADDERS: Readonly<Record<LadderId, Kind>> = {
  onions: {
    asks: message('What colour are they?'),
    stages: [
      { id: 'raw', says: message('raw, sharp'), at: 0 },
      { id: 'glassy', says: message('glassy'), at: 4, next: message('What goes in next goes in now.') },
      { id: 'golden', says: message('golden'), at: 10, next: message('A splash of water stops them now.') },
      {
        id: 'brown',
        says: message('brown'),
        at: 15,
        next: message('A splash of water stops them now; they darken a little more.'),
      },
      {
        id: 'dark',
        says: message('dark brown'),
        at: 19,
        next: message('A splash of water stops them now.'),
        past: message('A splash of water stops them; black ones come out, they are bitter.'),
      },
    ],
  },
  fork: {
    asks: message('A fork in the thickest piece:'),
    stages: [
      { id: 'resists', says: message('it resists'), at: 0 },
      { id: 'gives', says: message('it gives'), at: 6 },
      { id: 'turns', says: message('it turns'), at: 10, next: message('It is tender: it may wait in its liquid.') },
      {
        id: 'falls',
        says: message('it falls apart'),
        at: 13,
        past: message('Lift it out whole, on a wide spoon; it is best left alone now.'),
      },
    ],
  },
  soft: {
    asks: message('One from the middle, between the teeth:'),
    stages: [
      { id: 'hard', says: message('hard'), at: 0 },
      { id: 'firm heart', says: message('firm at the heart'), at: 6 },
      { id: 'soft', says: message('soft'), at: 10 },
      { id: 'falls', says: message('it falls apart'), at: 13, past: message('Off the heat now. Stir it no more.') },
    ],
  },
  grain: {
    asks: message('The surface of the grain:'),
    stages: [
      { id: 'wet', says: message('liquid stands above'), at: 0 },
      { id: 'bubbling', says: message('bubbling through holes'), at: 6 },
      { id: 'craters', says: message('dry, small craters'), at: 10, next: message('Cover it now, and turn it down.') },
      {
        id: 'crackling',
        says: message('dry, it crackles below'),
        at: 12,
        past: message('Two spoons of hot water round the edge, lid on, lowest heat.'),
      },
    ],
  },
  listen: {
    asks: message('Put your ear to the lid:'),
    listen: true,
    stages: [
      { id: 'bubbles', says: message('it bubbles'), at: 0 },
      { id: 'ticks', says: message('a soft ticking'), at: 7 },
      { id: 'quiet', says: message('quiet'), at: 10, next: message('Off the heat; the lid stays on.') },
      {
        id: 'crackles',
        says: message('it crackles'),
        at: 12,
        past: message('Off the heat now. Stand the pot on a wet cloth, the lid on: what caught lets go.'),
      },
    ],
  },
  parboil: {
    asks: message('Bite through a grain:'),
    stages: [
      { id: 'hard', says: message('hard, white through'), at: 0 },
      { id: 'bends', says: message('it bends, and snaps'), at: 7 },
      { id: 'point', says: message('soft, a white point'), at: 10, next: message('Drain it at once.') },
      {
        id: 'soft',
        says: message('soft to the heart'),
        at: 12,
        past: message('Drain it at once, cold water over it; it steams half as long.'),
      },
    ],
  },
  raw: {
    asks: message('Smell it:'),
    stages: [
      { id: 'raw', says: message('raw'), at: 0 },
      { id: 'sweet', says: message('sweet, no more raw'), at: 7, next: message('On with what comes next.') },
      { id: 'fat parts', says: message('the fat parts'), at: 10, next: message('On with what comes next.') },
      {
        id: 'sticks',
        says: message('it sticks and darkens'),
        at: 12,
        past: message('A splash of water, and scrape the bottom now.'),
      },
    ],
  },
  thick: {
    asks: message('A spoon through it:'),
    stages: [
      { id: 'thin', says: message('thin, it runs together'), at: 0 },
      { id: 'thicker', says: message('it coats the spoon'), at: 6 },
      {
        id: 'thick',
        says: message('thick, the trail stands'),
        at: 10,
        next: message('Lid on, or off the heat: it thickens as it stands.'),
      },
      {
        id: 'sticks',
        says: message('it sticks below'),
        at: 12,
        past: message('Off the heat now. Pour it over without scraping the bottom.'),
      },
    ],
  },
  fat: {
    asks: message('The sauce:'),
    stages: [
      { id: 'raw', says: message('raw, thin'), at: 0 },
      { id: 'thick', says: message('thick'), at: 6 },
      { id: 'fat parts', says: message('the fat parts'), at: 10, next: message('Now it can take its liquid.') },
      {
        id: 'sticks',
        says: message('it sticks below'),
        at: 12,
        past: message('A splash of water, and scrape the bottom now.'),
      },
    ],
  },
  crust: {
    asks: message('The side below:'),
    stages: [
      { id: 'pale', says: message('pale, it sticks'), at: 0 },
      { id: 'gold', says: message('gold'), at: 6 },
      { id: 'brown', says: message('brown, it lets go'), at: 10, next: message('Turn it, or lift it out.') },
      {
        id: 'dark',
        says: message('dark at the edges'),
        at: 12,
        past: message('Out with it, and wipe the pan if what is left is black.'),
      },
    ],
  },
  loaf: {
    asks: message('The loaf:'),
    stages: [
      { id: 'pale', says: message('pale'), at: 0 },
      { id: 'gold', says: message('gold, soft when tapped'), at: 7 },
      { id: 'hollow', says: message('brown, hollow when tapped'), at: 10, next: message('Out, onto a rack.') },
      { id: 'dark', says: message('dark'), at: 12, past: message('Out now, onto a rack.') },
    ],
  },
  roast: {
    asks: message('The roast:'),
    stages: [
      { id: 'pale', says: message('pale'), at: 0 },
      { id: 'gold', says: message('gold'), at: 7 },
      { id: 'brown', says: message('brown at the edges'), at: 10, next: message('Feel the middle, then out with it.') },
      {
        id: 'dark',
        says: message('too dark'),
        at: 12,
        past: message('Foil over it; if it is not done inside, the oven 20 °C lower.'),
      },
    ],
  },
  boil: {
    asks: message('How hot is it?'),
    stages: [
      { id: 'still', says: message('still'), at: 0 },
      { id: 'steams', says: message('it steams'), at: 6 },
      { id: 'edge', says: message('bubbles at the edge'), at: 8.5 },
      { id: 'rolls', says: message('it rolls'), at: 10 },
    ],
  },
};

/** Signs as recipes put them, and the stage that they mean; the first that is found counts. */
const SIGNS: readonly (readonly [sign: RegExp, ladder: LadderId, target: string])[] = [
  [/bends|snaps?\b/, 'parboil', 'bends'],
  [/white (?:point|heart)/, 'parboil', 'point'],
  [/(?:no (?:more )?bubbling|nothing bubbles).*heard|^quiet|falls? silent/, 'listen', 'quiet'],
  [/craters?|surface is dry/, 'grain', 'craters'],
  [/fork|comes? (?:off|from) the bone/, 'fork', 'turns'],
  [/fat (?:parts|begins to part|stands)|oil (?:parts|separates)/, 'fat', 'fat parts'],
  [/raw smell/, 'raw', 'sweet'],
  [/hollow/, 'loaf', 'hollow'],
  [/^(?:it )?(?:rolls|boils)\b|bubbles all over|rolling boil/, 'boil', 'rolls'],
  [/bubbles at|it simmers/, 'boil', 'edge'],
  [/it steams|^steaming/, 'boil', 'steams'],
  [/(?:dark|brown) crust|browned? all round|brown(?:ed)? on both sides|brown spots/, 'crust', 'brown'],
  [/\bthick|coats|comes off the side/, 'thick', 'thick'],
  [/falls? apart/, 'soft', 'falls'],
  [/\btender\b|\bsoft\b|\bcrush(?:es)?\b|knife goes in/, 'soft', 'soft'],
  [/brown at the edges|dark at the edges/, 'roast', 'brown'],
];

const COLOURS: readonly (readonly [RegExp, string])[] = [
  [/soft and clear|without colour|glassy|translucent/, 'glassy'],
  [/dark brown|deep brown|nearly black|very dark/, 'dark'],
  [/chestnut|\bbrown\b|hazel|caramel/, 'brown'],
  [/\bgold(?:en)?\b|straw/, 'golden'],
];

/** The stages that a step on the heat goes through, read from its own sign; null where it has none that shows in stages. */
export function ladderOf(
  step: Pick<PlannedStep, 'name' | 'says' | 'doneWhen' | 'minutes' | 'station' | 'safeMinutes'>,
): Ladder | null {
  const { name, says, station } = step;
  if (station.sort !== 'burner' && station.sort !== 'oven' && station.sort !== 'appliance') return null;
  const sign = step.doneWhen.toLowerCase();
  // By the clock or a thermometer: no look can say more.
  if (sign === '' || /\d/.test(sign)) return null;
  if (/\b(?:onions?|shallots?|leeks?)\b/i.test(`${name} ${says}`) && /onion|fry|soften|sweat|colour/i.test(name))
    return onionLadder(sign, says, step.minutes);
  for (const [pattern, id, target] of SIGNS) if (pattern.test(sign)) return withTarget(id, target);
  return null;
}

/** Onions whose colour is not in their sign have it in their instruction, or in their minutes. */
function onionLadder(sign: string, says: string, minutes: number): Ladder {
  const named = COLOURS.find(([pattern]) => pattern.test(sign)) ?? COLOURS.find(([pattern]) => pattern.test(says));
  const { stages } = LADDERS.onions;
  const byTime = stages
    .slice(1)
    .reduce((best, each) => (Math.abs(each.at - minutes) < Math.abs(best.at - minutes) ? each : best));
  return withTarget('onions', named?.[1] ?? byTime.id);
}

function withTarget(id: LadderId, target: string): Ladder {
  const { asks, stages, listen } = LADDERS[id];
  return {
    id,
    asks: say(asks),
    stages: stages.map(({ says, next, past, ...stage }) => ({
      ...stage,
      says: say(says),
      ...(next ? { next: say(next) } : {}),
      ...(past ? { past: say(past) } : {}),
    })),
    target: stages.findIndex((stage) => stage.id === target),
    ...(listen ? { listen } : {}),
  };
}

/** The last stage that a step was said to have reached; null where none was. */
export function stageOf({ told }: Pick<LiveStep, 'told'>, { stages }: Ladder): number | null {
  const at = stages.findIndex(({ id }) => id === told.stage);
  return at < 0 ? null : at;
}

/** What a stage says of its step, for the three answers of a look. */
export function lookAt({ target }: Ladder, stage: number): Look {
  return stage >= target ? 'there' : stage === target - 1 ? 'nearly' : 'not there';
}

const MINUTE = 60_000;
/** Where a pot with a stage just reached is thought to stand between the least and the most time that this allows: a third of the way. */
const BEYOND_THE_LEAST = 1 / 3;

/**
 * When a step is thought to be done, from the stage it shows now: as it was thought before where that agrees with what is seen, and else as
 * little off it as the stage allows. A pot that shows stage k after so long needs between (so long / share of k + 1) and (so long / share of k)
 * in all. Milliseconds since 1970; never before a minute from now, and never before what safety asks for.
 */
export function untilAtStage(live: LiveStep, { stages, target }: Ladder, stage: number, now: number): number {
  if (stage >= target) return now;
  const { startAt, endAt, step, told } = live;
  const paused = pausedFor(told, now);
  const gone = Math.max(MINUTE / 2, now - startAt - paused);
  const wanted = stages[target]!.at;
  const least = gone / (stages[stage + 1]!.at / wanted);
  const here = stages[stage]!.at / wanted;
  const most = here === 0 ? Number.POSITIVE_INFINITY : gone / here;
  const thought = endAt - startAt - paused;
  const off = BEYOND_THE_LEAST;
  // Without an upper bound, as much as "not yet" gives.
  const top = Math.min(most, least + moreMinutes(step) * MINUTE);
  const all =
    thought < least ? least + off * (top - least) : thought > most ? least + (1 - off) * (most - least) : thought;
  const safe = startAt + paused + (step.safeMinutes ?? 0) * MINUTE;
  return Math.round(Math.max(now + MINUTE, safe, startAt + paused + all));
}

/** A look that found a stage, as it is told. */
export function lookedAtStage(live: LiveStep, ladder: Ladder, stage: number, now: number): LookedAt {
  return {
    kind: 'checked',
    key: live.step.key,
    look: lookAt(ladder, stage),
    stage: ladder.stages[stage]!.id,
    until: untilAtStage(live, ladder, stage, now),
  };
}

/** What comes next at a stage, in a sentence: what to do where it is the wanted one or beyond, and how long more where it is not yet there. */
export function sayAtStage({ stages, target }: Ladder, stage: number, minutesMore: number): string {
  const at = stages[stage]!;
  if (stage > target) return at.past ?? say(OFF);
  if (stage === target) return at.next ?? say('It is there.');
  return say('About {minutes} min more until: {says}.', {
    minutes: Math.max(1, Math.round(minutesMore)),
    says: stages[target]!.says,
  });
}
