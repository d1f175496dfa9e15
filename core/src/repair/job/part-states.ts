import { inSentence } from '../../terms/words';
import { ACTS } from './acts.data';
import { jobItems } from './items';
import type { PlaceRecord, JobSheet, ReadingRecord } from './records';
import { acts } from './strip-records';

/** A state in which a place was measured: as it was found, or after an act that changed its part. */
export interface PartState {
  /** Id of the act's choice; null for as found. */
  readonly actId: string | null;
  /** Which act of the component it was, from 1; 0 for as found. */
  readonly number: number;
  /** Sizes are others than in the state before. */
  readonly resizes: boolean;
  /** It was bored or turned true: what was decided to be trued is done. */
  readonly trued: boolean;
  readonly words: string;
}

export const AS_FOUND: PartState = { actId: null, number: 0, resizes: false, trued: false, words: 'as found' };

/**
 * The states of a place: as found first, then after each act that is done to it or to the whole of its component, in the order in which
 * they were planned. An act that was taken off again has a state while readings name it: nothing that was read is lost.
 *
 * @param readings live readings of the place
 */
export function partStates(
  sheet: Pick<JobSheet, 'job' | 'components' | 'choices'>,
  place: Pick<PlaceRecord, 'id' | 'componentId'>,
  readings: readonly Pick<ReadingRecord, 'afterActId'>[],
): PartState[] {
  const done = acts(sheet).filter((a) => a.value.componentId === place.componentId && a.value.state === 'done');
  const states = done.flatMap((a, i): PartState[] => {
    const { kind, where, placeId } = a.value;
    if (placeId && placeId !== place.id) return [];
    const at = where.trim() ? ` (${where.trim()})` : '';
    return [
      {
        actId: a.id,
        number: i + 1,
        resizes: ACTS[kind].resizes,
        trued: kind === 'bore',
        words: `after act ${i + 1}, ${ACTS[kind].done}${at}`,
      },
    ];
  });
  const known = [AS_FOUND, ...states];
  const named = new Set(readings.map((r) => r.afterActId));
  for (const s of known) named.delete(s.actId);
  for (const item of named.size ? jobItems(sheet) : [])
    if (named.delete(item.id))
      known.push({ actId: item.id, number: done.length + 1, resizes: true, trued: true, words: `after item ${inSentence(item.name)}` });
  const words = 'after an act that is not on record as done';
  return [
    ...known,
    ...[...named].map((actId, i): PartState => ({ actId, number: done.length + i + 1, resizes: true, trued: false, words })),
  ];
}
