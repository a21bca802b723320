import { describe, expect, it } from 'vitest';
import { indexProblem } from './indexed';
import type { Problem } from './problem';

const unit = (id: string) => ({ id, cost: 0 });

/** Fry for 10 minutes in the pan, which only one of two burners is wide enough for. */
const fry: Problem = {
  format: 'warm-cadence/problem',
  version: 1,
  horizon: 60,
  serve: 30,
  units: [{ id: 'wide' }, { id: 'narrow' }, { id: 'pan' }, { id: 'pot' }],
  pools: [],
  states: [],
  steps: [{ id: 'fry', minutes: 10, units: [[unit('narrow'), unit('wide')]] }],
  holds: [{ id: 'in', from: 'fry', to: 'fry', after: 0, units: [unit('pan')] }],
  links: [],
  ready: [],
  forbid: [
    [
      { hold: 'in', unit: 'pan' },
      { step: 'fry', need: 0, unit: 'narrow' },
    ],
  ],
};
const choices = (problem: Problem) => {
  const result = indexProblem(problem);
  if (!result.ok) return null;
  const { needs } = result.indexed;
  return needs.map(({ units }) => [...units].map((index) => problem.units[index]!.id));
};

describe('choices that no plan can make', () => {
  it('are left out: a burner too narrow for the only pan', () => {
    expect(choices(fry)).toEqual([['wide'], ['pan']]);
  });

  it('stay where another vessel would do', () => {
    const withPot: Problem = { ...fry, holds: [{ ...fry.holds[0]!, units: [unit('pan'), unit('pot')] }] };
    expect(choices(withPot)).toEqual([
      ['narrow', 'wide'],
      ['pan', 'pot'],
    ]);
  });

  it('follow from one another: without the wide burner nothing is left, and that is said', () => {
    const [step] = fry.steps;
    expect(choices({ ...fry, steps: [{ ...step!, units: [[unit('narrow')]] }] })).toBeNull();
    // The second hold leaves the first one only the pot, which again leaves the narrow burner.
    const chain: Problem = {
      ...fry,
      holds: [
        { ...fry.holds[0]!, units: [unit('pan'), unit('pot')] },
        { id: 'lid', from: 'fry', to: 'fry', after: 0, units: [unit('wide')] },
      ],
      forbid: [
        ...fry.forbid!,
        [
          { hold: 'lid', unit: 'wide' },
          { hold: 'in', unit: 'pot' },
        ],
      ],
    };
    expect(choices(chain)).toEqual([['wide'], ['pan'], ['wide']]);
  });
});
