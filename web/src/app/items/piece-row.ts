import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { choiceKey, type PieceChoice, type PieceFinding } from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { keptDraft } from '../data';
import { DraftNote } from '../form';
import { StateMark } from '../mark';
import { SheetStore } from '../sheet-data';

/** The pieces of an item: which one is at the machine, and what becomes of one that went wrong. */
@Component({
  selector: 'ip-piece-row',
  imports: [DraftNote, NzInputModule, StateMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (show() === 'pieces' && pieces().length > 1) {
      <div class="tabs" role="group" aria-label="Pieces">
        @for (p of pieces(); track p.piece.number) {
          <button
            type="button"
            [attr.aria-pressed]="p === piece()"
            [class.on]="p === piece()"
            [class.gone]="p.piece.scrapped !== null"
            [title]="p.piece.scrapped ?? ''"
            (click)="store.seeItem(store.item()!.id, p.piece.number)"
          >
            <ip-state [state]="mark(p)" [size]="13" /> Piece {{ p.piece.number }}{{ p.piece.scrapped === null ? '' : ', scrap' }}
          </button>
        }
      </div>
    }
    @if (piece(); as p) {
      @if (p.piece.scrapped !== null) {
        @if (show() === 'pieces') {
          <p class="said" role="status">
            Piece {{ p.piece.number }} is scrap: {{ p.piece.scrapped }}
            <button type="button" class="plain" (click)="put(p, { scrapped: false, why: 'taken back' })">It is good after all</button>
          </p>
        }
      } @else if (show() === 'scrap' && asking()) {
        <form class="why" (submit)="$event.preventDefault(); scrap(p)">
          <ip-draft-note [kept]="kept" />
          <label for="scrapWhy">What went wrong with piece {{ p.piece.number }}</label>
          <input nz-input id="scrapWhy" maxlength="200" autocomplete="off" [value]="why()" (input)="type($event)" />
          <button type="submit" [disabled]="!why().trim()">Scrap it, make another</button>
          <button type="button" (click)="asking.set(false)">Leave it</button>
        </form>
      } @else if (show() === 'scrap' && mayScrap(p)) {
        <button type="button" class="plain scrap" (click)="asking.set(true)">Scrap piece {{ p.piece.number }}</button>
      }
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 4px 12px;
      padding: 0 18px;
    }
    .tabs {
      padding: 6px 0 0;
    }
    .gone {
      text-decoration: line-through;
    }
    .scrap {
      margin-left: auto;
    }
    .why {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 10px;
      padding: 6px 0;
      width: 100%;
    }
    .why input {
      flex: 1;
      min-width: 200px;
    }
  `,
})
export class PieceRow {
  protected readonly store = inject(SheetStore);
  readonly station = input.required<'cut' | 'prove'>();
  /** The pieces to choose from, above; or what becomes of one that went wrong, below. */
  readonly show = input.required<'pieces' | 'scrap'>();
  protected readonly pieces = computed(() => this.store.repair()?.at?.pieces ?? []);
  protected readonly piece = computed(() => this.store.repair()?.piece ?? null);
  protected readonly asking = signal(false);
  protected readonly why = signal('');
  protected readonly kept = keptDraft(() => `scrap:${this.store.item()?.id}:${this.piece()?.piece.number}`, { why: this.why });

  protected begun = ({ cuts, sizes, proofs }: PieceFinding): boolean =>
    cuts.some((c) => c.readings.length) || sizes.some((s) => s.readings.length) || proofs.some((p) => p.readings.length || p.signed);

  /** Of several any may go wrong, read or not: it slips in the chuck, it falls. A single one that goes well is not asked about at the machine. */
  protected mayScrap = (p: PieceFinding): boolean =>
    this.pieces().length > 1 || (this.begun(p) && (this.station() === 'prove' || this.mark(p) === 'out'));

  protected mark(p: PieceFinding): 'done' | 'under-way' | 'not-yet' | 'out' {
    if (
      p.piece.scrapped !== null ||
      p.cuts.some((c) => c.advice.state === 'under') ||
      p.proofs.some((x) => x.verdict === 'out' || x.signed?.passed === false)
    )
      return 'out';
    const due = p.proofs.filter((x) => x.dimension.mustProve);
    if (due.length && due.every((x) => x.signed?.passed)) return 'done';
    return this.begun(p) ? 'under-way' : 'not-yet';
  }

  protected type(event: Event): void {
    this.why.set((event.target as HTMLInputElement).value);
  }

  protected scrap(p: PieceFinding): void {
    this.put(p, { scrapped: true, why: this.why().trim() });
    this.asking.set(false);
    this.why.set('');
    this.kept.done();
    this.store.seeItem(this.store.item()!.id);
  }

  protected put({ piece }: PieceFinding, choice: PieceChoice): void {
    const key = choiceKey.piece(this.store.item()!.id, piece.number);
    void this.store.putChoice(key, `piece ${piece.number}`, choice).catch(this.store.bug);
  }
}
