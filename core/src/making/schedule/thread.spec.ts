import { hostOf, kindOf, newPart, surface, type Part, type PartFeature } from '../part';
import type { Bench } from './schedule';
import { overWiresOf, pitchByWires, threadSchedule } from './thread';
import { TEST_BENCH } from './testing-bench';

type Thread = Extract<PartFeature, { kind: 'thread' }>;
const outside = (d: number): Part => ({
  ...newPart('plain-pin', 'Shaft', d, 100),
  features: [],
  outside: [surface('s', 'cylinder', 'End', 100, d)],
});
const inside = (d: number): Part => ({
  ...outside(3 * d),
  bores: [{ id: 'b', from: 'near', through: true, surfaces: [surface('h', 'cylinder', 'Hole', 100, d)] }],
});
const threadOn = (part: Part, on: string, own: Partial<Thread>): readonly [Thread, NonNullable<ReturnType<typeof hostOf>>] => {
  const host = hostOf(part, on)!;
  return [{ ...kindOf('thread').start(host), id: 't', kind: 'thread', on, name: 'Thread', ...own } as unknown as Thread, host];
};
const of = (part: Part, on: string, own: Partial<Thread>, bench: Partial<Bench> = {}) =>
  threadSchedule(...threadOn(part, on, own), { ...TEST_BENCH, ...bench })!;
const value = (s: ReturnType<typeof of>, name: string): number => s.settings.find((x) => x.figure.key.endsWith(`.${name}`))!.figure.value;
const words = (s: ReturnType<typeof of>): string => s.words.join(' ');

describe('an outside thread', () => {
  const m20 = of(outside(20), 's', { thread: 'M20' });

  it('M20 is 1.534 deep (ISO 68-1), so far straight in, and over the cosine of 29.5° along the compound', () => {
    // 0.61343 P with the root rounded by H/6.
    expect(value(m20, 'depth')).toBeCloseTo(0.61343 * 2.5, 2);
    expect(value(m20, 'along') * Math.cos((29.5 * Math.PI) / 180)).toBeCloseTo(value(m20, 'depth'), 6);
    expect(words(m20)).toContain('Compound 29.5° from the cross slide; where the scale starts at the bed it shows 60.5°');
  });

  it('each pass takes as much metal as the first: areas of triangles from where the tool touches', () => {
    const to = m20.cuts!.toMm;
    expect(m20.cuts!.on).toBe('compound');
    expect(to.at(-1)).toBeCloseTo(value(m20, 'along'), 9);
    const areas = to.map((t, i) => t ** 2 - (to[i - 1] ?? 0) ** 2);
    for (const a of areas) expect(a).toBeCloseTo(areas[0]!, 6);
    expect(to.length).toBeGreaterThanOrEqual(3);
  });

  it('a blank that is 0.1 under is cut 0.05 less deep', () =>
    expect(value(m20, 'depth') - value(of(outside(19.9), 's', { thread: 'M20' }), 'depth')).toBeCloseTo(0.05, 6));

  it('M20 over wires of 1.443: between what 6g leaves of 18.376, solved from wires that touch both flanks', () => {
    const [f, host] = threadOn(outside(20), 's', { thread: 'M20' });
    const over = overWiresOf(f, host)!;
    expect(over.wireMm).toBeCloseTo(2.5 / (2 * Math.cos(Math.PI / 6)), 3);
    // ISO 965: pitch diameter of M20 6g 18.334 to 18.164. A wire of w in a 60° groove stands 3 w - 0.866 P over the pitch line.
    const touching = (pitchDiameter: number): number => pitchDiameter + 3 * over.wireMm - (Math.sqrt(3) / 2) * 2.5;
    expect(over.limits!.upperMm).toBeCloseTo(touching(18.334), 2);
    expect(over.limits!.lowerMm).toBeCloseTo(touching(18.164), 2);
    expect(over.wantedMm).toBeGreaterThan(over.limits!.lowerMm);
    expect(over.wantedMm).toBeLessThan(over.limits!.upperMm);
  });

  it('over wires back to the pitch diameter: 1/2-13 UNC, 0.5166 in over 0.0444 is the basic 0.4500, as published', () => {
    const [f, host] = threadOn(outside(12.7), 's', { thread: '1/2-13 UNC' });
    const pitch = pitchByWires(f, host, 0.0444 * 25.4, 0.5166 * 25.4)!;
    // The table leaves out the lead angle, which adds 0.0001 in.
    expect(Math.abs((pitch.ok ? pitch.value : 0) / 25.4 - 0.45)).toBeLessThan(0.0001);
    // A wire that sinks under the crests tells nothing; nor is there any sum for a thread inside.
    expect(pitchByWires(f, host, 0.02 * 25.4, 0.5166 * 25.4)).toMatchObject({ ok: false });
    expect(pitchByWires(...threadOn(inside(34), 'h', { thread: 'M36 x 2' }), 1, 36)).toBeNull();
  });

  it('a left-hand thread is cut outwards, one of two starts is indexed by half a turn', () => {
    expect(words(of(outside(20), 's', { thread: 'M20', hand: 'left' }))).toContain('from the groove outwards');
    expect(words(m20)).toContain('towards the chuck');
    // A die does what a hand can turn.
    expect(words(m20)).toContain('let the die bring it to size');
    expect(words(of(outside(36), 's', { thread: 'M36' }))).not.toContain('die');
    expect(words(of(outside(20), 's', { thread: 'M20 x 1.5', starts: 2 }))).toContain('index 180.0° for each start');
  });
});

describe('the half-nuts', () => {
  const nuts = (thread: string, d: number, leadscrewMm?: number, own: Partial<Thread> = {}): string =>
    words(of(outside(d), 's', { thread, ...own }, { lathe: { ...TEST_BENCH.lathe, ...(leadscrewMm ? { leadscrewMm } : {}) } }));

  it('stay closed for a metric thread on a screw of 8 to the inch', () => expect(nuts('M20', 20, 25.4 / 8)).toContain('stay closed'));
  it('close by the dial for 12 to the inch on 8 to the inch', () =>
    expect(nuts('1/2-13 UNC', 12.7, 25.4 / 8)).toContain('by the thread dial'));
  it('close at the lines of this lathe’s own dial', () => {
    const lathe = { ...TEST_BENCH.lathe, leadscrewMm: 25.4 / 8, threadDial: { teeth: 32, marks: 8 } };
    expect(words(of(outside(12.7), 's', { thread: '1/2-13 UNC' }, { lathe }))).toContain('every second line of the thread dial');
  });
  it('close anywhere for 16 to the inch on 8', () => expect(nuts('3/8-16 UNC', 9.525, 25.4 / 8)).toContain('close anywhere'));
  it('close anywhere for 1.5 on a screw of 6 mm, not for 2.5', () => {
    expect(nuts('M20 x 1.5', 20, 6)).toContain('close anywhere');
    expect(nuts('M20', 20, 6)).toContain('stay closed');
  });
  it('by the lead, not the pitch: two starts of 1.5 on 4.5 are 3', () =>
    expect(nuts('M20 x 1.5', 20, 4.5, { starts: 2 })).toContain('stay closed'));
});

describe('an inside thread', () => {
  it('M10: a hole of 8.376 to 8.676 (ISO 965, 6H), drilled, and tapped', () => {
    const s = of(inside(8.5), 'h', { thread: 'M10' });
    expect(s.tools).toEqual([{ kind: 'tap', thread: 'M10' }]);
    expect(value(s, 'hole')).toBeGreaterThan(8.376 - 1e-6);
    expect(value(s, 'hole')).toBeLessThan(8.676 + 1e-6);
    expect(words(s)).toContain('8.5');
    expect(s.settings.some((x) => x.figure.key.endsWith('.depth'))).toBe(false);
  });

  it('above 24 it is single-pointed, from its hole to the major diameter', () => {
    const s = of(inside(34), 'h', { thread: 'M36 x 2' });
    expect(s.tools).toEqual([]);
    expect(value(s, 'depth')).toBeCloseTo((36 - 34) / 2, 6);
    expect(overWiresOf(...threadOn(inside(34), 'h', { thread: 'M36 x 2' }))).toBeNull();
  });
});

it('a thread that the book does not know, or that nobody named, has none', () => {
  for (const thread of ['', '   ', 'a coarse one'])
    expect(threadSchedule(...threadOn(outside(20), 's', { thread }), TEST_BENCH)).toBeNull();
});
