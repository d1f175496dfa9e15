import { Injectable, signal } from '@angular/core';
import type { Spot } from '@iron-patch/core';

/** A reading that was typed with its place and is to go through the reading line like any other. */
export interface QueuedReading {
  readonly placeId: string;
  readonly spot: Spot;
  readonly text: string;
}

/** Readings that wait for the reading line: one that is doubted holds up the next, and is never taken for another place than its own. */
@Injectable({ providedIn: 'root' })
export class ReadQueue {
  private readonly waiting = signal<readonly QueuedReading[]>([]);
  private readonly standing = signal<QueuedReading | null>(null);
  private readonly stopped = signal(false);
  /** The one that stands in the line until it is taken or given up. */
  readonly inLine = this.standing.asReadonly();
  /** Somebody went to another place while one stood in the line: nothing goes on by itself. */
  readonly paused = this.stopped.asReadonly();

  /** The first that waits for a place of the job that is looked at; null where none does. */
  first(here: (placeId: string) => boolean): QueuedReading | null {
    return this.waiting().find((r) => here(r.placeId)) ?? null;
  }

  countOf(here: (placeId: string) => boolean): number {
    return this.waiting().filter((r) => here(r.placeId)).length;
  }

  add(readings: readonly QueuedReading[]): void {
    this.waiting.update((w) => [...w, ...readings]);
    this.stopped.set(false);
  }

  /** It goes into the line. */
  take(reading: QueuedReading): void {
    this.standing.set(reading);
    this.waiting.update((w) => w.filter((r) => r !== reading));
  }

  /** What stood in the line was taken, or given up. */
  settled(): void {
    this.standing.set(null);
  }

  /** What stands in the line waits again, before the others, until somebody goes on. */
  putBack(): void {
    const held = this.standing();
    if (!held) return;
    this.standing.set(null);
    this.waiting.update((w) => [held, ...w]);
    this.stopped.set(true);
  }

  goOn(): void {
    this.stopped.set(false);
  }

  /** They are left out on purpose. */
  leaveOut(here: (placeId: string) => boolean): void {
    this.waiting.update((w) => w.filter((r) => !here(r.placeId)));
    this.stopped.set(false);
  }
}
