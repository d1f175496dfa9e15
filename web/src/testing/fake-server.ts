import {
  PROBLEM_TYPE,
  routes,
  type FloorJob,
  type LedgerPage,
  type LedgerSums,
  type OldListResource,
  type ReadingInput,
  type RunOrderPage,
  type SawJob,
  type SessionResource,
  type SheetRow,
  type SheetRows,
  type SheetTable,
  type WaitingReading,
} from '@iron-patch/contract';
import { takenReading, type ChoiceRecord, type DoneBefore, type JobSheet, type Shop, type TypedOut } from '@iron-patch/core';
import { testSheet, testShop } from '@iron-patch/core/testing';

export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: unknown;
}
type Reply = { readonly status: number; readonly body?: unknown } | 'silence';

/** Answers `fetch` as the server would, from a sheet in memory; what it was asked is kept. */
export class FakeServer {
  readonly asked: Asked[] = [];
  sheet: JobSheet;
  shop: Shop = testShop;
  /** The jobs of the floor, in the order in which the server has them. */
  jobs: readonly FloorJob[] = [];
  /** What open jobs have to have sawn. */
  saws: readonly SawJob[] = [];
  /** Sheets of other jobs that are asked for. */
  readonly others: JobSheet[] = [];
  /** Jobs like the one that is open. */
  alike: readonly DoneBefore[] = [];
  /** The ledger, whatever is looked for in it. */
  ledger: LedgerPage & LedgerSums = { rows: [], found: 0, causes: [], routes: [], promised: { kept: 0, late: 0 } };
  /** Lists of old jobs that came in. */
  oldLists: readonly OldListResource[] = [];
  /** What all open jobs still take, and their order. */
  runOrder: RunOrderPage = { jobs: [], order: null, hours: null, calendar: { version: 0, madeAt: null } };
  /** What was chosen before under a key, newest first. */
  history: readonly ChoiceRecord[] = [];
  /** Replies to calls that change something, taken in turn; when empty they are accepted as they are. */
  readonly replies: Reply[] = [];
  /** Who is at the screen, as the server has it. */
  session: SessionResource = { way: 'pick', state: 'in', personId: null, borrowed: false, here: [], lockAfterMin: 0, first: null };
  down = false;
  timeZone = 'UTC';

  constructor(sheet: JobSheet = testSheet()) {
    this.sheet = sheet;
    globalThis.fetch = ((path: string, init: RequestInit = {}) => this.answer(path, init)) as typeof fetch;
  }

  changes(): Asked[] {
    return this.asked.filter((a) => a.method !== 'GET');
  }

  private answer(path: string, init: RequestInit): Promise<Response> {
    const method = init.method ?? 'GET';
    const body: unknown = typeof init.body === 'string' ? JSON.parse(init.body) : undefined;
    this.asked.push({ method, path, headers: (init.headers ?? {}) as Record<string, string>, body });
    if (this.down) return Promise.reject(new TypeError('Failed to fetch'));
    if (method === 'GET') return Promise.resolve(this.read(path));
    if (path === routes.readingsWaiting) return this.waiting(body as { readings: readonly WaitingReading[] });
    const reply = this.replies.shift() ?? { status: 201, body: this.stored(path, body) };
    if (reply === 'silence') return Promise.reject(new TypeError('Failed to fetch'));
    return Promise.resolve(response(reply.status, reply.body ?? null));
  }

  /** Readings that were sent, alone or several at once, in their order, and who typed each. */
  readings(): Pick<WaitingReading, 'input' | 'personId'>[] {
    return this.changes().flatMap(({ body, headers }): readonly Pick<WaitingReading, 'input' | 'personId'>[] => {
      const { readings } = body as { readonly readings?: readonly WaitingReading[] };
      return readings ?? [{ input: body as ReadingInput, personId: headers['X-Person']! }];
    });
  }

  /** Several readings: a reply that waits is the answer to the first of them, or to all where it is none of theirs. */
  private waiting({ readings }: { readonly readings: readonly WaitingReading[] }): Promise<Response> {
    const reply = this.replies.shift();
    if (reply === 'silence') return Promise.reject(new TypeError('Failed to fetch'));
    if (reply && reply.status >= 500) return Promise.resolve(response(reply.status, reply.body ?? null));
    const answers = readings.map((r, i) =>
      i === 0 && reply ? { status: reply.status, body: reply.body } : { status: 201, body: this.stored(routes.readings(r.jobId), r.input) },
    );
    return Promise.resolve(response(200, { answers }));
  }

  private read(path: string): Response {
    if (path === routes.shop)
      return response(200, {
        shop: this.shop,
        timeZone: this.timeZone,
        gaugePort: 8463,
      });
    if (path.startsWith(routes.customers)) return response(200, { customers: [this.sheet.customer], machines: [this.sheet.job.machine] });
    if (path === routes.session) return response(200, this.session);
    const sheet = [this.sheet, ...this.others].find((x) => path === routes.sheet(x.job.id));
    if (sheet) return response(200, sheet);
    if (path === routes.alike(this.sheet.job.id)) return response(200, this.alike);
    if (path === routes.oldLists) return response(200, this.oldLists);
    if (path.startsWith(routes.ledger)) return response(200, this.ledger);
    if (path.endsWith('/history')) return response(200, this.history);
    if (path.startsWith(routes.sheetRows(this.sheet.job.id))) return response(200, this.rows(new URL(path, 'http://here')));
    if (path === routes.runOrder) return response(200, this.runOrder);
    if (path === routes.saw) return response(200, this.saws);
    if (path.startsWith(routes.floor)) return this.floor(new URL(path, 'http://here'));
    return response(404, { title: 'There is no such job.', status: 404, detail: '', type: '' });
  }

  private rows({ searchParams }: URL): SheetRows {
    const asked = JSON.parse(searchParams.get('of')!) as SheetRow[];
    const names = (table: SheetTable): string[] => asked.filter(([t]) => t === table).map(([, name]) => name);
    return { readings: this.sheet.readings.filter((r) => names('readings').includes(r.id)) };
  }

  private floor({ pathname, searchParams }: URL): Response {
    const open = this.jobs.filter((j) => j.next);
    const counts = { open: open.length, returned: this.jobs.length - open.length, behind: 0 };
    if (pathname === routes.promised) return response(200, open);
    if (pathname === routes.floorRows)
      return response(200, { ...counts, jobs: this.jobs.filter((j) => searchParams.get('ids')!.split(',').includes(j.id)) });
    const words = (searchParams.get('find') ?? '').split(' ');
    const found = (words[0] || searchParams.has('returned') ? this.jobs : open).filter((j) => {
      const text = `${j.title} ${j.machine} ${j.customerName}`.toLowerCase();
      return words.every((w) => text.includes(w));
    });
    return response(200, { ...counts, found: found.length, jobs: found.slice(0, Number(searchParams.get('upTo'))) });
  }

  /** What a plain acceptance stores. */
  private stored(path: string, body: unknown): unknown {
    const sent = (body ?? {}) as Record<string, unknown>;
    if (path.includes('/choices/')) {
      const key = path.split('/choices/')[1]!;
      const version = (this.sheet.choices.find((c) => c.key === key)?.version ?? 0) + 1;
      return { jobId: this.sheet.job.id, key, value: sent['value'], reason: sent['reason'], personId: 'tomas', at: '', version };
    }
    if (path === routes.rates) return { ...sent, version: (this.shop.rates?.version ?? 0) + 1 };
    if (path.endsWith('/readings')) {
      const valueMm = Number.parseFloat(String(sent['text'])) || 0;
      return takenReading(sent as unknown as TypedOut, { jobId: this.sheet.job.id, personId: 'tomas', valueMm });
    }
    if (path.endsWith('/photos'))
      return {
        id: 'photo',
        jobId: this.sheet.job.id,
        caption: '',
        widthPx: 4,
        heightPx: 3,
        markers: [],
        personId: 'tomas',
        at: '',
        version: 1,
      };
    if (path.endsWith('/releases'))
      return {
        id: 'release',
        jobId: this.sheet.job.id,
        itemId: sent['itemId'] ?? this.sheet.job.id,
        figures: [],
        personId: 'tomas',
        at: '2026-11-25T09:00:00Z',
      };
    return { id: 'new', ...sent, jobId: this.sheet.job.id, version: 2 };
  }
}

/** As much of a fetch response as Angular's client reads. */
export function response(status: number, body: unknown): Response {
  const parts = [new TextEncoder().encode(JSON.stringify(body))];
  const read = (): Promise<object> => Promise.resolve(parts.length ? { done: false, value: parts.pop() } : { done: true });
  return {
    ok: status < 400,
    status,
    statusText: '',
    url: '',
    headers: new Headers({ 'Content-Type': status < 400 ? 'application/json' : PROBLEM_TYPE }),
    body: { getReader: () => ({ read, cancel: () => Promise.resolve() }) },
  } as unknown as Response;
}

/** Problem details of a status. */
export const problem = (status: number, more: object = {}): { status: number; body: object } => ({
  status,
  body: { type: '/problems/test', title: 'No.', status, detail: 'Because.', ...more },
});
