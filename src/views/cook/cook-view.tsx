'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { type Cue, cuesAt } from '@/core/live/cues';
import type { Evening } from '@/core/live/evening';
import { cuesFor, peopleAt, stoveFor } from '@/core/live/people';
import { liveSteps } from '@/core/live/session';
import { stoveAt } from '@/core/live/stove';
import { toCarry } from '@/core/live/transition';
import { sayHowLong, sayNext } from '@/core/live/voice';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { useNow } from '@/ui/clock';
import { useKey } from '@/ui/keys-sheet';
import { useMeal } from '@/views/shell/meal-frame';
import { Finished, TopLine } from './around';
import { Before } from './before';
import { Board } from './board';
import { speak } from './calls';
import { Door } from './door';
import { EveningPanel } from './evening-panel';
import { FarBoard } from './far-board';
import { Ways } from './live-remedies';
import { HasItStood, TooSoon } from './now';
import { type Asked, AskProvider, isStart } from './pieces';
import { Calls, ClockWords, Faults, Follows } from './said';
import { Trouble } from './trouble';
import { TwoScreens } from './two-screens';
import { useCues } from './use-cues';
import { type SessionAtHand, useSession } from './use-session';
import { useCoveredPage, useDeviceClock, useFollowing } from './use-stove';
import { useStoveKeys } from './use-stove-keys';
import { useListening, useVoice } from './use-voice';
import { useWho } from './use-who';

/** Standing up: now, watching, next, and nothing else. */
export function CookView() {
  const { meal, planned } = useMeal();
  const told = useSession(meal.id);
  if (told.session === undefined) return <p className="mt-10 text-faint">{say('Opening the evening…')}</p>;
  if (told.session === null) return <Before meal={meal} planned={planned} />;
  return <AtTheStove session={told.session} told={told} />;
}

const NO_CUES: readonly Cue[] = [];

function AtTheStove({ session, told }: { readonly session: Evening; readonly told: SessionAtHand }) {
  const now = useNow(250);
  const [panel, setPanel] = useState(false);
  const [asked, setAsked] = useState<Asked | null>(null);
  const [who, setWho] = useWho(session);
  const ask = (what: Asked) => {
    setPanel(false);
    setAsked(what);
  };
  const quiet = useLiveQuery(() => pantry().settings.get('quiet'))?.value === 'on';
  const follow = useLiveQuery(() => pantry().settings.get('follow'))?.value === 'on';
  const pretend = useLiveQuery(() => pantry().settings.get('pretend'))?.value === 'on';
  const far = useLiveQuery(() => pantry().settings.get('far'))?.value === 'on';
  const onFar = () => void pantry().settings.put({ name: 'far', value: far ? 'off' : 'on' });
  useKey('f', onFar);
  const second = now === null ? null : Math.floor(now / 1000);
  // The log is folded once a second; stove, calls and silence are read from it.
  const evening = useMemo(() => {
    if (second === null) return null;
    const at = second * 1000 + 999;
    const steps = liveSteps(session, at);
    const carry = toCarry(session, steps);
    const whole = { steps, carry, stove: stoveAt(session, at, steps), cues: cuesAt(session, at, steps) };
    const { people } = session.meal.kitchen;
    return who === null
      ? whole
      : { ...whole, stove: stoveFor(whole.stove, who, people), cues: cuesFor(whole.cues, steps, who, people) };
  }, [session, second, who]);
  const stove = evening?.stove ?? null;
  const cues = evening?.cues ?? NO_CUES;
  // A screen of one person answers and rings for them, whichever window leads.
  const acts = told.leads || who !== null;
  useCues({ cues, now, leads: acts, quiet });
  useFollowing(session, told, second, follow && told.keepsTime);
  const clock = useDeviceClock(now, told.leads, told.clockSet);
  useStoveKeys({ stove, cues, told, acts, panel: panel || asked !== null, onPanel: () => setPanel(true) });
  const listening = useListening();
  const hears = useLiveQuery(() => pantry().settings.get('voice'))?.value === 'on' && listening !== null && acts;
  const heard = useVoice(hears, listening === 'here', (command) => {
    const at = Date.now();
    if (!stove || panel || asked || told.early || told.stood) return;
    if (command === 'what next') speak(sayNext(stove, at));
    if (command === 'how long') speak(sayHowLong(session, stove, at));
    const first = stove.now[0];
    if (!first) return;
    if (command === 'done') (isStart(first) ? told.begun : told.done)(first);
    if (command === 'not yet' && !isStart(first)) told.notYet(first);
  });
  useCoveredPage();
  if (now === null || evening === null || stove === null) return null;
  const { steps } = evening;
  return (
    <AskProvider value={ask}>
      <div data-dress="night" className="fixed inset-0 z-10 flex flex-col bg-ground text-ink">
        <TopLine
          session={session}
          now={now}
          thinking={told.thinking}
          quiet={quiet}
          work={peopleAt(session, steps)}
          who={who}
          onWho={setWho}
          far={far}
          onFar={onFar}
          onPanel={() => setPanel(true)}
        />
        {panel && (
          <EveningPanel
            session={session}
            told={told}
            quiet={quiet}
            follow={follow}
            pretend={pretend}
            voice={{ listening, on: hears, heard }}
            leads={acts}
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
        {told.follows && who === null && <Follows onTakeOver={told.takeOver} />}
        <Faults told={told} />
        {heard && (
          <p role="status" className="px-5 py-1 text-lg text-faint sm:px-8" data-testid="heard">
            {heard}
          </p>
        )}
        <ClockWords session={session} clock={clock} leads={told.leads} />
        {stove.finished ? (
          <Finished session={session} now={now} told={told} />
        ) : far ? (
          <FarBoard session={session} told={told} stove={stove} now={now} acts={acts} />
        ) : (
          <Board session={session} told={told} at={evening} now={now} acts={acts} pretend={pretend} />
        )}
        {/* From below, so that nothing a finger may be on its way to moves under it. */}
        <div className="max-h-[34dvh] shrink-0 overflow-y-auto bg-ground">
          <TwoScreens session={session} />
          <Calls cues={cues} />
          {acts && !stove.finished && <Ways session={session} told={told} quiet={quiet} />}
        </div>
      </div>
    </AskProvider>
  );
}
