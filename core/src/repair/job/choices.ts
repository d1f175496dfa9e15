import { keeper } from '../../terms/kept';
import { upgradePart, type Part } from '../../making/part';
import type { ActOrder, AfterHoldId, BoringId, MovedCut, TurnedAgainId, WayId } from '../../making/holdings';
import type { TouchedEdge } from '../../making/setups';
import type { AxialStack } from '../../making/drawing';
import type { KnownLoad } from '../../making/strength';
import type { Spot } from '../../evidence/readings';
import type { ChoiceRecord, JobSheet } from './records';
import type { PairKind } from './runs-here.data';
import type { SeenChoice, SettleChoice, SkipChoice, StripChoice } from './strip-records';

/** Which fit a mate gets, and whether its hole stays as it is. */
export interface FitChoice {
  readonly schoolId: string;
  readonly hole: 'keep' | 'true';
  /** Size after truing, mm; null for the size that just cleans up. */
  readonly truedMm: number | null;
}

/** What a pair runs at, and how thick the metal round the hole is; asked for at the fit desk. */
export interface RunningChoice {
  readonly pinC: number;
  readonly holeC: number;
  /** Outside of the metal round the hole, mm; null where it was not measured. */
  readonly hubOutsideMm: number | null;
}

/** What runs in a pair. */
export interface RunsChoice {
  readonly kind: PairKind;
}

export interface NominalChoice {
  readonly sizeMm: number;
  readonly name: string;
}

export interface RouteChoice {
  readonly cause: string;
  readonly route: string;
  /** Root cause from the list of causes; empty where none of them is it. */
  readonly causeId: string;
  /** What keeps it from coming back; empty where nothing is done against it. */
  readonly cure: string;
}

export interface PlanChoice {
  readonly latheId: string;
  readonly barId: string;
  readonly tool: 'hss' | 'carbide';
  readonly partingMm: number;
  /** Nose radius of the turning tool, mm; the usual one in plans of before anybody was asked. */
  readonly noseMm?: number;
  readonly touched: TouchedEdge;
  readonly grippedMm: number;
  readonly finishes: 2 | 3;
  /** How it is held from beginning to end; plans of before nobody was asked were all from the bar. */
  readonly way?: WayId;
  /** What is cut in another holding than that way has it. */
  readonly moved?: readonly MovedCut[];
  /** Acts in another order than that way has them. */
  readonly order?: readonly ActOrder[];
  /** How it is held on the mill and beside the axis, one at most of each kind. */
  readonly afterHolds?: readonly AfterHoldId[];
  /** Of a batch each piece goes right through all set-ups; else all go through one before the next is set up. */
  readonly eachThrough?: boolean;
  /** How a housing or a block is held while it is bored. */
  readonly boring?: BoringId;
  /** How a shaft that stays is held while some of it is turned again. */
  readonly turnedAgain?: TurnedAgainId;
}

/** The hand-over. */
export interface ReturnChoice {
  readonly lesson: string;
  readonly stillToDo: string;
  /** `not-passed` goes out with what must be done before it is used: the only way past a licensed matter that nobody has signed. */
  readonly outcome: 'passed' | 'not-passed';
  /** What must be done before it is used; empty when it is passed. */
  readonly beforeUse: string;
  /** Why dimensions go out that nobody proved and passed; empty where all are. */
  readonly unproved: string;
  /** Why planned acts were neither done nor called off; empty where none is left. */
  readonly undone: string;
  /** What becomes of the old parts; absent where nobody was asked. */
  readonly oldParts?: string | undefined;
  /** Photographs of before and after on the report; null or absent where there is none. */
  readonly beforePhotoId?: string | null | undefined;
  readonly afterPhotoId?: string | null | undefined;
}

/** A job that is not gone on with: made by mistake, or the customer took it back. Everything of it stays on record. */
export interface CalledOffChoice {
  readonly off: boolean;
  readonly why: string;
}

/** Who decided a licensed matter. */
export interface CautionChoice {
  readonly signedBy: string;
  readonly licence: string;
  /** One of the shop, by their own PIN, or somebody from outside, by their paper; left out, it was written down before this was asked. */
  readonly by?: 'shop' | 'outside';
  /** Day of the paper, `yyyy-mm-dd`; of somebody from outside. */
  readonly on?: string;
  /** Photograph of the paper, on this job; of somebody from outside. */
  readonly photoId?: string;
}

/** What came of something that was tried once the machine was together. */
export interface AssembledChoice {
  /** As people wrote it, where they added it; else as the list has it. */
  readonly what: string;
  readonly state: 'good' | 'failed' | 'off';
  /** mm; null where nothing is measured of it. */
  readonly measuredMm: number | null;
  /** Why it is no good, or not for this job; how it was seen. */
  readonly remark: string;
}

/** What of an item was sawn, all in all. */
export interface SawnChoice {
  readonly blanks: number;
  /** Pieces that they are for. Before several were cut off one blank, a blank was for one. */
  readonly pieces?: number;
}

/** Keys of the choices that a job can hold. */
export const choiceKey = {
  route: 'route',
  part: 'part',
  plan: 'plan',
  returned: 'returned',
  calledOff: 'called-off',
  comeback: 'comeback',
  urgency: 'urgency',
  standingStill: 'standing-still',
  nominal: (placeId: string): string => `nominal:${placeId}`,
  fit: (placeId: string): string => `fit:${placeId}`,
  running: (placeId: string): string => `running:${placeId}`,
  runs: (placeId: string): string => `runs:${placeId}`,
  caution: (hazard: string): string => `caution:${hazard}`,
  strip: (componentId: string): string => `strip:${componentId}`,
  soft: (id: string): string => `soft:${id}`,
  fragment: (id: string): string => `fragment:${id}`,
  earlier: (id: string): string => `earlier:${id}`,
  act: (id: string): string => `act:${id}`,
  finding: (id: string): string => `finding:${id}`,
  seen: (placeId: string): string => `seen:${placeId}`,
  settle: (placeId: string, pair: string): string => `settle:${placeId}:${pair}`,
  skip: (placeId: string): string => `skip:${placeId}`,
  accept: (figureKey: string): string => `accept:${figureKey}`,
  item: (id: string): string => `item:${id}`,
  considered: (id: string): string => `considered:${id}`,
  spent: (id: string): string => `spent:${id}`,
  run: (actKey: string): string => `run:${actKey}`,
  load: (itemId: string): string => `load:${itemId}`,
  /** What sits on an item in one place, and in another: the first has no number of its own. */
  stack: (itemId: string, number = 1): string => `stack:${itemId}${number > 1 ? `:${number}` : ''}`,
  assembled: (id: string): string => `assembled:${id}`,
  sawn: (itemId: string): string => `sawn:${itemId}`,
  trial: (id: string): string => `trial:${id}`,
  press: (itemId: string): string => `press:${itemId}`,
  push: (id: string): string => `push:${id}`,
  weld: (itemId: string): string => `weld:${itemId}`,
  bead: (id: string): string => `bead:${id}`,
  piece: (itemId: string, number: number | string): string => `piece:${itemId}:${number}`,
} as const;

/** The value of a choice; null where none was made, or it was taken back. */
export const valueOf = <T>(sheet: Pick<JobSheet, 'choices'>, key: string): T | null =>
  (sheet.choices.find((c) => c.key === key)?.value as T | undefined) ?? null;

/** Everything that is kept one choice a time under keys with the same head, with its id and who kept it; what was taken off is left out. */
export const loggedChoices = <T extends { readonly removed: boolean }>(
  { choices }: Pick<JobSheet, 'choices'>,
  head: string,
): (T & { readonly id: string; readonly personId: string })[] =>
  choices.flatMap((c) => {
    const value = c.key.startsWith(head) ? (c.value as T | null) : null;
    return value && !value.removed ? [{ ...value, id: c.key.slice(head.length), personId: c.personId }] : [];
  });

/** It stands on the screen only so far: nothing is stored of it before it has a time. */
export const isUnsaved = ({ at }: Pick<ChoiceRecord, 'at'>): boolean => at === '';
/** The version of a choice that stands; 0 where none was made. */
export const versionOfChoice = (sheet: JobSheet, key: string): number => sheet.choices.find((c) => c.key === key)?.version ?? 0;

/** The fit that was chosen for a mate; null while nobody did. */
export const chosenFit = (sheet: JobSheet, placeId: string): FitChoice | null => valueOf(sheet, choiceKey.fit(placeId));
/** What a pair runs at; null while nobody said. */
export const chosenRunning = (sheet: JobSheet, placeId: string): RunningChoice | null => valueOf(sheet, choiceKey.running(placeId));
/** What runs in a pair; null while nobody said. */
export const chosenRuns = (sheet: JobSheet, placeId: string): RunsChoice | null => valueOf(sheet, choiceKey.runs(placeId));
/** The load that an item bears, as somebody said; null while nobody did. */
export const chosenLoad = (sheet: JobSheet, itemId: string): KnownLoad | null => valueOf(sheet, choiceKey.load(itemId));
/** An item has no more places than this where something sits along it. */
export const MOST_STACKS = 6;
/** What sits on the item between two walls, by number; what nobody said yet, or took back, is left out. */
export const chosenStacks = (sheet: JobSheet, itemId: string): { readonly number: number; readonly stack: AxialStack }[] =>
  Array.from({ length: MOST_STACKS }, (_, i) => i + 1).flatMap((number) => {
    const stack = valueOf<AxialStack>(sheet, choiceKey.stack(itemId, number));
    return stack ? [{ number, stack }] : [];
  });
/** What a place was, as somebody decided; null while nobody did. */
export const chosenNominal = (sheet: JobSheet, placeId: string): NominalChoice | null => valueOf(sheet, choiceKey.nominal(placeId));
/** A route written down before causes had ids has none. */
export function chosenRoute(sheet: JobSheet): RouteChoice | null {
  const route = valueOf<RouteChoice>(sheet, choiceKey.route);
  return route && { ...route, causeId: route.causeId ?? '', cure: route.cure ?? '' };
}
const upgraded = keeper<object, Part | null>();
/** A drawing by its key; one that was kept in the shape of an earlier version is brought up to date. Null where nothing is drawn. */
export function chosenPart(sheet: JobSheet, key: string): Part | null {
  const value = valueOf<object>(sheet, key);
  return value && upgraded(value, [], () => upgradePart(value));
}
/** A plan by its key; null while nobody chose. */
export const chosenPlan = (sheet: JobSheet, key: string): PlanChoice | null => valueOf(sheet, key);
/** What of an item is on record as sawn. */
export function sawnOf(sheet: JobSheet, itemId: string): Required<SawnChoice> {
  const sawn = valueOf<SawnChoice>(sheet, choiceKey.sawn(itemId));
  const blanks = sawn?.blanks ?? 0;
  return { blanks, pieces: sawn?.pieces ?? blanks };
}
/** The hand-over; null while nobody wrote it. One of before outcomes were asked for was a pass. */
export function chosenReturn(sheet: JobSheet): ReturnChoice | null {
  const returned = valueOf<ReturnChoice>(sheet, choiceKey.returned);
  return returned && { ...NO_EXCEPTIONS, ...returned };
}
/** Why a job is not gone on with; null for one that is. */
export function calledOff(sheet: JobSheet): string | null {
  const choice = valueOf<CalledOffChoice>(sheet, choiceKey.calledOff);
  return choice?.off ? choice.why : null;
}
/** A hand-over that lets nothing pass. */
export const NO_EXCEPTIONS = { outcome: 'passed', beforeUse: '', unproved: '', undone: '' } as const;
/**
 * Who decided that hazard, with name and licence; null while either is missing. Of somebody from outside it counts with the day and a
 * photograph of the paper that is still on the job, and only then.
 */
export function signedCaution(sheet: Pick<JobSheet, 'choices' | 'photos'>, hazard: string): CautionChoice | null {
  const value = sheet.choices.find((c) => c.key === choiceKey.caution(hazard))?.value as Partial<CautionChoice> | undefined;
  if (!value?.signedBy?.trim() || !value.licence?.trim()) return null;
  const papers = Boolean(value.on) && sheet.photos.some((p) => p.id === value.photoId);
  return value.by === 'outside' && !papers ? null : { ...value, signedBy: value.signedBy, licence: value.licence };
}
/** How a component was found; null while nobody wrote it down. */
export const chosenStrip = (sheet: JobSheet, componentId: string): StripChoice | null => valueOf(sheet, choiceKey.strip(componentId));
/** What was seen or tried of a place; null while nobody did. */
export const chosenSeen = (sheet: JobSheet, placeId: string): SeenChoice | null => valueOf(sheet, choiceKey.seen(placeId));
/** Planned spots of a place that are passed over. */
export const chosenSkips = (sheet: JobSheet, placeId: string): readonly Spot[] =>
  valueOf<SkipChoice>(sheet, choiceKey.skip(placeId))?.spots ?? [];

/** Settled disputes of a place: by pair of instruments, the one believed. */
export function settledPairs(sheet: JobSheet, placeId: string): Record<string, string> {
  const head = choiceKey.settle(placeId, '');
  return Object.fromEntries(
    sheet.choices.flatMap((c) =>
      c.key.startsWith(head) && c.value !== null ? [[c.key.slice(head.length), (c.value as SettleChoice).believed]] : [],
    ),
  );
}
