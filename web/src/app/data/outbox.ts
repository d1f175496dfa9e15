import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { routes, type ReadingInput } from '@iron-patch/contract/wire';
import type { Problem, ReadingRecord } from '@iron-patch/core';
import { Subject } from 'rxjs';
import { Api, PERSON_KEY, refusalOf } from './api';
import { Live } from './live';
import { OneByOne } from './one-by-one';
import { readStored, writeStored } from './stored';

/** A reading on its way to the server, or refused by it. */
export interface OutboxItem {
  readonly jobId: string;
  readonly personId: string;
  readonly input: ReadingInput;
  /** The value as this browser reads the text, mm, to show until the server has it. */
  readonly valueMm: number;
  /** Why the server would not take it; null while it is waiting. */
  readonly refused: readonly Problem[] | null;
}

const PREFIX = 'iron-patch.outbox.';
const RETRY_MS = 1000;

/**
 * Readings typed here and not yet acknowledged. Each is kept in the browser under its own key before it is sent, and removed
 * only when the server has stored it, so that a reload, a dead line or a killed server loses none. A reading's id is its
 * idempotency key: however often it is sent, it is recorded once.
 */
@Injectable({ providedIn: 'root' })
export class Outbox {
  private readonly api = inject(Api);
  private readonly live = inject(Live);
  private readonly all = signal<readonly OutboxItem[]>(this.stored());
  private readonly line = new OneByOne<OutboxItem>(
    () => this.all().find((i) => i.refused === null),
    (item) => this.sendOne(item),
  );
  /** True when the browser had no room to keep a reading. */
  readonly full = signal(false);
  readonly items = this.all.asReadonly();
  readonly waiting = computed(() => this.all().filter((i) => i.refused === null).length);
  readonly refused = computed(() => this.all().filter((i) => i.refused !== null));
  readonly acknowledged = new Subject<ReadingRecord>();

  constructor() {
    inject(DestroyRef).onDestroy(() => this.line.stop());
    this.live.back.subscribe(() => void this.flush());
    void this.flush();
  }

  add(jobId: string, input: ReadingInput, valueMm: number): OutboxItem {
    const item: OutboxItem = { jobId, personId: readStored<string>(PERSON_KEY, ''), input, valueMm, refused: null };
    this.full.set(!writeStored(PREFIX + input.id, item));
    this.all.update((items) => [...items, item]);
    // It is kept: sending it can wait until it is seen.
    this.line.later(0);
    return item;
  }

  /** Drops a refused reading that somebody has looked at. */
  drop(id: string): void {
    localStorage.removeItem(PREFIX + id);
    this.all.update((items) => items.filter((i) => i.input.id !== id));
  }

  /** Sends a refused reading again, as somebody said that it is right. */
  insist(id: string): void {
    const item = this.all().find((i) => i.input.id === id);
    if (!item) return;
    this.drop(id);
    this.add(item.jobId, { ...item.input, confirmed: true }, item.valueMm);
  }

  flush(): Promise<void> {
    return this.line.flush();
  }

  private async sendOne(item: OutboxItem): Promise<boolean> {
    try {
      this.acknowledged.next(await this.api.post<ReadingRecord>(routes.readings(item.jobId), item.input, item.input.id, item.personId));
      this.drop(item.input.id);
      return true;
    } catch (e) {
      const refused = refusalOf(e);
      if (refused) this.refuse(item, refused);
      else this.line.later(RETRY_MS);
      return refused !== null;
    }
  }

  private refuse(item: OutboxItem, refused: readonly Problem[]): void {
    const marked = { ...item, refused };
    writeStored(PREFIX + item.input.id, marked);
    this.all.update((items) => items.map((i) => (i.input.id === item.input.id ? marked : i)));
  }

  private stored(): OutboxItem[] {
    const keys = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i)!).filter((k) => k.startsWith(PREFIX));
    return keys
      .map((k) => readStored<OutboxItem | null>(k, null))
      .filter((i): i is OutboxItem => i !== null)
      .sort((p, q) => p.input.takenAt.localeCompare(q.input.takenAt));
  }
}
