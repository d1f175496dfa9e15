import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, signal } from '@angular/core';
import { formatLength, type PlayDistribution, type PlayInputs } from '@iron-patch/core';
import { scaleLinear } from 'd3-scale';
import { SheetStore } from '../../sheet-data';
import { ChartFrame, type ChartBox, type Numbers } from '../../show';
import type { PlayMessage } from '../../workers/play-message';
import { newWorker } from '../../workers/play.worker-factory';

const BOX: ChartBox = { width: 420, height: 130, left: 10, right: 10, bottom: 20 };
const DRAWS = 400_000;
const SEED = 20;

/** The predicted play as a distribution, drawn in a worker with its progress; it can be stopped. */
@Component({
  selector: 'ip-play-chart',
  imports: [ChartFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      @if (share() !== null) {
        <progress [value]="share()" max="1" aria-label="Drawing plays"></progress>
        <button type="button" (click)="stop()">Stop</button>
      } @else {
        <button type="button" (click)="run()">{{ result() ? 'Draw again' : 'Draw ' + draws.toLocaleString('en-GB') + ' plays' }}</button>
      }
    </div>
    @if (result(); as r) {
      <ip-chart [box]="box" [xs]="ticks()" [spoken]="spoken()" [numbers]="numbers()" [widest]="box.width">
        @for (b of bars(); track $index) {
          <svg:rect [attr.x]="b.x" [attr.y]="b.y" [attr.width]="b.width" [attr.height]="b.height" [class.binds]="b.binds" />
        }
      </ip-chart>
      <p>
        <b class="fig">{{ show(r.lowMm) }} to {{ show(r.highMm) }}</b> in 95 of 100 places, mean
        <span class="fig">{{ show(r.meanMm) }}</span>{{
          r.bindsShare > 0.0005 ? '; it binds in ' + (r.bindsShare * 100).toFixed(1) + ' of 100' : ''
        }}.
      </p>
    }
  `,
  styles: 'rect { fill: var(--blue-mid); } rect.binds { fill: var(--out); } progress { width: 220px; accent-color: var(--accent); }',
})
export class PlayChart {
  private readonly store = inject(SheetStore);
  readonly inputs = input.required<Omit<PlayInputs, 'draws' | 'seed'>>();
  protected readonly draws = DRAWS;
  protected readonly box = BOX;
  protected readonly share = signal<number | null>(null);
  protected readonly result = signal<PlayDistribution | null>(null);
  private worker: Worker | null = null;
  private readonly x = computed(() => {
    const bins = this.result()?.bins ?? [];
    return scaleLinear()
      .domain([bins[0]?.fromMm ?? 0, bins.at(-1)?.toMm ?? 1])
      .range([BOX.left, BOX.width - BOX.right]);
  });
  protected readonly bars = computed(() => {
    const bins = this.result()?.bins ?? [];
    const most = Math.max(1, ...bins.map((b) => b.count));
    const y = scaleLinear()
      .domain([0, most])
      .range([0, BOX.height - BOX.bottom - 6]);
    return bins.map((b) => ({
      x: this.x()(b.fromMm),
      width: Math.max(this.x()(b.toMm) - this.x()(b.fromMm) - 1, 1),
      height: y(b.count),
      y: BOX.height - BOX.bottom - y(b.count),
      binds: b.toMm <= 0,
    }));
  });
  protected readonly ticks = computed(() =>
    this.x()
      .ticks(6)
      .map((mm) => ({ at: this.x()(mm), text: formatLength(mm, this.store.unit(), this.store.unit() === 'mm' ? 2 : 4) })),
  );
  protected readonly numbers = computed<Numbers>(() => ({
    caption: `Plays drawn, ${this.store.unit()}`,
    head: ['From', 'to', 'of 100'],
    rows: (this.result()?.bins ?? []).map((b) => [this.show(b.fromMm), this.show(b.toMm), ((100 * b.count) / DRAWS).toFixed(1)]),
  }));
  protected readonly spoken = computed(
    () => `Predicted play from ${this.show(this.result()!.lowMm)} to ${this.show(this.result()!.highMm)}`,
  );

  constructor() {
    inject(DestroyRef).onDestroy(() => this.worker?.terminate());
  }

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }

  protected run(): void {
    this.stop();
    this.share.set(0);
    this.worker = newWorker();
    this.worker.onmessage = ({ data }: MessageEvent<PlayMessage>) => {
      if (data.kind === 'progress') return this.share.set(data.share);
      this.result.set(data.result);
      this.stop();
    };
    this.worker.onerror = () => {
      this.stop();
      this.store.say('The play could not be drawn in this browser.', true);
    };
    this.worker.postMessage({ ...this.inputs(), draws: DRAWS, seed: SEED });
  }

  protected stop(): void {
    this.worker?.terminate();
    this.worker = null;
    this.share.set(null);
  }
}
