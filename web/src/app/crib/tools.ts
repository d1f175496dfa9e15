import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { check, routes, toolInput, type ToolInput } from '@iron-patch/contract';
import { parseTool, TOOL_KINDS, toolWords, type CribTool } from '@iron-patch/core/tooling';
import { NzInputModule } from 'ng-zorro-antd/input';
import { ApiProblem, DecimalMarks, keptDraft, newId, ShopStore, Told } from '../data';

/** Cutters, reamers, taps and dies of the crib, written down in one line each. */
@Component({
  selector: 'ip-tools',
  imports: [FormsModule, NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Cutters, reamers, taps, dies</h2>
    <form (submit)="$event.preventDefault(); put()">
      <label for="tool-line">A tool, as it is written on its hook</label>
      <div class="row">
        <input
          nz-input
          id="tool-line"
          class="fig"
          name="toolLine"
          autocomplete="off"
          [placeholder]="example()"
          [attr.aria-invalid]="problem() ? 'true' : null"
          aria-describedby="tool-line-said"
          [ngModel]="text()"
          (ngModelChange)="text.set(marks.read($event)); tried.set(false)"
        />
        <button type="submit" [disabled]="busy() || !text().trim()">Hang it up</button>
      </div>
      <p id="tool-line-said" aria-live="polite" [class.problem]="problem()">{{ problem() || said() }}</p>
    </form>
    <ul>
      @for (t of tools(); track t.id) {
        <li>
          <b>{{ words(t) }}</b>
          <button type="button" class="plain" [attr.aria-label]="'Remove ' + words(t)" [disabled]="busy()" (click)="remove(t)">
            Remove
          </button>
        </li>
      } @empty {
        <li class="quiet">None hang here yet. What hangs here is named where a sum asks for a tap or a reamer.</li>
      }
    </ul>
  `,
  styles:
    ':host { display: block; margin-top: 28px; } h2 { font-size: 20px; margin-bottom: 8px; } .row { flex-wrap: nowrap; } input { flex: 1; font-size: 18px; } label { font: 600 15px var(--label); } p { min-height: 24px; font-size: 16px; } .row button { white-space: nowrap; } ul { list-style: none; padding: 0; margin: 8px 0 0; } li { display: flex; align-items: center; gap: 18px; min-height: 48px; border-bottom: 1px solid var(--hairline); } li button { margin-left: auto; } li b { font-weight: 500; } @media (max-width: 480px) { .row { flex-wrap: wrap; } }',
})
export class Tools {
  private readonly shop = inject(ShopStore);
  private readonly told = inject(Told);
  protected readonly marks = inject(DecimalMarks);
  private readonly unit = computed(() => this.shop.shop().card.unit);
  /** By kind in the order of the lathe, the mill, the bench. */
  protected readonly tools = computed(() =>
    [...this.shop.shop().tools].sort((p, q) => TOOL_KINDS.indexOf(p.kind) - TOOL_KINDS.indexOf(q.kind)),
  );
  protected readonly example = computed(() => (this.unit() === 'in' ? 'tap 3/8-16, plug' : 'reamer 12 H7'));
  protected readonly text = signal('');
  protected readonly tried = signal(false);
  protected readonly busy = signal(false);
  private readonly id = signal(newId());
  private readonly kept = keptDraft(() => 'tool-line', { text: this.text }, { rests: { id: this.id } });
  private readonly parsed = computed(() => parseTool(this.text(), this.unit()));
  /** What is wrong with it; half a line is only told off when it is hung up. */
  protected readonly problem = computed(() => {
    const p = this.parsed();
    if (!this.tried() || !this.text().trim()) return '';
    if (!p.ok) return p.problems[0]!.message;
    const checked = check(toolInput, { ...p.value, removed: false });
    return checked.ok ? '' : checked.problems[0]!.message;
  });
  protected readonly said = computed(() => {
    const p = this.parsed();
    return p.ok ? `Understood: ${this.wordsOf(p.value)}` : '';
  });

  protected words(tool: CribTool): string {
    return this.wordsOf(tool);
  }

  protected async put(): Promise<void> {
    this.tried.set(true);
    const p = this.parsed();
    if (this.busy() || !p.ok || this.problem()) return;
    this.busy.set(true);
    await this.told.doing(async () => {
      await this.store(this.id(), p.value, false, 0);
      this.kept.done();
      this.text.set('');
      this.tried.set(false);
      this.id.set(newId());
    });
    this.busy.set(false);
  }

  /** Off the hook; it can be hung up again at once. */
  protected async remove(tool: CribTool): Promise<void> {
    this.busy.set(true);
    await this.told.doing(async () => {
      const gone = await this.store(tool.id, tool, true, tool.version);
      this.told.say(`${this.words(tool)} is off the list.`, () => this.store(tool.id, tool, false, gone.version));
    });
    this.busy.set(false);
  }

  private wordsOf(tool: Omit<CribTool, 'id' | 'version'>): string {
    return toolWords(tool, this.unit());
  }

  private async store(
    id: string,
    { kind, sizeMm, thread, note, pieces }: Omit<CribTool, 'id' | 'version'>,
    removed: boolean,
    version: number,
  ): Promise<CribTool> {
    const input: ToolInput = { kind, sizeMm, thread, note, pieces, removed };
    try {
      return await this.shop.save<CribTool>(routes.tool(id), input, version);
    } catch (e) {
      if (e instanceof ApiProblem) await this.shop.load();
      throw e;
    }
  }
}
