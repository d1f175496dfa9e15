import type { Shop } from '@iron-patch/core';

/** Stops of the first walk round a shop, in their order. */
export const STEPS = [
  { id: 'name', name: 'The shop', has: (s: Shop) => s.card.name !== '' },
  { id: 'people', name: 'People', has: (s: Shop) => s.people.length > 0 },
  { id: 'machines', name: 'Machines', has: (s: Shop) => s.lathes.length > 0 },
  { id: 'instruments', name: 'Instruments', has: (s: Shop) => s.instruments.length > 0 },
  { id: 'fits', name: 'House fits', has: (s: Shop) => s.card.walked.includes('fits') },
  { id: 'rack', name: 'Bars', has: (s: Shop) => s.rack.length > 0 },
] as const;
export type StepId = (typeof STEPS)[number]['id'];

/** Steps that are neither done nor passed over on purpose. */
export const openSteps = (shop: Shop): readonly (typeof STEPS)[number][] =>
  STEPS.filter((s) => !s.has(shop) && !shop.card.walked.includes(s.id));
