import { STARTING_HOUSE_RULES } from '../book/fits';
import { SUMS, sumOfId } from './all-sums';
import { findThread } from '../book/threads';
import { packsFor } from './fits/pack';
import type { Mark, SumResult, SumShop } from './sum';
import { startText, textInUnit } from './values';
import { sumInWords, workSum } from './work-sum';

const shop: SumShop = {
  houseRules: STARTING_HOUSE_RULES,
  rack: [],
  drillSets: [],
  tools: [],
  lathes: [
    {
      id: 'gap',
      name: 'Gap-bed lathe',
      cross: { unit: 'in', perTurn: 0.2, perLine: 0.001, reads: 'radius' },
      carriage: { unit: 'in', perTurn: 0.5, perLine: 0.001 },
      readout: null,
      gearsRpm: [70, 115, 190, 300, 500],
      swingMm: 400,
      centresMm: 1000,
    },
  ],
};

const starts = (id: string, unit: 'mm' | 'in' = 'mm'): Record<string, string> =>
  Object.fromEntries(
    sumOfId(id)!
      .fields(shop)
      .map((f) => [f.id, startText(f, unit)]),
  );

const outcome = (id: string, changes: Record<string, string> = {}, unit: 'mm' | 'in' = 'mm') =>
  workSum(sumOfId(id)!, { ...starts(id, unit), ...changes }, shop, unit);

const work = (id: string, changes: Record<string, string> = {}, unit: 'mm' | 'in' = 'mm'): SumResult => {
  const r = outcome(id, changes, unit);
  if (!r.ok) throw new Error(`${id}: ${r.problems.map((p) => `${p.path} ${p.message}`).join('; ')}`);
  return r.value;
};

const figure = (r: SumResult, key: string): number => {
  const f = r.figures.find((x) => x.key === key);
  if (!f) throw new Error(`no ${key}`);
  return f.value;
};

describe('every sum', () => {
  it('there are about two dozen, a name once', () => {
    expect(SUMS.length).toBeGreaterThanOrEqual(24);
    expect(new Set(SUMS.map((s) => s.id)).size).toBe(SUMS.length);
    expect(sumOfId('nothing')).toBeUndefined();
  });

  it.each(SUMS.map((s) => s.id))('%s works as it opens, in mm and in inch alike, with a picture and its words', (id) => {
    const [mm, inch] = [work(id), work(id, {}, 'in')];
    expect(mm.figures.length).toBeGreaterThan(0);
    expect(mm.picture.length).toBeGreaterThan(0);
    mm.figures.forEach((f, i) => {
      expect(Number.isFinite(f.value)).toBe(true);
      // The starting values are printed to a fixed number of decimals in either unit.
      expect(inch.figures[i]!.label).toBe(f.label);
      // The key of the reader's own standard is worked, and a list starts with what is sold in the reader's unit: other ones.
      if (
        id === 'key' ||
        sumOfId(id)!
          .fields(shop)
          .some((x) => x.kind === 'lengths' && x.startIn)
      )
        return;
      expect(Math.abs(inch.figures[i]!.value - f.value)).toBeLessThan(0.02 * Math.abs(f.value) + 0.02);
    });
    // Angles are in radians: a degree here would show as thousands.
    for (const f of mm.figures.filter((x) => x.measure === 'angle')) expect(Math.abs(f.value)).toBeLessThanOrEqual(2 * Math.PI);
    expect([mm.answer?.text ?? '', ...(mm.words ?? [])].join(' ')).not.toMatch(/\de[+-]\d/);
    const points = mm.picture.flatMap((m: Mark) =>
      m.kind === 'circle' ? [m.x, m.y, m.r] : m.kind === 'line' ? m.points.flat() : [...m.from, ...m.to],
    );
    expect(points.every(Number.isFinite)).toBe(true);
    expect(sumInWords(sumOfId(id)!, mm, 'mm').split('\n').length).toBeGreaterThan(mm.figures.length);
  });

  it.each(SUMS.map((s) => s.id))('%s answers nonsense at the field it stands in', (id) => {
    for (const f of sumOfId(id)!.fields(shop))
      for (const text of ['', 'abc', '1e9', '<script>', '999999999']) {
        const r = outcome(id, { [f.id]: text });
        expect(r.ok).toBe(false);
        if (!r.ok) expect(r.problems.map((p) => p.path)).toContain(f.id);
      }
  });

  it('tells all that is wrong at once', () => {
    const r = outcome('taper', { big: 'x', small: '-3', length: '' });
    expect(r.ok ? [] : r.problems.map((p) => p.path)).toEqual(['big', 'small', 'length']);
  });
});

describe('published and hand-worked values', () => {
  it('3/4 in is 19.05 mm, 750 thou, 3/4', () => {
    const r = work('convert', { size: '3/4' });
    expect(figure(r, 'convert.thou')).toBeCloseTo(750, 6);
    expect(r.tables![0]!.rows[0]!.slice(0, 2)).toEqual(['nearest 1/64', '3/4 in']);
  });

  it('a 40.16 hole in grease takes a pin of 40.049 at most', () =>
    expect(figure(work('clearance', { hole: '40.16', nominal: '40', school: 'grease' }), 'clearance.upper')).toBeCloseTo(40.049, 3));

  it('a pin by RC4 in a 1 in hole is 0.9984 to 0.9992', () => {
    expect(outcome('clearance', { hole: '1', nominal: '1', school: 'inch:RC4' }, 'in').ok).toBe(false);
    const r = work('clearance', { hole: '1', nominal: '1', school: 'inch:RC3' }, 'in');
    expect(figure(r, 'clearance.upper') / 25.4).toBeCloseTo(0.9992, 6);
  });

  it('the press sum is Lamé: 0.05 on 50 in 100, solid steel, is 78.75 MPa', () => {
    const r = work('press', {
      diameter: '50',
      hub: '100',
      bore: '0',
      length: '40',
      interference: '0.05',
      rz: '0',
      hubMaterial: 'steel-c45',
      shaftMaterial: 'steel-c45',
    });
    expect(figure(r, 'press.pressure')).toBeCloseTo(78.75, 6);
    expect(r.caution).toContain('shield');
  });

  it('3/8-24 from 0.372 over the crests and ten pitches in 0.4165 in', () => {
    const r = work('thread-finder', { diameter: '0.372', over: '0.4165', crests: '10' }, 'in');
    expect(r.tables![0]!.rows[0]![0]).toBe('3/8-24 UNF');
    expect(work('thread-finder', { diameter: '11.2', over: '13', crests: '10' }).words![0]).toMatch(/^Not a standard pair/);
  });

  it('M10 is drilled 8.5; 1/4-20 number 7', () => {
    expect(figure(work('tap-drill', { set: 'metric' }), 'tap.drill')).toBe(8.5);
    expect(work('tap-drill', { thread: '1/4 20', set: 'inch' }).answer!.text).toBe('number 7');
    expect(work('tap-drill', { thread: '1/2 NPT' }).answer!.text).toBe('45/64 in');
    expect(work('tap-drill', { thread: '9/16-18' }, 'in').words![0]).toContain('33/64 in, is 0.0006 in over');
    expect(work('tap-drill', { thread: 'Tr 100 x 12' }).answer!.text).toBe('88.000 mm to 88.800 mm');
    expect(work('tap-drill', { thread: 'M6', tap: 'forming' }).answer!.text).toMatch(/^5\.[56] mm/);
  });

  it('wires: 1/2-13 over 0.0444 in wires is 0.5167 in', () =>
    expect(figure(work('wires', { wire: '0.0444', read: '0.52' }, 'in'), 'wires.over') / 25.4).toBeCloseTo(0.5167, 4));

  it('key for 25: 8 x 7, 21.0 over the shaft; for an inch reader the inch key first; the row that was chosen is worked', () => {
    expect(figure(work('key'), 'key.over')).toBe(21);
    const inch = work('key', { shaft: '1' }, 'in');
    expect([inch.answer!.text, figure(inch, 'key.over') / 25.4]).toEqual(['ASME B17.1 square', expect.closeTo(0.859, 3)]);
    const third = work('key', { shaft: '1', row: '3' }, 'in');
    expect([third.answer!.text, third.tables![0]!.chosen]).toEqual(['DIN 6885', { field: 'row', row: 3 }]);
    const mixed = work('key', { shaft: '25', width: '3/16' });
    expect([mixed.answer!.text, mixed.words![1]]).toEqual(['ASME B17.1 square', expect.stringContaining('Another width')]);
    expect(outcome('key', { width: '7.4' })).toMatchObject({ problems: [{ path: 'width' }] });
  });

  it('flats: 17 hexagon is 19.63 across corners; flats on 20 are 10.5 wide', () => {
    expect(figure(work('flats'), 'flats.corners')).toBeCloseTo(19.63, 2);
    expect(figure(work('flats', { sides: '2' }), 'flats.width')).toBeCloseTo(Math.sqrt(111), 6);
  });

  it('cross hole: 25 round, 10 finder, 0.08 paper: 17.58, or 17.5 when wobble took it', () => {
    expect(figure(work('cross-hole'), 'cross.move')).toBeCloseTo(17.58, 9);
    expect(figure(work('cross-hole', { use: 'wobble' }), 'cross.move')).toBeCloseTo(17.5, 9);
  });

  it('eccentric: 3 offset shows 6 on the indicator; the packing is that of two jaws in contact, found by search', () => {
    expect(figure(work('eccentric'), 'eccentric.total')).toBe(6);
    // Jaw points at one radius; the work is pushed away from the packed jaw until it lies on both others.
    const found = (e: number, r: number): number => {
      let [low, high] = [0, 3 * r];
      for (let i = 0; i < 100; i++) {
        const jaw = (low + high) / 2;
        const off = Math.hypot(jaw * Math.cos((2 * Math.PI) / 3) + e, jaw * Math.sin((2 * Math.PI) / 3));
        if (off < r) low = jaw;
        else high = jaw;
      }
      return low - (r - e);
    };
    for (const [offset, round] of [
      [3, 40],
      [10, 50],
      [19.05, 88.9],
    ] as const)
      expect(figure(work('eccentric', { offset: String(offset), round: String(round) }), 'eccentric.packing')).toBeCloseTo(
        found(offset, round / 2),
        6,
      );
    // 3/4 in off in 3 1/2 in round: 1.000 in, hand-worked.
    expect(figure(work('eccentric', { offset: '0.75', round: '3.5' }, 'in'), 'eccentric.packing') / 25.4).toBeCloseTo(1, 4);
  });

  it('bolt circle: six on 80 stand 40 apart, and all on the circle', () => {
    const r = work('bolt-circle');
    expect(figure(r, 'circle.chord')).toBeCloseTo(40, 9);
    for (const [, , x, y] of r.tables![0]!.rows) expect(Math.hypot(x as number, y as number)).toBeCloseTo(40, 9);
  });

  it('taper: 25 to 20 in 60 is 1:12, 1 in a foot, 2.386° on the compound', () => {
    const r = work('taper');
    expect(figure(r, 'taper.one')).toBeCloseTo(12, 9);
    expect(figure(r, 'taper.foot') / 25.4).toBeCloseTo(1, 9);
    expect((figure(r, 'taper.compound') * 180) / Math.PI).toBeCloseTo(2.386, 3);
    expect(figure(r, 'taper.setover')).toBeCloseTo((200 * 5) / 120, 9);
  });

  it('chord: 60 and 8 are of a circle of 120.5; a half circle has its own radius', () => {
    expect(figure(work('chord'), 'chord.diameter')).toBeCloseTo(120.5, 9);
    const half = work('chord', { chord: '60', height: '30' });
    expect(figure(half, 'chord.radius')).toBeCloseTo(30, 9);
    expect(figure(half, 'chord.arc')).toBeCloseTo(30 * Math.PI, 6);
  });

  it('speeds: C45 with high-speed steel on 46 mm: 173 rpm by the sum, gear 115; Kienzle force', () => {
    const r = work('speeds', { diameter: '46' });
    expect(figure(r, 'speeds.ideal')).toBeCloseTo(173, 0);
    expect(figure(r, 'speeds.gear')).toBe(115);
    expect(figure(r, 'speeds.force')).toBeCloseTo(1.5 * 0.2 ** 0.86 * 2220, 6);
  });

  it('turning time: 124 mm at 0.2 and 300 is 2.07 min a pass', () =>
    expect(figure(work('turning-time'), 'time.one')).toBeCloseTo(124 / 60, 9));

  it('mass: 50 round by 200 in steel is 3.083 kg', () => {
    expect(figure(work('mass'), 'mass.one')).toBeCloseTo(3.083, 3);
    expect(outcome('mass', { shape: 'tube', b: '50' })).toMatchObject({ problems: [{ path: 'b' }] });
  });

  it('a 50 mm part 30 K above reads 0.017 big', () => expect(figure(work('temperature'), 'temperature.big')).toBeCloseTo(0.01725, 5));

  it('a 50 x 60 tube at 20 MPa: 111 MPa at the bore by Lamé, 110 by the mean diameter', () => {
    const r = work('pressure');
    expect(figure(r, 'pressure.thick')).toBeCloseTo((20 * 6100) / 1100, 9);
    expect(figure(r, 'pressure.thin')).toBeCloseTo(110, 9);
    expect(r.words![0]).toContain('agrees');
    expect(work('pressure', { outside: '100' }).words![0]).toContain('10 % under Lamé');
  });

  it('ring, o-ring, Woodruff, bush and single point say the same as their tables', () => {
    expect(figure(work('ring-groove'), 'ring.groove')).toBe(23.9);
    expect(figure(work('o-ring'), 'oring.squeeze')).toBeGreaterThan(0.1);
    expect(figure(work('woodruff'), 'woodruff.width')).toBeCloseTo(4.7625, 9);
    expect(figure(work('thread-bush'), 'bush.wall')).toBeCloseTo(2.188, 3);
    expect(work('single-point').tables![0]!.rows).toHaveLength(9);
    expect(work('single-point', { thread: 'M10', blank: '9.95' }).words![0]).toContain('half-nuts stay closed');
  });
});

describe('fits turned round, seats and rings in rings', () => {
  it('0.020 to 0.074 at 25 is H8/f7; -0.041 to -0.020 is f7', () => {
    const [fits, zones] = work('which-fit').tables!;
    expect(fits!.rows[0]![0]).toBe('H8/f7');
    expect(zones!.rows[0]![0]).toBe('f7');
    expect(outcome('which-fit', { least: '0.2' })).toMatchObject({ problems: [{ path: 'least' }] });
    expect(outcome('which-fit', { lower: '0.2' })).toMatchObject({ problems: [{ path: 'lower' }] });
  });

  it('6204 with a turning inner ring: shaft k5 20.002 to 20.011, housing H7 47.000 to 47.025', () => {
    const r = work('bearing-seat');
    expect([figure(r, 'seat.shaft'), figure(r, 'seat.shaft-least')]).toEqual([expect.closeTo(20.011, 9), expect.closeTo(20.002, 9)]);
    expect([figure(r, 'seat.housing'), figure(r, 'seat.housing-most')]).toEqual([47, expect.closeTo(47.025, 9)]);
    expect(work('bearing-seat', { load: 'heavy' }).words![0]).toContain('C3');
    expect(work('bearing-seat', { turns: 'outer' }).tables!.map((t) => t.title)).toEqual(['Shaft: g6', 'Housing: N7']);
  });

  it('rings of one material: the joints superpose as in a textbook compound cylinder', () => {
    const steel = {
      bush: 'steel-c45',
      sleeve: 'steel-c45',
      housing: 'steel-c45',
      bore: '30',
      first: '40',
      second: '50',
      outside: '100',
      tight1: '0.02',
      tight2: '0.03',
    };
    // p = E delta/(2 d³) (D² - d²)(d² - di²)/(D² - di²) for each joint alone; the outer one then adds its radial stress at 40 mm.
    const alone = (d: number, delta: number): number =>
      ((210_000 * delta) / d) * (((100 ** 2 - d ** 2) * (d ** 2 - 30 ** 2)) / (2 * d ** 2 * (100 ** 2 - 30 ** 2)));
    const added = (alone(50, 0.03) * 50 ** 2 * (1 - (30 / 40) ** 2)) / (50 ** 2 - 30 ** 2);
    expect(figure(work('layers', steel), 'layers.inner')).toBeCloseTo(alone(40, 0.02) + added, 6);
    expect(outcome('layers', { first: '20' })).toMatchObject({ problems: [{ path: 'first' }] });
  });
});

describe('shim packs', () => {
  it('make 0.85 of 0.5, 0.3 and 0.05: fewest among the exact', () => {
    const [best] = packsFor([0.05, 0.1, 0.2, 0.3, 0.5], 0.85);
    expect(best!.totalMm).toBeCloseTo(0.85, 9);
    expect(best!.shimsMm).toHaveLength(3);
  });
  it('say when none is near, and never take more than eight', () => {
    expect(packsFor([0.05], 5)[0]!.shimsMm).toHaveLength(8);
    expect(work('shims', { target: '5', 'at-hand': '0.05' }).words![0]).toContain('near enough');
  });
});

describe('pieces from offcuts', () => {
  it('takes offcuts first, counts the saw, and leaves the longest rest', () => {
    const { tables, figures } = work('offcuts', { pieces: '120, 120, 85, 60', bars: '400, 130, 95', saw: '2.5' });
    expect(tables![0]!.rows.map((r) => r.slice(0, 2))).toEqual([
      [400, '120 + 60'],
      [130, '120'],
      [95, '85'],
    ]);
    expect(figures[0]!.value).toBeCloseTo(400 - 180 - 5, 9);
  });
  it('names what is not covered', () => {
    expect(outcome('offcuts', { pieces: '500', bars: '400' })).toMatchObject({ problems: [{ path: 'bars' }] });
    expect(work('offcuts', { pieces: '500, 100', bars: '400' }).words![0]).toContain('Not covered: 500 mm');
  });
});

it.each([
  ['3/8 16', '3/8-16 UNC'],
  ['3/8-24', '3/8-24 UNF'],
  ['3/8-24 unf', '3/8-24 UNF'],
  ['#10-32', '#10-32 UNF'],
  ['m10', 'M10'],
  ['M 16 x 1.5', 'M16 x 1.5'],
  ['M16x1.5', 'M16 x 1.5'],
  ['1/2 bsf', '1/2 BSF'],
  ['2 ba', '2 BA'],
  ['tr 30 x 6', 'Tr 30 x 6'],
  ['g 1/2', 'G 1/2'],
  ['1 1/8 7', '1 1/8-7 UNC'],
  ['1-14 UNS', '1-14 UNS'],
  ['1 1/4-10 uns', '1 1/4-10 UNS'],
  ['1 1/4-13 uns', '1.25-13 UNS'],
  ['10-32', '#10-32 UNF'],
  ['6-32', '#6-32 UNC'],
  ['M8x1.25', 'M8'],
  ['M8 x 1.25', 'M8'],
  ['m8x1', 'M8 x 1'],
  ['M16x1,5', 'M16 x 1.5'],
  ['7/16-24', '7/16-24 UNS'],
  ['1/4 20', '1/4-20 UNC'],
  ['1/4-24', '1/4-24 UNS'],
  ['0.3-28', '0.3-28 UNS'],
  ['M11 x 0.7', 'M11 x 0.7 special'],
  ['1/4-40 model', '1/4-40 model'],
  ['1/4-26 cycle', '1/4-26 cycle'],
  ['M3 x 9', undefined],
  ['0.1-8 UNS', undefined],
  ['-14 UNS', undefined],
  ['', undefined],
  ['M99', undefined],
])('"%s" is %s', (text, name) => expect(findThread(text)?.name).toBe(name));

it('rewrites a bare length for the other unit, and leaves what says its own', () => {
  const [length, list] = [sumOfId('convert')!.fields(shop)[0]!, sumOfId('offcuts')!.fields(shop)[0]!];
  expect(textInUnit(length, '19.05', 'mm', 'in')).toBe('0.75');
  expect(textInUnit(length, '0.75', 'in', 'mm')).toBe('19.05');
  for (const text of ['3/4', '19 mm', 'abc', '']) expect(textInUnit(length, text, 'mm', 'in')).toBe(text);
  expect(textInUnit(list, '25.4; 50.8', 'mm', 'in')).toBe('1; 2');
  expect(textInUnit({ ...sumOfId('mass')!.fields(shop)[0]! }, 'round', 'mm', 'in')).toBe('round');
});
