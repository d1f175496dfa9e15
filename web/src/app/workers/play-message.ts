import type { PlayDistribution } from '@iron-patch/core';

/** What the worker tells on its way. */
export type PlayMessage =
  { readonly kind: 'progress'; readonly share: number } | { readonly kind: 'done'; readonly result: PlayDistribution };
