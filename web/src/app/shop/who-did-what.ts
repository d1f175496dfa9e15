import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { routes, type AuditPage, type AuditRow } from '@iron-patch/contract/wire';
import { NzTableModule } from 'ng-zorro-antd/table';
import { Api, ShopStore, ShopTimePipe, Told } from '../data';
import { ChooseField, type Option } from '../form';
import { doneWords, jobOf } from './done-words';

/** Everything that was stored, by whom and when; readings stand on their jobs with who took them. */
@Component({
  selector: 'ip-who-did-what',
  imports: [RouterLink, ChooseField, NzTableModule, ShopTimePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      <h1>Who did what</h1>
      <p class="quiet">Kept by the database, and only added to. What was measured stands on its job, with who read it.</p>
      <ip-choose class="who" label="Whose" name="whose" [options]="people()" [value]="person()" (valueChange)="ask($event)" />
      @if (rows().length) {
        <nz-table #table [nzData]="rows()" [nzShowPagination]="false" [nzFrontPagination]="false">
          <thead>
            <tr>
              <th scope="col">When</th>
              <th scope="col">Who</th>
              <th scope="col">Did</th>
              <th scope="col">What was sent</th>
            </tr>
          </thead>
          <tbody>
            @for (r of table.data; track r.seq) {
              <tr>
                <td>{{ r.at | shopTime: 'year' }}</td>
                <td>{{ shop.personName(r.personId, 'nobody known') }}</td>
                <td [class.bad]="r.status === 401">
                  @if (job(r); as id) {
                    {{ words(r) }}, <a [routerLink]="['/jobs', id]">{{ r.jobNumber ? 'job ' + r.jobNumber : 'a job' }}</a>
                  } @else {
                    {{ words(r) }}
                  }
                </td>
                <td>
                  @if (r.sent) {
                    <details>
                      <summary>Show</summary>
                      <pre data-verbatim>{{ sent(r) }}</pre>
                    </details>
                  }
                </td>
              </tr>
            }
          </tbody>
        </nz-table>
        @if (next(); as before) {
          <button type="button" class="more" (click)="more(before)">Earlier</button>
        }
      } @else if (asked()) {
        <p>Nothing of {{ person() ? 'theirs' : 'anybody’s' }} is on record yet.</p>
      }
    </div>
  `,
  styleUrl: './shop-page.less',
  styles: `
    .who {
      display: block;
      max-width: 320px;
      margin: 12px 0;
    }
    td {
      vertical-align: top;
    }
    .bad {
      color: var(--out);
    }
    td a {
      text-decoration: underline;
    }
    summary {
      cursor: pointer;
      color: var(--blue);
    }
    pre {
      margin: 4px 0 0;
      white-space: pre-wrap;
      overflow-wrap: anywhere;
      font-size: 14px;
    }
    .more {
      margin-top: 12px;
    }
  `,
})
export class WhoDidWhat {
  private readonly api = inject(Api);
  private readonly told = inject(Told);
  protected readonly shop = inject(ShopStore);
  protected readonly person = signal('');
  protected readonly rows = signal<readonly AuditRow[]>([]);
  protected readonly next = signal<number | null>(null);
  protected readonly asked = signal(false);
  protected readonly people = computed((): readonly Option[] => [
    ['', 'Everybody’s'],
    ...this.shop.shop().people.map((p): Option => [p.id, p.name]),
  ]);
  protected readonly words = doneWords;
  protected readonly job = jobOf;
  protected readonly sent = (r: AuditRow): string => JSON.stringify(r.sent, null, 1);

  constructor() {
    void this.ask('');
  }

  protected ask(person: string): Promise<void> {
    this.person.set(person);
    this.rows.set([]);
    return this.more(null);
  }

  protected more(before: number | null): Promise<void> {
    return this.told.doing(async () => {
      const person = this.person();
      const page = await this.api.get<AuditPage>(
        `${routes.audit}?person=${encodeURIComponent(person)}${before === null ? '' : `&before=${before}`}`,
      );
      // Somebody else's were asked for meanwhile.
      if (person !== this.person()) return;
      this.rows.update((rows) => [...rows, ...page.rows]);
      this.next.set(page.next);
      this.asked.set(true);
    });
  }
}
