import { say } from '@/core/say/say';
/** "2 h 30 min", "45 min", "0 min", "2 days": so many minutes, whichever way they lie. */
export function printSpan(minutes: number): string {
  const whole = Math.round(Math.abs(minutes));
  if (whole === 0) return say('0 min');
  const [h, m] = [Math.floor(whole / 60), whole % 60];
  if (h >= 24) return h < 36 ? say('1 day') : say('{h} days', { h: Math.round(h / 24) });
  return [h > 0 ? `${h} h` : '', m > 0 ? say('{m} min', { m }) : ''].filter(Boolean).join(' ');
}
