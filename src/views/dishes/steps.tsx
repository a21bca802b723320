'use client';

import { useRouter } from 'next/navigation';
import { cautionsAt } from '@/core/dish/cautions';
import type { Dish } from '@/core/dish/dish';
import { copyOf } from '@/core/dish/edit-steps';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { storeDish } from '@/store/meals';
import { Download } from '@/ui/download';

const formats = () => import('@/core/formats/dish-file');

/** A copy to be changed without touching the first. */
function CopyIt({ dish }: { readonly dish: Dish }) {
  const router = useRouter();
  const copy = async () => {
    const other = copyOf(dish, `copy-${Date.now()}`);
    if (!(await storeDish(pantry(), other))) router.push(`/dishes/${encodeURIComponent(other.id)}`);
  };
  return (
    <button
      type="button"
      className="inline-flex min-h-10 items-center underline underline-offset-4"
      onClick={() => void copy()}
    >
      {say('make a copy')}
    </button>
  );
}

/** The steps in full, each with its sign of being done and its cautions. */
export function Steps({ dish }: { readonly dish: Dish }) {
  return (
    <section aria-label={say('The steps')}>
      <h2 className="text-2xl">{say('The steps')}</h2>
      <p className="flex flex-wrap gap-x-5">
        <Download
          name={`${dish.id}.dish.json`}
          text={async () => JSON.stringify((await formats()).dishFile(dish), null, 2)}
        >
          {say('save as a dish file')}
        </Download>
        <CopyIt dish={dish} />
        <Download
          name={`${dish.id}.jsonld`}
          text={async () => JSON.stringify((await formats()).recipeJsonLd(dish), null, 2)}
        >
          {say('save as recipe data')}
        </Download>
      </p>
      <ol className="mt-1 border-t border-line">
        {dish.steps.map((step) => (
          <li key={step.id} className="border-b border-line py-2">
            <span className="font-semibold first-letter:uppercase">{step.name}</span>{' '}
            <span className="text-faint">
              {step.minutes.shortest === step.minutes.longest
                ? say('{likely} min', { likely: step.minutes.likely })
                : say('{shortest} to {longest} min', {
                    shortest: step.minutes.shortest,
                    longest: step.minutes.longest,
                  })}
            </span>
            <span className="block">{step.says}</span>
            {step.doneWhen && (
              <span className="block text-faint">{say('Done when {doneWhen}.', { doneWhen: step.doneWhen })}</span>
            )}
            {cautionsAt(dish, step).map((caution) => (
              <span key={caution} className="mt-1 block border-s-3 border-warn ps-2 text-warn">
                {caution}
              </span>
            ))}
          </li>
        ))}
      </ol>
    </section>
  );
}
