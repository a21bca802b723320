import type { Attention, Dish } from '@/core/dish/dish';
import { minutesOf, stripOf } from '@/core/dish/strip';
import { printSpan } from '@/ui/clock';

const LOOKS: Readonly<Record<Attention, string>> = {
  hands: 'bg-ink',
  eyes: 'strip-eyes',
  none: 'bg-line',
};
const WORDS: Readonly<Record<Attention, string>> = {
  hands: 'wants hands',
  eyes: 'wants a look now and then',
  none: 'goes by itself',
};

/** A dish by itself on its own clock: what follows what, what goes on beside it, and where hands are wanted. */
export function Strip({ dish }: { readonly dish: Dish }) {
  const steps = stripOf(dish);
  const eve = steps.filter(({ step }) => step.ahead || step.daysBefore !== undefined);
  const day = steps.filter((each) => !eve.includes(each));
  const first = Math.min(-1, ...day.map(({ start }) => start));
  const share = (minutes: number) => `${(100 * minutes) / -first}%`;
  const { all, hands } = minutesOf(dish);
  return (
    <figure aria-label="The dish by itself">
      <figcaption className="text-faint">
        {printSpan(all)} from first to last, {printSpan(hands)} of hands
        {eve.length > 0 && ', and something the evening before'}, for {dish.servings}, with hands enough.
      </figcaption>
      <ol className="mt-2">
        {eve.map(({ step }) => (
          <li key={step.id} className="grid grid-cols-[9rem_1fr] items-center gap-3 py-0.5">
            <span className="truncate text-end">{step.name}</span>
            <span className="text-sm text-faint">before the day, {printSpan(step.minutes.likely)}</span>
          </li>
        ))}
        {day.map(({ step, start, end }) => (
          <li
            key={step.id}
            className="grid grid-cols-[9rem_1fr] items-center gap-3 py-0.5"
            title={`${step.name}: ${printSpan(end - start)}, ${WORDS[step.attention]}`}
          >
            <span className="truncate text-end">{step.name}</span>
            <span className="relative block h-5 bg-soft">
              <span
                className={`absolute inset-y-0 min-w-1 rounded-sm ${LOOKS[step.attention]}`}
                style={{ left: share(start - first), width: share(end - start) }}
              />
              <span className="sr-only">
                from {printSpan(-start)} to {printSpan(-end)} before it is ready, {WORDS[step.attention]}
              </span>
            </span>
          </li>
        ))}
      </ol>
      <p className="mt-1.5 flex flex-wrap gap-x-5 text-sm text-faint" aria-hidden>
        {(Object.keys(LOOKS) as Attention[]).map((each) => (
          <span key={each} className="inline-flex items-center gap-1.5">
            <span className={`inline-block h-3 w-5 rounded-sm ${LOOKS[each]}`} /> {WORDS[each]}
          </span>
        ))}
      </p>
    </figure>
  );
}
