import { idealRpm } from '../making/process';
import { figure, shown, work, wrongAt } from './testing';

/** Sums held against a construction of another kind: points set out and touched, arcs integrated, volumes counted. */

describe('sine bar', () => {
  it('5 in at 30° stands on 2.5 in; 100 mm at 14° 30′ on 25.038 mm, as the tables of sine-bar constants have it', () => {
    expect(figure(work('sine-bar', { bar: '5', angle: '30' }, 'in'), 'sine.stack') / 25.4).toBeCloseTo(2.5, 9);
    expect(figure(work('sine-bar', { bar: '100', angle: '14.5' }), 'sine.stack')).toBeCloseTo(25.038, 3);
  });
  it('goes back from the stack to the angle', () =>
    expect(shown(work('sine-bar', { know: 'stack', bar: '200', stack: '68.4040' }), 'sine.angle')).toBe('20.000°'));
  it('refuses a stack longer than the bar, and says where it is blunt', () => {
    expect(wrongAt('sine-bar', { know: 'stack', bar: '100', stack: '100' })).toEqual(['stack']);
    expect(work('sine-bar', { angle: '75' }).words![0]).toContain('complement');
  });
});

describe('circle through three points', () => {
  const on = (x: number, y: number, r: number, deg: number): [string, string] => [
    (x + r * Math.cos((deg * Math.PI) / 180)).toFixed(6),
    (y + r * Math.sin((deg * Math.PI) / 180)).toFixed(6),
  ];
  it.each([
    [12, -7, 35, [10, 130, 250]],
    [-850, 420, 18.5, [0, 60, 200]],
    [0, 0, 500, [80, 90, 101]],
  ] as const)('centre %d, %d and radius %d come back from points set out on it', (x, y, r, at) => {
    const [a, b, c] = at.map((deg) => on(x, y, r, deg));
    const found = work('three-points', { x1: a![0], y1: a![1], x2: b![0], y2: b![1], x3: c![0], y3: c![1] });
    expect(figure(found, 'points.x')).toBeCloseTo(x, 3);
    expect(figure(found, 'points.y')).toBeCloseTo(y, 3);
    expect(figure(found, 'points.radius')).toBeCloseTo(r, 3);
  });
  it('has none through a line, or through one point twice', () => {
    expect(wrongAt('three-points', { x1: '0', y1: '0', x2: '10', y2: '10', x3: '20', y3: '20' })).toEqual(['x3']);
    expect(wrongAt('three-points', { x1: '5', y1: '5', x2: '5', y2: '5', x3: '20', y3: '0' })).toEqual(['x3']);
  });
  it('warns of a short arc', () => {
    const short = work('three-points', { x1: '0', y1: '0', x2: '10', y2: '0.5', x3: '20', y3: '0' });
    expect(short.words![0]).toContain('short arc');
  });
});

describe('a cutter with an odd number of teeth', () => {
  /** Tips of n equal teeth on a circle of 20 mm. */
  const tips = (n: number): [number, number][] =>
    Array.from({ length: n }, (_, i) => [10 * Math.sin((2 * Math.PI * i) / n), 10 * Math.cos((2 * Math.PI * i) / n)]);

  it.each([3, 5, 7, 9])('%d teeth: what mic, flat and V read of tips set out on 20 mm gives 20 mm back', (n) => {
    const points = tips(n);
    const teeth = String(n);
    const across = Math.max(...points.flatMap(([x, y]) => points.map(([u, w]) => Math.hypot(x - u, y - w))));
    const flat = Math.max(...points.map((p) => p[1])) - Math.min(...points.map((p) => p[1]));
    // The V is pushed up from below until it touches a tip: the apex stands where the first of them stops it.
    const half = (90 - 180 / n) * (Math.PI / 180);
    const apex = Math.min(...points.map(([x, y]) => y - Math.abs(x) / Math.tan(half)));
    const read = (over: string, mm: number): number => figure(work('odd-teeth', { teeth, over, read: mm.toFixed(6) }), 'teeth.diameter');
    expect(read('across', across)).toBeCloseTo(20, 4);
    expect(read('flat', flat)).toBeCloseTo(20, 4);
    expect(read('vee', 10 - apex)).toBeCloseTo(20, 4);
  });
  it('three teeth fit a V of 60°, five one of 108°', () => {
    expect(shown(work('odd-teeth', { teeth: '3' }), 'teeth.vee')).toBe('60.000°');
    expect(shown(work('odd-teeth', { teeth: '5' }), 'teeth.vee')).toBe('108.000°');
  });
});

describe('finish', () => {
  it.each([
    [0.1, 0.4],
    [0.2, 0.8],
    [0.05, 0.2],
  ])('feed %d, nose %d: height and Ra agree with the arcs integrated', (f, r) => {
    const heights = Array.from({ length: 20_001 }, (_, i) => {
      const x = -f / 2 + (f * i) / 20_000;
      return r - Math.sqrt(r * r - x * x);
    });
    const mean = heights.reduce((s, h) => s + h, 0) / heights.length;
    const ra = heights.reduce((s, h) => s + Math.abs(h - mean), 0) / heights.length;
    const said = work('finish', { feed: String(f), nose: String(r) });
    expect(figure(said, 'finish.height')).toBeCloseTo(Math.max(...heights), 7);
    const µm = Number(/^([\d.]+) µm/.exec(said.answer!.text)![1]);
    expect(Math.abs(µm / (ra * 1000) - 1)).toBeLessThan(0.03);
  });
  it('says no number with an exponent', () => {
    const r = work('finish', { feed: '0.3', nose: '0.4' });
    expect([r.answer!.text, ...r.words!].join(' ')).not.toMatch(/\de[+-]\d/);
    expect(r.answer!.text).toBe('7.5 µm (290 µin)');
  });
  it('0.2 a turn with a 0.8 nose leaves 6.3 µm, as the usual f²/8r table has it; a feed over the nose has no ridges of arcs', () => {
    expect(figure(work('finish', { feed: '0.2', nose: '0.8' }), 'finish.height')).toBeCloseTo(0.0063, 4);
    expect(wrongAt('finish', { feed: '0.4', nose: '0.4' })).toEqual(['feed']);
  });
});

describe('hydraulic cylinder', () => {
  it('4 in at 2,500 psi pushes 31,416 lbf and pulls 23,562 on a 2 in rod', () => {
    const r = work('cylinder-force', { bore: '4', rod: '2', pressure: '2500 psi' }, 'in');
    expect(figure(r, 'cylinder.push') / 4.4482216).toBeCloseTo(31_416, -1);
    expect(figure(r, 'cylinder.pull') / 4.4482216).toBeCloseTo(23_562, -1);
  });
  it('times the stroke by the oil it swallows', () => {
    // 50 mm bore, 300 mm: 0.589 litres, at 20 litres a minute 1.77 s; 25 mm rod leaves three quarters.
    expect(work('cylinder-force', {}).words![0]).toBe('A full stroke takes 1.77 s out and 1.33 s back.');
    expect(work('cylinder-force', {}).caution).toContain('Block the load');
    // A rod side shut off carries the push on three quarters of the area: 16 MPa become 21.3.
    expect(shown(work('cylinder-force', {}), 'cylinder.shut')).toBe('21.3 MPa');
    expect(wrongAt('cylinder-force', { rod: '50' })).toEqual(['rod']);
  });
});

describe('ring gap', () => {
  it('opens by the way round that the bore gains: a ring of one length in two bores', () => {
    const length = Math.PI * 80 - 0.3;
    const r = work('ring-gap', { bore: '80', gap: '0.3', worst: '80.2', least: '79.95' });
    expect(figure(r, 'gap.wide')).toBeCloseTo(Math.PI * 80.2 - length, 9);
    expect(figure(r, 'gap.narrow')).toBeCloseTo(Math.PI * 79.95 - length, 9);
  });
  it('3 in in a water-cooled engine wants 0.009; too little is filed where the bore is narrowest', () => {
    const r = work('ring-gap', { bore: '3', gap: '0.006', worst: '3.004', least: '3' }, 'in');
    expect(figure(r, 'gap.least') / 25.4).toBeCloseTo(0.009, 9);
    expect(figure(r, 'gap.file') / 25.4).toBeCloseTo(0.003, 9);
    expect(r.words![0]).toContain('file the gap');
    expect(r.figures[0]!.key).toBe('gap.file');
    expect(wrongAt('ring-gap', { worst: '79' })).toEqual(['worst']);
  });
  it('0.021 in a 3.250 bore of an air-cooled engine is wide: 0.0065 an inch, 0.016 at most', () => {
    const r = work('ring-gap', { bore: '3.25', gap: '0.021', worst: '3.25', least: '3.25', use: 'air' }, 'in');
    expect(figure(r, 'gap.most') / 25.4).toBeCloseTo(0.01625, 9);
    expect(r.words![0]).toContain('Wide');
  });
});

describe('tilt', () => {
  it('lifts the low end until a straight line through both readings is level', () => {
    const r = work('tilt', { first: '0.05', second: '-0.07', span: '150', feet: '400' });
    const heights = (lift: number, x: number): number => 0.05 + ((-0.07 - 0.05) * x) / 150 + (lift * x) / 400;
    const lift = figure(r, 'tilt.lift');
    expect(heights(lift, 0)).toBeCloseTo(heights(lift, 150), 9);
    expect(r.figures[0]!.label).toBe('lift at the second place');
  });
  it('is 1.146° for 2 in 100', () => expect(shown(work('tilt', { first: '0', second: '2', span: '100' }), 'tilt.angle')).toBe('1.146°'));
  it('says level for level', () => expect(work('tilt', { first: '0.1', second: '0.1' }).words![0]).toContain('Level'));
  it('refuses readings farther apart than their places', () =>
    expect(wrongAt('tilt', { first: '0', second: '20', span: '10' })).toEqual(['second']));
});

describe('drills before a reamer', () => {
  it('16 mm after 15.75, with a pilot that clears its web', () => {
    const r = work('ream-ladder', { reamer: '16' });
    expect(r.answer!.text).toBe('15.75 mm');
    expect(r.tables![0]!.rows.map((row) => row[0])).toEqual(['4.7 mm', '15.75 mm', 'reamer']);
  });
  it('1/2 in after 31/64', () => expect(work('ream-ladder', { reamer: '1/2', set: 'fraction' }, 'in').answer!.text).toBe('31/64 in'));
  it('leaves enough for every reamer from 1 to 80 mm, and says where the drills leave too much', () => {
    for (let mm = 1; mm <= 80; mm += 0.37) {
      const r = work('ream-ladder', { reamer: mm.toFixed(2), set: 'all' });
      const [left, least, most] = ['ream.left', 'ream.least', 'ream.most'].map((k) => figure(r, k));
      expect(left).toBeGreaterThanOrEqual(least! - 1e-6);
      expect(r.words![0]!.startsWith('More than')).toBe(left! > most! + 1e-6);
    }
  });
});

describe('length for a riveted head', () => {
  /** Volume of a body of revolution by slices. */
  const turned = (radius: (y: number) => number, high: number): number => {
    const slices = 20_000;
    return Array.from({ length: slices }, (_, i) => Math.PI * radius(((i + 0.5) / slices) * high) ** 2 * (high / slices)).reduce(
      (a, b) => a + b,
      0,
    );
  };
  const shank = (Math.PI * 64) / 4;
  it('fills a part of a ball, a disc and a cone as slices count them', () => {
    const [D, h] = [14, 4.8];
    const R = (D * D) / 8 / h + h / 2;
    const ball = turned((y) => Math.sqrt(Math.max(R * R - (R - h + y) ** 2, 0)), h);
    const at = { shank: '8', hole: '8', across: '14', height: '4.8' };
    expect(figure(work('upset', { ...at, head: 'round' }), 'upset.out')).toBeCloseTo(ball / shank, 3);
    expect(figure(work('upset', { ...at, head: 'flat' }), 'upset.out')).toBeCloseTo(turned(() => 7, 4.8) / shank, 6);
    const cone = turned((y) => 4 + (3 * y) / 4.8, 4.8);
    expect(figure(work('upset', { ...at, head: 'sunk' }), 'upset.out')).toBeCloseTo(cone / shank - 4.8, 3);
  });
  it('adds what a wider hole swallows', () => {
    const at = { shank: '8', across: '14', height: '4.8', head: 'flat', grip: '12' };
    const more = figure(work('upset', { ...at, hole: '8.4' }), 'upset.out') - figure(work('upset', { ...at, hole: '8' }), 'upset.out');
    expect(more * shank).toBeCloseTo((12 * Math.PI * (8.4 ** 2 - 64)) / 4, 6);
  });
  it('refuses heads that cannot be', () => {
    expect(wrongAt('upset', { hole: '7' })).toEqual(['hole']);
    expect(wrongAt('upset', { across: '8.2' })).toEqual(['across']);
    expect(wrongAt('upset', { height: '8' })).toEqual(['height']);
    expect(wrongAt('upset', { head: 'sunk', height: '12' })).toEqual(['height']);
  });
});

describe('milling', () => {
  it('90 ft/min on 1/2 in is 688 rpm, as charts have it; the table goes rpm x teeth x feed', () => {
    expect(idealRpm(90 * 0.3048, 12.7)).toBeCloseTo(687.5, 1);
    const r = work('milling', { diameter: '12', teeth: '4', chip: '0.05', wide: '12', most: '500' });
    expect(figure(r, 'mill.table')).toBeCloseTo(100, 9);
  });
  it.each([0.6, 1.5, 3, 5.9])('at %d mm wide in a 12 mm cutter the thickest chip is what was asked', (wide) => {
    const f = figure(work('milling', { diameter: '12', wide: String(wide), chip: '0.05' }), 'mill.tooth');
    // The tooth’s circle, and the same a feed before: the thickest metal between them along a radius, within the width of the cut.
    let thickest = 0;
    for (let i = 0; i <= 20_000; i++) {
      const angle = (Math.PI * i) / 20_000;
      const [x, y] = [6 * Math.sin(angle), -6 * Math.cos(angle)];
      if (y > wide - 6 || x < 0) continue;
      thickest = Math.max(thickest, 6 - inside(f, angle));
    }
    expect(Math.abs(thickest / 0.05 - 1)).toBeLessThan(0.03);
  });
  /** Radius at which the ray of an angle leaves the circle of the tooth before, whose centre is a feed behind. */
  const inside = (feed: number, angle: number): number => -feed * Math.sin(angle) + Math.sqrt(36 - (feed * Math.cos(angle)) ** 2);
  it('keeps to the fastest the spindle runs, and to cuts no wider than the cutter', () => {
    expect(figure(work('milling', { diameter: '1', wide: '1', most: '1500' }), 'mill.rpm')).toBe(1500);
    expect(wrongAt('milling', { diameter: '10', wide: '11' })).toEqual(['wide']);
  });
});

it('dividing head: a hexagon, an angle, a number that no plate has, a plate of one’s own', () => {
  expect(work('dividing', {}).answer!.text).toBe('6 turns and 10 holes of 15');
  expect(work('dividing', { by: 'angle', angle: '33' }).answer!.text).toBe('3 turns and 10 holes of 15');
  const odd = work('dividing', { divisions: '51' });
  expect(odd.words![0]).toContain('does not come out in the usual plates');
  expect(Math.abs(figure(odd, 'dividing.off'))).toBeGreaterThan(0);
  expect(work('dividing', { divisions: '51', own: '51' }).answer!.text).toBe('40 holes of 51');
});
