import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import { MOST_BUNDLE_BYTES, routes, type JobInput } from '@iron-patch/contract';
import type { JobRecord } from '@iron-patch/core';
import { Api, ApiProblem, newId, SessionStore, ShopStore } from '../data';
import { FileField } from '../form';
import { JobForm, NO_JOB, type StoreJob } from '../stations/receive/job-form';

const SHOWN_PROBLEMS = 5;
/** Something broken comes over the counter. */
@Component({
  selector: 'ip-new-job',
  imports: [FileField, JobForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section>
      <header>
        <h1>New job</h1>
        <ip-file accept=".json,application/json" [busy]="bringing()" (picked)="bring($event[0])">{{
          bringing() ? 'Bringing it in' : 'Bring in a job file'
        }}</ip-file>
      </header>
      <ip-job-form keptAs="job:new" [start]="start" action="Take it in" [store]="save" />
      @if (message()) {
        <p class="said bad" role="alert">{{ message() }}</p>
      }
    </section>
  `,
  styles:
    'section { max-width: 1000px; margin: 0 auto; padding: 20px 24px 40px; background: var(--sheet); min-height: 100%; } header { display: flex; align-items: center; gap: 20px; margin-bottom: 12px; } h1 { font-size: 24px; } ip-file { margin-left: auto; }',
})
export class NewJob {
  private readonly api = inject(Api);
  private readonly router = inject(Router);
  private readonly shop = inject(ShopStore);
  protected readonly start: JobInput = { ...NO_JOB, unit: inject(SessionStore).unitFor() ?? inject(ShopStore).shop().card.unit };
  protected readonly bringing = signal(false);
  protected readonly message = signal('');

  /** Makes a job out of a file that Iron Patch once gave out. */
  protected async bring(file: File | undefined): Promise<void> {
    if (!file) return;
    if (file.size > MOST_BUNDLE_BYTES) return this.message.set('The file is over 64 MB. Is it the right one?');
    this.bringing.set(true);
    this.message.set('');
    try {
      const text = await file.text();
      const job = await this.api.postFile<JobRecord>(routes.bundles, new Blob([text], { type: 'application/json' }), newId());
      void this.shop.load();
      await this.router.navigate(['/jobs', job.id, 'receive']);
    } catch (e) {
      const told = e instanceof ApiProblem ? (e.details.problems ?? []).slice(0, SHOWN_PROBLEMS).map((p) => p.message) : [];
      this.message.set(
        e instanceof ApiProblem
          ? `Nothing was stored. ${told.length ? told.join(' ') : `${e.details.title} ${e.details.detail}`}`
          : 'The server does not answer. Choose the file again in a moment.',
      );
    } finally {
      this.bringing.set(false);
    }
  }

  protected readonly save: StoreJob = async (input, _, key) => {
    const job = await this.api.post<JobRecord>(routes.jobs, input, key);
    void this.shop.load();
    void this.router.navigate(['/jobs', job.id, 'strip']);
    return job;
  };
}
