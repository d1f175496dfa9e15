import { execFileSync, spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdirSync, readdirSync, readFileSync, readlinkSync, realpathSync, rmSync, statSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';

const DEBIAN_VERSIONS = '/usr/lib/postgresql';
const isRoot = process.getuid?.() === 0;

/** Folder of the newest PostgreSQL's programs, or null when there is none. */
export function postgresBin() {
  if (!existsSync(DEBIAN_VERSIONS)) return null;
  const versions = readdirSync(DEBIAN_VERSIONS)
    .filter((v) => existsSync(join(DEBIAN_VERSIONS, v, 'bin/initdb')))
    .sort((a, b) => Number(b) - Number(a));
  return versions.length ? join(DEBIAN_VERSIONS, versions[0], 'bin') : null;
}

/** PostgreSQL refuses to run as root: root hands over to the user that Debian's package made. */
function run(program, args) {
  const path = join(postgresBin(), program);
  const command = isRoot ? ['runuser', ['-u', 'postgres', '--', path, ...args]] : [path, args];
  const result = spawnSync(...command, { encoding: 'utf8', cwd: '/', stdio: ['ignore', 'pipe', 'pipe'] });
  if (result.status !== 0) {
    const said = (result.stderr || result.stdout || '').trim();
    if (/No space left/.test(said)) throw new Error('There is no room left on the disk for the database.');
    throw new Error(`PostgreSQL's ${program} failed: ${said.split('\n').at(-1)}`);
  }
  return result.stdout;
}

/** A free port on loopback. */
export const freePort = () =>
  new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });

/** Whether something already listens on a loopback port. */
export const portTaken = (port) =>
  new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(true));
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(false)));
  });

/**
 * A PostgreSQL of our own on loopback.
 *
 * @param directory where its files live; made when missing
 * @param throwAway for tests: trade safety for speed
 */
export function postgres(directory, port, { throwAway = false } = {}) {
  const data = join(directory, 'postgres');
  const user = isRoot ? 'postgres' : process.env.USER || execFileSync('id', ['-un'], { encoding: 'utf8' }).trim();
  // After a power cut the number in an old file may be anybody's: it must be a postgres that has this very folder open.
  const running = () => {
    try {
      const pid = Number(readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')[0]);
      return readFileSync(`/proc/${pid}/comm`, 'utf8').startsWith('postgres') && readlinkSync(`/proc/${pid}/cwd`) === realpathSync(data);
    } catch {
      return false;
    }
  };
  return {
    data,
    url: (database) => `postgresql://${user}@127.0.0.1:${port}/${database}`,
    running,
    start() {
      if (running()) return;
      mkdirSync(directory, { recursive: true });
      if (isRoot) {
        const { uid, gid } = statSync('/var/lib/postgresql');
        chownSync(directory, uid, gid);
      }
      if (!existsSync(join(data, 'PG_VERSION')))
        run('initdb', ['-D', data, '-A', 'trust', '--locale=C.UTF-8', '-E', 'UTF8', ...(throwAway ? ['--no-sync'] : [])]);
      const fast = throwAway ? ' -c fsync=off -c synchronous_commit=off -c full_page_writes=off' : '';
      run('pg_ctl', [
        '-w',
        '-D',
        data,
        '-l',
        join(directory, 'postgres.log'),
        '-o',
        `-p ${port} -k ${directory} -c listen_addresses=127.0.0.1 -c max_connections=100${fast}`,
        'start',
      ]);
    },
    createDatabase(name) {
      const listed = run('psql', [
        '-h',
        '127.0.0.1',
        '-p',
        String(port),
        '-d',
        'postgres',
        '-Atc',
        `select 1 from pg_database where datname = '${name}'`,
      ]);
      if (listed.trim() === '1') return;
      run('createdb', ['-h', '127.0.0.1', '-p', String(port), name]);
    },
    dropDatabase(name) {
      run('dropdb', ['-h', '127.0.0.1', '-p', String(port), '--if-exists', '--force', name]);
    },
    stop() {
      if (running()) run('pg_ctl', ['-w', '-m', 'fast', '-D', data, 'stop']);
    },
    remove() {
      rmSync(directory, { recursive: true, force: true });
    },
  };
}
