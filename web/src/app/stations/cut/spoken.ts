import { ChangeDetectionStrategy, Component, DestroyRef, effect, inject, input, signal, untracked } from '@angular/core';
import { readStored, writeStored } from '../../data';

const KEPT = 'iron-patch.spoken';

/** Says the next number aloud by the browser's own voice, for hands that are not at the screen; off until somebody wants it. */
@Component({
  selector: 'ip-spoken',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (voice) {
      <button type="button" class="plain" [attr.aria-pressed]="on()" (click)="turn()">
        {{ on() ? 'Say no more aloud' : 'Say the next number aloud' }}
      </button>
      @if (on()) {
        <button type="button" class="plain" (click)="say(text())">Say it again</button>
      }
    }
  `,
})
export class Spoken {
  readonly text = input.required<string>();
  protected readonly voice = typeof speechSynthesis === 'undefined' ? null : speechSynthesis;
  protected readonly on = signal(readStored(KEPT, false));

  constructor() {
    inject(DestroyRef).onDestroy(() => this.voice?.cancel());
    effect(() => {
      const text = this.text();
      if (untracked(this.on)) this.say(text);
    });
  }

  protected turn(): void {
    this.on.update((on) => !on);
    writeStored(KEPT, this.on());
    if (this.on()) this.say(this.text());
    else this.voice?.cancel();
  }

  /** What is said already stops: only the newest number counts. */
  protected say(text: string): void {
    if (!this.voice || !text) return;
    this.voice.cancel();
    const said = new SpeechSynthesisUtterance(text);
    said.lang = 'en-GB';
    this.voice.speak(said);
  }
}
