import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { ReactiveFormsModule, type FormGroup } from '@angular/forms';
import { routes } from '@iron-patch/contract';
import type { ReturnChoice } from '@iron-patch/core';
import { ChooseField, TextField, type Option } from '../../form';
import { SheetStore } from '../../sheet-data';

/** What goes with a hand-over: the old parts, and a picture of before and after on the report. */
@Component({
  selector: 'ip-goes-with-it',
  imports: [ChooseField, ReactiveFormsModule, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container [formGroup]="group()">
      <ip-text label="Old parts: go back with it, kept how long, or scrapped" name="oldParts" formControlName="oldParts" />
      @if (pictures().length > 1) {
        <div class="pair">
          <ip-choose
            label="Picture of before, on the report"
            name="beforePhoto"
            [options]="pictures()"
            [orNull]="true"
            formControlName="beforePhotoId"
          />
          <ip-choose label="Picture of after" name="afterPhoto" [options]="pictures()" [orNull]="true" formControlName="afterPhotoId" />
          @for (p of shown(); track p.what) {
            <figure>
              <img [src]="p.src" [alt]="p.what" />
              <figcaption>{{ p.what }}</figcaption>
            </figure>
          }
        </div>
      } @else {
        <p class="quiet">Photographs taken at Receive can stand on the report as before and after.</p>
      }
    </ng-container>
  `,
  styles: `
    :host {
      display: block;
      width: 100%;
    }
    .pair {
      display: grid;
      grid-template-columns: repeat(2, minmax(0, 1fr));
      gap: 6px 16px;
      align-items: end;
    }
    figure {
      margin: 0;
    }
    img {
      width: 100%;
      max-height: 220px;
      object-fit: contain;
      object-position: left;
    }
  `,
})
export class GoesWithIt {
  private readonly store = inject(SheetStore);
  /** The hand-over's form, and what it holds. */
  readonly group = input.required<FormGroup>();
  readonly of = input.required<Pick<ReturnChoice, 'beforePhotoId' | 'afterPhotoId'>>();
  protected readonly pictures = computed((): readonly Option[] => {
    const photos = this.store.sheet()?.photos ?? [];
    return photos.length ? [['', 'none'], ...photos.map((p, i): Option => [p.id, p.caption || `Picture ${i + 1}`])] : [];
  });
  protected readonly shown = computed(() => {
    const { beforePhotoId, afterPhotoId } = this.of();
    const photos = new Set(this.store.sheet()?.photos.map((p) => p.id));
    return [
      { what: 'Before', id: beforePhotoId },
      { what: 'After', id: afterPhotoId },
    ].flatMap(({ what, id }) => (id && photos.has(id) ? [{ what, src: routes.photoPixels(id, 'small') }] : []));
  });
}
