import type { Response } from 'express';
import pg from 'pg';
import type { Logger } from 'pino';

const CHANNEL = 'iron_patch';
const HEARTBEAT_MS = 15_000;
const RECONNECT_MS = 500;

/**
 * Passes what PostgreSQL tells on to every open screen as server-sent events. When its own connection to the database is
 * lost it comes back by itself and tells the screens to fetch afresh, since it may have missed something.
 */
export class LiveHub {
  private readonly screens = new Set<Response>();
  private client: pg.Client | null = null;
  private closed = false;
  private readonly heartbeat = setInterval(() => this.send(': still here\n\n'), HEARTBEAT_MS);

  constructor(
    private readonly connectionString: string,
    private readonly log: Logger,
  ) {}

  async start(): Promise<void> {
    const client = new pg.Client({ connectionString: this.connectionString });
    client.on('notification', (n) => this.send(`event: stored\ndata: ${n.payload ?? '{}'}\n\n`));
    client.on('error', (err) => this.log.warn({ err }, 'live connection to the database lost'));
    client.on('end', () => this.comeBack());
    await client.connect();
    await client.query(`listen ${CHANNEL}`);
    this.client = client;
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
    for (const screen of this.screens) screen.end();
    await this.client?.end();
  }

  private send(text: string): void {
    for (const screen of this.screens) screen.write(text);
  }

  private comeBack(): void {
    if (this.closed) return;
    setTimeout(() => {
      this.start().then(
        () => this.send('event: hello\ndata: {}\n\n'),
        () => this.comeBack(),
      );
    }, RECONNECT_MS);
  }
}
