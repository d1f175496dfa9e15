import type { ItemKind } from '@iron-patch/core';

/** What is done with an item, as on the card. */
export const ITEM_WORDS: Readonly<Record<ItemKind, string>> = { make: 'make', rework: 'rework', buy: 'buy', join: 'join' };

export const ITEM_TOLD: Readonly<Record<ItemKind, string>> = {
  make: 'Make a new part',
  rework: 'Rework what stays',
  buy: 'Buy it',
  join: 'Join: press, weld, pin',
};
