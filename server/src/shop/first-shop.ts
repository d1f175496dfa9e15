import { readFile } from 'node:fs/promises';
import {
  STARTING_HOUSE_RULES,
  type Bar,
  type CribTool,
  type DecimalMark,
  type DrillSet,
  type HouseRule,
  type InstrumentRecord,
  type Lathe,
  type LengthUnit,
  type Machine,
  type PersonRecord,
  type WorkHours,
} from '@iron-patch/core';
import { saveDrillSet } from '../drills';
import { check, PLAIN_BAR, shopCardInput, type RatesInput } from '@iron-patch/contract';
import { inTransaction, statements, type Db, type Pool } from '../db';
import { changeHouseRule } from '../house-rules/house-rule-queries';
import { saveMachine } from '../machines';
import { savePerson } from '../people';
import { saveBar } from '../rack';
import { changeRates } from '../rates';
import { workHours } from '../work-hours';
import { saveTool } from '../tooling';
import { changeShopCard, shopCard } from './shop-queries';
import sql from './first-shop.sql';

const q = statements(sql, ['empty', 'instrument', 'noRules']);

/** A shop card as a file: what it leaves out is as in an empty shop, and the house rules are the starting ones. */
export interface ShopCard {
  readonly name?: string;
  readonly unit?: LengthUnit;
  readonly decimalMark?: DecimalMark;
  readonly warranty?: string;
  readonly people: readonly (Pick<PersonRecord, 'id' | 'name' | 'role'> & Partial<Pick<PersonRecord, 'access'>>)[];
  readonly lathes: readonly Lathe[];
  readonly machines?: readonly Omit<Machine, 'version'>[];
  readonly rack: readonly Omit<Bar, 'version'>[];
  readonly houseRules?: readonly HouseRule[];
  readonly instruments: readonly CardInstrument[];
  readonly drillSets?: readonly Omit<DrillSet, 'version'>[];
  readonly tools?: readonly Omit<CribTool, 'version'>[];
  readonly rates?: RatesInput;
  readonly hours?: WorkHours;
}

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

const NO_CARD = { powerKw: null, note: '', mill: null, capacityMm: null, tonnes: null } as const;

async function storeShop(db: Db, card: ShopCard): Promise<void> {
  const { version, unit } = await shopCard(db);
  // Whoever writes a card has looked at the fits.
  await changeShopCard(db, version, {
    name: card.name ?? '',
    unit: card.unit ?? unit,
    decimalMark: card.decimalMark,
    warranty: card.warranty,
    walked: ['fits'],
  });
  for (const { id, name, role, access } of card.people) await savePerson(db, id, 0, { name, role, gone: false, access });
  for (const i of card.instruments) await db.query(q.instrument, instrumentColumns(i));
  for (const { id, name, ...lathe } of card.lathes)
    await saveMachine(db, id, 0, { ...NO_CARD, name, kind: 'lathe', lathe, removed: false });
  for (const { id, ...machine } of card.machines ?? []) await saveMachine(db, id, 0, { ...machine, removed: false });
  for (const { id, ...set } of card.drillSets ?? []) await saveDrillSet(db, id, 0, { ...set, removed: false });
  for (const { id, ...tool } of card.tools ?? []) await saveTool(db, id, 0, { ...tool, removed: false });
  for (const { id, ...bar } of card.rack) await saveBar(db, id, 0, { ...bar, why: 'came with the shop’s card', removed: false }, null);
  if (card.rates) await changeRates(db, 0, card.rates, null);
  if (card.hours) await workHours.change(db, 0, card.hours, null);
  for (const rule of card.houseRules ?? []) await startRule(db, rule);
}

const startRule = (db: Db, rule: HouseRule): Promise<unknown> =>
  changeHouseRule(db, rule.id, 0, { rule, because: 'The shop’s starting value.', personId: null });

/** Every shop starts from some fits by thou. */
async function startRules(db: Db): Promise<void> {
  if ((await db.query<{ empty: boolean }>(q.noRules)).rows[0]!.empty) for (const rule of STARTING_HOUSE_RULES) await startRule(db, rule);
}

const MOST_TOLD = 12;

/** The card with what its bars leave out. */
function filledIn(card: unknown): unknown {
  const { rack } = (card ?? {}) as { readonly rack?: unknown };
  return Array.isArray(rack) ? { ...(card as object), rack: rack.map((b: object) => ({ ...PLAIN_BAR, ...b })) } : card;
}

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
  const whole = filledIn(card);
  const checked = check(shopCardInput, whole);
  if (checked.ok) return whole as ShopCard;
  const told = checked.problems.slice(0, MOST_TOLD).map((p) => `${p.path}: ${p.message}`);
  const more = checked.problems.length - told.length;
  throw new Error(`The shop's file ${file} is not right. ${told.join(' ')}${more > 0 ? ` And ${more} more.` : ''}`);
}

/** Any number that no other part of the program locks. */
const SET_UP_LOCK = 74_656_002;

/**
 * Sets the shop up the first time: from its card, or empty but for the starting house rules where there is none. A shop that has people
 * is left alone.
 *
 * @throws Error with all that is wrong in the card; nothing is stored then
 */
export async function setUpShop(pool: Pool, cardFile: string | null): Promise<void> {
  const isEmpty = async (db: Db): Promise<boolean> => (await db.query<{ empty: boolean }>(q.empty)).rows[0]!.empty;
  const card = cardFile !== null && (await isEmpty(pool)) ? await readCard(cardFile) : null;
  await inTransaction(pool, '', async (db) => {
    // Of two servers that find it empty, one sets it up.
    await db.query('select pg_advisory_xact_lock($1)', [SET_UP_LOCK]);
    if (card && (await isEmpty(db))) await storeShop(db, card);
    await startRules(db);
  });
}
