import { afterNextRender, DestroyRef, Directive, inject } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { NzModalComponent } from 'ng-zorro-antd/modal';

/** Gives a dialog its title as its name, and the focus back to where it came from when it goes: the library leaves both out. */
@Directive({ selector: 'nz-modal' })
export class NamedDialog {
  private readonly modal = inject(NzModalComponent);

  constructor() {
    const before = document.activeElement;
    inject(DestroyRef).onDestroy(() => setTimeout(() => before instanceof HTMLElement && before.isConnected && before.focus()));
    // There at the first drawing, or once it has come up.
    afterNextRender(() => this.name());
    this.modal.afterOpen.pipe(takeUntilDestroyed()).subscribe(() => this.name());
  }

  private name(): void {
    const { nzTitle } = this.modal;
    const element = this.modal.getElement();
    if (element && typeof nzTitle === 'string') element.setAttribute('aria-label', nzTitle);
    element?.setAttribute('aria-modal', 'true');
  }
}
