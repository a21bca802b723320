'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useRef, useState } from 'react';
import { type Cue, cuesAt } from '@/core/live/cues';
import type { Evening } from '@/core/live/evening';
import { liveSteps } from '@/core/live/session';
import { stoveAt } from '@/core/live/stove';
import { toCarry } from '@/core/live/transition';
import { pantry } from '@/store/db';
import { useNow } from '@/ui/clock';
import { useMeal } from '@/views/shell/meal-frame';
import { Finished, Next, TopLine } from './around';
import { Before } from './before';
import { Door } from './door';
import { EveningPanel } from './evening-panel';
import { Ways } from './live-remedies';
import { Beside, CarryOver, Focal, HasItStood, Quiet, TooSoon } from './now';
import { type Asked, AskProvider, colour } from './pieces';
import { Calls, Faults, Follows } from './said';
import { Trouble } from './trouble';
import { useCues } from './use-cues';
import { type SessionAtHand, useSession } from './use-session';
import { useClockWentBack, useCoveredPage, useFocusKept, useFollowing } from './use-stove';
import { useStoveKeys } from './use-stove-keys';
import { Watched } from './watched';

/** Standing up: now, watching, next, and nothing else. */
export function CookView() {
  const { meal, planned } = useMeal();
  const told = useSession(meal.id);
  if (told.session === undefined) return <p className="mt-10 text-faint">Opening the evening…</p>;
  if (told.session === null) return <Before meal={meal} plan={planned.plan} refusals={planned.refusals} />;
  return <AtTheStove session={told.session} told={told} />;
}

const NO_CUES: readonly Cue[] = [];

function AtTheStove({ session, told }: { readonly session: Evening; readonly told: SessionAtHand }) {
  const now = useNow(250);
  const [panel, setPanel] = useState(false);
  const [asked, setAsked] = useState<Asked | null>(null);
  const ask = (what: Asked) => {
    setPanel(false);
    setAsked(what);
  };
  const quiet = useLiveQuery(() => pantry().settings.get('quiet'))?.value === 'on';
  const follow = useLiveQuery(() => pantry().settings.get('follow'))?.value === 'on';
  const pretend = useLiveQuery(() => pantry().settings.get('pretend'))?.value === 'on';
  const second = now === null ? null : Math.floor(now / 1000);
  // The log is folded once a second; stove, calls and silence are read from it.
  const evening = useMemo(() => {
    if (second === null) return null;
    const at = second * 1000 + 999;
    const steps = liveSteps(session, at);
    const carry = toCarry(session, steps);
    return { steps, carry, stove: stoveAt(session, at, steps), cues: cuesAt(session, at, steps) };
  }, [session, second]);
  const stove = evening?.stove ?? null;
  const cues = evening?.cues ?? NO_CUES;
  useCues({ cues, now, leads: told.leads, quiet });
  useFollowing(session, told, second, follow && told.leads);
  const wentBack = useClockWentBack(now, told.leads, told.clockSet);
  const focal = stove?.now[0];
  useStoveKeys({ stove, cues, told, panel: panel || asked !== null, onPanel: () => setPanel(true) });
  const nowSection = useRef<HTMLElement>(null);
  useFocusKept(nowSection, focal?.step.key ?? (stove === null ? 'opening' : 'quiet'));
  useCoveredPage();
  if (now === null || evening === null || stove === null) return null;
  const { steps } = evening;
  return (
    <AskProvider value={ask}>
      <div
        data-dress="night"
        className="fixed inset-0 z-10 flex scroll-pb-[36dvh] flex-col overflow-auto bg-ground text-ink md:scroll-pb-0 md:overflow-hidden"
      >
        <TopLine session={session} now={now} thinking={told.thinking} quiet={quiet} onPanel={() => setPanel(true)} />
        {panel && (
          <EveningPanel
            session={session}
            told={told}
            quiet={quiet}
            follow={follow}
            pretend={pretend}
            leads={told.leads}
            steps={steps}
            onDoor={(more) => ask({ door: more })}
            onTrouble={(dish) => ask({ dish })}
            onClose={() => setPanel(false)}
          />
        )}
        {asked && 'door' in asked && (
          <Door session={session} more={asked.door} told={told} onClose={() => setAsked(null)} />
        )}
        {asked && 'dish' in asked && (
          <Trouble
            session={session}
            dishId={asked.dish}
            {...(asked.live ? { live: asked.live } : {})}
            told={told}
            onClose={() => setAsked(null)}
          />
        )}
        {told.stood && <HasItStood stood={told.stood} told={told} />}
        {told.early && <TooSoon live={told.early} now={now} told={told} />}
        {told.follows && <Follows onTakeOver={told.takeOver} />}
        <Faults told={told} />
        {wentBack !== null && (
          <p role="status" className="bg-soft px-5 py-2 text-lg sm:px-8">
            The clock of this device was put back by {wentBack} min; times follow it, and nothing told is lost.
          </p>
        )}
        {stove.finished ? (
          <Finished session={session} now={now} told={told} />
        ) : (
          <fieldset disabled={!told.leads} className="grid flex-1 md:min-h-0 md:grid-cols-2">
            <section
              ref={nowSection}
              tabIndex={-1}
              aria-label="Now"
              className="border-line outline-none p-5 sm:px-8 sm:py-6 md:overflow-y-auto md:border-r"
            >
              <h2 className="font-sans text-base font-semibold text-faint">Now</h2>
              {evening.carry.map((carry) => (
                <CarryOver key={carry.live.step.key} carry={carry} told={told} />
              ))}
              {focal ? (
                <Focal session={session} live={focal} told={told} now={now} steps={steps} />
              ) : (
                <Quiet session={session} told={told} next={stove.next[0]} now={now} />
              )}
              {stove.now.slice(1).map((live) => (
                <Beside key={live.step.key} session={session} live={live} told={told} now={now} steps={steps} />
              ))}
            </section>
            <section
              aria-label="Watching"
              className="border-t border-line p-5 sm:px-8 sm:py-6 md:overflow-y-auto md:border-t-0"
            >
              <h2 className="font-sans text-base font-semibold text-faint">Watching</h2>
              {stove.watching.length === 0 && <p className="mt-3 text-xl text-faint">Nothing is on the heat.</p>}
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
                  />
                ))}
              </ul>
            </section>
          </fieldset>
        )}
        {/* From below, so that nothing a finger may be on its way to moves under it. */}
        <div className="sticky bottom-0 z-10 max-h-[34dvh] shrink-0 overflow-y-auto bg-ground md:static md:max-h-none">
          <Calls cues={cues} />
          {told.leads && !stove.finished && <Ways session={session} told={told} quiet={quiet} />}
        </div>
        {!stove.finished && (
          <Next session={session} list={stove.next} quiet={stove.quietMinutes} quietFrom={stove.quietFrom} now={now} />
        )}
      </div>
    </AskProvider>
  );
}
