import { drillWords } from '../drills';
import { MM_PER_INCH } from '../../terms/quantity';
import { THREADS, threadOf } from './all-threads';
import { insideMinor } from './inside-minor';
import { formingHole, taperDrills, tapHole } from './tap-hole';

const t = (name: string) => {
  const found = threadOf(name);
  if (!found) throw new Error(`no ${name}`);
  return found;
};
const hole = (name: string, percent = 75, kinds?: Parameters<typeof tapHole>[2]) => {
  const h = tapHole(t(name), percent, kinds);
  if (!h.ok) throw new Error(h.problems[0]!.message);
  return h.value;
};

describe('the minor diameter of the inside thread as published', () => {
  it.each([
    // ASME B1.1 2B, inch; ISO 965-1 6H; ISO 2903 4H; BS 93.
    ['1/4-20 UNC', 0.196, 0.207, MM_PER_INCH],
    ['9/16-18 UNF', 0.502, 0.515, MM_PER_INCH],
    ['5/8-18 UNF', 0.565, 0.578, MM_PER_INCH],
    ['3/8-16 UNC', 0.307, 0.321, MM_PER_INCH],
    ['1-8 UNC', 0.865, 0.89, MM_PER_INCH],
    ['M10', 8.376, 8.676, 1],
    ['M6', 4.917, 5.153, 1],
    ['M24', 20.752, 21.252, 1],
    ['Tr 30 x 6', 24, 24.5, 1],
    ['Tr 20 x 4', 16, 16.375, 1],
    ['0 BA', 4.8, 5.175, 1],
    ['1-5 ACME', 0.8, 0.81, MM_PER_INCH],
  ] as const)('%s: %d to %d', (name, lower, upper, each) => {
    const band = insideMinor(t(name))!;
    expect(band.lowerMm / each).toBeCloseTo(lower, 3);
    expect(band.upperMm / each).toBeCloseTo(upper, 3);
  });
});

describe('tap drills', () => {
  it.each([
    // As every tap chart has them.
    ['1/4-20 UNC', '7', 75],
    ['5/16-18 UNC', 'F', 77],
    ['3/8-16 UNC', '5/16', 77],
    ['1/2-13 UNC', '27/64', 78],
    ['3/4-10 UNC', '21/32', 72],
    ['1-8 UNC', '7/8', 77],
    ['#10-32 UNF', '21', 76],
    ['#6-32 UNC', '36', 78],
    ['M10', '8.5', 77],
    ['M6', '5', 77],
    ['M16', '14', 77],
    ['M20', '17.5', 77],
    ['0 BA', '5.1', 75],
    ['2 BA', '4', 72],
    ['4 BA', '3', 76],
    ['6 BA', '2.3', 79],
    ['G 1/4', '11.8', 79],
  ] as const)('%s: %s among the first two, leaving about %d %%', (name, drill, percent) => {
    const found = hole(name, 76)
      .drills.slice(0, 2)
      .find((d) => d.drill.name === drill);
    expect(found).toBeDefined();
    expect(Math.abs(found!.percent - percent)).toBeLessThan(1.5);
  });

  it('takes the other system where no drill of its own is within, and shows the chart’s own with how far it is over', () => {
    for (const [name, chart, overIn] of [
      ['9/16-18 UNF', '33/64', 0.0006],
      ['5/8-18 UNF', '37/64', 0.0001],
    ] as const) {
      const h = hole(name);
      expect(h.drills.every((d) => d.drill.kind === 'metric')).toBe(true);
      expect(h.drills.length).toBeGreaterThan(0);
      expect(h.chart!.drill.name).toBe(chart);
      expect(h.chart!.outsideMm / MM_PER_INCH).toBeCloseTo(overIn, 4);
    }
    expect(hole('9/16-18 UNF', 75, ['fraction', 'number', 'letter']).drills).toEqual([]);
  });

  it('puts inch drills first for an inch thread, metric ones for a metric', () => {
    expect(hole('1/2-13 UNC').drills[0]!.drill.kind).toBe('fraction');
    expect(hole('M12').drills[0]!.drill.kind).toBe('metric');
  });

  it('over the largest drill says the size to bore, never the largest drill', () => {
    const h = hole('Tr 100 x 12');
    expect([h.drills, h.chart]).toEqual([[], null]);
    expect(h.limits).toMatchObject({ lowerMm: 88, upperMm: 88.8 });
  });

  it('never advises a drill outside the thread’s own minor diameters, in the whole book, at any share', () => {
    for (const thread of THREADS.filter((x) => !x.tapered))
      for (const percent of [50, 65, 75, 90]) {
        const h = tapHole(thread, percent);
        if (!h.ok) throw new Error(`${thread.name}: ${h.problems[0]!.message}`);
        const { limits, drills, chart } = h.value;
        expect(limits.upperMm).toBeGreaterThan(limits.lowerMm);
        expect(limits.upperMm).toBeLessThan(thread.majorMm);
        for (const d of drills) {
          expect(d.drill.diameterMm).toBeLessThan(limits.upperMm + 2e-4);
          expect(d.drill.diameterMm).toBeGreaterThan(limits.lowerMm - 2e-4);
        }
        if (chart) expect(chart.outsideMm).not.toBe(0);
      }
  });

  it('asks for a sensible share and a set', () => {
    expect(tapHole(t('M10'), 20)).toMatchObject({ problems: [{ path: 'percent' }] });
    expect(tapHole(t('M10'), 75, [])).toMatchObject({ problems: [{ path: 'kinds' }] });
    expect(tapHole(t('1/2 NPT'), 75)).toMatchObject({ problems: [{ code: 'tapered' }] });
  });
});

it.each([
  // Makers' charts for forming taps, about 65 %.
  ['M6', 5.55, 0.03],
  ['M8', 7.4, 0.06],
  ['M10', 9.3, 0.06],
  ['1/4-20 UNC', 0.228 * 25.4, 0.02],
])('a forming tap for %s wants %d mm', (name, mm, within) => {
  const h = formingHole(t(name));
  if (!h.ok) throw new Error('refused');
  expect(Math.abs(h.value.aimMm - mm)).toBeLessThan(within);
  expect(h.value.drills.length).toBeGreaterThan(0);
  expect(h.value.aimMm).toBeGreaterThan(insideMinor(t(name))!.upperMm);
});

it('taper pipe has its published drills, which stand near the minor at the small end', () => {
  expect(taperDrills(t('1/2 NPT'))).toMatchObject({ plain: { name: '45/64' }, reamed: { name: '11/16' } });
  expect(taperDrills(t('1/4 NPT'))).toMatchObject({ plain: { name: '7/16' }, reamed: { name: '27/64' } });
  expect(taperDrills(t('R 1/2'))).toMatchObject({ plain: { name: '18.25' }, reamed: null });
  expect(taperDrills(t('G 1/2'))).toBeUndefined();
});

describe('a drill that hangs in the crib', () => {
  const best = (name: string, has: string[]): string => {
    const h = tapHole(t(name), 75, undefined, (d) => has.includes(drillWords(d)));
    if (!h.ok) throw new Error(name);
    return drillWords(h.value.drills[0]!.drill);
  };
  it('comes first where it is within the limits, of whichever system, and not where it is out', () => {
    // 1/4-20 UNC 2B minor: 0.196 to 0.207 in; number 7 is nearest to 75 %, 5.1 mm (0.2008 in) and 13/64 (0.2031 in) are within as well.
    expect(best('1/4-20 UNC', [])).toBe('number 7');
    expect(best('1/4-20 UNC', ['13/64 in'])).toBe('13/64 in');
    expect(best('1/4-20 UNC', ['5.1 mm'])).toBe('5.1 mm');
    expect(best('1/4-20 UNC', ['5.5 mm', '7/32 in'])).toBe('number 7');
    expect(best('1/4-20 UNC', ['5.1 mm', '13/64 in'])).toBe('13/64 in');
  });
});
