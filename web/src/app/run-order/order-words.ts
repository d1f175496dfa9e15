import { wallTime } from '@iron-patch/contract/wire';
import { dayWords } from '@iron-patch/core/terms/calendar';
import type { PlanRow, PromiseRow } from '@iron-patch/core/repair/order';

/** `2 h 10 min`, `40 min`, `3 days` of 24 hours. */
export function spanWords(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  if (whole >= 2880) return `${Math.round(whole / 1440)} days`;
  const rest = whole % 60;
  return `${Math.floor(whole / 60)} h${rest ? ` ${rest} min` : ''}`;
}

/** Moments in words, by the clock of the shop. */
export class MomentWords {
  constructor(
    private readonly zone: string,
    private readonly today: string,
  ) {}

  private at(minute: number): { readonly day: string; readonly time: string } {
    return wallTime(new Date(minute * 60_000), this.zone);
  }

  time(minute: number): string {
    return this.at(minute).time;
  }

  /** `10:20` of today, `Fri 27 Nov 10:20` of another day. */
  of(minute: number): string {
    const { day, time } = this.at(minute);
    return day === this.today ? time : `${dayWords(day, 'weekday')} ${time}`;
  }

  /** `Fri 27 Nov 10:20 to 11:00`, the day of the end only where it is another one. */
  span(from: number, to: number): string {
    return `${this.of(from)} to ${this.at(from).day === this.at(to).day ? this.time(to) : this.of(to)}`;
  }

  day(minute: number): string {
    return dayWords(this.at(minute).day, 'weekday');
  }
}

/** How a promise stands, in words: its chance as so many of ten. */
export function promiseWords({ chance, due, end }: PromiseRow): string {
  if (due === Infinity) return 'nothing promised';
  const ten = Math.round(10 * chance);
  if (ten === 10) return 'in time';
  const late = end > due ? `${spanWords(end - due)} late, ` : '';
  return `${late}in time in ${ten} of 10`;
}

export type PromiseState = 'good' | 'shaky' | 'late';
export const promiseState = ({ chance }: PromiseRow): PromiseState => (chance >= 0.8 ? 'good' : chance >= 0.4 ? 'shaky' : 'late');

/** What is told once an act is done. */
export const doneWords = ({ job, act }: PlanRow, minutes: number): string =>
  `${job.number} ${act.name}: ${act.act ? 'done' : 'here'}${minutes ? `, ${spanWords(minutes)} on record` : ''}.`;
