import type { Bar, CustomerRecord, InstrumentRecord, Lathe, PersonRecord, Shop } from '@iron-patch/core';
import { statements, type Db } from '../db';
import { loadHouseRules } from '../house-rules/house-rule-queries';
import sql from './shop.sql';

const q = statements(sql, ['people', 'instruments', 'lathes', 'rack', 'customers']);

const rowsOf = async <T extends object>(db: Db, text: string): Promise<T[]> => (await db.query<T>(text)).rows;

/** Everything the shop has. */
export async function loadShop(db: Db): Promise<Shop> {
  return {
    people: await rowsOf<PersonRecord>(db, q.people),
    instruments: await rowsOf<InstrumentRecord>(db, q.instruments),
    lathes: (await rowsOf<{ card: Lathe }>(db, q.lathes)).map((r) => r.card),
    houseRules: await loadHouseRules(db),
    rack: await rowsOf<Bar>(db, q.rack),
  };
}

export const loadCustomers = (db: Db): Promise<CustomerRecord[]> => rowsOf<CustomerRecord>(db, q.customers);
