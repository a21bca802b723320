import '@fontsource-variable/petrona';
import '@fontsource-variable/atkinson-hyperlegible-next';
// Letters of other scripts are fetched only where some stand on a page.
import '@fontsource-variable/noto-sans-devanagari';
import '@fontsource-variable/vazirmatn';
import './globals.css';
import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import { connection } from 'next/server';
import { Shell } from '@/views/shell/shell';
import { acceptedIn, bestOf, directionOf, isTag, LANGUAGE_COOKIE, type Tag } from '@/words/languages';

export const metadata: Metadata = {
  description: 'A whole meal to the table at one moment.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { readonly children: React.ReactNode }) {
  // Read when the page is asked for, not when it is built: the same build serves with and without samples.
  await connection();
  const served = await asked();
  return (
    <html lang={served} dir={directionOf(served)} suppressHydrationWarning>
      <head>
        {/* Each view says its own name as soon as it is there: `useTitle`. */}
        <title>Warm Cadence</title>
      </head>
      <body>
        <Shell samples={process.env['WARM_CADENCE_SAMPLES'] === '1'} planSeconds={planSeconds()} served={served}>
          {children}
        </Shell>
      </body>
    </html>
  );
}

/** The language that the reader chose, or else reads best of those there are. */
async function asked(): Promise<Tag> {
  const chosen = (await cookies()).get(LANGUAGE_COOKIE)?.value;
  return isTag(chosen) ? chosen : bestOf(acceptedIn((await headers()).get('accept-language') ?? ''));
}

/** What whoever serves the app allows for a plan; null where nothing sound is said. */
function planSeconds(): number | null {
  const told = Number(process.env['WARM_CADENCE_PLAN_SECONDS'] ?? '');
  return told > 0 ? told : null;
}
