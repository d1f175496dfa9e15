import type { CustomersResource, ShopSettingsInput } from '@iron-patch/contract';
import { lathesAmong, type CustomerRecord, type Shop, type ShopCardRecord } from '@iron-patch/core';
import { statements, type Db } from '../db';
import { allDrillSets } from '../drills';
import { changedByAnother } from '../http';
import { loadHouseRules } from '../house-rules/house-rule-queries';
import { allChecks, allInstruments } from '../instruments/instrument-queries';
import { allMachines } from '../machines';
import { allPeople } from '../people';
import { allBars } from '../rack';
import { currentRates, tookRows } from '../rates';
import { workHours } from '../work-hours';
import { allTools } from '../tooling';
import sql from './shop.sql';

const q = statements(sql, ['card', 'changeCard', 'customersById', 'customers', 'machines']);

export const shopCard = async (db: Db): Promise<ShopCardRecord> => (await db.query<ShopCardRecord>(q.card)).rows[0]!;

/** Says what the shop is called and what it starts from, where that is still at `version`. */
export async function changeShopCard(
  db: Db,
  version: number,
  { name, unit, decimalMark, walked, warranty }: ShopSettingsInput,
): Promise<ShopCardRecord> {
  const changed = await db.query(q.changeCard, [version, name, unit, decimalMark, walked, warranty]);
  if (changed.rowCount === 0) throw changedByAnother(await shopCard(db));
  return shopCard(db);
}

/** Everything the shop has. */
export async function loadShop(db: Db): Promise<Shop> {
  const machines = await allMachines(db);
  return {
    card: await shopCard(db),
    people: await allPeople(db),
    instruments: await allInstruments(db),
    instrumentChecks: await allChecks(db),
    machines,
    lathes: lathesAmong(machines),
    houseRules: await loadHouseRules(db),
    rack: await allBars(db),
    drillSets: await allDrillSets(db),
    tools: await allTools(db),
    rates: await currentRates(db),
    hours: await workHours.current(db),
    took: await tookRows(db),
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
