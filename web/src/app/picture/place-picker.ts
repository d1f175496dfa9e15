import { computed, Injectable, signal } from '@angular/core';

interface Asked {
  readonly words: string;
  readonly answer: (atMm: number) => void;
}

/** A form asks for a place along the part; a touch on the picture answers. */
@Injectable({ providedIn: 'root' })
export class PlacePicker {
  private readonly asked = signal<Asked | null>(null);
  readonly asking = (): boolean => this.asked() !== null;
  /** What the hand is asked to do. */
  readonly words = computed(() => this.asked()?.words ?? '');

  /** @param answer takes the place on the shared axis, mm from the worn part's zero face */
  ask(answer: (atMm: number) => void, words = 'Touch the place'): void {
    this.asked.set({ answer, words });
  }

  answer(atMm: number): void {
    const asked = this.asked();
    this.asked.set(null);
    // It may ask for the next place at once.
    asked?.answer(atMm);
  }

  cancel(): void {
    this.asked.set(null);
  }
}
