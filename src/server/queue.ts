/** What a queue needs from an AbortSignal. */
type Leaving = Pick<AbortSignal, 'aborted' | 'addEventListener' | 'removeEventListener'>;

/** Takes in so many jobs at a time and lets a few more wait; the rest are turned away. */
export class BoundedQueue {
  private running = 0;
  private waiting: (() => void)[] = [];

  constructor(
    private readonly atOnce: number,
    private readonly mayWait: number,
  ) {}

  /** Runs a job in its turn; null when there is no room. Whoever leaves while waiting gives the place up: null too. */
  async run<T>(job: () => Promise<T>, leaving?: Leaving): Promise<T | null> {
    if (this.running >= this.atOnce) {
      if (this.waiting.length >= this.mayWait || leaving?.aborted) return null;
      if (!(await this.turn(leaving))) return null;
    } else {
      this.running++;
    }
    try {
      return await job();
    } finally {
      // The next one takes over the place.
      const next = this.waiting.shift();
      if (next) next();
      else this.running--;
    }
  }

  /** Waits for a place; false when the caller left before. */
  private turn(leaving?: Leaving): Promise<boolean> {
    return new Promise((resolve) => {
      const leave = () => {
        this.waiting = this.waiting.filter((each) => each !== go);
        resolve(false);
      };
      const go = () => {
        leaving?.removeEventListener('abort', leave);
        resolve(true);
      };
      leaving?.addEventListener('abort', leave, { once: true });
      this.waiting.push(go);
    });
  }
}
