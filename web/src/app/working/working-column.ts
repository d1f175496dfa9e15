import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  everyFigure,
  explain,
  formatLength,
  inSentence,
  otherUnit,
  showValue,
  stationFigure,
  type Figure,
  type StationId,
} from '@iron-patch/core';
import { StateMark } from '../mark';
import { StationWords } from './station-words';
import { SheetStore } from '../sheet-data';

/** The chain behind the chosen number, in words; before one is chosen, the number that matters most now. */
@Component({
  selector: 'ip-working',
  imports: [StateMark, StationWords],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-label="Working" aria-live="polite">
      @if (figure(); as f) {
        <h2>Working: {{ f.label }}</h2>
        <p class="big fig">
          {{ value() }} <small>{{ f.measure === 'length' ? store.unit() : '' }}</small>
        </p>
        @if (f.measure === 'length') {
          <p class="other fig">{{ other() }}{{ f.plusMinus ? ', ±' + plusMinus() : '' }}</p>
        }
        @for (doubt of f.flags ?? []; track doubt) {
          <p class="doubt"><ip-state state="close" [size]="15" /> {{ doubt }}</p>
        }
        @if (f.limits; as l) {
          <p class="quiet fig limits">{{ show(l.lower) }} to {{ show(l.upper) }}</p>
        }
        @if (f.origin.kind === 'worked' || !lines().length) {
          <p class="quiet">{{ why(f) }}</p>
        }
        <ol>
          @for (l of lines(); track $index) {
            <li [style.margin-left.px]="(l.level - 1) * 10" [class.deep]="l.level > 1">
              <button type="button" (click)="store.show(l.figure)">
                <b class="fig">{{ part(l.figure) }}</b> {{ l.figure.label }}
              </button>
              <span class="quiet">{{ why(l.figure) }}</span>
            </li>
          }
          @if (more(); as n) {
            <li class="quiet">and {{ n }} more behind these; touch one to follow it.</li>
          }
        </ol>
      } @else {
        <h2>Working</h2>
        <p class="quiet">Touch any number that has a dotted line under it: here stands where it came from.</p>
      }
      @if (advice(); as a) {
        <p class="said">{{ a }}</p>
      }
      @if (ranked().length) {
        <h2 class="gap">What was it?</h2>
        <p class="quiet">{{ asked()!.place.name }}</p>
        @for (r of ranked(); track r.name) {
          <p class="rank">
            <b class="fig">{{ r.name }}</b> <span>{{ percent(r.probability) }}, {{ r.reasons[0] }}</span>
          </p>
        }
        <p class="quiet note">{{ asked()!.nominal.note }}</p>
      }
    </section>
    <ip-station-words class="no-print" [station]="station()" />
  `,
  styles: `
    :host {
      display: block;
      background: var(--sheet);
      border-left: 1px solid var(--hairline);
      padding: 14px 18px;
      overflow: auto;
    }
    ip-station-words {
      margin-top: 24px;
    }
    h2 {
      color: var(--quiet);
      font-size: 16px;
    }
    .gap {
      margin-top: 20px;
    }
    .big {
      font-size: 36px;
      font-weight: 700;
      line-height: 1.15;
      margin-top: 4px;
    }
    .big small {
      font: 400 18px var(--figures);
      color: var(--quiet);
    }
    .other,
    .limits {
      font-size: 15px;
      color: var(--quiet);
    }
    ol {
      border-left: 2px solid var(--blue);
      padding-left: 10px;
      margin: 12px 0;
    }
    li {
      margin-bottom: 9px;
      font-size: 15px;
      line-height: 1.3;
    }
    li.deep {
      font-size: 14px;
    }
    li button {
      all: unset;
      cursor: pointer;
      font-size: 15px;
    }
    li button:focus-visible {
      outline: 3px solid var(--accent);
    }
    li span {
      display: block;
      font-size: 14px;
    }
    .rank {
      margin-top: 6px;
      font-size: 15px;
      line-height: 1.3;
    }
    .rank b {
      margin-right: 6px;
    }
    .rank span {
      font-size: 14px;
      color: var(--quiet);
    }
    .doubt {
      font-size: 15px;
      margin: 4px 0;
    }
    .note {
      font-size: 14px;
      margin-top: 6px;
    }
    .said {
      font-size: 15px;
      margin-top: 8px;
    }
    @media print {
      :host {
        overflow: visible;
        border: 0;
      }
    }
  `,
})
export class WorkingColumn {
  protected readonly store = inject(SheetStore);
  readonly station = input.required<StationId>();
  /** Stations at which it is asked what the part was and how the play stands. */
  private readonly asksWhatItWas = computed(() => ['strip', 'measure', 'decide'].includes(this.station()));
  /** The figure as it is now: a chosen one is found again by its key after something changed. */
  protected readonly figure = computed<Figure | null>(() => {
    const chosen = this.store.figure();
    const repair = this.store.repair();
    if (!repair) return chosen;
    if (!chosen) return stationFigure(repair, this.station(), this.store.selection().spanId);
    return everyFigure(repair).find((f) => f.key === chosen.key) ?? chosen;
  });
  private static readonly MOST_LINES = 9;
  private readonly all = computed(() => {
    const f = this.figure();
    return f ? explain(f, this.store.unit()).slice(1) : [];
  });
  protected readonly lines = computed(() => this.all().slice(0, WorkingColumn.MOST_LINES));
  protected readonly more = computed(() => this.all().length - this.lines().length);
  protected readonly value = computed(() => {
    const f = this.figure()!;
    return f.measure === 'length' ? this.show(f.value) : showValue(f, this.store.unit());
  });
  protected readonly other = computed(() => {
    const unit = otherUnit(this.store.unit());
    return `${formatLength(this.figure()!.value, unit)} ${unit}`;
  });
  protected readonly plusMinus = computed(() => this.show(this.figure()!.plusMinus!));
  protected readonly advice = computed(() => {
    const fit = this.store.repair()?.fits.find((f) => f.target?.trueTheHole && f.choice?.hole !== 'true');
    if (!fit || !this.asksWhatItWas()) return null;
    return `Play at the widest place ${this.show(fit.figures!.playLargest.value)}. The oval of ${inSentence(fit.hole.place.name)} eats more than half of the play that this fit allows. Bore the hole true to ${this.show(fit.truedMm!)}.`;
  });
  protected readonly asked = computed(() => {
    const repair = this.asksWhatItWas() ? this.store.repair() : null;
    const worn = (repair?.places ?? []).filter((f) => f.component.role === 'worn' && f.nominal.ranked.length);
    return worn.find((f) => f.place.id === this.store.selection().spanId) ?? worn.find((f) => f.place.land === 'worn') ?? worn[0] ?? null;
  });
  protected readonly ranked = computed(() => (this.asked()?.nominal.ranked ?? []).filter((r) => r.probability > 0.005).slice(0, 3));

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }

  protected part(f: Figure): string {
    return f.measure === 'length' ? this.show(f.value) : showValue(f, this.store.unit());
  }

  protected why(f: Figure): string {
    switch (f.origin.kind) {
      case 'rule':
        return f.origin.rule;
      case 'table':
        return f.origin.source;
      case 'typed':
        return `typed at ${f.origin.by}`;
      case 'reading':
        return [`“${f.origin.text}”`, f.origin.instrument, f.origin.by, f.note, ...(f.flags ?? [])].filter(Boolean).join(', ');
      case 'worked':
        return f.origin.how;
      case 'sum':
        return (
          f.origin.terms.map((t, i) => `${t.sign < 0 ? '- ' : i ? '+ ' : ''}${t.figure.label}`).join(' ') + (f.note ? `, ${f.note}` : '')
        );
    }
  }

  protected percent(share: number): string {
    return share > 0.995 ? 'over 99 %' : `${Math.round(share * 100)} %`;
  }
}
