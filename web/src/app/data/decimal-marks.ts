import { Injectable } from '@angular/core';
import { inMark, outOfMark, type DecimalMark } from '@iron-patch/core/terms/quantity';

/**
 * How numbers are written and typed on this page: with a point, or with a comma. Everything else of the program knows points only; the page's
 * renderer writes by it, fields read by it. It is that of the shop when the page was loaded, so that a page never holds both.
 */
@Injectable({ providedIn: 'root' })
export class DecimalMarks {
  private mark: DecimalMark = '.';

  /** Takes the shop's mark; false where the page has been written with another. */
  adopt(mark: DecimalMark, fresh: boolean): boolean {
    if (fresh) this.mark = mark;
    return this.mark === mark;
  }

  written(text: string): string {
    return inMark(text, this.mark);
  }

  /** What was typed, with points. */
  read(text: string): string {
    return outOfMark(text, this.mark);
  }

  /** What stands in the field that an event came from, with points. */
  typed(event: Event): string {
    return this.read((event.target as HTMLInputElement | HTMLTextAreaElement).value);
  }
}
