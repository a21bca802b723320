'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { X } from 'lucide-react';
import { useState } from 'react';
import { say } from '@/core/say/say';
import { LEAST_OWN, MEASURES, type Measure, MOST_OWN, measureOf, measureOfOwn, ownFault } from '@/core/units/measures';
import { pantry } from '@/store/db';
import { Button } from '@/ui/button';
import { Field } from '@/ui/field';
import { manner } from '@/ui/told/manner';
import { Dial } from '@/views/bench/dial';

/** All measures, the cook's own first. */
export function useMeasures(): readonly Measure[] {
  const own = useLiveQuery(() => pantry().measures.toArray(), []) ?? [];
  return [...own.map(measureOfOwn), ...MEASURES];
}

/** What a mug holds, as finely as it was measured: "300 ml", "10.1 fl oz". */
function sayExactly(millilitres: number): string {
  if (manner().amounts !== 'american') return say('{millilitres} ml', { millilitres });
  return say('{millilitres} fl oz', { millilitres: (millilitres / measureOf('floz-us').size).toFixed(1) });
}

/** Mugs and tins of the cook's own: measured once, and from then on to be had wherever an amount is said. */
export function OwnMeasures() {
  const own = useLiveQuery(() => pantry().measures.toArray(), []) ?? [];
  const [name, setName] = useState('');
  const [millilitres, setMillilitres] = useState(300);
  const [told, setTold] = useState('');
  const keep = async () => {
    const fault = ownFault({ name, millilitres });
    setTold(fault ?? '');
    if (fault) return;
    await pantry().measures.put({ id: `${Date.now()}`, name: name.trim(), millilitres });
    setName('');
  };
  return (
    <section aria-label={say('Your own measures')} className="grid content-start gap-2">
      <h2 className="text-2xl">{say('Your own measures')}</h2>
      <p className="max-w-md text-faint" data-verbatim>
        {say(
          'Fill your mug or tin with water, pour it into a jug or on a scale (a gram is a millilitre, an ounce nearly a fluid ounce), and it measures from then on.',
        )}
      </p>
      {own.length > 0 && (
        <ul className="max-w-md">
          {own.map((each) => (
            <li key={each.id} className="flex items-center justify-between border-t border-line py-1">
              {each.name}
              <span className="flex items-center gap-2 font-semibold">
                <span data-verbatim>{sayExactly(each.millilitres)}</span>
                <button
                  type="button"
                  aria-label={say('Forget {each}', { each: each.name })}
                  className="grid size-10 place-items-center rounded-lg hover:bg-soft"
                  onClick={() => void pantry().measures.delete(each.id)}
                >
                  <X size={18} aria-hidden />
                </button>
              </span>
            </li>
          ))}
        </ul>
      )}
      <div className="max-w-md">
        <Field
          label={say('Name')}
          type="text"
          value={name}
          maxLength={60}
          placeholder={say('the blue mug')}
          className="h-12 w-full text-lg"
          onChange={(event) => setName(event.target.value)}
        />
      </div>
      <div className="max-w-md">
        <Dial
          label={say('It holds')}
          value={millilitres}
          least={LEAST_OWN}
          most={Math.min(1500, MOST_OWN)}
          step={5}
          says={sayExactly(millilitres)}
          verbatim
          onChange={setMillilitres}
        />
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <Button look="strong" onClick={() => void keep()}>
          {say('Keep this measure')}
        </Button>
        {told && (
          <span role="alert" className="text-warn">
            {told}
          </span>
        )}
      </div>
    </section>
  );
}
