import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import {
  MOST_WAITING,
  routes,
  type ProblemDetails,
  type ReadingInput,
  type WaitingAnswers,
  type WaitingReading,
} from '@iron-patch/contract/wire';
import type { Problem, ReadingRecord } from '@iron-patch/core';
import { namesNow } from '@iron-patch/core/terms/names';
import { Subject } from 'rxjs';
import { ApiProblem, NoAnswer, refusalOf, waitsForSignIn } from './answers';
import { Api } from './api';
import { PERSON_KEY } from './http';
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
const OTHERS_FIRST_MS = 400;
const asTyped = (p: OutboxItem, q: OutboxItem): number => p.input.takenAt.localeCompare(q.input.takenAt);

/**
 * Readings typed here and not yet acknowledged. Each is kept in the browser under its own key before it is sent, and removed
 * only when the server has stored it, so that a reload, a closed page, a dead line or a killed server loses none: whatever page of the shop
 * is open in this browser sees them at once and sends them, one page at a time, in the order in which they were typed. A reading's id is
 * its idempotency key: however often it is sent, it is recorded once.
 */
@Injectable({ providedIn: 'root' })
export class Outbox {
  private readonly api = inject(Api);
  private readonly live = inject(Live);
  private readonly all = signal<readonly OutboxItem[]>(this.stored());
  private readonly line = new OneByOne<readonly OutboxItem[]>(
    () => {
      const first = this.all()
        .filter((i) => i.refused === null)
        .slice(0, MOST_WAITING);
      return first.length ? first : undefined;
    },
    (items) => this.send(items),
    'iron-patch.outbox',
  );
  /** Ids of readings that the browser had no room to keep: until they are sent this page must stay open. */
  private readonly unkept = signal<ReadonlySet<string>>(new Set());
  readonly full = computed(() => this.unkept().size > 0);
  readonly items = this.all.asReadonly();
  readonly waiting = computed(() => this.all().filter((i) => i.refused === null).length);
  readonly refused = computed(() => this.all().filter((i) => i.refused !== null));
  readonly acknowledged = new Subject<ReadingRecord>();

  constructor() {
    const destroyed = inject(DestroyRef);
    destroyed.onDestroy(() => this.line.stop());
    const heard = (e: StorageEvent): void => this.changedElsewhere(e);
    addEventListener('storage', heard);
    destroyed.onDestroy(() => removeEventListener('storage', heard));
    this.live.back.subscribe(() => void this.flush());
    void this.flush();
  }

  add(jobId: string, input: ReadingInput, valueMm: number): OutboxItem {
    const item: OutboxItem = { jobId, personId: readStored<string>(PERSON_KEY, ''), input, valueMm, refused: null };
    if (!writeStored(PREFIX + input.id, item)) this.unkept.update((ids) => new Set([...ids, input.id]));
    this.all.update((items) => [...items, item]);
    // It is kept: sending it can wait until it is seen.
    this.line.later(0);
    return item;
  }

  /** Drops a refused reading that somebody has looked at. */
  drop(id: string): void {
    localStorage.removeItem(PREFIX + id);
    this.forget(id);
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

  private forget(id: string): void {
    this.unkept.update((ids) => (ids.has(id) ? new Set([...ids].filter((i) => i !== id)) : ids));
    this.all.update((items) => items.filter((i) => i.input.id !== id));
  }

  /** Another page of this browser kept a reading, had one stored, or was refused one; without a key it emptied all. */
  private changedElsewhere({ key, newValue }: StorageEvent): void {
    if (key !== null && !key.startsWith(PREFIX)) return;
    const mine = this.all().filter((i) => this.unkept().has(i.input.id));
    // What did not change stays the very object that it was: whatever hangs on it need not work out anew.
    const before = new Map(this.all().map((i) => [i.input.id, i]));
    const kept = this.stored().map((i) => {
      const known = before.get(i.input.id);
      return known && (known.refused === null) === (i.refused === null) ? known : i;
    });
    this.all.set([...kept, ...mine].sort(asTyped));
    // The page that it was typed in sends it first; where that page is gone, this one does.
    if (newValue !== null) this.line.later(OTHERS_FIRST_MS);
  }

  /** Sends those that wait longest, in the order in which they were typed; false where there is no use in going on now. */
  private async send(items: readonly OutboxItem[]): Promise<boolean> {
    // Another page may have had some stored meanwhile.
    const gone = items.filter((i) => !this.unkept().has(i.input.id) && readStored(PREFIX + i.input.id, null) === null);
    for (const { input } of gone) this.forget(input.id);
    const left = items.filter((i) => !gone.includes(i));
    if (!left.length) return true;
    try {
      if (left.length === 1) await this.sendOne(left[0]!);
      else await this.sendAll(left);
      return true;
    } catch (e) {
      // No answer, or none that says what became of it: it stays kept and is sent again, at once where somebody has to sign in first.
      if (!waitsForSignIn(e)) this.line.later(RETRY_MS);
      return false;
    }
  }

  private async sendOne(item: OutboxItem): Promise<void> {
    const { jobId, personId, input } = item;
    const stored = await this.api.post<ReadingRecord>(routes.readings(jobId), input, input.id, personId).catch((e: unknown) => {
      const refused = refusalOf(e);
      if (!refused) throw e;
      this.refuse(item, refused);
      return null;
    });
    if (stored) this.store(stored);
  }

  private async sendAll(items: readonly OutboxItem[]): Promise<void> {
    const readings = items.map(({ jobId, personId, input }): WaitingReading => ({ jobId, personId, input }));
    const { answers } = await this.api.post<WaitingAnswers>(routes.readingsWaiting, { readings });
    let waits: Error | null = null;
    for (const [i, { status, body }] of answers.entries()) {
      const refused = status === 201 ? null : refusalOf(new ApiProblem(body as ProblemDetails));
      if (status === 201) this.store(body as ReadingRecord);
      else if (refused) this.refuse(items[i]!, refused);
      // Whoever took it is not signed in here; those of others have gone.
      else waits ??= new ApiProblem(body as ProblemDetails);
    }
    if (waits) throw waits;
    if (answers.length < items.length) throw new NoAnswer('The server could not go on.');
  }

  private store(reading: ReadingRecord): void {
    this.acknowledged.next(reading);
    this.drop(reading.id);
  }

  private refuse(item: OutboxItem, refused: readonly Problem[]): void {
    const marked = { ...item, refused };
    writeStored(PREFIX + item.input.id, marked);
    this.all.update((items) => items.map((i) => (i.input.id === item.input.id ? marked : i)));
  }

  private stored(): OutboxItem[] {
    const keys = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i)!).filter((k) => k.startsWith(PREFIX));
    return keys
      .map((k) => namesNow(readStored<OutboxItem | null>(k, null)) as OutboxItem | null)
      .filter((i): i is OutboxItem => i !== null)
      .sort(asTyped);
  }
}
