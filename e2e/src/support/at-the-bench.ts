import type { Page } from './page';
import type { ReadingLinePage } from './reading-line';
import { openShop, type TestShop } from './shop';
import { visit, type Visit } from './visit';

/** A shop of a spec's own with somebody at its bench, there from its first test to its last. */
export interface Bench {
  readonly shop: TestShop;
  readonly visit: Visit;
  readonly page: Page;
  readonly line: ReadingLinePage;
}

/** Opens the demo shop before the tests of a file, and closes it after them. */
export function atTheBench(person = 'tomas'): Bench {
  let shop: TestShop;
  let there: Visit;
  beforeAll(async () => {
    shop = await openShop({ demo: true });
    there = await visit(shop, person);
  });
  afterAll(async () => {
    await there.close();
    await shop.close();
  });
  return {
    get shop() {
      return shop;
    },
    get visit() {
      return there;
    },
    get page() {
      return there.page;
    },
    get line() {
      return there.line;
    },
  };
}
