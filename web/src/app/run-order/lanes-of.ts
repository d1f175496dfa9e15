import { isOut } from '@iron-patch/core/making/setups';
import { dayWords, type IsoDay } from '@iron-patch/core/terms/calendar';
import type { PlanRow, ShopProblem } from '@iron-patch/core/repair/order';

/** An act that was done already: where, and from when to when. */
export interface DoneRow {
  readonly jobId: string;
  readonly number: number;
  readonly key: string;
  readonly name: string;
  readonly begin: number;
  readonly end: number;
  readonly machineId: string;
  readonly personId: string | null;
}

/** One lane of the picture: a machine, somebody at the bench, or what is waited for. */
export interface Lane {
  readonly id: string;
  readonly name: string;
  readonly under: string;
  readonly rows: readonly PlanRow[];
  readonly done: readonly DoneRow[];
}

export type LanesBy = 'machine' | 'person';

const minuteOf = (iso: string): number => Date.parse(iso) / 60_000;

/** Acts that somebody said are done, with their times. */
const doneRows = ({ jobs }: Pick<ShopProblem, 'jobs'>): DoneRow[] =>
  jobs.flatMap(({ id, number, toDo }) =>
    toDo.acts.flatMap(({ key, name, said }) =>
      said?.state === 'done' && said.doneAt && said.startedAt
        ? [
            {
              jobId: id,
              number,
              key,
              name,
              begin: minuteOf(said.startedAt),
              end: minuteOf(said.doneAt),
              machineId: said.machineId,
              personId: said.personId,
            },
          ]
        : [],
    ),
  );

/** The lanes of a plan: machines that have something to do or are out of order, the bench of each person, what is away; or all acts of each person. */
export function lanesOf(
  { machines, people, jobs }: Pick<ShopProblem, 'machines' | 'people' | 'jobs'>,
  rows: readonly PlanRow[],
  by: LanesBy,
  today: IsoDay,
): Lane[] {
  const done = doneRows({ jobs });
  const waiting = rows.filter((r) => r.act.act === null);
  const away: Lane[] = waiting.length ? [{ id: 'away', name: 'Away, waiting', under: '', rows: waiting, done: [] }] : [];
  const firstName = (id: string | null): string => people.find((p) => p.id === id)?.name.split(' ')[0] ?? '';
  if (by === 'person')
    return [
      ...people.map(({ id, name, role }) => ({
        ...{ id, name, under: role },
        rows: rows.filter((r) => r.personId === id && r.act.act !== null),
        done: done.filter((d) => d.personId === id),
      })),
      ...away,
    ];
  const ofMachines = machines
    .map((m): Lane => {
      const own = rows.filter((r) => r.machineId === m.id);
      const who = [...new Set(own.map((r) => firstName(r.personId)))].filter(Boolean);
      const under = isOut(m, today) ? `out until ${dayWords(m.backOn!, 'weekday')}` : who.join(', ');
      return { id: m.id, name: m.name, under, rows: own, done: done.filter((d) => d.machineId === m.id) };
    })
    .filter((l) => l.rows.length || l.done.length || machines.some((m) => m.id === l.id && isOut(m, today)));
  const benches = people
    .map(({ id }): Lane => {
      const own = rows.filter((r) => r.personId === id && !r.machineId && r.act.act !== null);
      const had = done.filter((d) => d.personId === id && !d.machineId);
      return { id: `bench.${id}`, name: 'Bench', under: firstName(id), rows: own, done: had };
    })
    .filter((l) => l.rows.length || l.done.length);
  return [...ofMachines, ...benches, ...away];
}
