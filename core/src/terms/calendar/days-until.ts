import type { IsoDay } from './parse-day';

const DAY_MS = 86_400_000;

/** Days of the calendar from one to a later one; below zero where that is past. */
export const daysUntil = (from: IsoDay, to: IsoDay): number => Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS);
