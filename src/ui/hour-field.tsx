'use client';

import { readHour } from '@/core/plain/read-hour';
import { say } from '@/core/say/say';
import { KeptField } from './kept-field';
import { toldHere } from './told/manner';

interface HourFieldProps {
  readonly label: string;
  /** "HH:MM". */
  readonly value: string;
  readonly className?: string;
  readonly onChange: (hour: string) => void;
}

/** An hour of the clock, told as the cook tells hours and read as anyone writes them. */
export function HourField({ label, value, className = 'w-28', onChange }: HourFieldProps) {
  return (
    <KeptField
      label={label}
      value={toldHere(value)}
      className={className}
      fault={(text) =>
        readHour(text)
          ? null
          : say('{label}: an hour such as {hour}; kept as it was.', { label, hour: toldHere('19:30') })
      }
      onChange={(text) => {
        const hour = readHour(text);
        if (hour && hour !== value) onChange(hour);
      }}
    />
  );
}
