import { computed, DestroyRef, inject, Injectable } from '@angular/core';
import { Drafts } from './drafts';
import { Outbox } from './outbox';
import { PhotoOutbox } from './photo-outbox';

/**
 * Asks before this page is left with something that would be gone: what the server has not stored yet and this browser could not keep.
 * The question itself is the browser's own; pages cannot word it.
 */
@Injectable({ providedIn: 'root' })
export class Leaving {
  private readonly outbox = inject(Outbox);
  private readonly photos = inject(PhotoOutbox);
  private readonly drafts = inject(Drafts);
  readonly loses = computed(() => this.outbox.full() || this.photos.full() || this.drafts.full());

  constructor() {
    const asks = (e: BeforeUnloadEvent): void => {
      if (this.loses()) e.preventDefault();
    };
    addEventListener('beforeunload', asks);
    inject(DestroyRef).onDestroy(() => removeEventListener('beforeunload', asks));
  }
}
