import { isToken } from '@iron-patch/contract';
import type { Access } from '@iron-patch/core/terms/access';
import type { CookieOptions, Request, Response } from 'express';
import { statements, type Db } from '../db';
import { digestOf } from '../http';
import { newToken } from './secrets';
import sql from './sign-in.sql';

const q = statements(sql, ['atDevice', 'newDevice', 'renewDevice', 'provedHere', 'atBench', 'seen', 'gone', 'forgetOld']);

/** How long a device is known, and how long a PIN will do on it after the password, days; and how many wrong PINs are taken. */
export const DEVICE = { knownDays: 90, pinDays: 30, mostMisses: 5 } as const;

/** How people sign in, as the server is told. */
export interface SignIn {
  readonly way: 'password' | 'pick';
  /** Minutes without a key or a touch after which a screen locks; 0 for never. */
  readonly lockAfterMin: number;
  /** True where the shop is reached by HTTPS, so that the cookie goes by nothing else. */
  readonly secure: boolean;
}
/** A screen that locks itself tells so a moment later; one that cannot is locked by the server then. */
const SLACK_MIN = 3;
const NEVER_MIN = 10 * 365 * 24 * 60;

/** Somebody who signed in on a device, and was not signed out since. */
export interface PersonAtDevice {
  readonly personId: string;
  readonly name: string;
  readonly access: Access;
  readonly borrowed: boolean;
  readonly pin: boolean;
}

export interface Device {
  readonly id: string;
  /** Who is at the bench there; null while it is locked. */
  readonly atBench: PersonAtDevice | null;
  readonly people: readonly PersonAtDevice[];
  /** Nobody noted for a while that it is used. */
  readonly stale: boolean;
}

/** With the prefix a browser holds the cookie to HTTPS, to this very host and to all of its paths. */
const cookieName = ({ secure }: SignIn): string => (secure ? '__Host-iron-patch' : 'iron-patch');
const cookieOptions = ({ secure }: SignIn): CookieOptions => ({ httpOnly: true, sameSite: 'strict', secure, path: '/' });
const DAY_MS = 86_400_000;

function tokenIn(req: Request, signIn: SignIn): string | null {
  const name = `${cookieName(signIn)}=`;
  const value = (req.get('Cookie') ?? '')
    .split(';')
    .map((c) => c.trim())
    .find((c) => c.startsWith(name))
    ?.slice(name.length);
  return value !== undefined && isToken(value) ? value : null;
}

interface Row extends PersonAtDevice {
  readonly deviceId: string;
  readonly atBench: string | null;
  readonly idle: boolean;
  readonly stale: boolean;
}

/** The device whose cookie came; null where there is none, or nobody knows it. */
export async function deviceOf(db: Db, req: Request, signIn: SignIn): Promise<Device | null> {
  const token = tokenIn(req, signIn);
  return token ? deviceBehind(db, digestOf(token), signIn) : null;
}

async function deviceBehind(db: Db, digest: Buffer, signIn: SignIn): Promise<Device | null> {
  const idleMin = signIn.lockAfterMin > 0 ? signIn.lockAfterMin + SLACK_MIN : NEVER_MIN;
  const { rows } = await db.query<Row>(q.atDevice, [digest, idleMin, DEVICE.mostMisses, DEVICE.pinDays, DEVICE.knownDays]);
  const first = rows[0];
  if (!first) return null;
  // A device on which everybody was signed out has one row without a person.
  const people = rows
    .filter((r) => r.personId !== null)
    .map(({ personId, name, access, borrowed, pin }) => ({ personId, name, access, borrowed, pin }));
  const atBench = first.idle ? null : (people.find((p) => p.personId === first.atBench) ?? null);
  return { id: first.deviceId, atBench, people, stale: first.stale };
}

/**
 * Puts somebody at the bench who gave the password: the device gets a new secret, so that nobody goes on with one from before.
 *
 * @returns the device as it is then
 */
export async function signedInHere(db: Db, res: Response, signIn: SignIn, device: Device | null, personId: string): Promise<Device> {
  const { token, digest } = newToken();
  const id = device?.id ?? (await db.query<{ id: string }>(q.newDevice, [digest, personId])).rows[0]!.id;
  if (device) await db.query(q.renewDevice, [id, digest, personId]);
  await db.query(q.provedHere, [id, personId]);
  res.cookie(cookieName(signIn), token, { ...cookieOptions(signIn), maxAge: DEVICE.knownDays * DAY_MS });
  return (await deviceBehind(db, digest, signIn))!;
}

/** Puts somebody of the device at the bench; null locks it. */
export const putAtBench = async (db: Db, deviceId: string, personId: string | null): Promise<void> =>
  void (await db.query(q.atBench, [deviceId, personId]));

/** Somebody did something there. */
export const touched = async (db: Db, deviceId: string): Promise<void> => void (await db.query(q.seen, [deviceId]));

/** Signs somebody out on a device; its cookie goes with the last. */
export async function signedOutHere(db: Db, res: Response, signIn: SignIn, device: Device, personId: string): Promise<void> {
  await db.query(q.gone, [device.id, personId]);
  await putAtBench(db, device.id, null);
  if (device.people.every((p) => p.personId === personId)) res.clearCookie(cookieName(signIn), cookieOptions(signIn));
}

/** Forgets devices that nobody used for long, and misses of yesterday. */
export const forgetOldDevices = async (db: Db): Promise<void> => void (await db.query(q.forgetOld, [DEVICE.knownDays]));
