'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { Plus, X } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Refusal } from '@/core/dish/check';
import { HIGHEST_METRES, LOWEST_METRES } from '@/core/heat/water';
import {
  APPLIANCE_KINDS,
  type ApplianceKind,
  BURNER_STRENGTHS,
  type Kitchen,
  VESSEL_KINDS,
} from '@/core/kitchen/kitchen';
import { pantry } from '@/store/db';
import { changeKitchen } from '@/store/meals';
import { Button } from '@/ui/button';
import { Pills } from '@/ui/pills';
import { Select } from '@/ui/select';
import { Stepper } from '@/ui/stepper';
import { TickBox } from '@/ui/tick-box';
import { useTitle } from '@/ui/title';

type ListName = 'burners' | 'ovens' | 'appliances' | 'vessels' | 'people';
type Row<L extends ListName> = Kitchen[L][number];

const ASLEEP = { from: '23:00', until: '07:00' };

/** Burners, oven, appliances, pots and people of a kitchen; each change is checked and stored at once. */
export function KitchenView({ id }: { readonly id: string }) {
  const router = useRouter();
  const [fault, setFault] = useState<Refusal | null>(null);
  const kitchen = useLiveQuery(async () => (await pantry().kitchens.get(id)) ?? null, [id]);
  useTitle('Kitchen', kitchen?.name);
  if (kitchen === undefined) return <p className="mt-10 text-faint">Opening the kitchen…</p>;
  if (kitchen === null) return <p className="mt-10">There is no such kitchen in this browser.</p>;
  // Each change is made to what is stored, not to what this view last read.
  const change = async (by: (kitchen: Kitchen) => Kitchen) => setFault(await changeKitchen(pantry(), id, by));
  const rows = <L extends ListName>(list: L) => ({
    change: (row: string, part: Partial<Row<L>>) =>
      change((now) => ({ ...now, [list]: now[list].map((each) => (each.id === row ? { ...each, ...part } : each)) })),
    remove: (row: string) => change((now) => ({ ...now, [list]: now[list].filter((each) => each.id !== row) })),
    add: (row: Omit<Row<L>, 'id'>) =>
      change((now) => ({ ...now, [list]: [...now[list], { ...row, id: freshId(now, list) }] })),
  });
  const burners = rows('burners');
  const ovens = rows('ovens');
  const appliances = rows('appliances');
  const vessels = rows('vessels');
  const people = rows('people');
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-4xl">{kitchen.name}</h1>
        <Button onClick={() => router.back()}>Back</Button>
      </div>
      <div className="mt-2 flex flex-wrap items-end gap-x-8 gap-y-2">
        <Stepper
          label="Above the sea, where water boils cooler"
          unit="m"
          value={kitchen.metres ?? 0}
          least={LOWEST_METRES}
          most={HIGHEST_METRES}
          step={50}
          onChange={(metres) => change((now) => ({ ...now, metres }))}
        />
        <Pills
          label="Where it stands"
          value={kitchen.where ?? 'indoors'}
          options={[
            ['indoors', 'indoors'],
            ['outdoors', 'in the open'],
            ['tent', 'in a tent or under an awning'],
          ]}
          onChange={(where) => change((now) => ({ ...now, where }))}
        />
        {kitchen.asleep ? (
          <div className="flex items-end gap-4">
            <Hour
              label="Asleep from"
              value={kitchen.asleep.from}
              onChange={(from) => change((now) => ({ ...now, asleep: { ...ASLEEP, ...now.asleep, from } }))}
            />
            <Hour
              label="asleep until"
              value={kitchen.asleep.until}
              onChange={(until) => change((now) => ({ ...now, asleep: { ...ASLEEP, ...now.asleep, until } }))}
            />
            <Button look="quiet" onClick={() => void change(({ asleep: _, ...awake }) => awake)}>
              no fixed hours
            </Button>
          </div>
        ) : (
          <Button look="quiet" onClick={() => void change((now) => ({ ...now, asleep: ASLEEP }))}>
            Tell when the household sleeps
          </Button>
        )}
      </div>
      {fault && (
        <p role="alert" className="mt-3 border-l-4 border-warn pl-3 text-lg">
          {fault.sentence} The kitchen was kept as it was.
        </p>
      )}
      <div className="mt-4 grid gap-x-12 gap-y-8 xl:grid-cols-2">
        <Section
          title="Burners"
          onAdd={() => burners.add({ name: 'New burner', strength: 'middling', widestCm: 26, gentle: true })}
        >
          {kitchen.burners.map((burner) => (
            <RowBox
              key={burner.id}
              name={burner.name}
              onRename={(name) => burners.change(burner.id, { name })}
              onRemove={() => burners.remove(burner.id)}
            >
              <Choice
                label="Strength"
                value={burner.strength}
                options={BURNER_STRENGTHS}
                onChange={(strength) => burners.change(burner.id, { strength })}
              />
              <Stepper
                label="Widest pan"
                unit="cm"
                value={burner.widestCm}
                least={8}
                most={80}
                onChange={(widestCm) => burners.change(burner.id, { widestCm })}
              />
              <TickBox value={burner.gentle} onChange={(gentle) => burners.change(burner.id, { gentle })}>
                Holds the barest simmer
              </TickBox>
            </RowBox>
          ))}
        </Section>
        <Section title="Oven" onAdd={() => ovens.add({ name: 'New oven', shelves: 2, warmUpMinutes: 12 })}>
          {kitchen.ovens.map((oven) => (
            <RowBox
              key={oven.id}
              name={oven.name}
              onRename={(name) => ovens.change(oven.id, { name })}
              onRemove={() => ovens.remove(oven.id)}
            >
              <Stepper
                label="Shelves"
                value={oven.shelves}
                least={1}
                most={12}
                onChange={(shelves) => ovens.change(oven.id, { shelves })}
              />
              <Stepper
                label="To 180 °C in"
                unit="min"
                value={oven.warmUpMinutes}
                least={0}
                most={90}
                onChange={(warmUpMinutes) => ovens.change(oven.id, { warmUpMinutes })}
              />
            </RowBox>
          ))}
        </Section>
        <Section
          title="Pots, pans and trays"
          onAdd={() => vessels.add({ name: 'New pot', kind: 'pot', litres: 3, widthCm: 22, count: 1 })}
        >
          {kitchen.vessels.map((vessel) => (
            <RowBox
              key={vessel.id}
              name={vessel.name}
              onRename={(name) => vessels.change(vessel.id, { name })}
              onRemove={() => vessels.remove(vessel.id)}
            >
              <Choice
                label="Kind"
                value={vessel.kind}
                options={VESSEL_KINDS}
                onChange={(kind) => vessels.change(vessel.id, { kind })}
              />
              <Stepper
                label="Holds"
                unit="l"
                step={0.5}
                value={vessel.litres}
                least={0.5}
                most={200}
                onChange={(litres) => vessels.change(vessel.id, { litres })}
              />
              <Stepper
                label="Across"
                unit="cm"
                value={vessel.widthCm}
                least={5}
                most={100}
                onChange={(widthCm) => vessels.change(vessel.id, { widthCm })}
              />
              <Stepper
                label="How many"
                value={vessel.count}
                least={0}
                most={30}
                onChange={(count) => vessels.change(vessel.id, { count })}
              />
            </RowBox>
          ))}
        </Section>
        <div className="flex flex-col gap-8">
          <Section
            title="People"
            onAdd={() => people.add({ name: 'New helper', role: 'helper', from: '08:00', until: '22:00' })}
          >
            {kitchen.people.map((person) => (
              <RowBox
                key={person.id}
                name={person.name}
                onRename={(name) => people.change(person.id, { name })}
                onRemove={() => people.remove(person.id)}
              >
                <Choice
                  label="Does"
                  value={person.role}
                  options={['cook', 'helper']}
                  onChange={(role) => people.change(person.id, { role })}
                />
                <Hour label="There from" value={person.from} onChange={(from) => people.change(person.id, { from })} />
                <Hour label="until" value={person.until} onChange={(until) => people.change(person.id, { until })} />
              </RowBox>
            ))}
          </Section>
          <Section
            title="Appliances"
            onAdd={() => appliances.add({ name: 'New kettle', kind: 'kettle', litres: USUAL_LITRES.kettle })}
          >
            {kitchen.appliances.map((item) => (
              <RowBox
                key={item.id}
                name={item.name}
                onRename={(name) => appliances.change(item.id, { name })}
                onRemove={() => appliances.remove(item.id)}
              >
                <Choice
                  label="Kind"
                  value={item.kind}
                  options={APPLIANCE_KINDS}
                  onChange={(kind) => appliances.change(item.id, { kind })}
                />
                <Stepper
                  label={item.litres === undefined ? 'Holds, not told yet' : 'Holds'}
                  unit="l"
                  value={item.litres ?? USUAL_LITRES[item.kind]}
                  least={0.1}
                  most={200}
                  step={0.1}
                  onChange={(litres) => appliances.change(item.id, { litres })}
                />
              </RowBox>
            ))}
          </Section>
        </div>
      </div>
    </>
  );
}

/** Litres that a household appliance usually holds: where to begin from. Common practice, no source. */
const USUAL_LITRES: Readonly<Record<ApplianceKind, number>> = {
  kettle: 1.7,
  'rice-cooker': 1.8,
  'pressure-cooker': 6,
  blender: 1.5,
  'slow-cooker': 4.5,
};

function freshId(kitchen: Kitchen, list: ListName): string {
  const taken = new Set(kitchen[list].map((row) => row.id));
  let number = kitchen[list].length + 1;
  while (taken.has(`${list}-${number}`)) number++;
  return `${list}-${number}`;
}

function Section({
  title,
  onAdd,
  children,
}: {
  readonly title: string;
  readonly onAdd: () => void;
  readonly children: React.ReactNode;
}) {
  return (
    <section aria-label={title}>
      <div className="flex items-center justify-between border-b-2 border-ink pb-1">
        <h2 className="text-2xl">{title}</h2>
        <Button look="quiet" onClick={onAdd} aria-label={`Add to ${title}`}>
          <Plus size={16} aria-hidden className="inline" /> add
        </Button>
      </div>
      {children}
    </section>
  );
}

interface RowBoxProps {
  readonly name: string;
  readonly onRename: (name: string) => void;
  readonly onRemove: () => void;
  readonly children: React.ReactNode;
}

function RowBox({ name, onRename, onRemove, children }: RowBoxProps) {
  return (
    <fieldset className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-line py-3">
      <legend className="sr-only">{name}</legend>
      <label className="text-sm text-faint">
        Name
        <input
          className="block h-10 w-40 rounded-lg border border-line bg-paper px-2 text-base text-ink"
          defaultValue={name}
          maxLength={120}
          onBlur={(event) => {
            if (event.target.value.trim() !== '') onRename(event.target.value);
            else event.target.value = name;
          }}
        />
      </label>
      {children}
      <button
        type="button"
        aria-label={`Take out ${name}`}
        className="ml-auto grid size-10 place-items-center rounded-lg hover:bg-soft"
        onClick={onRemove}
      >
        <X size={18} aria-hidden />
      </button>
    </fieldset>
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly T[];
  readonly onChange: (value: T) => void;
}

function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  return (
    <Select
      label={label}
      value={value}
      options={options.map((option) => [option, option.replace('-', ' ')] as const)}
      onChange={onChange}
    />
  );
}

function Hour({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
}) {
  return (
    <label className="text-sm text-faint">
      {label}
      <input
        type="time"
        className="block h-10 rounded-lg border border-line bg-paper px-2 text-base text-ink"
        value={value}
        onChange={(event) => event.target.value && onChange(event.target.value)}
      />
    </label>
  );
}
