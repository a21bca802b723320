'use client';

import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import type { PlannedStep, Station } from '@/core/plan/plan';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import { type Hand, isPinned } from './use-hand';

const NUDGES = [-5, -1, 1, 5];

interface ByHandProps {
  readonly hand: Hand;
  readonly step: PlannedStep;
  readonly stations: readonly Station[];
}

/** Moves the chosen step by minutes or to another burner, keeps it there or lets it move. */
export function ByHand({ hand, step, stations }: ByHandProps) {
  const choices = step.choices.flatMap((id) => stations.find((station) => station.id === id) ?? []);
  const pinned = isPinned(hand.pins, step);
  return (
    <div className="flex flex-wrap items-center gap-1.5 text-sm sm:max-w-68" data-testid="by-hand">
      {NUDGES.map((by) => (
        <Button
          key={by}
          aria-label={
            by < 0 ? say('{by} min earlier', { by: Math.abs(by) }) : say('{by} min later', { by: Math.abs(by) })
          }
          onClick={() => hand.nudge(step, by)}
        >
          {by < 0 ? '−' : '+'}
          {Math.abs(by)}
        </Button>
      ))}
      <span>{say('min')}</span>
      {choices.length > 1 && (
        <Listbox
          value={step.station.id}
          disabled={hand.busy}
          onChange={(unit: string) => unit !== step.station.id && hand.move({ key: step.key, unit })}
        >
          <ListboxButton
            aria-label={say('Stands on {station}; choose another', { station: step.station.name })}
            className="inline-flex min-h-10 items-center gap-1.5 rounded-lg bg-soft px-3 disabled:opacity-50"
          >
            {step.station.name} <ChevronDown size={15} aria-hidden />
          </ListboxButton>
          <ListboxOptions anchor="top start" className="z-20 rounded-lg border border-line bg-paper p-1 shadow-lg">
            {choices.map(({ id, name }) => (
              <ListboxOption
                key={id}
                value={id}
                className="min-h-10 cursor-pointer rounded px-3 py-2 data-focus:bg-soft data-selected:font-semibold"
              >
                {name}
              </ListboxOption>
            ))}
          </ListboxOptions>
        </Listbox>
      )}
      {pinned ? (
        <Button disabled={hand.busy} onClick={() => hand.letGo(step)}>
          {say('Let it move')}
        </Button>
      ) : (
        <Button disabled={hand.busy} onClick={() => hand.move(placeOf(step))}>
          {say('Keep it here')}
        </Button>
      )}
    </div>
  );
}

/** A step's own place, to keep it there. */
export function placeOf({ key, start, choices, station }: PlannedStep) {
  return choices.length > 1 ? { key, start, unit: station.id } : { key, start };
}

/** The burner after the one a step stands on; null when there is no other. */
export function nextBurner({ choices, station }: PlannedStep): string | null {
  const other = choices[(choices.indexOf(station.id) + 1) % choices.length];
  return other === undefined || other === station.id ? null : other;
}
