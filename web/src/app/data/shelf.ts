import { createStore, del, get, set, values, type UseStore } from 'idb-keyval';

/** A shelf of this browser's own database (IndexedDB). A browser that has no room, or forbids it, keeps nothing and says so. */
export class Shelf<T> {
  private store: UseStore | null = null;

  constructor(
    private readonly database: string,
    private readonly name: string,
  ) {}

  /** False when the browser has no room or forbids it. */
  put(key: string, row: T): Promise<boolean> {
    return this.attempt((s) => set(key, row, s).then(() => true), false);
  }

  get(key: string): Promise<T | undefined> {
    return this.attempt((s) => get<T>(key, s), undefined);
  }

  remove(key: string): Promise<void> {
    return this.attempt((s) => del(key, s), undefined);
  }

  all(): Promise<T[]> {
    return this.attempt((s) => values<T>(s), []);
  }

  private async attempt<R>(act: (store: UseStore) => Promise<R>, otherwise: R): Promise<R> {
    try {
      return await act((this.store ??= createStore(this.database, this.name)));
    } catch {
      return otherwise;
    }
  }
}
