import { ChangeDetectionStrategy, Component, computed, DestroyRef, ElementRef, inject, input, output, signal } from '@angular/core';
import { dayWords } from '@iron-patch/core/terms/calendar';
import type { PlanRow } from '@iron-patch/core/repair/order';
import type { DayAxis } from './day-axis';
import type { DoneRow, Lane } from './lanes-of';
import { spanWords, type MomentWords } from './order-words';
import { tiesOf, type TiedBox } from './ties';

/** An act that is pulled along its lane, with the moment at which it would begin. */
export interface Pulled {
  readonly row: PlanRow;
  readonly minute: number;
}

/** One box of the picture, in hundredths of the width. */
interface Box {
  readonly key: string;
  readonly row: PlanRow | null;
  readonly done: DoneRow | null;
  readonly number: number;
  readonly name: string;
  readonly left: number;
  readonly width: number;
  /** Where its hands end, as a share of the box. */
  readonly hands: number;
  /** Which row of its lane it stands in, from the top. */
  readonly track: number;
  /** Too narrow to be pressed: it is drawn as wide as it is within one that is not. */
  readonly narrow: boolean;
  readonly widthPx: number;
  readonly label: string;
}
interface DrawnLane extends Lane {
  readonly boxes: readonly Box[];
  readonly tracks: number;
}

const LANE_PX = { alone: 46, thin: 24, track: 27, around: 10 } as const;
/** What can be pressed is no narrower, px. */
const LEAST_PX = 24;
const USUAL_FIELD_PX = 1000;
const PULL_STARTS_PX = 5;
const SNAP_MIN = 5;

/** Machines and people as lanes over the hours of the coming days: what is done, what is under way, what comes, what waits for what. */
@Component({
  selector: 'ip-order-lanes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './order-lanes.html',
  styleUrl: './order-lanes.less',
})
export class OrderLanes {
  readonly lanes = input.required<readonly Lane[]>();
  readonly axis = input.required<DayAxis>();
  readonly now = input.required<number>();
  readonly words = input.required<MomentWords>();
  /** Key of the selected act; its job's other acts are marked too. */
  readonly selected = input<string | null>(null);
  readonly late = input.required<ReadonlySet<string>>();
  readonly picked = output<PlanRow>();
  readonly pulled = output<Pulled>();
  readonly dropped = output<Pulled>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private pull: { row: PlanRow; x: number; grip: number; moved: boolean } | null = null;
  /** Where a box that is pulled stands, in hundredths. */
  protected readonly pullAt = signal<{ readonly key: string; readonly left: number } | null>(null);

  constructor() {
    if (typeof ResizeObserver === 'undefined') return;
    const look = new ResizeObserver(() => {
      const width = this.host.nativeElement.querySelector('.field')?.clientWidth;
      if (width) this.fieldPx.set(width);
    });
    look.observe(this.host.nativeElement);
    inject(DestroyRef).onDestroy(() => look.disconnect());
  }

  protected readonly days = computed(() => this.axis().days.map((d) => ({ ...d, name: dayWords(d.day, 'weekday') })));
  protected readonly nowAt = computed(() => {
    const [first, last] = [this.axis().days[0], this.axis().days.at(-1)];
    const now = this.now();
    return first && last && now >= first.from && now <= last.to ? this.axis().shareOf(now) * 100 : null;
  });
  /** How wide the hours are drawn, px. */
  private readonly fieldPx = signal(USUAL_FIELD_PX);
  protected readonly selectedJob = computed(() => this.selected()?.split('/')[0] ?? null);

  protected readonly drawn = computed((): readonly DrawnLane[] => {
    const axis = this.axis();
    const [first, last] = [axis.days[0]?.from ?? 0, axis.days.at(-1)?.to ?? 0];
    return this.lanes().map((lane) => {
      const rows = lane.rows.filter((r) => r.end > first && r.begin < last);
      const done = lane.done.filter((r) => r.end > first && r.begin < last);
      const ends: number[] = [];
      const boxes = [
        ...done.map((d): Box => this.box(axis, ends, null, d)),
        ...[...rows].sort((p, q) => p.begin - q.begin).map((r): Box => this.box(axis, ends, r, null)),
      ];
      return { ...lane, boxes, tracks: Math.max(1, ends.length) };
    });
  });

  /** Lays a box into the first row of its lane in which it covers no other one. */
  private box(axis: DayAxis, ends: number[], row: PlanRow | null, done: DoneRow | null): Box {
    const { begin, end, number, name } = row
      ? { begin: row.begin, end: row.end, number: row.job.number, name: row.act.name }
      : { begin: done!.begin, end: done!.end, number: done!.number, name: done!.name };
    const left = axis.shareOf(begin) * 100;
    const width = axis.shareOf(end) * 100 - left;
    const [leftPx, widthPx] = [(left / 100) * this.fieldPx(), (width / 100) * this.fieldPx()];
    let track = 0;
    while ((ends[track] ?? -Infinity) > leftPx + 0.01) track++;
    ends[track] = leftPx + Math.max(widthPx, LEAST_PX);
    const handsShare = row ? axis.shareOf(row.handsEnd) * 100 - left : width;
    const when = this.words().span(begin, end);
    const state = done ? 'done' : row!.started ? 'under way' : row!.act.said?.pinnedAt ? 'pinned' : '';
    return {
      key: row ? `${row.job.id}/${row.act.key}` : `${done!.jobId}/${done!.key}`,
      row,
      done,
      number,
      name,
      left,
      width,
      track,
      widthPx,
      narrow: widthPx < LEAST_PX,
      hands: width > 0 ? Math.min(1, Math.max(0, handsShare / width)) * 100 : 100,
      label: [`${number} ${name}`, when, state].filter(Boolean).join(', '),
    };
  }

  /** What the acts of the job that is looked at wait for. */
  protected readonly ties = computed(() => {
    const job = this.selectedJob();
    let topPx = 0;
    const boxes = this.drawn().flatMap((lane): TiedBox[] => {
      const top = topPx;
      topPx += this.height(lane);
      const highPx = lane.tracks > 1 ? LANE_PX.thin : LANE_PX.alone;
      return lane.boxes.flatMap((b) => {
        const id = b.row?.job.id ?? b.done!.jobId;
        const to = b.left + Math.max(b.width, b.narrow ? (100 * b.widthPx) / this.fieldPx() : 0);
        const after = (b.row?.act.after ?? []).map((key) => `${id}/${key}`);
        return id === job ? [{ key: b.key, after, from: this.leftOf(b), to, middlePx: top + this.top(b) + highPx / 2 }] : [];
      });
    });
    return { heightPx: topPx, lines: tiesOf(boxes, this.selected()) };
  });

  protected height({ tracks }: DrawnLane): number {
    return LANE_PX.around + Math.max(LANE_PX.alone, tracks * LANE_PX.track);
  }

  protected top(box: Box): number {
    return LANE_PX.around / 2 + box.track * LANE_PX.track;
  }

  protected leftOf(box: Box): number {
    const pulled = this.pullAt();
    return pulled?.key === box.key ? pulled.left : box.left;
  }

  protected title(box: Box): string {
    const row = box.row;
    if (!row) return box.label;
    const alone = row.act.aloneMin && row.act.act ? `; ${spanWords(row.act.aloneMin)} by itself` : '';
    return `${box.label}${alone}`;
  }

  protected grip(event: PointerEvent, row: PlanRow | null): void {
    if (!row || event.button !== 0) return;
    const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
    this.pull = { row, x: event.clientX, grip: event.clientX - box.left, moved: false };
  }

  private momentAt(event: PointerEvent, grip: number): { readonly minute: number; readonly left: number } {
    const field = this.host.nativeElement.querySelector('.field')!.getBoundingClientRect();
    const share = Math.max(0, Math.min(0.999, (event.clientX - grip - field.left) / field.width));
    const minute = Math.round(this.axis().momentAt(share) / SNAP_MIN) * SNAP_MIN;
    return { minute, left: share * 100 };
  }

  protected move(event: PointerEvent): void {
    const { pull } = this;
    if (!pull || pull.row.started || pull.row.act.act === null) return;
    if (!pull.moved && Math.abs(event.clientX - pull.x) < PULL_STARTS_PX) return;
    if (!pull.moved) (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    pull.moved = true;
    const { minute, left } = this.momentAt(event, pull.grip);
    this.pullAt.set({ key: `${pull.row.job.id}/${pull.row.act.key}`, left });
    this.pulled.emit({ row: pull.row, minute });
  }

  protected release(event: PointerEvent): void {
    const { pull } = this;
    this.pull = null;
    this.pullAt.set(null);
    if (pull?.moved) this.dropped.emit({ row: pull.row, minute: this.momentAt(event, pull.grip).minute });
  }

  protected letGo(): void {
    this.pull = null;
    this.pullAt.set(null);
  }

  protected pick({ row }: Box): void {
    if (row) this.picked.emit(row);
  }
}
