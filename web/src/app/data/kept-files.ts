import { Injectable } from '@angular/core';
import { Shelf } from './shelf';

/** Files that the browser keeps over a reload, each under its id. */
@Injectable({ providedIn: 'root' })
export class KeptFiles<T extends { readonly id: string } = { readonly id: string }> {
  private readonly shelf = new Shelf<T>('iron-patch', 'files');

  put(row: T): Promise<boolean> {
    return this.shelf.put(row.id, row);
  }

  remove(id: string): Promise<void> {
    return this.shelf.remove(id);
  }

  all(): Promise<T[]> {
    return this.shelf.all();
  }
}
