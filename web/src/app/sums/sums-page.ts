import { Location } from '@angular/common';
import { ChangeDetectionStrategy, Component, inject, input, type OnInit } from '@angular/core';
import { SumsDesk, type SumsView } from '../data';
import { Sums } from './sums';

/** The Sums bench as a place of its own, its address naming what lies on it. */
@Component({
  selector: 'ip-sums-page',
  imports: [Sums],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<ip-sums (laid)="keep($event)" />`,
  styles: ':host { display: block; height: 100%; }',
})
export class SumsPage implements OnInit {
  private readonly location = inject(Location);
  private readonly desk = inject(SumsDesk);
  /** From the address: `sum` or `table`, and which; neither for the bench as it was left. */
  readonly kind = input<string>();
  readonly id = input<string>();

  ngOnInit(): void {
    this.desk.setOpen(false);
    const id = this.id();
    if (id) this.desk.lay({ kind: this.kind() === 'table' ? 'table' : 'sum', id });
  }

  protected keep({ kind, id }: SumsView): void {
    this.location.replaceState(`/sums/${kind}/${id}`);
  }
}
