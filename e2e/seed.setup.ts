import { expect, test as setup } from '@playwright/test';
import { inTable } from './browser-store';
import { NOON, NOON_STATE, openMeals, SAMPLE_STATE, settled, visit } from './kit';

// What most tests begin from: a browser in which the sample meals have been opened before, their plans made. It saves each of them the planning.
for (const [name, path, time, ids] of [
  ['today', SAMPLE_STATE, null, ['harvest', 'boat', 'midwinter']],
  ['noon of a certain day', NOON_STATE, NOON, ['harvest', 'boat']],
] as const) {
  setup(`the sample meals are planned: ${name}`, async ({ page, context }) => {
    setup.setTimeout(600_000);
    if (time) await page.clock.install({ time });
    await openMeals(page);
    for (const id of ids) {
      await visit(page, `/meals/${id}`);
      await settled(page);
      const isKept = (plans: readonly { readonly mealId: string }[], meal: string) => ({
        answer: plans.some(({ mealId }) => mealId === meal),
      });
      await expect.poll(() => inTable(page, 'plans', isKept, id)).toBe(true);
    }
    await context.storageState({ path, indexedDB: true });
  });
}
