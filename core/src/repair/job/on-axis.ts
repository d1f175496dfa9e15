import type { PlaceFinding } from './place-finding';

/** Where a place begins on the axis of the job, mm: its component's zero face lies somewhere on it. */
export const axisStartMm = (f: Pick<PlaceFinding, 'component' | 'place'>): number => f.component.axisOffsetMm + f.place.startMm;
