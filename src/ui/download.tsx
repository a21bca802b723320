'use client';

import { useState } from 'react';
import { say } from '@/core/say/say';

interface DownloadProps {
  readonly name: string;
  readonly type?: string;
  /** What is written; where that takes something that is fetched first, it comes later. */
  readonly text: () => string | Promise<string>;
  readonly children: React.ReactNode;
}

/** Hands a file to the browser to be saved. */
export function saveFile(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** Saves a text as a file. What writes it may be fetched first; where that does not come, it says so. */
export function Download({ name, type = 'application/json', text, children }: DownloadProps) {
  const [failed, setFailed] = useState(false);
  const save = async () => {
    try {
      saveFile(name, new Blob([await text()], { type }));
      setFailed(false);
    } catch (error) {
      console.error(error);
      setFailed(true);
    }
  };
  return (
    <>
      <button
        type="button"
        className="inline-flex min-h-10 items-center underline underline-offset-4"
        onClick={() => void save()}
      >
        {children}
      </button>
      {failed && (
        <span role="alert" className="basis-full border-s-4 border-warn ps-3">
          {say(
            'That file could not be made: what makes it did not come from the server. Try again when there is a network.',
          )}
        </span>
      )}
    </>
  );
}
