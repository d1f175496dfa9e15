import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import { routes, type JobInput } from '@iron-patch/contract';
import type { JobRecord, Problem } from '@iron-patch/core';
import { Api, ApiProblem, newId, SessionStore, ShopStore } from '../data';
import { JobForm } from '../stations/receive/job-form';

const EMPTY: JobInput = {
  customerName: '',
  customerContact: '',
  title: '',
  machine: '',
  complaint: '',
  want: 'like-for-like',
  changes: [],
  restBy: '',
  askBefore: '',
  pieces: 1,
  promisedOn: null,
  unit: 'mm',
  shopTempC: 20,
  hazards: [],
};

/** Something broken comes over the counter. */
@Component({
  selector: 'ip-new-job',
  imports: [JobForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section>
      <h1>New job</h1>
      <ip-job-form [start]="start" action="Take it in" [busy]="busy()" [serverProblems]="problems()" (saved)="save($event)" />
      @if (message()) {
        <p class="said bad" role="alert">{{ message() }}</p>
      }
    </section>
  `,
  styles:
    'section { max-width: 1000px; margin: 0 auto; padding: 20px 24px 40px; background: var(--sheet); min-height: 100%; } h1 { font-size: 24px; margin-bottom: 12px; }',
})
export class NewJob {
  private readonly api = inject(Api);
  private readonly router = inject(Router);
  private readonly shop = inject(ShopStore);
  protected readonly start: JobInput = { ...EMPTY, unit: inject(SessionStore).unit() ?? 'mm' };
  protected readonly busy = signal(false);
  protected readonly problems = signal<readonly Problem[]>([]);
  protected readonly message = signal('');
  /** One key for this form: pressing twice, or again after a silence, takes the job in once. */
  private key = newId();
  private lastSent = '';

  protected async save(input: JobInput): Promise<void> {
    this.busy.set(true);
    const text = JSON.stringify(input);
    if (this.lastSent && this.lastSent !== text) this.key = newId();
    this.lastSent = text;
    try {
      const job = await this.api.post<JobRecord>(routes.jobs, input, this.key);
      void this.shop.load();
      await this.router.navigate(['/jobs', job.id, 'strip']);
    } catch (e) {
      this.problems.set(e instanceof ApiProblem ? (e.details.problems ?? []) : []);
      this.message.set(
        e instanceof ApiProblem
          ? `${e.details.title} ${e.details.detail}`
          : 'The server does not answer. Everything you typed is still here: press again in a moment.',
      );
    } finally {
      this.busy.set(false);
    }
  }
}
