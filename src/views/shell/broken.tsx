'use client';

import { useEffect } from 'react';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import { Link } from '@/ui/link';
import { useTitle } from '@/ui/title';

interface BrokenProps {
  readonly error: Error;
  readonly onAgain: () => void;
}

/** A page that broke: what is stored is safe, and there are two ways on. */
export function Broken({ error, onAgain }: BrokenProps) {
  useTitle(say('Something broke'));
  useEffect(() => console.error(error), [error]);
  return (
    <div role="alert" className="mt-8 max-w-prose" data-testid="broken">
      <h1 className="text-4xl">{say('Something broke here')}</h1>
      <p className="mt-3 text-lg">
        {say(
          'Nothing that you told or stored is lost: at the stove every press is kept at once. Try again; where it breaks again, go back to the meals, and save a backup there.',
        )}
      </p>
      <p className="mt-2 text-faint">{error.message}</p>
      <div className="mt-5 flex flex-wrap items-center gap-4">
        <Button look="strong" big onClick={onAgain}>
          {say('try again')}
        </Button>
        <Link href="/" className="inline-flex min-h-12 items-center text-lg underline underline-offset-4">
          {say('Go to the meals')}
        </Link>
      </div>
    </div>
  );
}

/** An address that leads nowhere. */
export function Nowhere() {
  useTitle(say('Nothing here'));
  return (
    <div className="mt-8 max-w-prose" data-testid="nowhere">
      <h1 className="text-4xl">{say('There is nothing at this address')}</h1>
      <p className="mt-3 text-lg">
        {say(
          'It may have been written down wrongly, or come from another browser: meals and dishes are kept in the browser they were made in.',
        )}
      </p>
      <Link href="/" className="mt-5 inline-flex min-h-12 items-center text-lg underline underline-offset-4">
        {say('Go to the meals')}
      </Link>
    </div>
  );
}
