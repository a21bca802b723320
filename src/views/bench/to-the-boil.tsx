'use client';

import { useState } from 'react';
import { boilFault, minutesByKettle, minutesToBoil, wattsFromBoil, wattsOf } from '@/core/heat/boil';
import { boilingPoint, simmerFactor } from '@/core/heat/water';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { changeKitchen } from '@/store/meals';
import { Button } from '@/ui/button';
import { Choice, Dial, LitresDial, Question, WidthDial } from './dial';
import { type Flame, useFlame } from './flame';
import { useDishAtHand } from './from-dish';
import { sayBand, sayClock, sayMinutes } from './say';

/** How long until that much water boils, on this burner. */
export function ToTheBoil() {
  const { flame, choice } = useFlame();
  const dish = useDishAtHand();
  const [litres, setLitres] = useState(dish ? Math.max(0.25, Math.round(dish.litres * 4) / 4) : 3);
  const [from, setFrom] = useState(15);
  const [width, setWidth] = useState(22);
  const [lid, setLid] = useState<'on' | 'off'>('on');
  const [chosenMetres, setMetres] = useState<number | null>(null);
  const metres = chosenMetres ?? flame.kitchen?.metres ?? 0;
  const boils = boilingPoint(metres);
  const question = {
    litres,
    fromCelsius: Math.min(from, Math.floor(boils)),
    watts: wattsOf(flame.burner),
    covered: lid === 'on',
    widthCm: width,
    metres,
  };
  const fault = boilFault(question);
  const minutes = minutesToBoil(question);
  const kettle = minutesByKettle(question);
  const longer = Math.round((simmerFactor(metres) - 1) * 100);
  return (
    <Question
      more={<Measured key={flame.key} flame={flame} question={question} />}
      controls={
        <>
          {choice}
          <LitresDial label={say('Water')} value={litres} onChange={setLitres} />
          <Dial
            label={say('It is now at')}
            value={from}
            least={1}
            most={95}
            step={1}
            says={`${from} °C`}
            onChange={setFrom}
          />
          <Choice
            label={say('Lid')}
            value={lid}
            options={[
              ['on', 'on'],
              ['off', 'off'],
            ]}
            onChange={setLid}
          />
          <WidthDial label={say('Pot, across')} value={width} onChange={setWidth} />
          <Dial
            label={say('Above the sea')}
            value={metres}
            least={0}
            most={4000}
            step={50}
            says={`${metres} m`}
            onChange={setMetres}
          />
        </>
      }
    >
      {fault ? (
        <p role="alert">{fault}</p>
      ) : (
        <>
          <p className="font-title text-6xl" data-testid="boils-in">
            {sayMinutes(minutes.likely)}
          </p>
          <p className="text-xl">
            {flame.burner.watts === undefined
              ? say('to the boil, likely; {band}, by what such a burner usually gives.', { band: sayBand(minutes) })
              : say('to the boil, likely; {band}, by your own boil.', { band: sayBand(minutes) })}
          </p>
          <p className="max-w-xl" data-testid="by-kettle">
            {kettle.likely < 0.9 * minutes.likely
              ? say('With a kettle first: about {minutes}, {band}, and the burner is free until then.', {
                  minutes: sayMinutes(kettle.likely),
                  band: sayBand(kettle),
                })
              : say('A kettle first would save next to nothing.')}
          </p>
          <p className="text-faint">
            {longer > 3
              ? say('Water boils at {boils} °C here; what simmers takes about {longer} % longer.', {
                  boils: boils.toFixed(1),
                  longer,
                })
              : say('Water boils at {boils} °C here.', { boils: boils.toFixed(1) })}
          </p>
        </>
      )}
    </Question>
  );
}

interface MeasuredProps {
  readonly flame: Flame;
  readonly question: Parameters<typeof wattsFromBoil>[0];
}

/** One boil with a clock beside it tells what a burner gives from then on. */
function Measured({ flame: { kitchen, burner, key }, question }: MeasuredProps) {
  const [took, setTook] = useState(6.25);
  const [told, setTold] = useState('');
  if (!kitchen) return null;
  const keep = async (watts: number | null) => {
    const fault = await changeKitchen(pantry(), kitchen.id, (now) => ({
      ...now,
      burners: now.burners.map((each) => {
        if (`${now.id}/${each.id}` !== key) return each;
        const { watts: _, ...rest } = each;
        return watts === null ? rest : { ...rest, watts: Math.round(watts) };
      }),
    }));
    setTold(fault ? fault.sentence : watts === null ? say('Forgotten.') : say('Kept for this burner.'));
  };
  return (
    <section aria-label={say('Your own boil')} className="mt-4 max-w-md border-t border-line pt-4">
      <h2 className="text-2xl">{say('Your own boil')}</h2>
      <p className="text-faint">{say('Put on just this much, in this pot, at full heat, and look at the clock.')}</p>
      <Dial
        label={say('It took')}
        value={took}
        least={1}
        most={40}
        step={0.25}
        says={sayClock(took)}
        onChange={setTook}
      />
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <Button look="strong" onClick={() => void keep(wattsFromBoil(question, took))}>
          {say('Keep it for this burner')}
        </Button>
        {burner.watts !== undefined && (
          <Button look="quiet" onClick={() => void keep(null)}>
            {say('forget the boil')}
          </Button>
        )}
        <span role="status" className="text-faint">
          {told}
        </span>
      </div>
    </section>
  );
}
