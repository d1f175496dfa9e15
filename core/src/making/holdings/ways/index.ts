import { betweenCentres } from './between-centres';
import { fromACollet, fromTheBar } from './from-the-bar';
import { inTheSteady } from './in-the-steady';
import { leftLongBetweenCentres } from './left-long';
import { onAMandrel } from './on-a-mandrel';
import { onTheFaceplate } from './on-the-faceplate';
import { twoEnds } from './two-ends';
import type { HoldingWay } from './way';

export const WAY_IDS = [
  'bar',
  'bar-collet',
  'round-chuck',
  'round-soft-jaws',
  'round-collet',
  'round-four-jaw',
  'centres',
  'centres-long',
  'steady',
  'mandrel',
  'faceplate',
] as const;
export type WayId = (typeof WAY_IDS)[number];

/** The schools of holding a turned part: one that is missing does not compile. */
export const WAYS: Readonly<Record<WayId, HoldingWay>> = {
  bar: fromTheBar,
  'bar-collet': fromACollet,
  'round-chuck': twoEnds('three-jaw', 'Turned round in the chuck', 'Quick, where nothing must run true from one end to the other.'),
  'round-soft-jaws': twoEnds('soft-jaws', 'Turned round, soft jaws', 'Jaws bored to the finished size: fair truth, no marks.'),
  'round-collet': twoEnds('collet', 'Turned round, collet', 'Where a collet of the finished size is at hand.'),
  'round-four-jaw': twoEnds('four-jaw', 'Turned round, dialled in', 'As true as the indicator is patient; slow for more than one.'),
  centres: betweenCentres,
  'centres-long': leftLongBetweenCentres,
  steady: inTheSteady,
  mandrel: onAMandrel,
  faceplate: onTheFaceplate,
};

/** What each holding needs of the lathe. */
export const HELD_BY = {
  bar: ['three-jaw'],
  'bar-collet': ['collet'],
  'round-chuck': ['three-jaw'],
  'round-soft-jaws': ['soft-jaws'],
  'round-collet': ['collet'],
  'round-four-jaw': ['four-jaw'],
  centres: ['centres'],
  'centres-long': ['centres', 'three-jaw'],
  steady: ['three-jaw', 'steady'],
  mandrel: ['mandrel'],
  faceplate: ['faceplate'],
} as const satisfies Readonly<Record<WayId, readonly string[]>>;
