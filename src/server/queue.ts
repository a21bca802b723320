/** Takes in so many jobs at a time and lets a few more wait; the rest are turned away. */
export class BoundedQueue {
  private running = 0;
  private readonly waiting: (() => void)[] = [];

  constructor(
    private readonly atOnce: number,
    private readonly mayWait: number,
  ) {}

  /** Runs a job in its turn; null when there is no room. */
  async run<T>(job: () => Promise<T>): Promise<T | null> {
    if (this.running >= this.atOnce) {
      if (this.waiting.length >= this.mayWait) return null;
      await new Promise<void>((resolve) => this.waiting.push(resolve));
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
}
