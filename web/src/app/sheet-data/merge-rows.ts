import type { SheetRow, SheetRows, SheetTable } from '@iron-patch/contract/wire';
import type { JobSheet } from '@iron-patch/core';

interface Named {
  readonly id?: string;
  readonly key?: string;
  readonly version?: number;
}
const nameOf = (row: Named): string => row.id ?? row.key ?? '';
/** Of two states of one row, the later: an answer may come after a change that was made since it was asked for. */
const later = (here: Named, come: Named): Named => ((here.version ?? 0) > (come.version ?? 0) ? here : come);

function mergeList<T extends Named>(here: readonly T[], asked: ReadonlySet<string>, come: readonly T[]): readonly T[] {
  const found = new Map(come.map((r) => [nameOf(r), r]));
  const kept = here.flatMap((row): T[] => {
    const name = nameOf(row);
    if (!asked.has(name)) return [row];
    const now = found.get(name);
    found.delete(name);
    return now ? [later(row, now) as T] : [];
  });
  return [...kept, ...found.values()];
}

/** A sheet with some of its rows as they were fetched anew: changed in their place, new ones at the end, those not found taken off. */
export function mergeRows(sheet: JobSheet, asked: readonly SheetRow[], rows: SheetRows): JobSheet {
  const tables = [...new Set(asked.map(([table]) => table))];
  const lists = tables
    .filter((t): t is Exclude<SheetTable, 'jobs'> => t !== 'jobs')
    .map((t) => {
      const names = new Set(asked.filter(([table]) => table === t).map(([, name]) => name));
      return [t, mergeList<Named>(sheet[t], names, rows[t] ?? [])] as const;
    });
  const job = rows.job ? (later(sheet.job, rows.job) as JobSheet['job']) : sheet.job;
  return { ...sheet, ...Object.fromEntries(lists), job, customer: rows.customer ?? sheet.customer };
}
