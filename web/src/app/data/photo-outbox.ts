import { DestroyRef, inject, Injectable, signal } from '@angular/core';
import { routes } from '@iron-patch/contract/wire';
import type { PhotoRecord } from '@iron-patch/core';
import { Subject } from 'rxjs';
import { refusalOf, waitsForSignIn } from './answers';
import { Api } from './api';
import { PERSON_KEY } from './http';
import { KeptFiles } from './kept-files';
import { Live } from './live';
import { newId } from './new-id';
import { OneByOne } from './one-by-one';
import { readStored } from './stored';

/** A photograph on its way to the server, or refused by it. */
export interface WaitingPhoto {
  readonly id: string;
  readonly jobId: string;
  readonly personId: string;
  readonly name: string;
  readonly file: Blob;
  readonly takenAt: string;
  /** Why the server would not take it; empty while it is on its way. */
  readonly refused: string;
}

const RETRY_MS = 3000;

/**
 * Photographs taken here and not yet acknowledged. Each is kept in the browser before it is sent and removed only when the server
 * has stored it: what a machine looked like before it was stripped cannot be taken again. Its id is its key, so that it is stored once.
 */
@Injectable({ providedIn: 'root' })
export class PhotoOutbox {
  private readonly api = inject(Api);
  private readonly live = inject(Live);
  private readonly kept = inject<KeptFiles<WaitingPhoto>>(KeptFiles);
  private readonly all = signal<readonly WaitingPhoto[]>([]);
  private readonly line = new OneByOne<WaitingPhoto>(
    () => this.all().find((p) => !p.refused),
    (photo) => this.send(photo),
  );
  readonly items = this.all.asReadonly();
  /** The server did not answer the last time. */
  readonly silent = signal(false);
  /** The browser had no room to keep one: until it is sent the page must stay open. */
  readonly full = signal(false);
  /** The one that goes out just now, and how much of it went. */
  readonly going = signal<{ readonly id: string; readonly percent: number } | null>(null);
  readonly acknowledged = new Subject<PhotoRecord>();

  constructor() {
    inject(DestroyRef).onDestroy(() => this.line.stop());
    this.live.back.subscribe(() => void this.flush());
    void this.recall();
  }

  async add(jobId: string, file: File): Promise<void> {
    const photo: WaitingPhoto = {
      id: newId(),
      jobId,
      personId: readStored<string>(PERSON_KEY, ''),
      name: file.name,
      file,
      takenAt: new Date().toISOString(),
      refused: '',
    };
    this.all.update((items) => [...items, photo]);
    if (!(await this.kept.put(photo))) this.full.set(true);
    await this.flush();
  }

  /** Drops one that somebody has looked at. */
  drop(id: string): void {
    this.all.update((items) => items.filter((p) => p.id !== id));
    if (!this.all().length) this.full.set(false);
    void this.kept.remove(id);
  }

  /** Sends a refused one, or all that wait, again. */
  again(id: string): Promise<void> {
    this.mark(id, '');
    return this.flush();
  }

  flush(): Promise<void> {
    return this.line.flush();
  }

  private async recall(): Promise<void> {
    const before = await this.kept.all();
    const known = new Set(this.all().map((p) => p.id));
    const missed = before.filter((p) => !known.has(p.id)).sort((p, q) => p.takenAt.localeCompare(q.takenAt));
    this.all.update((items) => [...missed, ...items]);
    await this.flush();
  }

  private async send({ id, jobId, file, personId }: WaitingPhoto): Promise<boolean> {
    try {
      const stored = await this.api.postFile<PhotoRecord>(routes.photos(jobId), file, id, personId, (share) =>
        this.going.set({ id, percent: Math.round(100 * share) }),
      );
      this.silent.set(false);
      this.acknowledged.next(stored);
      this.drop(id);
      return true;
    } catch (e) {
      const refused = refusalOf(e);
      if (refused) this.mark(id, refused[0]!.message);
      else {
        this.silent.set(true);
        if (!waitsForSignIn(e)) this.line.later(RETRY_MS);
      }
      return refused !== null;
    } finally {
      this.going.set(null);
    }
  }

  private mark(id: string, refused: string): void {
    this.all.update((items) => items.map((p) => (p.id === id ? { ...p, refused } : p)));
    const photo = this.all().find((p) => p.id === id);
    if (photo) void this.kept.put(photo);
  }
}
