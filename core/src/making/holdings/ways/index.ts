import { betweenCentres } from './between-centres';
import { fromTheBar } from './from-the-bar';
import { onAMandrel } from './on-a-mandrel';
import { twoEnds } from './two-ends';
import type { HoldingWay } from './way';

export const WAY_IDS = ['bar', 'round-chuck', 'round-soft-jaws', 'round-collet', 'round-four-jaw', 'centres', 'mandrel'] as const;
export type WayId = (typeof WAY_IDS)[number];

/** The schools of holding a turned part: one that is missing does not compile. */
export const WAYS: Readonly<Record<WayId, HoldingWay>> = {
  bar: fromTheBar,
  'round-chuck': twoEnds('three-jaw', 'Turned round in the chuck', 'Quick, where nothing must run true from one end to the other.'),
  'round-soft-jaws': twoEnds('soft-jaws', 'Turned round, soft jaws', 'Jaws bored to the finished size: fair truth, no marks.'),
  'round-collet': twoEnds('collet', 'Turned round, collet', 'Where a collet of the finished size is at hand.'),
  'round-four-jaw': twoEnds('four-jaw', 'Turned round, dialled in', 'As true as the indicator is patient; slow for more than one.'),
  centres: betweenCentres,
  mandrel: onAMandrel,
};

/** What each holding needs of the lathe. */
export const HELD_BY = {
  bar: ['three-jaw'],
  'round-chuck': ['three-jaw'],
  'round-soft-jaws': ['soft-jaws'],
  'round-collet': ['collet'],
  'round-four-jaw': ['four-jaw'],
  centres: ['centres'],
  mandrel: ['mandrel'],
} as const satisfies Readonly<Record<WayId, readonly string[]>>;
