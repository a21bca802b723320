import { type Message, message } from '@/core/say/say';

/** Limits of food safety, as data. Local rules and the maker's instructions come before any of them. */
export interface Limit {
  readonly id: string;
  /** What it holds for. */
  readonly of: Message;
  readonly celsius?: number;
  readonly minutes?: number;
  readonly source: string;
}

/** All values from memory of the source named. */
export const LIMITS = {
  poultry: {
    id: 'poultry',
    of: message('poultry, stuffed and reheated food, in the middle'),
    celsius: 74,
    source: 'USDA FSIS, safe minimum internal temperature chart',
  },
  minced: { id: 'minced', of: message('minced meat, in the middle'), celsius: 71, source: 'USDA FSIS, the same chart' },
  whole: {
    id: 'whole',
    of: message('whole cuts of beef, pork, lamb and goat, in the middle, and then a rest'),
    celsius: 63,
    minutes: 3,
    source: 'USDA FSIS, the same chart',
  },
  egg: {
    id: 'egg',
    of: message('dishes with egg, in the middle, or cooked until white and yolk are firm'),
    celsius: 71,
    source: 'USDA FSIS, the same chart',
  },
  gameAndOffal: {
    id: 'game-and-offal',
    of: message('game, liver, kidneys and other inner parts, in the middle'),
    celsius: 71,
    source: 'USDA FSIS, the same chart (rabbit and venison) and its page on variety meats',
  },
  fish: {
    id: 'fish',
    of: message('fish and shellfish, in the middle'),
    celsius: 63,
    source: 'USDA FSIS, the same chart',
  },
  dangerZone: {
    id: 'danger-zone',
    of: message('between 4 and 60 °C, in all'),
    minutes: 120,
    source: 'USDA FSIS, danger zone (4 to 60 °C)',
  },
  dangerZoneHot: {
    id: 'danger-zone-hot',
    of: message('the same where the air is above 32 °C'),
    minutes: 60,
    source: 'USDA FSIS, danger zone (above 32 °C)',
  },
  hotHolding: {
    id: 'hot-holding',
    of: message('food kept hot, in the middle too'),
    celsius: 60,
    source: 'USDA FSIS, danger zone: hot food at 60 °C or above',
  },
  coolFirst: {
    id: 'cool-first',
    of: message('cooling from 57 to 21 °C'),
    minutes: 120,
    source: 'FDA Food Code 3-501.14',
  },
  coolThen: {
    id: 'cool-then',
    of: message('cooling on from 21 to 5 °C'),
    minutes: 240,
    source: 'FDA Food Code 3-501.14',
  },
  grain: {
    id: 'grain',
    of: message('cooked grain until it is cold'),
    minutes: 60,
    source: 'FSA and FSIS guidance on Bacillus cereus',
  },
  kidneyBoil: {
    id: 'kidney-boil',
    of: message('raw red and white kidney beans at a full boil; ten minutes are the very least'),
    celsius: 100,
    minutes: 30,
    source: 'FDA Bad Bug Book, phytohaemagglutinin',
  },
  beanBoil: {
    id: 'bean-boil',
    of: message('other raw beans of the same family at a full boil'),
    celsius: 100,
    minutes: 10,
    source: 'FDA Bad Bug Book, phytohaemagglutinin',
  },
} as const satisfies Record<string, Limit>;

/** °C of the air above which an hour is the most. Source: USDA FSIS, danger zone (90 °F), from memory. */
export const HOT_AIR = 32;

/** What every caution ends with: whose word comes first. */
export const DEFER = message('Your local rules and the maker’s instructions come first.');
