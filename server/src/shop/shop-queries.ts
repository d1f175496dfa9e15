import type { CustomersResource } from '@iron-patch/contract';
import type { Bar, CustomerRecord, Lathe, PersonRecord, Shop } from '@iron-patch/core';
import { statements, type Db } from '../db';
import { allDrillSets } from '../drills';
import { loadHouseRules } from '../house-rules/house-rule-queries';
import { allChecks, allInstruments } from '../instruments/instrument-queries';
import sql from './shop.sql';

const q = statements(sql, ['people', 'lathes', 'rack', 'customersById', 'customers', 'machines']);

const rowsOf = async <T extends object>(db: Db, text: string): Promise<T[]> => (await db.query<T>(text)).rows;

/** Everything the shop has. */
export async function loadShop(db: Db): Promise<Shop> {
  return {
    people: await rowsOf<PersonRecord>(db, q.people),
    instruments: await allInstruments(db),
    instrumentChecks: await allChecks(db),
    lathes: (await rowsOf<{ card: Lathe }>(db, q.lathes)).map((r) => r.card),
    houseRules: await loadHouseRules(db),
    rack: await rowsOf<Bar>(db, q.rack),
    drillSets: await allDrillSets(db),
  };
}

export const customersById = async (db: Db, ids: readonly string[]): Promise<CustomerRecord[]> =>
  (await db.query<CustomerRecord>(q.customersById, [ids])).rows;

/** So many of each are offered while a name is typed. */
const OFFERED = 30;

/** Customers whose name has that in it, and the machines that the one of exactly that name brought before. */
export const customersLike = async (db: Db, name: string): Promise<CustomersResource> => ({
  customers: (await db.query<CustomerRecord>(q.customers, [name, OFFERED])).rows,
  machines: (await db.query<{ machine: string }>(q.machines, [name, OFFERED])).rows.map((r) => r.machine),
});
