import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { FormsModule } from '@angular/forms';
import { routes, type BarInput } from '@iron-patch/contract';
import {
  barSize,
  FINISH_WORDS,
  formatLength,
  havingWords,
  materialName,
  UNKNOWN_MATERIAL,
  type Bar,
  type BarCount,
} from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzTableModule, type NzTableSortFn } from 'ng-zorro-antd/table';
import { Api, OpenJob, ShopStore, ShopTimePipe, Told } from '../data';
import { SortHead } from '../show';
import { BarForm } from './bar-form';
import { priceText } from './bar-words';
import { RackLine } from './rack-line';

/** Heads that sort; the first does so from the start. */
const HEADS: readonly { readonly name: string; readonly num: boolean; readonly inUnit: boolean; readonly order: NzTableSortFn<Bar> }[] = [
  {
    name: 'Material',
    num: false,
    inUnit: false,
    order: (p, q) => materialName(p.materialId).localeCompare(materialName(q.materialId)) || p.diameterMm - q.diameterMm,
  },
  { name: 'Size', num: true, inUnit: true, order: (p, q) => p.diameterMm - q.diameterMm || p.lengthMm - q.lengthMm },
  { name: 'Length', num: true, inUnit: true, order: (p, q) => p.lengthMm - q.lengthMm },
  { name: 'Pieces', num: true, inUnit: false, order: (p, q) => p.pieces - q.pieces },
  { name: 'Place', num: false, inUnit: false, order: (p, q) => p.place.localeCompare(q.place, 'en', { numeric: true }) },
];

/** All on one page: a rack is looked over, not leafed through. */
const MOST_BARS = 10_000;

/** The rack: what lies there, where, and how it was counted. Plan saws from it. */
@Component({
  selector: 'ip-rack',
  imports: [RouterLink, FormsModule, NzInputModule, NzTableModule, SortHead, RackLine, BarForm, ShopTimePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './rack.html',
  styleUrl: './rack.less',
})
export class Rack {
  private readonly api = inject(Api);
  private readonly shop = inject(ShopStore);
  private readonly told = inject(Told);
  protected readonly unit = inject(OpenJob).unit;
  protected readonly heads = HEADS;
  protected readonly find = signal('');
  protected readonly most = MOST_BARS;
  protected readonly opened = signal('');
  protected readonly counts = signal<readonly BarCount[] | null>(null);
  protected readonly finish = FINISH_WORDS;
  protected readonly material = (id: string): string => (id === UNKNOWN_MATERIAL ? 'Not known' : materialName(id));
  protected readonly price = priceText;
  protected readonly all = computed(() => this.shop.shop().rack);
  protected readonly bars = computed(() => {
    const has = havingWords(this.find());
    return this.all().filter((b) => has(`${this.size(b)} ${materialName(b.materialId)} ${b.place} ${FINISH_WORDS[b.finish]}`));
  });

  protected size(b: Bar): string {
    return barSize(b, this.unit());
  }

  protected length(b: Bar): string {
    return formatLength(b.lengthMm, this.unit(), this.unit() === 'mm' ? 0 : 1);
  }

  protected who(c: BarCount): string {
    return this.shop.personName(c.personId);
  }

  protected open(what: string): void {
    this.opened.update((now) => (now === what ? '' : what));
  }

  protected async history(b: Bar): Promise<void> {
    this.counts.set(null);
    this.open(`h${b.id}`);
    await this.told.doing(async () => this.counts.set(await this.api.get<BarCount[]>(routes.barCounts(b.id))));
  }

  /** One piece more or less. */
  protected count(b: Bar, by: 1 | -1): Promise<void> {
    return this.put(b, { pieces: b.pieces + by, why: by > 0 ? 'one more' : 'one taken' }, `${this.size(b)}: ${b.pieces + by} left.`);
  }

  protected remove(b: Bar): Promise<void> {
    return this.put(b, { removed: true, why: 'removed' }, `${this.size(b)}, ${materialName(b.materialId)} is off the rack.`);
  }

  private put(b: Bar, change: Partial<BarInput>, said: string): Promise<void> {
    const { id, version, ...was } = b;
    const store = (input: Partial<BarInput>, at: number): Promise<Bar> =>
      this.shop.save(routes.bar(id), { ...was, why: '', removed: false, ...input }, at);
    return this.told.doing(async () => {
      const stored = await store(change, version);
      this.told.say(said, () => store({ why: 'undone' }, stored.version));
    });
  }
}
