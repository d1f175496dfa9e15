import { ChangeDetectionStrategy, Component, inject, output } from '@angular/core';
import { STATION_NAMES, STATIONS } from '@iron-patch/core/terms/stations';
import { LookOfScreen, type Look } from '../data';
import { NzModalModule } from 'ng-zorro-antd/modal';
import { NamedDialog } from '../show';

/** All keys on one card. */
@Component({
  selector: 'ip-key-help',
  imports: [NzModalModule, NamedDialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nz-modal
      [nzVisible]="true"
      nzTitle="Keys, and how this screen looks"
      (nzOnCancel)="closed.emit()"
      [nzFooter]="null"
      [nzWidth]="560"
      nzWrapClassName="ip-keys"
    >
      <ng-container *nzModalContent>
        <div class="look" role="group" aria-label="How this screen looks">
          @for (l of looks; track l.look) {
            <button
              type="button"
              [class.on]="look.chosen() === l.look"
              [attr.aria-pressed]="look.chosen() === l.look"
              (click)="look.choose(l.look)"
            >
              {{ l.word }}
            </button>
          }
        </div>
        <table class="plain">
          <tbody>
            @for (k of keys; track k.key) {
              <tr>
                <td class="fig key">{{ k.key }}</td>
                <td>{{ k.what }}</td>
              </tr>
            }
          </tbody>
        </table>
      </ng-container>
    </nz-modal>
  `,
  styles: `
    .key {
      width: 150px;
      font-weight: 700;
    }
    .look {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin-bottom: 12px;
    }
    .look .on {
      background: var(--blue);
      color: var(--on-blue);
    }
  `,
})
export class KeyHelp {
  readonly closed = output<void>();
  protected readonly look = inject(LookOfScreen);
  protected readonly looks: readonly { readonly look: Look; readonly word: string }[] = [
    { look: 'machine', word: 'As this machine' },
    { look: 'light', word: 'Light' },
    { look: 'dark', word: 'Dark' },
    { look: 'contrast', word: 'High contrast' },
  ];
  protected readonly keys = [
    { key: '1 to 9', what: STATIONS.map((s) => STATION_NAMES[s]).join(', ') },
    { key: 'Alt + 1 to 9', what: 'The same while typing' },
    { key: '0', what: 'Floor' },
    { key: 'f, F8', what: 'Find: jobs, sizes, notes, lessons, the shop, the book' },
    { key: '=, F9', what: 'Sums, over what you are doing' },
    { key: '/', what: 'To the reading line' },
    { key: 'Enter', what: 'Take the reading, go to the next spot' },
    { key: 'Up, Down', what: 'On the reading line: spot before, spot after' },
    { key: 'Left, Right', what: 'At Draw: along the axis, surface by surface' },
    { key: 'Ctrl + Z', what: 'Take the last thing back' },
    { key: 'Ctrl + Y', what: 'At Draw: do it again' },
    { key: 'F2', what: 'Take what the gauge shows' },
    { key: 'u, F4', what: 'Switch between mm and in' },
    { key: 'Esc', what: 'Leave the reading line; close this card' },
    { key: '?, F1', what: 'This card; the keys with an F work while typing too' },
  ];
}
