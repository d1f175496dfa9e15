import { randomBytes } from 'node:crypto';
import { chmodSync, existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Who may come to the database besides PostgreSQL's own superuser, who comes by its socket alone. */
export const ROLES = {
  /** Owns all there is and brings it up to date. */
  owner: 'iron_patch_owner',
  /** The server at work: what it may do with each table is in `server/src/db/grants.sql`. */
  app: 'iron_patch_app',
  /** Reads everything, changes nothing: for backups. */
  reader: 'iron_patch_reader',
};

/** The passwords of a data folder, made the first time, in a file that only its owner may open. */
export function passwordsIn(directory) {
  const file = join(directory, 'passwords.json');
  const known = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : {};
  const whole = Object.fromEntries(['superuser', ...Object.values(ROLES)].map((r) => [r, known[r] ?? randomBytes(24).toString('hex')]));
  if (Object.keys(whole).some((r) => whole[r] !== known[r])) writeFileSync(file, JSON.stringify(whole, null, 2), { mode: 0o600 });
  chmodSync(file, 0o600);
  return whole;
}

/**
 * Who is let in, as PostgreSQL's pg_hba.conf has it: the system's own user by the socket, the three roles by password.
 *
 * @param superuser let in by password too, for tests; null otherwise
 */
export const doorsFor = (superuser) =>
  [
    '# Written by Iron Patch at every start.',
    `local all ${Object.values(ROLES).join(',')} scram-sha-256`,
    'local all all peer',
    `host all ${Object.values(ROLES).join(',')} 127.0.0.1/32 scram-sha-256`,
    ...(superuser ? [`host all ${superuser} 127.0.0.1/32 scram-sha-256`] : []),
    '',
  ].join('\n');

/** SQL that makes the roles, or gives them their passwords again. */
export const rolesSql = (passwords) =>
  [
    ...Object.values(ROLES).map(
      (r) => `do $$ begin if not exists (select 1 from pg_roles where rolname = '${r}') then create role ${r}; end if; end $$;
alter role ${r} login nosuperuser nocreatedb nocreaterole password '${passwords[r]}';`,
    ),
    `grant pg_read_all_data to ${ROLES.reader};`,
    `alter role ${ROLES.reader} set default_transaction_read_only = on;`,
  ].join('\n');

/** SQL that hands a database made before there were roles, with all that is in it, to its owner. */
export const handOverSql = (database) => `alter database ${database} owner to ${ROLES.owner};
revoke create on schema public from public;
grant create, usage on schema public to ${ROLES.owner};
grant usage on schema public to ${ROLES.reader};
do $$
declare
  it record;
begin
  for it in select c.oid::regclass as name from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind = 'r'
    and c.relowner <> '${ROLES.owner}'::regrole loop
    execute format('alter table %s owner to ${ROLES.owner}', it.name);
  end loop;
  for it in select c.oid::regclass as name from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind = 'S'
    and c.relowner <> '${ROLES.owner}'::regrole loop
    execute format('alter sequence %s owner to ${ROLES.owner}', it.name);
  end loop;
  for it in select p.oid::regprocedure as name from pg_proc p where p.pronamespace = 'public'::regnamespace
    and p.proowner <> '${ROLES.owner}'::regrole loop
    execute format('alter function %s owner to ${ROLES.owner}', it.name);
  end loop;
end $$;`;
