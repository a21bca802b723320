import { describe, expect, it } from 'vitest';
import { copiesOf } from './copies';
import { Draft } from './draft';
import { indexProblem } from './indexed';
import { idealStarts } from './list';
import type { Problem } from './problem';

const BURNERS = Array.from({ length: 12 }, (_, k) => ({ id: `burner ${k}` }));
const POTS = Array.from({ length: 60 }, (_, k) => ({ id: `pot ${k}` }));

/** A dozen pots on a dozen burners, all in the same ten minutes. */
function canteen(change: Partial<Problem> = {}): Problem {
  const free = (ids: readonly { id: string }[]) => ids.map(({ id }) => ({ id, cost: 0 }));
  return {
    format: 'warm-cadence/problem',
    version: 1,
    name: 'canteen',
    horizon: 30,
    serve: 25,
    steps: Array.from({ length: 12 }, (_, k) => ({
      id: `simmer ${k}`,
      minutes: 10,
      earliest: 5,
      latest: 5,
      units: [free(BURNERS), free(POTS)],
    })),
    links: [],
    units: [...BURNERS, ...POTS],
    holds: [],
    pools: [],
    states: [],
    ready: [],
    ...change,
  } as Problem;
}

function indexed(problem: Problem) {
  const result = indexProblem(problem);
  if (!result.ok) throw new Error('This problem has no contradiction.');
  return result.indexed;
}

describe('copies of a pot', () => {
  it('are one class: burners are one, pots another', () => {
    const classes = copiesOf(indexed(canteen()));
    expect(new Set(classes.subarray(0, 12)).size).toBe(1);
    expect(new Set(classes.subarray(12)).size).toBe(1);
    expect(classes[0]).not.toBe(classes[12]);
  });

  it('are told apart by minutes away, by cost and by a rule that names one', () => {
    const away = canteen({ units: [{ id: 'burner 0', away: [[20, 25]] }, ...BURNERS.slice(1), ...POTS] });
    expect(new Set(copiesOf(indexed(away)).subarray(0, 12)).size).toBe(2);
    const steps = canteen().steps.map((step, k) =>
      k > 0
        ? step
        : {
            ...step,
            units: [step.units![0]!.map((each, b) => (b === 3 ? { ...each, cost: 1 } : each)), step.units![1]!],
          },
    );
    expect(new Set(copiesOf(indexed(canteen({ steps }))).subarray(0, 12)).size).toBe(2);
    const forbid: Problem['forbid'] = [
      [
        { step: 'simmer 0', need: 0, unit: 'burner 5' },
        { step: 'simmer 0', need: 1, unit: 'pot 7' },
      ],
    ];
    const ruled = copiesOf(indexed(canteen({ forbid })));
    expect(new Set(ruled.subarray(0, 12)).size).toBe(2);
    expect(new Set(ruled.subarray(12)).size).toBe(2);
  });

  it('leave room for every step where burners times pots are hundreds of ways', () => {
    const p = indexed(canteen());
    const draft = new Draft(p, idealStarts(p));
    for (let step = 0; step < p.n; step++) expect(draft.insert(step)).toBe(true);
  });

  it('that all differ are tried in turn, a few dozen at a time', () => {
    // Each pot at its own cost: none is another's copy, and only the last twelve are free of the lid that is away.
    const units = [
      ...BURNERS,
      ...POTS.map(({ id }, k) => ({ id, ...(k < 48 ? { away: [[4 + (k % 5), 12]] as const } : {}) })),
    ];
    const steps = canteen().steps.map((step) => ({
      ...step,
      units: [step.units![0]!, step.units![1]!.map((each, k) => ({ ...each, cost: k }))],
    }));
    const p = indexed(canteen({ units, steps } as Partial<Problem>));
    const draft = new Draft(p, idealStarts(p));
    let placed = 0;
    for (let turn = 0; turn < 40 && placed < p.n; turn++)
      for (let step = 0; step < p.n; step++) if (!draft.isPlaced(step) && draft.insert(step)) placed++;
    expect(placed).toBe(p.n);
  });
});
