import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { canSpeak, speak } from './calls';

/** A browser's voice: what it was asked to say, and voices that come when they like. */
class Voice extends EventTarget {
  readonly said: string[] = [];
  voices: readonly object[] = [];
  getVoices = () => this.voices;
  speak = ({ text }: { readonly text: string }) => void this.said.push(text);
  come() {
    this.voices = [{}];
    this.dispatchEvent(new Event('voiceschanged'));
  }
}

describe('a spoken call', () => {
  let voice: Voice;
  beforeEach(() => {
    vi.useFakeTimers();
    voice = new Voice();
    vi.stubGlobal('speechSynthesis', voice);
    vi.stubGlobal(
      'SpeechSynthesisUtterance',
      class {
        lang = '';
        constructor(readonly text: string) {}
      },
    );
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('is said at once where there are voices', () => {
    voice.come();
    expect(canSpeak()).toBe(true);
    speak('Rice: off the heat');
    expect(voice.said).toEqual(['Rice: off the heat']);
  });

  it('that is the first one waits for the voices, and is said once', () => {
    speak('Rice: off the heat');
    expect(voice.said).toEqual([]);
    vi.advanceTimersByTime(4999);
    voice.come();
    voice.come();
    expect(voice.said).toEqual(['Rice: off the heat']);
  });

  it('is not said when the voices come too late for it', () => {
    speak('Rice: off the heat');
    vi.advanceTimersByTime(5000);
    voice.come();
    expect(voice.said).toEqual([]);
  });
});
