'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { GRAINS, grainOf, litresDry } from '@/core/grain/grains';
import { litresInPot } from '@/core/grain/rules';
import { batchBand, LAYERS, type Layer } from '@/core/kitchen/floor';
import { type Fit, fitOf, plateFor, STRAIGHT_NEEDS } from '@/core/kitchen/in-the-pot';
import { say, term } from '@/core/say/say';
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
          label={say('What goes in')}
          value={what}
          options={[
            ['grain', say('grain in its liquid')],
            ['liquid', say('soup, stew or stock')],
            ['layer', say('one layer, to brown')],
            ['turned', say('to be turned out')],
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
          <Pick
            label={say('Grain')}
            value={grainId}
            options={GRAINS.map(({ id, name }) => [id, term(name)])}
            onChange={setGrain}
          />
          <Dial
            label={say('Dry grain, {volume}', { volume: sayVolume(litresDry(grain, dry)) })}
            value={dry}
            least={50}
            most={3000}
            step={10}
            says={grams(dry)}
            onChange={setDry}
          />
          <LitresDial label={say('Liquid')} value={litres} onChange={setLitres} />
        </>
      }
    >
      <Wanted
        litres={wanted}
        why={say('swollen to {volume}, with room to foam', { volume: sayVolume(litresDry(grain, dry) * grain.swells) })}
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
          label={say('In all')}
          value={litres}
          least={0.5}
          most={20}
          step={0.5}
          says={sayLitres(litres)}
          onChange={setLitres}
        />
      }
    >
      <Wanted litres={litres * 1.25} why={say('with a quarter more as room to bubble and stir')} />
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
      <p className="text-xl">{say('is what the pot must hold, {why}.', { why })}</p>
      {kitchen && (
        <>
          {kitchens.length > 1 && (
            <Pick
              label={say('Kitchen')}
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
                  {vessel === best?.vessel ? say('this one') : fitWords()[fit]}
                </span>
              </li>
            ))}
          </ul>
          {!best && (
            <p className="max-w-xl">
              {say(
                'None holds it. Share it out between two pots, cook half as much twice, or borrow one of {litres}.',
                { litres: sayLitres(Math.ceil(litres * 2) / 2) },
              )}
            </p>
          )}
        </>
      )}
    </>
  );
}

const fitWords = (): Readonly<Record<Fit, string>> => ({
  fits: say('fits too'),
  'too small': say('would boil over'),
  'far too large': say('fits, but so shallow that it dries out'),
});

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
            label={say('What lies in the pan')}
            value={layer}
            options={(Object.keys(LAYERS) as Layer[]).map((each) => [each, term(each)])}
            onChange={setLayer}
          />
          <Dial
            label={say('In all')}
            value={weight}
            least={100}
            most={6000}
            step={50}
            says={grams(weight)}
            onChange={setWeight}
          />
          <WidthDial label={say('Pan, across')} value={width} least={18} onChange={setWidth} />
        </>
      }
    >
      <p className="font-title text-6xl" data-testid="batches">
        {batches === 1 ? say('one batch') : say('{batches} batches', { batches })}
      </p>
      <p className="text-xl">
        {say('{lots}{range} What lies closer steams instead of browning.', {
          lots:
            batches === 1
              ? say('It lies in one layer.')
              : say('About {grams} at a time, in one layer.', { grams: grams(weight / batches) }),
          range: fewest === most ? '' : say(' As it is cut, {fewest} to {most}.', { fewest, most }),
        })}
      </p>
      <p className="border-s-3 border-warn ps-2 text-warn">
        {say('Dry it first and lay it in away from you: wet food in hot fat spits.')}
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
          <WidthDial label={say('Pot, across')} value={width} most={36} onChange={setWidth} />
          <LitresDial label={say('In it')} value={litres} least={0.5} most={8} onChange={setLitres} />
        </>
      }
    >
      <p className="font-title text-6xl" data-testid="plate">
        {say('{width} cm', { width: plateFor(width) })}
      </p>
      <p className="text-xl">{say('across, at least, is what the flat dish must be: wider than the rim all round.')}</p>
      <p className="max-w-xl">
        {say('The pot {needs}. Upside down it weighs about {litres} kg with all in it.', {
          needs: say(STRAIGHT_NEEDS),
          litres: Math.round(litres + 2),
        })}
      </p>
      <p className="border-s-3 border-warn ps-2 text-warn">
        {say(
          'Hot and heavy: two dry cloths, dish and pot held tight together, one turn away from you. Two people for a large one.',
        )}
      </p>
    </Question>
  );
}
