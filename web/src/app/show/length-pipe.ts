import { Pipe, type PipeTransform } from '@angular/core';
import { formatLength, type LengthUnit } from '@iron-patch/core';

/** Millimetres as text in a unit, without its name; a dash for nothing. */
@Pipe({ name: 'len' })
export class LengthPipe implements PipeTransform {
  transform(mm: number | null | undefined, unit: LengthUnit, decimals?: number): string {
    return mm === null || mm === undefined || !Number.isFinite(mm) ? '–' : formatLength(mm, unit, decimals);
  }
}
