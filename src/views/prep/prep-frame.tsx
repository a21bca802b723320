'use client';

import { usePathname } from 'next/navigation';
import { say } from '@/core/say/say';
import { Link } from '@/ui/link';
import { useMeal } from '@/views/shell/meal-frame';

const leaves = () =>
  [
    ['', say('Shop')],
    ['/lay-out', say('Lay out')],
    ['/ahead', say('Ahead')],
  ] as const;

/** The three leaves of what is done before the evening. */
export function PrepFrame({ children }: { readonly children: React.ReactNode }) {
  const { meal } = useMeal();
  const path = usePathname();
  const base = `/meals/${encodeURIComponent(meal.id)}/prep`;
  return (
    <>
      <nav aria-label={say('Leaves of the preparation')} className="mt-2 flex flex-wrap gap-2 print:hidden">
        {leaves().map(([leaf, name]) => {
          const here = path === `${base}${leaf}`;
          return (
            <Link
              key={name}
              href={`${base}${leaf}`}
              aria-current={here ? 'page' : undefined}
              className={`min-h-11 rounded-lg px-4 py-2.5 ${here ? 'bg-ink text-ground' : 'bg-soft'}`}
            >
              {name}
            </Link>
          );
        })}
      </nav>
      {children}
    </>
  );
}
