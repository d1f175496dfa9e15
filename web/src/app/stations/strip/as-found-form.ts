import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, type OnInit } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { check, choiceInput } from '@iron-patch/contract';
import { choiceKey, chosenStrip, versionOfChoice, type ComponentRecord, type StripChoice } from '@iron-patch/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { SheetStore } from '../../sheet-data';
import { keptDraft } from '../../data';
import { DraftNote, LengthInput, TextField } from '../../show';

const NOTHING: StripChoice = { faced: '', shims: [], endPlayMm: null, sidePlayMm: null, noPlay: false, damaged: '' };

/** Written down before it is undone: which way it faced, shim packs by side, play, what had to be damaged. */
@Component({
  selector: 'ip-as-found-form',
  imports: [FormsModule, NzCheckboxModule, LengthInput, TextField, DraftNote],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="$event.preventDefault(); save()" novalidate>
      <ip-draft-note [kept]="kept" />
      <div class="grid2">
        <ip-text
          label="Which way it faced, and its match marks"
          name="faced"
          [rows]="2"
          [value]="draft().faced"
          path="value.faced"
          [problems]="problems()"
          (valueChange)="set({ faced: $event })"
        />
        <ip-text
          label="What had to be damaged to get it open"
          name="damaged"
          [rows]="2"
          [value]="draft().damaged"
          path="value.damaged"
          [problems]="problems()"
          (valueChange)="set({ damaged: $event })"
        />
        <ip-length
          label="End play as found"
          [mm]="draft().endPlayMm"
          [unit]="store.unit()"
          [optional]="true"
          path="value.endPlayMm"
          [problems]="problems()"
          (mmChange)="set({ endPlayMm: $event })"
        />
        <ip-length
          label="Side play as found"
          [mm]="draft().sidePlayMm"
          [unit]="store.unit()"
          [optional]="true"
          path="value.sidePlayMm"
          [problems]="problems()"
          (mmChange)="set({ sidePlayMm: $event })"
        />
      </div>
      @for (s of draft().shims; track $index; let i = $index) {
        <div class="shim">
          <ip-text
            label="Shim pack on which side"
            [name]="'shimSide' + i"
            [value]="s.side"
            [path]="'value.shims.' + i + '.side'"
            [problems]="problems()"
            (valueChange)="shim(i, { side: $event })"
          />
          <ip-length
            label="Thickness"
            [mm]="s.thicknessMm || null"
            [unit]="store.unit()"
            [allowZero]="false"
            [path]="'value.shims.' + i + '.thicknessMm'"
            [problems]="problems()"
            (mmChange)="shim(i, { thicknessMm: $event ?? 0 })"
          />
          <button type="button" class="plain" [attr.aria-label]="'Remove shim pack ' + (i + 1)" (click)="drop(i)">Remove</button>
        </div>
      }
      <div class="row">
        <button type="button" (click)="addShim()">Add a shim pack</button>
        <label nz-checkbox name="noPlay" [ngModel]="draft().noPlay" (ngModelChange)="set({ noPlay: $event })">
          It had no play or shims to measure
        </label>
        <span class="push"></span>
        <button type="button" (click)="closed.emit()">Leave it</button>
        <button type="submit" class="next" [disabled]="busy()">Save as found</button>
      </div>
    </form>
  `,
  styles:
    'form { padding: 12px 0; display: grid; gap: 10px; } .shim { display: grid; grid-template-columns: 1fr 1fr auto; gap: 20px; align-items: start; } .shim button { margin-top: 22px; } .push { flex: 1; }',
})
export class AsFoundForm implements OnInit {
  protected readonly store = inject(SheetStore);
  readonly component = input.required<ComponentRecord>();
  readonly closed = output<void>();
  protected readonly draft = signal<StripChoice>(NOTHING);
  protected readonly busy = signal(false);
  private readonly attempted = signal(false);
  private readonly readAt = signal(0);
  private readonly key = computed(() => choiceKey.strip(this.component().id));
  protected readonly problems = computed(() => {
    const checked = check(choiceInput(this.key())!, { value: this.draft(), reason: '' });
    return checked.ok || !this.attempted() ? [] : checked.problems;
  });

  protected readonly kept = keptDraft(this.key, { draft: this.draft, readAt: this.readAt });

  ngOnInit(): void {
    const sheet = this.store.sheet()!;
    this.draft.set(chosenStrip(sheet, this.component().id) ?? NOTHING);
    this.readAt.set(versionOfChoice(sheet, this.key()));
  }

  protected set(change: Partial<StripChoice>): void {
    this.draft.update((d) => ({ ...d, ...change }));
  }

  protected addShim(): void {
    this.set({ shims: [...this.draft().shims, { side: '', thicknessMm: 0 }] });
  }

  protected shim(i: number, change: Partial<StripChoice['shims'][number]>): void {
    this.set({ shims: this.draft().shims.map((s, k) => (k === i ? { ...s, ...change } : s)) });
  }

  protected drop(i: number): void {
    this.set({ shims: this.draft().shims.filter((_, k) => k !== i) });
  }

  protected async save(): Promise<void> {
    this.attempted.set(true);
    if (this.problems().length) return;
    this.busy.set(true);
    const what = `${this.component().name.toLowerCase()} as found`;
    const saved = await this.store.putChoice(this.key(), what, this.draft(), '', true, this.readAt()).catch(() => null);
    this.busy.set(false);
    if (!saved) return;
    this.kept.done();
    this.closed.emit();
  }
}
