import type { Refusal } from '@/core/dish/check';
import type { Dish, Lands, Link, Step, VesselUse } from '@/core/dish/dish';
import { isHeatedAfter, isHot, liesRaw } from '@/core/dish/foods';
import { isLeftInTheOven, mostKept } from '@/core/dish/keep-warm';
import { minutesToCool, minutesToHeat } from '@/core/heat/roast';
import { checkMeal } from '@/core/meal/check';
import { giverOf } from '@/core/meal/hand-over';
import { holdOfPerson, holdOfVessel, readUnit, stepKey, unitId, warmKey } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import { pinOf } from '@/core/meal/pin';
import { bare } from '@/core/plain/record';
import { minuteAt } from '@/core/plain/wall-clock';
import { ROOM_SHARE, withRoom } from '@/core/risk/room';
import type { Alternative, Choice, Hold, Problem, ProblemLink, ProblemStep, ReadyRow } from '@/core/schedule/problem';
import { type Breath, fitBreaths, withinPools, workUntil } from './breaths';
import { leastWidthOf, type Part, partsOf, tooManyParts } from './lots';
import { firmStart, type PinSets } from './pins';
import type { KnownPlan, Progress } from './progress';
import {
  EYES,
  HANDS,
  HEAT,
  type OvenSetting,
  ovenSettings,
  poolsOf,
  type Stretch,
  shelvesOf,
  unitsOf,
} from './resources';
import { type TimeFrame, timeFrame } from './time-frame';
import { UnitChoices } from './unit-choices';
import { COST, FRESH_MINUTES, HOT_HOUR_MINUTES, KEEPS_LAID_OUT, RATHER_WITHIN } from './weights';

/** Longest time between a warm oven and the food going in, and between two batches or sittings of one step. */
const OVEN_WAITS = 10;
const BETWEEN_PARTS = 8;
/** At the board the second half of a heap may wait for other work in between. Common practice, no source. */
const BETWEEN_SITTINGS = 30;

/** Work of an earlier day would rather be over by 21:30. */
const EVENING_UNTIL = 21 * 60 + 30;

/** What a step of the problem is, for reading the solution back. */
export type Entry =
  | { readonly kind: 'part'; readonly part: Part }
  | {
      readonly kind: 'warm';
      readonly dish: Dish;
      readonly step: string;
      readonly oven: string;
      readonly celsius: number;
      /** The oven is to be hotter too, at another time. */
      readonly hotter: boolean;
      readonly minutes: number;
    }
  | { readonly kind: 'present' };

/** A meal as a problem for the scheduler, with what is needed to read the solution. */
export interface Compiled {
  readonly ok: true;
  /** With room for what may take longer: steps last as long as their places are kept. */
  readonly problem: Problem;
  /** The same by likely minutes alone. */
  readonly likely: Problem;
  /** Minutes of room at the end of each step, by key; absent for none. */
  readonly room: ReadonlyMap<string, number>;
  /** The most minutes that a step lasts which only fills the time until its hour, by key: what is kept warm. */
  readonly stretch: ReadonlyMap<string, number>;
  /** Minute 0 of the problem in minutes relative to the table (negative before it). */
  readonly origin: number;
  readonly entries: ReadonlyMap<string, Entry>;
  readonly dishes: readonly Dish[];
  /** The cost holds more than the meal itself: how far the plan moves from a known one, or from pins. */
  readonly drawn: boolean;
}

/** The problem, or why the meal cannot be planned at all. */
export type CompileResult = Compiled | { readonly ok: false; readonly refusals: readonly Refusal[] };

/** Under which circumstances a meal is planned. Minutes are relative to the table. */
export interface CompileOptions {
  /** Nothing starts before this minute relative to the table: the present, when the meal is near. */
  readonly notBefore?: number;
  /** In mid-meal: what is done and running, and the plan that the cook knows. Implies `notBefore`. */
  readonly progress?: Progress;
  readonly known?: KnownPlan;
  /** Before the evening: draws every step towards its place in the known plan, as in mid-meal. */
  readonly near?: boolean;
  /** Pins that hold, and pins that are only as near as can be; by default all pins of the meal hold. */
  readonly pins?: PinSets;
  /** Burners that steps come to the boil on, where they are not the usual ones: step key to unit. */
  readonly flames?: ReadonlyMap<string, string>;
  /** Minutes, by key, for which things are kept warm from now or from their hour on, where that is not what the meal says. */
  readonly keeps?: ReadonlyMap<string, number>;
  /** Share of the way from likely to longest that room is kept for; by default as the meal says. */
  readonly roomShare?: number;
}

const PRESENT = '(present)';
const NO_PINS: PinSets = { firm: [], wished: [] };

/**
 * Turns a meal into a scheduling problem. In mid-meal (`progress`) the present is minute 0, what is done is gone, what runs
 * is fixed, and every step to come is drawn towards its old place.
 */
export function compile(meal: Meal, options: CompileOptions = {}): CompileResult {
  const refusals = checkMeal(meal);
  if (refusals.length > 0) return { ok: false, refusals };
  const pins = options.progress
    ? []
    : options.pins
      ? [...options.pins.firm, ...options.pins.wished]
      : (meal.pins ?? []);
  const flameOf = (key: string) =>
    pinOf(pins, key)?.unit ?? options.flames?.get(key) ?? options.known?.places.get(key)?.units[0];
  const { dishes, parts } = partsOf(meal, flameOf);
  const tooMany = tooManyParts(parts);
  if (tooMany.length > 0) return { ok: false, refusals: tooMany };
  const settings = ovenSettings(meal.kitchen, dishes);
  const draft = new Compilation(meal, options, dishes, parts);
  for (const dish of dishes) {
    for (const step of dish.steps) draft.addStep(dish, step.id, settings);
  }
  for (const dish of dishes) draft.addDish(dish);
  for (const group of meal.together ?? []) draft.keepTogether(group);
  draft.addWarmUps(settings);
  return draft.finish();
}

/** One compilation under way: collects the rows of the problem. */
class Compilation {
  private readonly steps: ProblemStep[] = [];
  private readonly links: ProblemLink[] = [];
  private readonly holds: Hold[] = [];
  private readonly ready: ReadyRow[] = [];
  private readonly forbid: (readonly [Choice, Choice])[] = [];
  private readonly entries = new Map<string, Entry>();
  private readonly keptUpTo = new Map<string, number>();
  private readonly widths = new Map<string, number>();
  private readonly breaths: Breath[] = [];
  private readonly away: { readonly unit: string; readonly until: number }[] = [];
  private readonly earliest = new Map<string, number>();
  private readonly pins: PinSets;
  private readonly frame: TimeFrame;
  private readonly choices: UnitChoices;

  constructor(
    private readonly meal: Meal,
    private readonly options: CompileOptions,
    private readonly dishes: readonly Dish[],
    private readonly parts: ReadonlyMap<string, readonly Part[]>,
  ) {
    // In mid-meal the known plan holds what was pinned; what was set by hand must not stand against the clock.
    this.pins = options.progress ? NO_PINS : (options.pins ?? { firm: meal.pins ?? [], wished: [] });
    const firstPin = Math.max(0, ...this.pins.firm.map(({ start }) => -(start ?? 0)));
    const present = options.progress?.now ?? options.notBefore;
    this.frame = timeFrame(meal, dishes, parts, { firstPin, present, running: options.progress !== undefined });
    const { known } = options;
    const isRunning = (key: string) => this.isRunning(key);
    this.choices = new UnitChoices(meal.kitchen, { pins: this.pins, known, near: this.near, isRunning });
  }

  /** Whether future steps are drawn towards the plan the cook knows. */
  private get near(): boolean {
    return this.options.near === true || this.progress !== undefined;
  }

  /** The time that the problem is about. */
  private get stretch(): Stretch {
    const { origin, horizon } = this.frame;
    return { table: this.meal, origin, horizon };
  }

  private get progress(): Progress | undefined {
    return this.options.progress;
  }

  private get roomShare(): number {
    return this.options.roomShare ?? ROOM_SHARE[this.meal.sureness ?? 'even'];
  }

  private isDone(key: string): boolean {
    return this.progress?.done.has(key) === true;
  }

  private isRunning(key: string): boolean {
    return this.progress?.running.has(key) === true;
  }

  private partsOf(dish: string, step: string): readonly Part[] {
    return this.parts.get(stepKey(dish, step))!;
  }

  /** The needs and pools of a step's parts, holds on people, and the links between the parts. */
  addStep(dish: Dish, id: string, settings: ReadonlyMap<number, OvenSetting>): void {
    const list = this.partsOf(dish.id, id);
    for (const part of list) {
      this.entries.set(part.key, { kind: 'part', part });
      if (this.isDone(part.key)) continue;
      const { step } = part;
      const running = this.progress?.running.get(part.key);
      const lasts = running ? Math.max(0, running.end - this.frame.origin) : part.minutes.likely;
      const minutes = this.options.keeps?.get(part.key) ?? lasts;
      if (step.duty === 'keep warm')
        this.keptUpTo.set(
          part.key,
          Math.max(minutes, mostKept(dish) - (running ? this.frame.origin - running.start : 0)),
        );
      const pools = bare<number>();
      if (step.attention === 'hands' && !step.ahead) pools[HANDS] = 1;
      if (step.attention === 'eyes') pools[EYES] = 1;
      if (this.frame.nights && isUnwatchedHeat(step)) pools[HEAT] = 1;
      const setting = step.place.at === 'oven' ? settings.get(step.place.celsius) : undefined;
      if (step.place.at === 'oven' && setting) pools[shelvesOf(setting.oven)] = this.shelvesFor(dish, step, setting);
      const alternatives = this.choices.ofStep(part);
      const heat = running && setting ? this.choices.claimHeat(setting) : true;
      this.steps.push({
        id: part.key,
        minutes,
        ...(running
          ? { earliest: 0, latest: 0 }
          : (this.pinnedStart(part) ?? this.hotHourBound(dish, part) ?? this.dayBounds(part))),
        ...(alternatives.length > 0 ? { units: [alternatives] } : {}),
        pools,
        ...(setting && heat ? { state: { id: setting.oven, value: setting.celsius } } : {}),
        spread:
          isByTheClock(step) || step.duty === 'keep warm'
            ? [minutes, minutes]
            : running
              ? [minutes, Math.max(minutes, part.minutes.longest - (this.frame.origin - running.start))]
              : [part.minutes.shortest, part.minutes.longest],
      });
      if (step.attention === 'hands') this.addPerson(part);
      if (!running) this.keepNear(part.key);
      if (!running && step.attention === 'hands') this.notLateInTheEvening(part);
      this.wish(part.key, minutes);
    }
    for (const [index, part] of list.entries()) {
      const next = list[index + 1];
      if (!next) continue;
      const most = part.step.place.at === 'board' ? BETWEEN_SITTINGS : BETWEEN_PARTS;
      const room = part.step.attention === 'hands' ? Math.max(most, part.breath) : 0;
      this.addLink(part.key, next.key, {
        from: id,
        at: 'end',
        to: id,
        of: 'start',
        min: 0,
        max: room,
        rather: part.breath,
      });
    }
  }

  /** What is left in an oven that has been switched off is alone in it. */
  private shelvesFor(dish: Dish, step: Step, { oven }: OvenSetting): number {
    const all = this.meal.kitchen.ovens.find((each) => each.id === oven)?.shelves ?? 1;
    if (isLeftInTheOven(dish, step)) return all;
    return step.place.at === 'oven' ? step.place.shelves : 1;
  }

  /** A step of an earlier day starts on that day. */
  private dayBounds(part: Part): { earliest?: number; latest?: number } {
    const { daysBefore } = part.step;
    if (daysBefore === undefined) return {};
    const midnight = minuteAt(this.meal, -daysBefore, 0) - this.frame.origin;
    // When that day is gone already, the sooner the better: no bound at all.
    if (midnight + 1439 < 0) return {};
    // What rests may go on through the night; what is cooked or worked at is over before it.
    const rests = part.step.place.at === 'rest' || part.step.place.at === 'cold';
    const latest = midnight + 1439 - (rests ? 0 : Math.min(part.minutes.likely, 1439));
    return { earliest: Math.max(0, midnight), latest: Math.max(0, latest) };
  }

  /** What keeps laid out is prepared before the hot hour, where there is an afternoon to do it in. */
  private hotHourBound(dish: Dish, part: Part): { earliest?: number; latest: number } | null {
    const latest = -this.frame.origin - HOT_HOUR_MINUTES - part.minutes.likely;
    if (this.progress || !this.frame.roomy || latest < 0 || !keepsLaidOut(dish, part.step)) return null;
    return { latest };
  }

  /** Hands of an earlier day would rather be over when the evening is. */
  private notLateInTheEvening({ key, step }: Part): void {
    if (step.daysBefore === undefined) return;
    const by = minuteAt(this.meal, -step.daysBefore, EVENING_UNTIL) - this.frame.origin;
    if (by > 0) this.ready.push({ step: key, by, hold: 0, early: 0, late: COST.lateEvening });
  }

  private pinnedStart(part: Part): { earliest: number; latest: number } | null {
    const start = firmStart(this.pins, part.key);
    return start === undefined || start < this.frame.origin
      ? null
      : { earliest: start - this.frame.origin, latest: start - this.frame.origin };
  }

  /** A pin that may not hold draws its step with a weight that outdoes all others. */
  private wish(key: string, minutes: number): void {
    const start = pinOf(this.pins.wished, key)?.start;
    if (start === undefined) return;
    const by = Math.max(0, start - this.frame.origin) + minutes;
    this.ready.push({ step: key, by, hold: 0, early: COST.pinned, late: COST.pinned });
  }

  private keepNear(key: string): void {
    const place = this.options.known?.places.get(key);
    if (!place || !this.near || pinOf([...this.pins.firm, ...this.pins.wished], key)?.start !== undefined) return;
    const by = Math.max(0, place.end - this.frame.origin);
    this.ready.push({ step: key, by, hold: 0, early: COST.moved, late: COST.moved });
  }

  private addPerson(part: Part): void {
    const hold = holdOfPerson(part.key);
    const list = this.choices.ofPerson(part, hold);
    if (list.length === 0) return;
    this.breaths.push({ hold: this.holds.length, key: part.key, breath: part.breath });
    this.holds.push({ id: hold, from: part.key, to: part.key, after: part.breath, units: list });
  }

  /** Links, vessels, landing and hand-over of one dish. */
  addDish(dish: Dish): void {
    for (const link of dish.links) {
      const from = this.partsOf(dish.id, link.from);
      const to = this.partsOf(dish.id, link.to);
      this.addLink(edgePart(from, link.at), edgePart(to, link.of), { ...link, rather: this.rather(dish, link) });
    }
    for (const use of dish.vessels) this.addVessel(dish, use);
    for (const take of dish.takes) {
      const found = giverOf(this.dishes, dish, take);
      if (!found) continue;
      const { dish: giver, give } = found;
      const from = this.partsOf(giver.id, give.step).at(-1)!.key;
      const to = this.partsOf(dish.id, take.step)[0]!.key;
      this.addLink(from, to, {
        from,
        at: 'end',
        to,
        of: 'start',
        min: 0,
        max: take.withinMinutes,
        rather: RATHER_WITHIN.cooking,
      });
    }
    if (dish.lands) this.addLanding(this.partsOf(dish.id, dish.lands.step).at(-1)!.key, dish.lands);
    else if (!this.isTaken(dish)) this.addForAnotherDay(dish);
  }

  private isTaken(giver: Dish): boolean {
    return this.dishes.some((dish) => dish.takes.some((take) => giverOf(this.dishes, dish, take)?.dish === giver));
  }

  /** A stock that this meal has no use for is done with before the guests sit down, where there is room for it. */
  private addForAnotherDay(dish: Dish): void {
    const key = this.partsOf(dish.id, dish.steps.at(-1)!.id).at(-1)!.key;
    if (this.isDone(key)) return;
    this.ready.push({ step: key, by: Math.max(0, -this.frame.origin), hold: 0, early: 0, late: COST.afterTable });
  }

  /** Board work of several dishes one after the other, as near as can be. Steps that are not there any more are left out. */
  keepTogether(group: readonly string[]): void {
    const there = group.flatMap((key) => (this.parts.has(key) ? [this.parts.get(key)!] : []));
    for (const [index, list] of there.entries()) {
      const next = there[index + 1]?.[0]?.key;
      const last = list.at(-1)!.key;
      if (next === undefined || this.isDone(last) || this.isDone(next) || this.isRunning(next)) continue;
      this.links.push({ from: last, at: 'end', to: next, of: 'start', min: 0, soft: { after: 2, cost: COST.apart } });
    }
  }

  private addLanding(key: string, { waits, after = 0 }: Lands): void {
    if (this.isDone(key)) return;
    const by = Math.max(0, after - this.frame.origin);
    this.ready.push({ step: key, by, hold: waits.wellMinutes, early: COST.early, late: COST.late });
    this.ready.push({ step: key, by, hold: waits.mostMinutes, early: COST.spoiling, late: 0 });
    if (waits.served === 'hot' && this.meal.sureness !== 'short')
      this.ready.push({ step: key, by, hold: waits.wellMinutes, early: COST.beyondWell, late: 0 });
    // Hot food keeps well for a while, but is best fresh.
    if (waits.served === 'hot' && waits.wellMinutes > FRESH_MINUTES) {
      this.ready.push({ step: key, by, hold: FRESH_MINUTES, early: COST.stale, late: 0 });
    }
  }

  private rather(dish: Dish, link: Link): number {
    if (link.rather !== undefined) return link.rather;
    const from = dish.steps.find((step) => step.id === link.from)!;
    if (this.meal.layOutFirst !== false && keepsLaidOut(dish, from)) return link.min + RATHER_WITHIN.laidOut;
    const gentle = from.place.at === 'board' || from.place.at === 'rest' || from.place.at === 'cold';
    return link.min + (gentle ? RATHER_WITHIN.prepared : RATHER_WITHIN.cooking);
  }

  /** A link between two planned steps; towards what is done or running it becomes a bound or a wish. */
  private addLink(from: string, to: string, link: Link): void {
    if (this.isDone(to) || this.isRunning(to)) return;
    const max = this.mostAfter(from, link);
    const past = this.progress?.done.get(from) ?? (link.at === 'start' ? this.progress?.running.get(from) : undefined);
    if (past) {
      const at = (link.at === 'end' ? past.end : past.start) - this.frame.origin;
      const toMinutes = this.steps.find((step) => step.id === to)?.minutes ?? 0;
      const offset = toMinutes - this.lengthTo(to, link);
      this.earliest.set(to, Math.max(this.earliest.get(to) ?? 0, at + link.min - offset));
      if (max !== null) {
        const by = at + max + this.lengthTo(to, link);
        this.ready.push({ step: to, by: Math.max(0, by), hold: 0, early: 0, late: COST.missedLag });
      }
      return;
    }
    if (this.isRunning(from) && link.at === 'end' && max !== null) {
      // What runs may end when the next thing cannot begin: then waiting is a pity, not an impossibility.
      const wish = Math.max(
        0,
        this.progress!.running.get(from)!.end - this.frame.origin + max + this.lengthTo(to, link),
      );
      this.ready.push({ step: to, by: wish, hold: 0, early: 0, late: COST.missedLag });
      this.links.push({ from, at: link.at, to, of: link.of, min: link.min });
      return;
    }
    const fromAhead = this.entryStep(from)?.ahead === true;
    this.links.push({
      from,
      at: link.at,
      to,
      of: link.of,
      min: link.min,
      ...(max !== null ? { max } : {}),
      ...(link.rather !== undefined && !fromAhead && (max === null || max > link.rather)
        ? { soft: { after: link.rather, cost: COST.longWait } }
        : {}),
    });
  }

  /** Minutes after the edge of a step that what follows may wait; null for any. What rests may go on resting first, for as long as it bears: not raw meat or fish out of the cold. */
  private mostAfter(from: string, { at, max }: Link): number | null {
    const entry = this.entries.get(from);
    if (max === null || at === 'start' || entry?.kind !== 'part' || !isByTheClock(entry.part.step)) return max;
    if (entry.part.step.place.at === 'rest' && liesRaw(entry.part.dish, entry.part.step)) return max;
    const known = this.progress?.done.get(from) ?? this.progress?.running.get(from);
    const lasts = known ? known.end - known.start : entry.part.minutes.likely;
    return max + Math.max(0, entry.part.minutes.longest - lasts);
  }

  /** Minutes from the edge of a step that a link holds to the step's end. */
  private lengthTo(key: string, { of }: Link): number {
    return of === 'end' ? 0 : (this.steps.find((step) => step.id === key)?.minutes ?? 0);
  }

  private entryStep(key: string) {
    const entry = this.entries.get(key);
    return entry?.kind === 'part' ? entry.part.step : undefined;
  }

  private addVessel(dish: Dish, use: VesselUse): void {
    const first = this.partsOf(dish.id, use.from)[0]!.key;
    const last = this.partsOf(dish.id, use.to).at(-1)!.key;
    const id = holdOfVessel(dish.id, use.id);
    const known = this.options.known?.holds.get(id);
    const lastDone = this.progress?.done.get(last);
    if (lastDone) {
      if (known !== undefined)
        this.away.push({ unit: known, until: lastDone.end + use.washMinutes - this.frame.origin });
      return;
    }
    const begun = this.isDone(first);
    const need = { ...use.need, widthCm: Math.max(use.need.widthCm, leastWidthOf(dish, use.id, this.parts)) };
    const fixed = begun || this.isRunning(first);
    const list = this.choices.ofVessel(id, need, fixed);
    this.holds.push({ id, from: begun ? PRESENT : first, to: last, after: use.washMinutes, units: list });
    for (const step of dish.steps) {
      if (step.vessel !== use.id || step.place.at !== 'burner') continue;
      for (const part of this.partsOf(dish.id, step.id)) this.forbidTooWide(id, list, part);
    }
  }

  private forbidTooWide(hold: string, vessels: readonly Alternative[], part: Part): void {
    if (this.isDone(part.key) || this.isRunning(part.key)) return;
    const offered = new Set(this.choices.offered(part).map(({ id }) => id));
    const wide = vessels.map(({ id }) => ({ id, widthCm: this.widthOf(id) }));
    for (const burner of this.meal.kitchen.burners) {
      const unit = unitId('burner', burner.id);
      if (!offered.has(unit)) continue;
      for (const { id, widthCm } of wide) {
        if (widthCm > burner.widestCm)
          this.forbid.push([
            { hold, unit: id },
            { step: part.key, need: 0, unit },
          ]);
      }
    }
  }

  /** Width in cm of the vessel that a unit stands for; 0 for none. */
  private widthOf(unit: string): number {
    const known = this.widths.get(unit);
    if (known !== undefined) return known;
    const { id } = readUnit(unit);
    const width = this.meal.kitchen.vessels.find((vessel) => vessel.id === id)?.widthCm ?? 0;
    this.widths.set(unit, width);
    return width;
  }

  /** Before a dish goes into the oven the oven warms: a step that wants the setting but no shelf. */
  addWarmUps(settings: ReadonlyMap<number, OvenSetting>): void {
    for (const dish of this.dishes) {
      for (const step of dish.steps) {
        if (step.place.at !== 'oven') continue;
        const setting = settings.get(step.place.celsius)!;
        const follows = dish.links.some((link) => {
          const before = dish.steps.find((each) => each.id === link.from)!;
          const same = before.place.at === 'oven' && settings.get(before.place.celsius) === setting;
          return link.to === step.id && same && link.max !== null && link.max <= OVEN_WAITS;
        });
        if (follows) continue;
        const first = this.partsOf(dish.id, step.id)[0]!.key;
        const oven = this.meal.kitchen.ovens.find((each) => each.id === setting.oven)!;
        const key = warmKey(dish.id, step.id);
        const hottest = Math.max(
          ...[...settings.values()].flatMap(({ oven: id, celsius }) => (id === oven.id ? [celsius] : [])),
        );
        // Whichever comes before: cold, or what else this oven is to be at.
        const warmUp = Math.round(
          Math.max(
            minutesToHeat(setting.celsius, oven.warmUpMinutes).likely,
            minutesToCool(setting.celsius, hottest).likely,
          ),
        );
        this.entries.set(key, {
          kind: 'warm',
          dish,
          step: step.id,
          oven: oven.id,
          celsius: setting.celsius,
          hotter: hottest > setting.celsius,
          minutes: warmUp,
        });
        if (this.isDone(first) || this.isRunning(first) || this.isDone(key)) continue;
        if (!this.isRunning(key) && this.standsAt(setting, settings, first)) continue;
        const running = this.progress?.running.get(key);
        this.steps.push({
          id: key,
          minutes: running ? Math.max(0, running.end - this.frame.origin) : warmUp,
          ...(running ? { earliest: 0, latest: 0 } : {}),
          ...(!running || this.choices.claimHeat(setting)
            ? { state: { id: setting.oven, value: setting.celsius } }
            : {}),
        });
        if (!running) this.keepNear(key);
        const link: Link = {
          from: key,
          at: 'end',
          to: first,
          of: 'start',
          min: 0,
          max: running ? null : OVEN_WAITS,
          rather: 2,
        };
        this.addLink(key, first, link);
      }
    }
  }

  /**
   * In mid-meal: whether the oven of a bake has its heat now, and by the plan that the cook knows nothing changes it before the bake. What wants
   * another heat then stays behind it.
   */
  private standsAt(wanted: OvenSetting, settings: ReadonlyMap<number, OvenSetting>, bake: string): boolean {
    const { progress } = this;
    if (!progress) return false;
    const hour = this.options.known?.places.get(bake)?.start ?? Number.POSITIVE_INFINITY;
    let atThisHeat = Number.NEGATIVE_INFINITY;
    let atAnother = Number.NEGATIVE_INFINITY;
    const behind: string[] = [];
    for (const dish of this.dishes) {
      for (const step of dish.steps) {
        const setting = step.place.at === 'oven' ? settings.get(step.place.celsius) : undefined;
        if (setting?.oven !== wanted.oven) continue;
        const keys = this.partsOf(dish.id, step.id).map(({ key }) => key);
        const begun = [warmKey(dish.id, step.id), ...keys].map((key) =>
          this.isRunning(key) ? Number.POSITIVE_INFINITY : (progress.done.get(key)?.end ?? Number.NEGATIVE_INFINITY),
        );
        if (setting.celsius === wanted.celsius) {
          atThisHeat = Math.max(atThisHeat, ...begun);
          continue;
        }
        atAnother = Math.max(atAnother, ...begun);
        const toCome = keys.filter((key) => !this.isDone(key) && !this.isRunning(key));
        const isBehind = (key: string) => (this.options.known?.places.get(key)?.start ?? 0) >= hour;
        if (!toCome.every(isBehind)) return false;
        behind.push(...toCome);
      }
    }
    if (atThisHeat <= atAnother) return false;
    for (const key of behind) this.links.push({ from: bake, at: 'start', to: key, of: 'start', min: 0 });
    return true;
  }

  finish(): CompileResult {
    const { kitchen } = this.meal;
    if (this.holds.some((hold) => hold.from === PRESENT)) {
      this.entries.set(PRESENT, { kind: 'present' });
      this.steps.push({ id: PRESENT, minutes: 0, earliest: 0, latest: 0 });
    }
    const running = (key: string) => this.isRunning(key);
    const pools = poolsOf(kitchen, this.stretch);
    const steps = (this.progress ? withinPools(this.steps, pools, running) : this.steps).map((step) => {
      const earliest = this.earliest.get(step.id);
      return earliest !== undefined && earliest > 0 ? { ...step, earliest } : step;
    });
    const kept = workUntil(this.steps, this.holds, running);
    const units = unitsOf(kitchen, this.stretch).map((unit) => {
      const busy = this.away.filter((each) => each.unit === unit.id && each.until > 0);
      const atWork = kept.get(unit.id) ?? 0;
      const away = (unit.away ?? []).map(([from, to]) => [Math.max(from, atWork), to] as const);
      const all = [...away, ...busy.map((each) => [Math.max(0, atWork), each.until] as const)];
      return all.length > 0 ? { ...unit, away: all.filter(([from, to]) => from < to) } : unit;
    });
    const problem: Problem = {
      format: 'warm-cadence/problem',
      version: 1,
      horizon: this.frame.horizon,
      serve: Math.max(0, -this.frame.origin),
      units,
      pools,
      states: kitchen.ovens.map((oven) => ({ id: oven.id, change: 0 })),
      steps,
      holds: this.holds,
      links: this.links,
      ready: this.ready,
      ...(this.progress ? {} : { awake: { pool: HANDS, cost: COST.awake } }),
      forbid: this.forbid,
    };
    const likely = { ...problem, holds: fitBreaths(problem, this.breaths) };
    const share = this.roomShare;
    const roomy =
      share > 0
        ? withRoom(problem, ({ minutes, spread }) => share * Math.max(0, (spread?.[1] ?? 0) - minutes))
        : { problem, room: new Map<string, number>() };
    return {
      ok: true,
      problem: share > 0 ? { ...roomy.problem, holds: fitBreaths(roomy.problem, this.breaths) } : likely,
      likely,
      room: roomy.room,
      stretch: this.keptUpTo,
      origin: this.frame.origin,
      entries: this.entries,
      dishes: this.dishes,
      drawn: this.near || this.pins.wished.length > 0,
    };
  }
}

/** What rests is over when its time is: its shortest and longest minutes say what may be, and the clock says what is. */
function isByTheClock({ place, attention }: Step): boolean {
  return attention === 'none' && (place.at === 'rest' || place.at === 'cold');
}

/** On the heat, and not in what is made to be left alone for a night; hands and eyes sleep with their people. */
function isUnwatchedHeat({ place, attention }: Step): boolean {
  const alone = place.at === 'appliance' && place.appliance === 'slow-cooker';
  return attention === 'none' && isHot({ place }) && !alone;
}

/**
 * Board work whose outcome may wait, so that nothing asks for it fresh: the first of a dish that what follows can wait for, and all of a
 * cold dish that keeps.
 */
function keepsLaidOut(dish: Dish, { id, place, attention, ahead }: Step): boolean {
  if (place.at !== 'board' || attention !== 'hands' || ahead) return false;
  const { lands, links } = dish;
  if (lands?.waits.served === 'cold' && lands.waits.wellMinutes >= KEEPS_LAID_OUT && !isHeatedAfter(dish, id))
    return true;
  const next = links.filter(({ from }) => from === id);
  const isRoot = !links.some(({ to }) => to === id);
  return isRoot && next.length > 0 && next.every(({ max }) => max === null || max >= KEEPS_LAID_OUT);
}

function edgePart(list: readonly Part[], edge: 'start' | 'end'): string {
  return (edge === 'end' ? list[list.length - 1]! : list[0]!).key;
}
