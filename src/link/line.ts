import { liveQuery, type Subscription } from 'dexie';
import { framesOf, type Gathered, packed, unpacked, wholeOf, withFrame } from '@/core/formats/frames';
import { readMessage, type ScreenMessage } from '@/core/formats/two-screens';
import type { HeldEvening } from '@/core/live/evening';
import { clockAhead, clockWasSet, isNewsTo, type Shared, sharedOf } from '@/core/live/two-screens';
import { message, say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { meetSession } from '@/store/sessions';

/** What becomes of a line. */
export interface LineHears {
  /** It is open, or open again. */
  readonly onOpen: () => void;
  /** Milliseconds by which the clock of the other device is ahead. */
  readonly onClock: (ahead: number) => void;
  /** The other screen is out of reach; it may come back by itself. */
  readonly onLost: () => void;
  /** No more goes over it, for a reason. */
  readonly onEnd: (sentence: string) => void;
}

/** Milliseconds for the addresses of this device to be found; what is found later is left out. */
const TO_FIND_ADDRESSES = 2000;

/**
 * The line between two screens of one evening: whatever changes here is told there, and what is told there is taken over here. No server takes part:
 * each finds the other by the addresses in the two codes, on the network that both are on (WebRTC, W3C recommendation of 2023).
 */
export class Line {
  private readonly connection = new RTCPeerConnection();
  private channel: RTCDataChannel | undefined;
  /** What the other screen told last, or was told since. */
  private theirs: Shared | null = null;
  private hasHeard = false;
  private gathered: Gathered | null = null;
  private transfers = 0;
  private watching: Subscription | undefined;
  /** Messages are sent, and taken over, one after another. */
  private sending: Promise<unknown> = Promise.resolve();
  private taking: Promise<unknown> = Promise.resolve();
  private isClosed = false;

  constructor(
    private readonly eveningId: string,
    private readonly leads: boolean,
    private readonly hears: LineHears,
  ) {
    this.connection.addEventListener('connectionstatechange', () => {
      const { connectionState } = this.connection;
      if (connectionState === 'connected' && this.channel?.readyState === 'open') this.hears.onOpen();
      if (connectionState === 'disconnected' || connectionState === 'failed') this.lost();
    });
    addEventListener('pagehide', this.leave);
  }

  /** How this screen can be reached, for the one that is invited. */
  async invite(): Promise<string> {
    this.use(this.connection.createDataChannel('evening'));
    await this.connection.setLocalDescription();
    return this.addresses();
  }

  /** How this screen can be reached, for the one that invited it. */
  async answer(offer: string): Promise<string> {
    this.connection.addEventListener('datachannel', ({ channel }) => this.use(channel));
    await this.connection.setRemoteDescription({ type: 'offer', sdp: offer });
    await this.connection.setLocalDescription();
    return this.addresses();
  }

  /** Takes the answer of the screen that was invited. */
  async accept(answer: string): Promise<void> {
    await this.connection.setRemoteDescription({ type: 'answer', sdp: answer });
  }

  readonly close = () => {
    this.isClosed = true;
    removeEventListener('pagehide', this.leave);
    this.watching?.unsubscribe();
    this.connection.close();
  };

  /** With its page: the other screen hears of it at once. */
  private readonly leave = () => {
    this.close();
    this.hears.onLost();
  };

  private async addresses(): Promise<string> {
    const { connection } = this;
    await new Promise<void>((resolve) => {
      const look = () => connection.iceGatheringState === 'complete' && resolve();
      connection.addEventListener('icegatheringstatechange', look);
      setTimeout(resolve, TO_FIND_ADDRESSES);
      look();
    });
    return connection.localDescription?.sdp ?? '';
  }

  private use(channel: RTCDataChannel): void {
    this.channel = channel;
    channel.binaryType = 'arraybuffer';
    channel.addEventListener('open', () => {
      this.hears.onOpen();
      this.send({ kind: 'asked', asked: Date.now() });
      const stored = liveQuery(() => pantry().sessions.get(this.eveningId));
      this.watching ??= stored.subscribe((evening) => evening && this.tellNews(evening));
    });
    channel.addEventListener('message', ({ data }) => this.take(new Uint8Array(data as ArrayBuffer)));
    channel.addEventListener('close', () => this.lost());
  }

  private lost(): void {
    if (!this.isClosed) this.hears.onLost();
  }

  private end(sentence: string): void {
    this.close();
    this.hears.onEnd(sentence);
  }

  private tellNews(mine: HeldEvening): void {
    if (this.isClosed || (this.theirs && !isNewsTo(this.theirs, mine))) return;
    this.theirs = sharedOf(mine);
    this.send({ kind: 'evening', ...this.theirs });
  }

  private send(message: ScreenMessage): void {
    const transfer = this.transfers++;
    const tell = async () => {
      const frames = framesOf(await packed(JSON.stringify(message)), transfer);
      if (!frames) return this.end(say('This evening has become too long to be told from screen to screen.'));
      if (this.channel?.readyState === 'open')
        for (const frame of frames) this.channel.send(frame as Uint8Array<ArrayBuffer>);
    };
    this.sending = this.sending.then(tell).catch((error) => {
      console.error(error);
      // Whatever it was to tell is told with the next news.
      this.theirs = null;
    });
  }

  private take(frame: Uint8Array): void {
    this.gathered = withFrame(this.gathered, frame);
    const whole = this.gathered && wholeOf(this.gathered);
    if (!whole) return;
    this.gathered = null;
    const at = Date.now();
    this.taking = this.taking.then(() => this.hear(whole, at)).catch((error) => console.error(error));
  }

  private async hear(whole: Uint8Array, at: number): Promise<void> {
    const text = await unpacked(whole);
    const read = text === null ? null : readMessage(text, this.eveningId);
    if (this.isClosed) return;
    if (!read?.ok) {
      console.error(read?.sentence);
      return this.end(say('The other screen tells what this one does not understand: load Warm Cadence anew on both.'));
    }
    const message = read.value;
    if (message.kind === 'asked') this.send({ kind: 'answered', asked: message.asked, answered: at });
    else if (message.kind === 'answered') this.hears.onClock(clockAhead(message.asked, message.answered, at));
    else await this.meet(message);
  }

  private async meet({ evening, knows }: Shared): Promise<void> {
    const mine = await pantry().sessions.get(this.eveningId);
    // What was told while they were apart comes together first, a clock that was set too.
    if (mine && this.hasHeard && clockWasSet(mine, evening)) return this.end(say(CLOCK_WAS_SET));
    this.hasHeard = true;
    this.theirs = { evening, knows };
    const both = await meetSession(pantry(), this.eveningId, this.theirs, this.leads);
    if (both) this.tellNews(both);
  }
}

const CLOCK_WAS_SET = message(
  'The clock of one device was set: the screens tell different times, and each goes on by itself. Join them again once both clocks are right.',
);
