import { execFileSync, spawnSync } from 'node:child_process';
import {
  chownSync,
  closeSync,
  existsSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  readlinkSync,
  realpathSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';

const DEBIAN_VERSIONS = '/usr/lib/postgresql';
const isRoot = process.getuid?.() === 0;

const versions = () =>
  existsSync(DEBIAN_VERSIONS)
    ? readdirSync(DEBIAN_VERSIONS)
        .filter((v) => existsSync(join(DEBIAN_VERSIONS, v, 'bin/initdb')))
        .sort((a, b) => Number(b) - Number(a))
    : [];

/** Runs one of PostgreSQL's programs, which refuses to run as root: root hands over to the user that Debian's package made. */
function runIn(bin, program, args, stdout = 'pipe', stdin = 'ignore') {
  const path = join(bin, program);
  const command = isRoot ? ['runuser', ['-u', 'postgres', '--', path, ...args]] : [path, args];
  const result = spawnSync(...command, { encoding: 'utf8', cwd: '/', stdio: [stdin, stdout, 'pipe'], maxBuffer: MOST_SAID });
  if (result.status !== 0) {
    const said = (result.stderr || result.stdout || '').trim();
    if (/No space left/.test(said)) throw new Error('There is no room left on the disk for the database.');
    throw new Error(`PostgreSQL's ${program} failed: ${said.split('\n').at(-1)}`);
  }
  return result.stdout;
}

/** What a program says is kept up to this, bytes. */
const MOST_SAID = 64_000_000;

/** Folder of the programs of the PostgreSQL that made the data; of the newest where there is none yet. */
function programsFor(data) {
  const [newest] = versions();
  const made = existsSync(join(data, 'PG_VERSION')) ? readFileSync(join(data, 'PG_VERSION'), 'utf8').trim() : newest;
  if (versions().includes(made)) return join(DEBIAN_VERSIONS, made, 'bin');
  throw new Error(
    `The data in ${data} is of PostgreSQL ${made}, and this machine has ${versions().join(', ') || 'none'}. Install postgresql-${made}, make a backup, ` +
      'and restore it into a new data folder: docs/reliability.md tells how.',
  );
}

/** Lets a program read a file that its own user may not open. */
function fromFile(file, work) {
  const open = openSync(file, 'r');
  try {
    return work(open);
  } finally {
    closeSync(open);
  }
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
  const making = `${data}.making`;
  const run = (program, args, stdout, stdin) => runIn(programsFor(data), program, args, stdout, stdin);
  const at = ['-h', '127.0.0.1', '-p', String(port)];
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
      if (!existsSync(join(data, 'PG_VERSION'))) {
        if (existsSync(data) && readdirSync(data).length > 0)
          throw new Error(`${data} holds files that are no database's. Move them away, or name another data folder with IRON_PATCH_DATA.`);
        // Made beside and then named: what a power cut left half made is made afresh.
        rmSync(making, { recursive: true, force: true });
        run('initdb', ['-D', making, '-A', 'trust', '--locale=C.UTF-8', '-E', 'UTF8', ...(throwAway ? ['--no-sync'] : [])]);
        rmSync(data, { recursive: true, force: true });
        renameSync(making, data);
      }
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
    /** What one statement answers, columns apart by `|`. */
    ask: (database, sql) => run('psql', [...at, '-d', database, '-v', 'ON_ERROR_STOP=1', '-Atc', sql]),
    hasDatabase(name) {
      return this.ask('postgres', `select 1 from pg_database where datname = '${name}'`).trim() === '1';
    },
    createDatabase(name) {
      if (!this.hasDatabase(name)) run('createdb', [...at, name]);
    },
    dropDatabase(name) {
      run('dropdb', [...at, '--if-exists', '--force', name]);
    },
    /** Writes a database, packed, to an open file. */
    dump: (database, fd) => void run('pg_dump', [...at, '-Fc', database], fd),
    /** Reads a packed file to its end; throws where something is wrong with it. */
    readBack: (file) => void fromFile(file, (open) => run('pg_restore', ['-f', '/dev/null'], 'ignore', open)),
    load: (database, file) =>
      void fromFile(file, (open) => run('pg_restore', [...at, '-d', database, '--exit-on-error', '--no-owner'], 'pipe', open)),
    stop() {
      if (running()) run('pg_ctl', ['-w', '-m', 'fast', '-D', data, 'stop']);
    },
    remove() {
      rmSync(directory, { recursive: true, force: true });
    },
  };
}
