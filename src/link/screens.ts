import { message, say } from '@/core/say/say';
import type { Line } from './line';

// The screens that show an evening together: this one and, joined to it, another. A page has one line at most, whichever view it shows.

/** How this screen stands with another. */
export type Screens =
  | { readonly kind: 'alone' }
  /** Its code is shown, and the answer is waited for. */
  | { readonly kind: 'inviting'; readonly evening: string; readonly frames: readonly Uint8Array[] }
  /** It has taken an evening over, and its own code waits to be read. */
  | {
      readonly kind: 'answering';
      readonly evening: string;
      readonly frames: readonly Uint8Array[];
      readonly text: string;
    }
  | {
      readonly kind: 'together';
      readonly evening: string;
      /** Of the two this one plans by the clock. */
      readonly leads: boolean;
      /** Milliseconds by which the clock of the other device is ahead. */
      readonly ahead: number;
    }
  /** Each goes on by itself. */
  | { readonly kind: 'apart'; readonly evening: string; readonly sentence: string };

const ALONE: Screens = { kind: 'alone' };
const OUT_OF_REACH = message('The other screen is out of reach. Each goes on by itself until they are joined again.');

let line: Line | undefined;
let state: Screens | undefined;
const listeners = new Set<() => void>();

/** For `useSyncExternalStore`: how this screen stands with another. */
export const screens = {
  subscribe(listener: () => void): () => void {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  now: (): Screens => {
    state ??= remembered();
    return state;
  },
  atFirst: (): Screens => ALONE,
};

function become(next: Screens): void {
  state = next;
  remember(next);
  for (const listener of listeners) listener();
}

/** Invites another screen to an evening of a meal; settles when its code can be shown. */
export async function invite(mealId: string, evening: string): Promise<void> {
  const [{ writeInvitation }, { framesOfText }, { fileToHandOver }, { pantry }] = await Promise.all([
    import('@/core/formats/two-screens'),
    import('./frames-of-text'),
    import('@/store/files'),
    import('@/store/db'),
  ]);
  const begun = await lineOf(evening, true);
  const offer = await begun.invite();
  const file = await fileToHandOver(pantry(), mealId);
  const frames = file && (await framesOfText(writeInvitation(offer, file)));
  if (!frames) {
    begun.close();
    throw new Error('This evening is too large for codes.');
  }
  if (line === begun) become({ kind: 'inviting', evening, frames });
}

/** Joins this screen to the one that invited it to an evening; settles when its own code can be shown. */
export async function join(evening: string, offer: string): Promise<void> {
  const [{ writeAnswer }, { framesOfText }] = await Promise.all([
    import('@/core/formats/two-screens'),
    import('./frames-of-text'),
  ]);
  const begun = await lineOf(evening, false);
  const text = writeAnswer(await begun.answer(offer));
  const frames = await framesOfText(text);
  if (frames && line === begun) become({ kind: 'answering', evening, frames, text });
}

/** Takes the answer that the invited screen showed; a sentence where it is none. */
export async function takeAnswer(text: string): Promise<string | null> {
  const { readAnswer } = await import('@/core/formats/two-screens');
  const read = readAnswer(text);
  if (!read.ok) return read.sentence;
  try {
    await line?.accept(read.value.answer);
    return null;
  } catch (error) {
    console.error(error);
    return say('That code does not answer the one that was shown here. Begin again on both.');
  }
}

/** Ends what there is between the screens; the evening stays on both. */
export function part(): void {
  line?.close();
  line = undefined;
  become(ALONE);
}

async function lineOf(evening: string, leads: boolean): Promise<Line> {
  const { Line } = await import('./line');
  line?.close();
  const own: Line = new Line(evening, leads, {
    onOpen: () => {
      if (line === own && screens.now().kind !== 'together') become({ kind: 'together', evening, leads, ahead: 0 });
    },
    onClock: (ahead) => {
      const before = screens.now();
      if (line === own && before.kind === 'together') become({ ...before, ahead });
    },
    onLost: () => line === own && become({ kind: 'apart', evening, sentence: say(OUT_OF_REACH) }),
    onEnd: (sentence) => line === own && become({ kind: 'apart', evening, sentence }),
  });
  line = own;
  return own;
}

/** Where a page that is loaded anew finds that it was joined to another screen. */
const PLACE = 'warm-cadence joined';

function remember(now: Screens): void {
  try {
    if (now.kind === 'together' || now.kind === 'apart') sessionStorage.setItem(PLACE, now.evening);
    else sessionStorage.removeItem(PLACE);
  } catch {}
}

function remembered(): Screens {
  try {
    const evening = sessionStorage.getItem(PLACE);
    return evening === null ? ALONE : { kind: 'apart', evening, sentence: say(OUT_OF_REACH) };
  } catch {
    return ALONE;
  }
}

/** Whether this browser can join screens at all. */
export const canJoin = (): boolean => typeof RTCPeerConnection !== 'undefined';
