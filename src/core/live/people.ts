import type { Person } from '@/core/kitchen/kitchen';
import type { Cue } from './cues';
import type { LiveStep, Session } from './session';
import type { Stove } from './stove';

/** One pair of hands at an instant. */
export interface AtWork {
  readonly person: Person;
  /** What they do; null while they are free. */
  readonly doing: LiveStep | null;
  /** What they do next; null where nothing is left for them. */
  readonly next: LiveStep | null;
}

/** What everybody in the kitchen is doing. `steps`: what every step is doing. */
export function peopleAt({ meal }: Pick<Session, 'meal'>, steps: readonly LiveStep[]): readonly AtWork[] {
  return meal.kitchen.people.map((person) => {
    const own = steps.filter(({ step }) => step.attention === 'hands' && step.person?.id === person.id);
    const coming = own
      .filter(({ status }) => status === 'waiting' || status === 'due')
      .sort((a, b) => a.startAt - b.startAt);
    return {
      person,
      doing: own.find(({ status, stands }) => status === 'running' && !stands) ?? null,
      next: coming[0] ?? null,
    };
  });
}

/** Whose a step is: that of its hands; a pot that wants none is the first cook's. */
export function isFor({ step }: Pick<LiveStep, 'step'>, personId: string, people: readonly Person[]): boolean {
  if (step.attention === 'hands' && step.person) return step.person.id === personId;
  return people.find(({ role }) => role === 'cook')?.id === personId;
}

/** The stove as one of several people has it before them: their own work, and the pots if they are the first cook. */
export function stoveFor(stove: Stove, personId: string, people: readonly Person[]): Stove {
  const own = (live: LiveStep) => isFor(live, personId, people);
  return { ...stove, now: stove.now.filter(own), watching: stove.watching.filter(own), next: stove.next.filter(own) };
}

/** The calls that are for one of several people; danger is for all. */
export function cuesFor(
  cues: readonly Cue[],
  steps: readonly LiveStep[],
  personId: string,
  people: readonly Person[],
): readonly Cue[] {
  const mine = (key: string) => {
    const live = steps.find(({ step }) => step.key === key);
    return live !== undefined && isFor(live, personId, people);
  };
  return cues.filter(({ kind, keys }) => kind === 'danger' || keys.some(mine));
}
