import pino from 'pino';
import { inlineBench } from './standings';
import { openTestDatabase, ROOT } from './testing/test-database';
import { start, type Running } from './start';

/** Two servers that start on one empty database at the same moment agree on who sets it up. */
it('sets an empty database up once, however many servers start on it', async () => {
  const database = await openTestDatabase();
  const config = {
    port: 0,
    databaseUrl: database.url,
    ownerUrl: database.url,
    migrationsDirectory: `${ROOT}/server/migrations`,
    webDirectory: null,
    shopFile: `${ROOT}/demo/data/shop.json`,
    hosts: [],
    timeZone: 'Europe/Oslo',
    network: { bind: '127.0.0.1', certificate: null, address: null },
    gaugePort: 8463,
    signIn: { way: 'pick' as const, lockAfterMin: 0, secure: false },
  };
  const running: Running[] = [];
  try {
    running.push(
      ...(await Promise.all(
        Array.from({ length: 4 }, () => start(config, { bench: inlineBench, program: 'test' }, pino({ level: 'silent' }))),
      )),
    );
    for (const { address } of running) expect((await fetch(`${address}/api/health`)).status).toBe(200);
    const { rows } = await database.pool.query<{ people: string; rules: string; bars: string }>(
      'select (select count(*) from people) as people, (select count(*) from house_rule_changes) as rules, (select count(*) from bars) as bars',
    );
    expect([rows[0]!.people, rows[0]!.rules]).toEqual(['3', '5']);
    expect(Number(rows[0]!.bars)).toBeGreaterThan(3);
  } finally {
    await Promise.all(running.map((r) => r.stop()));
    await database.close();
  }
});
