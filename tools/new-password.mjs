import { randomBytes } from 'node:crypto';
import { sealed as seal } from '../server/dist/seal.mjs';
import { DATABASE } from './shop.mjs';

const quoted = (text) => `'${text.replaceAll("'", "''")}'`;

/**
 * Gives somebody a password to sign in with once, and to change there: for an owner who forgot theirs, by whoever has the shop's machine.
 *
 * @param db the running database of the shop
 * @returns the password; it is kept nowhere
 */
export async function newPassword(db, name) {
  const known = db.ask(DATABASE, `select id from people where lower(name) = lower(${quoted(name)}) and not gone`).trim();
  if (!known) throw new Error(`Nobody of the shop is called ${name}.`);
  const password = randomBytes(12).toString('hex').match(/.{6}/g).join('-');
  const sealed = await seal(password);
  db.ask(
    DATABASE,
    `insert into accounts (person_id, password_hash, borrowed) values (${quoted(known)}, ${quoted(sealed)}, true)
     on conflict (person_id) do update set password_hash = excluded.password_hash, borrowed = true, pin_hash = null, epoch = accounts.epoch + 1,
       changed_at = clock_timestamp();
     insert into audit (person_id, method, path, status) values (${quoted(known)}, 'POST', './iron-patch password', 200);
     delete from sign_in_misses where who = ${quoted(`name ${name.toLowerCase()}`)}`,
  );
  return password;
}
