'use client';

import {
  APPLIANCE_KINDS,
  type ApplianceKind,
  BURNER_STRENGTHS,
  type Kitchen,
  VESSEL_KINDS,
} from '@/core/kitchen/kitchen';
import { renamedByKind } from '@/core/kitchen/usual';
import { say } from '@/core/say/say';
import { HourField } from '@/ui/hour-field';
import { Stepper } from '@/ui/stepper';
import { TickBox } from '@/ui/tick-box';
import { Choice, RowBox, Section } from './pieces';
import type { ListName, Rows } from './rows';

interface ListProps<L extends ListName> {
  readonly kitchen: Kitchen;
  readonly rows: Rows<L>;
}

/** How strong, how wide, how gentle. */
export function Burners({ kitchen, rows }: ListProps<'burners'>) {
  return (
    <Section
      title={say('Burners')}
      onAdd={() => rows.add({ name: say('New burner'), strength: 'middling', widestCm: 26, gentle: true })}
    >
      {kitchen.burners.map((burner) => (
        <RowBox
          key={burner.id}
          name={burner.name}
          onRename={(name) => rows.change(burner.id, { name })}
          onRemove={() => rows.remove(burner.id)}
        >
          <Choice
            label={say('Strength')}
            value={burner.strength}
            options={BURNER_STRENGTHS}
            onChange={(strength) => rows.change(burner.id, { strength })}
          />
          <Stepper
            label={say('Widest pan')}
            unit="cm"
            value={burner.widestCm}
            least={8}
            most={80}
            onChange={(widestCm) => rows.change(burner.id, { widestCm })}
          />
          <TickBox value={burner.gentle} onChange={(gentle) => rows.change(burner.id, { gentle })}>
            {say('Holds the barest simmer')}
          </TickBox>
        </RowBox>
      ))}
    </Section>
  );
}

/** Shelves, and how fast it warms. */
export function Ovens({ kitchen, rows }: ListProps<'ovens'>) {
  return (
    <Section title={say('Oven')} onAdd={() => rows.add({ name: say('New oven'), shelves: 2, warmUpMinutes: 12 })}>
      {kitchen.ovens.map((oven) => (
        <RowBox
          key={oven.id}
          name={oven.name}
          onRename={(name) => rows.change(oven.id, { name })}
          onRemove={() => rows.remove(oven.id)}
        >
          <Stepper
            label={say('Shelves')}
            value={oven.shelves}
            least={1}
            most={12}
            onChange={(shelves) => rows.change(oven.id, { shelves })}
          />
          <Stepper
            label={say('To 180 °C in')}
            unit="min"
            value={oven.warmUpMinutes}
            least={0}
            most={90}
            onChange={(warmUpMinutes) => rows.change(oven.id, { warmUpMinutes })}
          />
        </RowBox>
      ))}
    </Section>
  );
}

/** Kind, size and number. */
export function Vessels({ kitchen, rows }: ListProps<'vessels'>) {
  return (
    <Section
      title={say('Pots, pans and trays')}
      onAdd={() => rows.add({ name: say('New pot'), kind: 'pot', litres: 3, widthCm: 22, count: 1 })}
    >
      {kitchen.vessels.map((vessel) => (
        <RowBox
          key={vessel.id}
          name={vessel.name}
          onRename={(name) => rows.change(vessel.id, { name })}
          onRemove={() => rows.remove(vessel.id)}
        >
          <Choice
            label={say('Kind')}
            value={vessel.kind}
            options={VESSEL_KINDS}
            onChange={(kind) => rows.change(vessel.id, { kind, name: renamedByKind(vessel.name, vessel.kind, kind) })}
          />
          <Stepper
            label={say('Holds')}
            unit="l"
            step={0.5}
            value={vessel.litres}
            least={0.5}
            most={200}
            onChange={(litres) => rows.change(vessel.id, { litres })}
          />
          <Stepper
            label={say('Across')}
            unit="cm"
            value={vessel.widthCm}
            least={5}
            most={100}
            onChange={(widthCm) => rows.change(vessel.id, { widthCm })}
          />
          <Stepper
            label={say('How many')}
            value={vessel.count}
            least={0}
            most={30}
            onChange={(count) => rows.change(vessel.id, { count })}
          />
        </RowBox>
      ))}
    </Section>
  );
}

/** Who cooks and who helps, and when. */
export function People({ kitchen, rows }: ListProps<'people'>) {
  return (
    <Section
      title={say('People')}
      onAdd={() => rows.add({ name: say('New helper'), role: 'helper', from: '08:00', until: '22:00' })}
    >
      {kitchen.people.map((person) => (
        <RowBox
          key={person.id}
          name={person.name}
          onRename={(name) => rows.change(person.id, { name })}
          onRemove={() => rows.remove(person.id)}
        >
          <Choice
            label={say('Does')}
            value={person.role}
            options={['cook', 'helper']}
            onChange={(role) => rows.change(person.id, { role })}
          />
          <HourField
            label={say('There from')}
            value={person.from}
            onChange={(from) => rows.change(person.id, { from })}
          />
          <HourField
            label={say('until')}
            value={person.until}
            onChange={(until) => rows.change(person.id, { until })}
          />
        </RowBox>
      ))}
    </Section>
  );
}

/** Kind and size. */
export function Appliances({ kitchen, rows }: ListProps<'appliances'>) {
  return (
    <Section
      title={say('Appliances')}
      onAdd={() => rows.add({ name: say('New kettle'), kind: 'kettle', litres: USUAL_LITRES.kettle })}
    >
      {kitchen.appliances.map((item) => (
        <RowBox
          key={item.id}
          name={item.name}
          onRename={(name) => rows.change(item.id, { name })}
          onRemove={() => rows.remove(item.id)}
        >
          <Choice
            label={say('Kind')}
            value={item.kind}
            options={APPLIANCE_KINDS}
            onChange={(kind) => rows.change(item.id, { kind, name: renamedByKind(item.name, item.kind, kind) })}
          />
          <Stepper
            label={item.litres === undefined ? say('Holds, not told yet') : say('Holds')}
            unit="l"
            value={item.litres ?? USUAL_LITRES[item.kind]}
            least={0.1}
            most={200}
            step={0.1}
            onChange={(litres) => rows.change(item.id, { litres })}
          />
        </RowBox>
      ))}
    </Section>
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
