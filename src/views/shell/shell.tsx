'use client';

import { Languages, Moon, Sun } from 'lucide-react';
import { createContext, useContext, useEffect, useLayoutEffect, useState } from 'react';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { soundness } from '@/store/sound';
import { keep, kept } from '@/ui/kept';
import { Link } from '@/ui/link';
import { followLanguage, takeUpLanguage, useSpoken } from '@/ui/told/language';
import { followManner, takeUpManner, useManner } from '@/ui/told/manner';
import type { Tag } from '@/words/languages';
import { lookAtMost, planIn } from '@/workers/planner';
import { Newer } from './installation';
import { Letters } from './letters';
import { StoreFault } from './store-fault';

export type Dress = 'day' | 'night';

const DressContext = createContext<Dress>('day');

/** Whether the app is in paper and ink, or in embers. */
export function useDress(): Dress {
  return useContext(DressContext);
}

/** Milliseconds, where a browser does not say when it is idle. */
const WHEN_IDLE = 2000;
const KEPT_DRESS = 'dress';

/** Loads the sample meals at the first start. Fetched when they are wanted: later starts need none of it. */
async function wantSamples(): Promise<void> {
  if (await pantry().marks.get('samples')) return;
  const { loadSamples } = await import('@/store/samples');
  await loadSamples(pantry(), new Date());
}

/** Everything around the pages: dress, the way home, and the sample meals at the first start of a demo. */
export function Shell({
  samples,
  planSeconds,
  served,
  children,
}: {
  readonly samples: boolean;
  /** Most seconds that a plan is looked for; null for the usual. */
  readonly planSeconds: number | null;
  /** The language that the reader asked the server for. */
  readonly served: Tag;
  readonly children: React.ReactNode;
}) {
  const [dress, setDress] = useState<Dress>('day');
  const measured = useManner();
  const spoken = useSpoken();
  // Nothing is shown before its language is there: whoever reads another one sees no page in English first.
  const [isSaid, setSaid] = useState(served === 'en');
  // Before anything else of the page is read: what it says of amounts follows.
  useLayoutEffect(() => {
    takeUpManner();
    void takeUpLanguage().then(() => setSaid(true));
  }, []);
  useEffect(followManner, []);
  useEffect(followLanguage, []);
  useEffect(() => planIn(spoken.tag, spoken.catalog, spoken.dishes), [spoken]);
  useLayoutEffect(() => {
    if (planSeconds !== null) lookAtMost(planSeconds);
  }, [planSeconds]);
  useEffect(() => {
    const before = kept(KEPT_DRESS);
    const dark = matchMedia('(prefers-color-scheme: dark)').matches;
    setDress(before === 'day' || before === 'night' ? before : dark ? 'night' : 'day');
  }, []);
  useEffect(() => {
    document.documentElement.dataset['dress'] = dress;
  }, [dress]);
  useEffect(() => {
    if (samples) void wantSamples();
  }, [samples]);
  useEffect(() => {
    // What checks a change is there before the first one, and not before the page. Where it does not come, the change says so.
    const fetchIt = () => void soundness().catch(() => undefined);
    if ('requestIdleCallback' in window) window.requestIdleCallback(fetchIt);
    else setTimeout(fetchIt, WHEN_IDLE);
  }, []);
  const other = dress === 'day' ? 'night' : 'day';
  return (
    <DressContext value={dress}>
      <div
        hidden={!isSaid}
        className="mx-auto flex min-h-dvh max-w-[1500px] flex-col px-4 sm:px-7 print:block print:max-w-none print:p-0"
      >
        <StoreFault />
        <Newer />
        <header data-covered-by-stove className="flex flex-wrap items-center justify-end pt-3 text-sm print:hidden">
          <Link
            href="/"
            className="me-auto inline-flex min-h-10 items-center gap-2 whitespace-nowrap text-faint hover:text-ink"
          >
            <span aria-hidden className="inline-block h-2 w-6 rounded-full bg-ember" />
            <span className="max-[359px]:sr-only">Warm Cadence</span>
          </Link>
          <nav aria-label={say('Beside the meals')} className="flex sm:me-2">
            <Link href="/dishes" className="inline-flex min-h-10 items-center px-1.5 text-faint hover:text-ink sm:px-3">
              {say('Dishes')}
            </Link>
            <Link
              href="/evenings"
              className="inline-flex min-h-10 items-center px-1.5 text-faint hover:text-ink sm:px-3"
            >
              {say('Evenings')}
            </Link>
            <Link href="/bench" className="inline-flex min-h-10 items-center px-1.5 text-faint hover:text-ink sm:px-3">
              {say('Bench')}
            </Link>
          </nav>
          <div className="flex">
            <Link
              href="/measures"
              aria-label={say('Language and measures')}
              title={say('language and measures')}
              className="grid size-10 place-items-center text-faint hover:text-ink"
            >
              <Languages size={18} aria-hidden />
            </Link>
            <Letters />
            <button
              type="button"
              className="grid size-10 place-items-center text-faint hover:text-ink"
              aria-label={other === 'night' ? say('Change to night dress') : say('Change to day dress')}
              onClick={() => {
                keep(KEPT_DRESS, other);
                setDress(other);
              }}
            >
              {dress === 'day' ? <Moon size={18} aria-hidden /> : <Sun size={18} aria-hidden />}
            </button>
          </div>
        </header>
        <main
          key={`${spoken.tag} ${JSON.stringify(measured)}`}
          className="flex flex-1 flex-col pb-6 print:block print:p-0"
        >
          {children}
        </main>
      </div>
    </DressContext>
  );
}
