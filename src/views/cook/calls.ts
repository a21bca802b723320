import type { CueKind } from '@/core/live/cues';
import { toldHere } from '@/ui/told/manner';

/** Tones of each call: frequency in Hz and length in seconds, one after the other. Hands rise, a look is one soft note, danger alternates. */
const TONES: Readonly<Record<CueKind, readonly (readonly [hertz: number, seconds: number])[]>> = {
  hands: [
    [523, 0.16],
    [784, 0.26],
  ],
  look: [[440, 0.35]],
  danger: [
    [880, 0.18],
    [622, 0.18],
    [880, 0.18],
    [622, 0.3],
  ],
};
const LOUDNESS: Readonly<Record<CueKind, number>> = { hands: 0.25, look: 0.12, danger: 0.5 };
const VIBRATION: Readonly<Record<CueKind, number[]>> = {
  hands: [200, 80, 200],
  look: [120],
  danger: [400, 100, 400, 100, 400],
};

let audio: AudioContext | undefined;

/** Browsers let a page make sound only after it was touched: call this from a press. */
export function wakeSound(): void {
  try {
    audio ??= new AudioContext();
    audio.onstatechange = tellSound;
    void audio.resume().then(tellSound, tellSound);
  } catch {
    audio = undefined;
  }
}

const soundListeners = new Set<() => void>();

function tellSound(): void {
  for (const listener of soundListeners) listener();
}

/** For `useSyncExternalStore`: whether a sound would be heard now. */
export const soundState = {
  subscribe(listener: () => void): () => void {
    soundListeners.add(listener);
    return () => soundListeners.delete(listener);
  },
  now: soundIsAwake,
};

/** Whether a sound would be heard now. */
function soundIsAwake(): boolean {
  return audio?.state === 'running';
}

/** Plays a call; louder each time it is repeated, up to twice. */
export function ring(kind: CueKind, times = 1): void {
  const out = audio;
  if (out?.state !== 'running') return;
  const loud = Math.min(0.9, LOUDNESS[kind] * Math.min(2, 1 + (times - 1) * 0.25));
  let at = out.currentTime + 0.02;
  for (const [hertz, seconds] of TONES[kind]) {
    const tone = out.createOscillator();
    const gain = out.createGain();
    tone.frequency.value = hertz;
    tone.type = kind === 'danger' ? 'square' : 'sine';
    gain.gain.setValueAtTime(0, at);
    gain.gain.linearRampToValueAtTime(loud, at + 0.02);
    gain.gain.linearRampToValueAtTime(0, at + seconds);
    tone.connect(gain).connect(out.destination);
    tone.start(at);
    tone.stop(at + seconds + 0.02);
    at += seconds;
  }
}

/** Whether this browser can speak. */
export function canSpeak(): boolean {
  return typeof speechSynthesis !== 'undefined' && speechSynthesis.getVoices().length > 0;
}

/** A browser fetches its voices when it is first asked for them; what was to be said longer ago than this, in milliseconds, is not said any more. */
const VOICES_COME_WITHIN = 5000;

/** Says a call; where the voices are still on their way, when they have come. */
export function speak(words: string): void {
  if (typeof speechSynthesis === 'undefined') return;
  if (canSpeak()) {
    utter(words);
    return;
  }
  const until = Date.now() + VOICES_COME_WITHIN;
  const come = () => {
    if (Date.now() < until && canSpeak()) utter(words);
  };
  speechSynthesis.addEventListener?.('voiceschanged', come, { once: true });
}

function utter(words: string): void {
  const line = new SpeechSynthesisUtterance(toldHere(words));
  line.lang = 'en';
  speechSynthesis.speak(line);
}

/** Browsers shake only after the page was touched, and complain of it before. */
export function shake(kind: CueKind): void {
  if (navigator.userActivation?.hasBeenActive === false) return;
  navigator.vibrate?.(VIBRATION[kind]);
}

/** A note of the system, where the cook has allowed it and looks at something else. */
export function notify(words: string, tag: string): void {
  if (typeof Notification === 'undefined' || Notification.permission !== 'granted' || !document.hidden) return;
  try {
    new Notification('Warm Cadence', { body: toldHere(words), tag });
  } catch {
    // Some phones allow notes only to installed pages; the sound remains.
  }
}
