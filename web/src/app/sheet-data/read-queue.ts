import { Injectable, signal } from '@angular/core';
import type { Spot } from '@iron-patch/core';

/** A reading that was typed with its place and is to go through the reading line like any other. */
export interface QueuedReading {
  readonly placeId: string;
  readonly spot: Spot;
  readonly text: string;
}

/** Readings that wait for the reading line: one that is doubted holds up the next. */
@Injectable({ providedIn: 'root' })
export class ReadQueue {
  private readonly waiting = signal<readonly QueuedReading[]>([]);
  readonly head = (): QueuedReading | null => this.waiting()[0] ?? null;
  readonly count = (): number => this.waiting().length;

  add(readings: readonly QueuedReading[]): void {
    this.waiting.update((w) => [...w, ...readings]);
  }

  shift(): void {
    this.waiting.update((w) => w.slice(1));
  }

  clear(): void {
    this.waiting.set([]);
  }
}
