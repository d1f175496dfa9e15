import { hostOf, kindOf, newPart, surface, type FeatureKindId, type Part, type PartFeature } from '../part';
import type { CribTool } from '../tooling';
import { missingTools, schedulesOf, type Schedule } from '.';
import { TEST_BENCH } from './testing-bench';

const shaft = (d: number, l = 100): Part => ({ ...newPart('plain-pin', 'Shaft', d, l), features: [] });
function withOne(kind: FeatureKindId, own: object, d = 25, part: Part = shaft(d)): Schedule {
  const on = part.outside[0]!.id;
  const f = { ...kindOf(kind).start(hostOf(part, on)!), ...own, id: 'f', kind, on, name: 'It' } as unknown as PartFeature;
  const [schedule] = schedulesOf({ ...part, features: [f] }, TEST_BENCH);
  if (!schedule) throw new Error('no schedule');
  return schedule;
}
const valueOf = (s: Schedule, name: string): number => {
  const found = s.settings.find((x) => x.figure.key === `schedule.f.${name}`);
  if (!found) throw new Error(`no ${name}`);
  return found.figure.value;
};

describe('a keyseat', () => {
  // DIN 6885 for 25 mm: 8 x 7, 4.0 from the crown, 21.0 over the shaft.
  const seat = withOne('keyseat', { cutter: 'end-mill', widthMm: 8, depthMm: 4, lengthMm: 28, atMm: 5 });
  it('is set both ways, and both come to the same floor', () => {
    expect(valueOf(seat, 'over')).toBeCloseTo(21, 9);
    // The flat is as wide as the cutter where the round stands y above it: found by halving on the circle itself.
    let [low, high] = [0, 12.5];
    for (let i = 0; i < 60; i++) {
      const y = (low + high) / 2;
      if (2 * Math.sqrt(12.5 ** 2 - (12.5 - y) ** 2) < 8) low = y;
      else high = y;
    }
    expect(valueOf(seat, 'after-flat') + low).toBeCloseTo(valueOf(seat, 'crown'), 9);
    expect(valueOf(seat, 'travel')).toBe(20);
  });
  it('goes down in equal cuts of at most a quarter of the cutter, the last to the floor', () => {
    expect(seat.cuts!.toMm).toEqual([2, 4]);
    expect(withOne('keyseat', { cutter: 'end-mill', widthMm: 8, depthMm: 4.1 }).cuts!.toMm.at(-1)).toBeCloseTo(4.1, 9);
  });
  it('says where it stands from what it is timed to, whatever is on top on the drawing', () => {
    const on = shaft(25).outside[0]!.id;
    const key = (id: string, atMm: number, clockDeg: number, timedTo: string) =>
      ({
        ...kindOf('keyseat').start(hostOf(shaft(25), on)!),
        id,
        kind: 'keyseat',
        on,
        name: id,
        atMm,
        lengthMm: 20,
        clockDeg,
        timedTo,
      }) as PartFeature;
    const part = { ...shaft(25), features: [key('Gear', 5, 30, ''), key('Output', 60, 120, 'Gear')] };
    const [gear, output] = schedulesOf(part, TEST_BENCH);
    expect(output!.words[0]).toBe(
      'It stands 90° clockwise of gear seen from the right end, counter-clockwise seen from the left: set it there before the first cut, and lock it.',
    );
    expect(gear!.words.join()).not.toContain('It stands');
  });
});

it('a Woodruff seat stands its cutter over the crown by what the radius is more than the depth', () => {
  // B17.2 number 606: 3/16 x 3/4, seat depth at the side 0.2193 in.
  const s = withOne('woodruff-seat', { widthMm: 4.7625, cutterMm: 19.05, depthMm: 5.797, atMm: 30 }, 25.4);
  expect(valueOf(s, 'centre')).toBeCloseTo(9.525 - 5.797, 9);
  expect(valueOf(s, 'after-flat') / 25.4).toBeCloseTo(0.2193, 3);
});

describe('a thread', () => {
  const bolt = (thread: string, d: number, more: object = {}): Schedule =>
    withOne('thread', { end: 'right', thread, threadClass: '', lengthMm: 20, hand: 'right', starts: 1, ...more }, d);

  it('takes no more metal in any pass than in the first, and ends at the full depth', () => {
    // M20 x 2.5 with a root rounded by H/6: 17/24 H = 0.61343 P deep (ISO 68-1), as thread tables have it.
    const s = bolt('M20 x 2.5', 20);
    expect(valueOf(s, 'depth')).toBeCloseTo((17 / 24) * 0.866025 * 2.5, 5);
    expect(valueOf(s, 'along')).toBeCloseTo(valueOf(s, 'depth') / Math.cos((29.5 * Math.PI) / 180), 9);
    const passes = s.cuts!.toMm;
    const areas = passes.map((x, i) => x ** 2 - (passes[i - 1] ?? 0) ** 2);
    for (const a of areas) expect(a).toBeCloseTo(areas[0]!, 9);
    expect(passes.at(-1)).toBeCloseTo(valueOf(s, 'along'), 9);
    expect(s.words[0]).toContain('60.5°');
    expect(s.words.join()).toContain('half-nuts stay closed');
  });
  it('is checked over wires: 1/2-13 UNC 2A', () => {
    const s = bolt('1/2-13 UNC', 12.7);
    // Pitch diameter 0.4435 to 0.4485 in, best wire 0.57735/13 in: M = E + 3 W - 0.866025 P.
    const w = 0.57735 / 13;
    expect(valueOf(s, 'wire') / 25.4).toBeCloseTo(w, 5);
    expect(valueOf(s, 'over-wires') / 25.4).toBeCloseTo(0.446 + 3 * w - 0.866025 / 13, 3);
    expect(s.words.join()).not.toContain('half-nuts stay closed');
  });
  it('says which wheels go on and where the half-nuts close', () => {
    const on = (thread: string, d: number, lathe: object): string => {
      const part = shaft(d);
      const f = {
        ...kindOf('thread').start(hostOf(part, 'body')!),
        id: 'f',
        kind: 'thread',
        on: 'body',
        name: 'It',
        thread,
        lengthMm: 40,
        end: 'right',
      } as unknown as PartFeature;
      return schedulesOf({ ...part, features: [f] }, { ...TEST_BENCH, lathe: { ...TEST_BENCH.lathe, ...lathe } })[0]!.words.join(' ');
    };
    const inch = { leadscrewMm: 25.4 / 8, wheels: [30, 40, 60, 127] };
    expect(on('M20 x 1.5', 20, inch)).toContain('60 drives 127, any wheel between; exact. The half-nuts stay closed');
    expect(on('1/2-16 UN', 12.7, inch)).toContain('may close anywhere');
    expect(on('1/2-13 UNC', 12.7, { ...inch, wheels: [] })).toContain('by the thread dial');
    expect(on('M20 x 1.5', 20, { leadscrewMm: 25.4 / 8, wheels: [30, 63] })).toMatch(/mm off over its 40 mm/);
    expect(on('M20 x 1.5', 20, { leadscrewMm: 3, wheels: [] })).toContain('may close anywhere');
  });
  it('left-hand goes outwards, several starts are indexed', () => {
    expect(bolt('M20 x 2.5', 20, { hand: 'left' }).words.join()).toContain('from the groove outwards');
    expect(bolt('M20 x 2.5', 20, { starts: 2 }).words.join()).toContain('180.0°');
  });
  it('inside is drilled for a tap, and a large one single-pointed', () => {
    const nut = (thread: string, hole: number): Schedule => {
      const part: Part = {
        ...shaft(60),
        bores: [{ id: 'b', from: 'far', through: true, surfaces: [surface('hole', 'cylinder', 'Hole', 0, hole)] }],
      };
      const f = {
        id: 'f',
        kind: 'thread',
        on: 'hole',
        name: 'It',
        end: 'right',
        thread,
        threadClass: '',
        lengthMm: 20,
        hand: 'right',
        starts: 1,
      } as PartFeature;
      return schedulesOf({ ...part, features: [f] }, TEST_BENCH)[0]!;
    };
    // 12 - 1.29904 x 1.75 x 0.75 is 10.295.
    expect(nut('M12 x 1.75', 10.2).words[0]).toMatch(/Drill 10\.3/);
    expect(nut('M30 x 2', 28).settings.map((s) => s.on)).toContain('cross');
    expect(nut('M12 x 1.75', 10.2).settings.map((s) => s.on)).not.toContain('cross');
  });
  it('nobody knows has no schedule', () => {
    const part = shaft(20);
    const f = {
      id: 'f',
      kind: 'thread',
      on: 'body',
      name: 'It',
      end: 'right',
      thread: 'constructor',
      threadClass: '',
      lengthMm: 9,
      hand: 'right',
      starts: 1,
    } as PartFeature;
    expect(schedulesOf({ ...part, features: [f] }, TEST_BENCH)).toEqual([]);
  });
});

describe('a groove', () => {
  it('narrower than the tool asks for one ground to it', () => {
    const s = withOne('ring-groove', { atMm: 50, widthMm: 1.3, diameterMm: 23.9, ring: 'book' });
    expect(valueOf(s, 'depth')).toBeCloseTo(0.55, 9);
    expect(s.settings[0]!.on).toBe('cross');
    expect(s.words.join()).toContain('grind one to the width');
    expect(s.settings.filter((x) => x.on)).toHaveLength(1);
  });
  it('wider is plunged wall by wall until nothing is left between', () => {
    const s = withOne('ring-groove', { atMm: 40, widthMm: 8, diameterMm: 21, ring: 'measured' });
    expect(valueOf(s, 'over')).toBeCloseTo(5, 9);
    const plunges = Number(/^(\d+) plunges/.exec(s.words[0]!)![1]);
    // As many, each over the last by at most four fifths of the tool, reach from wall to wall.
    expect((plunges - 1) * 0.8 * 3 + 3).toBeGreaterThanOrEqual(8);
    expect((plunges - 2) * 0.8 * 3 + 3).toBeLessThan(8);
    expect(s.cuts!.toMm.at(-1)).toBeCloseTo(2, 9);
  });
});

describe('on the mill', () => {
  it('flats come as wide as the chord, even or odd', () => {
    const two = withOne('flats', { count: 2, acrossMm: 20, atMm: 80, lengthMm: 15 });
    expect(valueOf(two, 'depth')).toBeCloseTo(2.5, 9);
    expect(valueOf(two, 'width')).toBeCloseTo(15, 9);
    expect(valueOf(two, 'index')).toBeCloseTo(Math.PI, 9);
    const one = withOne('flats', { count: 1, acrossMm: 22.5, atMm: 80, lengthMm: 15 });
    expect(valueOf(one, 'depth')).toBeCloseTo(2.5, 9);
    expect(valueOf(one, 'width')).toBeCloseTo(15, 9);
  });
  it('a cross hole is moved to by half the round and half the finder, with a pilot where it is large', () => {
    const s = withOne('cross-hole', { atMm: 50, diameterMm: 13, reach: 'through', sinkMm: 0 });
    expect(valueOf(s, 'centre')).toBe(17.5);
    expect(valueOf(s, 'pilot')).toBeCloseTo(3.9, 9);
    expect(valueOf(s, 'deep')).toBe(25);
    expect(withOne('cross-hole', { atMm: 50, diameterMm: 3, reach: 'through', sinkMm: 0 }).words.join()).toContain('every 3 mm');
  });
  it('holes in an end lie on their circle, and from the other end on the other hand', () => {
    const at = (end: string): number[] =>
      withOne('hole-pattern', { end, count: 3, circleMm: 40, diameterMm: 5, depthMm: 10, clockDeg: 90 }, 60).settings.map(
        (s) => s.figure.value,
      );
    const right = at('right');
    expect(right.slice(0, 2)).toEqual([20, expect.closeTo(0, 9)]);
    expect(at('left')[0]).toBe(-20);
    const [x0, y0, x1, y1] = right as [number, number, number, number];
    expect(Math.hypot(x1 - x0, y1 - y0)).toBeCloseTo(40 * Math.sin(Math.PI / 3), 9);
  });
  it('an eccentric swings the indicator by twice its offset', () =>
    expect(valueOf(withOne('eccentric', { throwMm: 3, diameterMm: 12, atMm: 10, lengthMm: 20 }), 'swing')).toBe(6));
});

it('a taper is set by the compound or the tailstock', () => {
  // Morse 3: 0.60235 in per foot, compound 1° 26' 16".
  const perFoot = 0.60235;
  const cone = { ...surface('t', 'taper', 'Taper', 81, 24.05), farDiameterMm: 24.05 - (81 * perFoot) / 12 };
  const [s] = schedulesOf({ ...shaft(30), outside: [cone] }, TEST_BENCH);
  const [compound, over] = s!.settings.map((x) => x.figure.value);
  expect((compound! * 180) / Math.PI).toBeCloseTo(1 + 26 / 60 + 16 / 3600, 3);
  // Over the taper's own length it is half the change of diameter.
  expect(over).toBeCloseTo((81 * perFoot) / 24, 9);
});

describe('tools that are missed', () => {
  const crib = (...tools: Partial<CribTool>[]): CribTool[] =>
    tools.map((t, i) => ({ ...{ id: `${i}`, kind: 'end-mill', sizeMm: null, thread: '', note: '', pieces: 1, version: 1 }, ...t }));
  const seat = withOne('keyseat', { cutter: 'end-mill', widthMm: 10, depthMm: 5, lengthMm: 30 }, 32);
  it('are those that the crib lists others of, but not that one', () => {
    expect(missingTools([seat], crib({ sizeMm: 6 }), 'mm')).toEqual([{ ids: ['f'], words: 'End mill, 10 mm, for It' }]);
    const other = { ...seat, id: 'g', title: 'That' };
    expect(missingTools([seat, other], crib({ sizeMm: 6 }), 'mm')).toEqual([
      { ids: ['f', 'g'], words: 'End mill, 10 mm, for It and That' },
    ]);
    expect(missingTools([seat], crib({ sizeMm: 6 }, { sizeMm: 10 }), 'mm')).toEqual([]);
    expect(missingTools([seat], crib({ kind: 'reamer', sizeMm: 12 }), 'mm')).toEqual([]);
  });
  it('a groove takes any tool that goes in', () => {
    const ring = withOne('ring-groove', { atMm: 50, widthMm: 1.3, diameterMm: 23.9, ring: 'book' });
    expect(missingTools([ring], crib({ kind: 'parting', sizeMm: 3 }), 'mm')[0]!.words).toContain('no wider than 1.3 mm');
    expect(missingTools([ring], crib({ kind: 'parting', sizeMm: 1.2 }), 'mm')).toEqual([]);
  });
  it('a tap is asked for by its thread', () => {
    const hole = withOne('cross-hole', { atMm: 50, diameterMm: 6.8, reach: 'to depth', depthMm: 10, sinkMm: 0, thread: 'M8' });
    expect(missingTools([hole], crib({ kind: 'tap', thread: 'M10' }), 'mm')[0]!.words).toBe('Tap M8, for It');
    expect(missingTools([hole], crib({ kind: 'tap', thread: 'M8' }), 'mm')).toEqual([]);
  });
});
