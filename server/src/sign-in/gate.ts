import { doorOf, HEADERS, routes, type Door } from '@iron-patch/contract';
import { may, type Access } from '@iron-patch/core/terms/access';
import type { Request, RequestHandler } from 'express';
import { statements, type Db, type Pool } from '../db';
import { letIn, lockedNow, mayNot, notAllowed, notSignedInHere, ownPasswordFirst, signInFirst } from '../http';
import { deviceOf, touched, type Device, type SignIn } from './device';
import sql from './gate.sql';

const q = statements(sql, ['access']);

const accessOf = async (db: Db, personId: string): Promise<Access | null> =>
  (await db.query<{ access: Access }>(q.access, [personId])).rows[0]?.access ?? null;

/** What waited in a browser, and is of whoever took it: they need not be the one at the bench now. */
const WAITED = [routes.readingsWaiting, routes.readings('[^/]+'), routes.photos('[^/]+')].map((p) => new RegExp(`^${p}$`));
const looks = (req: Request): boolean => req.method === 'GET' || req.method === 'HEAD';

/** Refuses what somebody of that kind may not do. */
function letThrough(access: Access, door: Door): void {
  if (door !== 'open' && door !== 'signed-in' && !may(access, door)) throw mayNot(access, door);
}

const pathOf = (req: Request): string => req.originalUrl.split('?', 1)[0]!;

/** Who acts, of those who are signed in on the device. */
function actorAt({ atBench, people }: Device, req: Request): Access {
  if (!atBench) throw people.length ? lockedNow() : signInFirst();
  if (atBench.borrowed && pathOf(req) !== routes.ownPassword) throw ownPasswordFirst();
  const named = req.get(HEADERS.person);
  if (looks(req) || named === undefined || named === atBench.personId) return atBench.access;
  const other = WAITED.some((w) => w.test(pathOf(req))) ? people.find((p) => p.personId === named) : undefined;
  if (!other) throw notSignedInHere();
  return other.access;
}

/**
 * Lets in who may do what they ask for, and nobody else: everything of the API goes through it, and what is stored and stands in no table of
 * what who may is refused. By password, the cookie of the device says who is at the bench; where people are picked, the request itself does.
 */
export const gate =
  (pool: Pool, signIn: SignIn): RequestHandler =>
  async (req, _res, next) => {
    const door = doorOf(req.method, pathOf(req));
    if (door === null) throw notAllowed();
    if (signIn.way === 'pick') {
      letIn(req, { deviceId: null, accessOf: (id) => accessOf(pool, id) });
      const access = looks(req) && door !== 'accounts' ? null : await accessOf(pool, req.get(HEADERS.person) ?? '');
      // Whoever is unknown is asked for a name by what they ask for.
      if (access) letThrough(access, door);
      else if (door === 'accounts' && looks(req)) throw signInFirst();
      return next();
    }
    const device = await deviceOf(pool, req, signIn);
    letIn(req, {
      deviceId: device?.id ?? null,
      accessOf: (id) => Promise.resolve(device?.people.find((p) => p.personId === id)?.access ?? null),
    });
    if (door === 'open') return next();
    if (!device) throw signInFirst();
    letThrough(actorAt(device, req), door);
    if (!looks(req) && device.stale) await touched(pool, device.id);
    next();
  };
