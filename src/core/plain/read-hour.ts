const HOUR = /^(\d{1,2})(?:\s*[:.h]\s*(\d{2})?|\s?(\d{2}))?\s*(?:([ap])\.?\s?m?\.?)?(?:\s*(?:uhr|o'clock))?$/;

/** An hour of the clock as people write it: "19:30", "7:30 pm", "7 PM", "19.30", "1930", "noon". As "HH:MM"; null where it is none. */
export function readHour(text: string): string | null {
  const words = text.trim().toLowerCase();
  if (words === 'noon') return '12:00';
  if (words === 'midnight') return '00:00';
  const found = words.match(HOUR);
  if (!found) return null;
  const [, first, after, glued, half] = found;
  const [hour, minute] = [Number(first), Number(after ?? glued ?? 0)];
  if (minute > 59) return null;
  if (half === undefined) return hour > 23 ? null : print(hour, minute);
  if (hour < 1 || hour > 12) return null;
  return print((hour % 12) + (half === 'p' ? 12 : 0), minute);
}

function print(hour: number, minute: number): string {
  return `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`;
}
