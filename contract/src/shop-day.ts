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
