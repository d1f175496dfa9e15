import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  Injector,
  input,
  linkedSignal,
  signal,
  untracked,
  viewChild,
  type ElementRef,
} from '@angular/core';
import type { PlaceInput } from '@iron-patch/contract';
import {
  countOf,
  choiceKey,
  formatPlace,
  PLACE_KINDS,
  isDiameter,
  parsePencil,
  withoutPlace,
  pencilPlace,
  USUAL_PARTS,
  type ComponentRecord,
  type PencilPlace,
  type UsualPart,
} from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { DecimalMarks, ApiProblem, keptDraft, newId, NoAnswer, ShopStore } from '../../data';
import { PlacePicker } from '../../picture';
import { ReadQueue, SheetStore } from '../../sheet-data';

/** What any part may have. */
const ANY_PART: UsualPart = { name: '', places: ['body', 'bore', 'land', 'seat', 'hole', 'overall length'] };

/** How stations and sizes are said, in lengths of the job. */
const HINTS = {
  mm: '@3 before them says at which station; behind them 40 long from 20',
  in: '@1/4 before them says at which station; behind them 1 1/2 long from 3/4',
} as const;

/** A place where its number is taken: one line of the pencil sheet makes it, says what it runs in, and holds what was read. */
@Component({
  selector: 'ip-pencil-line',
  imports: [NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (out()) {
      <form (submit)="$event.preventDefault(); put()">
        <label for="pencil">A place and what was read there, in one line</label>
        <span class="row">
          <input
            #entry
            nz-input
            id="pencil"
            class="fig"
            name="pencil"
            autocomplete="off"
            spellcheck="false"
            [placeholder]="example()"
            [attr.aria-invalid]="problem() ? 'true' : null"
            aria-describedby="pencil-said"
            [value]="text()"
            (keydown.escape)="engaged.set(false)"
            (input)="type(marks.read(entry.value))"
          />
          <button type="submit" [class.next]="first()" [attr.aria-busy]="busy()" [disabled]="!text().trim()">Put it down</button>
        </span>
        <p class="chips" role="group" aria-label="What it is on">
          @for (p of parts(); track p) {
            <button type="button" [class.on]="p === part()" [attr.aria-pressed]="p === part()" (click)="part.set(p)">{{ p }}</button>
          }
        </p>
        @if (part()) {
          <p class="chips" role="group" aria-label="Where it is read">
            @for (p of places(); track p) {
              <button type="button" (click)="begin(p)">{{ p }}</button>
            }
            @for (m of mates(); track m) {
              <button type="button" class="mate" (click)="runsIn(m)">in {{ m }}</button>
            }
            @if (pictured()) {
              <button type="button" class="mate" [attr.aria-pressed]="picker.asking()" (click)="touch()">Touch it on the picture</button>
            }
          </p>
        }
        <p id="pencil-said" class="understood" aria-live="polite" [class.problem]="problem()">{{ problem() || said() }}</p>
      </form>
    } @else {
      <button type="button" class="plain" (click)="engage()">Add a place with its readings</button>
    }
  `,
  styles:
    'form { padding: 8px 0 2px; } .row { flex-wrap: nowrap; } input { flex: 1; font-size: 18px; } label { font: 600 15px var(--label); } p.understood { min-height: 22px; font-size: 15px; color: var(--quiet); } p.problem.problem { color: var(--out); } button { white-space: nowrap; } .chips { display: flex; flex-wrap: wrap; gap: 6px; margin: 6px 0; } .chips button { min-height: 40px; padding: 2px 12px; font-weight: 400; border-color: var(--hairline); color: var(--ink); } .chips button.on { background: var(--blue-soft); border-color: var(--blue); font-weight: 600; } .chips .mate { border-style: dashed; border-color: var(--blue); color: var(--blue); } @media (max-width: 480px) { .row { flex-wrap: wrap; } }',
})
export class PencilLine {
  private readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  private readonly queue = inject(ReadQueue);
  private readonly injector = inject(Injector);
  protected readonly marks = inject(DecimalMarks);
  /** True while nothing else can be done here. */
  readonly first = input(false);
  protected readonly picker = inject(PlacePicker);
  /** There is something to touch. */
  protected readonly pictured = computed(() => (this.store.sheet()?.places.length ?? 0) > 0);
  private readonly field = viewChild<ElementRef<HTMLInputElement>>('entry');
  protected readonly text = signal('');
  protected readonly busy = signal(false);
  /** The line is out while nothing is measured, and once somebody asked for it; Esc puts it away. */
  protected readonly engaged = linkedSignal<boolean, boolean>({
    source: () => this.first(),
    computation: (first, was) => first || (was?.value ?? false),
  });
  protected readonly out = computed(() => this.engaged() || this.text() !== '');
  private readonly tried = signal(false);
  /** Enter was pressed while the line before was not stored yet. */
  private readonly wanted = signal(false);
  private readonly key = signal(newId());
  private readonly kept = keptDraft(() => `pencil:${this.store.sheet()!.job.id}`, { text: this.text }, { rests: { key: this.key } });
  /** What is there, and what usually comes in. */
  protected readonly parts = computed(() => {
    const there = this.store.sheet()!.components.map((c) => c.name);
    return [...there, ...USUAL_PARTS.map((p) => p.name).filter((n) => !there.includes(n))];
  });
  /** Usual places that are not there yet. */
  protected readonly places = computed(() => {
    const sheet = this.store.sheet()!;
    const component = sheet.components.find((c) => c.name === this.part());
    const there = sheet.places.filter((f) => f.componentId === component?.id).map((f) => f.name.toLowerCase());
    const usual = USUAL_PARTS.find((p) => p.name === this.part()) ?? ANY_PART;
    return usual.places.filter((p) => !there.includes(p));
  });
  /** Places of other components that the one being written may run in or on. */
  protected readonly mates = computed(() => {
    const sheet = this.store.sheet()!;
    const component = sheet.components.find((c) => c.name === this.part());
    if (!/:/.test(this.text()) || / (in|on) /.test(this.text().split(':')[0]!)) return [];
    const parsed = parsePencil(this.text(), sheet.job.unit);
    if (!parsed.ok || !isDiameter(parsed.value.kind)) return [];
    return sheet.places
      .filter((f) => f.componentId !== component?.id && isDiameter(f.kind) && f.side !== parsed.value.side)
      .map((f) => f.name);
  });
  protected readonly example = computed(() =>
    this.store.sheet()?.job.unit === 'in' ? 'jaw / swivel hole: 0.800 0.803 0.806 0.803' : 'jaw / swivel hole: 20.32 20.41 20.49 20.40',
  );
  /** The component that the next line is on: the one that was looked at last, until another is touched. */
  protected readonly part = linkedSignal<string, string>({
    source: () => {
      const { spanId } = this.store.selection();
      const sheet = this.store.sheet()!;
      const on = sheet.places.find((f) => f.id === spanId)?.componentId;
      return sheet.components.find((c) => c.id === on)?.name ?? '';
    },
    computation: (looked, before) => looked || (before?.value ?? ''),
  });
  private readonly read = computed(() => {
    const sheet = this.store.sheet()!;
    const parsed = parsePencil(this.text(), sheet.job.unit);
    if (!parsed.ok) return parsed;
    const inHand = sheet.components.find((c) => c.name === this.part())?.id ?? null;
    return pencilPlace(parsed.value, sheet, this.shop.shop(), inHand);
  });
  protected readonly problem = computed(() => {
    if (!this.tried()) return '';
    const own = (id: string): boolean => this.store.sheet()!.places.some((p) => p.id === id);
    const [read, held] = [this.read(), this.queue.inLine()];
    const next = held && own(held.placeId) ? held : this.queue.first(own);
    if (!read.ok) return read.problems[0]!.message;
    return next ? `${next.text} of the line before stands in the line at the foot: settle that first.` : '';
  });
  /** How the line is understood, while it is typed. */
  protected readonly said = computed(() => {
    const read = this.read();
    if (!this.text().trim())
      return `Two readings stand at 0° and 90°, three at 60° each, four at 45°; others as 0° 20.32, 30° 20.41. ${HINTS[this.store.sheet()!.job.unit]}, in press hole.`;
    return read.ok ? words(read.value) : '';
  });

  constructor() {
    effect(() => {
      if (this.wanted() && !this.busy() && this.read().ok && !this.problem()) untracked(() => void this.put());
    });
    inject(DestroyRef).onDestroy(() => this.picker.cancel());
  }

  /** Starts a line with a place that was touched; the numbers are typed after it. */
  protected begin(place: string): void {
    this.write(`${this.part()} / ${place}: `);
  }

  /** Says in the same breath what it runs in. */
  protected runsIn(mate: string): void {
    const [head, ...rest] = this.text().split(':');
    this.write(`${head!.trim()} in ${mate}:${rest.join(':')}`);
  }

  /** Two touches on the picture say where it begins and how long it is; the line has its name, or gets one. */
  protected touch(): void {
    if (this.picker.asking()) return this.picker.cancel();
    this.picker.ask(
      (begin) => this.picker.ask((end) => this.lies(Math.min(begin, end), Math.max(begin, end)), 'Touch where it ends'),
      'Touch where it begins',
    );
  }

  private lies(fromMm: number, toMm: number): void {
    const sheet = this.store.sheet()!;
    const component = sheet.components.find((c) => c.name === this.part());
    const unit = sheet.job.unit;
    const size = (mm: number): string => formatPlace(mm, unit);
    const many = sheet.places.filter((p) => p.componentId === component?.id).length;
    const [head, ...rest] = (this.text().trim() || `${this.part()} / place ${many + 1}:`).split(':');
    const where = `from ${size(fromMm - (component?.axisOffsetMm ?? 0))}, ${size(toMm - fromMm)} long`;
    this.write(`${withoutPlace(head!)} ${where}:${rest.join(':') || ' '}`);
  }

  /** Writes into the line for a hand that types on at once. */
  private write(text: string): void {
    this.type(text);
    const field = this.field()!.nativeElement;
    field.value = text;
    field.focus();
    field.setSelectionRange(text.length, text.length);
  }

  protected engage(): void {
    this.engaged.set(true);
    afterNextRender(() => this.field()?.nativeElement.focus(), { injector: this.injector });
  }

  protected type(text: string): void {
    this.engaged.set(true);
    this.text.set(text);
    // Another line is another record: the key of one whose answer was lost is not its own.
    this.key.set(newId());
    this.tried.set(false);
    this.wanted.set(false);
  }

  protected async put(): Promise<void> {
    this.tried.set(true);
    const [read, text] = [this.read(), this.text()];
    // Behind a line that is still on its way this one goes by itself, unless it is typed on.
    this.wanted.set(read.ok && (this.busy() || this.problem() !== ''));
    if (!read.ok || this.wanted()) return;
    this.busy.set(true);
    try {
      if (!(await this.putDown(read.value))) return;
      // What was begun meanwhile stays.
      if (this.text() !== text) return;
      this.text.set('');
      this.key.set(newId());
      this.tried.set(false);
      this.kept.done();
    } catch (e) {
      // The store has told why; the line stays as it is.
      if (!(e instanceof ApiProblem || e instanceof NoAnswer)) throw e;
    } finally {
      this.busy.set(false);
    }
  }

  private async putDown({ component, there, place: asked, readings, moved }: PencilPlace): Promise<boolean> {
    const on = 'id' in component ? component : await this.store.addComponent(component, `${this.key()} component`);
    if (!on) return false;
    const input = { ...structuredClone(asked), componentId: on.id } as PlaceInput;
    const place = there ? await this.store.savePlace(there, input) : await this.store.addPlace(input, this.key());
    if (!place) return false;
    const mate = moved && this.store.sheet()!.components.find((c) => c.id === moved.id);
    if (mate) {
      const { id: _, jobId: __, version: ___, ...was } = mate;
      await this.store.saveComponent(mate, { ...was, axisOffsetMm: moved.axisOffsetMm });
    }
    this.store.select({ spanId: place.id, stationMm: null, clockDeg: null });
    const { grid, quantities } = PLACE_KINDS[place.kind];
    // What a pencil sheet leaves out of a groove or a thread was not taken: it is not asked for, and can be read all the same.
    const left = grid || !readings.length ? [] : quantities.slice(readings.length);
    const spots = left.map((quantity) => ({ stationMm: place.stationsMm[0]!, clockDeg: 0, quantity }));
    if (spots.length && !there)
      await this.store.putChoice(choiceKey.skip(place.id), `spots passed over on ${place.name}`, { spots }, '', false);
    // Only now: the line moves on to what is still asked for.
    this.queue.add(readings.map((r) => ({ placeId: place.id, ...r })));
    return true;
  }
}

/** What a new component counts as until somebody says otherwise at Strip. */
const AS: Partial<Record<ComponentRecord['role'], string>> = { worn: 'the worn one', mate: 'one that stays' };

/** `On Jaw, a new component, the worn one: Seat, outside: diameter; 4 readings.` */
function words({ component, there, place, readings, moved }: PencilPlace): string {
  const on = 'id' in component ? component.name : [component.name, 'a new component', AS[component.role]].filter(Boolean).join(', ');
  const what = there
    ? `more of ${place.name}`
    : `${place.name}, ${place.side === 'inside' ? 'inside' : 'outside'}: ${PLACE_KINDS[place.kind].name.toLowerCase()}`;
  const many = readings.length === 0 ? 'nothing read yet' : countOf(readings.length, 'reading');
  const meets = moved ? ` ${moved.name} comes to lie where they meet.` : '';
  return `On ${on}: ${what}; ${many}.${meets}`;
}
