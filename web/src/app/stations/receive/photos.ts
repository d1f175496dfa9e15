import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MOST_PHOTO_BYTES, PHOTO_TYPES, routes } from '@iron-patch/contract';
import type { PhotoRecord } from '@iron-patch/core';
import { PhotoOutbox } from '../../data';
import { FileField } from '../../form';
import { SheetStore } from '../../sheet-data';
import { PhotoSheet } from './photo-sheet';

/** The job's photographs: taken with the camera or from a file, each a sheet of its own with markers. */
@Component({
  selector: 'ip-photos',
  imports: [FileField, PhotoSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section (drop)="dropped($event)" (dragover)="$event.preventDefault()">
      <header>
        <h2>Photographs</h2>
        <ip-file class="no-print" [accept]="types" [multiple]="true" (picked)="take($event)">Take or choose pictures</ip-file>
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
        @for (t of turnedAway(); track $index) {
          <p class="said bad">{{ t }} <button type="button" (click)="forget(t)">Close</button></p>
        }
        @for (p of waiting(); track p.id) {
          <p class="said" [class.bad]="p.refused">
            {{ p.name }}:
            {{ p.refused || (outbox.silent() ? 'the server does not answer. It is kept here and goes by itself.' : 'on its way') }}
            @if (outbox.going()?.id === p.id) {
              <progress max="100" [value]="outbox.going()!.percent" [attr.aria-label]="'Sending ' + p.name"></progress>
            }
            @if (p.refused || outbox.silent()) {
              <button type="button" (click)="outbox.again(p.id)">Send again</button>
              <button type="button" (click)="outbox.drop(p.id)">Remove</button>
            }
          </p>
        }
        @if (outbox.full() && waiting().length) {
          <p class="said bad">This browser has no room to keep pictures. Do not close the page until they are sent.</p>
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
  protected readonly outbox = inject(PhotoOutbox);
  protected readonly waiting = computed(() => this.outbox.items().filter((p) => p.jobId === this.store.sheet()?.job.id));
  /** Files that are no pictures, with what to say of them. */
  protected readonly turnedAway = signal<readonly string[]>([]);

  protected pixels(p: PhotoRecord): string {
    return routes.photoPixels(p.id, 'small');
  }

  protected nameOf(p: PhotoRecord): string {
    return p.caption || `${this.photos().indexOf(p) + 1}`;
  }

  protected dropped(event: DragEvent): void {
    // What fell on the button itself is in its hands already.
    if (event.defaultPrevented) return;
    event.preventDefault();
    this.take([...(event.dataTransfer?.files ?? [])]);
  }

  protected forget(told: string): void {
    this.turnedAway.update((all) => all.filter((t) => t !== told));
  }

  protected take(files: readonly File[]): void {
    for (const file of files) {
      const refusal = this.refusal(file);
      if (refusal) this.turnedAway.update((all) => [...all, `${file.name}: ${refusal}`]);
      else void this.outbox.add(this.store.sheet()!.job.id, file);
    }
  }

  private refusal(file: File): string {
    if (file.size > MOST_PHOTO_BYTES) return 'over 15 MB. Take it smaller.';
    if (!PHOTO_TYPES.some((t) => t === file.type)) return 'no JPEG, PNG or WebP picture.';
    return '';
  }
}
