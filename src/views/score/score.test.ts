import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Plan } from '@/core/plan/plan';
import { mealOf, plainGrain, planned } from '@/core/testing/meals';
import { SAMPLE_MEALS } from '@/demo/meals';
import { ghostOf, type Label, layOut, packLanes, scaleOf, shortName, textWidth, waitWordsWidth } from './layout';
import { ticks, timeScale } from './scale';
import { wishAt } from './use-drag';

describe('the time scale', () => {
  it('goes on with time and meets the width, whatever the moments', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -3000, max: 60 }), { minLength: 2, maxLength: 40 }),
        fc.integer({ min: 600, max: 2000 }),
        (moments, width) => {
          const scale = timeScale(moments, width, 1);
          const sorted = [...moments].sort((a, b) => a - b);
          for (const [index, minute] of sorted.entries()) {
            if (index > 0) expect(scale.x(minute)).toBeGreaterThanOrEqual(scale.x(sorted[index - 1]!) - 1e-6);
            expect(scale.minute(scale.x(minute))).toBeCloseTo(minute, 6);
          }
          expect(scale.width).toBeGreaterThan(0);
        },
      ),
    );
  });

  it('folds a long stretch in which nothing begins or ends', () => {
    const scale = timeScale([-900, -880, -120, -60, 0], 900, 1);
    expect(scale.stretches.filter((stretch) => stretch.folded)).toHaveLength(1);
    expect(scale.x(0) - scale.x(-120)).toBeGreaterThan(scale.width / 2);
  });

  it('writes whole hours and parts of hours of the clock, apart from each other', () => {
    const scale = timeScale([-200, -100, 0], 900, 1);
    const marks = ticks(scale, 19 * 60 + 30);
    for (const minute of marks) expect((minute + 19 * 60 + 30) % 30).toBe(0);
    for (const [index, minute] of marks.slice(1).entries()) {
      expect(scale.x(minute) - scale.x(marks[index]!)).toBeGreaterThanOrEqual(60);
    }
  });
});

describe('lanes', () => {
  it('never put two spans that overlap on one lane, and use as few as the worst moment needs', () => {
    const span = fc.tuple(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 1, max: 40 }));
    fc.assert(
      fc.property(fc.array(span, { maxLength: 25 }), (pairs) => {
        const spans = pairs.map(([from, length], index) => ({ id: `${index}`, from, to: from + length }));
        const laneOf = new Map<string, number>();
        const lanes = packLanes(spans, laneOf);
        let worst = 0;
        for (const a of spans) {
          worst = Math.max(worst, spans.filter((b) => b.from <= a.from && a.from < b.to).length);
          for (const b of spans) {
            const clash = a.id !== b.id && a.from < b.to && b.from < a.to;
            if (clash) expect(laneOf.get(a.id)).not.toBe(laneOf.get(b.id));
          }
        }
        expect(lanes).toBe(worst);
      }),
    );
  });
});

describe.each(SAMPLE_MEALS.map((sample) => [sample.setting.name, sample] as const))('the sheet of %s', (_, sample) => {
  let plan: Plan;
  beforeAll(async () => {
    plan = await planned(
      { ...sample.setting, day: '2026-11-28', kitchen: sample.kitchen, dishes: sample.dishes },
      2,
      1,
    );
  });

  it.each([
    [620, 1],
    [910, 1],
    [910, 4.2],
  ])('at %i pixels and zoom %f shows every step and lets no label touch another', (width, zoom) => {
    const layout = layOut(plan, scaleOf(plan, width, zoom));
    expect(layout.ribbons.map((ribbon) => ribbon.step.key).sort()).toEqual(plan.steps.map((step) => step.key).sort());
    const boxes = layout.ribbons
      .map((ribbon) => ribbon.label)
      .filter((label): label is Label => label !== null && !label.inside)
      .map((label) => ({ x1: label.x, x2: label.x + textWidth(label.text), y1: label.y - 11, y2: label.y + 3 }));
    for (const [index, a] of boxes.entries()) {
      expect(a.x1).toBeGreaterThanOrEqual(0);
      expect(a.x2).toBeLessThanOrEqual(layout.tableX);
      for (const b of boxes.slice(index + 1)) {
        expect(a.x1 < b.x2 && b.x1 < a.x2 && a.y1 < b.y2 && b.y1 < a.y2).toBe(false);
      }
    }
    expect(layout.landings).toHaveLength(plan.landings.length);
    // Words on waiting lines touch no ribbon and no other words.
    const small = layout.waits
      .filter(({ label }) => label !== null)
      .map(({ x1, y, label }) => ({ x1, x2: x1 + waitWordsWidth(label!), y1: y - 4, y2: y + 4 }));
    const others = layout.ribbons.map(({ x, width: w, y, thickness }) => ({
      x1: x,
      x2: x + w,
      y1: y - thickness / 2,
      y2: y + thickness / 2,
    }));
    for (const [index, a] of small.entries())
      for (const b of [...boxes.map((box) => ({ ...box, y1: box.y1 + 2 })), ...others, ...small.slice(index + 1)])
        expect(a.x1 < b.x2 && b.x1 < a.x2 && a.y1 < b.y2 && b.y1 < a.y2).toBe(false);
  });

  it('says whose a step is where steps of several dishes are called alike', () => {
    const { ribbons } = layOut(plan, scaleOf(plan, 910, 2.6));
    const dishesOf = (name: string) =>
      new Set(ribbons.filter(({ step }) => step.name === name).map(({ step }) => step.dishId)).size;
    const alike = ribbons.filter(({ step, label }) => label && dishesOf(step.name) > 1);
    for (const { step, label } of alike) expect(label!.text).toContain(shortName(step.dishName));
    expect(ribbons.some(({ label }) => label?.text.includes(': '))).toBe(true);
  });
});

describe('a sheet higher than its room', () => {
  it('draws its lines closer together, in the same order, and no closer than can be read', async () => {
    const meal = mealOf([plainGrain('a'), plainGrain('b'), plainGrain('c'), plainGrain('d'), plainGrain('e')]);
    const plan = await planned(meal);
    const scale = scaleOf(plan, 900, 1);
    const free = layOut(plan, scale);
    const tight = layOut(plan, scale, 0.95 * free.height);
    expect(tight.height).toBeLessThanOrEqual(0.96 * free.height);
    expect(tight.staves.map(({ station }) => station.id)).toEqual(free.staves.map(({ station }) => station.id));
    for (const { step, y, thickness } of tight.ribbons) {
      const stave = tight.staves.find(({ station }) => station.id === step.station.id)!;
      expect(y - thickness / 2).toBeGreaterThanOrEqual(stave.top);
      expect(y + thickness / 2).toBeLessThanOrEqual(stave.top + stave.height);
    }
    const least = layOut(plan, scale, 10);
    expect(least.height).toBeGreaterThan(0.75 * free.height);
    expect(layOut(plan, scale, free.height + 1).height).toBe(free.height);
  });
});

describe('a step under the hand', () => {
  it('is wished at the minute and on the stave the pointer is over, where it may stand', async () => {
    const meal = mealOf([plainGrain()]);
    const plan = await planned(meal);
    const layout = layOut(plan, scaleOf(plan, 900, 1));
    const { step, x, y } = layout.ribbons.find((ribbon) => ribbon.step.choices.length > 1)!;
    const from = { x: x + 3, y };
    const drag = { step, from, layout };
    expect(wishAt(drag, from)).toEqual({ key: step.key, start: step.start });
    const later = { x: from.x + 10 * layout.scale.perMinute, y };
    expect(wishAt(drag, later)).toEqual({ key: step.key, start: step.start + 10 });
    const other = step.choices.find((id) => id !== step.station.id)!;
    const stave = layout.staves.find(({ station }) => station.id === other)!;
    const wish = wishAt(drag, { x: from.x, y: stave.top + 5 });
    expect(wish).toEqual({ key: step.key, start: step.start, unit: other });
    const shelf = layout.staves.find(({ station }) => station.sort === 'shelf')!;
    expect(wishAt(drag, { x: from.x, y: shelf.top + 5 }).unit).toBeUndefined();
    const ghost = ghostOf(layout, wish)!;
    expect(ghost.y).toBeGreaterThan(stave.top);
    expect(ghost.y + ghost.height).toBeLessThan(stave.top + stave.height);
    expect(ghostOf(layout, { key: 'gone/step' })).toBeNull();
  });
});
