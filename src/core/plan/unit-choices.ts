import type { VesselNeed } from '@/core/kitchen/fits';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { readUnit } from '@/core/meal/keys';
import { type Pin, pinOf } from '@/core/meal/pin';
import { peopleFor, stationsFor, vesselsFor } from '@/core/meal/stations';
import type { Alternative } from '@/core/schedule/problem';
import type { Part } from './lots';
import type { PinSets } from './pins';
import type { KnownPlan } from './progress';
import type { OvenSetting } from './resources';
import { COST } from './weights';

interface Circumstances {
  readonly pins: PinSets;
  readonly known: KnownPlan | undefined;
  /** Another unit than the known one costs a little. */
  readonly near: boolean;
  readonly isRunning: (key: string) => boolean;
}

/**
 * Which units each step, person and vessel of one compilation may take: what the kitchen offers, narrowed by pins, by what is running and by
 * the plan that the cook knows. What runs claims its unit: ask for each step once.
 */
export class UnitChoices {
  private readonly claimed = new Set<string>();
  private readonly heats = new Map<string, number>();

  constructor(
    private readonly kitchen: Kitchen,
    private readonly circumstances: Circumstances,
  ) {}

  /** Burners or appliances that a step could stand on, pinned or not. */
  offered(part: Part): readonly Alternative[] {
    const list = stationsFor(this.kitchen, part.step.place);
    return part.flames ? list.filter(({ id }) => part.flames!.quick.includes(id)) : list;
  }

  ofStep(part: Part): readonly Alternative[] {
    const known = this.circumstances.known?.places.get(part.key)?.units[0];
    const pinned = this.asPinned(part.key, this.offered(part), ({ id }, unit) => id === unit);
    return this.claim(part.key, this.asKnown(known, this.circumstances.isRunning(part.key), pinned));
  }

  ofPerson({ key, step }: Part, hold: string): readonly Alternative[] {
    const { known, isRunning } = this.circumstances;
    const given = known?.given?.get(hold);
    const list = peopleFor(this.kitchen, given === undefined ? step.by : 'anyone');
    return this.claim(key, this.asKnown(given ?? known?.holds.get(hold), given !== undefined || isRunning(key), list));
  }

  /** Vessels for a hold; `fixed` when it is in use. A vessel chosen by hand is whichever of several alike. */
  ofVessel(hold: string, need: VesselNeed, fixed: boolean): readonly Alternative[] {
    const alike = ({ id }: Alternative, unit: string) => readUnit(id).id === readUnit(unit).id;
    const pinned = this.asPinned(hold, vesselsFor(this.kitchen, need), alike);
    return this.asKnown(this.circumstances.known?.holds.get(hold), fixed, pinned);
  }

  /** Two running steps cannot want the oven at different heats: the first one told counts. */
  claimHeat({ oven, celsius }: OvenSetting): boolean {
    const before = this.heats.get(oven);
    if (before === undefined) this.heats.set(oven, celsius);
    return before === undefined || before === celsius;
  }

  private asPinned(
    key: string,
    list: readonly Alternative[],
    matches: (each: Alternative, unit: string) => boolean,
  ): readonly Alternative[] {
    const isIt = (pin: Pin | undefined) => (each: Alternative) => pin?.unit !== undefined && matches(each, pin.unit);
    const { firm, wished } = this.circumstances.pins;
    const held = list.filter(isIt(pinOf(firm, key)));
    if (held.length > 0) return held;
    const isWished = isIt(pinOf(wished, key));
    if (!list.some(isWished)) return list;
    return list.map((each) => (isWished(each) ? each : { ...each, cost: each.cost + COST.pinned }));
  }

  /** While it runs a step keeps its unit; before, another unit than the known one costs a little. */
  private asKnown(unit: string | undefined, fixed: boolean, list: readonly Alternative[]): readonly Alternative[] {
    if (unit === undefined || !list.some(({ id }) => id === unit)) return list;
    if (fixed) return list.filter(({ id }) => id === unit);
    if (!this.circumstances.near) return list;
    return list.map((each) => (each.id === unit ? each : { ...each, cost: each.cost + COST.otherUnit }));
  }

  /** Of two running steps on one burner the cook has moved one: only the first keeps it in the plan. */
  private claim(key: string, list: readonly Alternative[]): readonly Alternative[] {
    if (!this.circumstances.isRunning(key)) return list;
    const free = list.filter(({ id }) => !this.claimed.has(id));
    if (free.length === 1) this.claimed.add(free[0]!.id);
    return free;
  }
}
