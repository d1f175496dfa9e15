import type { PlacedSurface } from './surface';

/** What every feature has: its own id, its kind, the surface that it is cut into. Places along it count from the surface's left end. */
export interface FeatureBase {
  readonly id: string;
  readonly kind: string;
  /** Id of a surface, outside or of a bore. */
  readonly on: string;
  /** As people call it; the kind's name to begin with. */
  readonly name: string;
}

export type End = 'left' | 'right';

/** How a field of a feature is asked for and what is allowed. Lengths in mm, angles in degrees. */
/** A field that only means something where another one holds one of some values: it is asked for only then. */
export interface AskedWhen {
  readonly when?: readonly [field: string, ...values: string[]];
}
export interface LengthSpec extends AskedWhen {
  readonly kind: 'length';
  readonly label: string;
  readonly from: number;
  readonly to: number;
}
export interface AngleSpec extends AskedWhen {
  readonly kind: 'angle';
  readonly label: string;
  readonly from: number;
  readonly to: number;
}
/** A whole number. */
export interface CountSpec {
  readonly kind: 'count';
  readonly label: string;
  readonly from: number;
  readonly to: number;
}
export interface NumberSpec {
  readonly kind: 'number';
  readonly label: string;
  readonly unit: string;
  readonly from: number;
  readonly to: number;
}
export interface ChoiceSpec extends AskedWhen {
  readonly kind: 'choice';
  readonly label: string;
  readonly options: readonly (readonly [value: string, words: string])[];
}
export interface TextSpec {
  readonly kind: 'text';
  readonly label: string;
  readonly most: number;
  readonly optional?: true;
}
/** The id of another feature that this one is timed to; empty for none. */
export interface TimedSpec {
  readonly kind: 'timed';
  readonly label: string;
}
/** The id of a feature of the part; empty for what `none` says. */
export interface FeatureSpec {
  readonly kind: 'feature';
  readonly label: string;
  readonly none: string;
}
/** The id of a surface of the part. */
export interface SurfaceSpec {
  readonly kind: 'surface';
  readonly label: string;
}
export type FieldSpec = LengthSpec | AngleSpec | CountSpec | NumberSpec | ChoiceSpec | TextSpec | TimedSpec | FeatureSpec | SurfaceSpec;

type SpecFor<V> = [V] extends [number]
  ? LengthSpec | AngleSpec | CountSpec | NumberSpec
  : string extends V
    ? TextSpec | TimedSpec | FeatureSpec | SurfaceSpec | ChoiceSpec
    : [V] extends [string]
      ? ChoiceSpec
      : never;

type Own<F> = Omit<F, keyof FeatureBase>;
/** One field for each thing that a feature holds: one that is missing, or one too many, does not compile. */
export type FieldsOf<F> = { readonly [K in keyof Own<F>]: SpecFor<F[K]> };

/** How far a hole goes. */
export const THROUGH_OR_DEPTH = [
  ['through', 'through'],
  ['to depth', 'to a depth'],
] as const;

/** Where a feature sits. */
export interface Host {
  readonly surface: PlacedSurface;
  /** Radius of the surface at a place of the part, mm. */
  readonly radiusAt: (x: number) => number;
  /** Radius of the part's bore below an outside surface (0 where it is solid), or of its outside above a bore, at a place of the part. */
  readonly beyondAt: (x: number) => number;
  /** Radius of what stands beside it on its left and on its right; null at an end of the part or the bottom of a bore. */
  readonly leftMm: number | null;
  readonly rightMm: number | null;
  readonly partLengthMm: number;
  /** Every surface of the part. */
  readonly surfaces: readonly PlacedSurface[];
  /** Name of a surface or feature of the part; undefined where it has none of that id. */
  readonly nameOf: (id: string) => string | undefined;
  /** Clock angle of a feature of the part; undefined where it has none. */
  readonly clockOf: (id: string) => number | undefined;
}

/** What sort of number a dimension is: how it is read, and by what. */
export type DimensionWhat =
  | 'outside'
  | 'inside'
  | 'length'
  | 'depth'
  | 'width'
  | 'across'
  | 'position'
  | 'pitch-diameter'
  | 'edge'
  | 'angle'
  | 'pitch'
  | 'relation'
  | 'roughness'
  | 'hardness';

/** Limits that a standard gives, mm. */
export interface BookLimits {
  readonly lower: number;
  readonly upper: number;
  readonly source: string;
}

/** One number of a feature that is released, made and proved. */
export interface DimensionDraft {
  /** Lasts for the feature: `width`. */
  readonly name: string;
  readonly what: DimensionWhat;
  /** Behind the feature's own name: `width`. */
  readonly label: string;
  /** mm, or what `unit` says. */
  readonly value: number;
  /** Where it is no length: `°`, `µm`, `HRC`. */
  readonly unit?: string;
  /** From the standard it is cut by; absent where none says. */
  readonly book?: BookLimits;
  /** Its limits are what the drawing asks for. */
  readonly own?: { readonly lower: number; readonly upper: number };
  /** Something sits or runs there: the shop's general tolerance will not do. */
  readonly seat?: true;
  /** The surface's diameter before something that changes it: its limits follow from the finished ones. */
  readonly before?: true;
  /** It is the surface's own diameter, which takes these limits: a thread's blank. */
  readonly ofSurface?: true;
}

/** What begins at the very edge that it is counted from has no distance to it, to cut or to read. */
export const isAtTheEdge = (d: Pick<DimensionDraft, 'what' | 'value'>): boolean => d.what === 'position' && d.value === 0;

/** A point of a turned contour, mm. */
export interface ContourPoint {
  readonly x: number;
  readonly r: number;
}

/** How something milled or drilled shows from the side, looked at square. */
export type SideMark =
  | {
      readonly kind: 'box';
      readonly fromMm: number;
      readonly toMm: number;
      readonly halfMm: number;
      readonly rounded: boolean;
      /** How far its middle lies from the axis, towards its clock angle; absent where it lies on it. */
      readonly offMm?: number;
    }
  | { readonly kind: 'circle'; readonly atMm: number; readonly radiusMm: number }
  | { readonly kind: 'thread'; readonly fromMm: number; readonly toMm: number; readonly rootMm: number }
  | { readonly kind: 'texture'; readonly fromMm: number; readonly toMm: number };

/** A line of what is cut, seen along the axis from the right end with its clock angle upwards: across, and out from the axis; mm. */
export interface EndLine {
  readonly points: readonly (readonly [acrossMm: number, outMm: number])[];
  /** It lies behind metal. */
  readonly hidden?: true;
}

/** What a feature takes away, and how it shows. A turned one is its new contour from left to right, in place of the surface's. */
export type FeatureCut =
  | { readonly shape: 'turned'; readonly contour: readonly ContourPoint[] }
  | { readonly shape: 'other'; readonly removedMm3: () => number; readonly marks: readonly SideMark[] };

export interface FeatureProblem {
  readonly field: string;
  readonly message: string;
}

/** A notch: where it sits, and how thick the metal is under it. */
export interface StressRaiser {
  readonly atMm: number;
  readonly coreMm: number;
  readonly words: string;
}

/** `centre` and `polish` are done on the lathe, along its axis; `drill` and `sink` across it; `hold` is how it is held, `treat` not cut at all. */
export type OperationKind =
  'turn' | 'bore' | 'plunge' | 'thread' | 'centre' | 'knurl' | 'polish' | 'hold' | 'drill' | 'sink' | 'mill' | 'broach' | 'slot' | 'treat';

/** One act that makes some of a feature's dimensions. */
export interface OperationDraft {
  readonly kind: OperationKind;
  readonly words: string;
  /** Names of the dimensions it makes. */
  readonly makes: readonly string[];
}

/**
 * One kind of feature: all that is asked of it, in one file. The registry demands the whole of it for every kind.
 *
 * @typeParam F the stored shape; its `kind` is a literal
 */
export interface FeatureKind<F extends FeatureBase> {
  readonly kind: F['kind'];
  readonly name: string;
  /** Which surfaces take it. */
  readonly sides: readonly ('outside' | 'inside')[];
  readonly fields: FieldsOf<F>;
  /** What is asked for when somebody adds it, in the trade's order; the rest is begun with what is usual. */
  readonly asks: readonly (FeatureBase extends F ? string : Extract<keyof Own<F>, string>)[];
  /** What it starts as on a surface, mm and degrees. */
  start(host: Host): Own<F>;
  /** What will not do, beside fields out of their range. */
  check(f: F, host: Host): FeatureProblem[];
  dimensions(f: F, host: Host): DimensionDraft[];
  cut(f: F, host: Host): FeatureCut;
  /** How it shows along the axis; absent where that tells nothing. */
  endOn?(f: F, host: Host): EndLine[];
  /** Its drawing wants a view along the axis, whatever its clock angle: cut open it does not show. */
  readonly wantsEndView?: true;
  /** The same on its surface mirrored end for end, which is `lengthMm` long; clock angles stay, hands of threads and knurls too. */
  mirrored(f: F, lengthMm: number): F;
  /** The notch that it leaves in a turning or bending shaft; null where it leaves none. */
  raiser(f: F, host: Host): StressRaiser | null;
  /** Acts that make it, in order: together they make each dimension once. */
  operations(f: F, host: Host): OperationDraft[];
}
