import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { check, barInput, routes } from '@iron-patch/contract';
import { materialName, parseBar, type Bar, type TypedBar } from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { DecimalMarks, keptDraft, newId, ShopStore, Told } from '../data';
import { barText } from './bar-words';

/** One line that puts a bar on the rack, written as on its tag; it says at once how it is understood. */
@Component({
  selector: 'ip-rack-line',
  imports: [FormsModule, NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (ngSubmit)="put()">
      <label for="rack-line">A bar, a tube or an offcut, in {{ unit() === 'in' ? 'inches' : 'mm' }} unless you say otherwise</label>
      <div class="row">
        <input
          nz-input
          id="rack-line"
          class="fig"
          name="line"
          autocomplete="off"
          [placeholder]="example()"
          [attr.aria-invalid]="problem() ? 'true' : null"
          aria-describedby="rack-line-said"
          [ngModel]="text()"
          (ngModelChange)="text.set(marks.read($event)); tried.set(false)"
        />
        <button type="submit" class="next" [disabled]="busy() || !text().trim()">Put it on the rack</button>
      </div>
      <p id="rack-line-said" aria-live="polite" [class.problem]="problem()">{{ problem() || said() }}</p>
    </form>
  `,
  styles:
    '.row { flex-wrap: nowrap; } input { flex: 1; font-size: 18px; } label { font: 600 15px var(--label); } p { min-height: 24px; font-size: 16px; } button { white-space: nowrap; } @media (max-width: 480px) { .row { flex-wrap: wrap; } }',
})
export class RackLine {
  private readonly shop = inject(ShopStore);
  private readonly told = inject(Told);
  protected readonly marks = inject(DecimalMarks);
  readonly added = output<Bar>();
  protected readonly unit = computed(() => this.shop.shop().card.unit);
  protected readonly example = computed(() => (this.unit() === 'in' ? '1 1/2 x 14 C45 black, bin 3' : '38 x 350 C45 black, bin 3'));
  protected readonly text = signal('');
  protected readonly tried = signal(false);
  protected readonly busy = signal(false);
  private readonly id = signal(newId());
  private readonly kept = keptDraft(() => 'rack-line', { text: this.text }, { rests: { id: this.id } });
  private readonly parsed = computed(() => parseBar(this.text(), this.unit()));
  /** What is wrong with it; half a line is only told off when it is put on the rack. */
  protected readonly problem = computed(() => {
    const p = this.parsed();
    if (!this.tried() || !this.text().trim()) return '';
    if (!p.ok) return p.problems[0]!.message;
    const checked = check(barInput, inputOf(p.value));
    return checked.ok ? '' : checked.problems[0]!.message;
  });
  protected readonly said = computed(() => {
    const p = this.parsed();
    return p.ok ? `Understood: ${barText(p.value, this.unit())}, ${materialName(p.value.materialId)}` : '';
  });

  protected async put(): Promise<void> {
    this.tried.set(true);
    const p = this.parsed();
    if (!p.ok || this.problem() || this.busy()) return;
    this.busy.set(true);
    await this.told.doing(async () => {
      const bar = await this.shop.save<Bar>(routes.bar(this.id()), inputOf(p.value), 0);
      this.text.set('');
      this.id.set(newId());
      this.tried.set(false);
      this.kept.done();
      this.added.emit(bar);
    });
    this.busy.set(false);
  }
}

const inputOf = (bar: TypedBar): object => ({ ...bar, why: '', removed: false });
