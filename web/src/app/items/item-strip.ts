import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import {
  choiceOf,
  ITEM_STATIONS,
  itemsOff,
  itemStanding,
  type ItemFinding,
  type ItemStation,
  type ItemChoice,
  type JobItem,
  type StationId,
} from '@iron-patch/core';
import { StateMark } from '../mark';
import { SheetStore } from '../sheet-data';
import { ItemForm } from './item-form';
import { ITEM_WORDS } from './item-words';

/** The things that this job does, one after another; the one that is looked at, where each stands here, and how to add, change and order them. */
@Component({
  selector: 'ip-item-strip',
  imports: [StateMark, ItemForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="strip">
      <nav class="items" aria-label="Items of this job">
        @for (i of items(); track i.item.id) {
          <button
            type="button"
            class="item"
            [class.on]="i === at()"
            [class.proposed]="isIdea(i)"
            [attr.aria-current]="i === at() ? 'true' : null"
            (click)="store.seeItem(i.item.id)"
          >
            <b class="number fig">{{ i.number }}&ngsp;</b>
            <span class="name"
              >{{ i.item.name }}
              <small
                >{{ words[i.item.kind] }}{{ i.item.quantity > 1 ? ', ' + i.item.quantity + ' off' : ''
                }}{{ isIdea(i) ? ', proposed' : '' }}</small
              >
            </span>
            @if (state(i); as s) {
              <ip-state [state]="s.state" [size]="15" /><span class="sr-only">{{ s.waitsFor }}</span>
            }
          </button>
        }
      </nav>
      <span class="acts no-print">
        @if (at(); as i) {
          <button type="button" class="plain" [attr.aria-expanded]="open() === 'change'" [disabled]="busy()" (click)="turn('change')">
            Change item
          </button>
        }
        <button type="button" class="plain" [attr.aria-expanded]="open() === 'add'" (click)="turn('add')">Add an item</button>
      </span>
    </div>
    @if (at()?.item?.route; as route) {
      <p class="route quiet">Route: {{ route }}</p>
    }
    @if (open() === 'add') {
      <section class="form" aria-label="A new item"><ip-item-form (closed)="open.set(null)" /></section>
    }
    @if (open() === 'change' && at(); as i) {
      <section class="form" [attr.aria-label]="'Item ' + i.number">
        <ip-item-form [item]="i.item" (closed)="open.set(null)">
          <span foot class="foot">
            @if (i.number > 1) {
              <button type="button" (click)="up(i)">One up</button>
            }
            <button type="button" (click)="off(i.item, true)">Call it off</button>
          </span>
        </ip-item-form>
        @for (o of gone(); track o.id) {
          <p class="quiet">
            {{ o.name }} ({{ words[o.kind] }}) is called off.
            <button type="button" class="plain" (click)="off(o, false)">Take it up again</button>
          </p>
        }
      </section>
    }
    @if (idea(); as i) {
      <p class="said idea">
        <span>Its verdict at Strip asks for this item. Nothing waits for it until it is taken up.</span>
        <button type="button" class="next" (click)="take(i.item)">Take it up</button>
        <button type="button" (click)="off(i.item, true)">Not done</button>
      </p>
    }
  `,
  styles: `
    :host {
      display: block;
      border-bottom: 1px solid var(--hairline);
    }
    .strip {
      display: flex;
      align-items: center;
      gap: 8px;
      padding: 4px 12px 4px 18px;
    }
    .route {
      margin: 0;
      padding: 0 18px 6px;
    }
    .items {
      display: flex;
      flex: 1;
      align-items: stretch;
      gap: 6px;
      min-width: 0;
      overflow-x: auto;
      scrollbar-width: thin;
    }
    .item {
      display: flex;
      align-items: center;
      gap: 9px;
      min-height: 48px;
      padding: 4px 12px 4px 6px;
      border: 1px solid var(--hairline);
      background: var(--sheet);
      color: var(--ink);
      text-align: left;
      flex: none;
    }
    .item.on {
      background: var(--blue-soft);
      border: 2px solid var(--blue);
    }
    .item.proposed {
      border-style: dashed;
    }
    .number {
      font-size: 24px;
      min-width: 26px;
      text-align: center;
    }
    .name {
      font: 600 16px var(--label);
      max-width: 220px;
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    .name small {
      display: block;
      font: 400 14px var(--text);
      color: var(--quiet);
    }
    .acts {
      display: flex;
      flex: none;
      white-space: nowrap;
    }
    .form {
      padding: 6px 18px 14px;
    }
    .foot {
      display: flex;
      gap: 10px;
      margin-right: auto;
    }
    .idea {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 10px;
      margin: 4px 18px 8px;
    }
  `,
})
export class ItemStrip {
  protected readonly store = inject(SheetStore);
  readonly station = input.required<StationId>();
  protected readonly words = ITEM_WORDS;
  protected readonly open = signal<'add' | 'change' | null>(null);
  /** What was said of an item is on its way: whoever changed it now would change it as it was before. */
  protected readonly busy = signal(false);
  protected readonly items = computed(() => this.store.repair()?.items ?? []);
  protected readonly at = computed(() => this.store.repair()?.at ?? null);
  protected readonly gone = computed(() => {
    const sheet = this.store.shown();
    return sheet ? itemsOff(sheet) : [];
  });
  /** The item that is looked at, where nobody took it up yet. */
  protected readonly idea = computed(() => {
    const at = this.at();
    return at && this.isIdea(at) ? at : null;
  });

  protected isIdea = ({ item }: ItemFinding): boolean => item.proposed && item.kind !== 'make';

  protected state(i: ItemFinding): ReturnType<typeof itemStanding> | null {
    const station: ItemStation | undefined = ITEM_STATIONS.find((s) => s === this.station());
    const { repair, shown } = this.store;
    const now = repair();
    const sheet = shown();
    return station && now && sheet ? itemStanding(i, station, { sheet, fits: now.fits, bores: now.bores, items: now.items }) : null;
  }

  protected turn(to: 'add' | 'change'): void {
    this.open.update((o) => (o === to ? null : to));
  }

  protected take(item: JobItem): void {
    void this.put(item, choiceOf(item));
  }

  protected off(item: JobItem, off: boolean): void {
    this.open.set(null);
    void this.put(item, { ...choiceOf(item), off });
  }

  /** Before the one that stands above it. */
  protected up({ item, number }: ItemFinding): void {
    const above = this.items()[number - 2]!.item;
    void this.put(item, { ...choiceOf(item), position: above.position - 0.5 });
  }

  private async put(item: JobItem, choice: ItemChoice): Promise<void> {
    this.busy.set(true);
    try {
      await this.store.putItem(item, choice);
    } catch (e) {
      this.store.bug(e);
    } finally {
      this.busy.set(false);
    }
  }
}
