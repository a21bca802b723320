'use client';

import { Copy, X } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { copyKitchen, putBackKitchen, removeKitchen } from '@/store/kitchens';
import { Button } from '@/ui/button';
import { Link } from '@/ui/link';

/** All kitchens: opened, made, copied and removed. */
export function Kitchens({ kitchens }: { readonly kitchens: readonly Kitchen[] }) {
  const router = useRouter();
  const [fault, setFault] = useState('');
  const [removed, setRemoved] = useState<Kitchen | null>(null);
  const remove = async (id: string) => {
    const result = await removeKitchen(pantry(), id);
    setFault(result.ok ? '' : result.refusal.sentence);
    setRemoved(result.ok ? result.kitchen : null);
  };
  const copy = async (id: string) => {
    const made = await copyKitchen(pantry(), id, Date.now());
    if (made) router.push(`/kitchens/${encodeURIComponent(made)}`);
  };
  const putBack = async () => {
    if (removed) await putBackKitchen(pantry(), removed);
    setRemoved(null);
  };
  return (
    <section aria-label={say('Kitchens')} className="mt-10">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-1">
        <h2 className="text-2xl">{say('Kitchens')}</h2>
        <Link href="/kitchens/new" className="inline-flex min-h-10 items-center underline underline-offset-4">
          {say('new kitchen')}
        </Link>
      </div>
      {fault && (
        <p role="alert" className="mt-1 border-s-4 border-warn ps-3">
          {fault}
        </p>
      )}
      <p role="status">
        {removed && (
          <>
            {say('{removed} is removed.', { removed: removed.name })}{' '}
            <Button look="quiet" onClick={() => void putBack()}>
              {say('put it back')}
            </Button>
          </>
        )}
      </p>
      <ul className="mt-1 grid gap-x-10 border-t border-line sm:grid-cols-2 lg:grid-cols-3">
        {kitchens.map(({ id, name, burners, ovens, people }) => (
          <li key={id} className="flex items-center justify-between gap-2 border-b border-line py-1">
            <span className="min-w-0">
              <Link
                href={`/kitchens/${encodeURIComponent(id)}`}
                className="inline-flex min-h-10 items-center underline underline-offset-4"
              >
                {name}
              </Link>
              <span className="-mt-2 block pb-1 text-sm text-faint">
                {sizeOf(burners.length, ovens.length, people.length)}
              </span>
            </span>
            <span className="flex shrink-0">
              <button
                type="button"
                aria-label={say('Copy {name}', { name })}
                title={say('copy')}
                className="grid size-10 place-items-center rounded-lg hover:bg-soft"
                onClick={() => void copy(id)}
              >
                <Copy size={17} aria-hidden />
              </button>
              <button
                type="button"
                aria-label={say('Remove {name}', { name })}
                title={say('remove')}
                className="grid size-10 place-items-center rounded-lg hover:bg-soft"
                onClick={() => void remove(id)}
              >
                <X size={18} aria-hidden />
              </button>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function sizeOf(burners: number, ovens: number, people: number): string {
  const stove = say('{burners, plural, one {# burner} other {# burners}}', { burners });
  const oven = ovens === 0 ? say('no oven') : ovens === 1 ? say('oven') : say('{ovens} ovens', { ovens });
  return `${stove}, ${oven}, ${people === 1 ? say('one person') : say('{people} people', { people })}`;
}
