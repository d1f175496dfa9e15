import { calledOff, ledgerCard, movedByShop, sawNeeds, workOut, type JobSheet, type MovedJob, type Shop } from '@iron-patch/core';
import type { Standing } from '@iron-patch/contract';

/** Jobs to work out, as they are stored. */
export interface SheetsToWorkOut {
  readonly sheets: readonly JobSheet[];
  readonly shop: Shop;
}

/** Where one job stands, and why it could not be worked out where it could not. */
export interface WorkedOut {
  readonly jobId: string;
  readonly standing: Standing;
  readonly error: string | null;
}

function standingOf(sheet: JobSheet, shop: Shop): WorkedOut {
  const jobId = sheet.job.id;
  try {
    const { stations, next, places, items, toDo } = workOut(sheet, shop);
    const off = calledOff(sheet) !== null;
    const ledger = ledgerCard(sheet, places, items);
    const saws = off ? [] : sawNeeds(items, sheet);
    const standing = {
      stations,
      next,
      ...(off ? { calledOff: true as const } : {}),
      ...(saws.length ? { saws } : {}),
      ...(toDo.acts.length ? { toDo } : {}),
      ...(ledger ? { ledger } : {}),
    };
    return { jobId, standing, error: null };
  } catch (e) {
    return { jobId, standing: { stations: [], next: null, trouble: true }, error: (e as Error).stack ?? String(e) };
  }
}

/** Where these jobs stand. One that cannot be worked out says so; the others go on. */
export const workOutAll = ({ sheets, shop }: SheetsToWorkOut): WorkedOut[] => sheets.map((s) => standingOf(s, shop));

/** Jobs in which a change of the shop may move something. */
export interface MovesToWeigh {
  readonly sheets: readonly JobSheet[];
  readonly before: Shop;
  readonly after: Shop;
}

/** What a change of the shop moves in these jobs; one that cannot be worked out moves nothing: the floor says so of it. */
export const weighMoves = ({ sheets, before, after }: MovesToWeigh): MovedJob[] =>
  sheets.flatMap((sheet) => {
    try {
      return movedByShop(sheet, before, after) ?? [];
    } catch {
      return [];
    }
  });
