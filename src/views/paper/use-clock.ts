'use client';

import { format } from 'date-fns';
import { useMemo } from 'react';
import type { Meal } from '@/core/meal/meal';
import type { Clock } from '@/core/paper/sheets';
import { tableInstant } from '@/core/plain/wall-clock';
import { sayDay } from '@/core/say/days';

const MINUTE = 60_000;

/** Days and hours as the wall clock shows them, also across a change of summer time. */
export function useClock({ day, hour }: Pick<Meal, 'day' | 'hour'>): Clock {
  return useMemo(() => {
    const table = tableInstant({ day, hour });
    return (minute) => {
      const at = table + minute * MINUTE;
      return { day: sayDay(at, 'day'), time: format(at, 'HH:mm') };
    };
  }, [day, hour]);
}
