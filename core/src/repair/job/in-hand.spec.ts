import { cameIn, cutInHand, proofInHand, sizeInHand } from './in-hand';

const cut = (id: string, state: string, read = 0) =>
  ({ segment: { segment: { id } }, advice: { state }, readings: Array.from({ length: read }) }) as never;
const proof = (key: string, more: { gauged?: boolean; mustProve?: boolean; next?: boolean } = {}) =>
  ({
    gauged: more.gauged ?? false,
    dimension: { dimension: { key }, mustProve: more.mustProve ?? true },
    plan: { next: (more.next ?? true) ? {} : null },
  }) as never;
const keyOf = (p: unknown): string => (p as { dimension: { dimension: { key: string } } }).dimension.dimension.key;

it('at Cut it is the diameter picked, else the first that is not in its limits, else the first', () => {
  const cuts = [cut('a', 'in'), cut('b', 'on'), cut('c', 'on')];
  expect(cutInHand({ cuts }, 'c')).toBe(cuts[2]);
  expect(cutInHand({ cuts }, null)).toBe(cuts[1]);
  expect(cutInHand({ cuts }, 'gone')).toBe(cuts[1]);
  expect(cutInHand({ cuts: [cuts[0]!] }, null)).toBe(cuts[0]);
  expect(cutInHand({ cuts: [] }, null)).toBeNull();
  // What is begun is gone on with, whatever stands before it.
  const begun = [cut('a', 'in', 3), cut('b', 'on'), cut('c', 'on', 2)];
  expect(cutInHand({ cuts: begun }, null)).toBe(begun[2]);
});

it('tells which diameter just came in, until something is read after it', () => {
  const read = (id: string, state: string, ...takenAt: string[]) =>
    ({ segment: { segment: { id } }, advice: { state }, readings: takenAt.map((t) => ({ takenAt: t })) }) as never;
  const body = read('body', 'in', '2026-03-02T09:00:00Z', '2026-03-02T09:20:00Z');
  const end = read('end', 'measure-first');
  expect(cameIn({ cuts: [body, end] }, end)).toBe(body);
  // It is what is looked at: that says it itself.
  expect(cameIn({ cuts: [body, end] }, body)).toBeNull();
  const begun = read('end', 'cut', '2026-03-02T09:25:00Z');
  expect(cameIn({ cuts: [body, begun] }, begun)).toBeNull();
  expect(cameIn({ cuts: [read('body', 'under', '2026-03-02T09:20:00Z'), end] }, end)).toBeNull();
  // What is looked at is in as well: nothing is left to go on to.
  const bore = read('bore', 'in', '2026-03-02T09:10:00Z');
  expect(cameIn({ cuts: [body, bore] }, bore)).toBeNull();
  expect(cameIn({ cuts: [end] }, end)).toBeNull();
  expect(cameIn({ cuts: [] }, null)).toBeNull();
});

it('what is no diameter is in hand only where it was picked', () => {
  const sizes = [{ key: 'g.width' }] as never[];
  expect(sizeInHand({ sizes }, 'g.width')).toBe(sizes[0]);
  expect(sizeInHand({ sizes }, null)).toBeNull();
});

it('at Prove it is the one picked, else the first that must be and is not read all round, never one that is gauged', () => {
  const proofs = [
    proof('nut', { gauged: true }),
    proof('free', { mustProve: false }),
    proof('done', { next: false }),
    proof('seat'),
    proof('land'),
  ];
  expect(keyOf(proofInHand({ proofs }, null))).toBe('seat');
  expect(keyOf(proofInHand({ proofs }, 'done'))).toBe('done');
  expect(keyOf(proofInHand({ proofs }, 'nut'))).toBe('seat');
  expect(proofInHand({ proofs: [proof('done', { next: false })] }, null)).toBeNull();
});
