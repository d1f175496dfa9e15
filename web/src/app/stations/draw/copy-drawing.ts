import { ChangeDetectionStrategy, Component, inject, output, signal } from '@angular/core';
import { routes, type FloorPage } from '@iron-patch/contract';
import { chosenPart, countOf, forAnotherJob, formatWithUnit, jobItems, partLengthMm, type JobSheet, type Part } from '@iron-patch/core';
import { Api, Told } from '../../data';
import { TextField } from '../../form';
import { SheetStore } from '../../sheet-data';

interface Drawn {
  readonly key: string;
  readonly job: string;
  readonly name: string;
  readonly told: string;
  readonly part: Part;
}

/** Jobs that are looked into for one search. */
const MOST_JOBS = 6;

/** Begins with the drawing of another job, found by its number, its customer or its machine. */
@Component({
  selector: 'ip-copy-drawing',
  imports: [TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form class="row" (submit)="$event.preventDefault(); find()">
      <ip-text label="Job, customer or machine" name="copyFrom" path="copyFrom" [value]="words()" (valueChange)="words.set($event)" />
      <button type="submit" [disabled]="words().trim() === '' || busy()">Find its drawings</button>
    </form>
    @if (busy()) {
      <p class="quiet" role="status">Looking for drawings.</p>
    }
    @if (found(); as all) {
      <ul>
        @for (d of all; track d.key) {
          <li>
            <button type="button" (click)="taken.emit(d.part)">Begin with it</button>
            <span
              ><b>{{ d.name }}</b> of job {{ d.job }} <span class="quiet">{{ d.told }}</span></span
            >
          </li>
        } @empty {
          <li class="quiet" role="status">No job that these words find has a drawing. Try its number, or the customer’s name.</li>
        }
      </ul>
      @if (all.length) {
        <p class="quiet">What its diameters fitted stays with that job: they keep the size that was drawn, until a fit is chosen here.</p>
      }
    }
  `,
  styles: `
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 14px;
      align-items: end;
    }
    .row ip-text {
      width: 320px;
    }
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li {
      display: flex;
      gap: 14px;
      align-items: center;
      padding: 4px 0;
    }
    li button {
      flex: none;
    }
  `,
})
export class CopyDrawing {
  private readonly api = inject(Api);
  private readonly errors = inject(Told);
  private readonly store = inject(SheetStore);
  readonly taken = output<Part>();
  protected readonly words = signal('');
  protected readonly busy = signal(false);
  /** Null before anything was looked for. */
  protected readonly found = signal<readonly Drawn[] | null>(null);

  protected async find(): Promise<void> {
    this.busy.set(true);
    await this.errors.doing(async () => {
      const { jobs } = await this.api.get<FloorPage>(
        `${routes.floor}?find=${encodeURIComponent(this.words().trim())}&upTo=${MOST_JOBS + 1}`,
      );
      const others = jobs.filter((j) => j.id !== this.store.sheet()?.job.id).slice(0, MOST_JOBS);
      const sheets = await Promise.all(others.map((j) => this.api.get<JobSheet>(routes.sheet(j.id))));
      this.found.set(sheets.flatMap((sheet) => this.drawn(sheet)));
    });
    this.busy.set(false);
  }

  private drawn(sheet: JobSheet): Drawn[] {
    return jobItems(sheet).flatMap((item): Drawn[] => {
      const part = item.kind === 'make' ? chosenPart(sheet, item.partKey) : null;
      if (!part) return [];
      const told = part.block
        ? 'block'
        : `${countOf(part.outside.length, 'diameter')}, ${formatWithUnit(partLengthMm(part), this.store.unit())} over all`;
      return [
        {
          key: `${sheet.job.id}:${item.id}`,
          job: `${sheet.job.number} ${sheet.job.title}`,
          name: part.name,
          told,
          part: forAnotherJob(part),
        },
      ];
    });
  }
}
