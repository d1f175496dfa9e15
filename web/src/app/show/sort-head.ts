import type { OnInit } from '@angular/core';
import { DestroyRef, Directive, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { NzThAddOnComponent, type NzTableSortOrder } from 'ng-zorro-antd/table';

/** What a table sorted by one of its heads is called to a screen reader. */
const SPOKEN: Readonly<Record<string, string>> = { ascend: 'ascending', descend: 'descending' };

/**
 * Says how the library's table is sorted by this head. What sorts is the head's own button: its click reaches the head, by finger and by
 * key alike; the library's arrows can be reached by neither.
 */
@Directive({ selector: 'th[nzSortFn]', host: { '[attr.aria-sort]': 'spoken()' } })
export class SortHead<T> implements OnInit {
  private readonly head = inject<NzThAddOnComponent<T>>(NzThAddOnComponent);
  private readonly gone = inject(DestroyRef);
  protected readonly spoken = signal<string | null>(null);

  ngOnInit(): void {
    this.tell(this.head.nzSortOrder);
    this.head.nzSortOrderChange.pipe(takeUntilDestroyed(this.gone)).subscribe((order) => this.tell(order));
  }

  private tell(order: NzTableSortOrder): void {
    this.spoken.set(order === null ? null : SPOKEN[order]!);
  }
}
