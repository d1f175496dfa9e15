import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { capital, ordersWith, type BlockPlan, type PlanChoice } from '@iron-patch/core';
import { FigureButton } from '../show';
import { ActOrder } from './act-order';
import { OnTheCut } from './on-the-cut';
import { PassesTable } from './plan/passes-table';

/** How a block is made: its holes from the two edges that they count from, each with its drill, then set-up by set-up. */
@Component({
  selector: 'ip-block-steps',
  imports: [ActOrder, FigureButton, OnTheCut, PassesTable],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (plan().holes.length) {
      <section>
        <h2>Holes, from two edges</h2>
        <div class="scroll" tabindex="0" role="region" aria-label="Holes from two edges">
          <table class="plain">
            <thead>
              <tr>
                <th></th>
                <th scope="col">hole</th>
                <th scope="col" class="num">from one edge</th>
                <th scope="col" class="num">from the other</th>
                <th scope="col">drill</th>
              </tr>
            </thead>
            <tbody>
              @for (h of plan().holes; track h.id) {
                <tr>
                  <td class="letter">{{ h.letter }}</td>
                  <td>
                    {{ h.name }} <span class="quiet">{{ h.face }}</span>
                  </td>
                  <td class="num">
                    <ip-figure [figure]="h.first" [size]="22" [strong]="true" /> <span class="quiet">from the {{ h.edges[0] }}</span>
                    <div class="go">
                      <span class="quiet">touched, go</span> <ip-figure [figure]="h.go[0].far" [size]="17" />
                      @if (h.go[0].dial; as turns) {
                        <span class="fig">{{ turns }}</span>
                      }
                    </div>
                  </td>
                  <td class="num">
                    <ip-figure [figure]="h.second" [size]="22" [strong]="true" /> <span class="quiet">from the {{ h.edges[1] }}</span>
                    <div class="go">
                      <span class="quiet">touched, go</span> <ip-figure [figure]="h.go[1].far" [size]="17" />
                      @if (h.go[1].dial; as turns) {
                        <span class="fig">{{ turns }}</span>
                      }
                    </div>
                  </td>
                  <td>
                    {{ h.drill }}
                    @if (h.rpm; as r) {
                      <div class="go"><ip-figure [figure]="r" /></div>
                    }
                  </td>
                </tr>
              }
            </tbody>
          </table>
        </div>
        <p class="quiet">
          Touch each edge with the finder and zero there; then go by what stands below, half the finder is in it. A paper between comes on
          top. Come to every number from the same side.
        </p>
      </section>
    }
    @if (plan().bored; as b) {
      @for (t of b.problems; track t) {
        <p class="said bad" role="alert">{{ t }}</p>
      }
      @if (b.bores; as d) {
        <ip-passes
          name="Passes and speeds of what is bored"
          [passes]="b.passes"
          [pushed]="b.pushed"
          [dial]="d.cross"
          [from]="d.name + ' from where its tool first touches'"
        />
        @if (d.words) {
          <p class="said">{{ d.words }}</p>
        }
      }
      @for (x of b.pushed; track x.segmentId) {
        @if (x.words) {
          <p class="said">{{ x.words }}</p>
        }
      }
    }
    @if (plan().milled; as m) {
      <p class="milled">
        {{ capital(m.rpm.label) }} <ip-figure [figure]="m.rpm" /> fed by <ip-figure [figure]="m.feed" /> a tooth. Another size goes by its
        own diameter: half as thick, twice as fast.
      </p>
    }
    @for (s of plan().setUps; track s.number) {
      <section>
        <h2>Set-up {{ s.number }}: {{ s.title }}</h2>
        <p class="quiet">Hold: {{ s.hold }}. Zero: {{ s.zeroFace }}.</p>
        @if (mayOrder() && s.acts.length > 1) {
          <ip-act-order [acts]="s.acts" [byHand]="byHand(s.number)" [minds]="s.minds" (wanted)="order(s.number, $event)" />
        } @else {
          <ol>
            @for (o of s.operations; track $index) {
              <li>{{ o }}</li>
            }
          </ol>
        }
        <ip-on-the-cut [coolant]="s.coolant" />
        @for (c of s.cautions; track c) {
          <p class="said">{{ c }}</p>
        }
      </section>
    }
  `,
  styles: `
    section {
      border-top: 1px solid var(--hairline);
      padding: 10px 0;
    }
    table.plain td {
      vertical-align: baseline;
    }
    td.letter {
      font: 700 22px var(--label);
    }
    .go {
      font-size: 15px;
      white-space: nowrap;
    }
    .go .fig {
      margin-left: 6px;
    }
    td .quiet {
      font: 400 15px var(--text);
      white-space: nowrap;
    }
    .milled {
      margin: 8px 0;
      font-size: 15px;
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
  `,
})
export class BlockSteps {
  readonly plan = input.required<BlockPlan>();
  /** Orders that somebody gave to acts so far; null where nobody changes any here. */
  readonly orders = input<NonNullable<PlanChoice['order']> | null>(null);
  readonly ordered = output<NonNullable<PlanChoice['order']>>();
  protected readonly capital = capital;
  protected readonly mayOrder = computed(() => this.orders() !== null);

  protected byHand(setUp: number): boolean {
    return (this.orders() ?? []).some((o) => o.setUp === setUp);
  }

  protected order(setUp: number, keys: readonly string[]): void {
    this.ordered.emit(ordersWith(this.orders() ?? [], setUp, keys));
  }
}
