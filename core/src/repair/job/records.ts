import type { DrillSet } from '../../book/drills';
import type { RatesRecord, TookRow } from '../../making/costing';
import type { WorkHoursRecord } from '../../making/run-order';
import type { CribTool } from '../../making/tooling';
import type { HouseRule } from '../../book/fits';
import type { Access } from '../../terms/access';
import type { DecimalMark, LengthUnit } from '../../terms/quantity';
import type { PlaceKind, Holding, InstrumentKind, Quantity, Side, Suspicion } from '../../evidence/readings';
import type { Lathe, Machine } from '../../making/setups';
import type { Bar } from '../../making/stock';
import type { PhotoRecord } from './photo-records';
import type { QuoteRecord } from './quote-records';

/** Things that can hurt somebody on this job; each raises its caution. */
export const HAZARDS = [
  'lifting',
  'vessel',
  'steering',
  'pressure',
  'structural-weld',
  'spring',
  'raised-load',
  'drives',
  'ignition',
  'electricity',
  'hot',
  'fuel',
  'solvent',
  'welding',
  'press',
  'old-linings',
  'plating',
  'burnt-seals',
  'magnesium',
  'beryllium',
  'lead-bronze',
] as const;
export type Hazard = (typeof HAZARDS)[number];

export const WANTS = ['like-for-like', 'made-better', 'changed'] as const;
export type Want = (typeof WANTS)[number];

/** What is to be different when it comes back. */
export const CHANGES = ['other-hand', 'other-side', 'other-size', 'other-thread'] as const;
export type Change = (typeof CHANGES)[number];

export const COMPONENT_VERDICTS = ['reuse', 'clean-up', 'repair', 'remake', 'buy', 'customer-supplies'] as const;
export type ComponentVerdict = (typeof COMPONENT_VERDICTS)[number];

export interface PersonRecord {
  readonly id: string;
  readonly name: string;
  readonly role: string;
  /** Works here no more: stays on record for what they did, and cannot be at the bench. */
  readonly gone: boolean;
  /** What they may do. */
  readonly access: Access;
  readonly version: number;
}

/** What the shop is called, and what it starts from. */
export interface ShopCardRecord {
  readonly name: string;
  readonly unit: LengthUnit;
  readonly decimalMark: DecimalMark;
  /** Steps of the first walk round the shop that are done with, or were passed over on purpose. */
  readonly walked: readonly string[];
  /** What it stands for, on papers that a customer is given; empty where it says nothing. */
  readonly warranty: string;
  readonly version: number;
}

export interface CustomerRecord {
  readonly id: string;
  readonly name: string;
  readonly contact: string;
}

export interface InstrumentRecord {
  readonly id: string;
  readonly name: string;
  readonly kind: InstrumentKind;
  /** What it shows. */
  readonly unit: LengthUnit;
  /** Standard uncertainty from its own record, mm; null to use the default of its kind. */
  readonly uMm: number | null;
  /** The part of it that scatters from reading to reading, mm; null where nobody found out. */
  readonly repeatMm: number | null;
  /** Smallest step that it shows, mm; null for the usual one of its kind. */
  readonly resolutionMm: number | null;
  /** What it read too big at its last calibration, mm: taken off every reading. */
  readonly biasMm: number;
  readonly rangeLowMm: number;
  readonly rangeHighMm: number;
  /** ISO dates; null where there is no record. */
  readonly calibratedOn: string | null;
  readonly dueOn: string | null;
  readonly version: number;
}

/** A check against a ring, a gauge block or another reference: from then on what it read too big is taken off. */
export interface InstrumentCheckRecord {
  readonly id: string;
  readonly instrumentId: string;
  readonly reference: string;
  readonly referenceMm: number;
  /** As typed. */
  readonly text: string;
  readonly unit: LengthUnit;
  readonly readMm: number;
  readonly remark: string;
  readonly personId: string;
  readonly at: string;
}

export interface JobRecord {
  readonly id: string;
  readonly number: number;
  readonly customerId: string;
  readonly title: string;
  readonly machine: string;
  readonly complaint: string;
  readonly want: Want;
  readonly changes: readonly Change[];
  /** Who does the rest of the work, where this shop makes only a part. */
  readonly restBy: string;
  readonly askBefore: string;
  readonly pieces: number;
  /** ISO date, or null when none was promised. */
  readonly promisedOn: string | null;
  readonly unit: LengthUnit;
  readonly shopTempC: number;
  readonly hazards: readonly Hazard[];
  readonly receivedAt: string;
  readonly version: number;
}

export interface ComponentRecord {
  readonly id: string;
  readonly jobId: string;
  /** The component that it came out of; null for one that stands by itself. */
  readonly parentId: string | null;
  readonly name: string;
  /** The part that is worn and remade, what it runs in, or anything else that came along. */
  readonly role: 'worn' | 'mate' | 'other';
  readonly materialId: string;
  /** Where its zero face lies on the axis of the worn part, mm. */
  readonly axisOffsetMm: number;
  readonly verdict: ComponentVerdict | null;
  readonly asFound: string;
  readonly version: number;
}

/** What only some kinds of place have; null where it is not said or does not apply. Lengths in mm. */
export interface PlaceDetail {
  /** Included angle of the V-block, degrees. */
  readonly vDeg: number | null;
  readonly holding: Holding | null;
  /** Where the V-blocks stand along the component. */
  readonly supportsMm: readonly number[];
  readonly ringMm: number | null;
  readonly grooveWidthMm: number | null;
  /** The groove's wall that the fitted ring lies against, and the ring's face that is read: near to the zero face, or far. */
  readonly ringRestsOn: 'near' | 'far' | null;
  readonly ringFace: 'near' | 'far' | null;
  /** Pitches that a length over crests spans. */
  readonly pitches: number | null;
  readonly wireMm: number | null;
  /** The place of the same component that was turned to the same size in one go, by drawing or by what is seen: its land is this one's. */
  readonly oneSizeWithId: string | null;
  /** True where nobody said how long the place is: its length is taken from the stations that were read. */
  readonly lengthAssumed?: boolean;
}

export const NO_DETAIL: PlaceDetail = {
  vDeg: null,
  holding: null,
  supportsMm: [],
  ringMm: null,
  grooveWidthMm: null,
  ringRestsOn: null,
  ringFace: null,
  pitches: null,
  wireMm: null,
  oneSizeWithId: null,
};

export interface PlaceRecord {
  readonly id: string;
  readonly jobId: string;
  readonly componentId: string;
  readonly name: string;
  readonly kind: PlaceKind;
  readonly suspicions: readonly Suspicion[];
  readonly detail: PlaceDetail;
  readonly side: Side;
  /** From the component's zero face, mm. */
  readonly startMm: number;
  readonly lengthMm: number;
  /** An unworn land tells what the size was. */
  readonly land: 'worn' | 'unworn';
  /** The place of another component that it runs in or on. */
  readonly matesPlaceId: string | null;
  /** Planned stations from the component's zero face, mm, and clock angles, degrees. */
  readonly stationsMm: readonly number[];
  readonly clocksDeg: readonly number[];
  readonly instrumentId: string;
  readonly version: number;
}

export type ReadingPurpose = 'found' | 'cut' | 'proof';

/** One reading. Nothing about it ever changes: a correction supersedes it. */
export interface ReadingRecord {
  readonly id: string;
  readonly jobId: string;
  readonly purpose: ReadingPurpose;
  /** The place measured, for `found`. */
  readonly placeId: string | null;
  /** The new part's segment, for `cut` and `proof`. */
  readonly segmentId: string | null;
  /** The item and which piece of it, for `cut` and `proof`; null and 1 for `found`. */
  readonly itemId: string | null;
  readonly piece: number;
  /** The act after which it was read, by the id of its choice; null for as found, and for the new part. */
  readonly afterActId: string | null;
  /** What was read there: a diameter, a width, the rise of an indicator. */
  readonly quantity: Quantity;
  readonly stationMm: number;
  readonly clockDeg: number;
  /** As typed, kept for ever; empty when it only withdraws another. */
  readonly text: string;
  readonly unit: LengthUnit;
  readonly valueMm: number;
  readonly instrumentId: string;
  /** Temperature of the part; null for that of the shop. */
  readonly partTempC: number | null;
  /** Where the cross-slide dial stood for the cut before this reading. */
  readonly dial: number | null;
  readonly personId: string;
  readonly takenAt: string;
  readonly supersedesId: string | null;
  readonly withdrawn: boolean;
}

/** A decision: the newest of its key counts, the older ones are its history. */
export interface ChoiceRecord {
  readonly jobId: string;
  readonly key: string;
  readonly value: unknown;
  readonly reason: string;
  readonly personId: string;
  readonly at: string;
  readonly version: number;
}

/** A figure as it was when the part was released for cutting. */
export interface FrozenFigure {
  readonly key: string;
  readonly label: string;
  readonly valueMm: number;
  readonly sentence: string;
}

export interface ReleaseRecord {
  readonly id: string;
  readonly jobId: string;
  readonly itemId: string;
  readonly figures: readonly FrozenFigure[];
  readonly personId: string;
  readonly at: string;
}

/** Somebody's judgement of a proved segment. */
export interface ProofRecord {
  readonly id: string;
  readonly jobId: string;
  readonly itemId: string;
  readonly piece: number;
  readonly segmentId: string;
  readonly passed: boolean;
  /** By the readings, else what the gauge showed; null where it only went or did not. */
  readonly measuredMm: number | null;
  /** What it was tried with, where no instrument of the crib reads it: a gauge, the nut, a specimen. Empty where it was read. */
  readonly gaugedWith: string;
  readonly remark: string;
  readonly personId: string;
  readonly at: string;
}

export interface NoteRecord {
  readonly id: string;
  readonly jobId: string;
  readonly station: string;
  readonly text: string;
  readonly personId: string;
  readonly at: string;
}

/** Everything stored of one job. */
export interface JobSheet {
  readonly job: JobRecord;
  readonly customer: CustomerRecord;
  readonly components: readonly ComponentRecord[];
  readonly places: readonly PlaceRecord[];
  readonly readings: readonly ReadingRecord[];
  readonly choices: readonly ChoiceRecord[];
  readonly releases: readonly ReleaseRecord[];
  readonly proofs: readonly ProofRecord[];
  readonly notes: readonly NoteRecord[];
  readonly photos: readonly PhotoRecord[];
  readonly quotes: readonly QuoteRecord[];
}

/** A house rule in force, with the version that a change must name. */
export interface HouseRuleRecord extends HouseRule {
  readonly version: number;
}

/** One version of a house rule: what it was made, why, by whom. Null when it was withdrawn, or nobody when it came with the shop. */
export interface HouseRuleChange {
  readonly ruleId: string;
  readonly version: number;
  readonly rule: HouseRule | null;
  readonly because: string;
  readonly personId: string | null;
  readonly at: string;
}

/** What the shop has, the same for every job. */
export interface Shop {
  readonly card: ShopCardRecord;
  readonly people: readonly PersonRecord[];
  readonly instruments: readonly InstrumentRecord[];
  readonly instrumentChecks: readonly InstrumentCheckRecord[];
  readonly machines: readonly Machine[];
  /** The lathes among them. */
  readonly lathes: readonly Lathe[];
  readonly houseRules: readonly HouseRuleRecord[];
  readonly rack: readonly Bar[];
  readonly drillSets: readonly DrillSet[];
  /** Cutters, reamers, taps and dies that hang in the crib. */
  readonly tools: readonly CribTool[];
  /** Null while nobody said what an hour costs. */
  readonly rates: RatesRecord | null;
  /** When the shop works; null while nobody said. */
  readonly hours: WorkHoursRecord | null;
  /** Acts of jobs that are done, the newest first. */
  readonly took: readonly TookRow[];
}
