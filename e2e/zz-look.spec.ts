import { test } from '@playwright/test';
import { SHELF } from '@/core/dish/shelf';
import { inTable } from './browser-store';
import { NOON, openFile, openMeal, openMeals, supperOf } from './kit';
const MINUTE = 60_000;
test.use({ storageState: 'e2e/.state/noon3300.json', baseURL: 'http://localhost:3300' });
async function stored(page: any): Promise<any> {
  return inTable(page, 'sessions', ([s]: any) => ({ answer: s }), null);
}
async function toNext(page: any) {
  const { tableAt, plan } = await stored(page);
  const now = await page.evaluate(() => Date.now());
  const next = Math.min(...plan.steps.flatMap((s: any) => [s.start, s.end]).map((m: number) => tableAt + m * MINUTE).filter((m: number) => m > now));
  await page.clock.fastForward(Number.isFinite(next) ? next - now + 1000 : MINUTE);
}
async function shoot(page: any, name: string) {
  for (const [w, h, t] of [[1280, 800, ''], [390, 844, '-p']] as const) {
    await page.setViewportSize({ width: w, height: h });
    await page.waitForTimeout(300);
    await page.screenshot({ path: `/tmp/look/${name}${t}.png` });
  }
  await page.setViewportSize({ width: 1280, height: 800 });
}
test('look', async ({ page }) => {
  test.setTimeout(300_000);
  await page.clock.install({ time: NOON });
  const dishes = SHELF.filter(({ name }) => ['Beef and rice with dark onions', 'Carrot soup'].includes(name));
  await openMeals(page);
  await openFile(page, supperOf('supper', 'Supper', dishes));
  await openMeal(page, 'supper', '/cook');
  await page.getByRole('button', { name: 'Begin at the stove' }).click();
  await page.getByTestId('table-line').waitFor();
  const seen = new Set<string>();
  for (let tick = 0; tick < 120; tick++) {
    for (const [id, locator] of [
      ['stages-focal', page.getByTestId('focal').getByTestId('stages')],
      ['measure', page.getByRole('region', { name: /How much/ })],
      ['stages-watched', page.getByTestId('watched').getByTestId('stages')],
      ['turn', page.getByTestId('turn')],
      ['taste', page.getByRole('button', { name: 'taste it' })],
    ] as const) {
      if (!seen.has(id) && (await locator.count()) > 0) {
        seen.add(id);
        await shoot(page, id);
        if (id === 'stages-focal') {
          await locator.first().getByRole('button').nth(1).click();
          await page.waitForTimeout(900);
          await shoot(page, 'stages-said');
        }
        if (id === 'measure') {
          await locator.getByRole('button', { name: 'mugs' }).click();
          await locator.getByRole('button', { name: '1 mug less' }).click();
          await shoot(page, 'measure-short');
        }
        if (id === 'taste') {
          await locator.first().click();
          await page.getByTestId('taste').getByRole('button').nth(1).click();
          await shoot(page, 'taste-open');
          await page.getByRole('button', { name: 'something is wrong' }).first().click();
          await shoot(page, 'wrong');
          await page.getByRole('dialog').getByRole('button', { name: /wet|salty|thin/ }).first().click();
          await page.waitForTimeout(2500);
          await shoot(page, 'wrong-ways');
          await page.keyboard.press('Escape');
          await page.keyboard.press('Escape');
          await page.getByRole('button', { name: 'evening', exact: true }).click();
          await shoot(page, 'panel');
          await page.getByRole('button', { name: '3 more' }).click();
          await page.waitForTimeout(4000);
          await shoot(page, 'door');
          return;
        }
      }
    }
    const focal = page.getByTestId('focal');
    const begun = page.getByRole('button', { name: /^begun/ });
    if (await begun.count()) { await begun.first().click({ timeout: 2000 }).catch(() => {}); await page.waitForTimeout(350); continue; }
    const over = await page.getByTestId('focal-clock').filter({ hasText: /^\+/ }).count();
    if (over) { await focal.getByRole('button', { name: /^done/ }).click({ timeout: 2000 }).catch(() => {}); await page.waitForTimeout(350); continue; }
    const w = page.getByTestId('watched').filter({ has: page.getByTestId('countdown').getByText(/^\+/) }).getByRole('button', { name: /^done/ });
    if (await w.count()) { await w.first().click({ timeout: 2000 }).catch(() => {}); await page.waitForTimeout(350); continue; }
    await toNext(page);
    await page.waitForTimeout(300);
  }
});
