import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { routes } from '@iron-patch/contract';
import { liveReadings, type ReadingRecord } from '@iron-patch/core';
import { ShopStore, ShopTimePipe } from '../data';
import { SheetStore } from '../sheet-data';

const SHOWN = 6;

/** A job that cannot be worked out: nothing of it is lost, and what was done last can be taken back. */
@Component({
  selector: 'ip-trouble',
  imports: [ShopTimePipe, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section>
      <h1>Job {{ job()?.number }} cannot be worked out</h1>
      <p>
        Nothing is lost: everything that was typed is on record, and the other jobs are not touched. Take back what was done last; as soon
        as it can be worked out again, the job comes back here.
      </p>
      @if (store.message(); as m) {
        <p class="said" [class.bad]="m.bad" role="status">{{ m.text }}</p>
      }
      @if (last().length) {
        <h2>Read last</h2>
        <ul>
          @for (r of last(); track r.id) {
            <li>
              <b class="fig">{{ r.text }}</b>
              <span>{{ place(r) }}</span>
              <span class="quiet">{{ who(r) }}, {{ r.takenAt | shopTime }}</span>
              <button type="button" [attr.aria-label]="'Take back ' + r.text" (click)="store.withdraw(r)">Take back</button>
            </li>
          }
        </ul>
      }
      <h2>Tell us</h2>
      <p>
        Send <a [href]="file()" download>the job file</a> to whoever looks after Iron Patch here, with this line:
        <code>{{ store.trouble() }}</code>
      </p>
      <p><a routerLink="/">Go to the floor</a></p>
    </section>
  `,
  styles:
    ':host { display: block; height: 100%; overflow: auto; } section { max-width: 860px; margin: 0 auto; padding: 28px 24px 48px; background: var(--sheet); min-height: 100%; } h1 { font-size: 26px; } h2 { font-size: 19px; margin-top: 24px; } ul { list-style: none; padding: 0; } li { display: flex; gap: 18px; align-items: center; min-height: 52px; border-bottom: 1px solid var(--hairline); } li b { font-size: 20px; min-width: 110px; } li button { margin-left: auto; } code { display: block; margin-top: 8px; padding: 10px 12px; background: var(--out-soft); overflow-wrap: anywhere; }',
})
export class Trouble {
  protected readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  protected readonly job = computed(() => this.store.sheet()?.job);
  protected readonly file = computed(() => routes.bundle(this.job()?.id ?? ''));
  protected readonly last = computed(() =>
    liveReadings(this.store.shown()?.readings ?? [])
      .slice(-SHOWN)
      .reverse(),
  );

  protected place(r: ReadingRecord): string {
    return this.store.sheet()?.places.find((f) => f.id === r.placeId)?.name ?? (r.purpose === 'cut' ? 'at the lathe' : 'at Prove');
  }

  protected who(r: ReadingRecord): string {
    return this.shop.personName(r.personId);
  }
}
