import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatLength, toUnit, fromUnit, type Pictured, type PictureModel } from '@iron-patch/core';
import { scaleLinear } from 'd3-scale';
import { SheetStore } from '../sheet-data';
import { Axis } from './axis';
import { HoldingLayer } from './holding-layer';
import { PlacePicker } from './place-picker';
import { SceneLines, type Placing } from './scene-lines';
import { ScenePicture } from './scene-picture';
import { sideBySide } from './side-by-side';
import { TouchLayer } from './touch-layer';
import { TouchParts } from './touch-parts';

/** Room below the part for the axis, and above it for the mates' names, px. */
const BELOW = 36;
const ABOVE = 24;
/** Wear is drawn this many times deeper than it is. */
const WEAR_TIMES = 25;
/** Neighbouring stations that differ by more are on two sides of a shoulder. */
const SHOULDER_SHARE = 0.05;
/** A finding's mark needs this much metal, px. */
const MARK_PX = 26;
/** Width of a letter of a mate's name, and the room between two names, px. */
const LETTER_PX = 6;
const NAME_GAP_PX = 12;

const SHOWN: Readonly<Record<Pictured, string>> = {
  found: 'As found',
  part: 'New part',
  rework: 'As it is to be cut',
  joined: 'Joined',
  block: 'New part',
};
/** What a block's views show, in words. */
export const BLOCK_VIEWS = 'The block from the front, from above below it, from the left beside it';

/** The part on layout blue: half section above the centre line, outside below, the mates dashed round it. */
@Component({
  selector: 'ip-part-picture',
  imports: [HoldingLayer, SceneLines, ScenePicture, TouchLayer, TouchParts],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (views(); as lines) {
      <ip-scene-picture [lines]="lines" [heightPx]="heightPx() + 40" [label]="viewsLabel" />
    } @else if (model(); as m) {
      <svg
        [attr.viewBox]="'0 0 ' + axis.widthPx() + ' ' + heightPx()"
        [attr.height]="heightPx()"
        width="100%"
        role="img"
        [attr.aria-label]="spoken()"
      >
        <rect width="100%" height="100%" fill="var(--layout)" />
        <defs>
          <pattern id="ip-section" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0V7" stroke="#8c97cf" stroke-width="0.9" />
          </pattern>
        </defs>
        <text x="18" y="28" class="title">{{ names[m.shows] }}</text>
        <text x="18" y="47" class="sub">half section</text>
        @if (m.ghost.length && !holding()) {
          <text x="18" y="65" class="sub">the old one dashed</text>
        }
        @if (wear()) {
          <text x="18" y="65" class="sub">wear {{ wearTimes }} x deeper</text>
        }
        @for (mate of m.mates; track mate.id) {
          <g class="mate" [class.on]="mate.id === store.selection().spanId" (click)="pick(mate.id)">
            <path [attr.d]="mateBox(mate.fromMm, mate.toMm, mate.radiusMm)" />
            <text [attr.x]="nameX()[$index]" [attr.y]="14" text-anchor="middle">{{ mate.name }}</text>
          </g>
        }
        @if (m.lines.length) {
          <g ipSceneLines [lines]="m.lines" [at]="placing()" hatch="ip-section"></g>
          @if (m.ghost.length && !holding()) {
            <g ipSceneLines class="ghost" [lines]="m.ghost" [at]="placing()" hatch="ip-section"></g>
          }
          @if (holding()) {
            <g ipHoldingLayer [model]="m" [centre]="centre()" [px]="radial()"></g>
          }
          <g ipTouchParts [model]="m" [centre]="centre()" [px]="radial()"></g>
          <path [attr.d]="wear()" class="wear" />
        }
        @for (f of m.findings; track f.number) {
          <g class="found">
            <title>{{ f.number }}: {{ f.name }}</title>
            <circle [attr.cx]="x(f.atMm)" [attr.cy]="markY(f.atMm)" r="11" />
            <text [attr.x]="x(f.atMm)" [attr.y]="markY(f.atMm) + 5" text-anchor="middle">{{ f.number }}</text>
          </g>
        }
        @if (m.shows !== 'part') {
          <line [attr.x1]="x(m.fromMm) - 30" [attr.x2]="x(m.toMm) + 30" [attr.y1]="centre()" [attr.y2]="centre()" class="centre" />
        }
        <g class="ticks">
          @for (t of ticks(); track t.px) {
            <line [attr.x1]="t.px" [attr.x2]="t.px" [attr.y1]="heightPx() - 16" [attr.y2]="heightPx()" />
            @if (t.text) {
              <text [attr.x]="t.px" [attr.y]="heightPx() - 20" text-anchor="middle">{{ t.text }}</text>
            }
          }
        </g>
        @if (axis.cursorPx(); as c) {
          <line [attr.x1]="c" [attr.x2]="c" y1="0" [attr.y2]="heightPx()" class="cursor" />
        }
        @if (picker.asking()) {
          <g ipTouchLayer [heightPx]="heightPx()"></g>
        }
        @if (!m.lines.length && !m.mates.length) {
          <text [attr.x]="axis.widthPx() / 2" [attr.y]="centre() - 14" text-anchor="middle" class="title">Nothing to draw yet</text>
        }
      </svg>
    }
  `,
  styles: `
    .found circle {
      fill: var(--brass);
    }
    .found text {
      font: 700 14px var(--figures);
      fill: var(--on-brass);
    }
    :host {
      isolation: isolate;
      display: block;
      background: var(--layout);
    }
    svg {
      display: block;
    }
    .title {
      font: 600 16px var(--label);
      fill: var(--scribe);
    }
    .sub {
      font: 400 14px var(--label);
      fill: var(--scribe-quiet);
    }
    .ghost {
      opacity: 0.8;
    }
    .centre {
      stroke: var(--scribe-quiet);
      stroke-width: 1;
      stroke-dasharray: 14 4 3 4;
    }
    .mate path {
      fill: none;
      stroke: var(--scribe-mate);
      stroke-width: 1.2;
      stroke-dasharray: 6 4;
      pointer-events: all;
    }
    .mate {
      cursor: pointer;
    }
    .mate text {
      font: 400 13px var(--label);
      fill: var(--scribe-quiet);
    }
    .mate.on path {
      stroke: var(--brass);
    }
    .mate.on text {
      fill: var(--brass);
    }
    .wear {
      fill: none;
      stroke: var(--brass);
      stroke-width: 2;
    }
    .ticks line {
      stroke: var(--scribe-quiet);
    }
    .ticks text {
      font: 400 13px var(--figures);
      fill: var(--scribe-text);
    }
    .cursor {
      stroke: var(--brass);
      stroke-width: 1.4;
    }
  `,
})
export class PartPicture {
  protected readonly store = inject(SheetStore);
  protected readonly axis = inject(Axis);
  protected readonly picker = inject(PlacePicker);
  protected readonly wearTimes = WEAR_TIMES;
  protected readonly names = SHOWN;
  protected readonly viewsLabel = BLOCK_VIEWS;
  /** At Plan: with how it is held, in place of the old part. */
  readonly holding = input(false);
  /** Lower where the station's own work needs the room. */
  readonly heightPx = input(196);
  protected readonly centre = computed(() => ABOVE + this.roomPx());
  private readonly roomPx = computed(() => (this.heightPx() - ABOVE - BELOW) / 2);
  protected readonly model = computed<PictureModel | null>(() => this.store.picture());
  /** A block's views have no axis of their own: they are drawn in true proportion. */
  protected readonly views = computed(() => {
    const m = this.model();
    return m?.shows === 'block' && m.lines.length ? m.lines : null;
  });
  protected readonly placing = computed((): Placing => {
    const [scale, radial, centre] = [this.axis.scale(), this.radial(), this.centre()];
    return { x: scale, y: (mm) => centre - radial(mm) };
  });
  protected readonly radial = computed(() =>
    scaleLinear()
      .domain([0, this.model()?.largestRadiusMm ?? 1])
      .range([0, this.roomPx()]),
  );
  protected readonly ticks = computed(() => {
    const unit = this.store.unit();
    const scale = this.axis.scale();
    const inUnit = scale.copy().domain(scale.domain().map((mm) => toUnit(mm, unit)));
    const named = new Set(inUnit.ticks(7));
    return inUnit.ticks(14).map((t) => ({ px: scale(fromUnit(t, unit)), text: named.has(t) ? String(Number(t.toFixed(3))) : '' }));
  });
  /** Where the mates' names stand: over their mate, side by side where several lie at one place. */
  protected readonly nameX = computed(() =>
    sideBySide(
      (this.model()?.mates ?? []).map((m) => ({ middlePx: this.x((m.fromMm + m.toMm) / 2), widthPx: LETTER_PX * m.name.length })),
      NAME_GAP_PX,
      this.axis.widthPx(),
    ),
  );
  protected readonly spoken = computed(() => {
    const m = this.model();
    if (!m) return 'No picture';
    const spans = m.spans.map((s) => `${s.name} ${this.show(2 * s.radiusMm)}`).join(', ');
    return `${m.shows === 'found' ? 'Worn part as found' : SHOWN[m.shows]}, half section: ${spans || 'nothing yet'}`;
  });
  /** The worn surface, deepened so that it shows. */
  protected readonly wear = computed(() => {
    const m = this.model();
    if (m?.shows !== 'found') return '';
    const worn = m.stations.filter((s) => s.side === 'outside' && s.wearMm !== null).sort((p, q) => p.atMm - q.atMm);
    return worn
      .map((s, i) => {
        const before = worn[i - 1];
        // Over a shoulder the line starts afresh.
        const starts = !before || Math.abs(before.meanMm - s.meanMm) > SHOULDER_SHARE * s.meanMm;
        return `${starts ? 'M' : 'L'}${this.x(s.atMm)} ${this.centre() - this.px(s.meanMm / 2) + this.px((WEAR_TIMES * s.wearMm!) / 2)}`;
      })
      .join(' ');
  });

  protected x(mm: number): number {
    return this.axis.scale()(mm);
  }

  protected px(radiusMm: number): number {
    return this.radial()(radiusMm);
  }

  protected show(mm: number): string {
    const unit = this.store.unit();
    return formatLength(mm, unit, unit === 'mm' ? 3 : 4);
  }

  protected radiusAt(atMm: number): number {
    return this.model()?.spans.find((s) => atMm >= s.fromMm && atMm <= s.toMm)?.radiusMm ?? 0;
  }

  /** A finding's mark stands in the metal, clear of the mates' names; on a thin part above it. */
  protected markY(atMm: number): number {
    const radius = this.px(this.radiusAt(atMm));
    return this.centre() - (radius > MARK_PX ? radius / 2 : radius + MARK_PX / 2);
  }

  protected mateBox(fromMm: number, toMm: number, radiusMm: number): string {
    const [l, r] = [this.x(fromMm), this.x(toMm)];
    const inner = this.px(radiusMm) + 2;
    const outer = this.roomPx() + 4;
    return [-1, 1]
      .map(
        (s) =>
          `M${l} ${this.centre() + s * inner} V${this.centre() + s * Math.max(outer, inner + 6)} H${r} V${this.centre() + s * inner} Z`,
      )
      .join(' ');
  }

  protected pick(spanId: string): void {
    this.store.select({ spanId, stationMm: null, clockDeg: null });
  }
}
