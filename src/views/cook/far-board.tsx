'use client';

import type { Stove } from '@/core/live/stove';
import { say } from '@/core/say/say';
import { printCountdown } from '@/ui/clock';
import { Answers, Quiet } from './now';
import { colour, isStart, type StepProps } from './pieces';

interface FarProps extends Omit<StepProps, 'live'> {
  readonly stove: Stove;
  readonly now: number;
  readonly acts: boolean;
}

/**
 * What must be read from two metres, and nothing else: what, how hot, where, how long; then the pot that wants an eye next. An x-height of 0.3
 * degrees at two metres is 10.5 mm: on a tablet of ten inches (1280 px on 217 mm) 62 px, letters of 124 px with an x-height of half of that,
 * 9.7 % of the width.
 */
export function FarBoard({ session, told, stove, now, acts }: FarProps) {
  const focal = stove.now[0];
  const pot = stove.watching[0];
  return (
    <fieldset disabled={!acts} className="flex min-h-0 flex-1 flex-col">
      <section aria-label={say('Now')} className="min-h-0 flex-1 overflow-y-auto px-5 py-2 sm:px-8" data-testid="far">
        {focal ? <Far session={session} live={focal} now={now} /> : <Quiet next={stove.next[0]} now={now} />}
        {pot && <Far session={session} live={pot} now={now} isPot />}
      </section>
      <section aria-label={say('Answers')} data-testid="answers" className="border-t border-line px-5 pb-3 sm:px-8">
        {focal && (
          <div data-testid="focal" data-key={focal.step.key}>
            <Answers session={session} live={focal} told={told} now={now} />
          </div>
        )}
      </section>
    </fieldset>
  );
}

function Far({
  session,
  live,
  now,
  isPot = false,
}: Pick<StepProps, 'session' | 'live'> & { readonly now: number; readonly isPot?: boolean }) {
  const { step } = live;
  const heat = step.heat ?? (step.celsius === null ? '' : `${step.celsius} °C`);
  const where = step.station.sort === 'board' ? '' : step.station.name;
  const left = live.status === 'running' && !isStart(live) ? printCountdown(live.endAt - now) : '';
  return (
    <div
      className={`text-[9.7vw] leading-[1.02] ${isPot ? 'mt-2 border-t border-line pt-1' : ''}`}
      style={{ color: colour(session, step.dishId) }}
    >
      <p className="flex items-baseline justify-between gap-6">
        <span className={`first-letter:uppercase ${isPot ? 'truncate' : 'line-clamp-2'}`}>{step.name}</span>
        <span className="shrink-0 text-ink" data-verbatim>
          {left}
        </span>
      </p>
      {!isPot && (heat || where) && <p className="truncate text-ink">{[heat, where].filter(Boolean).join(' · ')}</p>}
    </div>
  );
}
