import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { onDial, toldCuts, type Lathe, type Schedule } from '@iron-patch/core';
import { FigureButton } from '../show';
import { SheetStore } from '../sheet-data';

/** How what is cut into the part is brought to its depth: each number to set, with its dial, cuts one after another, and what to mind. */
@Component({
  selector: 'ip-schedules',
  imports: [FigureButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (s of schedules(); track s.id) {
      <article>
        <h4>{{ s.title }}</h4>
        <dl>
          @for (x of s.settings; track x.figure.key) {
            <div>
              <dt>{{ x.figure.label }}</dt>
              <dd>
                <ip-figure [figure]="x.figure" [size]="18" [strong]="true" />
                @if (dial(x, lathe()); as d) {
                  <small class="fig quiet">{{ d }}</small>
                }
              </dd>
            </div>
          }
        </dl>
        @if (cuts(s, lathe(), unit()); as cuts) {
          <p class="cuts">
            <span class="quiet">{{ cuts.on }}</span>
            @for (c of cuts.each; track $index) {
              <span class="fig">{{ c }}</span>
            }
          </p>
        }
        @for (w of s.words; track w) {
          <p class="quiet word">{{ w }}</p>
        }
      </article>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(330px, 1fr));
      gap: 6px 28px;
    }
    article {
      border-top: 1px solid var(--hairline);
      padding: 8px 0;
      min-width: 0;
    }
    h4 {
      font: 600 17px var(--label);
      margin: 0 0 4px;
    }
    dl {
      margin: 0;
    }
    dl div {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
      gap: 10px;
      align-items: baseline;
      padding: 3px 0;
    }
    dt {
      font-size: 15px;
    }
    dd {
      margin: 0;
      text-align: right;
      white-space: nowrap;
    }
    dd small {
      font-size: 14px;
    }
    .cuts {
      margin: 4px 0;
    }
    .cuts .fig {
      display: inline-block;
      margin: 0 0 0 12px;
    }
    .word {
      margin: 4px 0 0;
      font-size: 15px;
    }
  `,
})
export class Schedules {
  protected readonly unit = inject(SheetStore).unit;
  readonly schedules = input.required<readonly Schedule[]>();
  readonly lathe = input.required<Lathe>();

  protected readonly dial = onDial;
  protected readonly cuts = toldCuts;
}
