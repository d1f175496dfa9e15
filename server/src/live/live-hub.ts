import type { Response } from 'express';
import pg from 'pg';
import type { Logger } from 'pino';

const CHANNEL = 'iron_patch';
const HEARTBEAT_MS = 15_000;
/** First wait before coming back, and the longest. */
const BACK_OFF_MS = { first: 100, most: 1000 } as const;
/** The connection is asked this often whether it is still there, and given this long. */
const PULSE_MS = 2000;
const PULSE_PATIENCE_MS = 2000;

/**
 * Passes what PostgreSQL tells on to every open screen as server-sent events, over one connection. When that is lost it comes back by
 * itself, one try at a time, each later than the last, and tells the screens to fetch afresh, since it may have missed something.
 */
export class LiveHub {
  private readonly screens = new Set<Response>();
  private client: pg.Client | null = null;
  private closed = false;
  private comingBack = false;
  private readonly heartbeat = setInterval(() => this.send(': still here\n\n'), HEARTBEAT_MS);
  private readonly pulse = setInterval(() => void this.feelPulse(), PULSE_MS);

  constructor(
    private readonly connectionString: string,
    private readonly log: Logger,
  ) {}

  /** Listens. */
  async start(): Promise<void> {
    const client = new pg.Client({
      connectionString: this.connectionString,
      keepAlive: true,
      connectionTimeoutMillis: PULSE_PATIENCE_MS,
      query_timeout: PULSE_PATIENCE_MS,
    });
    client.on('error', (err) => this.lost(client, err));
    client.on('end', () => this.lost(client, null));
    client.on('notification', (n) => this.send(`event: stored\ndata: ${n.payload ?? '{}'}\n\n`));
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
    } catch (e) {
      // It never came up, or is broken: what matters is thrown on.
      void client.end().catch(() => undefined);
      throw e;
    }
    if (this.closed) return client.end();
    this.client = client;
  }

  /** True while what is stored is heard of. */
  get listening(): boolean {
    return this.client !== null;
  }

  attach(res: Response): void {
    res.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      Connection: 'keep-alive',
      'X-Accel-Buffering': 'no',
    });
    res.write('retry: 1000\nevent: hello\ndata: {}\n\n');
    this.screens.add(res);
    res.on('close', () => this.screens.delete(res));
  }

  async stop(): Promise<void> {
    this.closed = true;
    clearInterval(this.heartbeat);
    clearInterval(this.pulse);
    for (const screen of this.screens) screen.end();
    // A line that is gone already need not be ended.
    await this.client?.end().catch(() => undefined);
    this.client = null;
  }

  private send(text: string): void {
    for (const screen of this.screens) screen.write(text);
  }

  /** A connection that was cut somewhere on the way does not say so. */
  private async feelPulse(): Promise<void> {
    const client = this.client;
    try {
      await client?.query('select 1');
    } catch (e) {
      this.lost(client!, e as Error);
    }
  }

  private lost(client: pg.Client, err: Error | null): void {
    if (client !== this.client) return;
    this.client = null;
    if (this.closed) return;
    this.log.warn({ err }, 'live connection to the database lost');
    // It is lost: ending it may fail, and the loss is logged.
    void client.end().catch(() => undefined);
    void this.comeBack();
  }

  private async comeBack(): Promise<void> {
    if (this.comingBack) return;
    this.comingBack = true;
    for (let waitMs: number = BACK_OFF_MS.first; !this.closed && !this.client; waitMs = Math.min(2 * waitMs, BACK_OFF_MS.most)) {
      await new Promise((r) => setTimeout(r, waitMs).unref());
      // Its loss was logged once; it is tried again until it is there.
      await this.start().catch(() => undefined);
    }
    this.comingBack = false;
    if (this.client) this.send('event: hello\ndata: {}\n\n');
  }
}
