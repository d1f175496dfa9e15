import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import {
  CAUTIONS,
  choiceKey,
  formatLength,
  type FitFinding,
  type Hazard,
  type PlayInputs,
  type ProofFinding,
  type Verdict,
} from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { SheetStore, ShopStore } from '../../data';
import { FigureButton, StateMark } from '../../show';
import { PlayChart } from './play-chart';

const WORDS: Readonly<Record<Verdict, string>> = { fits: 'fits', close: 'close', out: 'out', unknown: 'not measured' };
const LICENSED: readonly Hazard[] = ['lifting', 'vessel', 'steering'];

/** The finished part, cold, against its limits with the instrument's own uncertainty; its play; who passes it. */
@Component({
  selector: 'ip-prove',
  imports: [FormsModule, NzInputModule, FigureButton, StateMark, PlayChart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (proofs().length) {
      <table class="plain">
        <thead>
          <tr>
            <th>Segment</th>
            <th class="num">limits</th>
            <th class="num">measured</th>
            <th>Result</th>
            <th>Passed by</th>
          </tr>
        </thead>
        <tbody>
          @for (p of proofs(); track p.segment.segment.id) {
            <tr [class.on]="p.segment.segment.id === store.selection().spanId">
              <td>
                <button type="button" class="plain name" (click)="pick(p)">{{ p.segment.segment.name }}</button>
              </td>
              <td class="num">{{ show(p.segment.limits.lowerMm) }} to {{ show(p.segment.limits.upperMm) }}</td>
              <td class="num">
                @if (p.measured) {
                  <ip-figure [figure]="p.measured" [size]="20" [strong]="true" />
                  <span class="quiet">±{{ show(p.measured.plusMinus ?? 0) }}</span>
                } @else {
                  <button type="button" class="plain" (click)="pick(p)">measure</button>
                }
              </td>
              <td class="verdict"><ip-state [state]="p.verdict" [size]="18" /> {{ words[p.verdict] }}</td>
              <td>
                @if (p.signed; as s) {
                  {{ s.passed ? 'passed' : 'failed' }}, {{ who(s.personId) }}
                  @if (s.remark) {
                    <span class="quiet">: {{ s.remark }}</span>
                  }
                } @else if (p.measured) {
                  <span class="acts">
                    <button
                      type="button"
                      [class.next]="p.verdict === 'fits'"
                      [attr.aria-label]="'Pass ' + p.segment.segment.name"
                      (click)="sign(p, true)"
                    >
                      Pass
                    </button>
                    <button type="button" [attr.aria-label]="'Fail ' + p.segment.segment.name" (click)="sign(p, false)">Fail</button>
                  </span>
                }
              </td>
            </tr>
          }
        </tbody>
      </table>
      @if (open()) {
        <label class="remark"
          >Remark (needed to pass what is out)
          <input nz-input autocomplete="off" maxlength="1000" [ngModel]="remark()" (ngModelChange)="remark.set($event)" />
        </label>
      }
      @if (close()) {
        <p class="said">
          Close means: inside or outside by less than the instrument can tell. Measure again with a finer one, or say in the remark why it
          may pass.
        </p>
      }
      @for (c of licensed(); track c.hazard) {
        <div class="said licensed">
          <p>
            <b>{{ c.caution.what }}</b> {{ c.caution.why }} {{ c.caution.who }}
          </p>
          @if (c.signedBy) {
            <p role="status">Decided by {{ c.signedBy }}.</p>
          } @else {
            <span class="row">
              <input
                nz-input
                class="by"
                [attr.aria-label]="'Licensed person for ' + c.caution.what"
                placeholder="Name and licence of who decided"
                autocomplete="off"
                [ngModel]="names()[c.hazard] ?? ''"
                (ngModelChange)="nameTyped(c.hazard, $event)"
              />
              <button type="button" [disabled]="!(names()[c.hazard] ?? '').trim()" (click)="signCaution(c.hazard)">On record</button>
            </span>
          }
        </div>
      }
      @for (x of plays(); track x.mate.hole.feature.id) {
        <section>
          <h2>Play in {{ x.mate.hole.feature.name.toLowerCase() }}</h2>
          <p>
            <ip-figure [figure]="x.tight" [size]="22" [strong]="true" [withOther]="true" /> at the tightest place,
            <ip-figure [figure]="x.loose" [size]="22" [strong]="true" [withOther]="true" /> at the widest
            @if (x.expected) {
              <span class="quiet">; expected from the drawing, not measured yet</span>
            }
            .
          </p>
          <ip-play-chart [inputs]="x.inputs" />
        </section>
      }
    } @else {
      <p class="empty">There is nothing to prove yet. Draw the part first.</p>
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 10px 18px 24px;
    }
    td {
      vertical-align: middle !important;
    }
    tr.on td:first-child {
      box-shadow: inset 4px 0 0 var(--blue);
    }
    .name {
      color: var(--ink);
      font-weight: 600;
      padding: 6px 10px;
    }
    .verdict {
      font: 600 17px var(--label);
      white-space: nowrap;
    }
    .acts {
      display: flex;
      gap: 8px;
    }
    .remark {
      display: block;
      margin: 10px 0;
      font-size: 15px;
    }
    .said {
      margin: 10px 0;
    }
    .by {
      max-width: 340px;
    }
    section {
      border-top: 1px solid var(--hairline);
      padding: 10px 0;
      margin-top: 10px;
    }
    section p {
      margin: 6px 0;
    }
    .empty {
      padding: 12px 0;
    }
  `,
})
export class Prove {
  protected readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  protected readonly words = WORDS;
  protected readonly remark = signal('');
  protected readonly names = signal<Partial<Record<Hazard, string>>>({});
  protected readonly proofs = computed(() => this.store.repair()?.proofs ?? []);
  protected readonly open = computed(() => this.proofs().some((p) => p.measured && !p.signed));
  protected readonly close = computed(() => this.proofs().some((p) => p.verdict === 'close' && !p.signed));
  protected readonly licensed = computed(() => {
    const sheet = this.store.sheet();
    return (sheet?.job.hazards ?? [])
      .filter((h) => LICENSED.includes(h))
      .map((hazard) => ({
        hazard,
        caution: CAUTIONS[hazard],
        signedBy:
          (sheet?.choices.find((c) => c.key === choiceKey.caution(hazard))?.value as { signedBy: string } | undefined)?.signedBy ?? '',
      }));
  });
  protected readonly plays = computed(() =>
    this.proofs().flatMap((p) => p.play.map((x) => ({ ...x, expected: p.measured === null, inputs: this.inputsFor(p, x.mate) }))),
  );

  private inputsFor(p: ProofFinding, mate: FitFinding): Omit<PlayInputs, 'draws' | 'seed'> {
    const tight = mate.figures!.hole;
    const wide = mate.choice?.hole === 'true' ? tight : mate.hole.largest!;
    return {
      pinMm: p.measured?.value ?? p.segment.diameter.value,
      pinPlusMinusMm: p.measured?.plusMinus ?? (p.segment.limits.upperMm - p.segment.limits.lowerMm) / 2,
      holeSmallestMm: tight.value,
      holeLargestMm: wide.value,
      holePlusMinusMm: mate.hole.shape?.plusMinusMm ?? 0,
    };
  }

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }

  protected who(id: string): string {
    return this.shop.shop().people.find((p) => p.id === id)?.name ?? '';
  }

  protected pick(p: ProofFinding): void {
    this.store.select({ spanId: p.segment.segment.id, stationMm: null, clockDeg: null });
    document.getElementById('reading')?.focus();
  }

  protected async sign(p: ProofFinding, passed: boolean): Promise<void> {
    const done = await this.store.prove({ segmentId: p.segment.segment.id, passed, remark: this.remark() }).catch(() => null);
    if (done) this.remark.set('');
  }

  protected nameTyped(hazard: Hazard, name: string): void {
    this.names.update((n) => ({ ...n, [hazard]: name }));
  }

  protected signCaution(hazard: Hazard): void {
    void this.store.putChoice(choiceKey.caution(hazard), 'who decided', { signedBy: this.names()[hazard] }).catch(() => undefined);
  }
}
