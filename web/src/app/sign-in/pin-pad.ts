import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { PIN_LENGTH } from '@iron-patch/contract/wire';

/** Ten large keys for a PIN, for hands that are not clean; the keyboard's digits go into the same. */
@Component({
  selector: 'ip-pin-pad',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="dots fig" role="status" [attr.aria-label]="value().length + ' digits typed'">
      @for (d of value().split(''); track $index) {
        <i></i>
      } @empty {
        <span class="quiet">PIN</span>
      }
    </p>
    <div class="pad" role="group" aria-label="PIN">
      @for (d of keys; track d) {
        <button type="button" class="key fig" (click)="added.emit(d)">{{ d }}</button>
      }
      <button type="button" class="key" (click)="back.emit()" [disabled]="!value()">Back</button>
      <button type="button" class="key fig" (click)="added.emit('0')">0</button>
      <button type="button" class="key next" [disabled]="busy() || value().length < least" (click)="done.emit()">In</button>
    </div>
  `,
  styles: `
    .dots {
      display: flex;
      gap: 12px;
      align-items: center;
      justify-content: center;
      height: 40px;
      font-size: 18px;
    }
    .dots i {
      width: 14px;
      height: 14px;
      border-radius: 50%;
      background: var(--ink);
    }
    .pad {
      display: grid;
      grid-template-columns: repeat(3, 96px);
      gap: 10px;
      justify-content: center;
    }
    .key {
      min-height: 64px;
      font-size: 26px;
      padding: 0;
    }
    .key:not(.fig) {
      font-size: 18px;
    }
  `,
  host: { '(document:keydown)': 'key($event)' },
})
export class PinPad {
  protected readonly keys = ['1', '2', '3', '4', '5', '6', '7', '8', '9'];
  protected readonly least = PIN_LENGTH.least;
  readonly value = input('');
  readonly busy = input(false);
  /** A digit; what it is added to its parent knows, for keys come faster than anything is drawn. */
  readonly added = output<string>();
  readonly back = output<void>();
  readonly done = output<void>();

  protected key(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (/^\d$/.test(event.key)) this.added.emit(event.key);
    else if (event.key === 'Backspace') this.back.emit();
    else if (event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)) this.done.emit();
    else return;
    event.preventDefault();
  }
}
