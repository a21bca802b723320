/**
 * Works on one wish at a time and, when that is done, on the newest that came meanwhile: those in between are never begun. So a
 * pointer can wish faster than a planner plans, and the planner is never behind by more than one.
 */
export class Newest<Wish> {
  private waiting: { readonly wish: Wish } | null = null;
  private running = false;

  constructor(
    private readonly work: (wish: Wish) => Promise<void>,
    private readonly onFault: (error: unknown) => void,
  ) {}

  /** Whether a newer wish than the one being worked on has come: its result is of no use any more. */
  get outdated(): boolean {
    return this.waiting !== null;
  }

  want(wish: Wish): void {
    this.waiting = { wish };
    if (!this.running) void this.run();
  }

  /** Forgets what waits; what is being worked on ends by itself. */
  forget(): void {
    this.waiting = null;
  }

  private async run(): Promise<void> {
    this.running = true;
    while (this.waiting) {
      const { wish } = this.waiting;
      this.waiting = null;
      try {
        await this.work(wish);
      } catch (error) {
        this.onFault(error);
      }
    }
    this.running = false;
  }
}
