import type { Dish } from '@/core/dish/dish';
import type { DishDraft } from '@/core/dish/draft-dish';
import { handOversOf, nameOfPart, sharedVessels, withNewPart, withSameVessel } from '@/core/dish/draft-parts';
import { BETWEEN, type Between } from '@/core/dish/made';
import { untakenParts } from '@/core/dish/parts';
import { TECHNIQUES, techniqueOf } from '@/core/dish/techniques/all';
import { sayMeasured } from '@/core/meal/hand-over';
import { say } from '@/core/say/say';
import { printThing } from '@/core/units/thing';
import { printSpan } from '@/ui/clock';
import { Select } from '@/ui/select';
import type { Change } from './slot-rows';

interface JointsProps {
  readonly draft: DishDraft;
  readonly dish: Dish;
  readonly change: Change;
}

/** What is handed from part to part, which vessel goes with it, and what nobody takes. */
export function Joints({ draft, dish, change }: JointsProps) {
  if (!draft.parts?.length) return null;
  const handed = handOversOf(dish);
  const untaken = untakenParts(draft, draft.servings);
  const measured = dish.gives.map(({ step }) => sayMeasured([dish], dish, step)).filter((each) => each !== '');
  return (
    <section aria-label={say('What is handed over')}>
      <h2 className="text-2xl">{say('What is handed over')}</h2>
      <ul className="mt-1 border-t border-line">
        {handed.map(({ product, name, takes, after, into, withinMinutes }) => (
          <li key={`${product} ${into}`} className="border-b border-line py-1.5">
            <span className="font-semibold">{printThing(takes, name)}</span>{' '}
            <span className="text-faint">
              {withinMinutes === null
                ? say('after “{after}”, into “{into}”', { after, into })
                : say('after “{after}”, into “{into}”, within {span}', { after, into, span: printSpan(withinMinutes) })}
            </span>
          </li>
        ))}
        {[...new Set(measured)].map((sentence) => (
          <li key={sentence} className="border-b border-line py-1.5">
            {sentence}
          </li>
        ))}
        {untaken.map((part) => (
          <li key={part} className="border-b border-s-4 border-line border-s-warn py-1.5 ps-2">
            <span role="status">
              {say('Nothing takes anything from “{part}”: it comes to the table beside the dish.', {
                part: nameOfPart(draft, part),
              })}
            </span>
          </li>
        ))}
      </ul>
      <Vessels draft={draft} change={change} />
    </section>
  );
}

const betweenWords = (): Readonly<Record<Between, string>> => ({
  'as it is': say('as it is'),
  wiped: say('wiped'),
  rinsed: say('rinsed'),
});

/** A pan, pot or tray that goes from part to part. */
function Vessels({ draft, change }: Omit<JointsProps, 'dish'>) {
  const vessels = sharedVessels(draft);
  if (vessels.length === 0) return null;
  return (
    <div className="mt-3 grid gap-2">
      {vessels.map(({ id, name, others, is }) => {
        const options = [
          [null, say('one of its own')] as const,
          ...others.flatMap((other) =>
            BETWEEN.map(
              (between) =>
                [
                  `${other.id} ${between}`,
                  say('the {other}, {how}', { other: other.name, how: betweenWords()[between] }),
                ] as const,
            ),
          ),
        ];
        return (
          <Select
            key={id}
            label={say('The {name}', { name })}
            value={is ? `${is.from} ${is.between}` : null}
            options={options}
            onChange={(chosen) => {
              const other = others.find((each) => chosen?.startsWith(`${each.id} `));
              const between = BETWEEN.find((each) => chosen === `${other?.id} ${each}`);
              change((now) => withSameVessel(now, id, other && between ? { from: other.id, between } : null));
            }}
          />
        );
      })}
    </div>
  );
}

/** One more part, taken by nobody yet: it comes to the table beside the dish. */
export function AddPart({ change }: Pick<JointsProps, 'change'>) {
  return (
    <Select
      label={say('One more part')}
      value={null}
      options={[[null, say('made beside it…')] as const, ...TECHNIQUES.map(({ id, name }) => [id, name] as const)]}
      onChange={(chosen) => chosen !== null && change((now) => withNewPart(now, techniqueOf(chosen)).draft)}
    />
  );
}
