import { Injectable } from '@angular/core';
import type { ReadingInput } from '@iron-patch/contract';
import { takenReading, workOut, type JobSheet, type ReadingRecord, type Repair, type Shop } from '@iron-patch/core';
import { newId } from '../data';
import { SAME_SHEET } from './shown-sheet';

/** A reading as it is typed, before it has an identity. */
export type TypedReading = Omit<ReadingInput, 'id' | 'takenAt'>;

interface Foreseen {
  readonly asked: string;
  readonly record: ReadingRecord;
  readonly sheet: JobSheet;
  readonly shop: Shop;
  readonly repair: Repair;
}

/** A reading that was foreseen longer ago than this takes its time when it is taken, ms. */
const FRESH_MS = 5000;

const nameOf = (typed: TypedReading, personId: string, valueMm: number): string =>
  JSON.stringify([{ ...typed, confirmed: false }, personId, valueMm]);

/**
 * Works a reading out while it stands in the line and the hand is on its way to Enter, so that Enter has only to show it: on a job
 * of thousands of readings that is half of the way to the next frame. Nothing foreseen counts before it is taken.
 */
@Injectable({ providedIn: 'root' })
export class Foresight {
  private foreseen: Foreseen | null = null;
  /** The foreseen reading was taken: the same number once more is another reading. */
  private spent = false;

  foresee(sheet: JobSheet, shop: Shop, typed: TypedReading, personId: string, valueMm: number): void {
    const record = this.recordOf(sheet.job.id, typed, personId, valueMm);
    const then: JobSheet = { ...sheet, readings: [...sheet.readings, record] };
    this.spent = false;
    try {
      this.foreseen = { asked: nameOf(typed, personId, valueMm), record, sheet: then, shop, repair: workOut(then, shop) };
    } catch {
      // It is told when the reading is taken and the job is worked out.
      this.foreseen = null;
    }
  }

  /** The record of a reading that is taken now: the foreseen one if it is the same and fresh. */
  taken(jobId: string, typed: TypedReading, personId: string, valueMm: number): ReadingRecord {
    const f = this.foreseen;
    const same = f && f.record.jobId === jobId && f.asked === nameOf(typed, personId, valueMm);
    if (same && !this.spent && Date.now() - Date.parse(f.record.takenAt) < FRESH_MS) {
      this.spent = true;
      return f.record;
    }
    return this.recordOf(jobId, typed, personId, valueMm);
  }

  /** What follows from a sheet: as foreseen when it is that sheet, else worked out. */
  repairOf(sheet: JobSheet, shop: Shop): Repair {
    const f = this.foreseen;
    return f && f.shop === shop && SAME_SHEET.equal(f.sheet, sheet) ? f.repair : workOut(sheet, shop);
  }

  private recordOf(jobId: string, typed: TypedReading, personId: string, valueMm: number): ReadingRecord {
    return takenReading({ ...typed, id: newId(), takenAt: new Date().toISOString() }, { jobId, personId, valueMm });
  }
}
