import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { SheetStore } from '../sheet-data';

/** What was just said to the person at the sheet, and the question that somebody else's change asks. */
@Component({
  selector: 'ip-notices',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div aria-live="polite">
      @if (store.conflict(); as c) {
        <div class="said bad" role="alert">
          <b>Somebody else changed {{ c.what }} while you were at it.</b> Theirs is now on the screen.
          <span class="row"
            ><button type="button" (click)="store.keepMine()">Save mine over it</button
            ><button type="button" (click)="store.takeTheirs()">Keep theirs</button></span
          >
        </div>
      }
      @if (store.message(); as m) {
        <p class="said" [class.bad]="m.bad" [attr.role]="m.bad ? 'alert' : 'status'">
          {{ m.text }} <button type="button" class="plain" (click)="store.clearMessage()">Close</button>
        </p>
      }
    </div>
  `,
  styles: `
    :host {
      display: block;
    }
    .said {
      padding: 8px 18px;
    }
  `,
})
export class Notices {
  protected readonly store = inject(SheetStore);
}
