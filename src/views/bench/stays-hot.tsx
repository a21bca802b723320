'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { celsiusAfter, minutesAbove, type PotStands } from '@/core/heat/cool';
import { carryOver, restOf } from '@/core/heat/roast';
import { LIMITS } from '@/core/heat/safe-limits';
import { say } from '@/core/say/say';
import { Say } from '@/ui/say';
import { Choice, Dial, LitresDial, Question, WidthDial } from './dial';
import { sayBand, sayMinutes } from './say';

const BandCurve = dynamic(() => import('./band-curve').then((module) => module.BandCurve), {
  ssr: false,
  // As high as it will be: nothing moves when it comes.
  loading: () => <div className="h-64" />,
});

/** A roast out of the oven: how far its centre still rises, and how long it rests. */
function Roast() {
  const [kilos, setKilos] = useState(1.5);
  const [oven, setOven] = useState(180);
  const rise = carryOver(kilos, oven);
  const rest = restOf(kilos);
  return (
    <section
      aria-label={say('A roast out of the oven')}
      className="mt-4 grid max-w-2xl gap-2 border-t border-line pt-4"
    >
      <h2 className="text-2xl">{say('A roast, resting')}</h2>
      <div className="grid gap-x-8 gap-y-2 sm:grid-cols-2">
        <Dial
          label={say('It weighs')}
          value={kilos}
          least={0.25}
          most={6}
          step={0.25}
          says={say('{kilos} kg', { kilos })}
          onChange={setKilos}
        />
        <Dial
          label={say('The oven stood at')}
          value={oven}
          least={100}
          most={260}
          step={5}
          says={`${oven} °C`}
          onChange={setOven}
        />
      </div>
      <p data-testid="roast">
        <Say
          words="Its centre rises by about <b>{likely} °C more</b>, between {low} and {high} °C more; under foil it rests {minutes}, {band}."
          values={{
            likely: Math.round(rise.likely),
            low: Math.round(rise.low),
            high: Math.round(rise.high),
            minutes: sayMinutes(rest.likely),
            band: sayBand(rest),
          }}
          marks={{ b: <strong /> }}
        />
      </p>
      <p className="border-s-3 border-warn ps-2 text-warn">
        {say(
          'Whole cuts are safe from 63 °C and 3 minutes, minced meat from 71 °C, poultry from 74 °C, measured in the middle: never count on the rise to get there. Local rules come first.',
        )}
      </p>
    </section>
  );
}

/** How long a pot off the heat stays hot enough to serve, and safe to hold. */
export function StaysHot() {
  const [litres, setLitres] = useState(2);
  const [width, setWidth] = useState(22);
  const [from, setFrom] = useState(95);
  const [room, setRoom] = useState(21);
  const [standing, setStanding] = useState<PotStands>('covered');
  const question = { litres, widthCm: width, fromCelsius: from, roomCelsius: room, standing };
  const minutes = minutesAbove(question);
  return (
    <Question
      more={<Roast />}
      controls={
        <>
          <Choice
            label={say('The pot stands')}
            value={standing}
            options={[
              ['open', 'open'],
              ['covered', 'covered'],
              ['wrapped', say('covered and wrapped')],
            ]}
            onChange={setStanding}
          />
          <LitresDial label={say('In it')} value={litres} onChange={setLitres} />
          <WidthDial label={say('Pot, across')} value={width} onChange={setWidth} />
          <Dial
            label={say('Hot from')}
            value={from}
            least={60}
            most={100}
            step={1}
            says={`${from} °C`}
            onChange={setFrom}
          />
          <Dial
            label={say('The room')}
            value={room}
            least={0}
            most={40}
            step={1}
            says={`${room} °C`}
            onChange={setRoom}
          />
        </>
      }
    >
      <p className="font-title text-6xl" data-testid="stays-hot">
        {sayMinutes(minutes.likely)}
      </p>
      <p className="text-xl">
        {say('above {celsius} °C, likely; {band}. The lid stays on: each look lets heat out.', {
          celsius: LIMITS.hotHolding.celsius,
          band: sayBand(minutes),
        })}
      </p>
      <BandCurve
        label={say('Temperature over four hours')}
        minutes={240}
        every={5}
        most={100}
        interval={20}
        unit=" °C"
        valueAt={(minute) => celsiusAfter(question, minute)}
        mark={LIMITS.hotHolding.celsius}
      />
      <p className="border-s-3 border-warn ps-2 text-warn">
        {say(
          'Below {celsius} °C do not keep it standing: serve it, or cool it and have it in the fridge within two hours, rice within one. Measure with a thermometer; local rules come first.',
          { celsius: LIMITS.hotHolding.celsius },
        )}
      </p>
    </Question>
  );
}
