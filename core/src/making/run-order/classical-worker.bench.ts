import { OrderSearch } from './search';
import { CLASSICAL_SHOPS, classicalProblem } from './testing-sets';

/** What the page of a bench asks a worker for: the classical shops, or one of them put in order. */
type Asked = { readonly kind: 'shops' } | { readonly kind: 'order'; readonly name: string; readonly forMs: number };

interface Scope {
  onmessage: ((event: { readonly data: Asked }) => void) | null;
  postMessage(message: unknown): void;
}
// The same lines run in a browser's worker; core knows nothing of browsers.
const scope = globalThis as unknown as Scope;

/** Jobs as rows of machines, counted from 1, and of minutes. */
const tableOf = (rows: string) => {
  const all = rows
    .trim()
    .split('\n')
    .map((row) => row.trim().split(/\s+/).map(Number));
  return {
    machines: all.map((row) => row.filter((_, k) => k % 2 === 0).map((m) => m + 1)),
    minutes: all.map((row) => row.filter((_, k) => k % 2 === 1)),
  };
};

scope.onmessage = ({ data }) => {
  if (data.kind === 'shops') return scope.postMessage(CLASSICAL_SHOPS.map(({ name, least, rows }) => ({ name, least, ...tableOf(rows) })));
  const search = new OrderSearch(classicalProblem(CLASSICAL_SHOPS.find((s) => s.name === data.name)!));
  const until = performance.now() + data.forMs;
  search.go(() => performance.now() >= until);
  scope.postMessage(search.bestCost);
};
