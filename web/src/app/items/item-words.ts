import type { ItemKind } from '@iron-patch/core';

/** What is done with an item, as on the card. */
export const ITEM_WORDS: Readonly<Record<ItemKind, string>> = { make: 'make', rework: 'rework', buy: 'buy', join: 'join' };

export const ITEM_TOLD: Readonly<Record<ItemKind, string>> = {
  make: 'Make: a new part from stock',
  rework: 'Rework: a component that stays is cut, straightened, mended',
  buy: 'Buy: it comes from elsewhere',
  join: 'Join: press, weld, pin together',
};
