'use client';

import { useRef } from 'react';
import type { LiveStep } from '@/core/live/session';
import type { Stove } from '@/core/live/stove';
import type { Carry } from '@/core/live/transition';
import { say } from '@/core/say/say';
import { Next } from './around';
import { Answers, Beside, CarryOver, Focal, Quiet, Undo } from './now';
import { colour, type StepProps } from './pieces';
import { useFocusKept } from './use-stove';
import { Watched } from './watched';

interface BoardProps extends Omit<StepProps, 'live'> {
  /** What everything is doing at this second. */
  readonly at: { readonly steps: readonly LiveStep[]; readonly stove: Stove; readonly carry: readonly Carry[] };
  readonly now: number;
  /** Whether this window tells, or only shows. */
  readonly acts: boolean;
  /** Whether pretended instruments may be shown. */
  readonly pretend: boolean;
}

/** What the hands do, the answers to it, what is on the heat, and what comes: beside each other, or on a phone one below the other. */
export function Board({ session, told, at, now, acts, pretend }: BoardProps) {
  const { steps, stove, carry } = at;
  const focal = stove.now[0];
  const nowSection = useRef<HTMLElement>(null);
  useFocusKept(nowSection, focal?.step.key ?? 'quiet');
  return (
    <fieldset disabled={!acts} className="contents">
      <div className="min-h-0 flex-1 scroll-pb-[22rem] overflow-y-auto md:grid md:scroll-pb-0 md:grid-cols-2 md:grid-rows-[minmax(0,1fr)_auto_auto] md:overflow-hidden">
        <section
          ref={nowSection}
          tabIndex={-1}
          aria-label={say('Now')}
          className="p-5 outline-none sm:px-8 sm:py-6 md:col-start-1 md:row-start-1 md:overflow-y-auto md:border-e md:border-line short:py-2"
        >
          <h2 className="font-sans text-base font-semibold text-faint short:sr-only">{say('Now')}</h2>
          {carry.map((each) => (
            <CarryOver key={each.live.step.key} carry={each} told={told} />
          ))}
          {focal ? (
            <div data-testid="focal" data-key={focal.step.key}>
              <Focal session={session} live={focal} told={told} now={now} steps={steps} />
            </div>
          ) : (
            <Quiet next={stove.next[0]} now={now} />
          )}
          {stove.now.slice(1).map((live) => (
            <Beside key={live.step.key} session={session} live={live} told={told} now={now} steps={steps} />
          ))}
        </section>
        {/* At the bottom of a phone's screen, or of the left half: whatever stands above, the answers stay where they are. */}
        <section
          aria-label={say('Answers')}
          data-testid="answers"
          className="sticky bottom-0 z-10 border-line bg-ground px-5 pt-1 pb-3 sm:px-8 md:static md:col-start-1 md:row-start-2 md:border-e short:pb-1"
        >
          {focal ? (
            <Answers session={session} live={focal} told={told} now={now} />
          ) : (
            <div className="mt-2 flex flex-wrap gap-3.5">
              <Undo session={session} told={told} />
            </div>
          )}
        </section>
        <section
          aria-label={say('Watching')}
          className="border-t border-line p-5 sm:px-8 sm:py-6 md:col-start-2 md:row-span-2 md:row-start-1 md:overflow-y-auto md:border-t-0 short:py-2"
        >
          <h2 className="font-sans text-base font-semibold text-faint short:sr-only">{say('Watching')}</h2>
          {stove.watching.length === 0 && <p className="mt-3 text-xl text-faint">{say('Nothing is on the heat.')}</p>}
          <ul>
            {stove.watching.map((live) => (
              <Watched
                key={live.step.key}
                session={session}
                live={live}
                told={told}
                now={now}
                tint={colour(session, live.step.dishId)}
                pretend={pretend}
                steps={steps}
              />
            ))}
          </ul>
        </section>
        <Next session={session} list={stove.next} quiet={stove.quietMinutes} quietFrom={stove.quietFrom} now={now} />
      </div>
    </fieldset>
  );
}
