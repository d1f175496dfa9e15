import { Injectable, signal } from '@angular/core';

/** A form asks for a place along the part; a touch on the picture answers. */
@Injectable({ providedIn: 'root' })
export class PlacePicker {
  private readonly asked = signal<((atMm: number) => void) | null>(null);
  readonly asking = (): boolean => this.asked() !== null;

  /** @param answer takes the place on the shared axis, mm from the worn part's zero face */
  ask(answer: (atMm: number) => void): void {
    this.asked.set(answer);
  }

  answer(atMm: number): void {
    this.asked()?.(atMm);
    this.asked.set(null);
  }

  cancel(): void {
    this.asked.set(null);
  }
}
