import { readFile } from 'node:fs/promises';
import { STARTING_HOUSE_RULES, type DrillSet, type HouseRule, type InstrumentRecord, type Shop } from '@iron-patch/core';
import { saveDrillSet } from '../drills';
import { check, shopCardInput } from '@iron-patch/contract';
import { inTransaction, statements, type Db, type Pool } from '../db';
import { changeHouseRule } from '../house-rules/house-rule-queries';
import sql from './first-shop.sql';

const q = statements(sql, ['empty', 'person', 'instrument', 'lathe', 'bar']);

/** A shop card as a file: core's Shop, house rules left out to take the starting ones. */
export type ShopCard = Omit<Shop, 'houseRules' | 'instrumentChecks' | 'instruments' | 'drillSets'> & {
  readonly houseRules?: readonly HouseRule[];
  readonly instruments: readonly CardInstrument[];
  readonly drillSets?: readonly Omit<DrillSet, 'version'>[];
};

/** An instrument of a card: its own record may be left out. */
type CardInstrument = Pick<InstrumentRecord, 'id' | 'name' | 'kind' | 'unit' | 'uMm' | 'rangeLowMm' | 'rangeHighMm'> &
  Partial<InstrumentRecord>;

const instrumentColumns = (i: CardInstrument): unknown[] => [
  i.id,
  i.name,
  i.kind,
  i.unit,
  i.uMm,
  i.rangeLowMm,
  i.rangeHighMm,
  i.repeatMm ?? null,
  i.resolutionMm ?? null,
  i.biasMm ?? 0,
  i.calibratedOn ?? null,
  i.dueOn ?? null,
];

async function storeShop(db: Db, card: ShopCard): Promise<void> {
  for (const p of card.people) await db.query(q.person, [p.id, p.name, p.role]);
  for (const i of card.instruments) await db.query(q.instrument, instrumentColumns(i));
  for (const [at, lathe] of card.lathes.entries()) await db.query(q.lathe, [lathe.id, at, JSON.stringify(lathe)]);
  for (const rule of card.houseRules ?? STARTING_HOUSE_RULES)
    await changeHouseRule(db, rule.id, 0, { rule, because: 'The shop’s starting value.', personId: null });
  for (const { id, ...set } of card.drillSets ?? []) await saveDrillSet(db, id, 0, { ...set, removed: false });
  for (const b of card.rack) await db.query(q.bar, [b.id, b.materialId, b.diameterMm, b.lengthMm, b.place]);
}

const MOST_TOLD = 12;

/** A shop's card out of its file; refuses one that is not right, with everything that is wrong in it. */
async function readCard(file: string): Promise<ShopCard> {
  const text = await readFile(file, 'utf8').catch((e: Error) => {
    throw new Error(`The shop's file ${file} cannot be read: ${e.message}. Name another with IRON_PATCH_SHOP.`);
  });
  let card: unknown;
  try {
    card = JSON.parse(text);
  } catch (e) {
    throw new Error(`The shop's file ${file} is no JSON: ${(e as Error).message}.`, { cause: e });
  }
  const checked = check(shopCardInput, card);
  if (checked.ok) return card as ShopCard;
  const told = checked.problems.slice(0, MOST_TOLD).map((p) => `${p.path}: ${p.message}`);
  const more = checked.problems.length - told.length;
  throw new Error(`The shop's file ${file} is not right. ${told.join(' ')}${more > 0 ? ` And ${more} more.` : ''}`);
}

/** Any number that no other part of the program locks. */
const SET_UP_LOCK = 74_656_002;

/**
 * Sets the shop up from its card the first time. A shop that has people is left alone.
 *
 * @returns true when it was set up now
 * @throws Error with all that is wrong in the card; nothing is stored then
 */
export async function setUpShop(pool: Pool, cardFile: string): Promise<boolean> {
  const { rows } = await pool.query<{ empty: boolean }>(q.empty);
  if (!rows[0]!.empty) return false;
  const card = await readCard(cardFile);
  return inTransaction(pool, '', async (db) => {
    // Of two servers that find it empty, one sets it up.
    await db.query('select pg_advisory_xact_lock($1)', [SET_UP_LOCK]);
    const again = await db.query<{ empty: boolean }>(q.empty);
    if (again.rows[0]!.empty) await storeShop(db, card);
    return again.rows[0]!.empty;
  });
}
