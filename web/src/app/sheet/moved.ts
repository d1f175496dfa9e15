import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { choiceKey, type MovedFigure } from '@iron-patch/core';
import { SheetStore } from '../sheet-data';
import { LengthPipe } from '../show';

/** After the release something changed: every number that it moved, old and new, until someone accepts or releases again. */
@Component({
  selector: 'ip-moved',
  imports: [LengthPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (store.repair()?.moved; as moved) {
      @if (moved.length) {
        <section class="said bad" aria-label="Released numbers that moved">
          <b>{{ moved.length }} released number{{ moved.length > 1 ? 's' : '' }} moved.</b> The paper at the machine is no longer right.
          <table class="plain">
            <thead>
              <tr>
                <th>Figure</th>
                <th class="num">released</th>
                <th class="num">now</th>
                <th><span class="sr-only">Accept</span></th>
              </tr>
            </thead>
            <tbody>
              @for (m of moved; track m.key) {
                <tr>
                  <td>{{ m.label }}</td>
                  <td class="num">{{ m.oldMm | len: store.unit() }}</td>
                  <td class="num strong">{{ m.newMm | len: store.unit() }}</td>
                  <td><button type="button" (click)="accept(m)">Accept</button></td>
                </tr>
              }
            </tbody>
          </table>
          <span class="row"><button type="button" (click)="store.release()">Release again with these</button></span>
        </section>
      }
    }
  `,
  styles: '.said { padding: 10px 18px; } .strong { font-weight: 700; } td { vertical-align: middle !important; } table { margin: 6px 0; }',
})
export class Moved {
  protected readonly store = inject(SheetStore);

  protected accept(m: MovedFigure): void {
    void this.store
      .putChoice(choiceKey.accept(m.key), m.label, { valueMm: m.newMm }, 'accepted after the release', false)
      .catch(this.store.bug);
  }
}
