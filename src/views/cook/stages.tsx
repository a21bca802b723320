'use client';

import type { LiveStep } from '@/core/live/session';
import { type Ladder, type LadderId, sayAtStage, stageOf } from '@/core/live/stages';
import { say } from '@/core/say/say';
import type { Telling } from './use-session';

/** Pigments of what browns, pale to dark; each stands beside its word. */
const PIGMENTS: Partial<Readonly<Record<LadderId, readonly string[]>>> = {
  onions: ['#f1ead2', '#dfd19a', '#cf9a3c', '#86501f', '#43260f'],
  crust: ['#e9cdb8', '#cf9a3c', '#86501f', '#43260f'],
  loaf: ['#efe0bd', '#d6a04a', '#8f5722', '#43260f'],
  roast: ['#ecd3b6', '#cf9a3c', '#86501f', '#43260f'],
};

interface StagesProps {
  readonly live: LiveStep;
  readonly ladder: Ladder;
  readonly told: Pick<Telling, 'staged'>;
  readonly now: number;
}

/** What the pot shows, one word beside the other; the one that is wanted is marked. One press says it, and what comes next stands below. */
export function Stages({ live, ladder, told, now }: StagesProps) {
  const { step } = live;
  const shown = stageOf(live, ladder);
  const pigments = PIGMENTS[ladder.id];
  return (
    <fieldset aria-label={`${ladder.asks} ${step.name}, ${step.dishName}`} className="mt-3" data-testid="stages">
      <p className="text-2xl text-ember">{ladder.asks}</p>
      <div className="mt-2 grid auto-cols-fr grid-flow-col gap-1.5">
        {ladder.stages.map((stage, index) => (
          <button
            key={stage.id}
            type="button"
            aria-pressed={index === shown}
            className={`flex min-h-18 flex-col items-stretch justify-between rounded-lg bg-soft px-2 py-2 text-start text-lg leading-tight text-ink sm:text-xl ${index === shown ? 'outline-3 outline-ember' : ''}`}
            onClick={() => told.staged(live, ladder, index)}
          >
            {pigments && (
              <span
                aria-hidden
                className="mb-1.5 block h-4 w-full rounded-sm"
                style={{ background: pigments[index] }}
              />
            )}
            <span>{stage.says}</span>
            {index === ladder.target && <span className="mt-1 text-base text-ember">{say('wanted')}</span>}
          </button>
        ))}
      </div>
      {shown !== null && (
        <p className="mt-2 text-xl" role="status">
          {sayAtStage(ladder, shown, (live.endAt - now) / 60_000)}
        </p>
      )}
    </fieldset>
  );
}
