import type { ComponentInput, PlaceInput } from '@iron-patch/contract';
import type { ComponentRecord, PlaceRecord } from '@iron-patch/core';

/** What brings back how it was before something was done. */
export type UndoStep =
  /** Chooses again what was chosen before; null where nothing was. */
  | { readonly kind: 'choice'; readonly key: string; readonly value: unknown }
  | { readonly kind: 'reading'; readonly id: string }
  | { readonly kind: 'changed'; readonly was: ComponentRecord }
  | { readonly kind: 'component'; readonly was: ComponentRecord }
  | { readonly kind: 'place'; readonly was: PlaceRecord };

/** The way back from something that was done, in words for the button. */
export interface Undo {
  readonly what: string;
  readonly step: UndoStep;
}

/** Ids that records had before they were removed, and those that they came back under. */
export type Renamed = Readonly<Record<string, string>>;

const now = (renamed: Renamed, id: string): string => renamed[id] ?? id;
const nowOrNull = (renamed: Renamed, id: string | null): string | null => id && now(renamed, id);

/** A component as it was, under what it came out of by its present id. */
export function componentAgain({ id: _, jobId: __, version: ___, ...was }: ComponentRecord, renamed: Renamed): ComponentInput {
  return { ...was, parentId: nowOrNull(renamed, was.parentId) };
}

/** A place as it was, on its component and with its mate by their present ids. */
export function placeAgain({ id: _, jobId: __, version: ___, ...was }: PlaceRecord, renamed: Renamed): PlaceInput {
  return {
    ...was,
    componentId: now(renamed, was.componentId),
    matesPlaceId: nowOrNull(renamed, was.matesPlaceId),
    suspicions: [...was.suspicions],
    stationsMm: [...was.stationsMm],
    clocksDeg: [...was.clocksDeg],
    detail: { ...was.detail, supportsMm: [...was.detail.supportsMm] },
  };
}
