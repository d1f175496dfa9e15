import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  HostListener,
  inject,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import {
  asksOf,
  byWords,
  chosenPart,
  comparedWith,
  decimalsInOther,
  drawingDoubts,
  entry,
  formatLength,
  inSentence,
  lengthsIn,
  optionsOf,
  otherUnit,
  parseLength,
  validatePart,
  type Ask,
  type Entry,
  type Part,
} from '@iron-patch/core';
import { DecimalMarks, newId, SessionStore } from '../data';
import { OutboxAlerts } from '../reading-line/outbox-alerts';
import { SheetStore } from '../sheet-data';

interface Said {
  readonly text: string;
  readonly bad: boolean;
  /** Names that may have been meant. */
  readonly which: readonly string[];
  /** The last entry can be taken back here. */
  readonly back: boolean;
}

/**
 * The one entry line of the drawing: it asks for the size that was touched, then for the next one along the axis; a name adds what it names. Every
 * entry draws at once; what will not do is said and can be taken back.
 */
@Component({
  selector: 'ip-drawing-line',
  imports: [OutboxAlerts],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './drawing-line.html',
  styleUrl: '../reading-line/reading-line.less',
})
export class DrawingLine {
  protected readonly store = inject(SheetStore);
  protected readonly marks = inject(DecimalMarks);
  private readonly session = inject(SessionStore);
  private readonly field = viewChild<ElementRef<HTMLInputElement>>('entry');
  protected readonly text = signal('');
  protected readonly said = signal<Said | null>(null);

  protected readonly part = computed<Part | null>(() => {
    const [sheet, item] = [this.store.shown(), this.store.item()];
    return sheet && item?.kind === 'make' ? chosenPart(sheet, item.partKey) : null;
  });
  private readonly dimensions = computed(() => this.store.repair()?.part?.dimensions ?? []);
  private readonly fitted = computed(() => new Set(this.dimensions().flatMap((d) => (d.from === 'fit' ? [d.dimension.key] : []))));
  private readonly asks = computed(() => {
    const part = this.part();
    return part ? asksOf(part, (id) => this.fitted().has(id)) : [];
  });
  /** What the line asks for: what was touched, else the first of the surface in hand, else the first of all. */
  protected readonly ask = computed<Ask | null>(() => {
    const { asked, spanId } = this.store.selection();
    const all = this.asks();
    return all.find((a) => a.id === asked) ?? all.find((a) => a.surfaceId === spanId) ?? (spanId === null ? all[0] : undefined) ?? null;
  });
  private readonly at = computed(() => this.ask()?.surfaceId ?? this.store.selection().spanId);
  protected readonly title = computed(() => {
    const ask = this.ask();
    return ask ? `${ask.name}: ${inSentence(ask.spec.label)}` : 'The drawing';
  });
  /** What stands there now, and what it was. */
  protected readonly expecting = computed(() => {
    const [ask, part] = [this.ask(), this.part()];
    if (!ask || !part) return '';
    const options = optionsOf(part, ask);
    if (options.length) {
      const now = options.findIndex(([v]) => v === ask.value);
      return options.map(([, words], i) => `${i + 1} ${words}${i === now ? ' (now)' : ''}`).join(', ');
    }
    const row = comparedWith(this.dimensions(), this.store.repair()?.places ?? []).get(ask.key);
    const was = row?.wasMm == null ? '' : `, was ${this.length(row.wasMm)}`;
    const unit = ask.spec.kind === 'angle' ? '°' : ask.spec.kind === 'number' ? ` ${ask.spec.unit}` : '';
    return `now ${ask.spec.kind === 'length' ? this.length(ask.value as number) : `${ask.value || 'empty'}${unit}`}${was}`;
  });
  /** What the typed letters come to. */
  protected readonly echo = computed(() => {
    const [ask, part, typed] = [this.ask(), this.part(), this.text().trim()];
    if (!part) return '';
    if (typed === '') return `or a name: step, keyseat, ring, ${this.store.unit() === 'in' ? '3/8-16' : 'M12'}`;
    const unit = this.store.unit();
    const mm = ask?.spec.kind === 'length' ? parseLength(typed, { unit, allowZero: true }) : null;
    if (mm?.ok) {
      const other = otherUnit(mm.value.unit);
      return `${formatLength(mm.value.valueMm, other, Math.min(decimalsInOther(mm.value.decimals, mm.value.unit), 5))} ${other}`;
    }
    const words = byWords(part, typed, this.at(), unit);
    if (words.kind === 'added') return `adds ${inSentence(words.name)}`;
    return words.kind === 'which' ? words.names.map(inSentence).join(', ') : '';
  });
  protected readonly nothing = computed(() => {
    const part = this.part();
    if (part?.block) return 'The sizes of a block stand in its form above.';
    if (!part && this.store.item()?.kind === 'make')
      return 'Draw it from the readings, or start from a shape above: then its sizes are typed here.';
    return part ? '' : 'Nothing of this item is drawn.';
  });

  constructor() {
    // What is touched in the picture is typed here, unless somebody is in a field of the table.
    effect(() => {
      const { spanId, asked } = this.store.selection();
      if (spanId === null && asked === undefined) return;
      // What was said of the last entry stays while the line itself goes on.
      if (asked === undefined || asked !== this.lookedAt) untracked(() => this.forget());
      if (!/^(INPUT|TEXTAREA|SELECT)$/.test(document.activeElement?.tagName ?? '')) this.focus();
    });
  }

  private focus(): void {
    this.field()?.nativeElement.focus();
  }

  @HostListener('document:keydown', ['$event'])
  protected global(event: KeyboardEvent): void {
    const { tagName } = event.target as HTMLElement;
    if (event.key !== '/' || /^(INPUT|TEXTAREA|SELECT)$/.test(tagName) || event.ctrlKey || event.altKey) return;
    event.preventDefault();
    this.focus();
  }

  protected enter(typed = this.text()): void {
    if (!this.session.personId()) return this.say('Who is at the bench? Pick your name at the top right, then press Enter again.', true);
    const [part, ask] = [this.part(), this.ask()];
    if (!part) return;
    if (typed.trim() === '') return this.onward(ask, part);
    const got = entry(part, ask, this.at(), typed, this.store.unit(), newId().slice(0, 8));
    if (got.kind === 'refused') return this.say(got.message, true);
    if (got.kind === 'which') return this.say('Which one?', false, { which: got.names });
    this.draw(part, ask, got);
  }

  /** Draws on, says what is wrong with it now, and asks for what comes next. */
  private draw(before: Part, ask: Ask | null, { part, next, words }: Extract<Entry, { kind: 'drawn' }>): void {
    this.store.draft(part, true);
    this.clear();
    const problem = freshProblem(before, part);
    if (problem) {
      // A new thing may need its sizes before it can stand; what was answered wrongly is asked for again.
      if (next) this.look(next);
      return this.say(problem, !next, { back: true });
    }
    if (next) this.look(next);
    else this.onward(ask, part);
    const unit = this.store.unit();
    const known = new Set(drawingDoubts(before, unit).map((d) => d.words));
    const doubt = drawingDoubts(part, unit).find((d) => !known.has(d.words));
    if (doubt) this.say(doubt.words, false, { back: true });
    else if (words) this.say(`${words[0]!.toUpperCase()}${words.slice(1)}.`, false, { back: true });
    this.focus();
  }

  protected takeBack(): void {
    this.store.stepDrawing('back');
    this.forget();
    this.focus();
  }

  /** Brings the row of what is asked for in sight. */
  protected toRow(): void {
    const ask = this.ask();
    if (ask && this.store.selection().spanId === null) this.look(ask);
    document.querySelector('ip-surface-row [aria-current]')?.scrollIntoView({ block: 'nearest' });
  }

  protected keys(event: KeyboardEvent): void {
    if (event.key === 'Escape') return this.field()?.nativeElement.blur();
    const step = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    const along = this.text() === '' ? (event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0) : 0;
    if (step === 0 && along === 0) return;
    event.preventDefault();
    if (step) this.step(step);
    else this.walk(along);
  }

  protected step(by: number): void {
    const all = this.asks();
    const to = all[all.findIndex((a) => a.id === this.ask()?.id) + by];
    if (to) this.look(to);
    this.focus();
  }

  /** To the neighbour along the outside. */
  private walk(by: number): void {
    const row = this.part()?.outside ?? [];
    const at = row.findIndex((s) => s.id === this.at());
    const to = row[Math.min(Math.max(at + by, 0), row.length - 1)];
    if (to) this.store.select({ spanId: to.id, stationMm: null, clockDeg: null });
  }

  /** Asks for what stands behind that in the order along the axis. */
  private onward(ask: Ask | null, part: Part): void {
    const all = asksOf(part, (id) => this.fitted().has(id));
    const at = all.findIndex((a) => a.id === ask?.id);
    const to = all[at + 1];
    if (to) this.look(to);
    else this.say('That was the last. Name what is added, or save the drawing.', false);
    this.focus();
  }

  /** What the line turned to by itself. */
  private lookedAt: string | null = null;

  private look(ask: Ask): void {
    this.lookedAt = ask.id;
    this.store.select({ spanId: ask.surfaceId, stationMm: null, clockDeg: null, asked: ask.id });
  }

  private length(mm: number): string {
    const unit = this.store.unit();
    return formatLength(mm, unit, unit === 'mm' ? 3 : 4);
  }

  private clear(): void {
    this.text.set('');
    const input = this.field()?.nativeElement;
    if (input) input.value = '';
    this.forget();
  }

  protected forget(): void {
    this.said.set(null);
  }

  private say(text: string, bad: boolean, more: Partial<Said> = {}): void {
    this.said.set({ text: lengthsIn(this.store.unit(), text), bad, which: [], back: false, ...more });
  }
}

/** What is wrong with a drawing that was not before; null where nothing is. */
function freshProblem(before: Part, now: Part): string | null {
  const problems = (p: Part) => {
    const checked = validatePart(p);
    return checked.ok ? [] : checked.problems;
  };
  const known = new Set(problems(before).map((p) => p.message));
  return problems(now).find((p) => !known.has(p.message))?.message ?? null;
}
