import Dexie, { type EntityTable, type Transaction } from 'dexie';
import type { Dish } from '@/core/dish/dish';
import type { Kitchen } from '@/core/kitchen/kitchen';
import type { Session } from '@/core/live/session';
import type { MealSetting } from '@/core/meal/meal';
import type { Plan } from '@/core/meal/plan';
import type { OwnMeasure } from '@/core/units/measures';

/** A meal as it is stored: its setting, and which kitchen and dishes it stands on. */
export interface StoredMeal extends MealSetting {
  readonly kitchenId: string;
  readonly dishIds: readonly string[];
  readonly changedAt: number;
}

/** The last plan of a meal and a print of what it was made from. */
export interface StoredPlan {
  readonly mealId: string;
  readonly print: string;
  readonly plan: Plan;
}

/** The session of a meal at the stove; `over` when it was put away. */
export interface StoredSession extends Session {
  readonly mealId: string;
  readonly over: boolean;
}

/** Where one thing of a meal's shopping list is. */
export interface StoredErrand {
  readonly id: string;
  readonly mealId: string;
  readonly key: string;
  readonly state: 'at home' | 'in the basket';
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
  declare readonly sessions: EntityTable<StoredSession, 'id'>;
  declare readonly marks: EntityTable<Mark, 'name'>;
  declare readonly measures: EntityTable<OwnMeasure, 'id'>;
  declare readonly errands: EntityTable<StoredErrand, 'id'>;

  constructor(name = 'warm-cadence') {
    super(name);
    for (const { version, stores, upgrade } of MIGRATIONS) {
      const shape = this.version(version).stores(stores);
      if (upgrade) shape.upgrade(upgrade);
    }
  }
}

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
        .table<StoredSession>('sessions')
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
];

let opened: Pantry | undefined;

/** The one database of this browser profile. */
export function pantry(): Pantry {
  opened ??= new Pantry();
  return opened;
}
