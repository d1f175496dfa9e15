import { computed, DestroyRef, inject, Injectable, Pipe, signal, type PipeTransform } from '@angular/core';
import { wallTime } from '@iron-patch/contract/wire';
import { dayWords, type DayStyle } from '@iron-patch/core/terms/calendar';
import { ShopStore } from './shop-store';

const MINUTE_MS = 60_000;

/** Calendar and clock of the shop, wherever the screen is. */
@Injectable({ providedIn: 'root' })
export class ShopClock {
  private readonly shop = inject(ShopStore);
  private readonly now = signal(new Date());
  /** The day that it is in the shop, as `2026-12-04`; moves on at its midnight. */
  readonly today = computed(() => this.dayOf(this.now()));

  constructor() {
    const every = setInterval(() => this.now.set(new Date()), MINUTE_MS);
    inject(DestroyRef).onDestroy(() => clearInterval(every));
  }

  dayOf(at: Date | string): string {
    return wallTime(at, this.shop.timeZone()).day;
  }

  /** `4 Dec 09:05`, or with a year `4 Dec 2026, 09:05`. */
  words(at: Date | string, year = false): string {
    const { day, time } = wallTime(at, this.shop.timeZone());
    return year ? `${dayWords(day)}, ${time}` : `${dayWords(day, 'short')} ${time}`;
  }
}

/** A moment by the shop's calendar and clock; empty where there is none. */
@Pipe({ name: 'shopTime' })
export class ShopTimePipe implements PipeTransform {
  private readonly clock = inject(ShopClock);

  transform(at: Date | string | null, year?: 'year'): string {
    return at ? this.clock.words(at, year === 'year') : '';
  }
}

/** A day as the shop writes it: `4 Dec 2026`, `Fri 4 Dec`; empty where there is none. */
@Pipe({ name: 'day' })
export class DayPipe implements PipeTransform {
  transform(day: string | null, style: DayStyle = 'date'): string {
    return dayWords(day, style);
  }
}
