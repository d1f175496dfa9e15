const formats = new Map<string, Intl.DateTimeFormat>();

function formatIn(zone: string): Intl.DateTimeFormat {
  let format = formats.get(zone);
  if (!format) {
    const [date, time] = [
      { year: 'numeric', month: '2-digit', day: '2-digit' },
      { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
    ] as const;
    format = new Intl.DateTimeFormat('en-GB', { timeZone: zone, ...date, ...time });
    formats.set(zone, format);
  }
  return format;
}

/** A moment by the clock on the wall. */
export interface WallTime {
  /** `2026-12-04`. */
  readonly day: string;
  /** `09:05`. */
  readonly time: string;
}

/**
 * What calendar and clock of a place show at a moment.
 *
 * @param zone an IANA time zone, like `Europe/Oslo`
 * @throws RangeError when there is no such zone, or the moment is none
 */
export function wallTime(at: Date | string, zone: string): WallTime {
  const parts = formatIn(zone).formatToParts(typeof at === 'string' ? new Date(at) : at);
  const part = (type: Intl.DateTimeFormatPartTypes): string => parts.find((p) => p.type === type)!.value;
  return { day: `${part('year').padStart(4, '0')}-${part('month')}-${part('day')}`, time: `${part('hour')}:${part('minute')}` };
}

/** The time zone of this machine. */
export const ownTimeZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

export function isTimeZone(zone: string): boolean {
  try {
    formatIn(zone);
    return true;
  } catch {
    return false;
  }
}

/**
 * Moments by the clock of a place: the minute since 1970 at which its clock shows a minute of a day. Of an hour that is skipped when clocks
 * are put on it is the one after it; of one that comes twice, the first.
 *
 * @param zone an IANA time zone
 */
export function momentsIn(zone: string): (day: string, minuteOfDay: number) => number {
  const asked = (day: string, minuteOfDay: number): number => {
    const wanted = Date.parse(`${day}T00:00:00Z`) + minuteOfDay * 60_000;
    let at = wanted;
    for (let k = 0; k < 2; k++) {
      const { day: shownDay, time } = wallTime(new Date(at), zone);
      at += wanted - Date.parse(`${shownDay}T${time}:00Z`);
    }
    return at / 60_000;
  };
  const kept = new Map<string, number>();
  const midnight = (day: string): number => {
    if (!kept.has(day)) kept.set(day, asked(day, 0));
    return kept.get(day)!;
  };
  return (day, minuteOfDay) => {
    const from = midnight(day);
    // A day of its usual length has no clock put on or back in it.
    const next = new Date(Date.parse(`${day}T00:00:00Z`) + 86_400_000).toISOString().slice(0, 10);
    const usual = minuteOfDay <= 1440 && midnight(next) - from === 1440;
    return usual ? from + minuteOfDay : asked(day, minuteOfDay);
  };
}
