import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { check, proofInput } from '@iron-patch/contract';
import { formatLength, parseLength, signProblems, untried, wiresAt, type Problem, type ProofFinding, type Signing } from '@iron-patch/core';
import { keptDraft } from '../../data';
import { DraftNote, TextField } from '../../form';
import { signedNumber } from '../../form/signed-number';
import { SheetStore } from '../../sheet-data';
import { OverWiresForm, type ByWires } from './over-wires';

/** What is tried with a gauge, the nut or a specimen: with what, what it showed where it shows a number, and whether it passes. */
@Component({
  selector: 'ip-gauge-form',
  imports: [DraftNote, OverWiresForm, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ip-draft-note [kept]="kept" />
    @if (wires(); as w) {
      <ip-over-wires [wires]="w" (take)="byWires($event)" />
    }
    <div class="fields">
      <ip-text
        label="Tried with"
        name="gauge"
        [value]="tool()"
        path="gaugedWith"
        [problems]="problems()"
        (valueChange)="tool.set($event)"
      />
      <ip-text
        [label]="'Showed' + behind()"
        name="showed"
        inputmode="decimal"
        [value]="showed()"
        path="gaugedValue"
        [problems]="problems()"
        (valueChange)="showed.set($event)"
      />
      <ip-text label="Remark" name="remark" [value]="remark()" path="remark" [problems]="problems()" (valueChange)="remark.set($event)" />
      <span class="acts">
        <button type="button" class="next" (click)="sign(true)">Pass</button>
        <button type="button" (click)="sign(false)">Fail</button>
      </span>
    </div>
    <p class="quiet">Leave empty what it showed where a gauge or the nut only goes or does not.</p>
  `,
  styles: `
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
      gap: 2px 14px;
      align-items: end;
      max-width: 1000px;
    }
    p {
      margin: 0 0 6px;
    }
    .acts {
      display: flex;
      gap: 8px;
      padding-bottom: 22px;
    }
  `,
})
export class GaugeForm {
  private readonly store = inject(SheetStore);
  readonly proof = input.required<ProofFinding>();
  protected readonly tool = signal('');
  protected readonly showed = signal('');
  protected readonly remark = signal('');
  protected readonly kept = keptDraft(
    () =>
      `gauge:${this.store.sheet()!.job.id}:${this.store.atPiece().itemId}:${this.store.atPiece().piece}:${this.proof().dimension.dimension.key}`,
    { tool: this.tool, showed: this.showed, remark: this.remark },
  );
  protected readonly problems = signal<readonly Problem[]>([]);
  /** The unit of a bare number. */
  protected readonly behind = computed(() => `, ${this.proof().dimension.dimension.unit || this.store.unit()}`);

  protected readonly wires = computed(() => {
    const repair = this.store.repair();
    return repair?.part ? wiresAt(repair.part, repair, this.proof().dimension.dimension.key) : null;
  });

  protected byWires({ tool, pitchMm }: ByWires): void {
    this.tool.set(tool);
    this.showed.set(formatLength(pitchMm, this.store.unit()));
  }

  private input(passed: boolean): Signing & { readonly segmentId: string } {
    const { key, unit } = this.proof().dimension.dimension;
    return {
      ...{ segmentId: key, passed, remark: this.remark(), gaugedWith: this.tool() },
      gaugedValue: this.showed().trim() === '' ? null : unit ? signedNumber(this.showed()) : this.length(),
    };
  }

  /** What else of this piece is still to be tried, by its dimension. */
  private next(): string | null {
    const left = this.store.repair()?.proofs.find((p) => untried(p) && p.dimension.dimension.key !== this.proof().dimension.dimension.key);
    return left?.dimension.dimension.key ?? null;
  }

  /** A bare number is in the reader's unit; NaN where it is none, which the contract refuses at its field. */
  private length(): number {
    const read = parseLength(this.showed(), { unit: this.store.unit() });
    return read.ok ? read.value.valueMm : NaN;
  }

  protected async sign(passed: boolean): Promise<void> {
    const input = this.input(passed);
    const shape = check(proofInput, { ...this.store.atPiece(), ...input });
    const problems = shape.ok ? signProblems(this.proof(), input) : shape.problems;
    this.problems.set(problems);
    if (problems.length) return;
    const done = await this.store.prove({ ...this.store.atPiece(), ...input }).catch(this.store.or(null));
    if (!done) return;
    for (const s of [this.tool, this.showed, this.remark]) s.set('');
    this.store.select({ spanId: this.next(), stationMm: null, clockDeg: null });
  }
}
