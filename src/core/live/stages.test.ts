import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import type { PlannedStep } from '@/core/plan/plan';
import type { LiveStep } from './session';
import { ladderOf, lookAt, lookedAtStage, sayAtStage, stageOf, untilAtStage } from './stages';
import { planned } from './testing/by-hand';

const MINUTE = 60_000;
const START = Date.UTC(2026, 10, 28, 18, 0);

const stepOf = (change: Partial<PlannedStep>) =>
  planned('d/s', -60, -44, {
    name: 'onions',
    says: 'Fry the onions.',
    shortestEnd: -47,
    longestEnd: -40,
    attention: 'hands',
    heat: 'medium',
    doneWhen: 'brown',
    ...change,
  });
const liveOf = (step: PlannedStep, told: Partial<LiveStep['told']> = {}): LiveStep => ({
  step,
  status: 'running',
  startAt: START,
  endAt: START + step.minutes * MINUTE,
  told: { pauses: [], water: 0, ...told },
});
const onions = ladderOf(stepOf({}))!;
const minutesAt = (ladder: typeof onions, live: LiveStep, stage: string, gone: number) => {
  const index = ladder.stages.findIndex(({ id }) => id === stage);
  return (untilAtStage(live, ladder, index, START + gone * MINUTE) - START) / MINUTE;
};

describe('signs in stages', () => {
  it('are read from the sign of a step, as cooks put it', () => {
    const of = (doneWhen: string, more: Partial<PlannedStep> = {}) => {
      const ladder = ladderOf(stepOf({ name: 'simmer', says: 'Simmer.', doneWhen, ...more }));
      return ladder && `${ladder.id}: ${ladder.stages[ladder.target]!.id}`;
    };
    expect(of('a fork turns in it without lifting it')).toBe('fork: turns');
    expect(of('the meat comes off the bone')).toBe('fork: turns');
    expect(of('no bubbling to be heard, small craters on top')).toBe('listen: quiet');
    expect(of('the surface is dry with small craters')).toBe('grain: craters');
    expect(of('soft outside, a white point inside')).toBe('parboil: point');
    expect(of('it bends, and breaks with a snap')).toBe('parboil: bends');
    expect(of('the raw smell is gone')).toBe('raw: sweet');
    expect(of('thick, and no more sour')).toBe('thick: thick');
    expect(of('it falls apart when stirred')).toBe('soft: falls');
    expect(of('the peas crush against the pot')).toBe('soft: soft');
    expect(of('no more bubbling to be heard')).toBe('listen: quiet');
    expect(of('it sounds hollow')).toBe('loaf: hollow');
    expect(of('it bubbles all over')).toBe('boil: rolls');
    const softened = { name: 'soften onion', says: 'Soften the leeks in the fat without colour.' };
    expect(of('soft and clear', softened)).toBe('onions: glassy');
    // A colour that only the instruction names, or only the minutes show.
    expect(of('the colour that is wanted', { name: 'onions', says: 'Fry the onions to dark brown.' })).toBe(
      'onions: dark',
    );
    expect(of('the colour that is wanted', { name: 'onions', says: 'The onions to their colour.', minutes: 9 })).toBe(
      'onions: golden',
    );
    // By a thermometer, a clock, or off the heat there is nothing to grade.
    expect(of('74 °C at the thickest part')).toBeNull();
    expect(of('10 minutes of full boil are over')).toBeNull();
    expect(of('tender', { station: { id: 'shelf', sort: 'shelf', name: 'Shelf' } })).toBeNull();
    expect(of('')).toBeNull();
  });

  it('are there for most of what the shelf has on the heat, and each wants a stage that can be reached', () => {
    let with_ = 0;
    let all = 0;
    for (const dish of SHELF) {
      for (const { name, says, doneWhen, minutes, place } of dish.steps) {
        if (place.at !== 'burner' || doneWhen === '' || /\d/.test(doneWhen)) continue;
        all++;
        const ladder = ladderOf(stepOf({ name, says, doneWhen, minutes: minutes.likely }));
        if (!ladder) continue;
        with_++;
        expect(ladder.target, `${dish.name}: ${name}`).toBeGreaterThan(0);
        expect(ladder.stages.map(({ at }) => at)).toEqual(ladder.stages.map(({ at }) => at).toSorted((a, b) => a - b));
      }
    }
    expect(with_ / all).toBeGreaterThan(0.75);
  });

  it('say nothing new where they agree with what was thought', () => {
    const live = liveOf(stepOf({}));
    // Golden at ten minutes, brown at fifteen: sixteen are planned.
    expect(minutesAt(onions, live, 'glassy', 6)).toBe(16);
    expect(minutesAt(onions, live, 'golden', 11)).toBe(16);
    expect(minutesAt(onions, live, 'raw', 2)).toBe(16);
  });

  it('move the end where they do not: onions that take twice as long are told at the first look', () => {
    const live = liveOf(stepOf({}));
    const late = minutesAt(onions, live, 'glassy', 16);
    expect(late).toBeGreaterThan(24);
    expect(late).toBeLessThan(33);
    const raw = minutesAt(onions, live, 'raw', 8);
    expect(raw).toBeGreaterThan(29);
    // Sooner, too.
    expect(minutesAt(onions, live, 'golden', 5)).toBeLessThan(9);
  });

  it('never end in the past, and never before what safety asks for', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 3 }),
        fc.double({ min: 0, max: 200, noNaN: true }),
        fc.integer({ min: 0, max: 60 }),
        (stage, gone, safeMinutes) => {
          const step = stepOf({ doneWhen: 'dark brown', ...(safeMinutes > 0 ? { safeMinutes } : {}) });
          const ladder = ladderOf(step)!;
          const now = START + gone * MINUTE;
          const until = untilAtStage(liveOf(step), ladder, stage, now);
          expect(until).toBeGreaterThanOrEqual(now + MINUTE - 1);
          expect(until).toBeGreaterThanOrEqual(START + safeMinutes * MINUTE);
          expect(Number.isFinite(until)).toBe(true);
        },
      ),
    );
    // What was put aside does not count.
    const paused = liveOf(stepOf({}), { pauses: [{ from: START, to: START + 20 * MINUTE }] });
    expect(minutesAt(onions, { ...paused, endAt: START + 36 * MINUTE }, 'golden', 31)).toBe(36);
  });

  it('say what comes next: how long more, what stops it, what saves it', () => {
    const at = (id: string) => onions.stages.findIndex((stage) => stage.id === id);
    expect(sayAtStage(onions, at('golden'), 5.4)).toBe('About 5 min more until: brown.');
    expect(sayAtStage(onions, at('brown'), 0)).toMatch(/splash of water stops them/);
    expect(sayAtStage(onions, at('dark'), 0)).toMatch(/black ones come out/);
    expect(lookAt(onions, at('glassy'))).toBe('not there');
    expect(lookAt(onions, at('golden'))).toBe('nearly');
    expect(lookAt(onions, at('brown'))).toBe('there');
    const event = lookedAtStage(liveOf(stepOf({})), onions, at('golden'), START + 11 * MINUTE);
    expect(event).toMatchObject({ look: 'nearly', stage: 'golden', until: START + 16 * MINUTE });
    expect(stageOf(liveOf(stepOf({}), { stage: 'golden' }), onions)).toBe(at('golden'));
    expect(stageOf(liveOf(stepOf({})), onions)).toBeNull();
  });
});
