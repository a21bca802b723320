'use client';

import { Plus, X } from 'lucide-react';
import { say, term } from '@/core/say/say';
import { Button } from '@/ui/button';
import { KeptField } from '@/ui/kept-field';
import { Select } from '@/ui/select';

/** One list of a kitchen, with the way to one more. */
export function Section({
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
        <Button look="quiet" onClick={onAdd} aria-label={say('Add to {title}', { title })}>
          <Plus size={16} aria-hidden className="inline" /> {say('add')}
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

/** One row of a list: its name, its fields, the way out. */
export function RowBox({ name, onRename, onRemove, children }: RowBoxProps) {
  return (
    <fieldset className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-line py-3">
      <legend className="sr-only">{name}</legend>
      <KeptField label={say('Name')} className="w-40" value={name} onChange={onRename} />
      {children}
      <button
        type="button"
        aria-label={say('Take out {name}', { name })}
        className="ms-auto grid size-10 place-items-center rounded-lg hover:bg-soft"
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

export function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  return (
    <Select
      label={label}
      value={value}
      options={options.map((option) => [option, term(option.replace('-', ' '))] as const)}
      onChange={onChange}
    />
  );
}
