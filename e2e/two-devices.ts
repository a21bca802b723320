import { type Browser, type BrowserContext, expect, type Page } from '@playwright/test';
import { SHELF } from '@/core/dish/shelf';
import { beginEvening, NOON, NOON_STATE, openFile, openMeal, openMeals, supperOf, toFirstStep } from './kit';

// Two devices, each with a camera that sees what a test holds before it.

/** Puts a picture that the test paints in the place of the camera. */
export async function withPaintedCamera(context: BrowserContext): Promise<void> {
  await context.addInitScript(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [960, 720];
    const pen = canvas.getContext('2d')!;
    Object.assign(window, {
      seesNow: async (url: string) => {
        const image = new Image();
        image.src = url;
        await image.decode();
        pen.fillStyle = '#777';
        pen.fillRect(0, 0, 960, 720);
        pen.drawImage(image, 180, 60, 600, 600);
      },
    });
    pen.fillRect(0, 0, 960, 720);
    Object.defineProperty(navigator, 'mediaDevices', {
      value: { getUserMedia: async () => canvas.captureStream(30) },
    });
  });
}

/** What the painted camera of a page sees from now on. */
export const show = (page: Page, url: string) =>
  page.evaluate((shown) => (window as unknown as { seesNow(url: string): Promise<void> }).seesNow(shown), url);

/** Holds one page to the other: shows it each code in turn, but those that are lost, until it has them all. Some that were read are shown again. */
export async function hold(from: Page, to: Page, isLost: () => boolean): Promise<void> {
  await from.getByRole('button', { name: 'Hold it' }).click();
  const seen = to.getByTestId('code-seen');
  await expect(seen).toContainText('Looking for a code');
  const read = new Set<string>();
  let again = 3;
  for (let look = 0; look < 200 && (await seen.count()) > 0; look++) {
    const place = (await from.getByTestId('code-at').textContent())!;
    // A slow camera may read one only while the next is shown: where all seem read and are not, all are shown again.
    if (read.size >= Number(place.split(' ').at(-1))) read.clear();
    const wasRead = read.has(place);
    const isWanted = !wasRead || again-- > 0;
    if (isWanted && !isLost()) {
      const before = await seen.textContent().catch(() => null);
      const url = await from.getByTestId('code').evaluate((canvas) => (canvas as HTMLCanvasElement).toDataURL());
      await show(to, url);
      // Read, or read before: either way the camera had its look.
      const isRead = async () => {
        expect(await seen.textContent({ timeout: 300 }).catch(() => 'gone')).not.toBe(before);
        read.add(place);
      };
      await expect(isRead)
        // Of what was read before nothing new is said: the camera has its look, and no more.
        .toPass({ timeout: wasRead ? 300 : 2000, intervals: [50] })
        .catch(() => undefined);
    }
    await from.getByRole('button', { name: 'Next' }).click();
    await expect(from.getByTestId('code-at')).not.toHaveText(place);
  }
}

/** A laptop at whose stove a supper of barley has begun, and a tablet that knows nothing of it; both at the first step's hour. */
export async function laptopAndTablet(browser: Browser, baseURL: string | undefined) {
  const laptop = await browser.newContext({ baseURL: baseURL!, storageState: NOON_STATE });
  const page = await openedAt(laptop, NOON);
  const dishes = SHELF.filter(({ name }) => name === 'Barley in broth');
  await openFile(page, supperOf('barley-supper', 'Supper of barley', dishes));
  await openMeal(page, 'barley-supper');
  await beginEvening(page, 'barley-supper');
  await toFirstStep(page);
  const tablet = await browser.newContext({ baseURL: baseURL!, viewport: { width: 1024, height: 768 } });
  const other = await openedAt(tablet, await page.evaluate(() => Date.now()));
  const close = () => Promise.all([tablet.close(), laptop.close()]);
  return { page, other, close };
}

async function openedAt(device: BrowserContext, time: Date | number): Promise<Page> {
  await withPaintedCamera(device);
  await device.clock.install({ time });
  const page = await device.newPage();
  await openMeals(page);
  return page;
}
