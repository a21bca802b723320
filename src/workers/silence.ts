const BEAT = 1000;

/**
 * Counts the seconds in which nothing is heard. A machine that slept, or whose clock was put forward, hears one beat when it wakes, not all
 * that it missed: so whoever was at work when it fell asleep is not taken for dead.
 */
export class Silence {
  /** Settles, with null, after so many beats. */
  readonly over: Promise<null>;
  private timer: ReturnType<typeof setInterval> | undefined;

  constructor(beats: number) {
    let heard = 0;
    this.over = new Promise((resolve) => {
      this.timer = setInterval(() => {
        heard++;
        if (heard >= beats) resolve(null);
      }, BEAT);
    });
  }

  stop(): void {
    clearInterval(this.timer);
  }
}
