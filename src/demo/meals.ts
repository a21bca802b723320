import type { Dish } from '@/core/dish/dish';
import type { Kitchen } from '@/core/kitchen/kitchen';
import type { MealSetting } from '@/core/meal/meal';
import { boatDishes } from './boat';
import { harvestDishes } from './harvest';
import { boatKitchen, farmKitchen, hallKitchen, lodgeKitchen } from './kitchens';
import { midwinterDishes } from './midwinter';
import { shearingDishes } from './shearing';

/** A sample meal without its day: that is chosen when it is first loaded. */
export interface SampleMeal {
  readonly setting: Omit<MealSetting, 'day'>;
  /** Days after the first start on which it stands on the table. */
  readonly daysAhead: number;
  readonly kitchen: Kitchen;
  readonly dishes: readonly Dish[];
}

export const SAMPLE_MEALS: readonly SampleMeal[] = [
  {
    setting: { id: 'harvest', name: 'Harvest supper', people: 8, hour: '19:30', pace: 'steady' },
    daysAhead: 1,
    kitchen: hallKitchen,
    dishes: harvestDishes,
  },
  {
    setting: { id: 'boat', name: 'Two burners on the boat', people: 4, hour: '20:00', pace: 'steady' },
    daysAhead: 3,
    kitchen: boatKitchen,
    dishes: boatDishes,
  },
  {
    setting: { id: 'midwinter', name: 'Midwinter table', people: 14, hour: '18:00', pace: 'steady' },
    daysAhead: 26,
    kitchen: farmKitchen,
    dishes: midwinterDishes,
  },
  {
    setting: { id: 'shearing', name: 'Supper after the shearing', people: 10, hour: '19:00', pace: 'steady' },
    daysAhead: 12,
    kitchen: lodgeKitchen,
    dishes: shearingDishes,
  },
];
