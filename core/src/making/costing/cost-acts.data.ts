import type { MachineKind } from '../setups';

/** What an act takes beside its minutes, by the size of the work. */
export type Grows = 'not' | 'passes' | 'sawn' | 'seam';

/** An act that is paid for: where it is done, its minutes, how they grow with the work, how far they spread. */
export interface CostActRow {
  readonly name: string;
  readonly at: MachineKind | 'bench';
  /** Whatever its size: fetching, setting up, measuring, min. */
  readonly baseMin: number;
  readonly grows: Grows;
  /** Passes over the surface, where it grows with them. */
  readonly passes: number;
  /** One in ten takes less than this share of it, one in ten more than that. */
  readonly low: number;
  readonly high: number;
}

const act = (name: string, at: CostActRow['at'], baseMin: number, more: Partial<CostActRow> = {}): CostActRow => ({
  name,
  at,
  baseMin,
  grows: 'not',
  passes: 0,
  low: 0.7,
  high: 1.6,
  ...more,
});

/** The minutes are estimates of a shop, and are only the beginning: what this shop's own jobs took weighs more as they come. */
export const COST_ACTS = {
  open: act('open and clean', 'bench', 45, { high: 2 }),
  measure: act('measure and draw', 'bench', 45),
  saw: act('saw', 'saw', 8, { grows: 'sawn' }),
  turn: act('turn', 'lathe', 45, { grows: 'passes', passes: 6 }),
  bore: act('bore', 'lathe', 35, { grows: 'passes', passes: 8 }),
  thread: act('thread', 'lathe', 30),
  groove: act('groove', 'lathe', 12),
  mill: act('mill flats or a block', 'mill', 45),
  keyseat: act('keyseat', 'mill', 35),
  'bore-mill': act('bore in the mill, dialled in', 'mill', 75, { high: 1.8 }),
  'drill-ream': act('drill and ream', 'drill', 25),
  tap: act('drill and tap', 'drill', 20),
  press: act('press in or out', 'press', 20, { high: 2 }),
  straighten: act('straighten', 'press', 60, { low: 0.6, high: 2.2 }),
  crack: act('look for cracks', 'bench', 30),
  weld: act('weld', 'welder', 45, { grows: 'seam', high: 1.8 }),
  hone: act('hone', 'hone', 40, { grows: 'passes', passes: 4 }),
  polish: act('stone and polish', 'bench', 25),
  file: act('file by hand', 'bench', 30, { low: 0.6, high: 2 }),
  shim: act('choose shims', 'bench', 60, { high: 2 }),
  assemble: act('assemble and try', 'bench', 50, { high: 2 }),
  send: act('pack, send and check in', 'bench', 30),
  order: act('order and check in', 'bench', 15),
  other: act('something else', 'bench', 30, { low: 0.5, high: 2 }),
} as const satisfies Record<string, CostActRow>;
export type CostAct = keyof typeof COST_ACTS;
export const COST_ACT_IDS = Object.keys(COST_ACTS) as CostAct[];
