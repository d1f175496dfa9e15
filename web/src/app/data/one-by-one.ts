/** Sends what waits, oldest first, one after another, and never the same twice at once. */
export class OneByOne<T> {
  private busy = false;
  private stopped = false;

  /**
   * @param first what waits longest
   * @param send resolves to false when there is no use in going on now
   */
  constructor(
    private readonly first: () => T | undefined,
    private readonly send: (item: T) => Promise<boolean>,
  ) {}

  /** Sends again in a while. */
  later(waitMs: number): void {
    setTimeout(() => void this.flush(), waitMs);
  }

  /** Sends nothing more: whoever kept it is gone. */
  stop(): void {
    this.stopped = true;
  }

  async flush(): Promise<void> {
    if (this.busy || this.stopped) return;
    this.busy = true;
    try {
      for (let item = this.first(); item && !this.stopped; item = this.first()) if (!(await this.send(item))) return;
    } finally {
      this.busy = false;
    }
  }
}
