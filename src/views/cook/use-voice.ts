'use client';

import { useEffect, useEffectEvent, useState } from 'react';
import { commandIn, type SpokenCommand } from '@/core/live/voice';
import { say } from '@/core/say/say';
import { toldHere } from '@/ui/told/manner';

/** What browsers call it, as far as it is used here. */
interface Recognition {
  lang: string;
  continuous: boolean;
  processLocally?: boolean;
  onresult:
    | ((event: {
        readonly results: ArrayLike<ArrayLike<SpeechRecognitionAlternative>>;
        readonly resultIndex: number;
      }) => void)
    | null;
  onend: (() => void) | null;
  onerror: ((event: { readonly error: string }) => void) | null;
  start(): void;
  abort(): void;
}
interface RecognitionMaker {
  new (): Recognition;
  available?: (options: { langs: string[]; processLocally: boolean }) => Promise<string>;
}

function maker(): RecognitionMaker | undefined {
  if (typeof window === 'undefined') return undefined;
  const own = window as unknown as { SpeechRecognition?: RecognitionMaker; webkitSpeechRecognition?: RecognitionMaker };
  return own.SpeechRecognition ?? own.webkitSpeechRecognition;
}

/** The commands are English words. */
const LANGUAGE = 'en-GB';
/** A browser ends listening by itself now and then: it begins again after so long, ms. */
const AGAIN_AFTER = 800;

/** Whether this browser can listen: on the device itself, or by sending what it hears away; null where it cannot. */
export function useListening(): 'here' | 'sends it away' | null {
  const [how, setHow] = useState<'here' | 'sends it away' | null>(null);
  useEffect(() => {
    const Maker = maker();
    if (!Maker) return;
    let gone = false;
    const ask = Maker.available?.({ langs: [LANGUAGE], processLocally: true }) ?? Promise.resolve('unavailable');
    void ask
      .catch(() => 'unavailable')
      .then((answer) => {
        if (!gone) setHow(answer === 'available' ? 'here' : 'sends it away');
      });
    return () => {
      gone = true;
    };
  }, []);
  return how;
}

/** Listens while it is on, and tells what it was told; returns what was heard last, or why nothing can be heard. */
export function useVoice(on: boolean, here: boolean, tell: (command: SpokenCommand) => void): string {
  const [heard, setHeard] = useState('');
  const onCommand = useEffectEvent(tell);
  useEffect(() => {
    const Maker = maker();
    if (!on || !Maker) return;
    let gone = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const ear = new Maker();
    ear.lang = LANGUAGE;
    ear.continuous = true;
    if (here) ear.processLocally = true;
    ear.onresult = ({ results, resultIndex }) => {
      const words = results[resultIndex]?.[0]?.transcript ?? '';
      const command = commandIn(words);
      setHeard(
        toldHere(
          command === null
            ? say('Heard: “{words}”, which is no command.', { words: words.trim() })
            : say('Heard: {command}.', { command }),
        ),
      );
      if (command !== null) onCommand(command);
    };
    ear.onerror = ({ error }) => {
      if (error !== 'not-allowed' && error !== 'service-not-allowed') return;
      gone = true;
      setHeard(say('The microphone is not allowed: allow it in the browser, or press instead.'));
    };
    ear.onend = () => {
      if (!gone) timer = setTimeout(() => ear.start(), AGAIN_AFTER);
    };
    ear.start();
    return () => {
      gone = true;
      clearTimeout(timer);
      ear.abort();
      setHeard('');
    };
  }, [on, here]);
  return heard;
}
