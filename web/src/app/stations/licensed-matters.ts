import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { CAUTIONS, choiceKey, LICENSED_HAZARDS, signedCaution, type CautionChoice, type Hazard } from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { keptDraft } from '../data';
import { DraftNote } from '../form';
import { SheetStore } from '../sheet-data';

/** What a licensed or certified person decides on this job: name and licence of who did. */
@Component({
  selector: 'ip-licensed-matters',
  imports: [FormsModule, NzInputModule, DraftNote],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ip-draft-note [kept]="kept" />
    @for (c of licensed(); track c.hazard) {
      <div class="said licensed">
        <p>
          <b>{{ c.caution.what }}</b> {{ c.caution.why }} {{ c.caution.who }}
        </p>
        @if (c.signed; as s) {
          <p role="status">Decided by {{ s.signedBy }}, {{ s.licence }}.</p>
        } @else {
          <form class="row" (ngSubmit)="sign(c.hazard)">
            <input
              nz-input
              [name]="'by-' + c.hazard"
              [attr.aria-label]="'Licensed person for ' + c.caution.what"
              placeholder="Name of who decided"
              autocomplete="off"
              maxlength="120"
              [ngModel]="typed()[c.hazard]?.signedBy ?? ''"
              (ngModelChange)="type(c.hazard, { signedBy: $event })"
            />
            <input
              nz-input
              [name]="'licence-' + c.hazard"
              [attr.aria-label]="'Licence for ' + c.caution.what"
              placeholder="Licence or certificate"
              autocomplete="off"
              maxlength="120"
              [ngModel]="typed()[c.hazard]?.licence ?? ''"
              (ngModelChange)="type(c.hazard, { licence: $event })"
            />
            <button type="submit" [disabled]="!complete(c.hazard)">On record</button>
          </form>
        }
      </div>
    }
  `,
  styles: `
    .said {
      margin: 10px 0;
    }
    .row {
      flex-wrap: wrap;
      margin-top: 6px;
    }
    input {
      max-width: 300px;
    }
  `,
})
export class LicensedMatters {
  private readonly store = inject(SheetStore);
  protected readonly typed = signal<Partial<Record<Hazard, CautionChoice>>>({});
  protected readonly kept = keptDraft(() => `licensed:${this.store.sheet()!.job.id}`, { typed: this.typed });
  protected readonly licensed = computed(() => {
    const sheet = this.store.sheet();
    return LICENSED_HAZARDS.filter((h) => sheet?.job.hazards.includes(h)).map((hazard) => ({
      hazard,
      caution: CAUTIONS[hazard],
      signed: signedCaution(sheet!, hazard),
    }));
  });

  protected type(hazard: Hazard, part: Partial<CautionChoice>): void {
    this.typed.update((t) => ({ ...t, [hazard]: { ...(t[hazard] ?? { signedBy: '', licence: '' }), ...part } }));
  }

  protected complete(hazard: Hazard): boolean {
    const t = this.typed()[hazard];
    return Boolean(t?.signedBy.trim() && t.licence.trim());
  }

  protected sign(hazard: Hazard): void {
    if (!this.complete(hazard)) return;
    void this.store
      .putChoice(choiceKey.caution(hazard), 'who decided', this.typed()[hazard])
      .then(() => this.typed.update(({ [hazard]: _, ...rest }) => rest))
      .catch(this.store.bug);
  }
}
