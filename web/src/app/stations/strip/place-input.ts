import type { PlaceInput } from '@iron-patch/contract';
import { NO_DETAIL, type PlaceKind, type PlaceRecord } from '@iron-patch/core';

/** What can be changed of a stored place. */
export const inputOf = (f: PlaceRecord): PlaceInput => ({
  componentId: f.componentId,
  name: f.name,
  kind: f.kind,
  suspicions: [...f.suspicions],
  detail: { ...f.detail, supportsMm: [...f.detail.supportsMm] },
  side: f.side,
  startMm: f.startMm,
  lengthMm: f.lengthMm,
  land: f.land,
  matesPlaceId: f.matesPlaceId,
  stationsMm: [...f.stationsMm],
  clocksDeg: [...f.clocksDeg],
  instrumentId: f.instrumentId,
});

/** What a kind of place starts with; the rest is asked for. */
export function detailFor(kind: PlaceKind): PlaceInput['detail'] {
  const none = { ...NO_DETAIL, supportsMm: [] };
  if (kind === 'lobes') return { ...none, vDeg: 90 };
  if (kind === 'straightness' || kind === 'run-out') return { ...none, holding: 'centres' };
  if (kind === 'depth') return { ...none, ringRestsOn: 'near', ringFace: 'near' };
  if (kind === 'thread') return { ...none, pitches: 10 };
  return none;
}

/** Another place of the same kind, right behind the one it is like: its stations keep their distances from its start. */
export function anotherLike(like: PlaceRecord, all: readonly PlaceRecord[]): PlaceInput {
  const startMm = like.startMm + like.lengthMm;
  return {
    ...inputOf(like),
    name: nextName(
      like.name,
      all.filter((f) => f.componentId === like.componentId).map((f) => f.name),
    ),
    startMm,
    stationsMm: like.stationsMm.map((mm) => mm + like.lengthMm),
    // What it runs in is another place too.
    matesPlaceId: null,
  };
}

/** `Seat` is followed by `Seat 2`, that by `Seat 3`, past those that are there. */
function nextName(name: string, taken: readonly string[]): string {
  const [, stem, number] = /^(.*?)(?:\s+(\d+))?$/.exec(name)!;
  let n = Number(number ?? 1) + 1;
  while (taken.includes(`${stem} ${n}`)) n++;
  return `${stem} ${n}`;
}
