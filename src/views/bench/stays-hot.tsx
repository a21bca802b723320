'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { celsiusAfter, minutesAbove, type PotStands } from '@/core/heat/cool';
import { carryOver, restOf } from '@/core/heat/roast';
import { LIMITS } from '@/core/heat/safe-limits';
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
    <section aria-label="A roast out of the oven" className="mt-4 grid max-w-2xl gap-2 border-t border-line pt-4">
      <h2 className="text-2xl">A roast, resting</h2>
      <div className="grid gap-x-8 gap-y-2 sm:grid-cols-2">
        <Dial
          label="It weighs"
          value={kilos}
          least={0.25}
          most={6}
          step={0.25}
          says={`${kilos} kg`}
          onChange={setKilos}
        />
        <Dial
          label="The oven stood at"
          value={oven}
          least={100}
          most={260}
          step={5}
          says={`${oven} °C`}
          onChange={setOven}
        />
      </div>
      <p data-testid="roast">
        Its centre rises by about <strong>{Math.round(rise.likely)} °C more</strong>, between {Math.round(rise.low)} and{' '}
        {Math.round(rise.high)} °C more; under foil it rests {sayMinutes(rest.likely)}, {sayBand(rest)}.
      </p>
      <p className="border-s-3 border-warn ps-2 text-warn">
        Whole cuts are safe from 63 °C and 3 minutes, minced meat from 71 °C, poultry from 74 °C, measured in the
        middle: never count on the rise to get there. Local rules come first.
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
            label="The pot stands"
            value={standing}
            options={[
              ['open', 'open'],
              ['covered', 'covered'],
              ['wrapped', 'covered and wrapped'],
            ]}
            onChange={setStanding}
          />
          <LitresDial label="In it" value={litres} onChange={setLitres} />
          <WidthDial label="Pot, across" value={width} onChange={setWidth} />
          <Dial label="Hot from" value={from} least={60} most={100} step={1} says={`${from} °C`} onChange={setFrom} />
          <Dial label="The room" value={room} least={0} most={40} step={1} says={`${room} °C`} onChange={setRoom} />
        </>
      }
    >
      <p className="font-title text-6xl" data-testid="stays-hot">
        {sayMinutes(minutes.likely)}
      </p>
      <p className="text-xl">
        above {LIMITS.hotHolding.celsius} °C, likely; {sayBand(minutes)}. The lid stays on: each look lets heat out.
      </p>
      <BandCurve
        label="Temperature over four hours"
        minutes={240}
        every={5}
        most={100}
        interval={20}
        unit=" °C"
        valueAt={(minute) => celsiusAfter(question, minute)}
        mark={LIMITS.hotHolding.celsius}
      />
      <p className="border-s-3 border-warn ps-2 text-warn">
        Below {LIMITS.hotHolding.celsius} °C do not keep it standing: serve it, or cool it and have it in the fridge
        within two hours, rice within one. Measure with a thermometer; local rules come first.
      </p>
    </Question>
  );
}
