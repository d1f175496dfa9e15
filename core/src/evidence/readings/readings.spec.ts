import fc from 'fast-check';
import type { DiameterReading } from './diameter-reading';
import { planFor, plannedSpots, type Suspicion } from './measuring-plan';
import { doubtReading } from './doubt/plausible';
import { analyseSection } from './section';
import { analyseShape, expand95 } from './shape';
import { fitTaper } from './taper';
import { sizeAt20 } from './temperature';

const reading = (stationMm: number, clockDeg: number, valueMm: number, more: Partial<DiameterReading> = {}): DiameterReading => ({
  stationMm,
  clockDeg,
  valueMm,
  instrumentMm: 0.008,
  points: 2,
  ...more,
});
const HOLE = [
  [5, 40.31, 40.24, 40.17, 40.24],
  [20, 40.28, 40.22, 40.16, 40.22],
  [35, 40.22, 40.19, 40.16, 40.19],
].flatMap(([station, ...sizes]) => sizes.map((size, i) => reading(station!, i * 45, size)));

describe('the hole of the check case', () => {
  const shape = analyseShape('inside', HOLE, 10.5e-6)!;

  it('has the means and ovalities worked by hand', () => {
    [40.24, 40.22, 40.19].forEach((mean, i) => expect(shape.sections[i]!.meanMm).toBeCloseTo(mean, 9));
    [0.14, 0.12, 0.06].forEach((oval, i) => expect(shape.sections[i]!.ovalityMm).toBeCloseTo(oval, 9));
    expect(shape.sections.map((s) => s.longAxisDeg)).toEqual([0, 0, 0].map((v) => expect.closeTo(v, 6)));
  });

  it('has smallest 40.16, largest 40.31 and a taper of -0.00167 mm per mm', () => {
    expect(shape.smallestMm).toBeCloseTo(40.16, 9);
    expect(shape.largestMm).toBeCloseTo(40.31, 9);
    expect(shape.largestAtMm).toBe(5);
    expect(shape.taper!.perMm).toBeCloseTo(-0.75 / 450, 9);
  });

  it('says what two points cannot show', () => {
    expect(shape.blind).toEqual([{ of: 'lobes', text: expect.stringContaining('three lobes') }]);
  });
});

describe('one section', () => {
  it('finds an oval whose long axis lies between the directions', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 179, noNaN: true }), fc.double({ min: 0.05, max: 0.4, noNaN: true }), (axis, oval) => {
        const size = (deg: number): number => 30 + (oval / 2) * Math.cos(((deg - axis) * Math.PI) / 90);
        const section = analyseSection(
          0,
          [0, 60, 120].map((deg) => reading(0, deg, size(deg))),
        );
        expect(section.ovalityMm).toBeCloseTo(oval, 6);
        expect(section.largestMm).toBeCloseTo(30 + oval / 2, 6);
        const off = Math.abs(section.longAxisDeg! - axis);
        expect(Math.min(off, 180 - off)).toBeLessThan(1e-4);
      }),
      { seed: 3 },
    );
  });

  it('gives only a lower bound from two directions', () => {
    const section = analyseSection(0, [reading(0, 0, 40.3), reading(0, 90, 40.2)]);
    expect(section).toMatchObject({ ovalityKind: 'at-least', ovalityMm: expect.closeTo(0.1, 9), longAxisDeg: null });
    const between = analyseSection(0, [reading(0, 0, 40.25), reading(0, 90, 40.25)]);
    expect(between.ovalityMm).toBe(0);
  });

  it('treats 0° and 180° as one direction and takes repeats from it', () => {
    const section = analyseSection(0, [reading(0, 0, 40.01), reading(0, 180, 40.03)]);
    expect(section.ovalityKind).toBe('unknown');
    expect(section.meanMm).toBeCloseTo(40.02, 9);
    expect(section.repeatMm).toBeCloseTo(Math.SQRT2 * 0.01, 9);
  });

  it('sees no oval with a three-point head, and says so', () => {
    const shape = analyseShape(
      'inside',
      [0, 45, 90].map((deg) => reading(5, deg, 40, { points: 3 })),
      1e-5,
    )!;
    expect(shape.mostOval.ovalityKind).toBe('unknown');
    expect(shape.blind[0]!.text).toContain('cannot show an oval');
  });

  it('keeps a direction that stands off the curve', () => {
    const fourLobed = [0, 45, 90, 135].map((deg, i) => reading(0, deg, 30 + (i % 2 ? -0.05 : 0.05)));
    const section = analyseSection(0, fourLobed);
    expect(section.ovalityMm).toBeCloseTo(0, 9);
    expect(section.unexplainedMm).toBeCloseTo(0.05, 9);
    expect(section.largestMm).toBeCloseTo(30.05, 9);
  });
});

describe('temperature', () => {
  it('takes 0.017 mm off a 50 mm steel part that is 30 °C warm (ISO 1)', () => {
    const at20 = sizeAt20(50, { partC: 50, instrumentC: 20, partAlphaPerK: 11.5e-6 });
    expect(50 - at20).toBeCloseTo(0.01725, 6);
  });

  it('leaves a steel part as it is when part and mic are equally warm', () => {
    expect(sizeAt20(50, { partC: 28, instrumentC: 28, partAlphaPerK: 11.5e-6 })).toBeCloseTo(50, 9);
  });
});

it('widens independent parts to 95 %', () => {
  expect(expand95({ instrumentMm: 0.003, repeatMm: 0.004, temperatureMm: 0 })).toBeCloseTo(0.01, 9);
});

it('fits no taper to one station', () => {
  expect(
    fitTaper([
      { stationMm: 5, sizeMm: 40 },
      { stationMm: 5, sizeMm: 41 },
    ]),
  ).toBeNull();
});

describe('the measuring plan', () => {
  it('goes station by station, clock by clock, to the first spot without a reading', () => {
    const planned = plannedSpots([20, 5], [0, 90], ['size']);
    expect(planned[0]).toEqual({ stationMm: 5, clockDeg: 0, quantity: 'size' });
  });

  const stations = (startMm: number, lengthMm: number, unit: 'mm' | 'in', suspicions: Suspicion[] = []): readonly number[] =>
    planFor({ kind: 'diameter', side: 'outside', startMm, lengthMm, suspicions, unit }).stationsMm;

  it('stays off the edges, on whole lines of a rule', () => {
    expect(stations(36, 54, 'mm')).toEqual([40, 65, 85]);
    expect(stations(0, 40, 'mm')).toEqual([5, 20, 35]);
    expect(stations(0, 12, 'mm')).toEqual([3, 9]);
    expect(stations(0, 6, 'mm')).toEqual([3]);
    expect(stations(0, 1, 'mm')).toEqual([0.5]);
  });

  it('sets stations of an inch job off in parts of an inch', () => {
    const inches = (of: readonly number[]): number[] => of.map((mm) => Math.round((mm / 25.4) * 1e6) / 1e6);
    expect(inches(stations(0, 38.1, 'in'))).toEqual([0.125, 0.75, 1.375]);
    expect(inches(stations(0, 8 * 25.4, 'in'))).toEqual([0.125, 4, 7.875]);
    expect(inches(stations(25.4, 12.7, 'in'))).toEqual([1.125, 1.375]);
  });

  it('keeps every station inside the place, apart from the others and within reach of where it should be, whatever the place', () => {
    for (const unit of ['mm', 'in'] as const)
      for (const suspicions of [[], ['tapered'], ['bent'], ['seal-groove']] as const)
        for (let n = 0; n < 400; n++) {
          const startMm = (n * 7.31) % 90;
          const lengthMm = 0.4 + ((n * 13.7) % 300);
          const at = stations(startMm, lengthMm, unit, [...suspicions]);
          expect(at.length).toBeGreaterThan(0);
          expect(new Set(at).size).toBe(at.length);
          expect(at).toEqual([...at].sort((p, q) => p - q));
          expect(at.every((mm) => mm > startMm && mm < startMm + lengthMm)).toBe(true);
        }
  });
});

describe('an implausible reading is asked about', () => {
  const inch = (v: number): number => v * 25.4;
  it.each([
    [inch(0.491), 'in', inch(0.749), 'left out'],
    [inch(7.491), 'in', inch(0.749), 'point'],
    [inch(0.0749), 'in', inch(0.749), 'point'],
    [1.5767, 'mm', 40.05, 'typed in inch'],
    [401.6, 'mm', 40.16, 'point'],
  ] as const)('%d mm where %s expected', (value, unit, expected, why) => {
    const doubt = doubtReading(value, unit, expected)!;
    expect(doubt.message).toContain(why);
    expect(Math.abs(doubt.suggestionMm! - expected)).toBeLessThan(0.005 * expected);
  });

  it('lets honest wear stand, and anything while nothing is known', () => {
    expect(doubtReading(39.2, 'mm', 40)).toBeNull();
    expect(doubtReading(3, 'mm', null)).toBeNull();
  });
});
