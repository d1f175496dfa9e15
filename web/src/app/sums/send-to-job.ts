import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { FLOOR_PAGE, routes, type FloorJob, type FloorPage } from '@iron-patch/contract/wire';
import type { NoteRecord } from '@iron-patch/core';
import { Api, ApiProblem, newId, Told } from '../data';
import { SheetStore } from '../sheet-data';
import { ChooseField, type Option, startsAs } from '../form';

/** Writes a calculation with its working into the notes of a job; the open job is offered first. */
@Component({
  selector: 'ip-send-to-job',
  imports: [ChooseField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (options().length) {
      <div class="send">
        <ip-choose label="Send to job" name="job" [value]="job()" [options]="options()" (valueChange)="job.set($event)" />
        <button type="button" [disabled]="!ready() || busy()" (click)="send()">Send</button>
      </div>
    }
    <p role="status" [class.problem]="bad()">{{ said() }}</p>
  `,
  styles: '.send { display: flex; gap: 10px; align-items: end; margin-top: 16px; } ip-choose { flex: 1; }',
})
export class SendToJob {
  private readonly api = inject(Api);
  private readonly sheet = inject(SheetStore);
  readonly text = input.required<string>();
  readonly title = input.required<string>();
  readonly ready = input(true);
  protected readonly busy = signal(false);
  protected readonly bad = signal(false);
  /** One key for one text to one job: pressed twice, or again after a silence, it is written once. */
  private sent = { what: '', key: newId() };
  protected readonly said = linkedSignal<string, string>({ source: this.text, computation: () => '' });
  private readonly open = signal<readonly FloorJob[]>([]);
  protected readonly options = computed<readonly Option[]>(() => this.open().map((j) => [j.id, `${j.number} ${j.title}`] as const));
  protected readonly job = startsAs(() => this.sheet.sheet()?.job.id ?? this.options()[0]?.[0] ?? '');

  constructor() {
    void this.api
      .get<FloorPage>(`${routes.floor}?upTo=${FLOOR_PAGE.most}`)
      .then(({ jobs }) => this.open.set(jobs))
      .catch(inject(Told).bug);
  }

  protected async send(): Promise<void> {
    const [id, text] = [this.job(), this.text()];
    if (this.sent.what !== id + text) this.sent = { what: id + text, key: newId() };
    this.busy.set(true);
    try {
      if (this.sheet.sheet()?.job.id === id) await this.sheet.addNote({ station: 'decide', text });
      else await this.api.post<NoteRecord>(routes.notes(id), { station: 'decide', text }, this.sent.key);
      this.bad.set(false);
      this.said.set(`Written into the notes of job ${this.options().find(([o]) => o === id)?.[1] ?? ''}.`);
    } catch (e) {
      this.bad.set(true);
      this.said.set(
        e instanceof ApiProblem ? `${e.details.title} ${e.details.detail}` : 'The server does not answer: press again in a moment.',
      );
    } finally {
      this.busy.set(false);
    }
  }
}
