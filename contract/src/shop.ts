import type { CustomerRecord, Shop } from '@iron-patch/core';

/** What the shop has. */
export interface ShopResource {
  readonly shop: Shop;
  /** Where the shop stands, as an IANA time zone: dates and hours that a person sees are its own. */
  readonly timeZone: string;
  /** Port on which a gauge is looked for first. */
  readonly gaugePort: number;
}

/** Customers whose name has in it what is typed, some of them, and machines that came in before: theirs, where it is one's whole name. */
export interface CustomersResource {
  readonly customers: readonly CustomerRecord[];
  readonly machines: readonly string[];
}
