import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { BlockPlan } from '@iron-patch/core';
import { FigureButton } from '../show';

/** How a block is made: its holes from the two edges that they count from, each with its drill, then set-up by set-up. */
@Component({
  selector: 'ip-block-steps',
  imports: [FigureButton],
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
                  <td>{{ h.drill }}</td>
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
    @for (s of plan().setUps; track s.number) {
      <section>
        <h2>Set-up {{ s.number }}: {{ s.title }}</h2>
        <p class="quiet">Hold: {{ s.hold }}. Zero: {{ s.zeroFace }}.</p>
        <ol>
          @for (o of s.operations; track $index) {
            <li>{{ o }}</li>
          }
        </ol>
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
}
