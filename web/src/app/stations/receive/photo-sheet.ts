import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import { routes } from '@iron-patch/contract';
import type { PhotoMarker, PhotoRecord } from '@iron-patch/core';
import { NzModalModule } from 'ng-zorro-antd/modal';
import { NamedDialog } from '../../show';
import { keptDraft, newId } from '../../data';
import { SheetStore } from '../../sheet-data';
import { DraftNote, TextField } from '../../form';

const NUDGE = 0.02;

/** One photograph large: touch it to set a marker, tie the marker to a place, move it by arrow keys. */
@Component({
  selector: 'ip-photo-sheet',
  imports: [NzModalModule, NamedDialog, TextField, DraftNote],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nz-modal [nzVisible]="true" nzTitle="Photograph" (nzOnCancel)="closed.emit()" [nzFooter]="null" [nzWidth]="1040">
      <ng-container *nzModalContent>
        <div class="sheet">
          <div class="picture">
            <!-- Its sides are known before it has come: it takes its room at once, and a marker stands where it will stand. -->
            <img
              [src]="pixels()"
              [attr.width]="photo().widthPx"
              [attr.height]="photo().heightPx"
              [alt]="photo().caption || 'The photograph'"
              (click)="set($event)"
            />
            @for (m of markers(); track m.id; let i = $index) {
              <button
                type="button"
                class="mark"
                [class.on]="m.id === chosen()"
                [style.left.%]="m.x * 100"
                [style.top.%]="m.y * 100"
                [attr.aria-label]="'Marker ' + (i + 1) + ': ' + words(m) + '. Arrow keys move it'"
                (click)="chosen.set(m.id)"
                (keydown)="move($event, m)"
              >
                {{ i + 1 }}
              </button>
            }
          </div>
          <div class="words">
            <ip-draft-note [kept]="kept" />
            <ip-text label="Caption" name="caption" [value]="caption()" (valueChange)="caption.set($event)" />
            <p class="quiet">Touch the picture where something is to be seen, or</p>
            <button type="button" (click)="add(0.5, 0.5)">Set a marker in the middle</button>
            <ol>
              @for (m of markers(); track m.id; let i = $index) {
                <li [class.on]="m.id === chosen()">
                  <b class="fig">{{ i + 1 }}</b>
                  <span class="fields">
                    <label
                      ><span class="sr-only">Place of marker {{ i + 1 }}</span>
                      <select (change)="tie(m, $event)">
                        <option value="" [selected]="m.placeId === null">no place</option>
                        @for (f of places(); track f.id) {
                          <option [value]="f.id" [selected]="f.id === m.placeId">{{ f.name }}</option>
                        }
                      </select></label
                    >
                    <input
                      class="text"
                      [attr.aria-label]="'What marker ' + (i + 1) + ' shows'"
                      placeholder="what is seen there"
                      maxlength="200"
                      [value]="m.text"
                      (input)="write(m, $event)"
                    />
                  </span>
                  <button type="button" class="plain" [attr.aria-label]="'Remove marker ' + (i + 1)" (click)="remove(m)">Remove</button>
                </li>
              }
            </ol>
            <div class="row end">
              @if (sure()) {
                <span role="alert">Gone is gone.</span>
                <button type="button" (click)="sure.set(false)">Keep it</button>
                <button type="button" class="bad" (click)="takeOff()">Take the picture off</button>
              } @else {
                <button type="button" class="plain" (click)="sure.set(true)">Remove</button>
                <button type="button" class="next" [disabled]="busy() || !changed()" (click)="save()">Save the picture</button>
              }
            </div>
          </div>
        </div>
      </ng-container>
    </nz-modal>
  `,
  styles: `
    .sheet {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 340px;
      gap: 20px;
    }
    .picture {
      position: relative;
      align-self: start;
    }
    img {
      display: block;
      width: 100%;
      height: auto;
      cursor: crosshair;
    }
    .mark {
      position: absolute;
      width: 34px;
      height: 34px;
      min-height: 0;
      margin: -17px 0 0 -17px;
      padding: 0;
      border-radius: 50%;
      border: 2px solid var(--ink);
      background: var(--brass);
      color: var(--on-brass);
      font: 700 16px var(--figures);
    }
    .mark.on {
      outline: 3px solid var(--blue);
    }
    .mark:hover:not(:disabled) {
      background: var(--brass-soft);
    }
    ol {
      margin: 10px 0;
      max-height: 320px;
      overflow: auto;
    }
    li {
      display: flex;
      gap: 8px;
      align-items: center;
      padding: 6px 4px;
      border-bottom: 1px solid var(--hairline);
    }
    li.on {
      background: var(--blue-soft);
    }
    .fields {
      flex: 1;
      display: grid;
      gap: 4px;
    }
    .end {
      justify-content: flex-end;
    }
    .bad {
      color: var(--out);
      border-color: var(--out);
    }
    @media (max-width: 900px) {
      .sheet {
        grid-template-columns: 1fr;
      }
    }
  `,
})
export class PhotoSheet {
  private readonly store = inject(SheetStore);
  readonly photo = input.required<PhotoRecord>();
  readonly closed = output<void>();
  protected readonly chosen = signal('');
  protected readonly sure = signal(false);
  protected readonly busy = signal(false);
  private readonly id = computed(() => this.photo().id);
  /** As it was opened: another's change meanwhile is asked about when this one is saved. */
  private readonly opened = linkedSignal({ source: this.id, computation: () => this.photo() });
  protected readonly caption = linkedSignal({ source: this.id, computation: () => this.photo().caption });
  protected readonly markers = linkedSignal<string, readonly PhotoMarker[]>({ source: this.id, computation: () => this.photo().markers });
  protected readonly kept = keptDraft(() => `photo:${this.id()}`, { caption: this.caption, markers: this.markers, opened: this.opened });
  protected readonly places = computed(() => this.store.sheet()?.places ?? []);
  protected readonly pixels = computed(() => routes.photoPixels(this.id(), 'large'));
  protected readonly changed = computed(() => this.caption() !== this.opened().caption || this.markers() !== this.opened().markers);

  protected words(m: PhotoMarker): string {
    return [this.places().find((f) => f.id === m.placeId)?.name, m.text].filter(Boolean).join(', ') || 'nothing said yet';
  }

  protected set(event: MouseEvent): void {
    const box = (event.target as HTMLElement).getBoundingClientRect();
    if (box.width && box.height) this.add((event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
  }

  protected add(x: number, y: number): void {
    const marker = { id: newId(), x: clamp(x), y: clamp(y), placeId: null, text: '' };
    this.markers.update((all) => [...all, marker]);
    this.chosen.set(marker.id);
  }

  protected move(event: KeyboardEvent, m: PhotoMarker): void {
    const by = { ArrowLeft: [-NUDGE, 0], ArrowRight: [NUDGE, 0], ArrowUp: [0, -NUDGE], ArrowDown: [0, NUDGE] }[event.key];
    if (!by) return;
    event.preventDefault();
    // Keys come faster than the page is drawn: from where the marker is now, not where it was drawn.
    const now = this.markers().find((x) => x.id === m.id) ?? m;
    this.change(m, { x: clamp(now.x + by[0]!), y: clamp(now.y + by[1]!) });
  }

  protected tie(m: PhotoMarker, event: Event): void {
    this.change(m, { placeId: (event.target as HTMLSelectElement).value || null });
  }

  protected write(m: PhotoMarker, event: Event): void {
    this.change(m, { text: (event.target as HTMLInputElement).value });
  }

  protected remove(m: PhotoMarker): void {
    this.markers.update((all) => all.filter((x) => x.id !== m.id));
  }

  protected async save(): Promise<void> {
    this.busy.set(true);
    try {
      const saved = await this.store.savePhoto(this.opened(), { caption: this.caption(), markers: [...this.markers()] });
      if (!saved) return;
      this.kept.done();
      this.closed.emit();
    } catch {
      // The store has told why; the sheet stays as it is.
    } finally {
      this.busy.set(false);
    }
  }

  protected async takeOff(): Promise<void> {
    const gone = await this.store.removePhoto(this.photo()).then(
      (r) => r !== null,
      () => false,
    );
    if (gone) this.closed.emit();
  }

  private change(m: PhotoMarker, by: Partial<PhotoMarker>): void {
    this.markers.update((all) => all.map((x) => (x.id === m.id ? { ...x, ...by } : x)));
  }
}

const clamp = (share: number): number => Math.min(Math.max(share, 0), 1);
