import { randomUUID } from 'node:crypto';
import {
  firstAccountInput,
  givenPasswordInput,
  ownPasswordInput,
  ownPinInput,
  pinSignInInput,
  routes,
  signInInput,
  type SessionResource,
  type SessionState,
} from '@iron-patch/contract';
import type { Express, Request, Response } from 'express';
import { inTransaction, statements, type Db, type Pool } from '../db';
import { bodyOf, did, invalid, notFirst, notFound, screenOf, signInFirst } from '../http';
import { allPeople, savePerson } from '../people';
import {
  accountOf,
  accountRows,
  byPassword,
  byPin,
  changeOwnPassword,
  changeOwnPin,
  giveAccount,
  noAccounts,
  personNamed,
  sealedPassword,
  signOutEverywhere,
  type Account,
} from './accounts';
import { deviceOf, putAtBench, signedInHere, signedOutHere, type Device, type PersonAtDevice, type SignIn } from './device';
import sql from './sign-in.sql';

const q = statements(sql, ['lockFirst']);

/** True where it is asked on the machine that the shop runs on, and by nobody that a proxy brings. */
function fromThisMachine(req: Request): boolean {
  const brought = ['Forwarded', 'X-Forwarded-For', 'X-Real-IP', 'Via'].some((h) => req.get(h) !== undefined);
  return !brought && /^(::1|(::ffff:)?127\.\d+\.\d+\.\d+)$/.test(req.socket.remoteAddress ?? '');
}
const addressOf = (req: Request): string => req.socket.remoteAddress ?? '';

const stateOf = (device: Device | null, first: boolean): SessionState =>
  first ? 'first' : !device?.people.length ? 'out' : device.atBench ? 'in' : 'locked';

/** Signing in and out, who is at the bench of a device, and the passwords and PINs behind it. */
export function mountSession(app: Express, pool: Pool, signIn: SignIn): void {
  if (signIn.way === 'pick') {
    app.get(routes.session, (_req, res) => {
      res.json({
        way: 'pick',
        state: 'in',
        personId: null,
        borrowed: false,
        here: [],
        lockAfterMin: 0,
        first: null,
      } satisfies SessionResource);
    });
    return;
  }

  async function sessionOf(req: Request, device: Device | null): Promise<SessionResource> {
    const first = await noAccounts(pool);
    const here = fromThisMachine(req);
    const people = first && here ? (await allPeople(pool)).filter((p) => !p.gone).map(({ id, name }) => ({ id, name })) : [];
    return {
      way: 'password',
      state: stateOf(device, first),
      personId: device?.atBench?.personId ?? null,
      borrowed: device?.atBench?.borrowed ?? false,
      here: (device?.people ?? []).map(({ personId, name, pin }) => ({ id: personId, name, pin })),
      lockAfterMin: signIn.lockAfterMin,
      first: first ? { here, people } : null,
    };
  }
  const tell = async (req: Request, res: Response, device: Device | null): Promise<void> => void res.json(await sessionOf(req, device));
  const here = (req: Request): Promise<Device | null> => deviceOf(pool, req, signIn);
  const atBench = async (req: Request): Promise<{ readonly device: Device; readonly at: PersonAtDevice; readonly account: Account }> => {
    const device = await here(req);
    const at = device?.atBench;
    const account = at && (await accountOf(pool, at.personId));
    if (!device || !at || !account) throw signInFirst();
    return { device, at, account };
  };
  /** Somebody gave the password: they are at the bench of this device, under a new secret; what else is done is done with it. */
  async function enter(
    req: Request,
    res: Response,
    { personId }: Pick<Account, 'personId'>,
    also: (db: Db) => Promise<void> = () => Promise.resolve(),
  ): Promise<void> {
    const device = await inTransaction(pool, screenOf(req), async (db) => {
      await also(db);
      const entered = await signedInHere(db, res, signIn, await deviceOf(db, req, signIn), personId);
      await did(db, req, 200, personId);
      return entered;
    });
    await tell(req, res, device);
  }
  const miss = async (req: Request, personId: string): Promise<void> => did(pool, req, 401, personId);

  app.get(routes.session, async (req, res) => tell(req, res, await here(req)));

  app.post(routes.sessionFirst, async (req, res) => {
    if (!fromThisMachine(req)) throw notFirst('Make it on the machine that the shop runs on.');
    const { name, password } = bodyOf(firstAccountInput, req);
    const digest = await sealedPassword(pool, password, name);
    const personId = await inTransaction(pool, screenOf(req), async (db) => {
      await db.query(q.lockFirst);
      if (!(await noAccounts(db))) throw notFirst('Somebody has one already: sign in, or let the owner give you a password.');
      const known = (await allPeople(db)).find((p) => !p.gone && p.name.toLowerCase() === name.toLowerCase());
      const { id } = known
        ? await savePerson(db, known.id, known.version, { name: known.name, role: known.role, gone: false, access: 'owner' })
        : await savePerson(db, randomUUID(), 0, { name, role: 'owner', gone: false, access: 'owner' });
      await giveAccount(db, id, digest, false);
      return id;
    });
    await enter(req, res, { personId });
  });

  app.post(routes.session, async (req, res) => {
    const { name, password } = bodyOf(signInInput, req);
    const account = await byPassword(pool, name, password, addressOf(req));
    if (!account) {
      await miss(req, (await personNamed(pool, name)) ?? '');
      throw invalid([{ code: 'wrong', path: 'password', message: 'That is not the name and the password of anybody here.' }]);
    }
    await enter(req, res, account);
  });

  app.post(routes.sessionPin, async (req, res) => {
    const { personId, pin } = bodyOf(pinSignInInput, req);
    const device = await here(req);
    if (!device) throw signInFirst();
    if (!(await byPin(pool, device.id, personId, pin))) {
      await miss(req, personId);
      throw invalid([{ code: 'wrong', path: 'pin', message: 'That is not the PIN. After five wrong ones the password is asked.' }]);
    }
    await inTransaction(pool, screenOf(req), async (db) => {
      await putAtBench(db, device.id, personId);
      await did(db, req, 200, personId);
    });
    await tell(req, res, await here(req));
  });

  app.post(routes.sessionLock, async (req, res) => {
    const device = await here(req);
    if (device) await putAtBench(pool, device.id, null);
    await tell(req, res, await here(req));
  });

  // The gate has noted it.
  app.post(routes.sessionSeen, (_req, res) => void res.status(204).end());

  app.delete(routes.session, async (req, res) => {
    const device = await here(req);
    const personId = device?.atBench?.personId;
    if (device && personId)
      await inTransaction(pool, screenOf(req), async (db) => {
        await signedOutHere(db, res, signIn, device, personId);
        await did(db, req, 200, personId);
      });
    await tell(
      req,
      res,
      device && personId ? { ...device, atBench: null, people: device.people.filter((p) => p.personId !== personId) } : device,
    );
  });

  app.post(routes.sessionOutEverywhere, async (req, res) => {
    const { device, at } = await atBench(req);
    await inTransaction(pool, screenOf(req), async (db) => {
      await signOutEverywhere(db, at.personId);
      await signedOutHere(db, res, signIn, device, at.personId);
      await did(db, req, 200, at.personId);
    });
    await tell(req, res, { ...device, atBench: null, people: device.people.filter((p) => p.personId !== at.personId) });
  });

  app.put(routes.ownPassword, async (req, res) => {
    const { account } = await atBench(req);
    const { old, password } = bodyOf(ownPasswordInput, req);
    if (old === password) throw invalid([{ code: 'same', path: 'password', message: 'Password: take another than now.' }]);
    if (!(await byPassword(pool, account.name, old, addressOf(req))))
      throw invalid([{ code: 'wrong', path: 'old', message: 'Password of now: that is not it.' }]);
    const digest = await sealedPassword(pool, password, account.name);
    await enter(req, res, account, (db) => changeOwnPassword(db, account.personId, digest));
  });

  app.put(routes.ownPin, async (req, res) => {
    const { at, account } = await atBench(req);
    const { password, pin } = bodyOf(ownPinInput, req);
    if (!(await byPassword(pool, account.name, password, addressOf(req))))
      throw invalid([{ code: 'wrong', path: 'password', message: 'Password: that is not it.' }]);
    await inTransaction(pool, screenOf(req), async (db) => {
      await changeOwnPin(db, at.personId, pin);
      await did(db, req, 200, at.personId);
    });
    await tell(req, res, await here(req));
  });

  app.get(routes.accounts, async (_req, res) => void res.json(await accountRows(pool)));

  app.put(routes.givenPassword(':id'), async (req, res) => {
    const { at } = await atBench(req);
    const personId = String(req.params['id']);
    const person = (await allPeople(pool)).find((p) => p.id === personId && !p.gone);
    if (!person) throw notFound('person');
    if (personId === at.personId)
      throw invalid([{ code: 'own', path: 'password', message: 'Your own password you change with the one of now.' }]);
    const digest = await sealedPassword(pool, bodyOf(givenPasswordInput, req).password, person.name);
    await inTransaction(pool, screenOf(req), async (db) => {
      await giveAccount(db, personId, digest, true);
      await did(db, req, 200, at.personId);
    });
    res.json(await accountRows(pool));
  });

  app.post(routes.outEverywhere(':id'), async (req, res) => {
    const { at } = await atBench(req);
    await inTransaction(pool, screenOf(req), async (db) => {
      await signOutEverywhere(db, String(req.params['id']));
      await did(db, req, 200, at.personId);
    });
    res.json(await accountRows(pool));
  });
}
