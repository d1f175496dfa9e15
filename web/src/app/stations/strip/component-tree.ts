import { ChangeDetectionStrategy, Component, computed, effect, inject, output, signal, viewChild } from '@angular/core';
import {
  chosenStrip,
  countOf,
  PLACE_KINDS,
  formatPlace,
  formatWithUnit,
  isDiameter,
  materialOf,
  type ComponentRecord,
  type PlaceRecord,
} from '@iron-patch/core';
import { CdkDrag, CdkDragHandle, type CdkDragEnd, type CdkDragMove } from '@angular/cdk/drag-drop';
import { LiveAnnouncer } from '@angular/cdk/a11y';
import { DownOutline, RightOutline } from '@ant-design/icons-angular/icons';
import { NzNoAnimationDirective } from 'ng-zorro-antd/core/animation';
import { NzIconModule, provideNzIconsPatch } from 'ng-zorro-antd/icon';
import { NzTreeViewComponent, NzTreeViewModule } from 'ng-zorro-antd/tree-view';
import { SheetStore } from '../../sheet-data';
import { AsFoundForm } from './as-found-form';
import { ComponentForm, VERDICT_WORDS } from './component-form';
import { PlaceForm } from './place-form';
import { parentsFor } from './parents';

const ROLE_SHORT = { worn: 'worn part', mate: 'mate', other: 'came along' } as const;

interface Branch {
  readonly component: ComponentRecord;
  readonly depth: number;
  /** How many came out of it. */
  readonly inner: number;
}

/** Components in the order of what came out of what. */
function branches(all: readonly ComponentRecord[], parentId: string | null = null, depth = 0): Branch[] {
  return all
    .filter((c) => c.parentId === parentId)
    .flatMap((component) => {
      const out = branches(all, component.id, depth + 1);
      return [{ component, depth, inner: out.length }, ...out];
    });
}

/** What came apart as a tree: each component with how it was found and its places to measure. */
@Component({
  selector: 'ip-component-tree',
  imports: [AsFoundForm, CdkDrag, CdkDragHandle, ComponentForm, NzIconModule, NzNoAnimationDirective, NzTreeViewModule, PlaceForm],
  providers: [provideNzIconsPatch([DownOutline, RightOutline])],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (tree().length) {
      <nz-tree-view aria-label="What came out of what" nzNoAnimation [nzDataSource]="ids()" [nzLevelAccessor]="depthOf">
        <nz-tree-node *nzTreeNodeDef="let id" [nzExpandable]="branch(id).inner > 0" (expandedChange)="fold(branch(id).component, !$event)">
          @let b = branch(id);
          @let c = b.component;
          <article
            cdkDrag
            [cdkDragDisabled]="components().length < 2"
            (cdkDragMoved)="over($event, c)"
            (cdkDragEnded)="drop($event, c)"
            [attr.data-component]="c.id"
            [style.margin-left.px]="28 * b.depth"
            [class.under]="b.depth > 0"
            [class.target]="target() === c.id"
          >
            <header>
              @if (components().length > 1) {
                <button
                  type="button"
                  class="plain grip"
                  cdkDragHandle
                  [attr.aria-label]="'Move ' + c.name"
                  [attr.aria-expanded]="opened() === 'm' + c.id"
                  title="Drag it onto what it came out of, or touch to choose"
                  (click)="open(opened() === 'm' + c.id ? '' : 'm' + c.id)"
                >
                  <svg viewBox="0 0 16 16" width="16" height="16" aria-hidden="true">
                    <path d="M2 4H14M2 8H14M2 12H14" stroke="currentColor" stroke-width="1.6" />
                  </svg>
                </button>
              }
              @if (b.inner) {
                <button
                  type="button"
                  class="plain fold"
                  [attr.aria-expanded]="!folded().has(c.id)"
                  [attr.aria-label]="'What came out of ' + c.name"
                  (click)="fold(c, !folded().has(c.id))"
                >
                  <span nz-icon [nzType]="folded().has(c.id) ? 'right' : 'down'" aria-hidden="true"></span>
                </button>
              }
              <h2>{{ c.name }}</h2>
              <span class="quiet"
                >{{ roles[c.role] }}, {{ material(c) }}, {{ c.verdict ? verdicts[c.verdict].toLowerCase() : 'no verdict yet' }}</span
              >
              <span class="push"></span>
              <button type="button" class="plain" [attr.aria-label]="'As found: ' + c.name" (click)="open('s' + c.id)">As found</button>
              <button type="button" class="plain" [attr.aria-label]="'Change ' + c.name" (click)="open('c' + c.id)">Change</button>
              @if (!places(c).length) {
                <button type="button" class="plain" [attr.aria-label]="'Remove ' + c.name" (click)="remove(c)">Remove</button>
              }
            </header>
            @if (opened() === 'm' + c.id) {
              <div class="row moves" role="group" [attr.aria-label]="c.name + ' came out of'">
                <span>{{ c.name }} came out of</span>
                @for (p of parents(c); track p.id) {
                  <button type="button" (click)="move(c, p)">{{ p.name }}</button>
                }
                @if (c.parentId) {
                  <button type="button" (click)="move(c, null)">nothing: it stands by itself</button>
                }
              </div>
            }
            @for (line of asFound(c); track line) {
              <p class="found">{{ line }}</p>
            }
            @if (opened() === 's' + c.id) {
              <ip-as-found-form [component]="c" (closed)="open('')" />
            }
            @if (opened() === 'c' + c.id) {
              <ip-component-form [record]="c" (closed)="open('')" />
            }
            @if (places(c).length) {
              <div class="scroll" tabindex="0" role="region" [attr.aria-label]="'Places of ' + c.name">
                <table class="plain">
                  <thead>
                    <tr>
                      <th>Place</th>
                      <th>Kind</th>
                      <th class="num">from, to ({{ store.unit() }})</th>
                      <th>Stations and clocks</th>
                      <th>Fits</th>
                      <th><span class="sr-only">Change</span></th>
                    </tr>
                  </thead>
                  <tbody>
                    @for (f of places(c); track f.id) {
                      <tr>
                        <td>
                          <b>{{ f.name }}</b>
                        </td>
                        <td>{{ kindOf(f) }}</td>
                        <td class="num">
                          {{ place(f.startMm) }} to {{ place(f.startMm + f.lengthMm) }}
                          @if (f.detail.lengthAssumed) {
                            <small class="quiet" title="Nobody said how long it is: taken from the stations that were read">not said</small>
                          }
                        </td>
                        <td class="fig small">{{ stations(f) }}; {{ countOf(f.clocksDeg.length, 'clock') }}</td>
                        <td>{{ mateOf(f) }}</td>
                        <td class="acts">
                          <button type="button" class="plain" [attr.aria-label]="'Change ' + f.name" (click)="open('f' + f.id)">
                            Change
                          </button>
                          <button type="button" class="plain" [attr.aria-label]="'Repeat ' + f.name" (click)="open('r' + f.id)">
                            Repeat
                          </button>
                          <button type="button" class="plain" [attr.aria-label]="'Remove ' + f.name" (click)="removePlace(f)">
                            Remove
                          </button>
                        </td>
                      </tr>
                      @if (opened() === 'f' + f.id) {
                        <tr>
                          <td colspan="6"><ip-place-form [componentId]="c.id" [record]="f" (closed)="open('')" /></td>
                        </tr>
                      }
                      @if (opened() === 'r' + f.id) {
                        <tr>
                          <td colspan="6"><ip-place-form [componentId]="c.id" [like]="f" (closed)="open('')" /></td>
                        </tr>
                      }
                    }
                  </tbody>
                </table>
              </div>
            }
            @if (opened() === 'n' + c.id) {
              <ip-place-form [componentId]="c.id" (closed)="open('')" />
            } @else {
              <div class="row">
                <button type="button" [class.next]="nextIsPlace(c)" (click)="open('n' + c.id)">
                  Add a place to measure on {{ c.name }}
                </button>
                <button type="button" class="plain" (click)="destroy.emit(c.id)">Saw, press or grind it</button>
              </div>
            }
          </article>
        </nz-tree-node>
      </nz-tree-view>
    } @else {
      <p class="empty">Nothing is on record yet. Start with the worn part; then add what it runs in.</p>
    }
    @if (opened() === 'new') {
      <article>
        <h2>New component</h2>
        <ip-component-form (closed)="open('')" />
      </article>
    } @else {
      <button type="button" [class.next]="nextIsComponent()" (click)="open('new')">Add a component</button>
    }
  `,
  styleUrl: './component-tree.less',
})
export class ComponentTree {
  protected readonly countOf = countOf;
  protected readonly store = inject(SheetStore);
  /** Somebody means to do something to a component that cannot be undone. */
  readonly destroy = output<string>();
  protected readonly roles = ROLE_SHORT;
  protected readonly verdicts = VERDICT_WORDS;
  protected readonly opened = signal('');
  private readonly announcer = inject(LiveAnnouncer);
  /** The component that a dragged one would be put under. */
  protected readonly target = signal('');
  protected readonly components = computed(() => this.store.sheet()?.components ?? []);
  protected readonly tree = computed(() => branches(this.components()));
  /** Components whose own are folded away. */
  protected readonly folded = signal<ReadonlySet<string>>(new Set());
  private readonly view = viewChild<NzTreeViewComponent<string>>(NzTreeViewComponent);
  private readonly shape = computed(() => JSON.stringify(this.tree().map((b) => [b.component.id, b.depth])));
  /** The tree holds ids, and is laid out anew where one stands elsewhere: what is open stays so when a component is changed. */
  protected readonly ids = computed(() => (JSON.parse(this.shape()) as [string, number][]).map(([id]) => id));
  private readonly byId = computed(() => new Map(this.tree().map((b) => [b.component.id, b])));
  /** One that is being taken off the screen is still drawn once as it was. */
  private readonly before = new Map<string, Branch>();
  protected readonly depthOf = (id: string): number => this.branch(id).depth;
  protected readonly nextIsComponent = computed(() => {
    const roles = this.components().map((c) => c.role);
    return !roles.includes('worn') || (!roles.includes('mate') && this.components().every((c) => this.places(c).length > 0));
  });

  constructor() {
    // Everything lies open until somebody folds it: what was just added is never hidden.
    effect(() => {
      const [view, tree, folded] = [this.view(), this.tree(), this.folded()];
      if (!view) return;
      for (const { component, inner } of tree)
        if (inner && view.isExpanded(component.id) === folded.has(component.id)) view.toggle(component.id);
    });
  }

  protected branch(id: string): Branch {
    const now = this.byId().get(id);
    if (now) this.before.set(id, now);
    return now ?? this.before.get(id)!;
  }

  protected fold(c: ComponentRecord, away: boolean): void {
    if (this.folded().has(c.id) === away) return;
    this.folded.update((now) => new Set(away ? [...now, c.id] : [...now].filter((id) => id !== c.id)));
  }

  protected parents(c: ComponentRecord): readonly ComponentRecord[] {
    return parentsFor(this.components(), c);
  }

  protected over({ pointerPosition: { x, y } }: CdkDragMove, c: ComponentRecord): void {
    this.target.set(this.under(x, y, c)?.id ?? '');
  }

  /** Onto another component: it came out of that. Beside them all: it stands by itself. Onto where it is: nothing. */
  protected drop({ source, dropPoint: { x, y } }: CdkDragEnd, c: ComponentRecord): void {
    source.reset();
    this.target.set('');
    const under = this.under(x, y, c);
    const among = document.elementFromPoint(x, y)?.closest('article[data-component]');
    if (under) this.move(c, under);
    else if (!among && c.parentId) this.move(c, null);
  }

  private under(x: number, y: number, c: ComponentRecord): ComponentRecord | undefined {
    const id = document.elementFromPoint(x, y)?.closest<HTMLElement>('article[data-component]')?.dataset['component'];
    return this.parents(c).find((p) => p.id === id);
  }

  protected move(c: ComponentRecord, to: ComponentRecord | null): void {
    this.opened.set('');
    void this.store
      .moveComponent(c, to?.id ?? null)
      .then(() => this.announcer.announce(to ? `${c.name} came out of ${to.name}` : `${c.name} stands by itself`, 'polite'))
      .catch(this.store.bug);
  }

  protected open(what: string): void {
    this.opened.set(what);
  }

  protected places(c: ComponentRecord): PlaceRecord[] {
    return this.store.sheet()!.places.filter((f) => f.componentId === c.id);
  }

  protected nextIsPlace(c: ComponentRecord): boolean {
    return c.role !== 'other' && this.places(c).length === 0;
  }

  protected material(c: ComponentRecord): string {
    return materialOf(c.materialId)?.name ?? 'material not known';
  }

  protected kindOf(f: PlaceRecord): string {
    const kind = isDiameter(f.kind) ? `${f.side}${f.kind === 'taper' ? ' taper' : ''}` : PLACE_KINDS[f.kind].name.toLowerCase();
    return f.land === 'unworn' ? `${kind}, never ran` : kind;
  }

  /** How it was found, in sentences. */
  protected asFound(c: ComponentRecord): string[] {
    const strip = chosenStrip(this.store.sheet()!, c.id);
    const unit = this.store.unit();
    const play = [
      ...(strip?.endPlayMm == null ? [] : [`end play ${formatWithUnit(strip.endPlayMm, unit)}`]),
      ...(strip?.sidePlayMm == null ? [] : [`side play ${formatWithUnit(strip.sidePlayMm, unit)}`]),
      ...(strip?.shims ?? []).map((s) => `shims ${formatWithUnit(s.thicknessMm, unit)} on the ${s.side}`),
    ];
    return [
      c.asFound,
      strip?.faced ? `Faced: ${strip.faced}` : '',
      play.length ? `${play.join(', ')}.` : '',
      strip?.damaged ? `Damaged to open it: ${strip.damaged}` : '',
    ].filter(Boolean);
  }

  protected place(mm: number): string {
    return formatPlace(mm, this.store.unit());
  }

  protected stations(f: PlaceRecord): string {
    return f.stationsMm.map((mm) => this.place(mm)).join(', ');
  }

  protected mateOf(f: PlaceRecord): string {
    const { places } = this.store.sheet()!;
    const mate = places.find((x) => x.id === f.matesPlaceId);
    const back = places.filter((x) => x.matesPlaceId === f.id);
    return [mate, ...back].flatMap((x) => (x ? [x.name] : [])).join(', ') || '–';
  }

  protected remove(c: ComponentRecord): void {
    void this.store.removeComponent(c).catch(this.store.bug);
  }

  protected removePlace(f: PlaceRecord): void {
    void this.store.removePlace(f).catch(this.store.bug);
  }
}
