/** What a driver or PostgreSQL throws, as far as it is looked at. */
interface DatabaseError {
  readonly code?: string;
  readonly message?: string;
}

/** PostgreSQL, Appendix A: connection exceptions, insufficient resources, operator intervention, system errors. */
const AWAY_STATES = /^(08|53|57P|58)/;
const AWAY_CODES: readonly string[] = ['ECONNREFUSED', 'ECONNRESET', 'ECONNABORTED', 'EPIPE', 'ETIMEDOUT', 'EHOSTUNREACH', 'ENOENT'];
/** The driver's own words; it gives them no code. */
const AWAY_WORDS =
  /^(Connection terminated|timeout exceeded when trying to connect|Query read timeout|Client has encountered|Client was closed)/;
/** Lock not available, query cancelled by its time-out, serialization failure, deadlock: the same again may go. */
const BUSY_STATES: readonly string[] = ['55P03', '57014', '40001', '40P01'];
const DISK_FULL = '53100';

/** Why the database could not do it just now; null where it could, and said no. */
export type NotNow = 'away' | 'busy' | 'full';

/** Whether it is the database that is not there, too busy, or out of room; the same request may go in a moment. */
export function notNow(error: unknown): NotNow | null {
  const { code = '', message = '' } = (error ?? {}) as DatabaseError;
  if (code === DISK_FULL) return 'full';
  if (BUSY_STATES.includes(code)) return 'busy';
  return AWAY_STATES.test(code) || AWAY_CODES.includes(code) || AWAY_WORDS.test(message) ? 'away' : null;
}
