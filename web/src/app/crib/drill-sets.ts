import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { routes } from '@iron-patch/contract';
import type { DrillSet } from '@iron-patch/core';
import { Api, ApiProblem, NO_ANSWER, ShopStore } from '../data';
import { DrillForm } from './drill-form';
import { drillSetWords } from './drill-words';

/** The drills that hang in the crib: they are offered first wherever a drill is chosen. */
@Component({
  selector: 'ip-drill-sets',
  imports: [DrillForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header>
      <h2>Drills</h2>
      <span class="quiet">Those that hang here are offered first wherever a drill is chosen.</span>
      <button type="button" [class.on]="adding()" (click)="adding.set(!adding())">Add drills</button>
    </header>
    @if (adding()) {
      <ip-drill-form (closed)="adding.set(false)" />
    }
    @if (message()) {
      <p class="said bad" role="alert">{{ message() }}</p>
    }
    <ul>
      @for (s of sets(); track s.id) {
        <li>
          <b>{{ words(s) }}</b>
          <button type="button" class="plain" [attr.aria-label]="'Remove ' + words(s)" [disabled]="busy()" (click)="remove(s)">
            Remove
          </button>
        </li>
      } @empty {
        <li class="quiet">None are listed: every drill that is sold counts alike.</li>
      }
    </ul>
  `,
  styles:
    ':host { display: block; margin-top: 28px; } header { display: flex; align-items: center; gap: 18px; } header button { margin-left: auto; } h2 { font-size: 20px; } ul { list-style: none; padding: 0; margin: 8px 0 0; } li { display: flex; align-items: center; gap: 18px; min-height: 48px; border-bottom: 1px solid var(--hairline); } li button { margin-left: auto; } li b { font-weight: 500; }',
})
export class DrillSets {
  private readonly api = inject(Api);
  private readonly shop = inject(ShopStore);
  protected readonly sets = computed(() => this.shop.shop().drillSets);
  protected readonly adding = signal(false);
  protected readonly busy = signal(false);
  protected readonly message = signal('');
  protected readonly words = drillSetWords;

  protected async remove({ id, version, kind, fromMm, toMm, stepMm }: DrillSet): Promise<void> {
    this.busy.set(true);
    this.message.set('');
    try {
      await this.api.put(routes.drillSet(id), { kind, fromMm, toMm, stepMm, removed: true }, version);
    } catch (e) {
      if (!(e instanceof ApiProblem)) this.message.set(NO_ANSWER);
      else if (e.details.status === 412) this.message.set('Somebody else changed these drills in the meantime: look again.');
      else this.message.set(`${e.details.title} ${e.details.detail}`);
    } finally {
      await this.shop.load().catch(() => this.message.set('The server does not answer: the list may be old.'));
      this.busy.set(false);
    }
  }
}
