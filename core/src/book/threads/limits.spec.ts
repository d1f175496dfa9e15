import { MM_PER_INCH } from '../../terms/quantity';
import { THREADS, threadOf } from './all-threads';
import { dieBlankMm } from './die-blank';
import { threadLimits, THREAD_CLASSES } from './limits';
import { type Band } from './thread-limits';
import { pitchDiameterMm } from './thread';

const inch = (mm: number | null): number | null => (mm === null ? null : Math.round((mm / MM_PER_INCH) * 1e4) / 1e4);
const limits = (name: string, side: 'outside' | 'inside', threadClass: string) => {
  const l = threadLimits(threadOf(name)!, side, threadClass);
  if (!l.ok) throw new Error(l.problems[0]!.message);
  return l.value;
};

/** Published rows of ASME B1.1, table 3, inch: major, pitch diameter, minor; null where the table has none. */
it.each([
  ['1/4-20 UNC', 'outside', '2A', [0.2408, 0.2489], [0.2127, 0.2164], null],
  ['1/4-20 UNC', 'outside', '3A', [0.2419, 0.25], [0.2147, 0.2175], null],
  ['1/4-20 UNC', 'inside', '2B', null, [0.2175, 0.2224], [0.196, 0.207]],
  ['1/4-20 UNC', 'inside', '3B', null, [0.2175, 0.2211], [0.1959, 0.2067]],
  ['3/8-16 UNC', 'outside', '2A', [0.3643, 0.3737], [0.3287, 0.3331], null],
  ['3/8-16 UNC', 'inside', '2B', null, [0.3344, 0.3401], [0.307, 0.321]],
  ['3/8-24 UNF', 'outside', '2A', [0.3667, 0.3739], [0.343, 0.3468], null],
  ['3/8-24 UNF', 'inside', '2B', null, [0.3479, 0.3528], [0.33, 0.34]],
  ['1/2-13 UNC', 'outside', '2A', [0.4876, 0.4985], [0.4435, 0.4485], null],
  ['1/2-13 UNC', 'inside', '2B', null, [0.45, 0.4565], [0.417, 0.434]],
  ['1/2-28 UNEF', 'outside', '2A', [0.4924, 0.4989], [0.472, 0.4757], null],
  ['1-8 UNC', 'outside', '2A', [0.983, 0.998], [0.91, 0.9168], null],
  ['1-8 UNC', 'inside', '2B', null, [0.9188, 0.9276], [0.865, 0.89]],
  // Rows whose sum lies at a half, as printed.
  ['5/8-11 UNC', 'outside', '2A', [0.6113, 0.6234], [0.5589, 0.5644], null],
  ['1 1/8-7 UNC', 'outside', '2A', [1.1064, 1.1228], [1.0228, 1.03], null],
  ['1 1/8-7 UNC', 'outside', '1A', [1.0982, 1.1228], [1.0191, 1.03], null],
  ['2-4.5 UNC', 'outside', '2A', [1.9751, 1.9971], [1.8433, 1.8528], null],
  ['9/16-12 UNC', 'outside', '2A', [0.5495, 0.5609], [0.5016, 0.5068], null],
  ['7/16-20 UNF', 'outside', '1A', [0.424, 0.4362], [0.3975, 0.4037], null],
  ['#6-32 UNC', 'inside', '3B', null, [0.1177, 0.1204], null],
  ['1/4-24 UNS', 'outside', '2A', [0.2417, 0.2489], [0.2181, 0.2218], null],
  ['1-14 UNS', 'outside', '2A', [0.988, 0.9983], [0.9463, 0.9519], null],
  ['#10-24 UNC', 'inside', '2B', null, [0.1629, 0.1672], [0.145, 0.156]],
] as const)('%s %s %s as published', (name, side, threadClass, major, pitch, minor) => {
  const l = limits(name, side, threadClass);
  const band = (b: Band): (number | null)[] => [inch(b.lowerMm), inch(b.upperMm)];
  if (major) expect(band(l.major)).toEqual(major);
  expect(band(l.pitchDiameter)).toEqual(pitch);
  if (minor) expect(band(l.minor)).toEqual(minor);
});

/** Published rows of ISO 965-2 and its like, mm. */
it.each([
  ['M6', 'outside', '6g', [5.794, 5.974], [5.212, 5.324], null],
  ['M6', 'inside', '6H', null, [5.35, 5.5], [4.917, 5.153]],
  ['M10', 'outside', '6g', [9.732, 9.968], [8.862, 8.994], null],
  ['M10', 'inside', '6H', null, [9.026, 9.206], [8.376, 8.676]],
  ['M10', 'inside', '6G', null, [9.058, 9.238], [8.408, 8.708]],
  ['M10', 'outside', '6e', [9.697, 9.933], [8.827, 8.959], null],
  ['M12', 'outside', '6g', [11.701, 11.966], [10.679, 10.829], null],
  ['M16', 'inside', '6H', null, [14.701, 14.913], [13.835, 14.21]],
  ['M20', 'outside', '6g', [19.623, 19.958], [18.164, 18.334], null],
  ['M20', 'outside', '4g6g', [19.623, 19.958], [18.228, 18.334], null],
  ['M20', 'inside', '5H', null, [18.376, 18.556], [17.294, 17.649]],
  ['M16 x 1.5', 'outside', '6g', [15.732, 15.968], [14.854, 14.994], null],
  ['M3', 'outside', '6g', [2.874, 2.98], [2.58, 2.655], null],
  ['M36', 'inside', '6H', null, [33.402, 33.702], [31.67, 32.27]],
] as const)('%s %s %s as published', (name, side, threadClass, major, pitch, minor) => {
  const l = limits(name, side, threadClass);
  if (major) expect([l.major.lowerMm, l.major.upperMm]).toEqual(major);
  expect([l.pitchDiameter.lowerMm, l.pitchDiameter.upperMm]).toEqual(pitch);
  if (minor) expect([l.minor.lowerMm, l.minor.upperMm]).toEqual(minor);
});

it('1-5 ACME 2G as published in ASME B1.5', () => {
  const bolt = limits('1-5 ACME', 'outside', '2G');
  expect([inch(bolt.major.lowerMm), inch(bolt.major.upperMm)]).toEqual([0.99, 1]);
  expect([inch(bolt.pitchDiameter.lowerMm), inch(bolt.pitchDiameter.upperMm)]).toEqual([0.8726, 0.892]);
  expect([inch(bolt.minor.lowerMm), inch(bolt.minor.upperMm)]).toEqual([0.7509, 0.78]);
  const nut = limits('1-5 ACME', 'inside', '2G');
  expect([inch(nut.major.lowerMm), inch(nut.major.upperMm)]).toEqual([1.02, 1.04]);
  expect([inch(nut.pitchDiameter.lowerMm), inch(nut.pitchDiameter.upperMm)]).toEqual([0.9, 0.9194]);
  expect([inch(nut.minor.lowerMm), inch(nut.minor.upperMm)]).toEqual([0.8, 0.81]);
});

it('G 1/2 and G 1 as published in ISO 228-1', () => {
  expect(limits('G 1/2', 'outside', 'A')).toMatchObject({
    major: { lowerMm: 20.671, upperMm: 20.955 },
    pitchDiameter: { lowerMm: 19.651, upperMm: 19.793 },
  });
  expect(limits('G 1/2', 'outside', 'B').pitchDiameter.lowerMm).toBe(19.509);
  expect(limits('G 1/2', 'inside', 'G')).toMatchObject({ minor: { lowerMm: 18.631, upperMm: 19.172 }, pitchDiameter: { upperMm: 19.935 } });
  expect(limits('G 1', 'outside', 'A').pitchDiameter).toEqual({ lowerMm: 31.59, upperMm: 31.77 });
  expect(threadLimits(threadOf('R 1/2')!, 'outside', 'A')).toMatchObject({ ok: false, problems: [{ code: 'no-limits' }] });
});

it('1/2 BSW medium follows T = 0.002 D^(1/3) + 0.003 L^(1/2) + 0.005 p^(1/2), worked by hand: 0.0052 in', () => {
  const l = limits('1/2 BSW', 'outside', 'medium');
  expect(inch(l.pitchDiameter.upperMm)).toBe(0.4466);
  expect(inch(l.pitchDiameter.upperMm)! - inch(l.pitchDiameter.lowerMm)!).toBeCloseTo(0.0052, 4);
});

it('keeps every thread and class of the book in order, and outside never above inside', () => {
  for (const t of THREADS) {
    const classes = THREAD_CLASSES[t.system];
    if (!classes) continue;
    for (const [i, outsideClass] of classes.outside.entries()) {
      const bolt = threadLimits(t, 'outside', outsideClass);
      const nut = threadLimits(t, 'inside', classes.inside[i % classes.inside.length]!);
      if (!bolt.ok || !nut.ok) continue;
      for (const band of [bolt.value.major, bolt.value.pitchDiameter, nut.value.pitchDiameter, nut.value.minor])
        expect(band.lowerMm!).toBeLessThan(band.upperMm!);
      expect(bolt.value.pitchDiameter.upperMm!).toBeLessThanOrEqual(nut.value.pitchDiameter.lowerMm! + 1e-9);
    }
  }
});

it('gives limits for every coarse and common fine metric thread from M2', () => {
  const without = THREADS.filter((t) => t.system === 'metric' && t.common && t.majorMm >= 2 && !threadLimits(t, 'outside', '6g').ok).map(
    (t) => t.name,
  );
  expect(without).toEqual(['M2.2', 'M5.5 x 0.5', 'M9 x 1'].filter((n) => without.includes(n)));
});

it('says where the book has no limits, and which classes there are', () => {
  expect(threadLimits(threadOf('2 BA')!, 'outside', '6g')).toMatchObject({ problems: [{ code: 'no-limits' }] });
  expect(threadLimits(threadOf('M10')!, 'outside', '2A')).toMatchObject({
    problems: [{ code: 'class', message: expect.stringContaining('6g') }],
  });
  expect(threadLimits(threadOf('M1.2 x 0.2') ?? threadOf('M1')!, 'inside', '6H')).toMatchObject({ problems: [{ code: 'out-of-table' }] });
});

describe('the blank for a die', () => {
  // As shop tables have them: M6 5.9, M8 7.88, M10 9.85, M12 11.83 (the thread less a tenth of its pitch).
  it.each([
    ['M6', 5.9],
    ['M8', 7.875],
    ['M10', 9.85],
    ['M12', 11.825],
    ['1/4-20 UNC', 0.245 * 25.4],
  ] as const)('%s is turned to %d', (name, mm) => expect(dieBlankMm(threadOf(name)!)).toBeCloseTo(mm, 3));

  it('lies within the major limits of the usual class, in the whole book, and is asked for where dies are made', () => {
    let asked = 0;
    for (const t of THREADS) {
      const mm = dieBlankMm(t);
      if (mm === null) continue;
      asked++;
      const limits = threadLimits(t, 'outside', THREAD_CLASSES[t.system]?.outside[0] ?? '');
      if (!limits.ok) continue;
      const { lowerMm, upperMm } = limits.value.major;
      expect([t.name, mm >= (lowerMm ?? 0) - 1e-9, mm <= (upperMm ?? t.majorMm) + 1e-9]).toEqual([t.name, true, true]);
      // The crests of a full thread: a blank under the pitch diameter by mistake would cut no thread at all.
      expect(mm).toBeGreaterThan(pitchDiameterMm(t));
    }
    expect(asked).toBeGreaterThan(150);
    expect(dieBlankMm(threadOf('Tr 30 x 6')!)).toBeNull();
    expect(dieBlankMm(threadOf('1/2 NPT')!)).toBeNull();
  });
});
