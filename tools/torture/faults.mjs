import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** How a database goes down. */
const HOW = ['fast', 'immediate', 'killed'];
const pause = (ms) => new Promise((r) => setTimeout(r, ms));
const signal = (pids, name) => {
  for (const pid of pids)
    try {
      process.kill(pid, name);
    } catch {
      // It is gone already.
    }
};

/**
 * What can break under a shop. Each breaks it and brings it back; what is measured is the time from then until it is well again.
 *
 * @param shop a running shop; `expectExit` tells whoever watches the server that its next end is on purpose
 */
export function faultsOf(shop, { random, expectExit, stop }) {
  const { db } = shop;
  const postmaster = () => Number(readFileSync(join(db.data, 'postmaster.pid'), 'utf8').split('\n')[0]);
  const backends = () => {
    try {
      return execFileSync('pgrep', ['-P', String(postmaster())], { encoding: 'utf8' })
        .trim()
        .split('\n')
        .map(Number);
    } catch {
      return [];
    }
  };
  const ofClients = () =>
    db
      .ask('postgres', `select pid from pg_stat_activity where backend_type = 'client backend' and pid <> pg_backend_pid()`)
      .trim()
      .split('\n')
      .filter(Boolean)
      .map(Number);
  const gone = async () => {
    for (let i = 0; i < 200 && db.running(); i++) await pause(25);
  };
  const serverDown = async (name, ms) => {
    expectExit();
    await shop.endServer(name);
    await pause(ms);
    await shop.startServer();
  };
  const databaseDown = async (how, ms) => {
    if (how === 'killed') {
      const children = backends();
      signal([postmaster()], 'SIGKILL');
      await gone();
      // As after a power cut nothing of it may be left, or it would not start.
      for (let i = 0; i < 200 && children.some(alive); i++) await pause(25);
    } else db.stop(how);
    await pause(ms);
    db.start();
  };
  const frozen = async (pids, ms) => {
    signal(pids, 'SIGSTOP');
    await pause(ms);
    signal(pids.toReversed(), 'SIGCONT');
  };
  const between = (low, high) => low + random() * (high - low);
  return [
    { name: 'server killed', weight: 5, run: () => serverDown('SIGKILL', between(0, 800)) },
    { name: 'server ended', weight: 3, run: () => serverDown('SIGTERM', between(0, 300)) },
    { name: 'server frozen', weight: 2, run: () => stop(() => frozen([shop.pid()], between(200, 2500))) },
    { name: 'database restarted, fast', weight: 4, run: () => databaseDown('fast', between(0, 1000)) },
    { name: 'database restarted, immediate', weight: 4, run: () => databaseDown('immediate', between(0, 1000)) },
    { name: 'database killed', weight: 4, run: () => databaseDown('killed', between(0, 1000)) },
    { name: 'database away 5 s', weight: 1, run: () => databaseDown(HOW[Math.floor(random() * HOW.length)], 5000) },
    { name: 'one backend killed', weight: 3, run: () => signal(ofClients().slice(0, 1), 'SIGKILL') },
    {
      name: 'all backends terminated',
      weight: 6,
      run: () =>
        db.ask(
          'postgres',
          `select pg_terminate_backend(pid) from pg_stat_activity where backend_type = 'client backend' and pid <> pg_backend_pid()`,
        ),
    },
    { name: 'database frozen', weight: 3, run: () => frozen([postmaster(), ...backends()], between(300, 6000)) },
    {
      name: 'readings locked',
      weight: 2,
      run: () => db.ask('iron_patch', `begin; lock table readings in access exclusive mode; select pg_sleep(${between(0.3, 4)}); commit`),
    },
  ];
}

const alive = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
};

/** The database away for a minute: once in a long run, it takes its time. */
export const longAbsence = ({ db }) => ({
  name: 'database away 60 s',
  async run() {
    db.stop('fast');
    await pause(60_000);
    db.start();
  },
});
