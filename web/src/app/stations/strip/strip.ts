import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ACTS, CAUTIONS, earlierRepairs, fragments, looseFragments, softParts, inSentence } from '@iron-patch/core';
import { NzTabsModule } from 'ng-zorro-antd/tabs';
import { SheetStore } from '../../sheet-data';
import { CautionNote } from '../../show';
import { ComponentTree } from './component-tree';
import { FitsMap } from './fits-map';
import { LoosePieces } from './loose-pieces';
import { NoReturn } from './no-return';
import { ToOrder } from './to-order';

const TABS = ['apart', 'fits', 'to-order', 'loose', 'no-return'] as const;
type Tab = (typeof TABS)[number];
const TAB_WORDS: Readonly<Record<Tab, string>> = {
  apart: 'What came apart',
  fits: 'What fits what',
  'to-order': 'Parts to order',
  loose: 'Loose pieces, earlier repairs',
  'no-return': 'Point of no return',
};

/** What came apart, what fits together with what, what is ordered, what is loose, and what may be destroyed only once it is measured. */
@Component({
  selector: 'ip-strip',
  imports: [CautionNote, ComponentTree, FitsMap, LoosePieces, NoReturn, NzTabsModule, ToOrder],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section>
      @if (hazards().length > 1) {
        <details class="said">
          <summary>{{ hazardNames() }}</summary>
          @for (h of hazards(); track h) {
            <ip-caution [hazard]="h" />
          }
        </details>
      } @else {
        @for (h of hazards(); track h) {
          <ip-caution [hazard]="h" />
        }
      }
      @if (held() && tab() !== 'no-return') {
        <p class="said bad" role="alert">
          The point of no return: {{ held() }} is planned, and what it takes is not on record yet.
          <button type="button" (click)="store.turnTo('no-return')">See what is missing</button>
        </p>
      }
      <nz-tabs
        [nzAnimated]="false"
        [nzDestroyInactiveTabPane]="true"
        [nzSelectedIndex]="tabs.indexOf(tab())"
        (nzSelectedIndexChange)="store.turnTo(tabs[$event]!)"
      >
        @for (t of tabs; track t) {
          <nz-tab [nzTitle]="words[t] + counts()[t]">
            <ng-template nz-tab>
              @switch (t) {
                @case ('apart') {
                  <ip-component-tree (destroy)="destroy($event)" />
                }
                @case ('fits') {
                  <ip-fits-map />
                }
                @case ('to-order') {
                  <ip-to-order />
                }
                @case ('loose') {
                  <ip-loose-pieces />
                }
                @default {
                  <ip-no-return [meant]="meant()" />
                }
              }
            </ng-template>
          </nz-tab>
        }
      </nz-tabs>
    </section>
  `,
  styles: `
    section {
      padding: 10px 20px 24px;
      display: grid;
      gap: 14px;
    }
    summary {
      cursor: pointer;
      font: 600 16px var(--label);
      min-height: 28px;
    }
    .said button {
      margin-left: 12px;
    }
  `,
})
export class Strip {
  protected readonly store = inject(SheetStore);
  protected readonly tabs = TABS;
  protected readonly words = TAB_WORDS;
  protected readonly tab = computed<Tab>(() => TABS.find((t) => t === this.store.leaf()) ?? 'apart');
  protected readonly meant = signal('');
  protected readonly hazards = computed(() => this.store.sheet()?.job.hazards ?? []);
  /** Several cautions are named in one line, each told in full when it is opened. */
  protected readonly hazardNames = computed(
    () =>
      `${this.hazards().length} cautions: ${this.hazards()
        .map((h) => CAUTIONS[h].what)
        .join(' ')}`,
  );
  protected readonly held = computed(() => {
    const point = this.store.repair()?.pointsOfNoReturn.find((p) => p.state === 'held');
    return point ? `${inSentence(ACTS[point.act.value.kind].name)}, ${inSentence(point.componentName)}` : '';
  });
  /** How much stands behind each tab; a loose piece not accounted for says so. */
  protected readonly counts = computed<Readonly<Record<Tab, string>>>(() => {
    const sheet = this.store.sheet();
    const many = (n: number): string => (n ? ` (${n})` : '');
    if (!sheet) return { apart: '', fits: '', 'to-order': '', loose: '', 'no-return': '' };
    const loose = looseFragments(sheet).length;
    return {
      apart: many(sheet.components.length),
      fits: '',
      'to-order': many(softParts(sheet).length),
      loose: loose ? ` (${loose} open)` : many(fragments(sheet).length + earlierRepairs(sheet).length),
      'no-return': many(this.store.repair()?.pointsOfNoReturn.length ?? 0),
    };
  });

  protected destroy(componentId: string): void {
    this.meant.set(componentId);
    this.store.turnTo('no-return');
  }
}
