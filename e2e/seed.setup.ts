import { test as setup } from '@playwright/test';
import { NOON, NOON_STATE, openMeals, SAMPLE_STATE, settled } from './kit';

// What most tests begin from: a browser in which the sample meals have been opened before, their plans made. It saves each of them the planning.
for (const [name, path, time, ids] of [
  ['today', SAMPLE_STATE, null, ['harvest', 'boat', 'midwinter']],
  ['noon of a certain day', NOON_STATE, NOON, ['harvest', 'boat']],
] as const) {
  setup(`the sample meals are planned: ${name}`, async ({ page, context }) => {
    setup.setTimeout(240_000);
    if (time) await page.clock.install({ time });
    await openMeals(page);
    for (const id of ids) {
      await page.goto(`/meals/${id}`);
      await settled(page);
      await page.waitForFunction((meal) => {
        const opening = indexedDB.open('warm-cadence');
        return new Promise((resolve) => {
          opening.onsuccess = () => {
            const asked = opening.result.transaction('plans').objectStore('plans').get(meal);
            asked.onsuccess = () => {
              opening.result.close();
              resolve(asked.result !== undefined);
            };
          };
        });
      }, id);
    }
    await context.storageState({ path, indexedDB: true });
  });
}
