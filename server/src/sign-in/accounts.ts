import type { AccountRow } from '@iron-patch/contract';
import { statements, type Db, type Pool } from '../db';
import { invalid } from '../http';
import { shopCard } from '../shop/shop-queries';
import { DEVICE } from './device';
import { guessable } from './guessable';
import { counted, forgiven, FREE } from './misses';
import { opens, sealed } from './seal';
import sql from './sign-in.sql';

const q = statements(sql, [
  'noAccounts',
  'account',
  'personNamed',
  'addAccount',
  'ownPassword',
  'ownPin',
  'outEverywhere',
  'pinTried',
  'pinRight',
  'accounts',
]);

export interface Account {
  readonly personId: string;
  readonly name: string;
  readonly passwordHash: string;
  readonly pinHash: string | null;
  readonly borrowed: boolean;
}

export const accountOf = async (db: Db, personId: string): Promise<Account | null> =>
  (await db.query<Account>(q.account, [personId])).rows[0] ?? null;

/** True until somebody made the first account. */
export const noAccounts = async (db: Db): Promise<boolean> => (await db.query<{ first: boolean }>(q.noAccounts)).rows[0]!.first;

export const personNamed = async (db: Db, name: string): Promise<string | null> =>
  (await db.query<{ id: string }>(q.personNamed, [name])).rows[0]?.id ?? null;

/** A password that may be taken, sealed. */
export async function sealedPassword(db: Db, password: string, name: string): Promise<string> {
  const problems = guessable(password, [name, (await shopCard(db)).name]);
  if (problems.length) throw invalid(problems);
  return sealed(password);
}

/** Gives somebody a password, `borrowed` where another chose it; their PIN is gone, and so are they wherever they were signed in. */
export const giveAccount = async (db: Db, personId: string, passwordHash: string, borrowed: boolean): Promise<void> =>
  void (await db.query(q.addAccount, [personId, passwordHash, borrowed]));

/** Somebody's own new password; signs them out everywhere. */
export const changeOwnPassword = async (db: Db, personId: string, passwordHash: string): Promise<void> =>
  void (await db.query(q.ownPassword, [personId, passwordHash]));

export const changeOwnPin = async (db: Db, personId: string, pin: string): Promise<void> =>
  void (await db.query(q.ownPin, [personId, await sealed(pin)]));

export const signOutEverywhere = async (db: Db, personId: string): Promise<void> => void (await db.query(q.outEverywhere, [personId]));

/**
 * Whose password it is, asked for by name; null where it is nobody's.
 *
 * @throws HttpProblem 429 after too many wrong ones, for that name or from that address
 */
export async function byPassword(pool: Pool, name: string, password: string, address: string): Promise<Account | null> {
  const whos = [`name:${name.toLowerCase()}`, `from:${address}`] as const;
  await counted(pool, whos[1], FREE.address);
  await counted(pool, whos[0], FREE.name);
  const id = await personNamed(pool, name);
  const account = id === null ? null : await accountOf(pool, id);
  if (!(await opens(account?.passwordHash ?? null, password))) return null;
  for (const who of whos) await forgiven(pool, who);
  return account;
}

/** True where it is the PIN of somebody who signed in on the device by the password; after a few wrong ones only the password will do. */
export async function byPin(pool: Pool, deviceId: string, personId: string, pin: string): Promise<boolean> {
  const tried = await pool.query<{ pinHash: string }>(q.pinTried, [deviceId, personId, DEVICE.mostMisses, DEVICE.pinDays]);
  const right = await opens(tried.rows[0]?.pinHash ?? null, pin);
  if (right) await pool.query(q.pinRight, [deviceId, personId]);
  return right;
}

export const accountRows = async (db: Db): Promise<AccountRow[]> => (await db.query<AccountRow>(q.accounts, [DEVICE.knownDays])).rows;
