'use client';

import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { Button } from '@/ui/button';

const CodeShown = dynamic(() => import('./code-shown').then((code) => code.CodeShown), { ssr: false });

/** As text: a browser lets few kinds of files be shared, and ours is not among them. */
const asShared = (text: string) => new File([text], 'meal.txt', { type: 'text/plain' });

/** Ways of a meal, with its evening, to another device: by what the device shares with, and by a code that the other's camera reads. */
export function HandOver({ mealId, className }: { readonly mealId: string; readonly className?: string }) {
  const [shown, setShown] = useState(false);
  const [canShare, setCanShare] = useState(false);
  const [fault, setFault] = useState('');
  useEffect(() => setCanShare(navigator.canShare?.({ files: [asShared('')] }) ?? false), []);
  const share = async () => {
    try {
      const { fileToHandOver } = await import('@/store/files');
      const file = await fileToHandOver(pantry(), mealId);
      if (file) await navigator.share({ title: file.meal.name, files: [asShared(JSON.stringify(file))] });
      setFault('');
    } catch (error) {
      // Whoever thinks better of it has not failed.
      if (error instanceof Error && error.name === 'AbortError') return;
      console.error(error);
      setFault(say('It could not be shared. Show it as a code, or save the meal as a file.'));
    }
  };
  return (
    <>
      {canShare && (
        <Button className={className} onClick={() => void share()}>
          {say('Share it')}
        </Button>
      )}
      <Button className={className} onClick={() => setShown(true)}>
        {say('Show it as a code')}
      </Button>
      {fault && <span role="alert">{fault}</span>}
      {shown && <CodeShown mealId={mealId} onClose={() => setShown(false)} />}
    </>
  );
}
