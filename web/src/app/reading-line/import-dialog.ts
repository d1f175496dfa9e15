import { ChangeDetectionStrategy, Component, inject, input, linkedSignal, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { countOf, READINGS_CSV_NEEDED, type Problem } from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzModalModule } from 'ng-zorro-antd/modal';
import { NamedDialog } from '../show';
import { ApiProblem, keptDraft, newId, NO_ANSWER } from '../data';
import { DraftNote, FileField } from '../form';
import { SheetStore } from '../sheet-data';

const MOST_BYTES = 2_000_000;
const SHOWN_PROBLEMS = 12;

/** Readings from a file or a paste: all or none, every bad row listed. */
@Component({
  selector: 'ip-import-dialog',
  imports: [FormsModule, NzModalModule, NamedDialog, NzInputModule, DraftNote, FileField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nz-modal [nzVisible]="true" nzTitle="Bring in readings" (nzOnCancel)="closed.emit()" [nzFooter]="null" [nzWidth]="760">
      <ng-container *nzModalContent>
        <p>
          A table with a header row: <code>{{ needed }}</code>, and if wanted <code>instrument, part_temp_c</code>. Commas or semicolons.
        </p>
        <p><ip-file accept=".csv,text/csv,text/plain" (picked)="file($event[0])">Choose a CSV file</ip-file></p>
        <ip-draft-note [kept]="kept" />
        <textarea
          nz-input
          rows="9"
          aria-label="The table"
          spellcheck="false"
          [ngModel]="csv()"
          (ngModelChange)="csv.set($event); problems.set([])"
        ></textarea>
        @if (problems().length) {
          <div class="said bad" role="alert">
            <b>{{ countOf(problems().length, 'problem') }}. Nothing was stored.</b>
            <ul>
              @for (p of problems().slice(0, most); track $index) {
                <li>{{ p.message }}</li>
              }
            </ul>
            @if (problems().length > most) {
              <p>and {{ problems().length - most }} more.</p>
            }
          </div>
        }
        <div class="row end">
          <button type="button" (click)="closed.emit()">Cancel</button>
          <button type="button" class="next" [disabled]="busy() || !csv().trim()" (click)="send()">
            {{ busy() ? 'Bringing in' : 'Bring in' }}
          </button>
        </div>
      </ng-container>
    </nz-modal>
  `,
  styles:
    'p { margin-bottom: 10px; } textarea { font-family: var(--figures); font-size: 14px; } .end { justify-content: flex-end; margin-top: 12px; } code { font: 400 15px var(--figures); } .said { margin-top: 10px; }',
})
export class ImportDialog {
  private readonly store = inject(SheetStore);
  readonly text = input('');
  readonly closed = output<void>();
  protected readonly needed = READINGS_CSV_NEEDED.join(', ');
  protected readonly most = SHOWN_PROBLEMS;
  protected readonly csv = linkedSignal(() => this.text());
  protected readonly countOf = countOf;
  protected readonly problems = signal<readonly Problem[]>([]);
  protected readonly busy = signal(false);
  private readonly key = signal(newId());
  /** A table that was dropped here is another than one that was being pasted. */
  protected readonly kept = keptDraft(() => `table:${this.store.sheet()!.job.id}:${this.text().length}`, { csv: this.csv, key: this.key });

  protected async file(chosen: File | undefined): Promise<void> {
    if (!chosen) return;
    if (chosen.size > MOST_BYTES)
      this.problems.set([{ code: 'too-large', path: '', message: 'The file is over 2 MB. Is it the right one?' }]);
    else this.csv.set(await chosen.text());
  }

  protected async send(): Promise<void> {
    this.busy.set(true);
    try {
      const stored = await this.store.importReadings(this.csv(), this.key());
      this.kept.done();
      this.store.say(`${countOf(stored, 'reading')} brought in.`);
      this.closed.emit();
    } catch (e) {
      const told =
        e instanceof ApiProblem
          ? (e.details.problems ?? [{ code: 'failed', path: '', message: `${e.details.title} ${e.details.detail}` }])
          : null;
      this.problems.set(told ?? [{ code: 'silent', path: '', message: NO_ANSWER }]);
      if (told) this.key.set(newId());
    } finally {
      this.busy.set(false);
    }
  }
}
