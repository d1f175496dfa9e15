import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { routes } from '@iron-patch/contract';
import {
  choiceKey,
  formatLength,
  materialOf,
  newestRelease,
  toInchFraction,
  type Outcome,
  type Pass,
  type PlanChoice,
  type SpindleSpeed,
} from '@iron-patch/core';
import { SheetStore, ShopStore } from '../../data';
import { Field, FigureButton, LengthInput } from '../../show';
import { LadderPicture } from './ladder-picture';

/** Bar, lathe, set-ups, depth ladders and passes; then the release for cutting. */
@Component({
  selector: 'ip-plan',
  imports: [FormsModule, Field, FigureButton, LengthInput, LadderPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (found(); as p) {
      @for (t of p.problems; track t) {
        <p class="said bad" role="alert">{{ t }}</p>
      }
      <div class="choices">
        <ip-field label="Lathe" #la>
          <select [id]="la.id" [ngModel]="p.lathe.id" (ngModelChange)="choose({ latheId: $event })">
            @for (l of shop.shop().lathes; track l.id) {
              <option [value]="l.id">{{ l.name }}</option>
            }
          </select>
        </ip-field>
        <ip-field label="Bar, least waste first" #ba>
          <select [id]="ba.id" [ngModel]="p.bar?.id ?? ''" (ngModelChange)="choose({ barId: $event })">
            @if (p.bars.ok) {
              @for (b of p.bars.value; track b.bar.id) {
                <option [value]="b.bar.id">
                  {{ size(b.bar.diameterMm, 1) }} x {{ size(b.bar.lengthMm, 0) }}, {{ b.bar.place }}, leaves {{ size(b.left.value, 0) }}
                </option>
              }
            } @else {
              <option value="">none will do</option>
            }
          </select>
        </ip-field>
        <ip-field label="Tool" #to>
          <select [id]="to.id" [ngModel]="p.plan.tool" (ngModelChange)="choose({ tool: $event })">
            <option value="carbide">Carbide</option>
            <option value="hss">High-speed steel, honed</option>
          </select>
        </ip-field>
        <ip-field label="Finishing cuts" #fi>
          <select [id]="fi.id" [ngModel]="p.plan.finishes" (ngModelChange)="choose({ finishes: $event })">
            <option [ngValue]="2">two equal</option>
            <option [ngValue]="3">three equal</option>
          </select>
        </ip-field>
        <ip-length
          label="Parting tool"
          [mm]="p.plan.partingMm"
          [unit]="store.unit()"
          [allowZero]="false"
          (mmChange)="choose({ partingMm: $event ?? 3 })"
        />
        <ip-field label="Edge touched on the zero face" #ed>
          <select [id]="ed.id" [ngModel]="p.plan.touched" (ngModelChange)="choose({ touched: $event })">
            <option value="left">left, chuck side</option>
            <option value="right">right, tailstock side</option>
          </select>
        </ip-field>
        <ip-length
          label="Held in the chuck"
          [mm]="p.plan.grippedMm"
          [unit]="store.unit()"
          [allowZero]="false"
          (mmChange)="choose({ grippedMm: $event ?? 25 })"
        />
      </div>
      @if (!p.bars.ok) {
        <p class="said bad" role="alert">{{ p.bars.problems[0]!.message }}</p>
      }
      <div class="facts">
        <span
          >saw off <ip-figure [figure]="p.need.length" [size]="22" [strong]="true" />
          <span class="quiet fig">{{ fraction(p.need.length.value) }}</span></span
        >
        <span>of bar at least <ip-figure [figure]="p.need.diameter" [size]="22" [strong]="true" /></span>
        <span class="quiet">{{ material() }}</span>
      </div>
      <div class="release no-print">
        @if (released(); as r) {
          <span role="status">Released {{ r.at.slice(0, 10) }} by {{ who(r.personId) }}.</span>
          <button type="button" (click)="release()">Release again</button>
        } @else if (!p.chosen) {
          <button type="button" class="next" [disabled]="!p.bar" (click)="choose({})">Plan it this way</button>
        } @else {
          <button type="button" class="next" (click)="release()">Release for cutting</button>
        }
        <a [href]="slip()" target="_blank">Job slip, PDF</a>
      </div>
      @for (s of p.setUps; track s.setUp.number) {
        <section>
          <h2>Set-up {{ s.setUp.number }}: {{ s.setUp.title }}</h2>
          <p class="quiet">Hold: {{ s.setUp.hold }}. Zero: {{ s.setUp.zeroFace }}.</p>
          <div class="cols">
            <ip-ladder [rungs]="s.ladder" [dial]="p.lathe.carriage" />
            <ol>
              @for (o of s.setUp.operations; track o) {
                <li>{{ o }}</li>
              }
            </ol>
          </div>
          @for (c of s.setUp.cautions; track c) {
            <p class="said">{{ c }}</p>
          }
        </section>
      }
      <section>
        <h2>Passes and speeds</h2>
        <table class="plain">
          <thead>
            <tr>
              <th>Segment</th>
              <th>Diameters, one pass after another</th>
              <th class="num">rough</th>
              <th class="num">finish</th>
            </tr>
          </thead>
          <tbody>
            @for (x of p.passes; track x.segment.segment.id) {
              <tr>
                <td>
                  <b>{{ x.segment.segment.name }}</b>
                </td>
                <td class="fig">{{ passes(x.passes) }}</td>
                <td class="num">{{ rpm(x.roughSpeed) }}</td>
                <td class="num">{{ rpm(x.finishSpeed) }}</td>
              </tr>
            }
          </tbody>
        </table>
        <p class="quiet">Part off at 0.4 of that. On centre height; the last cuts are equal and the last one is measured.</p>
      </section>
    } @else {
      <p class="empty">There is no part to plan yet. Draw it first.</p>
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 12px 18px 24px;
    }
    .choices {
      display: grid;
      grid-template-columns: 1fr 2fr 1fr 0.9fr;
      gap: 8px 16px;
    }
    .facts {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 28px;
      align-items: baseline;
      margin: 6px 0 10px;
    }
    .release {
      display: flex;
      gap: 18px;
      align-items: center;
      margin-bottom: 14px;
    }
    section {
      border-top: 1px solid var(--hairline);
      padding: 10px 0;
    }
    .cols {
      display: grid;
      grid-template-columns: minmax(0, 1.9fr) minmax(0, 1fr);
      gap: 20px;
    }
    ol {
      list-style: decimal;
      padding-left: 22px;
      font-size: 15px;
    }
    li {
      margin: 4px 0;
    }
    .said {
      margin: 6px 0;
      font-size: 15px;
      padding: 6px 12px;
    }
    td.fig {
      font-size: 15px;
    }
    .empty {
      padding: 12px 0;
    }
    @media (max-width: 1000px) {
      .choices {
        grid-template-columns: 1fr 1fr;
      }
      .cols {
        grid-template-columns: 1fr;
      }
    }
  `,
})
export class Plan {
  protected readonly store = inject(SheetStore);
  protected readonly shop = inject(ShopStore);
  protected readonly found = computed(() => this.store.repair()?.plan ?? null);
  protected readonly released = computed(() => {
    const sheet = this.store.sheet();
    return sheet ? newestRelease(sheet) : null;
  });
  protected readonly material = computed(() => materialOf(this.store.repair()?.part?.part.materialId ?? '')?.name ?? '');
  protected readonly slip = computed(() => routes.slip(this.store.sheet()!.job.id));

  protected size(mm: number, decimals: number): string {
    const unit = this.store.unit();
    return formatLength(mm, unit, unit === 'mm' ? decimals : decimals + 2);
  }

  protected fraction(mm: number): string {
    return `${toInchFraction(mm, 16).text} in`;
  }

  protected who(id: string): string {
    return this.shop.shop().people.find((p) => p.id === id)?.name ?? '';
  }

  protected choose(change: Partial<PlanChoice>): void {
    const p = this.found()!;
    const barId = change.barId ?? p.bar?.id ?? '';
    if (barId === '') return;
    void this.store.putChoice(choiceKey.plan, 'the plan', { ...p.plan, barId, ...change }).catch(() => undefined);
  }

  protected release(): void {
    void this.store.release().catch(() => undefined);
  }

  protected passes(outcome: Outcome<Pass[]>): string {
    if (!outcome.ok) return outcome.problems[0]!.message;
    const unit = this.store.unit();
    return outcome.value.map((p) => formatLength(p.toMm, unit) + (p.kind === 'finish' ? ' f' : '')).join('  ') || 'none';
  }

  protected rpm(outcome: Outcome<SpindleSpeed>): string {
    return outcome.ok ? `${outcome.value.gearRpm} rpm` : '–';
  }
}
