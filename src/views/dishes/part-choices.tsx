import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { ChevronDown, X } from 'lucide-react';
import type { DishDraft } from '@/core/dish/draft-dish';
import { nameOfPart, saidOf, withoutPart, withWay } from '@/core/dish/draft-parts';
import { MAIN } from '@/core/dish/made';
import type { WayChoice } from '@/core/dish/technique';
import { techniqueOf } from '@/core/dish/techniques/all';
import { say } from '@/core/say/say';
import { Pills } from '@/ui/pills';
import { Select } from '@/ui/select';
import type { Change } from './slot-rows';

interface PartChoicesProps {
  readonly draft: DishDraft;
  readonly part: string;
  readonly change: Change;
}

/** The points where cooks differ, of one part. */
export function PartChoices({ draft, part, change }: PartChoicesProps) {
  const said = saidOf(draft, part);
  if (!said) return null;
  return techniqueOf(said.technique).choices.map((choice) => (
    <ChosenWay
      key={choice.id}
      choice={choice}
      value={said.ways[choice.id] ?? choice.ways[0]!.id}
      onChange={(way) => change((now) => withWay(now, part, choice, way))}
    />
  ));
}

/** A part that is made for the dish: how, and what cooks differ on; or it is let go. */
export function MadePart({ draft, part, change }: PartChoicesProps) {
  const said = saidOf(draft, part);
  if (!said || part === MAIN) return null;
  const { choices, name } = techniqueOf(said.technique);
  return (
    <Disclosure
      as="section"
      aria-label={say('Part: {part}', { part: nameOfPart(draft, part) })}
      defaultOpen
      className="border-s-4 border-line ps-3"
    >
      <div className="flex items-center gap-1">
        <DisclosureButton className="group flex min-h-10 min-w-0 flex-1 items-center gap-2 text-start text-xl">
          <ChevronDown size={18} aria-hidden className="shrink-0 group-data-open:rotate-180" />
          <span className="min-w-0">{nameOfPart(draft, part)}</span>
        </DisclosureButton>
        <button
          type="button"
          aria-label={say('Let go of {name}', { name })}
          className="grid size-10 shrink-0 place-items-center rounded-lg hover:bg-soft"
          onClick={() => change((now) => withoutPart(now, part))}
        >
          <X size={18} aria-hidden />
        </button>
      </div>
      <DisclosurePanel className="grid gap-4 pt-1 pb-2">
        {choices.length === 0 && <p className="text-faint">{say('Nothing that cooks differ on.')}</p>}
        <PartChoices draft={draft} part={part} change={change} />
      </DisclosurePanel>
    </Disclosure>
  );
}

interface ChosenWayProps {
  readonly choice: WayChoice;
  readonly value: string;
  readonly onChange: (way: string) => void;
}

/** More ways than this go into a list that opens. */
const MOST_IN_SIGHT = 5;

/** A point where cooks differ, with the reason of the way that is chosen. */
function ChosenWay({ choice, value, onChange }: ChosenWayProps) {
  const chosen = choice.ways.find((way) => way.id === value) ?? choice.ways[0]!;
  return (
    <div>
      {choice.ways.length > MOST_IN_SIGHT ? (
        <Select
          label={choice.asks}
          value={chosen.id}
          options={choice.ways.map((way) => [way.id, way.says] as const)}
          onChange={onChange}
        />
      ) : (
        <Pills
          label={choice.asks}
          value={chosen.id}
          options={choice.ways.map(({ id: way, says }) => [way, says])}
          onChange={onChange}
        />
      )}
      <p className="mt-1 text-faint">{chosen.because}</p>
    </div>
  );
}
