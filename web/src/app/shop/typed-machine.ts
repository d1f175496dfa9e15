import type { MachineInput } from '@iron-patch/contract';
import {
  usualMachines,
  type IsoDay,
  type LatheCard,
  type LengthUnit,
  type Machine,
  type MachineKind,
  type MillCard,
  type Readout,
  type UsualMachine,
} from '@iron-patch/core';

/** Readouts to choose from, by a word of their own. */
const READOUTS: Readonly<Record<string, { readonly words: string; readonly readout: Readout | null }>> = {
  none: { words: 'none: by the dials', readout: null },
  mm3: { words: 'to 0.001 mm', readout: { unit: 'mm', decimals: 3 } },
  mm2: { words: 'to 0.01 mm', readout: { unit: 'mm', decimals: 2 } },
  in4: { words: 'to 0.0001 in', readout: { unit: 'in', decimals: 4 } },
  in3: { words: 'to 0.001 in', readout: { unit: 'in', decimals: 3 } },
};
export const READOUT_OPTIONS = Object.entries(READOUTS).map(([word, r]) => [word, r.words] as const);

const wordOf = (readout: Readout | null): string =>
  Object.entries(READOUTS).find(([, r]) => r.readout?.unit === readout?.unit && r.readout?.decimals === readout?.decimals)?.[0] ?? 'none';

interface TypedDial {
  readonly unit: LengthUnit;
  readonly perTurn: number | null;
  readonly perLine: number | null;
}

/** A machine as its form holds it: the fields of a lathe and of a mill are always there, those of the other kinds are not asked. */
export interface TypedMachine {
  readonly name: string;
  readonly kind: MachineKind;
  readonly powerKw: number | null;
  readonly capacityMm: number | null;
  readonly tonnes: number | null;
  readonly lathe: {
    readonly cross: TypedDial & { readonly reads: 'radius' | 'diameter' };
    readonly carriage: TypedDial;
    readonly readout: string;
    readonly gearsRpm: readonly number[];
    readonly swingMm: number | null;
    readonly centresMm: number | null;
    readonly spindleBoreMm: number | null;
    readonly holdings: LatheCard['holdings'];
    readonly leadscrewMm: number | null;
    readonly wheels: readonly number[];
    readonly threadDial: { readonly teeth: number | null; readonly marks: number | null };
  };
  readonly mill: {
    readonly dial: TypedDial;
    readonly readout: string;
    readonly gearsRpm: readonly number[];
    readonly longMm: number | null;
    readonly crossMm: number | null;
    /** One turn and one line are null where there is no boring head. */
    readonly head: TypedDial & { readonly reads: 'radius' | 'diameter' };
  };
  readonly backOn: IsoDay | null;
  readonly note: string;
}

/** Which fields of it are groups. */
export const MACHINE_GROUPS = ['lathe', 'lathe.cross', 'lathe.carriage', 'lathe.threadDial', 'mill', 'mill.dial', 'mill.head'] as const;

const usual = (unit: LengthUnit, kind: MachineKind): UsualMachine => usualMachines(unit).find((m) => m.kind === kind)!;

/** A machine to start from, in the form's own terms; what it has no card of starts as is usual in the shop's unit. */
export function typedMachine(m: UsualMachine & Pick<Machine, 'backOn'>, unit: LengthUnit): TypedMachine {
  const lathe = m.lathe ?? usual(unit, 'lathe').lathe!;
  const mill = m.mill ?? usual(unit, 'mill').mill!;
  const { name, kind, powerKw, capacityMm, tonnes, note } = m;
  return {
    ...{ name, kind, powerKw, capacityMm, tonnes, note, backOn: m.backOn ?? null },
    lathe: {
      ...lathe,
      cross: { ...lathe.cross },
      carriage: { ...lathe.carriage },
      readout: wordOf(lathe.readout),
      spindleBoreMm: lathe.spindleBoreMm ?? null,
      holdings: lathe.holdings ?? [],
      leadscrewMm: lathe.leadscrewMm ?? null,
      wheels: lathe.wheels ?? [],
      threadDial: { teeth: lathe.threadDial?.teeth ?? null, marks: lathe.threadDial?.marks ?? null },
    },
    mill: {
      ...mill,
      dial: { ...mill.dial },
      readout: wordOf(mill.readout),
      head: mill.head ? { ...mill.head } : { unit: mill.dial.unit, perTurn: null, perLine: null, reads: 'diameter' },
    },
  };
}

/** What is sent of a form: only what its kind of machine has. */
export function inputOf(v: TypedMachine, removed = false): MachineInput {
  const { lathe, mill, kind, capacityMm, tonnes, ...rest } = v;
  // One number of it alone is asked for the other.
  const { teeth, marks } = lathe.threadDial;
  const threadDial = teeth === null && marks === null ? null : lathe.threadDial;
  const head = mill.head.perTurn === null && mill.head.perLine === null ? null : mill.head;
  const readoutOf = (word: string): Readout | null => READOUTS[word]?.readout ?? null;
  return {
    ...rest,
    kind,
    capacityMm: TAKES_A_SIZE.includes(kind) ? capacityMm : null,
    tonnes: kind === 'press' ? tonnes : null,
    lathe: kind === 'lathe' ? ({ ...lathe, threadDial, readout: readoutOf(lathe.readout) } as LatheCard) : null,
    mill: kind === 'mill' ? ({ ...mill, head, readout: readoutOf(mill.readout) } as MillCard) : null,
    removed,
  };
}

/** Kinds of which the largest that they take is asked. */
export const TAKES_A_SIZE: readonly MachineKind[] = ['saw', 'drill', 'hone', 'grinder'];
