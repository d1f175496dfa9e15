import type { ThreadDial } from '../../book/threads';
import type { IsoDay } from '../../terms/calendar';
import type { LengthUnit } from '../../terms/quantity';

/** A hand dial: how far a full turn moves the slide, and what its lines mean. */
export interface Dial {
  readonly unit: LengthUnit;
  /** What the dial counts in one full turn, in `unit`: slide travel, or diameter on a diameter dial. */
  readonly perTurn: number;
  /** Travel or diameter of one line, in `unit`, as the dial is marked. */
  readonly perLine: number;
}

/** A digital readout, or null where there is none. */
export interface Readout {
  readonly unit: LengthUnit;
  readonly decimals: number;
}

/** A way to hold work on a lathe, and the run-out that this shop's own has. */
export interface LatheHolding {
  readonly kind: 'three-jaw' | 'four-jaw' | 'collet' | 'soft-jaws' | 'centres' | 'faceplate' | 'steady';
  /** Full indicator movement near the jaws, mm; null where nobody measured it. */
  readonly runOutMm: number | null;
  /** The fastest that it may turn, as it is stamped, rpm; null or absent where nobody said. */
  readonly mostRpm?: number | null;
}
/** What clamps the work and flies apart when it turns too fast. */
export const CLAMPS = ['three-jaw', 'four-jaw', 'collet', 'soft-jaws', 'faceplate'] as const satisfies readonly LatheHolding['kind'][];
export const HOLDING_KINDS = ['three-jaw', 'four-jaw', 'collet', 'soft-jaws', 'centres', 'faceplate', 'steady'] as const;

/** What a lathe can do and how it is read. */
export interface LatheCard {
  /** Cross slide: a radius dial shows the slide's travel, a diameter dial twice that. */
  readonly cross: CrossDial;
  /** Carriage or top slide, for depths along the part. */
  readonly carriage: Dial;
  readonly readout: Readout | null;
  /** Spindle speeds it has, rpm. */
  readonly gearsRpm: readonly number[];
  readonly swingMm: number;
  readonly centresMm: number;
  /** Hole through the spindle, mm; null where nobody said. */
  readonly spindleBoreMm?: number | null;
  readonly holdings?: readonly LatheHolding[];
  /** Pitch of the leadscrew, mm; null where nobody said. */
  readonly leadscrewMm?: number | null;
  /** Teeth of the change wheels, each as often as it is there; none where a gearbox does it or nobody said. */
  readonly wheels?: readonly number[];
  /** Shows when the half-nuts may close; null where there is none, or nobody said. */
  readonly threadDial?: ThreadDial | null;
}

/** A lathe as the shop knows it. */
export interface Lathe extends LatheCard {
  readonly id: string;
  readonly name: string;
}

/** A dial that sets a diameter: by the radius, or by the diameter itself. */
export type CrossDial = Dial & { readonly reads: 'radius' | 'diameter' };

export interface MillCard {
  /** Of table and saddle. */
  readonly dial: Dial;
  readonly readout: Readout | null;
  readonly gearsRpm: readonly number[];
  /** Travels of the table, mm. */
  readonly longMm: number;
  readonly crossMm: number;
  /** Of the boring head; null where there is none, absent where nobody was asked. */
  readonly head?: CrossDial | null;
}

export const MACHINE_KINDS = ['lathe', 'mill', 'drill', 'saw', 'press', 'hone', 'grinder', 'welder', 'other'] as const;
export type MachineKind = (typeof MACHINE_KINDS)[number];

/** A machine of the shop. */
export interface Machine {
  readonly id: string;
  readonly name: string;
  readonly kind: MachineKind;
  readonly powerKw: number | null;
  readonly note: string;
  /** Of a lathe; null for every other kind. */
  readonly lathe: LatheCard | null;
  /** Of a mill. */
  readonly mill: MillCard | null;
  /** Largest that a saw cuts or a hone or drill takes, mm; null where it is not said. */
  readonly capacityMm: number | null;
  /** Of a press. */
  readonly tonnes: number | null;
  /** The day on which it works again, where it is out of order; null where it is in order, undefined on cards of before anybody was asked. */
  readonly backOn?: IsoDay | null;
  readonly version: number;
}

/** The lathes among the machines, as everything that turns is worked out from them. */
export const lathesAmong = (machines: readonly Machine[]): Lathe[] =>
  machines.flatMap(({ id, name, lathe }) => (lathe ? [{ id, name, ...lathe }] : []));

/** Whether a machine is out of order on a day. */
export const isOut = ({ backOn }: Pick<Machine, 'backOn'>, today: IsoDay): boolean => !!backOn && backOn > today;
