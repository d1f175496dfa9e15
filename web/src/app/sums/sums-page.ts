import { Location } from '@angular/common';
import { ChangeDetectionStrategy, Component, effect, inject, input, signal, untracked, type OnInit } from '@angular/core';
import { ActivatedRoute } from '@angular/router';
import { SumsDesk, type SumsView, type TypedSum } from '../data';
import { Sums } from './sums';

const UNIT = 'unit';
/** Longer than anything that a field takes. */
const LONGEST_TEXT = 200;

/** What an address says of a calculation: the unit of its bare numbers, and what is typed in its fields; null where it says nothing. */
function typedIn(address: { readonly keys: readonly string[]; get(name: string): string | null }): TypedSum | null {
  const unit = address.get(UNIT);
  if (unit !== 'mm' && unit !== 'in') return null;
  const fields = address.keys.filter((k) => k !== UNIT);
  return { unit, texts: Object.fromEntries(fields.map((k) => [k, (address.get(k) ?? '').slice(0, LONGEST_TEXT)])) };
}

/** The Sums bench as a place of its own, its address naming what lies on it and what was typed there. */
@Component({
  selector: 'ip-sums-page',
  imports: [Sums],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<ip-sums (laid)="laid.set($event)" />`,
  styles: ':host { display: block; height: 100%; }',
})
export class SumsPage implements OnInit {
  private readonly location = inject(Location);
  private readonly desk = inject(SumsDesk);
  private readonly route = inject(ActivatedRoute);
  /** From the address: `sum` or `table`, and which; neither for the bench as it was left. */
  readonly kind = input<string>();
  readonly id = input<string>();
  protected readonly laid = signal<SumsView | null>(null);

  constructor() {
    effect(() => {
      const laid = this.laid();
      if (!laid) return;
      const typed = laid.kind === 'sum' ? this.desk.typed()[laid.id] : undefined;
      const asked = typed ? new URLSearchParams({ [UNIT]: typed.unit, ...typed.texts }).toString() : '';
      untracked(() => this.location.replaceState(`/sums/${laid.kind}/${laid.id}`, asked));
    });
  }

  ngOnInit(): void {
    this.desk.setOpen(false);
    const id = this.id();
    if (!id) return;
    const kind = this.kind() === 'table' ? 'table' : 'sum';
    this.desk.lay({ kind, id });
    const typed = kind === 'sum' ? typedIn(this.route.snapshot.queryParamMap) : null;
    if (typed) this.desk.type(id, typed);
    this.laid.set({ kind, id });
  }
}
