import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { boundsOf, type Primitive } from '@iron-patch/core';
import { SceneLines } from './scene-lines';

const MARGIN_SHARE = 0.04;
/** Least room round a picture, mm. */
const MARGIN_MM = 4;

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
  protected readonly textMm = computed(() => (this.room().toY - this.room().fromY) * 0.055);
  protected readonly box = computed(() => {
    const { fromX, toX, fromY, toY } = this.room();
    const m = Math.max((toX - fromX) * MARGIN_SHARE, MARGIN_MM);
    return `${fromX - m} ${-toY - m} ${toX - fromX + 2 * m} ${toY - fromY + 2 * m}`;
  });
}

let pictures = 0;
