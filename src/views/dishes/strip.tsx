import type { Attention, Dish } from '@/core/dish/dish';
import { minutesOf, stripOf } from '@/core/dish/strip';
import { say } from '@/core/say/say';
import { printSpan } from '@/ui/clock';

const LOOKS: Readonly<Record<Attention, string>> = {
  hands: 'bg-ink',
  eyes: 'strip-eyes',
  none: 'bg-line',
};
const attentionWords = (): Readonly<Record<Attention, string>> => ({
  hands: say('wants hands'),
  eyes: say('wants a look now and then'),
  none: say('goes by itself'),
});

/** A dish by itself on its own clock: what follows what, what goes on beside it, and where hands are wanted. */
export function Strip({ dish }: { readonly dish: Dish }) {
  const steps = stripOf(dish);
  const eve = steps.filter(({ step }) => step.ahead || step.daysBefore !== undefined);
  const day = steps.filter((each) => !eve.includes(each));
  const first = Math.min(-1, ...day.map(({ start }) => start));
  const share = (minutes: number) => `${(100 * minutes) / -first}%`;
  const { all, hands } = minutesOf(dish);
  return (
    <figure aria-label={say('The dish by itself')}>
      <figcaption className="text-faint">
        {eve.length > 0
          ? say(
              '{span} from first to last, {hands} of hands, and something the evening before, for {servings}, with hands enough.',
              { span: printSpan(all), hands: printSpan(hands), servings: dish.servings },
            )
          : say('{span} from first to last, {hands} of hands, for {servings}, with hands enough.', {
              span: printSpan(all),
              hands: printSpan(hands),
              servings: dish.servings,
            })}
      </figcaption>
      <ol className="mt-2">
        {eve.map(({ step }) => (
          <li key={step.id} className="grid grid-cols-[9rem_1fr] items-center gap-3 py-0.5">
            <span className="truncate text-end">{step.name}</span>
            <span className="text-sm text-faint">
              {say('before the day, {span}', { span: printSpan(step.minutes.likely) })}
            </span>
          </li>
        ))}
        {day.map(({ step, start, end }) => (
          <li
            key={step.id}
            className="grid grid-cols-[9rem_1fr] items-center gap-3 py-0.5"
            title={say('{name}: {words}', {
              name: step.name,
              words: `${printSpan(end - start)}${say(', ')}${attentionWords()[step.attention]}`,
            })}
          >
            <span className="truncate text-end">{step.name}</span>
            <span className="relative block h-5 bg-soft">
              <span
                className={`absolute inset-y-0 min-w-1 rounded-sm ${LOOKS[step.attention]}`}
                style={{ left: share(start - first), width: share(end - start) }}
              />
              <span className="sr-only">
                {say('from {span} to {hands} before it is ready, {what}', {
                  span: printSpan(-start),
                  hands: printSpan(-end),
                  what: attentionWords()[step.attention],
                })}
              </span>
            </span>
          </li>
        ))}
      </ol>
      <p className="mt-1.5 flex flex-wrap gap-x-5 text-sm text-faint" aria-hidden>
        {(Object.keys(LOOKS) as Attention[]).map((each) => (
          <span key={each} className="inline-flex items-center gap-1.5">
            <span className={`inline-block h-3 w-5 rounded-sm ${LOOKS[each]}`} /> {attentionWords()[each]}
          </span>
        ))}
      </p>
    </figure>
  );
}
