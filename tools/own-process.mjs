import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';

/**
 * When a process started, in clock ticks since the machine did; null when there is no such process, or it is only waiting to be buried. A
 * process number alone tells nothing: after a power cut it may be anybody's.
 */
export function startedAt(pid) {
  try {
    // The name stands in brackets and may hold anything; what follows the last bracket is plain (proc(5)): state, then field 4 on.
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
    return fields[0] === 'Z' || fields[0] === 'X' ? null : Number(fields[19]);
  } catch {
    return null;
  }
}

const named = (pid) => JSON.stringify({ pid, startedAt: startedAt(pid) });

/** Writes a process down as the one that holds something; false where another that runs holds it already. */
export function claim(file, pid) {
  mkdirSync(dirname(file), { recursive: true });
  if (existsSync(file) && ours(file) === null) rmSync(file);
  try {
    writeFileSync(file, named(pid), { flag: 'wx' });
    return true;
  } catch (e) {
    if (e.code === 'EEXIST') return false;
    throw e;
  }
}

/** The process of a file, where it is still the one that was written down; else null. */
export function ours(file) {
  if (!existsSync(file)) return null;
  try {
    const { pid, startedAt: then } = JSON.parse(readFileSync(file, 'utf8'));
    return Number.isInteger(pid) && then !== undefined && then !== null && startedAt(pid) === then ? pid : null;
  } catch {
    // An old or half-written file names nobody.
    return null;
  }
}

/** Ends our process, first with a request and then for good; false when it was not running. */
export async function end(file, patienceMs = 20_000) {
  const pid = ours(file);
  if (pid !== null) {
    process.kill(pid, 'SIGTERM');
    for (const from = Date.now(); ours(file) !== null; await new Promise((r) => setTimeout(r, 50)))
      if (Date.now() - from > patienceMs) process.kill(pid, 'SIGKILL');
  }
  rmSync(file, { force: true });
  return pid !== null;
}
