import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  choiceKey,
  earlierRepairs,
  fragments,
  type EarlierRepairChoice,
  type FragmentChoice,
  type Item,
  inSentence,
} from '@iron-patch/core';
import { keptDraft, newId } from '../../data';
import { StateMark } from '../../mark';
import { SheetStore } from '../../sheet-data';
import { ChooseField, DraftNote, type Option, TextField } from '../../form';

const JUDGED: readonly Option[] = [
  ['not known', 'not known yet'],
  ['sound', 'sound'],
  ['the fault', 'the fault'],
];

/** Earlier repairs, which are clues, and loose pieces, which must be accounted for before the thing is closed. */
@Component({
  selector: 'ip-loose-pieces',
  imports: [ChooseField, TextField, StateMark, DraftNote],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ip-draft-note [kept]="kept" />
    <section>
      <h2>Loose pieces</h2>
      @for (f of pieces(); track f.id) {
        <div class="item">
          <ip-state [state]="f.value.settled ? 'fits' : 'out'" [size]="18" />
          <span
            ><b>{{ f.value.what }}</b> {{ f.value.where }}</span
          >
          @if (f.value.settled) {
            <span class="quiet push">{{ f.value.settled }}</span>
          } @else {
            <label class="push"
              >How it was accounted for
              <input
                class="text"
                [attr.name]="'settled-' + f.id"
                maxlength="200"
                placeholder="found under the bush"
                [value]="texts()[f.id] ?? ''"
                (input)="write(f.id, $event)"
              />
            </label>
            <button type="button" [disabled]="!texts()[f.id]?.trim()" (click)="settle(f)">Accounted for</button>
          }
          <button type="button" class="plain" [attr.aria-label]="'Remove ' + f.value.what" (click)="putPiece(f, { removed: true })">
            Remove
          </button>
        </div>
      } @empty {
        <p class="quiet">
          None on record. A broken ring, a ball, a chip still in the housing: list it, and the job does not go back before it is found.
        </p>
      }
      <form class="add" (submit)="$event.preventDefault(); addPiece()">
        <ip-text label="What is loose" name="looseWhat" [value]="what()" (valueChange)="what.set($event)" />
        <ip-text label="Where it may be" name="looseWhere" [value]="where()" (valueChange)="where.set($event)" />
        <button type="submit" [disabled]="!what().trim()">Add a loose piece</button>
      </form>
    </section>
    <section>
      <h2>Earlier repairs</h2>
      @for (r of repairs(); track r.id) {
        <div class="item">
          <ip-state [state]="r.value.judged === 'sound' ? 'fits' : r.value.judged === 'the fault' ? 'out' : 'unknown'" [size]="18" />
          <span
            ><b>{{ r.value.what }}</b> {{ nameOf(r.value.componentId) }}</span
          >
          <label class="push"
            ><span class="sr-only">Judgement of {{ r.value.what }}</span>
            <select (change)="judge(r, $event)">
              @for (j of judged; track j[0]) {
                <option [value]="j[0]" [selected]="j[0] === r.value.judged">{{ j[1] }}</option>
              }
            </select></label
          >
          <button type="button" class="plain" [attr.aria-label]="'Remove ' + r.value.what" (click)="putRepair(r, { removed: true })">
            Remove
          </button>
        </div>
      } @empty {
        <p class="quiet">
          None on record. A remade pin that was too small, a home-made groove, a crooked insert: often they are the fault.
        </p>
      }
      <form class="add" (submit)="$event.preventDefault(); addRepair()">
        <ip-text label="What was done before" name="earlierWhat" [value]="earlier()" (valueChange)="earlier.set($event)" />
        <ip-choose label="To" name="earlierOf" [options]="components()" [value]="of()" (valueChange)="of.set($event)" />
        <button type="submit" [disabled]="!earlier().trim()">Add an earlier repair</button>
      </form>
    </section>
  `,
  styles: `
    :host {
      display: grid;
      gap: 22px;
    }
    .item {
      display: flex;
      gap: 12px;
      align-items: center;
      min-height: 52px;
      border-bottom: 1px solid var(--hairline);
      padding: 4px 0;
    }
    .push {
      margin-left: auto;
    }
    button {
      white-space: nowrap;
    }
    label {
      font-size: 15px;
    }
    .add {
      display: grid;
      grid-template-columns: 1fr 1fr auto;
      gap: 18px;
      margin-top: 10px;
      align-items: end;
    }
  `,
})
export class LoosePieces {
  private readonly store = inject(SheetStore);
  protected readonly judged = JUDGED;
  protected readonly pieces = computed(() => this.of_(fragments));
  protected readonly repairs = computed(() => this.of_(earlierRepairs));
  protected readonly components = computed<readonly Option[]>(() => [
    ['', 'the whole thing'],
    ...(this.store.sheet()?.components ?? []).map((c) => [c.id, c.name] as const),
  ]);
  protected readonly texts = signal<Readonly<Record<string, string>>>({});
  protected readonly what = signal('');
  protected readonly where = signal('');
  protected readonly earlier = signal('');
  protected readonly of = signal('');
  protected readonly kept = keptDraft(() => `pieces:${this.store.sheet()!.job.id}`, {
    ...{ texts: this.texts, what: this.what, where: this.where, earlier: this.earlier, of: this.of },
  });

  protected nameOf(id: string | null): string {
    const name = this.store.sheet()?.components.find((c) => c.id === id)?.name;
    return name ? `to ${inSentence(name)}` : '';
  }

  protected write(id: string, event: Event): void {
    const text = (event.target as HTMLInputElement).value;
    this.texts.update((all) => ({ ...all, [id]: text }));
  }

  protected settle(f: Item<FragmentChoice>): void {
    this.putPiece(f, { settled: this.texts()[f.id]!.trim() });
  }

  protected putPiece(f: Item<FragmentChoice>, change: Partial<FragmentChoice>): void {
    this.put(f.key, f.value.what, { ...f.value, ...change });
  }

  protected judge(r: Item<EarlierRepairChoice>, event: Event): void {
    this.putRepair(r, { judged: (event.target as HTMLSelectElement).value as EarlierRepairChoice['judged'] });
  }

  protected putRepair(r: Item<EarlierRepairChoice>, change: Partial<EarlierRepairChoice>): void {
    this.put(r.key, r.value.what, { ...r.value, ...change });
  }

  protected addPiece(): void {
    const value: FragmentChoice = { what: this.what().trim(), where: this.where().trim(), settled: '', removed: false };
    this.put(choiceKey.fragment(newId()), value.what, value, () => {
      this.what.set('');
      this.where.set('');
    });
  }

  protected addRepair(): void {
    const value: EarlierRepairChoice = { componentId: this.of() || null, what: this.earlier().trim(), judged: 'not known', removed: false };
    this.put(choiceKey.earlier(newId()), value.what, value, () => this.earlier.set(''));
  }

  private of_<T>(list: (sheet: NonNullable<ReturnType<typeof this.store.sheet>>) => T[]): T[] {
    const sheet = this.store.sheet();
    return sheet ? list(sheet) : [];
  }

  private put(key: string, what: string, value: unknown, after: () => void = () => undefined): void {
    void this.store.putChoice(key, inSentence(what), value).then(after).catch(this.store.bug);
  }
}
