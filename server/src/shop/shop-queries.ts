import type { KnownMachine } from '@iron-patch/contract';
import type { Bar, CustomerRecord, Lathe, PersonRecord, Shop } from '@iron-patch/core';
import { statements, type Db } from '../db';
import { allDrillSets } from '../drills';
import { loadHouseRules } from '../house-rules/house-rule-queries';
import { allChecks, allInstruments } from '../instruments/instrument-queries';
import sql from './shop.sql';

const q = statements(sql, ['people', 'lathes', 'rack', 'customers', 'machines']);

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

export const loadCustomers = (db: Db): Promise<CustomerRecord[]> => rowsOf<CustomerRecord>(db, q.customers);

/** Machines that came in before, the newest job's first, each once a customer. */
export const loadMachines = (db: Db): Promise<KnownMachine[]> => rowsOf<KnownMachine>(db, q.machines);
