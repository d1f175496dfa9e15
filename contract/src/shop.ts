import type { CustomerRecord, Shop } from '@iron-patch/core';

/** A machine that came in before. */
export interface KnownMachine {
  readonly customerId: string;
  readonly name: string;
}

/** What the shop has, and who its customers are. */
export interface ShopResource {
  readonly shop: Shop;
  readonly customers: readonly CustomerRecord[];
  /** Machines that came in before, each once a customer. */
  readonly machines: readonly KnownMachine[];
}
