import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  axisStartMm,
  formatLength,
  formatPlace,
  inSentence,
  isDiameter,
  isDiameterOfSurface,
  madeSizeMm,
  placeOutside,
  type Bearing,
  type PictureStation,
} from '@iron-patch/core';
import { line } from 'd3-shape';
import { DrawnEvidence, HoldingShown, SheetStore } from '../sheet-data';
import { Axis, LANE_NAME_PX } from './axis';
import { HoldingLane } from './holding-lane';

export type LaneName = 'readings' | 'wear' | 'mate' | 'target' | 'length' | 'stress' | 'holding' | 'proof';

interface LaneBox {
  readonly name: LaneName;
  readonly title: string;
  readonly sub: string;
  readonly y: number;
  readonly height: number;
}

const HEIGHTS: Readonly<Record<LaneName, number>> = {
  readings: 50,
  wear: 72,
  mate: 52,
  target: 52,
  length: 44,
  stress: 66,
  holding: 48,
  proof: 52,
};
/** Neighbouring figures closer than this leave some out, px. */
const FIGURE_PX = 62;
/** Width of a letter of a figure in a box, px. */
const LETTER_PX = 8.2;

/** Less than this no bench tells from none, mm. */
const WEAR_TOLD_MM = 0.0005;

/** The lanes under the picture: each tells one thing at the place along the part where it is true. */
@Component({
  selector: 'ip-lanes',
  imports: [HoldingLane],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lanes.html',
  styleUrl: './lanes.less',
})
export class Lanes {
  private readonly store = inject(SheetStore);
  private readonly evidence = inject(DrawnEvidence);
  private readonly held = inject(HoldingShown);
  protected readonly axis = inject(Axis);
  protected readonly Math = Math;
  protected readonly left = LANE_NAME_PX;
  readonly names = input.required<readonly LaneName[]>();
  protected readonly height = computed(() => this.names().reduce((s, n) => s + HEIGHTS[n], 0));
  protected readonly boxes = computed<LaneBox[]>(() => {
    let y = 0;
    // What stays has its holding told below: no lane stands empty for it.
    const names = this.names().filter((name) => name !== 'holding' || this.held.along().length > 0);
    return names.map((name) => {
      const box = { name, y, height: HEIGHTS[name], ...this.words(name) };
      y += HEIGHTS[name];
      return box;
    });
  });
  protected readonly pinStations = computed(() =>
    (this.store.picture()?.stations ?? []).filter((s) => s.side === 'outside').sort((p, q) => p.atMm - q.atMm),
  );
  protected readonly worst = computed<PictureStation | null>(() => {
    const worn = this.pinStations().filter((s) => (s.wearMm ?? 0) > WEAR_TOLD_MM);
    return worn.length ? worn.reduce((p, q) => (q.wearMm! > p.wearMm! ? q : p)) : null;
  });
  protected readonly mates = computed(() =>
    (this.store.repair()?.fits ?? []).map((f) => {
      const from = axisStartMm(f.hole);
      const shape = f.hole.shape;
      const [least, most] = shape ? [this.show(shape.smallestMm), this.show(shape.largestMm)] : ['', ''];
      const whole = least === most ? least : `${least} to ${most}`;
      const widthPx = this.x(from + f.hole.place.lengthMm) - this.x(from);
      return {
        id: f.hole.place.id,
        fromMm: from,
        toMm: from + f.hole.place.lengthMm,
        oval: f.target?.trueTheHole ?? false,
        whole,
        text: [whole, least].find((t) => widthPx > LETTER_PX * t.length + 8) ?? '',
      };
    }),
  );
  private readonly drawn = computed(() => {
    const found = this.store.repair()?.part;
    return found ? placeOutside(found.part) : [];
  });
  /** Every diameter with its limits, if they are its own; one that nobody gave limits says so. */
  protected readonly targets = computed(() => {
    const found = this.store.repair()?.part;
    return this.drawn().map(({ id, fromMm, toMm, diameterMm }) => {
      const given = found!.segments.find((s) => s.segment.id === id);
      const size = this.coarse(diameterMm);
      const own = given && (given.fits.length > 0 || found!.part.limits[id] !== undefined);
      const says = own ? `${this.show(given.limits.lowerMm)} to ${this.show(given.limits.upperMm)}` : size;
      // What has no room for its limits shows its size.
      const text = [says, size].find((t) => this.x(toMm) - this.x(fromMm) > LETTER_PX * t.length + 8) ?? '';
      return { id, fromMm, toMm, open: !given, says: given ? says : `${size}, no limits yet`, text };
    });
  });
  protected readonly lengths = computed(() =>
    this.drawn().map(({ id, fromMm, toMm }) => ({ id, fromMm, toMm, text: this.coarse(toMm - fromMm) })),
  );
  /** How hard each place is stressed under one load, as a share of the hardest of both parts. */
  protected readonly stress = computed(() => {
    const row = this.evidence.row();
    if (!row) return { now: [], old: [], weakest: null };
    const bears = (b: Bearing): number => b.forEver ?? Infinity;
    const least = Math.min(...[...row.along.old, ...row.along.new].map(bears));
    const marks = (of: readonly Bearing[]) => of.map((b) => ({ ...b, share: least / bears(b) }));
    return { now: marks(row.along.new), old: marks(row.along.old), weakest: row.new.bearing };
  });
  protected readonly proofs = computed(() =>
    (this.store.repair()?.proofs ?? []).flatMap((p) =>
      p.measured && isDiameterOfSurface(p.dimension.dimension) && p.dimension.dimension.surface.side === 'outside'
        ? [
            {
              id: p.dimension.dimension.key,
              fromMm: p.dimension.dimension.surface.fromMm,
              toMm: p.dimension.dimension.surface.toMm,
              verdict: p.verdict,
              text: this.show(p.measured.value),
            },
          ]
        : [],
    ),
  );
  protected readonly spoken = computed(
    () =>
      this.boxes()
        .map((b) => b.title)
        .join(', ') + ' along the part',
  );

  /** All that the lanes show, for who cannot see them. */
  protected readonly rows = computed(() =>
    this.boxes().flatMap(({ name, title }) => this.stretches(name).map((s) => ({ lane: title, ...s }))),
  );
  protected readonly unit = computed(() => this.store.unit());

  protected place(mm: number): string {
    return formatPlace(mm, this.store.unit());
  }

  private stretches(name: LaneName): readonly { readonly fromMm: number; readonly toMm: number; readonly says: string }[] {
    const at = (s: PictureStation, says: string) => ({ fromMm: s.atMm, toMm: s.atMm, says });
    switch (name) {
      case 'readings':
        return this.pinStations().map((s) => at(s, this.show(s.meanMm)));
      case 'wear':
        return this.pinStations().flatMap((s) =>
          s.wearMm === null ? [] : [at(s, s.wearMm > WEAR_TOLD_MM ? `-${this.show(s.wearMm)}` : 'none')],
        );
      case 'mate':
        return this.mates().map((m) => ({ ...m, says: m.whole }));
      case 'target':
        return this.targets();
      case 'length':
        return this.lengths().map((l) => ({ ...l, says: l.text }));
      case 'stress':
        return this.stress().now.map((b) => ({ ...b, says: `${inSentence(b.words)}, ${Math.round(100 * b.share)} % of the most` }));
      case 'holding':
        return this.held.along();
      case 'proof':
        return this.proofs().map((p) => ({ ...p, says: `${p.text}, ${p.verdict}` }));
    }
  }

  protected x(mm: number): number {
    return this.axis.scale()(mm);
  }

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }

  private coarse(mm: number): string {
    const unit = this.store.unit();
    return formatLength(mm, unit, unit === 'mm' ? 2 : 3);
  }

  /** A mark at each station, as one line: a job may have hundreds. */
  protected readonly ticks = computed(() =>
    this.pinStations()
      .map((s) => `M${this.x(s.atMm)} 0v14`)
      .join(''),
  );
  /** Stations that have room for their figure: one that would run into the last shown is left out, the worst is always told. */
  protected readonly roomy = computed<readonly PictureStation[]>(() => {
    const worst = this.worst();
    const worstPx = worst ? this.x(worst.atMm) : -Infinity;
    let lastPx = -Infinity;
    return this.pinStations().filter((s) => {
      if (s === worst) return true;
      const px = this.x(s.atMm);
      if (Math.abs(px - worstPx) < FIGURE_PX || px - lastPx < FIGURE_PX) return false;
      lastPx = px;
      return true;
    });
  });

  protected wearArea(lane: LaneBox): string {
    const top = lane.y + 14;
    const deepest = this.worst()?.wearMm ?? 1;
    const points = this.pinStations().filter((s) => s.wearMm !== null);
    if (points.length === 0) return '';
    const path = line<PictureStation>(
      (s) => this.x(s.atMm),
      (s) => top + (s.wearMm! / deepest) * (lane.height - 38),
    )(points)!;
    return `M${this.x(points[0]!.atMm)} ${top} L${path.slice(1)} L${this.x(points.at(-1)!.atMm)} ${top} Z`;
  }

  /** A plain stretch as a line at its height, a notch as a stem from the lane's foot. */
  protected level(lane: LaneBox, b: { readonly fromMm: number; readonly toMm: number; readonly share: number }): string {
    const foot = lane.y + lane.height - 6;
    const y = foot - b.share * (lane.height - 18);
    return b.fromMm === b.toMm ? `M${this.x(b.fromMm)} ${foot}V${y}` : `M${this.x(b.fromMm)} ${y}H${this.x(b.toMm)}`;
  }
  /** From face to face, with a stroke at each. */
  protected arrow(lane: LaneBox, { fromMm, toMm }: { readonly fromMm: number; readonly toMm: number }): string {
    const [l, r, y] = [this.x(fromMm), this.x(toMm), lane.y + 30];
    return `M${l} ${y - 7}v14M${r} ${y - 7}v14M${l} ${y}H${r}`;
  }
  /** Whether words at a place have more room on its left. */
  protected atRight = (mm: number): boolean => this.x(mm) > this.axis.widthPx() * 0.6;
  protected readonly inSentence = inSentence;

  protected pick(spanId: string, field?: string): void {
    this.store.select({ spanId, stationMm: null, clockDeg: null, ...(field ? { asked: `${spanId}.${field}` } : {}) });
  }
  protected askedFor = (id: string): boolean => this.store.selection().asked === id;

  private words(name: LaneName): { title: string; sub: string } {
    switch (name) {
      case 'readings':
        return { title: 'Readings', sub: 'outside, mean' };
      case 'wear': {
        const all = this.store.repair()?.places ?? [];
        const pin = all.find((f) => f.component.role === 'worn' && f.place.land === 'worn' && isDiameter(f.place.kind));
        const made = pin && madeSizeMm(pin, all);
        return { title: 'Wear', sub: made ? `deepened, from ${this.show(made)}` : 'original not known' };
      }
      case 'mate':
        return { title: 'Mate', sub: 'smallest to largest' };
      case 'target':
        return { title: 'New size', sub: 'limits' };
      case 'length':
        return { title: 'Length', sub: `${this.coarse(this.lengths().at(-1)?.toMm ?? 0)} over all` };
      case 'stress':
        return { title: 'Stress', sub: `${this.evidence.row()?.words ?? 'no drawing yet'}` };
      case 'holding':
        return { title: 'Set-up', sub: 'where it is cut' };
      case 'proof':
        return { title: 'Made', sub: 'measured cold' };
    }
  }
}
