import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import type { JobInput } from '@iron-patch/contract';
import type { JobSheet } from '@iron-patch/core';
import { SheetStore } from '../../sheet-data';
import { JobForm } from './job-form';

const inputOf = ({ job, customer }: JobSheet): JobInput => ({
  customerName: customer.name,
  customerContact: customer.contact,
  title: job.title,
  machine: job.machine,
  complaint: job.complaint,
  want: job.want,
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
  imports: [JobForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section (input)="dirty.set(true)" (change)="dirty.set(true)">
      @for (form of forms(); track form.version) {
        <ip-job-form [start]="form.start" action="Save" [busy]="busy()" (saved)="save($event, form.version)" />
      }
    </section>
  `,
  styles: 'section { padding: 16px 20px 24px; max-width: 900px; }',
})
export class Receive {
  private readonly store = inject(SheetStore);
  protected readonly dirty = signal(false);
  protected readonly busy = signal(false);
  private readonly now = computed(() => {
    const sheet = this.store.sheet();
    return sheet && { start: inputOf(sheet), version: sheet.job.version };
  });
  /** The form as it was opened: another's change does not wipe what is being typed, saving it asks. */
  protected readonly forms = linkedSignal<ReturnType<typeof this.now>, { start: JobInput; version: number }[]>({
    source: this.now,
    computation: (now, before) => (this.dirty() && before?.value.length ? before.value : now ? [now] : []),
  });

  protected async save(input: JobInput, version: number): Promise<void> {
    this.busy.set(true);
    try {
      this.dirty.set(false);
      const saved = await this.store.saveJob(input, version);
      if (saved) this.store.say('Saved.');
      else this.dirty.set(true);
    } catch {
      this.dirty.set(true);
    } finally {
      this.busy.set(false);
    }
  }
}
