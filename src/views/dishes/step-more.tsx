import { X } from 'lucide-react';
import type { Growth, Step } from '@/core/dish/dish';
import { withMinutes, withStep } from '@/core/dish/edit-steps';
import { APPLIANCE_KINDS, type ApplianceKind } from '@/core/kitchen/kitchen';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import { KeptField } from '@/ui/kept-field';
import { Select } from '@/ui/select';
import { Stepper } from '@/ui/stepper';
import { TickBox } from '@/ui/tick-box';
import type { FormProps } from './form';

const growthWords = (): readonly (readonly [Growth['by'], string])[] => [
  ['nothing', say('as long for two as for twenty')],
  ['people', say('longer for more people')],
  ['batches', say('lot after lot')],
  ['boil', say('until it boils')],
  ['pieces', say('by the kilo, roasted whole')],
];

function grown(by: Growth['by'], servings: number): Growth {
  switch (by) {
    case 'batches':
      return { by, servingsPerBatch: servings };
    case 'boil':
      return { by, litres: Math.max(0.5, servings / 4), fromCelsius: 15, covered: true };
    case 'pieces':
      return { by, kilos: Math.max(0.5, servings / 4), mostKilos: 2, first: 20, perKilo: 40 };
    default:
      return { by };
  }
}

interface MoreProps extends FormProps {
  readonly step: Step;
}

/** All else that can be said of a step: its band of minutes, its vessel, its sign, how it grows, when it may be done, cautions. */
export function StepMore({ dish, step, onChange }: MoreProps) {
  const set = (change: Partial<Step>) => onChange((now) => withStep(now, step.id, change));
  const { place, minutes } = step;
  return (
    <>
      <div className="flex flex-wrap items-end gap-3">
        {(['shortest', 'longest'] as const).map((which) => (
          <Stepper
            key={which}
            label={say('Minutes, {which}', { which })}
            value={minutes[which]}
            least={0}
            most={2880}
            onChange={(now) => set({ minutes: withMinutes(minutes, which, now) })}
          />
        ))}
        {step.attention === 'eyes' && (
          <Stepper
            label={say('A look every')}
            unit="min"
            value={step.lookEvery ?? 10}
            least={1}
            most={1440}
            onChange={(lookEvery) => set({ lookEvery })}
          />
        )}
      </div>
      <KeptField
        label={say('It is done when')}
        value={step.doneWhen}
        mayBeEmpty
        placeholder={say('a fork turns in it')}
        onChange={(doneWhen) => set({ doneWhen })}
      />
      <Select
        label={say('It happens in')}
        value={step.vessel ?? null}
        options={[[null, say('no pot or pan')], ...dish.vessels.map(({ id, name }) => [id, name] as const)]}
        onChange={(vessel) => onChange((now) => inVessel(now, step.id, vessel))}
      />
      {place.at === 'burner' && (
        <Select
          label={say('Or, where there is one, in a')}
          value={place.orIn ?? null}
          options={[
            [null, say('nothing else')],
            ...APPLIANCE_KINDS.map((kind) => [kind, kind.replace('-', ' ')] as const),
          ]}
          onChange={(orIn: ApplianceKind | null) => {
            const { orIn: _, ...rest } = place;
            set({ place: orIn === null ? rest : { ...rest, orIn } });
          }}
        />
      )}
      {place.at === 'oven' && (
        <Stepper
          label={say('Shelves')}
          value={place.shelves}
          least={1}
          most={12}
          onChange={(shelves) => set({ place: { ...place, shelves } })}
        />
      )}
      {place.at === 'appliance' && (
        <Stepper
          label={say('It must hold')}
          unit="l"
          value={place.litres ?? 1}
          least={0.1}
          most={100}
          step={0.5}
          onChange={(litres) => set({ place: { ...place, litres } })}
        />
      )}
      <Grows step={step} servings={dish.servings} onChange={(grows) => set({ grows })} />
      <div className="flex flex-wrap gap-x-6">
        {step.attention === 'hands' && place.at === 'board' && (
          <TickBox value={step.by === 'anyone'} onChange={(anyone) => set({ by: anyone ? 'anyone' : 'cook' })}>
            {say('a helper may do it')}
          </TickBox>
        )}
        <TickBox value={step.ahead === true} onChange={(ahead) => onChange((now) => early(now, step.id, ahead))}>
          {say('done before the evening begins')}
        </TickBox>
      </div>
      {step.ahead && (
        <Stepper
          label={say('Days before the table')}
          value={step.daysBefore ?? 0}
          least={0}
          most={14}
          onChange={(days) => onChange((now) => daysBefore(now, step.id, days))}
        />
      )}
      <Stepper
        label={say('Never shorter than, for safety')}
        unit="min"
        value={step.safeMinutes ?? 0}
        least={0}
        most={2880}
        onChange={(least) => onChange((now) => safeMinutes(now, step.id, least))}
      />
      <Cautions step={step} onChange={(cautions) => set({ cautions })} />
    </>
  );
}

type Dish = FormProps['dish'];

/** A field that is not said is not there, rather than there and empty. */
function without<Field extends keyof Step>(dish: Dish, id: string, field: Field): Dish {
  return {
    ...dish,
    steps: dish.steps.map((step) => {
      if (step.id !== id) return step;
      const { [field]: _, ...rest } = step;
      return rest as Step;
    }),
  };
}

const inVessel = (dish: Dish, id: string, vessel: string | null): Dish =>
  vessel === null ? without(dish, id, 'vessel') : withStep(dish, id, { vessel });
const early = (dish: Dish, id: string, ahead: boolean): Dish =>
  ahead ? withStep(dish, id, { ahead }) : without(without(dish, id, 'daysBefore'), id, 'ahead');
const daysBefore = (dish: Dish, id: string, days: number): Dish =>
  days > 0 ? withStep(dish, id, { daysBefore: days }) : without(dish, id, 'daysBefore');
const safeMinutes = (dish: Dish, id: string, least: number): Dish =>
  least > 0 ? withStep(dish, id, { safeMinutes: least }) : without(dish, id, 'safeMinutes');

interface GrowsProps {
  readonly step: Step;
  readonly servings: number;
  readonly onChange: (grows: Growth) => void;
}

/** How its minutes follow the number of people. */
function Grows({ step: { grows }, servings, onChange }: GrowsProps) {
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Select
        label={say('It takes')}
        value={grows.by}
        options={growthWords()}
        onChange={(by) => onChange(grown(by, servings))}
      />
      {grows.by === 'batches' && (
        <Stepper
          label={say('One lot is enough for')}
          unit="people"
          value={grows.servingsPerBatch}
          least={1}
          most={200}
          onChange={(servingsPerBatch) => onChange({ ...grows, servingsPerBatch })}
        />
      )}
      {grows.by === 'boil' && (
        <>
          <Stepper
            label={say('All that boils')}
            unit="l"
            value={grows.litres}
            least={0.1}
            most={50}
            step={0.5}
            onChange={(litres) => onChange({ ...grows, litres })}
          />
          <Stepper
            label={say('It begins at')}
            unit="°C"
            value={grows.fromCelsius}
            least={0}
            most={100}
            step={5}
            onChange={(fromCelsius) => onChange({ ...grows, fromCelsius })}
          />
          <TickBox value={grows.covered} onChange={(covered) => onChange({ ...grows, covered })}>
            {say('lid on')}
          </TickBox>
        </>
      )}
      {grows.by === 'pieces' && (
        <>
          <Stepper
            label={say('All of it weighs')}
            unit="kg"
            value={grows.kilos}
            least={0.1}
            most={500}
            step={0.5}
            onChange={(kilos) => onChange({ ...grows, kilos })}
          />
          <Stepper
            label={say('One piece, at the most')}
            unit="kg"
            value={grows.mostKilos}
            least={0.1}
            most={50}
            step={0.5}
            onChange={(mostKilos) => onChange({ ...grows, mostKilos })}
          />
          <Stepper
            label={say('Minutes to begin with')}
            value={grows.first}
            least={0}
            most={600}
            onChange={(first) => onChange({ ...grows, first })}
          />
          <Stepper
            label={say('Minutes for each kilo')}
            value={grows.perKilo}
            least={0}
            most={600}
            onChange={(perKilo) => onChange({ ...grows, perKilo })}
          />
        </>
      )}
    </div>
  );
}

interface CautionsProps {
  readonly step: Step;
  readonly onChange: (cautions: readonly string[]) => void;
}

/** What can hurt here, in the cook's own words; what the app knows by itself is added to them. */
function Cautions({ step: { cautions, name }, onChange }: CautionsProps) {
  return (
    <fieldset>
      <legend className="text-sm text-faint">{say('What can hurt here')}</legend>
      <ul className="grid gap-1">
        {cautions.map((caution, k) => (
          // Cautions have no names of their own.
          // biome-ignore lint/suspicious/noArrayIndexKey: their place is what they are known by
          <li key={k} className="flex items-center gap-2">
            <KeptField
              hideLabel
              label={say('Caution {k} at {name}', { k: k + 1, name })}
              value={caution}
              className="min-w-0 flex-1"
              onChange={(words) => onChange(cautions.map((each, other) => (other === k ? words : each)))}
            />
            <button
              type="button"
              aria-label={say('Take out caution {k} at {name}', { k: k + 1, name })}
              className="grid size-10 shrink-0 place-items-center rounded-lg hover:bg-soft"
              onClick={() => onChange(cautions.filter((_, other) => other !== k))}
            >
              <X size={18} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <Button look="quiet" className="px-0" onClick={() => onChange([...cautions, say('Hot: two dry cloths.')])}>
        {say('add a caution')}
      </Button>
    </fieldset>
  );
}
