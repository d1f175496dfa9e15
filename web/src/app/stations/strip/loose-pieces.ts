import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, choiceInput } from '@iron-patch/contract';
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
import { ChooseField, DraftNote, FormFrame, inValue, RecordForm, TextField, type Option } from '../../form';

const JUDGED: readonly Option[] = [
  ['not known', 'not known yet'],
  ['sound', 'sound'],
  ['the fault', 'the fault'],
];

const PIECE = choiceInput(choiceKey.fragment('any'))!;
const REPAIR = choiceInput(choiceKey.earlier('any'))!;

/** Earlier repairs, which are clues, and loose pieces, which must be accounted for before the thing is closed. */
@Component({
  selector: 'ip-loose-pieces',
  imports: [ChooseField, DraftNote, FormFrame, ReactiveFormsModule, StateMark, TextField],
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
      <form ip-form [formGroup]="piece.group" [of]="piece" save="Add a loose piece" [closable]="false" [next]="false">
        <div class="grid2">
          <ip-text label="What is loose" name="looseWhat" formControlName="what" />
          <ip-text label="Where it may be" name="looseWhere" formControlName="where" />
        </div>
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
      <form ip-form [formGroup]="repair.group" [of]="repair" save="Add an earlier repair" [closable]="false" [next]="false">
        <div class="grid2">
          <ip-text label="What was done before" name="earlierWhat" formControlName="what" />
          <ip-choose label="To" name="earlierOf" [options]="components()" [orNull]="true" formControlName="componentId" />
        </div>
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
  /** How pieces were accounted for, as it is being typed. */
  protected readonly kept = keptDraft(() => `pieces:${this.store.sheet()!.job.id}`, { texts: this.texts });
  private readonly pieceId = signal(newId());
  protected readonly piece = new RecordForm<Pick<FragmentChoice, 'what' | 'where'>>({
    keptAs: () => `piece:${this.store.sheet()!.job.id}`,
    start: { what: '', where: '' },
    check: (v) => inValue(check(PIECE, { value: { ...v, settled: '', removed: false }, reason: '' })),
    rests: { id: this.pieceId },
    save: (v) => this.put(choiceKey.fragment(this.pieceId()), v.what, { ...v, settled: '', removed: false }),
    next: () => {
      this.pieceId.set(newId());
      return { what: '', where: '' };
    },
  });
  private readonly repairId = signal(newId());
  protected readonly repair = new RecordForm<Pick<EarlierRepairChoice, 'what' | 'componentId'>>({
    keptAs: () => `earlier:${this.store.sheet()!.job.id}`,
    start: { what: '', componentId: null },
    check: (v) => inValue(check(REPAIR, { value: { ...v, judged: 'not known', removed: false }, reason: '' })),
    rests: { id: this.repairId },
    save: (v) => this.put(choiceKey.earlier(this.repairId()), v.what, { ...v, judged: 'not known', removed: false }),
    next: () => {
      this.repairId.set(newId());
      return { what: '', componentId: null };
    },
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
    void this.put(f.key, f.value.what, { ...f.value, ...change }).catch(this.store.bug);
  }

  protected judge(r: Item<EarlierRepairChoice>, event: Event): void {
    this.putRepair(r, { judged: (event.target as HTMLSelectElement).value as EarlierRepairChoice['judged'] });
  }

  protected putRepair(r: Item<EarlierRepairChoice>, change: Partial<EarlierRepairChoice>): void {
    void this.put(r.key, r.value.what, { ...r.value, ...change }).catch(this.store.bug);
  }

  private of_<T>(list: (sheet: NonNullable<ReturnType<typeof this.store.sheet>>) => T[]): T[] {
    const sheet = this.store.sheet();
    return sheet ? list(sheet) : [];
  }

  private put(key: string, what: string, value: unknown): Promise<unknown> {
    return this.store.putChoice(key, inSentence(what), value);
  }
}
