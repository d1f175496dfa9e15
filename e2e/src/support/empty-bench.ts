import { Hand } from './hand';
import { openShop, type TestShop } from './shop';
import { visit, type Visit } from './visit';

/** An empty shop of a spec's own with a machinist's hand at its bench, there from its first test to its last. */
export interface EmptyBench extends Visit {
  readonly shop: TestShop;
  readonly hand: Hand;
  /** Rows of a table, with what they are narrowed by. */
  readonly count: (what: string) => Promise<number>;
  /** Takes sizes in the reading line, each until it is stored. */
  readonly read: (...texts: readonly string[]) => Promise<void>;
}

/**
 * Opens an empty shop before the tests of a file, and closes it after them. What it gives is there once the tests run.
 *
 * @param screen its width and height; that of a desk where none is said
 */
export function anEmptyBench(screen?: { readonly width: number; readonly height: number }): () => EmptyBench {
  let bench: EmptyBench | null = null;
  beforeAll(async () => {
    const shop = await openShop({ demo: false });
    const there = await visit(shop, 'tomas', screen);
    const count = async (what: string): Promise<number> =>
      (await shop.query<{ n: number }>(`select count(*)::int as n from ${what}`))[0]!.n;
    bench = {
      ...there,
      shop,
      hand: new Hand(there, shop),
      count,
      read: async (...texts) => {
        for (const text of texts) {
          const before = await count('readings');
          await there.line.take(text);
          await there.page.until(`${text} to be stored`, async () => (await count('readings')) > before);
        }
      },
    };
  });
  afterAll(async () => {
    await bench?.close();
    await bench?.shop.close();
  });
  return () => bench!;
}
