import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { BoringFinding, BoringId, Lathe, ReworkPlan, TurnedAgainId } from '@iron-patch/core';
import { FigureButton } from '../../show';
import { OnTheCut } from '../on-the-cut';
import { HeldSo } from './held-so';
import { PassesTable } from './passes-table';

/** What is cut of a component that stays: how it is held for that, its passes from what stands there, what gives way, what goes on the cut. */
@Component({
  selector: 'ip-rework-sheet',
  imports: [FigureButton, HeldSo, OnTheCut, PassesTable],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (t of plan().problems; track t) {
      <p class="said bad" role="alert">{{ t }}</p>
    }
    @if (plan().turned; as t) {
      <section>
        <ip-held-so title="Ways to hold it while it is turned again" [ways]="t.ways" [chosen]="t.chosen" (picked)="turned.emit($event)" />
        @if (plan().minutes.turned; as m) {
          <p class="quiet">About <ip-figure [figure]="m" /> with what is turned to size.</p>
        }
        <ip-passes
          name="Passes and speeds of what is turned"
          [passes]="outside()"
          [pushed]="plan().pushed"
          [dial]="lathe().cross"
          from="cross slide from where the tool first touches"
        />
      </section>
    }
    @if (boring(); as b) {
      <section>
        <ip-held-so title="Ways to hold it while it is bored" [ways]="b.ways" [chosen]="b.chosen" (picked)="bored.emit($event)" />
        @if (plan().minutes.bored; as m) {
          <p class="quiet">About <ip-figure [figure]="m" /> with what is bored to size.</p>
        }
        @if (plan().bores; as d) {
          <ip-passes
            name="Passes and speeds of what is bored"
            [passes]="inside()"
            [pushed]="plan().pushed"
            [dial]="d.cross"
            [from]="d.name + ' from where its tool first touches'"
          />
          @if (d.words) {
            <p class="said">{{ d.words }}</p>
          }
        } @else {
          @for (x of inside(); track x.segment.segment.id) {
            @if (!x.passes.ok) {
              <p>
                <b>{{ x.segment.segment.name }}</b>: {{ x.passes.problems[0]!.message }}
              </p>
            }
          }
        }
      </section>
    }
    <ip-on-the-cut [coolant]="plan().coolant" />
    @for (w of plan().minds; track w) {
      <p class="said">{{ w }}</p>
    }
    @for (x of plan().pushed; track x.segmentId) {
      @if (x.words) {
        <p class="said">{{ x.words }}</p>
      }
    }
  `,
  styles: `
    section {
      border-top: 1px solid var(--hairline);
      padding: 6px 0 10px;
    }
    p {
      margin: 6px 0;
    }
    .said {
      font-size: 15px;
      padding: 6px 12px;
    }
  `,
})
export class ReworkSheet {
  readonly plan = input.required<ReworkPlan>();
  readonly boring = input.required<BoringFinding | null>();
  readonly lathe = input.required<Lathe>();
  readonly turned = output<TurnedAgainId>();
  readonly bored = output<BoringId>();

  protected readonly outside = computed(() => this.plan().passes.filter((x) => x.segment.segment.side === 'outside'));
  protected readonly inside = computed(() => this.plan().passes.filter((x) => x.segment.segment.side === 'inside'));
}
