import type { Access } from '@iron-patch/core/terms/access';
import { newToken } from '../sign-in/secrets';
import type { TestShop } from './test-database';

/** Somebody new of the shop who is signed in on a device of their own; gives its cookie. */
export async function signedInAs({ pool }: TestShop, id: string, access: Access): Promise<string> {
  const { token, digest } = newToken();
  await pool.query(`insert into people (id, name, role, gone, access) values ($1, $1, '', false, $2)`, [id, access]);
  await pool.query(`insert into accounts (person_id, password_hash, borrowed) values ($1, 'none', false)`, [id]);
  await pool.query(
    `with d as (insert into devices (token_hash, at_bench) values ($1, $2) returning id)
     insert into device_people (device_id, person_id, epoch) select id, $2, 1 from d`,
    [digest, id],
  );
  return `iron-patch=${token}`;
}
