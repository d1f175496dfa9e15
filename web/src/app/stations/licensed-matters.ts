import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { check, choiceInput } from '@iron-patch/contract';
import { CAUTIONS, choiceKey, LICENSED_HAZARDS, signedCaution, type CautionChoice, type Hazard, type Problem } from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { ApiProblem, DayPipe, keptDraft, SessionStore, ShopStore, SignIn } from '../data';
import { ChooseField, DateField, DraftNote, PickField, type Option } from '../form';
import { SheetStore } from '../sheet-data';
import { May } from '../sign-in';

type Typed = Required<CautionChoice>;
const NOTHING: Typed = { signedBy: '', licence: '', by: 'outside', on: '', photoId: '' };

/** What a licensed or certified person decides on this job: one of the shop by their own PIN, or somebody from outside by their paper. */
@Component({
  selector: 'ip-licensed-matters',
  imports: [FormsModule, NzInputModule, ChooseField, DateField, DayPipe, DraftNote, May, PickField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './licensed-matters.html',
  styles: `
    .said {
      margin: 10px 0;
    }
    form {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
      gap: 10px;
      align-items: end;
      margin-top: 8px;
    }
    .whole {
      grid-column: 1 / -1;
    }
  `,
})
export class LicensedMatters {
  private readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  private readonly session = inject(SessionStore);
  protected readonly signIn = inject(SignIn);
  protected readonly typed = signal<Partial<Record<Hazard, Typed>>>({});
  /** Never kept: of whoever signs now. */
  protected readonly pins = signal<Partial<Record<Hazard, string>>>({});
  protected readonly problems = signal<Partial<Record<Hazard, readonly Problem[]>>>({});
  protected readonly kept = keptDraft(() => `licensed:${this.store.sheet()!.job.id}`, { typed: this.typed });
  protected readonly me = computed(() => this.shop.personName(this.session.personId()));
  protected readonly bys = computed((): readonly Option[] => [
    ['shop', this.me() ? `${this.me()}, of this shop` : 'One of this shop'],
    ['outside', 'Somebody from outside'],
  ]);
  protected readonly papers = computed((): readonly Option[] => {
    const photos = this.store.sheet()?.photos ?? [];
    return [
      ['', photos.length ? 'Choose the photograph' : 'Take one at Receive first'],
      ...photos.map((p, i): Option => [p.id, p.caption || `Photograph ${i + 1}`]),
    ];
  });
  protected readonly licensed = computed(() => {
    const sheet = this.store.sheet();
    return LICENSED_HAZARDS.filter((h) => sheet?.job.hazards.includes(h)).map((hazard) => ({
      hazard,
      caution: CAUTIONS[hazard],
      signed: signedCaution(sheet!, hazard),
    }));
  });

  protected of(hazard: Hazard): Typed {
    return this.typed()[hazard] ?? NOTHING;
  }

  protected type(hazard: Hazard, part: Partial<Typed>): void {
    this.typed.update((t) => ({ ...t, [hazard]: { ...this.of(hazard), ...part } }));
    this.problems.update((p) => ({ ...p, [hazard]: [] }));
  }

  protected typePin(hazard: Hazard, pin: string): void {
    this.pins.update((p) => ({ ...p, [hazard]: pin }));
  }

  protected complete(hazard: Hazard): boolean {
    const { by, signedBy, licence } = this.of(hazard);
    return Boolean((by === 'shop' ? this.me() : signedBy.trim()) && licence.trim());
  }

  private valueOf(hazard: Hazard): CautionChoice {
    const { by, signedBy, licence, on, photoId } = this.of(hazard);
    if (by === 'shop') return { by, signedBy: this.me(), licence };
    return { by, signedBy, licence, ...(on ? { on } : {}), ...(photoId ? { photoId } : {}) };
  }

  protected async sign(hazard: Hazard): Promise<void> {
    if (!this.complete(hazard)) return;
    const key = choiceKey.caution(hazard);
    const value = this.valueOf(hazard);
    const checked = check(choiceInput(key)!, { value, reason: '' });
    if (!checked.ok) return this.problems.update((p) => ({ ...p, [hazard]: checked.problems }));
    try {
      const stored = await this.store.putChoice(key, 'who decided', value, '', true, undefined, this.pins()[hazard] ?? '');
      if (stored) this.typed.update(({ [hazard]: _, ...rest }) => rest);
    } catch (e) {
      this.store.bug(e);
      const problems = e instanceof ApiProblem ? (e.details.problems ?? []) : [];
      this.problems.update((p) => ({ ...p, [hazard]: problems }));
    }
    this.typePin(hazard, '');
  }
}
