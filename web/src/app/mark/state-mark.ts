import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { StationState, Verdict } from '@iron-patch/core';

type Mark = 'fits' | 'close' | 'out' | 'unknown' | 'none';
const MARKS: Readonly<Record<StationState | Verdict, Mark>> = {
  done: 'fits',
  'under-way': 'close',
  'not-yet': 'unknown',
  out: 'out',
  'not-needed': 'none',
  fits: 'fits',
  close: 'close',
  unknown: 'unknown',
};

/** A state by shape first: filled disc fits, half disc close, barred ring out, dotted ring not known, a dash not needed. */
@Component({
  selector: 'ip-state',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 16 16" [attr.width]="size()" [attr.height]="size()" aria-hidden="true">
      @switch (mark()) {
        @case ('fits') {
          <circle cx="8" cy="8" r="6.5" fill="var(--fits)" />
        }
        @case ('close') {
          <circle cx="8" cy="8" r="6" fill="none" stroke="var(--close)" stroke-width="1.6" />
          <path d="M8 2 A6 6 0 0 0 8 14 Z" fill="var(--close)" />
        }
        @case ('out') {
          <circle cx="8" cy="8" r="5.8" fill="none" stroke="var(--out)" stroke-width="2" />
          <path d="M4 12 L12 4" stroke="var(--out)" stroke-width="2" />
        }
        @case ('none') {
          <path d="M4 8 H12" stroke="var(--quiet)" stroke-width="1.8" />
        }
        @default {
          <circle cx="8" cy="8" r="5.8" fill="none" stroke="var(--quiet)" stroke-width="1.8" stroke-dasharray="1.8 1.84" />
        }
      }
    </svg>
  `,
  styles: ':host { display: inline-flex; flex: none; vertical-align: -2px; }',
})
export class StateMark {
  readonly state = input.required<StationState | Verdict>();
  readonly size = input(16);
  protected readonly mark = computed(() => MARKS[this.state()]);
}
