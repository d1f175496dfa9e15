import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  choiceKey,
  countOf,
  formatLength,
  formatWithUnit,
  isStraightened,
  type LoggedPush,
  PRESS_CAUTION,
  type PressAdvice,
  placeWithUnit,
  type Problem,
  type PushChoice,
} from '@iron-patch/core';
import { FormsModule } from '@angular/forms';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { keptDraft, newId, ShopStore } from '../../data';
import { DraftNote, LengthInput, TextField, startsAs } from '../../form';
import { SheetStore } from '../../sheet-data';
import { putChecked } from '../put-checked';

/** At the press: how it lies, how far down next, what each push left. */
@Component({
  selector: 'ip-press-log',
  imports: [DraftNote, FormsModule, LengthInput, NzCheckboxModule, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (press(); as p) {
      <section>
        <h2>In the press</h2>
        <div class="top">
          <div>
            <span class="label">It shows now</span><span class="huge fig">{{ show(p.totalMm) }}</span>
            <span class="quiet">{{ store.unit() }}, bow {{ show(p.totalMm / 2) }}</span>
          </div>
          <div>
            <span class="label">May show</span><span class="huge fig">{{ p.setting.mostMm === null ? '–' : show(p.setting.mostMm) }}</span>
          </div>
          <div>
            <span class="label">{{ p.advice?.state === 'straight' ? 'Straight' : 'Push down by' }}</span><span class="huge fig off">{{
              pushWords(p.advice)
            }}</span>
          </div>
        </div>
        <div aria-live="polite">
          @for (s of p.sentences; track s) {
            <p class="do">{{ s }}</p>
          }
        </div>
        @if (p.elasticMm !== null && p.forceN !== null) {
          <p class="quiet">
            By the book it begins to yield {{ withUnit(p.elasticMm) }} down, at about
            {{ (p.forceN / 1000).toFixed(p.forceN < 10000 ? 1 : 0) }} kN.
          </p>
        }
        <p class="said">{{ caution }} Guard up, nobody in line with its ends: blocks and bar let go sideways.</p>

        <ip-draft-note [kept]="kept" />
        @if (!p.said || setting()) {
          <div class="row" role="group" aria-label="How it lies">
            <ip-length
              label="First block at"
              path="supportsMm.0"
              [problems]="problems()"
              [unit]="store.unit()"
              [mm]="first()"
              (mmChange)="first.set($event)"
            />
            <ip-length
              label="Second block at"
              path="supportsMm.1"
              [problems]="problems()"
              [unit]="store.unit()"
              [mm]="second()"
              (mmChange)="second.set($event)"
            />
            <ip-length
              label="Thick there"
              path="diameterMm"
              [problems]="problems()"
              [unit]="store.unit()"
              [mm]="thick()"
              (mmChange)="thick.set($event)"
            />
            <ip-length
              label="May show in all"
              path="mostMm"
              [problems]="problems()"
              [unit]="store.unit()"
              [mm]="most()"
              (mmChange)="most.set($event)"
            />
            <button type="button" [class.next]="!p.said" (click)="set(p.place.place.id)">So it lies</button>
          </div>
          @for (x of elsewhere(); track x.code) {
            <p class="bad" role="alert">{{ x.message }}</p>
          }
        } @else {
          <p>
            Blocks at {{ at(p.setting.supportsMm![0]) }} and {{ at(p.setting.supportsMm![1]) }}, {{ p.upDeg }}° up.
            <button type="button" class="plain" (click)="setting.set(true)">Lay it otherwise</button>
          </p>
        }
        @if (p.said && p.advice) {
          <div class="row" role="group" aria-label="A push">
            <ip-length
              label="Pushed down by"
              path="pushedMm"
              [problems]="problems()"
              [unit]="store.unit()"
              [allowZero]="false"
              [mm]="pushed()"
              (mmChange)="pushed.set($event)"
            />
            <ip-length
              label="Let go, it shows in all"
              path="totalMm"
              [problems]="problems()"
              [unit]="store.unit()"
              [mm]="total()"
              (mmChange)="total.set($event)"
            />
            <label nz-checkbox name="over" [ngModel]="over()" (ngModelChange)="over.set($event)">High on the other side now</label>
            <ip-text class="remark" label="Remark" name="push-remark" [value]="remark()" (valueChange)="remark.set($event)" />
            <button
              type="button"
              [class.next]="p.advice.state !== 'straight'"
              [disabled]="pushed() === null || total() === null"
              (click)="keep()"
            >
              Keep this push
            </button>
          </div>
        }
        @if (p.log.length) {
          <table class="plain">
            <thead>
              <tr>
                <th class="num">down by</th>
                <th class="num">came back</th>
                <th class="num">stayed</th>
                <th class="num">shows then</th>
                <th>{{ countOf(p.log.length, 'push', 'pushes') }}</th>
              </tr>
            </thead>
            <tbody>
              @for (x of p.log; track x.id) {
                <tr>
                  <td class="num">{{ show(x.pushedMm) }}</td>
                  <td class="num">{{ show(x.pushedMm - stayed(x)) }}</td>
                  <td class="num">{{ show(stayed(x)) }}</td>
                  <td class="num">{{ show(x.totalMm) }}{{ x.over ? ', other side' : '' }}</td>
                  <td>
                    <span class="quiet">{{ who(x.personId) }}</span> <span data-verbatim>{{ x.remark }}</span>
                    <button
                      type="button"
                      class="plain"
                      [attr.aria-label]="'Withdraw the push of ' + show(x.pushedMm)"
                      (click)="withdraw(x)"
                    >
                      Withdraw
                    </button>
                  </td>
                </tr>
              }
            </tbody>
          </table>
        }
      </section>
    } @else if (asked()) {
      <p class="said">
        To straighten it by numbers, read at Measure how it is bent: a place of the kind straightness, an indicator at three places or more,
        all round.
      </p>
    }
  `,
  styles: `
    section {
      padding: 12px 18px;
    }
    .top {
      display: grid;
      grid-template-columns: 1fr 1fr 1.2fr;
      gap: 4px 20px;
    }
    .label {
      display: block;
      font-size: 16px;
    }
    .huge {
      font-size: 52px;
      line-height: 1.05;
      font-weight: 700;
      margin-right: 10px;
    }
    .off {
      color: var(--accent);
    }
    .do {
      font-size: 19px;
      margin: 6px 0;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 14px;
      align-items: start;
      margin: 8px 0;
    }
    .row ip-length {
      flex: 0 0 170px;
    }
    .row button {
      margin-top: 26px;
    }
    .row label {
      margin-top: 26px;
    }
    .remark {
      flex: 1 1 200px;
    }
    td {
      vertical-align: middle !important;
    }
    td span {
      margin-right: 10px;
    }
    .bad {
      color: var(--out);
    }
    @media (max-width: 900px) {
      .top {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class PressLog {
  protected readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  protected readonly caution = PRESS_CAUTION;
  protected readonly countOf = countOf;
  protected readonly press = computed(() => this.store.repair()?.at?.press ?? null);
  protected readonly asked = computed(() => {
    const item = this.store.item();
    return item !== null && isStraightened(item);
  });
  protected readonly setting = signal(false);
  private readonly lies = computed(() => this.press()?.setting ?? null);
  protected readonly first = startsAs<number | null>(() => this.lies()?.supportsMm?.[0] ?? null);
  protected readonly second = startsAs<number | null>(() => this.lies()?.supportsMm?.[1] ?? null);
  protected readonly thick = startsAs<number | null>(() => this.lies()?.diameterMm ?? null);
  protected readonly most = startsAs<number | null>(() => this.lies()?.mostMm ?? null);
  protected readonly pushed = signal<number | null>(null);
  protected readonly total = signal<number | null>(null);
  protected readonly over = signal(false);
  protected readonly remark = signal('');
  protected readonly kept = keptDraft(() => `push:${this.store.sheet()!.job.id}:${this.store.item()?.id}`, {
    pushed: this.pushed,
    total: this.total,
    over: this.over,
    remark: this.remark,
  });
  protected readonly problems = signal<readonly Problem[]>([]);
  private static readonly FIELDS = ['supportsMm.0', 'supportsMm.1', 'diameterMm', 'mostMm', 'pushedMm', 'totalMm'];
  protected readonly elsewhere = computed(() => this.problems().filter((p) => !PressLog.FIELDS.includes(p.path)));

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }

  protected pushWords = (advice: PressAdvice | null): string => (typeof advice?.pushMm === 'number' ? this.show(advice.pushMm) : '–');

  protected withUnit(mm: number): string {
    return formatWithUnit(mm, this.store.unit());
  }

  protected at(mm: number): string {
    return placeWithUnit(mm, this.store.unit());
  }

  protected stayed = ({ beforeMm, afterMm }: LoggedPush): number => Math.abs(beforeMm - afterMm);

  protected who(id: string): string {
    return this.shop.personName(id);
  }

  protected async set(placeId: string): Promise<void> {
    const value = { placeId, supportsMm: [this.first(), this.second()], diameterMm: this.thick(), mostMm: this.most() };
    if (await this.put(choiceKey.press(this.store.item()!.id), 'how it lies in the press', value)) this.setting.set(false);
  }

  protected async keep(): Promise<void> {
    const value: PushChoice = {
      ...{ itemId: this.store.item()!.id, pushedMm: this.pushed()!, totalMm: this.total()!, over: this.over() },
      ...{ remark: this.remark().trim(), pushedAt: new Date().toISOString(), removed: false },
    };
    if (!(await this.put(choiceKey.push(newId()), 'a push', value))) return;
    this.pushed.set(null);
    this.total.set(null);
    this.remark.set('');
  }

  protected withdraw({ id, personId: _, beforeMm: __, afterMm: ___, ...value }: LoggedPush): void {
    void this.put(choiceKey.push(id), 'a push', { ...value, removed: true });
  }

  private async put(key: string, what: string, value: unknown): Promise<boolean> {
    const { stored, problems } = await putChecked(this.store, key, what, value);
    this.problems.set(problems);
    return stored;
  }
}
