import { offOn, weekdayOf, dayAfter, type MomentOf, type WorkHours } from '@iron-patch/core/making/run-order';

/** A day as it is drawn: from when to when, and where on the axis. */
export interface DrawnDay {
  readonly day: string;
  /** Moments, min since 1970. */
  readonly from: number;
  readonly to: number;
  /** Share of the whole width at which it begins, and that it takes. */
  readonly at: number;
  readonly width: number;
  /** Full hours with the share at which each stands. */
  readonly hours: readonly { readonly hour: number; readonly at: number }[];
  /** Where nobody works within it, by the shop's own week. */
  readonly rests: readonly { readonly at: number; readonly width: number }[];
}

/** Hours of the coming days side by side; the nights and the days on which nobody works are left out. */
export interface DayAxis {
  readonly days: readonly DrawnDay[];
  /** The share of the width at which a moment stands; of one that is left out, the end of the day before it. */
  shareOf(minute: number): number;
  /** The moment at a share of the width. */
  momentAt(share: number): number;
}

const H = 60;
const MOST_LOOKED_THROUGH = 60;

/** Hours that are drawn on a day: the week's own, and whatever somebody works more. */
function windowOf(day: string, hours: WorkHours): { readonly from: number; readonly to: number } | null {
  const weekday = weekdayOf(day);
  const people = Object.values(hours.people);
  const usual = offOn(day, hours, null) ? [] : hours.week.filter((s) => s.weekday === weekday);
  const spans = [
    ...usual,
    ...people.flatMap((p) => [
      ...(p.week ?? []).filter((s) => s.weekday === weekday && usual.length),
      ...p.extra.filter((x) => x.day === day),
    ]),
  ];
  if (!spans.length) return null;
  return { from: Math.floor(Math.min(...spans.map((s) => s.from)) / H) * H, to: Math.ceil(Math.max(...spans.map((s) => s.to)) / H) * H };
}

/** The axis of so many working days from a day on. */
export function dayAxis(first: string, count: number, hours: WorkHours, momentOf: MomentOf): DayAxis {
  const windows: { day: string; from: number; to: number }[] = [];
  for (let k = 0; windows.length < count && k < MOST_LOOKED_THROUGH; k++) {
    const day = dayAfter(first, k);
    const window = windowOf(day, hours);
    if (window) windows.push({ day, ...window });
  }
  const total = windows.reduce((sum, w) => sum + w.to - w.from, 0) || 1;
  let at = 0;
  const days = windows.map(({ day, from, to }): DrawnDay => {
    const width = (to - from) / total;
    const share = (minute: number): number => at + ((minute - from) / (to - from)) * width;
    const usual = hours.week.filter((s) => s.weekday === weekdayOf(day)).sort((a, b) => a.from - b.from);
    const rests = usual.flatMap((s, k) => {
      const next = usual[k + 1];
      return next && next.from > s.to ? [{ at: share(s.to), width: share(next.from) - share(s.to) }] : [];
    });
    const drawn = {
      ...{ day, from: momentOf(day, from), to: momentOf(day, to), at, width, rests },
      hours: Array.from({ length: (to - from) / H }, (_, k) => ({ hour: (from + k * H) / H, at: share(from + k * H) })),
    };
    at += width;
    return drawn;
  });
  return {
    days,
    shareOf(minute) {
      let share = 0;
      for (const d of days) {
        if (minute <= d.from) return share;
        if (minute < d.to) return d.at + ((minute - d.from) / (d.to - d.from)) * d.width;
        share = d.at + d.width;
      }
      return share;
    },
    momentAt(share) {
      const day = days.find((d) => share < d.at + d.width) ?? days.at(-1);
      if (!day) return 0;
      return day.from + Math.max(0, Math.min(1, (share - day.at) / day.width)) * (day.to - day.from);
    },
  };
}
