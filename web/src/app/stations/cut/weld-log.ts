import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { choiceKey, HYDROGEN, WELD_WAYS, type BeadChoice, type LaidBead, type Problem, type WeldChoice } from '@iron-patch/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { keptDraft, newId, ShopStore, ShopTimePipe } from '../../data';
import { ChooseField, DraftNote, LengthInput, MATERIAL_OPTIONS, signedNumber, TextField, type Option, startsAs } from '../../form';
import { SheetStore } from '../../sheet-data';
import { putChecked } from '../put-checked';

const SEAMS: readonly Option[] = [
  ['fillet', 'fillet'],
  ['bevel', 'bevel'],
];
const WAYS: readonly Option[] = WELD_WAYS.map((id) => [id, HYDROGEN[id].name]);
/** A small seam of a repair, before anybody said what it is. */
const START = { seam: 'fillet', sizeMm: null, bevelDeg: '0', diameterMm: null, thickMm: null, way: 'wire', heatKjMm: '0.8', spare: false };

/** A round seam: what is laid next and where, how warm it may be, what was laid. */
@Component({
  selector: 'ip-weld-log',
  imports: [ChooseField, DraftNote, FormsModule, LengthInput, NzCheckboxModule, ShopTimePipe, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (weld(); as w) {
      <section>
        <h2>The seam</h2>
        @if (w.setting && !setting()) {
          <p class="next-bead fig" role="status">{{ w.next ? w.next.words : 'All laid' }}</p>
        }
        <div aria-live="polite">
          @for (s of w.sentences; track s) {
            <p class="do" [class.said]="$first && w.setting && w.preheatC === null">{{ s }}</p>
          }
        </div>
        @if (w.setting && !setting()) {
          <p class="quiet">
            {{ w.tacks.length }} tacks, {{ w.runs === 1 ? 'one run' : w.runs + ' runs' }} in quarters.
            <button type="button" class="plain" (click)="setting.set(true)">Another seam</button>
          </p>
          @if (w.next; as n) {
            <div class="row">
              <ip-text
                label="It has, °C"
                name="bead-c"
                inputmode="decimal"
                path="tempC"
                [problems]="problems()"
                [value]="temp()"
                (valueChange)="temp.set($event)"
              />
              <button type="button" class="next lay" (click)="lay(n.kind, n.index)">Laid</button>
            </div>
            @if (tooWarm()) {
              <p class="said" role="status">Warmer than {{ w.betweenC }} °C: wait, or the seam and what lies near it suffer.</p>
            }
          }
          @if (w.laid.length) {
            <ol>
              @for (l of w.laid; track l.id) {
                <li>
                  <b>{{ words(l) }}</b>
                  <span class="quiet">{{ told(l) }}, {{ l.laidAt | shopTime }}</span>
                  <button type="button" class="plain" [attr.aria-label]="'Withdraw ' + words(l)" (click)="withdraw(l)">Withdraw</button>
                </li>
              }
            </ol>
          }
        } @else {
          <ip-draft-note [kept]="kept" />
          <div class="row" role="group" aria-label="What seam it is">
            <ip-choose
              label="One part"
              name="material"
              path="materialId"
              [problems]="problems()"
              [options]="materials"
              [value]="one()"
              (valueChange)="one.set($event)"
            />
            <ip-choose
              label="The other"
              name="other"
              path="otherId"
              [problems]="problems()"
              [options]="materials"
              [value]="other()"
              (valueChange)="other.set($event)"
            />
            <ip-choose label="Seam" name="seam" [options]="seams" [value]="seam()" (valueChange)="seam.set($event)" />
            <ip-length
              [label]="seam() === 'bevel' ? 'Deep' : 'Leg'"
              path="sizeMm"
              [problems]="problems()"
              [unit]="store.unit()"
              [mm]="size()"
              (mmChange)="size.set($event)"
            />
            @if (seam() === 'bevel') {
              <ip-text
                label="Bevel, °"
                name="bevel"
                inputmode="decimal"
                path="bevelDeg"
                [problems]="problems()"
                [value]="bevel()"
                (valueChange)="bevel.set($event)"
              />
            }
            <ip-length
              label="Seam across"
              path="diameterMm"
              [problems]="problems()"
              [unit]="store.unit()"
              [mm]="across()"
              (mmChange)="across.set($event)"
            />
            <ip-length
              label="Thicker part"
              path="thickMm"
              [problems]="problems()"
              [unit]="store.unit()"
              [mm]="thick()"
              (mmChange)="thick.set($event)"
            />
            <ip-choose label="Welded with" name="way" [options]="ways" [value]="way()" (valueChange)="way.set($event)" />
            <ip-text
              label="Heat, kJ/mm"
              name="heat"
              inputmode="decimal"
              path="heatKjMm"
              [problems]="problems()"
              [value]="heat()"
              (valueChange)="heat.set($event)"
            />
          </div>
          <label nz-checkbox name="spare" [ngModel]="spare()" (ngModelChange)="spare.set($event)"
            >Chrome, a thread or a seal seat is near</label
          >
          <div class="row">
            <button type="button" [class.next]="!w.setting" (click)="set()">So it is welded</button>
            @if (w.setting) {
              <button type="button" class="plain" (click)="setting.set(false)">Close</button>
            }
          </div>
        }
      </section>
    }
  `,
  styles: `
    section {
      padding: 12px 18px;
    }
    .next-bead {
      font-size: 44px;
      font-weight: 700;
      line-height: 1.15;
      color: var(--accent);
      margin: 4px 0;
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
    .row ip-length,
    .row ip-text {
      flex: 0 0 160px;
    }
    .lay {
      margin-top: 22px;
      min-height: 52px;
      min-width: 140px;
      font-size: 19px;
    }
    ol {
      list-style: none;
      padding: 0;
      margin: 6px 0;
    }
    li {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 12px;
      align-items: center;
      min-height: 44px;
      font-size: 17px;
    }
  `,
})
export class WeldLog {
  protected readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  protected readonly materials = MATERIAL_OPTIONS;
  protected readonly seams = SEAMS;
  protected readonly ways = WAYS;
  protected readonly weld = computed(() => this.store.repair()?.at?.weld ?? null);
  private readonly said = computed(() => this.weld()?.setting ?? null);
  protected readonly setting = signal(false);
  protected readonly one = startsAs(() => this.said()?.materialId ?? this.weld()?.materials[0] ?? '');
  protected readonly other = startsAs(() => this.said()?.otherId ?? this.weld()?.materials[1] ?? '');
  protected readonly seam = startsAs<string>(() => this.said()?.seam ?? START.seam);
  protected readonly size = startsAs<number | null>(() => this.said()?.sizeMm ?? START.sizeMm);
  protected readonly bevel = startsAs(() => String(this.said()?.bevelDeg ?? START.bevelDeg));
  protected readonly across = startsAs<number | null>(() => this.said()?.diameterMm ?? START.diameterMm);
  protected readonly thick = startsAs<number | null>(() => this.said()?.thickMm ?? START.thickMm);
  protected readonly way = startsAs<string>(() => this.said()?.way ?? START.way);
  protected readonly heat = startsAs(() => String(this.said()?.heatKjMm ?? START.heatKjMm));
  protected readonly spare = startsAs(() => this.said()?.spare ?? START.spare);
  protected readonly temp = signal('');
  protected readonly problems = signal<readonly Problem[]>([]);
  protected readonly kept = keptDraft(() => `seam:${this.store.sheet()!.job.id}:${this.store.item()?.id}`, {
    ...{ one: this.one, other: this.other, seam: this.seam, size: this.size, bevel: this.bevel, across: this.across },
    ...{ thick: this.thick, way: this.way, heat: this.heat, spare: this.spare },
  });
  protected readonly tooWarm = computed(() => {
    const [c, weld] = [this.temp().trim() ? signedNumber(this.temp()) : null, this.weld()];
    return c !== null && weld !== null && c > weld.betweenC;
  });

  protected words({ kind, index }: BeadChoice): string {
    const { tacks, beads } = this.weld()!;
    if (kind === 'tack') return tacks[index] === undefined ? 'A tack of another seam' : `Tack at ${tacks[index]}°`;
    const bead = beads[index];
    return bead ? `Run ${bead.run}, ${bead.fromDeg}° to ${bead.toDeg}°` : 'A run of another seam';
  }

  protected told({ personId, tempC }: LaidBead): string {
    const who = this.shop.personName(personId);
    return [who, tempC === null ? '' : `at ${tempC} °C`].filter(Boolean).join(', ');
  }

  protected async set(): Promise<void> {
    const value = {
      ...{ materialId: this.one(), otherId: this.other(), seam: this.seam(), sizeMm: this.size(), diameterMm: this.across() },
      ...{ thickMm: this.thick(), way: this.way(), heatKjMm: signedNumber(this.heat()), spare: this.spare() },
      bevelDeg: this.seam() === 'bevel' ? signedNumber(this.bevel()) : 0,
    } satisfies Readonly<Record<keyof WeldChoice, unknown>>;
    if (!(await this.put(choiceKey.weld(this.store.item()!.id), 'the seam', value))) return;
    this.kept.done();
    this.setting.set(false);
  }

  protected async lay(kind: BeadChoice['kind'], index: number): Promise<void> {
    const value: BeadChoice = {
      ...{ itemId: this.store.item()!.id, kind, index, tempC: this.temp().trim() ? signedNumber(this.temp()) : null },
      ...{ laidAt: new Date().toISOString(), removed: false },
    };
    if (await this.put(choiceKey.bead(newId()), 'what was laid', value)) this.temp.set('');
  }

  protected withdraw({ id, personId: _, ...value }: LaidBead): void {
    void this.put(choiceKey.bead(id), 'what was laid', { ...value, removed: true });
  }

  private async put(key: string, what: string, value: unknown): Promise<boolean> {
    const { stored, problems } = await putChecked(this.store, key, what, value);
    this.problems.set(problems);
    return stored;
  }
}
