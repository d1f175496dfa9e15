import { A11yModule } from '@angular/cdk/a11y';
import { ChangeDetectionStrategy, Component, HostListener, inject } from '@angular/core';
import { SumsDesk } from '../data';
import { Sums } from './sums';

/** The Sums bench over what one is doing; Escape or the button lays it aside with everything that was typed. */
@Component({
  selector: 'ip-sums-panel',
  imports: [A11yModule, Sums],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="panel" role="dialog" aria-modal="true" aria-label="Sums" cdkTrapFocus cdkTrapFocusAutoCapture>
      <button type="button" class="close" (click)="close()">Back to work <span class="fig">Esc</span></button>
      <ip-sums />
    </div>
  `,
  styles: `
    .panel {
      position: fixed;
      inset: 44px 0 0 0;
      z-index: 20;
      background: var(--ground);
      display: grid;
      grid-template-rows: 48px minmax(0, 1fr);
      border-top: 4px solid var(--blue);
    }
    .close {
      justify-self: end;
      margin: 2px 12px;
      border-color: transparent;
    }
    .close span {
      color: var(--quiet);
      margin-left: 8px;
      font-weight: 400;
    }
  `,
})
export class SumsPanel {
  private readonly desk = inject(SumsDesk);

  /** Wherever the focus is: a pressed button that was disabled loses it to the page. */
  @HostListener('document:keydown.escape')
  protected close(): void {
    this.desk.setOpen(false);
  }
}
