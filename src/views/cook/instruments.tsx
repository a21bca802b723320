'use client';

import { format } from 'date-fns';
import { useEffect, useMemo, useState } from 'react';
import {
  type Forecast,
  faultOf,
  forecastCentre,
  forecastWeight,
  type Instrument,
  type Measurement,
  sayFault,
} from '@/core/live/instruments';
import type { Measurable } from '@/core/live/measured';
import { pretended, probeSays, scaleSays } from '@/core/live/pretend';
import type { LiveStep } from '@/core/live/session';
import { say } from '@/core/say/say';
import { seededRandom } from '@/core/schedule/random';
import { Button } from '@/ui/button';

const BEAT = 2000;
const KEPT = 900;

interface MeasuredProps {
  readonly live: LiveStep;
  readonly what: Measurable;
  readonly now: number;
}

/** A probe in the middle, or the pot on a scale: what it says, when it will be there, and when it is not to be believed. */
export function Measured({ live, what, now }: MeasuredProps) {
  const [on, setOn] = useState(false);
  const name = what.kind === 'probe' ? 'probe' : 'scale';
  if (!on) {
    return (
      <Button look="quiet" className="min-h-16 text-lg" onClick={() => setOn(true)}>
        {what.kind === 'probe' ? say('put a probe in') : say('put it on a scale')}
      </Button>
    );
  }
  return (
    <div className="mt-1 rounded-lg bg-soft px-4 py-2" data-testid={name}>
      <Readings live={live} what={what} now={now} />
      <Button look="quiet" className="min-h-16 text-lg" onClick={() => setOn(false)}>
        {say('take the {name} away', { name })}
      </Button>
    </div>
  );
}

function Readings({ live, what, now }: MeasuredProps) {
  const [readings, setReadings] = useState<readonly Measurement[]>([]);
  const instrument = usePretended(live, what);
  useEffect(
    () => instrument.listen((reading) => setReadings((before) => [...before.slice(-KEPT), reading])),
    [instrument],
  );
  const last = readings.at(-1);
  const fault = faultOf(instrument.kind, readings, now);
  const forecast =
    what.kind === 'probe'
      ? forecastCentre(readings, what.target, what.around)
      : forecastWeight(readings, what.wantedMl + POT_GRAMS);
  return (
    <div>
      <p className="text-2xl">
        {last ? said(what, last.value) : say('Listening…')}
        {forecast && fault === null && <span className="text-faint">, {there(what, forecast)}</span>}
      </p>
      {forecast?.stalls && (
        <p className="text-lg text-ember">{say('It stalls: it hardly rises for a while. That passes.')}</p>
      )}
      {fault && (
        <p role="alert" className="text-lg text-warn">
          {sayFault(fault, instrument.name)}
        </p>
      )}
      <p className="text-sm text-faint">
        {say(
          'A pretended {instrument}, to try it with: it measures nothing, moves nothing, and says nothing of what is safe. Measure with a real one.',
          { instrument: instrument.name },
        )}
      </p>
    </div>
  );
}

/** Grams of an empty pot of middling size. Common practice, no source. */
const POT_GRAMS = 1200;

function said(what: Measurable, value: number): string {
  return what.kind === 'probe'
    ? `${Math.round(value)} °C`
    : say('about {value} l left', { value: (Math.max(0, value - POT_GRAMS) / 1000).toFixed(1) });
}

function there(what: Measurable, { at, give }: Forecast): string {
  const wanted = what.kind === 'probe' ? `${what.target} °C` : `${(what.wantedMl / 1000).toFixed(1)} l`;
  // Nothing real was measured: that a meat is safe it never says.
  return give === 0
    ? say('where a real one would call')
    : say('{wanted} at {hour} ± {give}', { wanted, hour: format(at, 'HH:mm'), give });
}

/** Until a device is paired there is one that pretends: it gets there a little later or sooner than planned, the same at every start. */
function usePretended(live: LiveStep, what: Measurable): Instrument {
  const { key } = live.step;
  const { startAt, step } = live;
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is measured is told anew at every glance; its values are what counts
  return useMemo(() => {
    const seed = [...key].reduce((sum, sign) => (sum * 31 + sign.charCodeAt(0)) >>> 0, 7);
    const random = seededRandom(seed);
    const minutes = step.minutes * (0.9 + 0.3 * random.next());
    const every = (beat: () => void) => {
      const timer = setInterval(beat, BEAT);
      return () => clearInterval(timer);
    };
    if (what.kind === 'probe') {
      const from = 8;
      const slowness = minutes / Math.log((what.around - from) / (what.around - what.target));
      const probe = { startAt, from, around: what.around, slowness, noise: 0.3 };
      return pretended('probe', 'probe', () => probeSays(probe, Date.now(), random), every);
    }
    const boilsOff = Math.max(4, (what.wantedMl * 0.2) / minutes);
    const scale = { startAt, grams: what.wantedMl + POT_GRAMS + boilsOff * minutes, boilsOff, noise: 4 };
    return pretended('scale', 'scale', () => scaleSays(scale, Date.now(), random), every);
    // A new beginning of the same step is another measurement; a new forecast of its end is not.
  }, [key, startAt, step.minutes, what.kind, what.kind === 'probe' ? what.target : what.wantedMl]);
}
