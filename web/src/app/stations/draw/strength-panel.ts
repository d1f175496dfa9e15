import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  capital,
  chosenRoute,
  inSentence,
  keptAlive,
  materialChange,
  materialOf,
  notAsWeak,
  placeWithUnit,
  SHARP_CORNER_MM,
  significant,
  soundsLikeGivingWay,
  type StrengthRow,
  type Load,
} from '@iron-patch/core';
import { DrawnEvidence, SheetStore } from '../../sheet-data';
import { FigureButton } from '../../show';
import { LoadForm } from './load-form';

/** What would break first: the weakest place under each load, old against new, and where the new part is weaker than the old one was. */
@Component({
  selector: 'ip-strength-panel',
  imports: [FigureButton, LoadForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (evidence.strength(); as s) {
      <h2 id="strength">What would break first</h2>
      <div class="scroll" tabindex="0" role="region" aria-labelledby="strength">
        <table class="plain">
          <thead>
            <tr>
              <th>Load</th>
              <th>old, weakest at</th>
              <th class="num">bears</th>
              <th>new, weakest at</th>
              <th class="num">bears</th>
              <th class="num">new over old</th>
            </tr>
          </thead>
          <tbody>
            @for (r of s.rows; track r.load) {
              <tr [class.on]="r.load === evidence.load()">
                <td>
                  <button type="button" class="plain" [attr.aria-pressed]="r.load === evidence.load()" (click)="evidence.load.set(r.load)">
                    {{ capital(r.words) }}
                  </button>
                </td>
                <td>{{ r.old ? at(r.old.bearing) : 'not read' }}</td>
                <td class="num">
                  @if (r.old) {
                    <ip-figure [figure]="r.old.figure" [size]="16" />
                  }
                </td>
                <td>{{ at(r.new.bearing) }}</td>
                <td class="num"><ip-figure [figure]="r.new.figure" [size]="16" /></td>
                <td class="num big" [class.worse]="worse(r)">
                  {{ r.ratio ? percent(r) : '' }}
                  @if (!r.ratio && r.old) {
                    <small>old not read there</small>
                  }
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      @if (sacrificed()) {
        <div class="said" [class.bad]="stands().length > 0">
          <p><b>It gives way on purpose</b>, before what it protects: never stronger than the old one.</p>
          @for (w of stands(); track w) {
            <p>{{ w }}</p>
          } @empty {
            <p>As it is drawn it bears no more than the old one, of the same material.</p>
          }
        </div>
      } @else if (s.weaker.length) {
        <p class="said">
          Weaker than the old part was at the same place:
          @for (w of s.weaker; track w.load + w.atMm; let last = $last) {
            {{ inSentence(w.words) }} ({{ words[w.load] }}, {{ share(w.share) }} of it){{ last ? '.' : ',' }}
          }
        </p>
      }
      @for (k of alive(); track k) {
        <p class="said bad">{{ k }}</p>
      }
      @if (changed().length) {
        <details class="change">
          <summary>{{ changed()[0] }}</summary>
          @for (c of changed().slice(1); track c) {
            <p>{{ c }}</p>
          } @empty {
            <p>Nothing else that the book knows of.</p>
          }
        </details>
      }
      @if (soundsSo()) {
        <p class="quiet">
          By its name it may be there to give way first. If it is, say so of the item above: then it must not be stronger.
        </p>
      }
      @if (s.byShape) {
        <p class="quiet">
          What the old part is made of is not known: both are reckoned in the new one’s material, so only the shapes are told apart.
        </p>
      }
      @for (w of s.weld; track w) {
        <p class="said">{{ w }}</p>
      }
      @if (s.beyond.length) {
        <p class="quiet">Beyond what was published, taken further: {{ beyond() }}.</p>
      }
      <p class="quiet">
        The same load all along, reversed for ever, machined surface: a guide for holding the new part against the old one, no design. A
        corner without a radius counts as {{ corner() }}.
      </p>
      <ip-load-form />
    }
  `,
  styles: `
    :host {
      display: block;
    }
    td.big {
      font: 700 18px var(--figures);
      white-space: nowrap;
    }
    td.worse {
      color: var(--out);
    }
    tr.on td {
      background: var(--blue-soft);
    }
    summary {
      cursor: pointer;
      min-height: 40px;
      align-content: center;
      color: var(--blue);
    }
    td button {
      min-height: 40px;
      text-align: left;
    }
    p {
      max-width: 84ch;
    }
  `,
})
export class StrengthPanel {
  private readonly store = inject(SheetStore);
  protected readonly evidence = inject(DrawnEvidence);
  protected readonly capital = capital;
  protected readonly inSentence = inSentence;
  protected readonly words: Readonly<Record<Load, string>> = { bending: 'bent', torsion: 'twisted', tension: 'pulled' };
  protected readonly sacrificed = computed(() => this.store.item()?.givesWay ?? false);
  protected readonly soundsSo = computed(() => !this.sacrificed() && soundsLikeGivingWay(this.store.item()?.name ?? ''));
  /** What stands against a part that is to give way. */
  protected readonly stands = computed(() => {
    const part = this.drawn();
    return part ? notAsWeak(part, this.evidence.read()?.part.materialId ?? '', this.evidence.strength()) : [];
  });
  private readonly drawn = computed(() => this.store.repair()?.part?.part ?? null);
  /** What of the cause that was found is drawn again. */
  protected readonly alive = computed(() => {
    const [sheet, part] = [this.store.sheet(), this.drawn()];
    return sheet && part ? keptAlive(chosenRoute(sheet)?.causeId ?? '', part, this.evidence.strength(), this.store.unit()) : [];
  });
  /** What changes with the material, where the old one is known. */
  protected readonly changed = computed(() => {
    const [old, now] = [this.evidence.read()?.part.materialId, this.drawn()?.materialId].map((id) => materialOf(id ?? ''));
    return old && now ? materialChange(old, now) : [];
  });
  protected readonly beyond = computed(() => this.evidence.strength()!.beyond.map(inSentence).join(', '));
  protected readonly corner = computed(() => placeWithUnit(SHARP_CORNER_MM, this.store.unit()));
  protected at = ({ words, atMm }: { readonly words: string; readonly atMm: number }): string =>
    `${inSentence(words)}, ${placeWithUnit(atMm, this.store.unit())}`;
  protected share = (share: number): string => `${significant(100 * share, 2)} %`;
  protected percent({ ratio }: StrengthRow): string {
    const by = Math.round(100 * (ratio!.value - 1));
    return by === 0 ? 'the same' : `${by > 0 ? '+' : '−'}${Math.abs(by)} %`;
  }
  /** Less than the old one, or of what is to give way more. */
  protected worse = ({ ratio }: StrengthRow): boolean =>
    ratio !== null && Math.round(100 * (ratio.value - 1)) * (this.sacrificed() ? -1 : 1) < 0;
}
