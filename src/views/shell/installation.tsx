'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { say } from '@/core/say/say';
import { isAnyRunning } from '@/offline/evening-runs';
import { AT_FIRST, installation, keepOnDevice, onInstallation, showTheNewest } from '@/offline/installation';
import { pantry } from '@/store/db';
import { Button } from '@/ui/button';

const useInstallation = () => useSyncExternalStore(onInstallation, installation, () => AT_FIRST);

const eveningRuns = async () => isAnyRunning(await pantry().sessions.toArray(), Date.now());
/** Undefined until the store has said so. */
const useEveningRuns = () => useLiveQuery(eveningRuns, [], undefined);

/** Keeps the app on this device, and says when a newer one is here: never while an evening is under way. */
export function Newer() {
  const { newer } = useInstallation();
  const runs = useEveningRuns();
  const [later, setLater] = useState(false);
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production') return;
    // What is kept must not take the server and the line from the page that is being opened.
    const begin = () => keepOnDevice(async () => !(await eveningRuns()));
    if (document.readyState === 'complete') begin();
    else addEventListener('load', begin, { once: true });
    return () => removeEventListener('load', begin);
  }, []);
  if (!newer || runs !== false || later) return null;
  return (
    <div
      role="status"
      data-testid="newer"
      className="-mx-4 flex flex-wrap items-center justify-between gap-x-6 gap-y-2 border-b border-line bg-paper px-5 py-2 sm:-mx-7 print:hidden"
    >
      <p>{say('A newer Warm Cadence is here. What you have made stays as it is.')}</p>
      <span className="flex gap-2">
        <Button onClick={showTheNewest}>{say('Use it now')}</Button>
        <Button look="quiet" onClick={() => setLater(true)}>
          {say('Later')}
        </Button>
      </span>
    </div>
  );
}

/** Whether this device can do without a network. */
export function KeptHere() {
  const { state, install } = useInstallation();
  if (state === 'unknown') return null;
  return (
    <div data-testid="kept-here" className="mt-4 flex flex-wrap items-center gap-x-4 gap-y-2 text-faint">
      <p className="max-w-prose">{keepingWords()[state]}</p>
      {install && <Button onClick={install}>{say('Install it on this device')}</Button>}
    </div>
  );
}

const keepingWords = () =>
  ({
    keeping: say('All of Warm Cadence is being kept on this device, so that it works without a network…'),
    kept: say('All of Warm Cadence is kept on this device: it opens, plans, cooks and prints without a network.'),
    insecure: say(
      'Opened over a plain address of the network (http), a browser keeps nothing of the app and may let the screen sleep: without the network it does not open. Opened over https, or on the machine that serves it, it does.',
    ),
    impossible: say('This browser does not keep the app on the device: without a network it does not open.'),
  }) as const;
