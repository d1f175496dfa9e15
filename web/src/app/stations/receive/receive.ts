import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { routes, type JobInput } from '@iron-patch/contract';
import type { JobSheet } from '@iron-patch/core';
import { SheetStore } from '../../sheet-data';
import { JobForm } from './job-form';
import { Photos } from './photos';

const inputOf = ({ job, customer }: JobSheet): JobInput => ({
  customerName: customer.name,
  customerContact: customer.contact,
  title: job.title,
  machine: job.machine,
  complaint: job.complaint,
  want: job.want,
  changes: [...job.changes],
  restBy: job.restBy,
  askBefore: job.askBefore,
  pieces: job.pieces,
  promisedOn: job.promisedOn,
  unit: job.unit,
  shopTempC: job.shopTempC,
  hazards: [...job.hazards],
});

/** The counter ticket of a job that is in. */
@Component({
  selector: 'ip-receive',
  imports: [JobForm, Photos],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section (input)="dirty.set(true)" (change)="dirty.set(true)">
      @for (form of forms(); track form.version) {
        <ip-job-form
          #f
          [keptAs]="keptAs()"
          [start]="form.start"
          [version]="form.version"
          action="Save"
          [busy]="busy()"
          (saved)="save($event, f)"
        />
      }
    </section>
    <ip-photos />
    <nav class="papers" aria-label="Papers">
      <a [href]="label()" target="_blank" rel="noopener">Tag with QR code to print</a>
      <a [href]="bundle()">Whole job as a file</a>
    </nav>
  `,
  styles:
    'section { padding: 16px 20px 16px; max-width: 900px; } .papers { display: flex; gap: 24px; padding: 8px 20px 24px; } .papers a { min-height: 44px; display: inline-flex; align-items: center; }',
})
export class Receive {
  private readonly store = inject(SheetStore);
  protected readonly dirty = signal(false);
  protected readonly busy = signal(false);
  protected readonly keptAs = computed(() => `job:${this.store.sheet()!.job.id}`);
  protected readonly label = computed(() => routes.label(this.store.sheet()!.job.id));
  protected readonly bundle = computed(() => routes.bundle(this.store.sheet()!.job.id));
  private readonly now = computed(() => {
    const sheet = this.store.sheet();
    return sheet && { start: inputOf(sheet), version: sheet.job.version };
  });
  /** The form as it was opened: another's change does not wipe what is being typed, saving it asks. */
  protected readonly forms = linkedSignal<ReturnType<typeof this.now>, { start: JobInput; version: number }[]>({
    source: this.now,
    computation: (now, before) => (this.dirty() && before?.value.length ? before.value : now ? [now] : []),
  });

  protected async save(input: JobInput, { base, kept }: Pick<JobForm, 'base' | 'kept'>): Promise<void> {
    this.busy.set(true);
    try {
      this.dirty.set(false);
      const saved = await this.store.saveJob(input, base());
      if (saved) {
        kept.done();
        this.store.say('Saved.');
      } else this.dirty.set(true);
    } catch {
      this.dirty.set(true);
    } finally {
      this.busy.set(false);
    }
  }
}
