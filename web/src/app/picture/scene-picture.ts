import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { boundsOf, type Primitive } from '@iron-patch/core';
import { SceneLines } from './scene-lines';

const MARGIN_SHARE = 0.04;
/** Least room round a picture, mm. */
const MARGIN_MM = 4;
/** Height of what is written, and the width that a picture usually has, px. */
const TEXT_PX = 14;
const USUAL_WIDTH_PX = 840;

/** Lines that core made, in true proportion. */
@Component({
  selector: 'ip-scene-picture',
  imports: [SceneLines],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="box()" [style.height.px]="heightPx()" role="img" [attr.aria-label]="label()" preserveAspectRatio="xMidYMid meet">
      <defs>
        <pattern [attr.id]="hatch" width="2" height="2" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0 V2" class="hatch" />
        </pattern>
      </defs>
      <g ipSceneLines [lines]="lines()" [hatch]="hatch" [letters]="textMm()"></g>
    </svg>
  `,
  styles: `
    :host {
      display: block;
      background: var(--layout);
    }
    svg {
      display: block;
      width: 100%;
    }
    .hatch {
      stroke: var(--scribe);
      vector-effect: non-scaling-stroke;
      stroke-width: 0.6px;
      opacity: 0.6;
    }
  `,
})
export class ScenePicture {
  readonly lines = input.required<readonly Primitive[]>();
  /** What it shows, for who does not see it. */
  readonly label = input.required<string>();
  readonly heightPx = input(300);
  /** Patterns go by an id of the page: each picture has its own. */
  protected readonly hatch = `ip-cut-${pictures++}`;
  private readonly room = computed(() => boundsOf(this.lines()));
  /** Room with a margin, mm. */
  private readonly around = computed(() => {
    const { fromX, toX, fromY, toY } = this.room();
    const m = Math.max((toX - fromX) * MARGIN_SHARE, MARGIN_MM);
    return { x: fromX - m, y: -toY - m, width: toX - fromX + 2 * m, height: toY - fromY + 2 * m };
  });
  /** As high as it is read from a step away, whatever the picture is scaled by. */
  protected readonly textMm = computed(
    () => TEXT_PX * Math.max(this.around().height / this.heightPx(), this.around().width / USUAL_WIDTH_PX),
  );
  protected readonly box = computed(() => {
    const { x, y, width, height } = this.around();
    return `${x} ${y} ${width} ${height}`;
  });
}

let pictures = 0;
