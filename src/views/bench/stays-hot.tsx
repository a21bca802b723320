'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { HOT_HOLDING, minutesAbove, type Standing } from '@/core/heat/cool';
import { Choice, Dial, Question } from './dial';
import { sayBand, sayLitres, sayMinutes } from './say';

const CoolingCurve = dynamic(() => import('./cooling-curve').then((module) => module.CoolingCurve), { ssr: false });

/** How long a pot off the heat stays hot enough to serve, and safe to hold. */
export function StaysHot() {
  const [litres, setLitres] = useState(2);
  const [width, setWidth] = useState(22);
  const [from, setFrom] = useState(95);
  const [room, setRoom] = useState(21);
  const [standing, setStanding] = useState<Standing>('covered');
  const question = { litres, widthCm: width, fromCelsius: from, roomCelsius: room, standing };
  const minutes = minutesAbove(question);
  return (
    <Question
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
          <Dial
            label="In it"
            value={litres}
            least={0.25}
            most={12}
            step={0.25}
            says={sayLitres(litres)}
            onChange={setLitres}
          />
          <Dial
            label="Pot, across"
            value={width}
            least={14}
            most={40}
            step={1}
            says={`${width} cm`}
            onChange={setWidth}
          />
          <Dial label="Hot from" value={from} least={60} most={100} step={1} says={`${from} °C`} onChange={setFrom} />
          <Dial label="The room" value={room} least={0} most={40} step={1} says={`${room} °C`} onChange={setRoom} />
        </>
      }
    >
      <p className="font-title text-6xl" data-testid="stays-hot">
        {sayMinutes(minutes.likely)}
      </p>
      <p className="text-xl">
        above {HOT_HOLDING} °C, likely; {sayBand(minutes)}. The lid stays on: each look lets heat out.
      </p>
      <CoolingCurve question={question} />
      <p className="border-l-3 border-warn pl-2 text-warn">
        Below {HOT_HOLDING} °C do not keep it standing: serve it, or cool it and have it in the fridge within two hours,
        rice within one. Measure with a thermometer; local rules come first.
      </p>
    </Question>
  );
}
