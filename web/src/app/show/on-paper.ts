import { ApplicationRef, DestroyRef, DOCUMENT, inject, Injectable, signal } from '@angular/core';

/** Whether the page is just being laid out for paper: what is drawn only as far as it is scrolled to is drawn whole then. */
@Injectable({ providedIn: 'root' })
export class OnPaper {
  private readonly app = inject(ApplicationRef);
  private readonly now = signal(false);
  readonly on = this.now.asReadonly();

  constructor() {
    const view = inject(DOCUMENT).defaultView!;
    const [before, after] = [() => this.say(true), () => this.say(false)];
    view.addEventListener('beforeprint', before);
    view.addEventListener('afterprint', after);
    inject(DestroyRef).onDestroy(() => {
      view.removeEventListener('beforeprint', before);
      view.removeEventListener('afterprint', after);
    });
  }

  /** Drawn at once: the browser lays the paper out as soon as its event is heard. */
  private say(on: boolean): void {
    this.now.set(on);
    this.app.tick();
  }
}
