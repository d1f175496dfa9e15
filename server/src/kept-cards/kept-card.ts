import { statements, type Db } from '../db';
import { changedByAnother } from '../http';
import sql from './kept-cards.sql';

const q = statements(sql, ['current', 'insert']);

interface Row<T> {
  readonly version: number;
  readonly card: T;
  readonly personId: string | null;
  readonly at: string;
}

/** One version of a card, with who set it; nobody where it came with the shop. */
export type Kept<T> = T & Omit<Row<T>, 'card'>;

/** A card of which every version is kept. */
export interface KeptCard<T extends object> {
  /** The one in force; null while nobody said anything. */
  current(db: Db): Promise<Kept<T> | null>;
  /** Adds the version that follows `version`, 0 for the first; refuses when somebody changed it meanwhile. */
  change(db: Db, version: number, card: T, personId: string | null): Promise<Kept<T>>;
}

/** The card of a key. */
export function keptCard<T extends object>(key: string): KeptCard<T> {
  async function current(db: Db): Promise<Kept<T> | null> {
    const row = (await db.query<Row<T>>(q.current, [key])).rows[0];
    if (!row) return null;
    const { card, ...set } = row;
    return { ...card, ...set };
  }
  return {
    current,
    async change(db, version, card, personId) {
      const before = await current(db);
      if ((before?.version ?? 0) !== version) throw changedByAnother(before);
      const added = await db.query(q.insert, [key, version + 1, JSON.stringify(card), personId]);
      const now = await current(db);
      if (added.rowCount === 0) throw changedByAnother(now);
      return now!;
    },
  };
}
