import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { PASS_WORDS, passDial, type CrossDial, type Figure, type Pushed, type SegmentPasses } from '@iron-patch/core';
import { FigureButton } from '../../show';

/** What is turned or bored to size, a row for each surface: its passes with where the dial stands for each, how fast, and what gives way. */
@Component({
  selector: 'ip-passes',
  imports: [FigureButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>Passes and speeds</h3>
    <div class="scroll" tabindex="0" role="region" [attr.aria-label]="name()">
      <table class="plain">
        <thead>
          <tr>
            <th>Surface</th>
            <th>Diameters, one pass after another; {{ from() }}, {{ dial().unit }} on {{ dial().reads }}</th>
            <th class="num">rough</th>
            <th class="num">finish</th>
            <th class="num">pushed off</th>
          </tr>
        </thead>
        <tbody>
          @for (x of passes(); track x.segment.segment.id) {
            <tr>
              <td>
                <b>{{ x.segment.segment.name }}</b>
              </td>
              <td class="fig">
                @for (pass of dialled(x); track $index) {
                  <span class="pass"
                    ><ip-figure [figure]="pass.figure" /> {{ pass.kind }} <small class="quiet">{{ pass.dial }}</small></span
                  >
                } @empty {
                  {{ x.passes.ok ? 'none' : x.passes.problems[0]!.message }}
                }
              </td>
              <td class="num">
                @if (x.roughRpm; as r) {
                  <ip-figure [figure]="r" />
                  <small class="feed"><ip-figure [figure]="x.feeds.rough" /> a turn</small>
                }
              </td>
              <td class="num">
                @if (x.finishRpm; as r) {
                  <ip-figure [figure]="r" />
                  <small class="feed"><ip-figure [figure]="x.feeds.finish" /> a turn</small>
                }
              </td>
              <td class="num">
                @if (bend(x); as b) {
                  <ip-figure [figure]="b" />
                }
              </td>
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styles: `
    h3 {
      margin: 12px 0 4px;
      font: 600 16px var(--label);
    }
    .feed {
      display: block;
      white-space: nowrap;
    }
    .pass {
      display: inline-block;
      margin: 0 18px 2px 0;
      white-space: nowrap;
    }
  `,
})
export class PassesTable {
  /** Of the region, for who cannot see it. */
  readonly name = input.required<string>();
  readonly passes = input.required<readonly SegmentPasses[]>();
  readonly pushed = input.required<readonly Pushed[]>();
  readonly dial = input.required<CrossDial>();
  /** What is dialled, and from where: `cross slide from the bar’s skin`. */
  readonly from = input.required<string>();

  protected bend(x: SegmentPasses): Figure | null {
    return this.pushed().find((p) => p.segmentId === x.segment.segment.id)?.bend ?? null;
  }

  protected dialled(x: SegmentPasses): { figure: Figure; kind: string; dial: string }[] {
    if (!x.passes.ok) return [];
    return x.passes.value.map((p, i) => ({
      figure: x.passFigures[i]!,
      kind: PASS_WORDS[p.kind],
      dial: passDial(x, p, { cross: this.dial() }),
    }));
  }
}
