import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { formatWithUnit, isDiameter, type PlaceFinding } from '@iron-patch/core';
import { SheetStore } from '../../sheet-data';

interface Line {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  readonly words: string;
}
interface Node {
  readonly id: string;
  readonly name: string;
  readonly under: string;
  readonly x: number;
  readonly y: number;
  readonly anchor: 'end' | 'start';
}

const ROW = 58;
const LEFT = 250;
const RIGHT = 540;
const TOP = 40;

/** Which place fits which: the worn part's on the left, what they run in on the right, a line a pair with its play. */
@Component({
  selector: 'ip-fits-map',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (nodes().length) {
      <div class="scroll" tabindex="0">
        <svg [attr.viewBox]="'0 0 790 ' + height()" role="img" [attr.aria-label]="spoken()">
          <text class="head" [attr.x]="left" y="18" text-anchor="end">outside</text>
          <text class="head" [attr.x]="right" y="18">inside</text>
          @for (l of lines(); track $index) {
            <line [attr.x1]="l.x1" [attr.y1]="l.y1" [attr.x2]="l.x2" [attr.y2]="l.y2" />
            <text class="play" [attr.x]="l.x2 - 16" [attr.y]="l.y2 - 9" text-anchor="end">{{ l.words }}</text>
          }
          @for (n of nodes(); track n.id) {
            <circle [attr.cx]="n.x" [attr.cy]="n.y" r="6" />
            <text class="name" [attr.x]="n.anchor === 'end' ? n.x - 14 : n.x + 14" [attr.y]="n.y" [attr.text-anchor]="n.anchor">
              {{ n.name }}
            </text>
            <text class="under" [attr.x]="n.anchor === 'end' ? n.x - 14 : n.x + 14" [attr.y]="n.y + 17" [attr.text-anchor]="n.anchor">
              {{ n.under }}
            </text>
          }
        </svg>
      </div>
      <p class="quiet">Say what a place fits together with where the place itself is changed.</p>
    } @else {
      <p class="quiet">No places yet. Add the worn part and what it runs in, each with its places to measure.</p>
    }
  `,
  styles: `
    svg {
      width: 100%;
      min-width: 690px;
      max-width: 820px;
      display: block;
    }
    circle {
      fill: var(--blue);
    }
    line {
      stroke: var(--blue);
      stroke-width: 2;
    }
    .head {
      font: 600 15px var(--label);
      fill: var(--quiet);
    }
    .name {
      font: 600 17px var(--label);
      fill: var(--ink);
      dominant-baseline: middle;
    }
    .under {
      font: 400 14px var(--label);
      fill: var(--quiet);
      dominant-baseline: middle;
    }
    .play {
      font: 400 15px var(--figures);
      fill: var(--ink);
      paint-order: stroke;
      stroke: var(--sheet);
      stroke-width: 5px;
    }
  `,
})
export class FitsMap {
  private readonly store = inject(SheetStore);
  protected readonly left = LEFT;
  protected readonly right = RIGHT;
  private readonly places = computed(() => (this.store.repair()?.places ?? []).filter((f) => isDiameter(f.place.kind)));
  private readonly outside = computed(() => this.places().filter((f) => f.place.side === 'outside'));
  private readonly inside = computed(() => this.places().filter((f) => f.place.side === 'inside'));
  protected readonly height = computed(() => TOP + ROW * Math.max(this.outside().length, this.inside().length));
  protected readonly nodes = computed<Node[]>(() => [
    ...this.outside().map((f, i) => this.node(f, i, 'end')),
    ...this.inside().map((f, i) => this.node(f, i, 'start')),
  ]);
  protected readonly lines = computed<Line[]>(() =>
    this.pairs().map(([pin, hole]) => {
      const from = this.nodes().find((n) => n.id === pin.place.id)!;
      const to = this.nodes().find((n) => n.id === hole.place.id)!;
      return { x1: from.x, y1: from.y, x2: to.x, y2: to.y, words: this.play(pin, hole) };
    }),
  );
  protected readonly spoken = computed(
    () =>
      this.pairs()
        .map(([pin, hole]) => `${pin.place.name} fits ${hole.place.name}, ${this.play(pin, hole)}`)
        .join('; ') || 'No pairs yet',
  );

  private pairs(): (readonly [PlaceFinding, PlaceFinding])[] {
    return this.outside().flatMap((pin) =>
      this.inside()
        .filter((hole) => hole.place.matesPlaceId === pin.place.id || pin.place.matesPlaceId === hole.place.id)
        .map((hole) => [pin, hole] as const),
    );
  }

  private play(pin: PlaceFinding, hole: PlaceFinding): string {
    if (!pin.shape || !hole.shape) return 'not measured yet';
    const unit = this.store.unit();
    const [tight, loose] = [hole.shape.smallestMm - pin.shape.largestMm, hole.shape.largestMm - pin.shape.smallestMm];
    return `play ${formatWithUnit(tight, unit)} to ${formatWithUnit(loose, unit)}`;
  }

  private node(f: PlaceFinding, i: number, anchor: 'end' | 'start'): Node {
    return {
      id: f.place.id,
      name: f.place.name,
      under: f.component.name,
      x: anchor === 'end' ? LEFT : RIGHT,
      y: TOP + ROW * i + 8,
      anchor,
    };
  }
}
