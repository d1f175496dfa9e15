import { Directive, ElementRef, HostListener, inject } from '@angular/core';

const plain = (e: Element): string => (e.textContent ?? '').replace(/\s+/g, ' ').trim();
const markup = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');

/** What plays a table without being one is copied as a table all the same: a row a line, tabs between, and as markup for what takes it. */
@Directive({ selector: '[role=table]' })
export class CopyTable {
  private readonly table = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  @HostListener('copy', ['$event'])
  protected copy(event: ClipboardEvent): void {
    const selection = this.table.ownerDocument.getSelection();
    const chosen = [...this.table.querySelectorAll('[role=row]')].filter((row) => selection?.containsNode(row, true));
    // Within one row somebody copies a number, not a table.
    if (chosen.length < 2 || !event.clipboardData) return;
    const rows = chosen.map((row) => [...row.querySelectorAll('[role=columnheader], [role=rowheader], [role=cell]')].map(plain));
    event.clipboardData.setData('text/plain', rows.map((cells) => cells.join('\t')).join('\n'));
    const body = rows.map((cells) => `<tr>${cells.map((c) => `<td>${markup(c)}</td>`).join('')}</tr>`).join('');
    event.clipboardData.setData('text/html', `<table>${body}</table>`);
    event.preventDefault();
  }
}
