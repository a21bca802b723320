import Dexie, { type EntityTable, type PromiseExtended, type Transaction } from 'dexie';
import type { Dish } from '@/core/dish/dish';
import type { Kitchen } from '@/core/kitchen/kitchen';
import type { Evening, HeldEvening } from '@/core/live/evening';
import type { Plan } from '@/core/plan/plan';
import type { LarderItem } from '@/core/prep/larder';
import { broughtUp } from '@/core/records/generations';
import type { KnownFood, StoredErrand } from '@/core/records/rest';
import type { StoredMeal } from '@/core/records/setting';
import type { OwnMeasure } from '@/core/units/measures';
import { NewerStoreError } from './faults';
import { PANTRY } from './name';

export type { KnownFood, StoredErrand, StoredMeal };

/** The last plan of a meal and a print of what it was made from. */
export interface StoredPlan {
  readonly mealId: string;
  readonly print: string;
  readonly plan: Plan;
  /** The same meal's plan from before its beginning was behind the clock. */
  readonly earlier?: Plan;
}

export const SETTINGS = [
  'money',
  'backed up',
  'paper',
  'learning',
  'quiet',
  'follow',
  'pretend',
  'far',
  'voice',
  'kitchen',
] as const;

/** A choice of the cook that belongs to no meal: the sign of the money, when all was last backed up. */
export interface Setting {
  readonly name: (typeof SETTINGS)[number];
  readonly value: string | number;
}

/** A photo that belongs to a note of an evening. A meal's own file leaves them out: they are large. */
export interface StoredPhoto {
  readonly id: string;
  readonly blob: Blob;
}

/** A mark that something was done once: the sample meals loaded. */
interface Mark {
  readonly name: string;
  readonly at: number;
}

export class Pantry extends Dexie {
  declare readonly kitchens: EntityTable<Kitchen, 'id'>;
  declare readonly dishes: EntityTable<Dish, 'id'>;
  declare readonly meals: EntityTable<StoredMeal, 'id'>;
  declare readonly plans: EntityTable<StoredPlan, 'mealId'>;
  declare readonly sessions: EntityTable<HeldEvening, 'id'>;
  declare readonly marks: EntityTable<Mark, 'name'>;
  declare readonly measures: EntityTable<OwnMeasure, 'id'>;
  declare readonly errands: EntityTable<StoredErrand, 'id'>;
  declare readonly larder: EntityTable<LarderItem, 'key'>;
  declare readonly settings: EntityTable<Setting, 'name'>;
  declare readonly photos: EntityTable<StoredPhoto, 'id'>;
  declare readonly foods: EntityTable<KnownFood, 'key'>;

  constructor(name = PANTRY) {
    super(name);
    for (const { version, stores, upgrade } of MIGRATIONS) {
      const shape = this.version(version).stores(stores);
      if (upgrade) shape.upgrade(upgrade);
    }
  }

  /** A shape of a newer version would be taken over in silence, and what it holds besides be lost with the next change: it is refused. */
  override open(): PromiseExtended<Dexie> {
    return Dexie.Promise.resolve(this.isNewer()).then((newer) => {
      if (newer) throw new NewerStoreError();
      return super.open();
    });
  }

  private async isNewer(): Promise<boolean> {
    const { indexedDB } = Dexie.dependencies;
    const known = (await indexedDB?.databases?.()) ?? [];
    const kept = known.find(({ name }) => name === this.name)?.version ?? 0;
    return kept >= (MIGRATIONS.at(-1)!.version + 1) * FIGURES;
  }
}

/** The browser counts versions ten times as fast as Dexie. */
const FIGURES = 10;

const TABLES = {
  kitchens: 'id',
  dishes: 'id',
  meals: 'id, day',
  plans: 'mealId',
  sessions: 'id, mealId',
  marks: 'name',
};

interface Migration {
  readonly version: number;
  readonly stores: Readonly<Record<string, string>>;
  readonly upgrade?: (transaction: Transaction) => PromiseLike<unknown>;
}

/** Every shape the tables have had, in order. A new one gets the next number and, where records change, an upgrade. */
const MIGRATIONS: readonly Migration[] = [
  { version: 1, stores: TABLES },
  {
    // Steps tell where else they could stand, how far they could move and what ties them to the table.
    version: 2,
    stores: TABLES,
    upgrade: async (transaction) => {
      await transaction.table('plans').clear();
      await transaction
        .table<Evening>('sessions')
        .toCollection()
        .modify((session: { plan: Plan }) => {
          const steps = session.plan.steps.map((step) => ({ ...step, choices: [], slackSooner: 0, chain: [] }));
          session.plan = { ...session.plan, steps };
        });
    },
  },
  // The cook's own mugs and tins.
  { version: 3, stores: { ...TABLES, measures: 'id' } },
  // What is ticked off the shopping list.
  { version: 4, stores: { ...TABLES, measures: 'id', errands: 'id, mealId' } },
  // What is in the house, what things cost, and what belongs to no meal.
  {
    version: 5,
    stores: { ...TABLES, measures: 'id', errands: 'id, mealId', larder: 'key', settings: 'name', photos: 'id' },
  },
  // What the cook has said of foods; keys are escaped, steps of plans say which they are, and how a pot stands is no longer read from words.
  {
    version: 6,
    stores: {
      ...TABLES,
      measures: 'id',
      errands: 'id, mealId',
      larder: 'key',
      settings: 'name',
      photos: 'id',
      foods: 'key',
    },
    upgrade: async (transaction) => {
      await transaction.table('plans').clear();
      await bringUp(transaction, 1);
    },
  },
];

/** Brings every record of an older generation up to now; plans are made anew. */
async function bringUp(transaction: Transaction, generation: number): Promise<void> {
  const rows = (table: string) => transaction.table<object>(table).toArray();
  const now = broughtUp(
    {
      kitchens: await rows('kitchens'),
      dishes: await rows('dishes'),
      meals: await rows('meals'),
      evenings: await rows('sessions'),
      errands: await rows('errands'),
    },
    generation,
  );
  await transaction.table('kitchens').bulkPut(now.kitchens);
  await transaction.table('dishes').bulkPut(now.dishes);
  await transaction.table('meals').bulkPut(now.meals);
  await transaction.table('sessions').bulkPut(now.evenings);
  await transaction.table('errands').bulkPut(now.errands);
}

let opened: Pantry | undefined;

/** The one database of this browser profile. */
export function pantry(): Pantry {
  opened ??= new Pantry();
  return opened;
}
