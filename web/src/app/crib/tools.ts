import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { check, routes, toolInput, type ToolInput } from '@iron-patch/contract';
import { parseTool, TOOL_KINDS, toolWords, type CribTool, type TypedTool } from '@iron-patch/core/making/tooling';
import { ApiProblem, keptDraft, newId, ShopStore, Told } from '../data';
import { OneLine } from '../form';

/** Cutters, reamers, taps and dies of the crib, written down in one line each. */
@Component({
  selector: 'ip-tools',
  imports: [OneLine],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Cutters, reamers, taps, dies</h2>
    <ip-one-line
      name="tool-line"
      label="A tool, as it is written on its hook"
      act="Hang it up"
      [example]="example()"
      [busy]="busy()"
      [problem]="problem()"
      [understood]="understood()"
      [(text)]="text"
      (wanted)="put()"
    />
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
    ':host { display: block; margin-top: 28px; } h2 { font-size: 20px; margin-bottom: 8px; } ul { list-style: none; padding: 0; margin: 8px 0 0; } li { display: flex; align-items: center; gap: 18px; min-height: 48px; border-bottom: 1px solid var(--hairline); } li button { margin-left: auto; } li b { font-weight: 500; }',
})
export class Tools {
  private readonly shop = inject(ShopStore);
  private readonly told = inject(Told);
  private readonly unit = computed(() => this.shop.shop().card.unit);
  /** By kind in the order of the lathe, the mill, the bench. */
  protected readonly tools = computed(() =>
    [...this.shop.shop().tools].sort((p, q) => TOOL_KINDS.indexOf(p.kind) - TOOL_KINDS.indexOf(q.kind)),
  );
  protected readonly example = computed(() => (this.unit() === 'in' ? 'tap 3/8-16, plug' : 'reamer 12 H7'));
  protected readonly text = signal('');
  protected readonly busy = signal(false);
  private readonly id = signal(newId());
  private readonly kept = keptDraft(() => 'tool-line', { text: this.text }, { rests: { id: this.id } });
  private readonly parsed = computed(() => parseTool(this.text(), this.unit()));
  protected readonly problem = computed(() => {
    const p = this.parsed();
    if (!p.ok) return p.problems[0]!.message;
    const checked = check(toolInput, { ...p.value, removed: false });
    return checked.ok ? '' : checked.problems[0]!.message;
  });
  protected readonly understood = computed(() => {
    const p = this.parsed();
    return p.ok ? `Understood: ${this.words(p.value)}` : '';
  });

  protected async put(): Promise<void> {
    const p = this.parsed();
    if (!p.ok) return;
    this.busy.set(true);
    await this.told.doing(async () => {
      await this.store(this.id(), p.value, false, 0);
      this.kept.done();
      this.text.set('');
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

  protected words(tool: TypedTool): string {
    return toolWords(tool, this.unit());
  }

  private async store(id: string, { kind, sizeMm, thread, note, pieces }: TypedTool, removed: boolean, version: number): Promise<CribTool> {
    const input: ToolInput = { kind, sizeMm, thread, note, pieces, removed };
    try {
      return await this.shop.save<CribTool>(routes.tool(id), input, version);
    } catch (e) {
      if (e instanceof ApiProblem) await this.shop.load();
      throw e;
    }
  }
}
