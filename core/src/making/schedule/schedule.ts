import { ruled, workedOut, type Figure, type Measure } from '../../terms/working';
import type { DrillSet } from '../../book/drills';
import type { FeatureBase, Host } from '../part';
import type { Lathe } from '../setups';
import type { LengthUnit } from '../../terms/quantity';
import type { ToolKind } from '../tooling';

/** Which dial a number is set on: cross slide, carriage, the compound (top slide); null for what is measured, not dialled. */
export type OnDial = 'cross' | 'carriage' | 'compound' | null;

/** One number to set. */
export interface Setting {
  readonly figure: Figure;
  readonly on: OnDial;
}

/** How something is brought to its depth: settings, cuts one after another, and what to mind. */
export interface Schedule {
  /** Of the feature or surface. */
  readonly id: string;
  readonly title: string;
  readonly settings: readonly Setting[];
  /** Where the tool stands for each cut, counted from where it touches, mm; with the dial that counts it. */
  readonly cuts: { readonly on: OnDial; readonly toMm: readonly number[] } | null;
  readonly words: readonly string[];
  /** What it is cut with, where that must be of one size. */
  readonly tools: readonly ToolNeed[];
}

/** A tool that something is cut with: of one thread, of one size, or no wider than one; mm. */
export type ToolNeed =
  | { readonly kind: ToolKind; readonly thread: string }
  | { readonly kind: ToolKind; readonly sizeMm: number }
  | { readonly kind: ToolKind; readonly atMostMm: number };

/** What the machine and the shop are, as far as a schedule asks. */
export interface Bench {
  readonly lathe: Pick<Lathe, 'name' | 'cross' | 'carriage' | 'leadscrewMm' | 'wheels' | 'threadDial' | 'gearsRpm'>;
  /** The mill, where the shop has one on record. */
  readonly mill: { readonly name: string; readonly gearsRpm: readonly number[] } | null;
  /** Drills that hang in the crib. */
  readonly drillSets: readonly DrillSet[];
  /** The fastest that work is turned at in the holding where something is cut, by its id, 1/min; null where nothing but its size says so. */
  readonly mostRpm: (id: string) => number | null;
  /** Hole that the stock has already, of a tube; null where it is solid, mm. */
  readonly holeMm: number | null;
  /** What a diameter is cut to, mm: another one where a treatment gives it its size afterwards. */
  readonly cutMm: (s: { readonly id: string; readonly diameterMm: number }) => number;
  /** Surface speed at which high-speed steel turns the part’s material, m/min; 0 where the book has none. */
  readonly hssMMin: number;
  /** Width of the grooving or parting tool, mm. */
  readonly partingMm: number;
  /** Diameter of the edge finder, mm. */
  readonly finderMm: number;
  /** In which lengths are told that stand in words. */
  readonly unit: LengthUnit;
}

/** The schedule of one kind of feature; null where nothing has to be set for it. */
export type Scheduler<F extends FeatureBase> = (f: F, host: Host, bench: Bench) => Omit<Schedule, 'id' | 'title'> | null;

/** A number that follows from the drawing. */
export const setting = (
  f: Pick<FeatureBase, 'id'>,
  name: string,
  label: string,
  value: number,
  how: string,
  on: OnDial = null,
  measure: Measure = 'length',
): Setting => ({ figure: workedOut(`schedule.${f.id}.${name}`, label, value, how, [], { measure }), on });

/** A number that is somebody's usual one. */
export const usual = (f: Pick<FeatureBase, 'id'>, name: string, label: string, value: number, rule: string): Setting => ({
  figure: ruled(`schedule.${f.id}.${name}`, label, value, rule),
  on: null,
});

/** Equal steps down to a depth, none deeper than `mostMm`; nothing where there is no depth. */
export function equalCuts(depthMm: number, mostMm: number): number[] {
  const n = Math.max(0, Math.ceil(depthMm / mostMm - 1e-9));
  return Array.from({ length: n }, (_, i) => (depthMm * (i + 1)) / n);
}
