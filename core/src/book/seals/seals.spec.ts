import { LIP_SEAL_SIZES } from './lip-seals';
import { glandOf, mostGapMm, oringOf, ORINGS, oringsFor } from './orings';

const inch = (x: number): number => x * 25.4;

it.each([
  ['-004', 0.07, 0.07],
  ['-012', 0.364, 0.07],
  ['-028', 1.364, 0.07],
  ['-050', 5.239, 0.07],
  ['-110', 0.362, 0.103],
  ['-116', 0.737, 0.103],
  ['-160', 5.237, 0.103],
  ['-210', 0.734, 0.139],
  ['-214', 0.984, 0.139],
  ['-222', 1.484, 0.139],
  ['-250', 4.984, 0.139],
  ['-325', 1.475, 0.21],
  ['-349', 4.475, 0.21],
  ['-425', 4.475, 0.275],
  ['-430', 5.1, 0.275],
])('%s is %d x %d in', (name, inside, section) => {
  expect(oringOf(name)!.insideMm).toBeCloseTo(inch(inside), 9);
  expect(oringOf(name)!.sectionMm).toBeCloseTo(inch(section), 9);
});

it('reads a dash number as people write it', () => {
  for (const text of ['-214', '214', '2-214', ' -214 ']) expect(oringOf(text)?.name).toBe('-214');
  expect(oringOf('12')?.name).toBe('-012');
  for (const text of ['', '999', 'two', '-']) expect(oringOf(text)).toBeUndefined();
});

it('grows within each section, a name once', () => {
  expect(new Set(ORINGS.map((r) => r.name)).size).toBe(ORINGS.length);
  ORINGS.slice(1).forEach((r, i) => {
    if (r.sectionMm === ORINGS[i]!.sectionMm) expect(r.insideMm).toBeGreaterThan(ORINGS[i]!.insideMm);
  });
});

describe('gland', () => {
  const q = {
    ring: oringOf('-214')!,
    kind: 'moving rod',
    runsOnMm: inch(1),
    grooveMm: inch(1.242),
    grooveWidthMm: inch(0.187),
    pressureMpa: 7,
  } as const;

  it('-214 on a 1 in rod in the usual dynamic groove (0.121 deep, 0.187 wide): 12 % squeeze, 1.6 % stretch, 65 to 67 % full', () => {
    const g = glandOf(q);
    if (!g.ok) throw new Error('no gland');
    expect(g.value.depthMm).toBeCloseTo(inch(0.121), 6);
    expect(g.value.stretch).toBeCloseTo(1 / 0.984 - 1, 9);
    expect(g.value.squeeze).toBeCloseTo(0.1225, 3);
    expect(g.value.fill).toBeGreaterThan(0.64);
    expect(g.value.fill).toBeLessThan(0.68);
    expect(g.value.findings.every((f) => f.fits)).toBe(true);
  });

  it('says which of squeeze, stretch, fill and pressure is wrong', () => {
    const wrong = (change: object): string[] => {
      const g = glandOf({ ...q, ...change });
      return g.ok ? g.value.findings.filter((f) => !f.fits).map((f) => f.what) : ['refused'];
    };
    expect(wrong({ grooveMm: inch(1.27) })).toContain('squeeze');
    expect(wrong({ ring: oringOf('-210')! })).toContain('stretch');
    expect(wrong({ grooveWidthMm: inch(0.12) })).toEqual(['fill']);
    expect(wrong({ pressureMpa: 21 })).toEqual(['pressure']);
  });

  it('a piston ring sits in its groove', () => {
    const g = glandOf({ ...q, kind: 'static piston', runsOnMm: inch(1.25), grooveMm: inch(1.03) });
    expect(g).toMatchObject({ value: { depthMm: expect.closeTo(inch(0.11), 9), stretch: expect.closeTo(1.03 / 0.984 - 1, 9) } });
  });

  it.each([
    [{ runsOnMm: 0 }, 'runsOnMm'],
    [{ grooveMm: inch(0.9) }, 'grooveMm'],
    [{ grooveWidthMm: NaN }, 'grooveWidthMm'],
  ])('names the field that is wrong', (change, path) => expect(glandOf({ ...q, ...change })).toMatchObject({ problems: [{ path }] }));

  it('finds the ring for a rod and a gland', () =>
    expect(oringsFor('moving rod', inch(1), inch(0.121)).map((r) => r.name)).toContain('-214'));
});

it('has lip seals by shaft: 25 with 40, 47, 52 by 7', () => {
  const on25 = LIP_SEAL_SIZES.filter((s) => s.shaftMm === 25);
  expect(on25.map((s) => s.boreMm)).toEqual(expect.arrayContaining([40, 47, 52]));
  expect(on25.find((s) => s.boreMm === 40)!.widthMm).toBe(7);
  for (const s of LIP_SEAL_SIZES) expect(s.boreMm).toBeGreaterThan(s.shaftMm + 8);
});

describe('metric rings, port rings, inch lip seals', () => {
  it('metric rings are found as they are written, in the sections that ISO 3601 has them in', () => {
    for (const text of ['20 x 2.65', '20x2.65', '20 × 2,65']) expect(oringOf(text)).toMatchObject({ insideMm: 20, sectionMm: 2.65 });
    expect(oringOf('20 x 1.8')).toBeUndefined();
    expect(oringOf('100 x 5.3')).toMatchObject({ unit: 'mm', port: null });
  });
  it.each([
    ['3/4-16', 0.644, 0.087],
    ['1 1/16-12', 0.924, 0.116],
    ['7/16-20', 0.351, 0.072],
  ])('port %s takes %d x %d in (ISO 11926)', (port, inside, section) => {
    const ring = ORINGS.find((r) => r.port === port)!;
    expect(ring.insideMm).toBeCloseTo(inch(inside), 9);
    expect(ring.sectionMm).toBeCloseTo(inch(section), 9);
  });
  it('a port’s ring goes round its thread, over the undercut, in either system', () => {
    for (const r of ORINGS.filter((x) => x.port)) {
      const [whole, fraction] = /^M/.test(r.port!) ? [Number(/M([\d.]+)/.exec(r.port!)![1]), null] : [NaN, r.port!.split('-')[0]!];
      const major =
        fraction === null
          ? whole
          : inch(
              fraction
                .split(' ')
                .reduce((s, f) => s + (f.includes('/') ? Number(f.split('/')[0]) / Number(f.split('/')[1]) : Number(f)), 0),
            );
      expect(r.insideMm).toBeLessThan(major);
      expect(r.insideMm + 2 * r.sectionMm).toBeGreaterThan(major);
    }
  });
  it('every inch lip seal leaves room between shaft and housing for its case', () => {
    for (const s of LIP_SEAL_SIZES.filter((x) => x.unit === 'in')) {
      expect((s.boreMm - s.shaftMm) / 2).toBeGreaterThan(inch(0.2));
      expect((s.boreMm - s.shaftMm) / 2).toBeLessThan(inch(0.5));
    }
  });
});

describe('the gap that a ring bridges', () => {
  it.each([
    [3.53, 7, 70, 0.08],
    [3.53, 7, 90, 0.15],
    [1.78, 10.5, 70, 0.03],
    [6.99, 21, 90, 0.05],
  ] as const)('section %d at %d MPa, %d Shore: %d mm', (section, mpa, shore, gap) =>
    expect(mostGapMm(section, mpa, shore)).toBeCloseTo(gap, 9),
  );
  it('never grows with pressure, never shrinks with section or hardness, and ends', () => {
    for (const section of [1.78, 2.62, 3.53, 5.33, 6.99])
      for (let mpa = 1; mpa < 35; mpa += 0.5) {
        const [soft, hard] = [mostGapMm(section, mpa, 70), mostGapMm(section, mpa, 90)!];
        if (soft !== null) expect(hard).toBeGreaterThanOrEqual(soft);
        expect(mostGapMm(section, mpa + 0.5, 90) ?? 0).toBeLessThanOrEqual(hard);
        expect(mostGapMm(section + 2, mpa, 90)!).toBeGreaterThanOrEqual(hard);
      }
    expect(mostGapMm(3.53, 12, 70)).toBeNull();
    expect(mostGapMm(3.53, 36, 90)).toBeNull();
  });
});
