import { Injectable } from '@angular/core';
import { createStore, del, set, values, type UseStore } from 'idb-keyval';

/** Files that the browser keeps over a reload, each under its id. */
@Injectable({ providedIn: 'root' })
export class KeptFiles<T extends { readonly id: string } = { readonly id: string }> {
  private store: UseStore | null = null;

  /** False when the browser has no room or forbids it. */
  put(row: T): Promise<boolean> {
    return this.attempt((s) => set(row.id, row, s).then(() => true), false);
  }

  remove(id: string): Promise<void> {
    return this.attempt((s) => del(id, s), undefined);
  }

  all(): Promise<T[]> {
    return this.attempt((s) => values<T>(s), []);
  }

  private async attempt<R>(act: (store: UseStore) => Promise<R>, otherwise: R): Promise<R> {
    try {
      return await act((this.store ??= createStore('iron-patch', 'files')));
    } catch {
      return otherwise;
    }
  }
}
