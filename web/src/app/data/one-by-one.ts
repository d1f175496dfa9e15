/** Sends what waits, oldest first, one after another, and never the same twice at once: with a name, not in two pages of a browser either. */
export class OneByOne<T> {
  private running: Promise<void> | null = null;
  private stopped = false;

  /**
   * @param first what waits longest
   * @param send resolves to false when there is no use in going on now
   * @param name of the lock that pages of one browser share; a browser gives none to a page that came over plain HTTP from another machine
   */
  constructor(
    private readonly first: () => T | undefined,
    private readonly send: (item: T) => Promise<boolean>,
    private readonly name: string | null = null,
  ) {}

  /** Sends again in a while. */
  later(waitMs: number): void {
    setTimeout(() => void this.flush(), waitMs);
  }

  /** Sends nothing more: whoever kept it is gone. */
  stop(): void {
    this.stopped = true;
  }

  /** Sends what waits, after what it is at already. Done once nothing waits, or there is no use in going on now. */
  flush(): Promise<void> {
    if (this.stopped) return Promise.resolve();
    if (this.running) return this.running.then(() => (this.first() ? this.flush() : undefined));
    this.running = this.run().finally(() => (this.running = null));
    return this.running;
  }

  private async run(): Promise<void> {
    if (!this.first()) return;
    // Another page that is at it lets go when it is done, or closed.
    if (this.name && navigator.locks) await navigator.locks.request(this.name, () => this.sendAll());
    else await this.sendAll();
  }

  private async sendAll(): Promise<void> {
    for (let item = this.first(); item && !this.stopped; item = this.first()) if (!(await this.send(item))) return;
  }
}
