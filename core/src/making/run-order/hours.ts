import { MACHINE_KINDS, type MachineKind } from '../setups';
import type { Span } from './worktime';
import type { IsoDay } from '../../terms/calendar';

/** From when to when on a day of the week, minutes after midnight. */
export interface WeekSpan {
  /** 1 for Monday to 7 for Sunday. */
  readonly weekday: number;
  readonly from: number;
  readonly to: number;
}

/** Days on which nobody, or somebody, works not. */
export interface DaysOff {
  readonly from: IsoDay;
  readonly to: IsoDay;
  readonly what: string;
}

/** Hours that somebody works beside the usual ones. */
export interface ExtraHours {
  readonly day: IsoDay;
  readonly from: number;
  readonly to: number;
}

/** When somebody works, and at what. */
export interface PersonHours {
  /** Null for the shop's own week. */
  readonly week: readonly WeekSpan[] | null;
  /** Machines that they run; null for all. What is done at the bench everybody does. */
  readonly machines: readonly MachineKind[] | null;
  readonly off: readonly DaysOff[];
  readonly extra: readonly ExtraHours[];
  /** They do none of the work at the part: the office. */
  readonly notAtIt: boolean;
}

/** When the shop works. */
export interface WorkHours {
  readonly week: readonly WeekSpan[];
  readonly closed: readonly DaysOff[];
  /** How much of the time is work at the part, %: the rest is telephone, sweeping, the next customer. */
  readonly handsOnPercent: number;
  readonly people: Readonly<Record<string, PersonHours>>;
}

/** The same with the version that a change must name. */
export interface WorkHoursRecord extends WorkHours {
  readonly version: number;
}

const H = 60;
const USUAL_DAYS = [1, 2, 3, 4, 5];

/** Monday to Friday, eight to twelve and half past twelve to half past four, three quarters of it at the part: until somebody says otherwise. */
export const USUAL_HOURS: WorkHours = {
  week: USUAL_DAYS.flatMap((weekday) => [
    { weekday, from: 8 * H, to: 12 * H },
    { weekday, from: 12.5 * H, to: 16.5 * H },
  ]),
  closed: [],
  handsOnPercent: 75,
  people: {},
};

/** Somebody of whom nothing was said. */
export const USUAL_PERSON: PersonHours = { week: null, machines: null, off: [], extra: [], notAtIt: false };

/** Somebody's own hours; the shop's where nothing was said of them. */
export const hoursOf = ({ people }: WorkHours, personId: string): PersonHours => people[personId] ?? USUAL_PERSON;

/** Kinds of machines that somebody runs. */
export const runs = (hours: PersonHours): readonly MachineKind[] => (hours.notAtIt ? [] : (hours.machines ?? MACHINE_KINDS));

const DAY_MS = 86_400_000;
/** Days that are laid out: longer than any order of a small shop. */
const HORIZON_DAYS = 250;

/** The day so many days later, or earlier where `days` is below 0. */
export const dayAfter = (day: IsoDay, days: number): IsoDay =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);
/** 1 for Monday to 7 for Sunday (ISO 8601). */
export const weekdayOf = (day: IsoDay): number => new Date(`${day}T00:00:00Z`).getUTCDay() || 7;

const covers =
  (day: IsoDay) =>
  ({ from, to }: DaysOff): boolean =>
    from <= day && day <= to;

/** Why nobody, or somebody, works on a day; null where they do. */
export function offOn(day: IsoDay, hours: Pick<WorkHours, 'closed'>, person: Pick<PersonHours, 'off'> | null): DaysOff | null {
  return hours.closed.find(covers(day)) ?? person?.off.find(covers(day)) ?? null;
}

/** A minute of a day as a moment, min since 1970. */
export type MomentOf = (day: IsoDay, minuteOfDay: number) => number;

/**
 * When somebody works from a day on.
 *
 * @param momentOf by the shop's clock: days on which it is put on or back are as long as they are
 */
export function spansOf(hours: WorkHours, person: PersonHours, from: IsoDay, momentOf: MomentOf, days = HORIZON_DAYS): Span[] {
  const spans: Span[] = [];
  if (person.notAtIt) return spans;
  const week = person.week ?? hours.week;
  for (let k = 0; k < days; k++) {
    const day = dayAfter(from, k);
    const usual = offOn(day, hours, person) ? [] : week.filter((s) => s.weekday === weekdayOf(day));
    const extra = person.extra.filter((x) => x.day === day);
    for (const s of [...usual, ...extra]) spans.push({ from: momentOf(day, s.from), to: momentOf(day, s.to) });
  }
  return spans;
}
