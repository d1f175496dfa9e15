import { Location } from '@angular/common';
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { ActivatedRoute } from '@angular/router';
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
export class SumsPage {
  private readonly location = inject(Location);

  constructor() {
    const desk = inject(SumsDesk);
    const { kind, id } = inject(ActivatedRoute).snapshot.params as { kind?: string; id?: string };
    desk.setOpen(false);
    if (id) desk.lay({ kind: kind === 'table' ? 'table' : 'sum', id });
  }

  protected keep({ kind, id }: SumsView): void {
    this.location.replaceState(`/sums/${kind}/${id}`);
  }
}
