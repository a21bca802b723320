'use client';

import { differenceInCalendarDays } from 'date-fns';
import { useEffect, useState } from 'react';
import { printSpan } from '@/core/plain/span';
import { say } from '@/core/say/say';

export { printSpan };

/** The present instant, renewed every so many milliseconds; null before the first paint in the browser. */
export function useNow(everyMilliseconds: number): number | null {
  const [now, setNow] = useState<number | null>(null);
  useEffect(() => {
    const tick = () => setNow(Date.now());
    tick();
    const timer = setInterval(tick, everyMilliseconds);
    // A woken tab must not show an old clock until its next tick.
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [everyMilliseconds]);
  return now;
}

/** "34:10", or "1:02:05" from an hour up; "+0:40" once it has run out. */
export function printCountdown(milliseconds: number): string {
  const over = milliseconds < 0;
  const seconds = Math.floor(Math.abs(milliseconds) / 1000);
  const two = (value: number) => String(value).padStart(2, '0');
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60];
  const text = h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
  return over ? `+${text}` : text;
}

/** How far off an instant is, as a cook says it: "in 2 h 30 min", "tomorrow", "in 4 days", "gone by". */
export function printAway(now: number, instant: number): string {
  if (instant <= now) return say('gone by');
  const days = differenceInCalendarDays(instant, now);
  if (days === 0) return say('in {span}', { span: printSpan((instant - now) / 60_000) });
  return days === 1 ? say('tomorrow') : say('in {days} days', { days });
}
