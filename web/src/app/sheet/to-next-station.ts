import { ChangeDetectionStrategy, Component, effect, inject, untracked } from '@angular/core';
import { ActivatedRoute, Router } from '@angular/router';
import { SheetStore } from '../sheet-data';

/** A job opened without a station goes to the one that is next; a returned job to its report. */
@Component({
  selector: 'ip-to-next',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<p class="sr-only" role="status">Opening the job.</p>',
})
export class ToNextStation {
  constructor() {
    const store = inject(SheetStore);
    const router = inject(Router);
    const route = inject(ActivatedRoute);
    effect(() => {
      if (!store.repair()) return;
      const station = untracked(() => store.next()?.id ?? 'return');
      void router.navigate([station], { relativeTo: route.parent, replaceUrl: true });
    });
  }
}
