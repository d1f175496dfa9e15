import type { RouteId } from '../../evidence/diagnosis';
import type { CostAct } from './cost-acts.data';

/** Stock that a route cuts up: the whole part, or a ring, bush or end on the place that is worn. */
export type TakesStock = 'part' | 'place' | 'none';

/** An item that a route lays out: `{part}` stands for the component. */
export interface TakesItem {
  readonly kind: 'make' | 'rework' | 'buy' | 'join';
  readonly name: string;
  readonly steps: readonly string[];
}

/** What a route takes: its acts in their order, what is bought, what is done elsewhere with its days, the items that it lays out. */
export interface RouteTakes {
  readonly acts: readonly CostAct[];
  readonly stock: TakesStock;
  /** What is cut up where it is another metal than the part's own: a bush of bronze in a lug of steel. */
  readonly materialId?: string;
  readonly bought: readonly string[];
  readonly outside: readonly { readonly what: string; readonly days: number }[];
  readonly items: readonly TakesItem[];
}

const NOTHING = { stock: 'none', bought: [], outside: [], items: [] } as const;
const takes = (acts: readonly CostAct[], more: Partial<RouteTakes> = {}): RouteTakes => ({ ...NOTHING, acts, ...more });

const make = (name = '{part}'): TakesItem => ({ kind: 'make', name, steps: [] });
const rework = (name: string, ...steps: string[]): TakesItem => ({ kind: 'rework', name, steps });
const join = (name: string, ...steps: string[]): TakesItem => ({ kind: 'join', name, steps });
const buy = (name: string): TakesItem => ({ kind: 'buy', name, steps: [] });

const NEW_PART = takes(['measure', 'saw', 'turn', 'assemble'], { stock: 'part', items: [make()] });
const NEW_BEARING = takes(['open', 'order', 'press', 'assemble'], { bought: ['bearing'], items: [buy('Bearing')] });
const bushIn = (materialId: string): RouteTakes =>
  takes(['measure', 'bore-mill', 'saw', 'turn', 'press', 'assemble'], {
    stock: 'place',
    materialId,
    items: [make('Bush'), rework('{part}, bored for the bush'), join('Bush pressed in', 'press the bush in')],
  });

/** What each route takes before anybody says otherwise. */
export const ROUTE_TAKES: Readonly<Record<RouteId, RouteTakes>> = {
  'new-shaft': NEW_PART,
  'new-shaft-better': NEW_PART,
  sleeve: takes(['measure', 'saw', 'turn', 'bore', 'press', 'turn', 'assemble'], {
    stock: 'place',
    materialId: 'steel-c45',
    items: [make('Sleeve'), rework('{part}, turned down for the sleeve'), join('Sleeve on {part}', 'shrink the sleeve on', 'turn to size')],
  }),
  'build-up': takes(['measure', 'turn', 'weld', 'turn', 'crack', 'assemble'], {
    items: [rework('{part}, built up', 'build up with weld', 'turn back to size', 'look for cracks')],
  }),
  retaining: takes(['open', 'polish', 'assemble'], { bought: ['retaining compound'] }),
  'bore-sleeve': bushIn('steel-c45'),
  bush: bushIn('steel-c45'),
  'next-bearing': takes(['measure', 'bore-mill', 'order', 'press', 'assemble'], {
    bought: ['bearing'],
    items: [buy('Bearing, next size'), rework('{part}, bored to the next size')],
  }),
  'larger-pin': takes(['measure', 'saw', 'turn', 'assemble'], { stock: 'part', items: [make()] }),
  'true-pin': takes(['measure', 'bore-mill', 'saw', 'turn', 'assemble'], {
    stock: 'part',
    items: [rework('Hole, bored true'), make()],
  }),
  'bush-hole': bushIn('bronze-tin'),
  'cure-lock': takes(['open', 'measure', 'assemble']),
  'weld-ring': takes(['open', 'measure', 'saw', 'turn', 'bore', 'groove', 'saw', 'weld', 'hone', 'assemble'], {
    stock: 'place',
    materialId: 'steel-s355',
    bought: ['set of seals'],
    items: [make('Ring'), join('Ring welded on {part}', 'weld the ring on', 'hone')],
  }),
  'new-barrel': takes(['open', 'measure', 'saw', 'turn', 'bore', 'weld', 'hone', 'assemble'], {
    stock: 'part',
    bought: ['set of seals'],
    items: [make()],
  }),
  recut: takes(['measure', 'groove', 'assemble'], { items: [rework('{part}, groove recut')] }),
  'barrel-end': takes(['open', 'measure', 'saw', 'turn', 'bore', 'groove', 'weld', 'hone', 'assemble'], {
    stock: 'place',
    materialId: 'steel-s355',
    bought: ['set of seals'],
    items: [make('End'), join('End on {part}', 'weld the end on', 'hone')],
  }),
  'stone-reseal': takes(['open', 'polish', 'order', 'assemble'], { bought: ['set of seals'], items: [buy('Set of seals')] }),
  'new-rod': takes(['measure', 'order', 'saw', 'turn', 'thread', 'assemble'], {
    stock: 'part',
    bought: ['set of seals'],
    items: [make(), buy('Set of seals')],
  }),
  rechrome: takes(['open', 'send', 'assemble'], {
    bought: ['set of seals'],
    outside: [{ what: 'strip, chrome and grind', days: 15 }],
    items: [rework('{part}, rechromed', 'have plated', 'have ground'), buy('Set of seals')],
  }),
  'bronze-bush': takes(['measure', 'saw', 'turn', 'bore', 'press', 'bore', 'assemble'], {
    stock: 'place',
    materialId: 'bronze-tin',
    items: [make('Bush'), join('Bush pressed in', 'press the bush in')],
  }),
  'new-key': takes(['measure', 'file', 'assemble'], { bought: ['key steel'], items: [buy('Key steel')] }),
  'stepped-key': takes(['measure', 'keyseat', 'mill', 'assemble'], {
    bought: ['key steel'],
    items: [rework('{part}, keyseat widened'), make('Stepped key')],
  }),
  'second-keyseat': takes(['measure', 'keyseat', 'assemble'], {
    bought: ['key steel'],
    items: [rework('{part}, second keyseat'), buy('Key steel')],
  }),
  'hub-sleeve': takes(['measure', 'bore', 'saw', 'turn', 'press', 'bore', 'keyseat', 'assemble'], {
    stock: 'place',
    materialId: 'steel-c45',
    bought: ['key steel'],
    items: [
      make('Sleeve'),
      rework('{part}, bored for the sleeve'),
      join('Sleeve in {part}', 'press the sleeve in', 'bore to size', 'cut the keyway'),
      buy('Key steel'),
    ],
  }),
  'hub-shaft': takes(['measure', 'bore', 'keyseat', 'saw', 'turn', 'keyseat', 'assemble'], {
    bought: ['bar for the shaft', 'key steel'],
    items: [rework('{part}, bored true'), make('Shaft with a larger seat'), buy('Key steel')],
  }),
  'next-taper': takes(['measure', 'drill-ream', 'order', 'assemble'], {
    bought: ['taper pin'],
    items: [buy('Taper pin'), join('Pinned', 'ream both together and pin')],
  }),
  'straight-pin': takes(['measure', 'drill-ream', 'saw', 'turn', 'drill-ream', 'assemble'], {
    stock: 'place',
    materialId: 'steel-c45',
    items: [make('Pin with head'), join('Pinned', 'drill and ream both together and pin')],
  }),
  'wire-insert': takes(['measure', 'tap', 'order', 'assemble'], {
    bought: ['wire insert and its tap'],
    items: [buy('Wire insert'), rework('{part}, hole tapped for the insert')],
  }),
  'solid-bush': takes(['measure', 'drill-ream', 'tap', 'saw', 'turn', 'thread', 'assemble'], {
    stock: 'place',
    materialId: 'steel-c45',
    items: [make('Threaded bush'), rework('{part}, hole tapped for the bush')],
  }),
  'larger-stud': takes(['measure', 'drill-ream', 'tap', 'saw', 'turn', 'thread', 'assemble'], {
    stock: 'place',
    materialId: 'steel-c45',
    items: [make('Stud'), rework('{part}, hole tapped larger')],
  }),
  'weld-retap': takes(['open', 'weld', 'mill', 'tap', 'crack', 'assemble'], {
    items: [rework('{part}, welded up and tapped', 'weld up', 'drill and tap', 'look for cracks')],
  }),
  'file-thread': takes(['file', 'assemble'], { items: [rework('{part}, thread filed')] }),
  chase: takes(['thread', 'assemble'], { items: [rework('{part}, thread chased')] }),
  straighten: takes(['measure', 'straighten', 'crack', 'assemble'], {
    items: [rework('{part}, straightened', 'straighten in the press', 'look for cracks')],
  }),
  remake: NEW_PART,
  braze: takes(['send', 'assemble'], {
    outside: [{ what: 'braze or stitch', days: 7 }],
    items: [rework('{part}, brazed', 'have it brazed')],
  }),
  'steel-part': takes(['measure', 'saw', 'mill', 'mill', 'drill-ream', 'tap', 'assemble'], {
    stock: 'part',
    materialId: 'steel-c45',
    items: [make()],
  }),
  standardise: takes(['measure', 'tap', 'order', 'assemble'], { bought: ['bolts'], items: [buy('Bolts')] }),
  'right-bolts': takes(['order', 'assemble'], { bought: ['bolts and washers'], items: [buy('Bolts and washers')] }),
  shims: takes(['open', 'shim', 'assemble'], { bought: ['shims'], items: [buy('Shims')] }),
  'new-bearing': NEW_BEARING,
  'bearing-shaken': NEW_BEARING,
  'bearing-current': NEW_BEARING,
  'new-part': NEW_PART,
  'strip-rechrome': takes(['open', 'send', 'assemble'], {
    outside: [{ what: 'strip, chrome and grind', days: 15 }],
    items: [rework('{part}, rechromed', 'have plated', 'have ground')],
  }),
  'move-load': takes(['open', 'measure', 'mill', 'assemble']),
  'dress-clamp': takes(['open', 'mill', 'order', 'assemble'], {
    bought: ['bolts'],
    items: [rework('{part}, faces dressed'), buy('Bolts')],
  }),
  rings: takes(['open', 'measure', 'order', 'assemble'], {
    bought: ['piston rings', 'gaskets'],
    items: [buy('Piston rings'), buy('Gaskets')],
  }),
  hone: takes(['open', 'measure', 'hone', 'order', 'assemble'], {
    bought: ['piston rings', 'gaskets'],
    items: [rework('{part}, honed', 'hone'), buy('Piston rings'), buy('Gaskets')],
  }),
  'next-oversize': takes(['open', 'measure', 'bore-mill', 'hone', 'order', 'assemble'], {
    bought: ['piston and rings, oversize', 'gaskets'],
    items: [rework('{part}, bored oversize', 'hone'), buy('Piston and rings'), buy('Gaskets')],
  }),
  buy: takes(['order', 'assemble'], { bought: ['the part'], items: [buy('{part}')] }),
};
