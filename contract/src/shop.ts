import type { CustomerRecord, Shop } from '@iron-patch/core';

/** What the shop has, and who its customers are. */
export interface ShopResource {
  readonly shop: Shop;
  readonly customers: readonly CustomerRecord[];
}
