import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MOST_PHOTO_BYTES, PHOTO_TYPES, routes } from '@iron-patch/contract';
import type { PhotoRecord } from '@iron-patch/core';
import { newId } from '../../data';
import { SheetStore } from '../../sheet-data';
import { PhotoSheet } from './photo-sheet';

interface Sending {
  readonly id: string;
  readonly file: File;
  /** Why it did not go; empty while it is on its way. */
  readonly problem: string;
}

/** The job's photographs: taken with the camera or from a file, each a sheet of its own with markers. */
@Component({
  selector: 'ip-photos',
  imports: [PhotoSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section (drop)="dropped($event)" (dragover)="$event.preventDefault()">
      <header>
        <h2>Photographs</h2>
        <label class="take no-print">
          Take or choose pictures
          <input class="sr-only" type="file" multiple [accept]="types" (change)="chosen($event)" />
        </label>
      </header>
      @if (photos().length) {
        <ul>
          @for (p of photos(); track p.id) {
            <li>
              <button type="button" [attr.aria-label]="'Open picture ' + nameOf(p)" (click)="opened.set(p.id)">
                <img [src]="pixels(p)" [alt]="nameOf(p)" loading="lazy" />
              </button>
              <span>{{ nameOf(p) }}{{ p.markers.length ? ', ' + p.markers.length + ' marked' : '' }}</span>
            </li>
          }
        </ul>
      } @else {
        <p class="quiet">None yet. One of the whole thing as it came in settles many an argument.</p>
      }
      <div aria-live="polite">
        @for (s of sending(); track s.id) {
          <p class="said" [class.bad]="s.problem">
            {{ s.file.name }}: {{ s.problem || 'on its way' }}
            @if (s.problem) {
              <button type="button" (click)="again(s)">Send again</button>
              <button type="button" (click)="drop(s)">Leave it out</button>
            }
          </p>
        }
      </div>
    </section>
    @if (shown(); as photo) {
      <ip-photo-sheet [photo]="photo" (closed)="opened.set('')" />
    }
  `,
  styles: `
    section {
      padding: 4px 20px 12px;
    }
    header {
      display: flex;
      align-items: center;
      gap: 20px;
      min-height: 48px;
    }
    .take {
      border: 1px solid var(--blue);
      color: var(--blue);
      border-radius: 2px;
      min-height: 44px;
      padding: 0 16px;
      display: inline-flex;
      align-items: center;
      cursor: pointer;
      font: 600 16px var(--label);
    }
    .take:focus-within {
      outline: 3px solid var(--accent);
      outline-offset: 1px;
    }
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 12px;
    }
    li {
      width: 168px;
    }
    li button {
      padding: 0;
      border-color: var(--hairline);
      width: 168px;
      height: 126px;
      overflow: hidden;
      display: block;
    }
    img {
      width: 100%;
      height: 100%;
      object-fit: cover;
      display: block;
    }
    li span {
      font-size: 15px;
      display: block;
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
  `,
})
export class Photos {
  private readonly store = inject(SheetStore);
  protected readonly types = PHOTO_TYPES.join(',');
  protected readonly photos = computed(() => this.store.sheet()?.photos ?? []);
  protected readonly opened = signal('');
  protected readonly shown = computed(() => this.photos().find((p) => p.id === this.opened()) ?? null);
  protected readonly sending = signal<readonly Sending[]>([]);

  protected pixels(p: PhotoRecord): string {
    return routes.photoPixels(p.id, 'small');
  }

  protected nameOf(p: PhotoRecord): string {
    return p.caption || `${this.photos().indexOf(p) + 1}`;
  }

  protected chosen(event: Event): void {
    const input = event.target as HTMLInputElement;
    this.take([...(input.files ?? [])]);
    input.value = '';
  }

  protected dropped(event: DragEvent): void {
    event.preventDefault();
    this.take([...(event.dataTransfer?.files ?? [])]);
  }

  protected again(s: Sending): void {
    this.set(s.id, '');
    void this.send({ ...s, problem: '' });
  }

  protected drop(s: Sending): void {
    this.sending.update((all) => all.filter((x) => x.id !== s.id));
  }

  private take(files: readonly File[]): void {
    for (const file of files) {
      const s: Sending = { id: newId(), file, problem: this.refusal(file) };
      this.sending.update((all) => [...all, s]);
      if (!s.problem) void this.send(s);
    }
  }

  private refusal(file: File): string {
    if (file.size > MOST_PHOTO_BYTES) return 'over 15 MB. Take it smaller.';
    if (!PHOTO_TYPES.some((t) => t === file.type)) return 'no JPEG, PNG or WebP picture.';
    return '';
  }

  private async send(s: Sending): Promise<void> {
    const problem = await this.store.addPhoto(s.file, s.id);
    if (problem === null) this.drop(s);
    else this.set(s.id, problem);
  }

  private set(id: string, problem: string): void {
    this.sending.update((all) => all.map((x) => (x.id === id ? { ...x, problem } : x)));
  }
}
