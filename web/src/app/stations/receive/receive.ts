import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { routes } from '@iron-patch/contract';
import { SAME_VALUE } from '../../data';
import { SheetStore } from '../../sheet-data';
import { DoneBeforePanel } from '../done-before';
import { jobInputOf } from '../job-input';
import { CallOff } from './call-off';
import { JobForm, type StoreJob } from './job-form';
import { Photos } from './photos';

/** The counter ticket of a job that is in. */
@Component({
  selector: 'ip-receive',
  imports: [JobForm, Photos, CallOff, DoneBeforePanel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (now(); as n) {
      <section>
        <ip-job-form [keptAs]="keptAs()" [start]="n.start" [version]="n.version" action="Save" [store]="save" />
      </section>
    }
    <ip-done-before class="before no-print" [links]="true" />
    <ip-photos />
    <nav class="papers" aria-label="Papers">
      <a [href]="label()" target="_blank" rel="noopener">Tag with QR code to print</a>
      <a [href]="bundle()">Whole job as a file</a>
    </nav>
    <ip-call-off class="no-print" />
  `,
  styles:
    'section { padding: 16px 20px 16px; max-width: 900px; } .before { padding: 0 20px; } ip-call-off { display: block; padding: 0 20px 28px; max-width: 900px; } .papers { display: flex; gap: 24px; padding: 8px 20px 24px; } .papers a { min-height: 44px; display: inline-flex; align-items: center; }',
})
export class Receive {
  private readonly store = inject(SheetStore);
  protected readonly keptAs = computed(() => `job:${this.store.sheet()!.job.id}`);
  protected readonly label = computed(() => routes.label(this.store.sheet()!.job.id));
  protected readonly bundle = computed(() => routes.bundle(this.store.sheet()!.job.id));
  protected readonly now = computed(() => {
    const sheet = this.store.sheet();
    return sheet && { start: jobInputOf(sheet), version: sheet.job.version };
  }, SAME_VALUE);

  protected readonly save: StoreJob = async (input, base) => {
    const saved = await this.store.saveJob(input, base);
    if (saved) this.store.say('Saved.');
    return saved;
  };
}
