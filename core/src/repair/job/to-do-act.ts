import { COST_ACTS, type CostAct, type ThreePoint } from '../../making/costing';
import type { MachineKind } from '../../making/setups';
import type { IsoDay } from '../../terms/calendar';

/** What somebody said of an act in the run order. */
export interface RunChoice {
  readonly state: 'open' | 'started' | 'done';
  readonly startedAt: string | null;
  readonly doneAt: string | null;
  /** Who is at it, or is to do it; null where it is open to all who can. */
  readonly personId: string | null;
  /** The machine that it is on, or is to be on; empty where any of its kind will do. */
  readonly machineId: string;
  /** When it is to begin; null where it goes where it fits best. */
  readonly pinnedAt: string | null;
}

/** One act that a job still takes, or something that it waits for. */
export interface ToDoAct {
  /** Tells it apart within its job, the same as long as its way, or its items, are the same. */
  readonly key: string;
  /** Null for what is only waited for. */
  readonly act: CostAct | null;
  readonly name: string;
  readonly at: MachineKind | 'bench' | 'away';
  /** The one machine that it was planned on; empty where any of its kind will do. */
  readonly machineId: string;
  /** Hands, min, without what is set up. */
  readonly hands: ThreePoint;
  readonly setupMin: number;
  /** What the machine is set up for; empty where nothing is kept for the next. */
  readonly setup: string;
  /** Runs by itself after the hands, min of the clock. */
  readonly aloneMin: number;
  /** Keys of what has to be done before. */
  readonly after: readonly string[];
  /** The day on which what is waited for is to be here; null for what has none. */
  readonly dueOn: IsoDay | null;
  /** It is waited for, and nobody knows how long. */
  readonly open: boolean;
  readonly done: boolean;
  readonly said: RunChoice | null;
  /** Version of what was said; 0 while nobody said anything. */
  readonly version: number;
}

const NO_HANDS: ThreePoint = { low: 0, likely: 0, high: 0 };

/** An act before it is known whether it is done. */
export type Draft = Omit<ToDoAct, 'done' | 'said' | 'version'> & { readonly fact?: boolean };

/** What waits, and nobody's hands are at. */
export const waiting = (key: string, name: string, more: Partial<Draft> = {}): Draft => ({
  key,
  act: null,
  name,
  at: 'away',
  machineId: '',
  hands: NO_HANDS,
  setupMin: 0,
  setup: '',
  aloneMin: 0,
  after: [],
  dueOn: null,
  open: false,
  ...more,
});

/** What somebody does. */
export const acted = (key: string, act: CostAct, name: string, hands: ThreePoint, more: Partial<Draft> = {}): Draft => ({
  ...waiting(key, name),
  act,
  at: COST_ACTS[act].at,
  hands,
  ...more,
});
