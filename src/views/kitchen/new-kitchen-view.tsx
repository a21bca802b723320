'use client';

import { useRouter, useSearchParams } from 'next/navigation';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { createMeal } from '@/store/meals';
import { Button } from '@/ui/button';
import { useTitle } from '@/ui/title';
import { Questions } from './questions';

/** One more kitchen; where a meal was to be begun, it is begun in it. */
export function NewKitchenView() {
  useTitle(say('New kitchen'));
  const router = useRouter();
  const forMeal = useSearchParams().get('for') === 'meal';
  const made = async (id: string) => {
    const meal = forMeal ? await createMeal(pantry(), new Date()) : null;
    router.replace(meal ? `/meals/${encodeURIComponent(meal)}` : `/kitchens/${encodeURIComponent(id)}`);
  };
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-4xl">{forMeal ? say('First, your kitchen') : say('New kitchen')}</h1>
        <Button onClick={() => router.back()}>{say('Back')}</Button>
      </div>
      <div className="mt-5">
        <Questions onMade={(id) => void made(id)} />
      </div>
    </>
  );
}
