import type { Reads } from './instruments.data';

/** One thing that is read of a place, and what reads it. */
export interface QuantityRow {
  readonly name: string;
  readonly reads: Reads;
  /** Signed numbers: an indicator goes both ways. */
  readonly signed?: boolean;
}

/** Everything that can be read of a place. */
export const QUANTITIES = {
  size: { name: 'diameter', reads: 'outside' },
  length: { name: 'length', reads: 'length' },
  depth: { name: 'depth, direct', reads: 'depth' },
  'over-ring': { name: 'depth over the fitted ring', reads: 'depth' },
  width: { name: 'width', reads: 'length' },
  height: { name: 'height', reads: 'length' },
  'groove-size': { name: 'diameter in the groove', reads: 'outside' },
  'key-depth': { name: 'depth from the crown', reads: 'depth' },
  major: { name: 'major diameter', reads: 'outside' },
  crests: { name: 'length over the crests', reads: 'pitch' },
  wires: { name: 'size over three wires', reads: 'outside' },
  across: { name: 'size across the flats', reads: 'length' },
  'hole-size': { name: 'hole diameter', reads: 'inside' },
  'hole-at': { name: 'middle of the hole from zero', reads: 'length' },
  indicator: { name: 'indicator', reads: 'indicator', signed: true },
  wall: { name: 'wall', reads: 'length' },
} as const satisfies Record<string, QuantityRow>;
export type Quantity = keyof typeof QUANTITIES;

/** A kind of place to measure. */
export interface PlaceKindRow {
  readonly name: string;
  /** In the order in which they are read. */
  readonly quantities: readonly Quantity[];
  /** Measured along the axis and round the clock, or at one spot. */
  readonly grid: boolean;
}

export const PLACE_KINDS = {
  diameter: { name: 'Diameter', quantities: ['size'], grid: true },
  taper: { name: 'Taper', quantities: ['size'], grid: true },
  length: { name: 'Length or shoulder', quantities: ['length'], grid: false },
  depth: { name: 'Depth', quantities: ['depth', 'over-ring'], grid: false },
  groove: { name: 'Ring groove', quantities: ['width', 'groove-size'], grid: false },
  keyseat: { name: 'Keyseat', quantities: ['width', 'key-depth'], grid: false },
  key: { name: 'Key', quantities: ['width', 'height', 'length'], grid: false },
  thread: { name: 'Thread', quantities: ['major', 'crests', 'wires'], grid: false },
  flats: { name: 'Flats', quantities: ['across'], grid: false },
  'cross-hole': { name: 'Cross hole', quantities: ['hole-size', 'hole-at'], grid: false },
  'run-out': { name: 'Run-out', quantities: ['indicator'], grid: true },
  straightness: { name: 'Straightness', quantities: ['indicator'], grid: true },
  lobes: { name: 'Roundness in a V-block', quantities: ['indicator'], grid: true },
  wall: { name: 'Wall thickness', quantities: ['wall'], grid: true },
} as const satisfies Record<string, PlaceKindRow>;
export type PlaceKind = keyof typeof PLACE_KINDS;

export const PLACE_KIND_IDS = Object.keys(PLACE_KINDS) as PlaceKind[];
export const QUANTITY_IDS = Object.keys(QUANTITIES) as Quantity[];

/** A kind whose sizes round the clock and along the axis are analysed as a shape. */
export const isDiameter = (kind: PlaceKind): boolean => kind === 'diameter' || kind === 'taper';
/** Whether a kind of place is read by an indicator, not as a size. */
export const isIndicator = (kind: PlaceKind): boolean => PLACE_KINDS[kind].quantities[0] === 'indicator';

/** Kinds whose width lies between two walls: no outside mic goes in there. A key's lies over it. */
const WALLED: readonly PlaceKind[] = ['groove', 'keyseat'];

/** What an instrument must read for a quantity of that kind of place on that side of the metal. */
export const readsFor = (quantity: Quantity, side: 'outside' | 'inside', kind: PlaceKind): Reads => {
  const { reads } = QUANTITIES[quantity];
  if (quantity === 'width' && WALLED.includes(kind)) return 'gap';
  return reads === 'outside' && side === 'inside' ? 'inside' : reads;
};
