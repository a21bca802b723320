'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { GRAINS, grainOf, litresDry } from '@/core/grain/grains';
import { litresInPot } from '@/core/grain/rules';
import { batchBand, LAYERS, type Layer } from '@/core/kitchen/floor';
import { type Fit, fitOf, plateFor, STRAIGHT_NEEDS } from '@/core/kitchen/in-the-pot';
import { printAmount } from '@/core/units/amount';
import { pantry } from '@/store/db';
import { Choice, Dial, LitresDial, Pick, Question, WidthDial } from './dial';
import { useDishAtHand } from './from-dish';
import { sayLitres, sayVolume } from './say';

type What = 'grain' | 'liquid' | 'layer' | 'turned';

const grams = (quantity: number) => printAmount({ quantity, unit: 'g' });

/** Whether so much fits this pot, how many batches this pan wants, and which of the kitchen's vessels will do. */
export function FitsThePot() {
  const [what, setWhat] = useState<What>('grain');
  return (
    <>
      <div className="mb-4">
        <Choice
          label="What goes in"
          value={what}
          options={[
            ['grain', 'grain in its liquid'],
            ['liquid', 'soup, stew or stock'],
            ['layer', 'one layer, to brown'],
            ['turned', 'to be turned out'],
          ]}
          onChange={setWhat}
        />
      </div>
      {what === 'grain' && <GrainFits />}
      {what === 'liquid' && <LiquidFits />}
      {what === 'layer' && <LayerFits />}
      {what === 'turned' && <TurnedOut />}
    </>
  );
}

function GrainFits() {
  const dish = useDishAtHand();
  const [grainId, setGrain] = useState(dish?.grain.kind ?? GRAINS[0]!.id);
  const [dry, setDry] = useState(Math.round((dish?.grams ?? 400) / 10) * 10);
  const [litres, setLitres] = useState(Math.max(0.25, Math.round((dish?.litres ?? 0.75) * 4) / 4));
  const grain = grainOf(grainId);
  const wanted = litresInPot(grain, dry, litres);
  return (
    <Question
      controls={
        <>
          <Pick label="Grain" value={grainId} options={GRAINS.map(({ id, name }) => [id, name])} onChange={setGrain} />
          <Dial
            label={`Dry grain, ${sayVolume(litresDry(grain, dry))}`}
            value={dry}
            least={50}
            most={3000}
            step={10}
            says={grams(dry)}
            onChange={setDry}
          />
          <LitresDial label="Liquid" value={litres} onChange={setLitres} />
        </>
      }
    >
      <Wanted
        litres={wanted}
        why={`swollen to ${sayVolume(litresDry(grain, dry) * grain.swells)}, with room to foam`}
      />
    </Question>
  );
}

function LiquidFits() {
  const [litres, setLitres] = useState(3);
  return (
    <Question
      controls={
        <Dial
          label="In all"
          value={litres}
          least={0.5}
          most={20}
          step={0.5}
          says={sayLitres(litres)}
          onChange={setLitres}
        />
      }
    >
      <Wanted litres={litres * 1.25} why="with a quarter more as room to bubble and stir" />
    </Question>
  );
}

/** Litres a pot must hold, and how each of the cook's pots stands to that. */
function Wanted({ litres, why }: { readonly litres: number; readonly why: string }) {
  const kitchens = useLiveQuery(() => pantry().kitchens.toArray(), []) ?? [];
  const [chosen, setKitchen] = useState('');
  const dish = useDishAtHand();
  const kitchen = kitchens.find(({ id }) => id === (chosen || dish?.meal.kitchen.id)) ?? kitchens[0];
  const pots = (kitchen?.vessels ?? [])
    .filter(({ kind, count }) => count > 0 && (kind === 'pot' || kind === 'casserole'))
    .map((vessel) => ({ vessel, fit: fitOf(litres, vessel.litres) }))
    .sort((a, b) => a.vessel.litres - b.vessel.litres);
  const best = pots.find(({ fit }) => fit === 'fits');
  return (
    <>
      <p className="font-title text-6xl" data-testid="pot-litres">
        {sayLitres(Math.ceil(litres * 4) / 4)}
      </p>
      <p className="text-xl">is what the pot must hold, {why}.</p>
      {kitchen && (
        <>
          {kitchens.length > 1 && (
            <Pick
              label="Kitchen"
              value={kitchen.id}
              options={kitchens.map((each) => [each.id, each.name])}
              onChange={setKitchen}
            />
          )}
          <ul className="max-w-xl" data-testid="pots">
            {pots.map(({ vessel, fit }) => (
              <li key={vessel.id} className="flex justify-between gap-4 border-t border-line py-1.5">
                <span className={vessel === best?.vessel ? 'font-semibold' : ''}>
                  {vessel.name}, {sayLitres(vessel.litres)}
                </span>
                <span className={fit === 'too small' ? 'text-warn' : 'text-faint'}>
                  {vessel === best?.vessel ? 'this one' : FIT_WORDS[fit]}
                </span>
              </li>
            ))}
          </ul>
          {!best && (
            <p className="max-w-xl">
              None holds it. Share it out between two pots, cook half as much twice, or borrow one of{' '}
              {sayLitres(Math.ceil(litres * 2) / 2)}.
            </p>
          )}
        </>
      )}
    </>
  );
}

const FIT_WORDS: Readonly<Record<Fit, string>> = {
  fits: 'fits too',
  'too small': 'would boil over',
  'far too large': 'fits, but so shallow that it dries out',
};

function LayerFits() {
  const [layer, setLayer] = useState<Layer>('diced meat');
  const [weight, setWeight] = useState(1200);
  const [width, setWidth] = useState(28);
  const [fewest, batches, most] = batchBand(layer, weight, width);
  return (
    <Question
      controls={
        <>
          <Choice
            label="What lies in the pan"
            value={layer}
            options={(Object.keys(LAYERS) as Layer[]).map((each) => [each, each])}
            onChange={setLayer}
          />
          <Dial
            label="In all"
            value={weight}
            least={100}
            most={6000}
            step={50}
            says={grams(weight)}
            onChange={setWeight}
          />
          <WidthDial label="Pan, across" value={width} least={18} onChange={setWidth} />
        </>
      }
    >
      <p className="font-title text-6xl" data-testid="batches">
        {batches === 1 ? 'one batch' : `${batches} batches`}
      </p>
      <p className="text-xl">
        {batches === 1 ? 'It lies in one layer.' : `About ${grams(weight / batches)} at a time, in one layer.`}
        {fewest !== most && ` As it is cut, ${fewest} to ${most}.`} What lies closer steams instead of browning.
      </p>
      <p className="border-s-3 border-warn ps-2 text-warn">
        Dry it first and lay it in away from you: wet food in hot fat spits.
      </p>
    </Question>
  );
}

function TurnedOut() {
  const [width, setWidth] = useState(22);
  const [litres, setLitres] = useState(2.5);
  return (
    <Question
      controls={
        <>
          <WidthDial label="Pot, across" value={width} most={36} onChange={setWidth} />
          <LitresDial label="In it" value={litres} least={0.5} most={8} onChange={setLitres} />
        </>
      }
    >
      <p className="font-title text-6xl" data-testid="plate">
        {plateFor(width)} cm
      </p>
      <p className="text-xl">across, at least, is what the flat dish must be: wider than the rim all round.</p>
      <p className="max-w-xl">
        The pot {STRAIGHT_NEEDS}. Upside down it weighs about {Math.round(litres + 2)} kg with all in it.
      </p>
      <p className="border-s-3 border-warn ps-2 text-warn">
        Hot and heavy: two dry cloths, dish and pot held tight together, one turn away from you. Two people for a large
        one.
      </p>
    </Question>
  );
}
