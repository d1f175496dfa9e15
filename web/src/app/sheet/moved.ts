import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { choiceKey, countOf, showValue, type MovedFigure } from '@iron-patch/core';
import { seenFigures, SheetStore } from '../sheet-data';

/** After the release something changed: every number that it moved, old and new, until someone accepts or releases again. */
@Component({
  selector: 'ip-moved',

  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (store.repair()?.moved; as moved) {
      @if (moved.length && store.draftPart()) {
        <p class="said" role="status">{{ countOf(moved.length, 'released number') }} will move when this drawing is saved.</p>
      } @else if (moved.length) {
        <section class="said bad" aria-label="Released numbers that moved">
          <b>{{ countOf(moved.length, 'released number') }} moved.</b> The paper at the machine is no longer right.
          <button type="button" (click)="release()">Release again with these</button>
          <div class="scroll" tabindex="0" role="region" aria-label="What moved">
            <table class="plain">
              <thead>
                <tr>
                  <th>Figure</th>
                  <th class="num">released</th>
                  <th class="num">now</th>
                  <th><span class="sr-only">Accept</span></th>
                </tr>
              </thead>
              <tbody>
                @for (m of moved; track m.key) {
                  <tr>
                    <td>{{ m.label }}</td>
                    <td class="num">{{ shown(m, m.oldMm) }}</td>
                    <td class="num strong">{{ shown(m, m.newMm) }}</td>
                    <td><button type="button" (click)="accept(m)">Accept</button></td>
                  </tr>
                }
              </tbody>
            </table>
          </div>
        </section>
      }
    }
  `,
  styles:
    '.scroll { max-height: 190px; overflow: auto; } .said { padding: 10px 18px; } .strong { font-weight: 700; } td { vertical-align: middle !important; } table { margin: 6px 0; }',
})
export class Moved {
  protected readonly store = inject(SheetStore);
  protected readonly countOf = countOf;

  protected shown = ({ key, label, measure }: MovedFigure, value: number | null): string =>
    value === null ? 'none' : showValue({ key, label, measure, value, origin: { kind: 'rule', rule: '' } }, this.store.unit());

  protected release(): void {
    void this.store.release(seenFigures(this.store.repair())).catch(this.store.bug);
  }

  protected accept(m: MovedFigure): void {
    void this.store
      .putChoice(choiceKey.accept(m.key), m.label, { valueMm: m.newMm }, 'accepted after the release', false)
      .catch(this.store.bug);
  }
}
