'use client';

import { Radio, RadioGroup } from '@headlessui/react';
import { useState } from 'react';
import type { Vessel } from '@/core/kitchen/kitchen';
import {
  CREWS,
  type KitchenAnswers,
  MOST_FIRST_BURNERS,
  type OvenChoice,
  POT_SETS,
  type PotSet,
  potsOf,
  USUAL_ANSWERS,
} from '@/core/kitchen/usual';
import { say, term } from '@/core/say/say';
import { pantry } from '@/store/db';
import { createKitchen } from '@/store/kitchens';
import { Button } from '@/ui/button';
import { Pills } from '@/ui/pills';

const ovenWords = (): readonly (readonly [OvenChoice, string])[] => [
  ['none', say('none')],
  ['small', say('a small one')],
  ['usual', say('one with two shelves')],
  ['two', say('two ovens')],
];

const potWords = (): Readonly<Record<PotSet, string>> => ({
  few: say('a few'),
  usual: say('as most have'),
  many: say('for large tables'),
});

interface QuestionsProps {
  /** The kitchen is stored; its id. */
  readonly onMade: (id: string) => void;
}

/** What a first run asks of a kitchen; one press takes the usual for all of it. */
export function Questions({ onMade }: QuestionsProps) {
  const [answers, setAnswers] = useState(USUAL_ANSWERS);
  const [busy, setBusy] = useState(false);
  const set = (part: Partial<KitchenAnswers>) => setAnswers((now) => ({ ...now, ...part }));
  const make = async (said: KitchenAnswers) => {
    setBusy(true);
    try {
      onMade(await createKitchen(pantry(), said, Date.now()));
    } finally {
      setBusy(false);
    }
  };
  const counts = Array.from({ length: MOST_FIRST_BURNERS }, (_, index) => String(index + 1));
  return (
    <div className="grid max-w-4xl gap-5">
      <div className="flex flex-wrap gap-x-10 gap-y-4">
        <Pills
          label={say('Burners')}
          value={String(answers.burners)}
          options={counts.map((count) => [count, count] as const)}
          onChange={(count) => set({ burners: Number(count) })}
        />
        <Pills label={say('Oven')} value={answers.oven} options={ovenWords()} onChange={(oven) => set({ oven })} />
        <Pills
          label={say('Who is in it')}
          value={answers.crew}
          options={CREWS.map((crew) => [crew, term(crew)] as const)}
          onChange={(crew) => set({ crew })}
        />
      </div>
      <RadioGroup value={answers.pots} onChange={(pots: PotSet) => set({ pots })} aria-label={say('Pots and pans')}>
        <span className="block text-sm text-faint">{say('Pots and pans')}</span>
        <div className="mt-1 grid gap-3 md:grid-cols-3">
          {POT_SETS.map((set) => (
            <Radio
              key={set}
              value={set}
              className="cursor-pointer rounded-lg border-2 border-line bg-paper p-3 data-checked:border-ink"
            >
              <PotPicture pots={potsOf(set)} />
              <span className="mt-2 block font-semibold">{potWords()[set]}</span>
              <span className="block text-sm text-faint">{countsOf(potsOf(set))}</span>
            </Radio>
          ))}
        </div>
      </RadioGroup>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <Button look="strong" disabled={busy} onClick={() => void make(answers)}>
          {say('Make this kitchen')}
        </Button>
        <Button look="quiet" disabled={busy} onClick={() => void make(USUAL_ANSWERS)}>
          {say('skip: a usual kitchen will do')}
        </Button>
        <span className="text-faint">{say('All of it can be changed later.')}</span>
      </div>
    </div>
  );
}

function sayCount(kind: Vessel['kind'], count: number): string {
  switch (kind) {
    case 'pot':
      return say('{count, plural, one {# pot} other {# pots}}', { count });
    case 'pan':
      return say('{count, plural, one {# pan} other {# pans}}', { count });
    case 'casserole':
      return say('{count, plural, one {# casserole} other {# casseroles}}', { count });
    case 'tray':
      return say('{count, plural, one {# tray} other {# trays}}', { count });
    default:
      return say('{count, plural, one {# bowl} other {# bowls}}', { count });
  }
}

/** "3 pots, 2 pans, 2 trays, 5 bowls". */
function countsOf(pots: readonly Vessel[]): string {
  const kinds = [...new Set(pots.map(({ kind }) => kind))];
  return kinds
    .map((kind) => {
      const count = pots.filter((pot) => pot.kind === kind).reduce((sum, pot) => sum + pot.count, 0);
      return sayCount(kind, count);
    })
    .join(say(', '));
}

/** A picture of two shelves, in its own units; a centimetre is at most so many of them. */
const PICTURE = { width: 300, shelf: 56, scale: 1.5, between: 6 };

/** The pots and pans of a set in outline, as wide and as high as they are beside each other: pots above, all else below. */
function PotPicture({ pots }: { readonly pots: readonly Vessel[] }) {
  const all = pots.filter(({ kind }) => kind !== 'bowl').flatMap((pot) => Array.from({ length: pot.count }, () => pot));
  const shelves = [all.filter(({ kind }) => kind === 'pot'), all.filter(({ kind }) => kind !== 'pot')];
  const room = (row: readonly Vessel[]) => PICTURE.width - PICTURE.between * row.length;
  const scale = Math.min(
    PICTURE.scale,
    ...shelves.map((row) => room(row) / row.reduce((sum, { widthCm }) => sum + widthCm, 0)),
  );
  return (
    <svg viewBox={`0 0 ${PICTURE.width} ${2 * PICTURE.shelf + 2}`} className="block w-full text-ink" aria-hidden>
      {shelves.map((row, shelf) => {
        const floor = (shelf + 1) * PICTURE.shelf;
        const lefts = row.map((_, index) =>
          row.slice(0, index).reduce((sum, { widthCm }) => sum + widthCm * scale + PICTURE.between, 0),
        );
        const shapes = row.map((pot, index) =>
          outline(pot.kind, lefts[index]!, floor - 1.5, pot.widthCm * scale, heightCm(pot) * scale),
        );
        return (
          <g key={floor} fill="none" stroke="currentColor" strokeLinejoin="round" strokeLinecap="round">
            <path d={shapes.join('')} strokeWidth="1.6" />
            <path d={`M0 ${floor}H${PICTURE.width}`} strokeWidth="1" opacity="0.5" />
          </g>
        );
      })}
    </svg>
  );
}

/** As a cylinder of its litres and width. */
function heightCm({ litres, widthCm }: Vessel): number {
  return (litres * 1000) / (Math.PI * (widthCm / 2) ** 2);
}

/** From the side: two ears on a pot, a handle on a pan, slanted walls on a tray. */
function outline(kind: Vessel['kind'], x: number, floor: number, width: number, height: number): string {
  const top = floor - Math.max(5, height);
  const right = x + width;
  const box = `M${x + 3} ${top}V${floor}H${right - 3}V${top}`;
  if (kind === 'pan')
    return `M${x} ${top}L${x + 3} ${floor}H${right - 13}L${right - 10} ${top}ZM${right - 10} ${top}L${right} ${top - 3}`;
  if (kind === 'tray') return `M${x} ${top}L${x + 2} ${floor}H${right - 2}L${right} ${top}`;
  const lid = `M${x + 2} ${top}Q${(x + right) / 2} ${top - 7} ${right - 2} ${top}Z`;
  return `${box}${lid}M${x + 3} ${top + 4}H${x}M${right - 3} ${top + 4}H${right}`;
}
