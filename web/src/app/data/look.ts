import { DestroyRef, effect, inject, Injectable, signal } from '@angular/core';
import { readStored, writeStored } from './stored';

const LOOKS = ['machine', 'light', 'dark', 'contrast'] as const;
/** How this screen looks; `machine` as its own settings ask for. */
export type Look = (typeof LOOKS)[number];

const KEY = 'iron-patch.look';
const asked = (query: string): MediaQueryList | null => (typeof matchMedia === 'undefined' ? null : matchMedia(query));

/** Light, dark or high contrast on this screen; kept in this browser. */
@Injectable({ providedIn: 'root' })
export class LookOfScreen {
  private readonly dark = asked('(prefers-color-scheme: dark)');
  private readonly contrast = asked('(prefers-contrast: more)');
  private readonly ofMachine = signal(this.readMachine());
  readonly chosen = signal<Look>(this.kept());

  constructor() {
    const heard = (): void => this.ofMachine.set(this.readMachine());
    for (const media of [this.dark, this.contrast]) media?.addEventListener('change', heard);
    inject(DestroyRef).onDestroy(() => [this.dark, this.contrast].forEach((media) => media?.removeEventListener('change', heard)));
    effect(() => {
      const chosen = this.chosen();
      document.documentElement.dataset['look'] = chosen === 'machine' ? this.ofMachine() : chosen;
    });
  }

  choose(look: Look): void {
    writeStored(KEY, look);
    this.chosen.set(look);
  }

  private kept(): Look {
    const kept = readStored<string>(KEY, 'machine');
    return LOOKS.find((l) => l === kept) ?? 'machine';
  }

  private readMachine(): Exclude<Look, 'machine'> {
    return this.contrast?.matches ? 'contrast' : this.dark?.matches ? 'dark' : 'light';
  }
}
