/** Sends what waits, oldest first, one after another, and never the same twice at once. */
export class OneByOne<T> {
  private busy = false;

  /**
   * @param first what waits longest
   * @param send resolves to false when there is no use in going on now
   */
  constructor(
    private readonly first: () => T | undefined,
    private readonly send: (item: T) => Promise<boolean>,
  ) {}

  async flush(): Promise<void> {
    if (this.busy) return;
    this.busy = true;
    try {
      for (let item = this.first(); item; item = this.first()) if (!(await this.send(item))) return;
    } finally {
      this.busy = false;
    }
  }
}
