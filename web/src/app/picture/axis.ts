import { computed, inject, Injectable, signal } from '@angular/core';
import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { SheetStore } from '../sheet-data';

/** Room left of the axis for the lanes' names, and right of it, px. */
export const LANE_NAME_PX = 132;
const RIGHT_PX = 44;

/** The one axis that the picture and all lanes share: what is true at a place is straight below that place. */
@Injectable()
export class Axis {
  private readonly store = inject(SheetStore);
  readonly widthPx = signal(868);
  readonly scale = computed<ScaleLinear<number, number>>(() => {
    const model = this.store.picture();
    const from = model?.fromMm ?? 0;
    const to = model?.toMm ?? 100;
    return scaleLinear()
      .domain([from, to])
      .range([LANE_NAME_PX, this.widthPx() - RIGHT_PX]);
  });
  /** Where the selected spot lies along the axis, px; null when nothing is selected. */
  readonly cursorPx = computed(() => {
    const { spanId, stationMm } = this.store.selection();
    if (stationMm === null) return null;
    const finding = this.store.repair()?.places.find((f) => f.place.id === spanId);
    return this.scale()((finding?.component.axisOffsetMm ?? 0) + stationMm);
  });
}
